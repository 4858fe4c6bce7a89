package lab.sassafras.declaration;

import java.util.List;
import java.util.Optional;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.slot.Role;

/**
 * One step at the bench: it fills one slot, or one half of a weighing by difference whose other half another step
 * fills, perhaps long after. Its words, and the caution for the hand, stand in the block of words under the same path.
 *
 * @param path      group and slot it fills
 * @param minutes   how long it usually takes, 0 where it is done at once
 * @param condition when it is asked at all; always when empty
 * @param under     the schools that need it; always when empty
 * @param offer     whether it is asked, only offered, or asked no longer
 * @param half      the half it fills; empty where it fills the slot whole
 * @param pace      what the hand goes by before it is taken; empty where nothing is waited for
 * @param exposed   place of the formula of what then lies open to the air until it is added; empty where nothing does
 */
public record Step(
        String path,
        int minutes,
        Optional<Condition> condition,
        Optional<Under> under,
        Offer offer,
        Optional<Role> half,
        Optional<Pace> pace,
        Optional<String> exposed) {

    /** Whether a step is put to the bench. */
    public enum Offer {
        /** In its turn. */
        ASKED,
        /** Only where somebody wants it, and shown once it was taken up. */
        ASIDE,
        /** No longer: shown where it was filled while it was asked. */
        EARLIER
    }

    /**
     * Asked only where a choice was answered in one of these ways.
     *
     * @param path    of the choice
     * @param answers that ask for the step
     */
    public record Condition(String path, List<String> answers) {}

    /**
     * Asked only where one of these schools is in force.
     *
     * @param question they answer
     * @param schools  that need the step
     */
    public record Under(ConventionQuestion<? extends Convention> question, List<Convention> schools) {

        /**
         * Keeps copies of what could change.
         *
         * @param question they answer
         * @param schools  that need the step
         */
        public Under {
            schools = List.copyOf(schools);
        }

        /**
         * {@return whether a school in force is one of these}
         *
         * @param conventions the schools in force
         */
        public boolean holds(Conventions conventions) {
            return needs(conventions.in(question));
        }

        /** Whether a school needs the step. */
        boolean needs(Convention school) {
            return schools.stream().anyMatch(each -> each.key().equals(school.key()));
        }
    }

    /**
     * {@return a step that is taken in every run}
     *
     * @param path group and slot, as an experiment declares them
     */
    public static Step of(String path) {
        return step(path, Offer.ASKED, Optional.empty());
    }

    /**
     * {@return a step nobody needs to take, such as writing down a prediction}
     *
     * @param path group and slot, as an experiment declares them
     */
    public static Step aside(String path) {
        return step(path, Offer.ASIDE, Optional.empty());
    }

    private static Step step(String path, Offer offer, Optional<Role> half) {
        return new Step(path, 0, Optional.empty(), Optional.empty(), offer, half, Optional.empty(), Optional.empty());
    }

    /** {@return whether it is shown only where it was taken up} */
    public boolean aside() {
        return offer != Offer.ASKED;
    }

    /** {@return the same, asked no longer} */
    Step noLonger() {
        return new Step(path, minutes, condition, under, Offer.EARLIER, half, pace, exposed);
    }

    /**
     * {@return weighing a vessel empty, its full weighing being a step of its own}
     *
     * @param path group and slot, as an experiment declares them
     */
    public static Step empty(String path) {
        return step(path, Offer.ASKED, Optional.of(Role.TARE));
    }

    /**
     * {@return weighing a vessel full, its empty weighing being a step of its own}
     *
     * @param path group and slot, as an experiment declares them
     */
    public static Step full(String path) {
        return step(path, Offer.ASKED, Optional.of(Role.GROSS));
    }

    /**
     * {@return the same, which takes so long (min)}
     *
     * @param longer how long it takes (min)
     */
    public Step taking(int longer) {
        return new Step(path, longer, condition, under, offer, half, pace, exposed);
    }

    /**
     * {@return the same, taken after something has stood in a bath so long}
     *
     * @param usual time in the bath (min)
     */
    public Step soaking(int usual) {
        return taking(usual).going(Pace.Kind.BATH, usual);
    }

    /**
     * {@return the same, taken after something has settled so long}
     *
     * @param usual time to settle (min)
     */
    public Step settling(int usual) {
        return taking(usual).going(Pace.Kind.SETTLE, usual);
    }

    /**
     * {@return the same, where what warms is stopped at a rise and coasts to its turn}
     *
     * @param usual the rise (°C)
     */
    public Step stoppingAt(int usual) {
        return going(Pace.Kind.RISE, usual);
    }

    /**
     * {@return the same, whose wait begins already when another step is done: what can be done in the meantime comes
     * between them}
     *
     * @param earlier path of that step
     */
    public Step since(String earlier) {
        Optional<Pace> longer =
                pace.map(each -> new Pace(each.kind(), each.path(), each.usual(), Optional.of(earlier)));
        return new Step(path, minutes, condition, under, offer, half, longer, exposed);
    }

    private Step going(Pace.Kind kind, double usual) {
        return new Step(
                path, minutes, condition, under, offer, half, Optional.of(new Pace(kind, path, usual)), exposed);
    }

    /**
     * {@return the same, after which what was weighed lies open to the air until both come together}
     *
     * @param formula place where its formula stands
     */
    public Step exposing(String formula) {
        return new Step(path, minutes, condition, under, offer, half, pace, Optional.of(formula));
    }

    /**
     * {@return the same, where a choice was answered in one of these ways}
     *
     * @param choice  path of the choice
     * @param answers that ask for the step
     */
    public Step when(String choice, String... answers) {
        Condition answered = new Condition(choice, List.of(answers));
        return new Step(path, minutes, Optional.of(answered), under, offer, half, pace, exposed);
    }

    /**
     * {@return the same, where one of these schools is in force}
     *
     * @param question of convention
     * @param schools  that need the step
     */
    public Step under(ConventionQuestion<? extends Convention> question, Convention... schools) {
        return under(question, List.of(schools));
    }

    Step under(ConventionQuestion<? extends Convention> question, List<Convention> schools) {
        Under answered = new Under(question, schools);
        return new Step(path, minutes, condition, Optional.of(answered), offer, half, pace, exposed);
    }
}
