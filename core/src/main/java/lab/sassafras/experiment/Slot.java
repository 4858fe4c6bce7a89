package lab.sassafras.experiment;

import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.BenchUnit;

/** A place for one thing the bench tells. */
public sealed interface Slot {

    String key();

    /** Whether an account can be drawn up without it. */
    boolean optional();

    /** The roles a value in this slot can have. */
    default Set<Role> roles() {
        return Set.of(Role.STATED);
    }

    /**
     * A number with a unit.
     *
     * @param unit     bench unit
     * @param usual    range a reading usually lies in, for saying what to expect; empty where there is none
     * @param assumed  what to propose where it is not measured; empty where assuming is no way
     * @param roles    how it may be got
     * @param accepted values the handbooks agree on (bench unit); a typed one far from all of them is questioned
     */
    record Quantity(
            String key,
            BenchUnit unit,
            Optional<Usual> usual,
            Optional<Assumption> assumed,
            Set<Role> roles,
            List<Double> accepted,
            boolean optional)
            implements Slot {

        public Quantity {
            roles = Set.copyOf(roles);
            accepted = List.copyOf(accepted);
        }

        public Quantity usually(double low, double high) {
            return new Quantity(key, unit, Optional.of(new Usual(low, high)), assumed, roles, accepted, optional);
        }

        public Quantity orAssumed(double value, double uncertainty) {
            Set<Role> more = EnumSet.copyOf(roles);
            more.add(Role.ASSUMED);
            return new Quantity(
                    key, unit, usual, Optional.of(new Assumption(value, uncertainty)), more, accepted, optional);
        }

        public Quantity ifKnown() {
            return new Quantity(key, unit, usual, assumed, roles, accepted, true);
        }

        /** A constant typed from a handbook, where the handbooks agree on these. */
        public Quantity accepting(List<Double> values) {
            return new Quantity(key, unit, usual, assumed, roles, values, optional);
        }

        /** The dimension's own unit of what is typed in a role. */
        public BenchUnit unit(Role role) {
            return role == Role.VOLUME ? BenchUnit.MILLILITRES : unit;
        }
    }

    /** A range of ordinary readings (bench unit). */
    record Usual(double low, double high) {}

    /** A value to propose with its standard uncertainty (bench unit). */
    record Assumption(double value, double uncertainty) {}

    /** One of a few words. */
    record Choice(String key, List<String> options, boolean optional) implements Slot {
        public Choice {
            options = List.copyOf(options);
        }
    }

    /** A solid, or a liquid, of the reference shelf, by key. */
    record FromShelf(String key, boolean solid, boolean optional) implements Slot {}

    /** A chemical formula. */
    record Formula(String key, boolean optional) implements Slot {}

    /** A balanced equation. */
    record Equation(String key, boolean optional) implements Slot {}

    /** A name the bench gives, such as what is scratched on a sample. */
    record Name(String key, boolean optional) implements Slot {}

    /** A vessel with its constant, where a trial used another than the entry says. */
    record Vessel(String key, boolean optional) implements Slot {}

    /** The instant something was done. */
    record Moment(String key, boolean optional) implements Slot {}

    /** Another entry, whose result (in this unit) is used here. */
    record Reference(String key, BenchUnit unit, boolean optional) implements Slot {}

    /** Any number that is simply read. */
    static Quantity quantity(String key, BenchUnit unit) {
        return new Quantity(key, unit, Optional.empty(), Optional.empty(), Set.of(Role.READ), List.of(), false);
    }

    /** A mass, zeroed or by difference. */
    static Quantity mass(String key) {
        return new Quantity(
                key,
                BenchUnit.GRAMS,
                Optional.empty(),
                Optional.empty(),
                Set.of(Role.READ, Role.GROSS, Role.TARE),
                List.of(),
                false);
    }

    /** The mass of a liquid: as any mass, or by its volume. */
    static Quantity liquid(String key) {
        return new Quantity(
                key,
                BenchUnit.GRAMS,
                Optional.empty(),
                Optional.empty(),
                Set.of(Role.READ, Role.GROSS, Role.TARE, Role.VOLUME),
                List.of(),
                false);
    }

    static Quantity temperature(String key) {
        return quantity(key, BenchUnit.DEGREES_CELSIUS);
    }

    static Quantity density(String key) {
        return quantity(key, BenchUnit.GRAMS_PER_MILLILITRE);
    }

    static Quantity percent(String key) {
        return quantity(key, BenchUnit.PERCENT);
    }

    static Quantity specificHeat(String key) {
        return quantity(key, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    static Quantity seconds(String key) {
        return quantity(key, BenchUnit.SECONDS);
    }

    static Quantity concentration(String key) {
        return quantity(key, BenchUnit.MOLES_PER_LITRE);
    }

    static Choice choice(String key, String... options) {
        return new Choice(key, List.of(options), false);
    }

    static Choice choiceIfKnown(String key, String... options) {
        return new Choice(key, List.of(options), true);
    }

    /** Something done at a moment, which is kept. */
    static Moment moment(String key) {
        return new Moment(key, true);
    }
}
