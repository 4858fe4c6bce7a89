package lab.sassafras.app.shelf;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import java.time.Instant;
import java.util.OptionalDouble;
import java.util.UUID;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Formation;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.Substance;
import org.hibernate.annotations.Formula;
import org.hibernate.annotations.Immutable;
import org.jspecify.annotations.Nullable;

/** A substance or a value that somebody here put on the shelf, with its source and its ±. */
@Entity
@Immutable
@SuppressWarnings("UnusedVariable") // columns that are written and asked for by queries
public class OwnSubstance {

    /** What was added. */
    public enum Kind {
        /** A solid with its specific heat. */
        SOLID("solid, specific heat", "J/(g·°C)"),
        /** A liquid with its specific heat. */
        LIQUID("liquid, specific heat", "J/(g·°C)"),
        /** A solid with its heat of solution. */
        SOLUTION("salt, heat of solution", "kJ/mol"),
        /** A substance in a state with its enthalpy of formation. */
        FORMATION("substance in a state, enthalpy of formation", "kJ/mol"),
        /** A fuel with its enthalpy of combustion. */
        COMBUSTION("fuel, enthalpy of combustion to liquid water", "kJ/mol"),
        /** An equation with its heat. */
        REACTION("equation, heat of the reaction as written", "kJ/mol");

        private final String words;
        private final String unit;

        Kind(String words, String unit) {
            this.words = words;
            this.unit = unit;
        }

        public String words() {
            return words;
        }

        public String unit() {
            return unit;
        }

        /** Whether its value is a specific heat, which is larger than zero. */
        public boolean specificHeat() {
            return this == SOLID || this == LIQUID;
        }
    }

    @Id
    private UUID id;

    @Column(insertable = false, updatable = false)
    private @Nullable Long seq;

    private String kind;
    private String name;
    private String formula;
    private double amount;
    private double uncertainty;
    private double density;
    private String colour;
    private String source;
    private UUID whoId;

    @Formula(Persons.OF_WHO)
    private String who;

    private @Nullable String written;
    private boolean widthGiven;
    private Instant madeAt;

    protected OwnSubstance() {}

    OwnSubstance(UUID id, Given given, Persons.By by, Instant madeAt) {
        this.id = id;
        this.kind = given.kind().name();
        this.name = given.name();
        this.formula = given.formula();
        this.amount = given.value();
        this.uncertainty = given.uncertainty();
        this.density = given.density();
        this.colour = given.colour();
        this.source = given.source();
        this.written = given.written();
        this.widthGiven = given.widthGiven();
        this.whoId = by.id();
        this.who = by.name();
        this.madeAt = madeAt;
    }

    /**
     * What is added.
     *
     * @param formula formula, formula with its state or equation, by its kind; empty where it has none
     * @param value   specific heat (J/(g·°C)) or enthalpy (kJ/mol)
     * @param uncertainty standard uncertainty, in the same unit
     * @param density (g/mL); 0 where it is not told
     * @param written the value with its figures, with a point
     * @param widthGiven whether somebody gave the ±; half a unit of the last figure is taken otherwise
     */
    public record Given(
            Kind kind,
            String name,
            String formula,
            double value,
            double uncertainty,
            double density,
            String colour,
            String source,
            String written,
            boolean widthGiven) {}

    public UUID id() {
        return id;
    }

    public Kind kind() {
        return Kind.valueOf(kind);
    }

    public String name() {
        return name;
    }

    public String formula() {
        return formula;
    }

    public double value() {
        return amount;
    }

    public double uncertainty() {
        return uncertainty;
    }

    public String source() {
        return source;
    }

    /** The value with the figures it was given with. */
    public String written(Figures figures) {
        return written == null
                ? figures.plain(amount)
                : figures.typed(written.replace('.', figures.mark().sign()));
    }

    public boolean widthGiven() {
        return widthGiven;
    }

    public String who() {
        return who;
    }

    public String key() {
        return "own-" + id;
    }

    /** As a row of the shelf; one struck out is read where it was chosen and never offered. */
    Substance substance(boolean offered) {
        return new Substance(
                key(),
                name,
                kind() == Kind.LIQUID ? Substance.Kind.LIQUID : Substance.Kind.SOLID,
                formula,
                amount,
                uncertainty,
                density,
                colour,
                false,
                offered,
                offered,
                source + ", put on the shelf by " + who,
                true);
    }

    private Reference reference(String of) {
        return new Reference(
                formula,
                of,
                amount,
                uncertainty,
                BenchUnit.KILOJOULES_PER_MOLE,
                source + ", put on the shelf by " + who,
                true);
    }

    Reference reaction() {
        return reference("the reaction, as put on the shelf");
    }

    Reference combustion() {
        return reference("enthalpy of combustion of " + name + ", to liquid water, 25 °C");
    }

    Formation.Row formation() {
        int decimals = written == null || written.indexOf('.') < 0 ? 0 : written.length() - written.indexOf('.') - 1;
        ChemicalEquation.Term term = ChemicalEquation.Term.read(formula);
        return new Formation.Row(
                term.formula(),
                term.state(),
                name,
                amount,
                decimals,
                OptionalDouble.of(uncertainty),
                source + ", put on the shelf by " + who);
    }

    Dissolution dissolution() {
        return new Dissolution(
                ChemicalFormula.read(formula),
                java.util.OptionalInt.empty(),
                reference("heat of solution of " + name + ", infinite dilution"));
    }
}
