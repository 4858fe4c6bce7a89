package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.Substance;
import org.hipparchus.special.Erf;

/** What a run is for. */
public sealed interface Purpose {

    /** Below this a run does not do what it is for (common practice, no source). */
    double ENOUGH = 0.95;

    /**
     * How well a plan serves it.
     *
     * @param chance  with which it will do
     * @param asks    how large half the 95 % interval may be, a part of the result
     * @param hopeless whether no amounts will, because the handbook itself does not tell
     * @param beside  what else would tell, in words
     */
    record Served(double chance, double asks, boolean hopeless, List<String> beside) {

        /** {@return whether it will do} */
        public boolean enough() {
            return chance >= ENOUGH;
        }
    }

    /**
     * {@return how well a plan serves it}
     *
     * @param expectation of the plan
     */
    Served by(Expectation expectation);

    /** The probability that a normal deviate is below so many standard deviations. */
    private static double below(double deviations) {
        return 0.5 * Erf.erfc(-deviations / Math.sqrt(2));
    }

    /**
     * To be within so many per cent.
     *
     * @param percent of the reference
     */
    record Within(double percent) implements Purpose {

        @Override
        public Served by(Expectation expectation) {
            double part = percent / 100;
            double off = part
                    * Math.abs(expectation.reference().value())
                    / expectation.estimate().uncertainty();
            return new Served(2 * below(off) - 1, part, false, List.of());
        }
    }

    /** To see whether heat is given off or taken up. */
    record Sign() implements Purpose {

        @Override
        public Served by(Expectation expectation) {
            double off = Math.abs(expectation.estimate().value())
                    / expectation.estimate().uncertainty();
            return new Served(below(off), 1, false, List.of());
        }
    }

    /**
     * To tell what it is from another substance: the nearer of the two is taken for it.
     *
     * @param other as the same place of the plan would name it
     */
    record Apart(String other) implements Purpose {

        @Override
        public Served by(Expectation expectation) {
            Plan plan = expectation.plan();
            String path = place(plan).orElseThrow(() -> new Refused("Nothing here is told from another substance."));
            Plan instead = plan.with(path, other);
            Reference one = expectation.reference();
            Reference two = Expectation.reference(instead, instead.sheet())
                    .orElseThrow(() -> new Refused("What “" + other + "” would give is not known here."));
            double half = Math.abs(one.value() - two.value()) / 2;
            double known = Math.max(one.uncertainty(), two.uncertainty());
            double measured = Math.hypot(expectation.estimate().uncertainty(), known);
            boolean hopeless = below(half / Math.max(known, 1e-12)) < ENOUGH;
            return new Served(
                    below(half / measured),
                    half / Math.abs(one.value()),
                    hopeless,
                    beside(plan, plan.one(path).text(), other));
        }

        /**
         * {@return where a plan names the substance; empty where it names none}
         *
         * @param plan what is had
         */
        public static Optional<String> place(Plan plan) {
            Optional<String> picked = named(plan, Slot.Field.PICK);
            return picked.isPresent() ? picked : named(plan, Slot.Field.WORDS);
        }

        private static Optional<String> named(Plan plan, Slot.Field field) {
            return plan.had().entrySet().stream()
                    .filter(each -> each.getValue().role() == Role.STATED)
                    .map(java.util.Map.Entry::getKey)
                    .filter(path -> plan.slot(path)
                            .filter(slot -> slot.field() == field)
                            .isPresent())
                    .reduce((earlier, later) -> field == Slot.Field.PICK ? later : earlier);
        }

        private static List<String> beside(Plan plan, String one, String two) {
            Optional<Substance> first = plan.setting().shelf().find(one);
            Optional<Substance> second = plan.setting().shelf().find(two);
            List<String> words = new ArrayList<>();
            if (first.isPresent() && second.isPresent()) {
                Substance a = first.get();
                Substance b = second.get();
                words.add("density: " + a.name() + " " + Round.plain(a.density()) + ", " + b.name() + " "
                        + Round.plain(b.density()) + " g/mL");
                if (!a.colour().equals(b.colour())) {
                    words.add("colour: " + a.name() + " is " + a.colour() + ", " + b.name() + " " + b.colour());
                }
                if (a.magnetic() != b.magnetic()) {
                    words.add("a magnet: it holds " + (a.magnetic() ? a.name() : b.name()));
                }
            }
            return words;
        }
    }
}
