package lab.sassafras.experiment;

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
    Set<Role> roles();

    /**
     * A number with a unit.
     *
     * @param unit    bench unit
     * @param usual   range a reading usually lies in, for saying what to expect; empty where there is none
     * @param assumed what to propose where it is not measured; empty where assuming is no way
     * @param differs whether it may be found as gross less tare
     */
    record Quantity(String key, BenchUnit unit, Optional<Usual> usual, Optional<Assumption> assumed, boolean differs,
                    boolean optional) implements Slot {

        public Quantity usually(double low, double high) {
            return new Quantity(key, unit, Optional.of(new Usual(low, high)), assumed, differs, optional);
        }

        public Quantity orAssumed(double value, double uncertainty) {
            return new Quantity(key, unit, usual, Optional.of(new Assumption(value, uncertainty)), differs, optional);
        }

        public Quantity ifKnown() {
            return new Quantity(key, unit, usual, assumed, differs, true);
        }

        @Override
        public Set<Role> roles() {
            if (differs) {
                return Set.of(Role.READ, Role.GROSS, Role.TARE);
            }
            return assumed.isPresent() ? Set.of(Role.READ, Role.ASSUMED) : Set.of(Role.READ);
        }
    }

    /** A range of ordinary readings (bench unit). */
    record Usual(double low, double high) {
    }

    /** A value to propose with its standard uncertainty (bench unit). */
    record Assumption(double value, double uncertainty) {
    }

    /** One of a few words. */
    record Choice(String key, List<String> options, boolean optional) implements Slot {
        public Choice {
            options = List.copyOf(options);
        }

        @Override
        public Set<Role> roles() {
            return Set.of(Role.STATED);
        }
    }

    /** A solid, or a liquid, of the reference shelf, by key. */
    record FromShelf(String key, boolean solid, boolean optional) implements Slot {
        @Override
        public Set<Role> roles() {
            return Set.of(Role.STATED);
        }
    }

    /** A chemical formula. */
    record Formula(String key, boolean optional) implements Slot {
        @Override
        public Set<Role> roles() {
            return Set.of(Role.STATED);
        }
    }

    /** The instant something was done. */
    record Moment(String key, boolean optional) implements Slot {
        @Override
        public Set<Role> roles() {
            return Set.of(Role.STATED);
        }
    }

    /** Another entry, whose result (in this unit) is used here. */
    record Reference(String key, BenchUnit unit, boolean optional) implements Slot {
        @Override
        public Set<Role> roles() {
            return Set.of(Role.STATED);
        }
    }

    /** A mass, zeroed or by difference. */
    static Quantity mass(String key) {
        return new Quantity(key, BenchUnit.GRAMS, Optional.empty(), Optional.empty(), true, false);
    }

    static Quantity temperature(String key) {
        return new Quantity(key, BenchUnit.DEGREES_CELSIUS, Optional.empty(), Optional.empty(), false, false);
    }

    static Quantity density(String key) {
        return new Quantity(key, BenchUnit.GRAMS_PER_MILLILITRE, Optional.empty(), Optional.empty(), false, false);
    }

    static Quantity percent(String key) {
        return new Quantity(key, BenchUnit.PERCENT, Optional.empty(), Optional.empty(), false, false);
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
