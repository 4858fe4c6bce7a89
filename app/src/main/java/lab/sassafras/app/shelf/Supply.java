package lab.sassafras.app.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.plan.Bottle;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A bottle, or pieces of gear, as somebody counted them. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class Supply {

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String name;
    private String substance;
    private double amount;
    private String unit;
    private @Nullable Double strength;
    private @Nullable Double power;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private Instant madeAt;

    protected Supply() {}

    Supply(Given given, Persons.By by, Instant madeAt) {
        this.id = UUID.randomUUID();
        this.name = given.name();
        this.substance = given.substance();
        this.amount = given.amount();
        this.unit = given.unit();
        this.strength = given.strength().isPresent() ? given.strength().getAsDouble() : null;
        this.power = given.power().isPresent() ? given.power().getAsDouble() : null;
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /**
     * What is counted.
     *
     * @param name      it is called
     * @param substance in it, by formula or name; empty for gear
     * @param amount    there is of it; none takes it off the shelf
     * @param unit      g or mL; empty for pieces
     * @param strength  of a solution (mol/L); empty for what is none
     * @param power     of what heats, as it is rated (W)
     */
    public record Given(
            String name, String substance, double amount, String unit, OptionalDouble strength, OptionalDouble power) {

        /** Most that is counted of one thing (g, mL, pieces). */
        public static final double MOST = 1e6;
        /** No solution is stronger (mol/L). */
        public static final double STRONGEST = 30;
        /** No plate of a lab is rated higher (W). */
        public static final double HOTTEST = 10_000;

        /** Refused, in plain words, where a shelf could not hold it. */
        public Given {
            name = Names.checked(name.strip(), "A name", Names.LONGEST);
            substance = substance.isBlank() ? "" : Names.checked(substance.strip(), "A substance", Names.LONGEST);
            if (!(amount >= 0 && amount <= MOST)) {
                throw new Refused("Say how much there is, from none to " + Figures.POINT.plain(MOST) + ".");
            }
            if (!unit.isEmpty() && !unit.equals("g") && !unit.equals("mL")) {
                throw new Refused("Bottles are counted in g or mL, gear in pieces.");
            }
            if (substance.isEmpty() != unit.isEmpty()) {
                throw new Refused("A bottle holds a substance, in g or mL; gear holds none, and is counted in pieces.");
            }
            if (strength.isPresent() && (!unit.equals("mL") || !within(strength, STRONGEST))) {
                throw new Refused(
                        "The strength is that of a solution in mL, above nought and up to " + STRONGEST + " mol/L.");
            }
            if (power.isPresent() && (!unit.isEmpty() || !within(power, HOTTEST))) {
                throw new Refused("What a piece of gear is rated is above nought and up to "
                        + Figures.POINT.plain(HOTTEST) + " W.");
            }
        }

        private static boolean within(OptionalDouble value, double most) {
            return value.getAsDouble() > 0 && value.getAsDouble() <= most;
        }

        /** As it is typed. @throws Refused in plain words where it cannot be */
        public static Given typed(Map<String, String> typed) {
            return new Given(
                    typed.getOrDefault("name", ""),
                    typed.getOrDefault("substance", ""),
                    TypedNumber.read(typed.getOrDefault("amount", ""), Figures.POINT.mark())
                            .value(),
                    typed.getOrDefault("unit", ""),
                    number(typed.getOrDefault("strength", "")),
                    number(typed.getOrDefault("power", "")));
        }

        private static OptionalDouble number(String text) {
            return text.isBlank()
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(
                            TypedNumber.read(text, Figures.POINT.mark()).value());
        }
    }

    public String name() {
        return name;
    }

    public String substance() {
        return substance;
    }

    public double amount() {
        return amount;
    }

    public String unit() {
        return unit;
    }

    /** What it is rated (W). */
    public OptionalDouble power() {
        return power == null ? OptionalDouble.empty() : OptionalDouble.of(power);
    }

    /** How strong it is (mol/L). */
    public OptionalDouble strength() {
        return strength == null ? OptionalDouble.empty() : OptionalDouble.of(strength);
    }

    /** {@return the bottle it is; empty for gear} */
    public Optional<Bottle> bottle() {
        return substance.isEmpty() ? Optional.empty() : Optional.of(new Bottle(substance, amount, unit, strength()));
    }

    public String who() {
        return who;
    }

    public Instant madeAt() {
        return madeAt;
    }
}
