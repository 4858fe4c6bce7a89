package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Finding;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.Substance;

/**
 * What a result stands beside.
 *
 * @param remarks    what is to be said whatever the reference
 * @param reference  a value to compare with
 * @param compared   what is said where the result lies far from it
 * @param plausible  what it can be at all
 * @param between    two values between which it should lie, where there is no one reference
 * @param contenders what it may be
 */
public record Parts(
        List<Finding> remarks,
        Optional<Reference> reference,
        Compared compared,
        Optional<Plausible> plausible,
        Optional<Between> between,
        Optional<Contenders> contenders) {

    /** Nothing. */
    static final Parts NONE = new Parts(
            List.of(), Optional.empty(), Compared.QUIETLY, Optional.empty(), Optional.empty(), Optional.empty());

    /** {@return the same without anything that tells what the result should be} */
    public Parts withheld() {
        return new Parts(List.of(), Optional.empty(), Compared.QUIETLY, plausible, Optional.empty(), Optional.empty());
    }

    /**
     * {@return the same beside a value that somebody gave, and nothing else: what it may be is not asked any more}
     *
     * @param given that value
     */
    public Parts judgedBy(Reference given) {
        return new Parts(
                List.of(),
                Optional.of(given),
                compared == Compared.QUIETLY ? Compared.BY_SIZE : compared,
                plausible,
                Optional.empty(),
                Optional.empty());
    }

    /** What is said beside the comparison itself. */
    public enum Compared {
        /** Nothing more. */
        QUIETLY,
        /** Which reading to look at, where a positive result lies far off. */
        BY_SIZE,
        /** That it has the other sign, or else which reading to look at. */
        BY_SIGN_AND_SIZE
    }

    /**
     * What a quantity that cannot be negative may come to.
     *
     * @param key       first part of the codes of what is found
     * @param word      of the quantity, in a sentence
     * @param cannotBe  why it cannot be below nought; the result with its unit stands where %s is
     * @param tooLarge  that it is more than can be believed; the result stands where the first %s is, the largest where
     *                  the second is
     * @param typical   a middling value; empty where nothing is known of it
     * @param largest   the largest to believe
     */
    public record Plausible(
            String key,
            String word,
            String cannotBe,
            String tooLarge,
            OptionalDouble typical,
            OptionalDouble largest) {}

    /**
     * Two values between which a result should lie.
     *
     * @param code  of what is found
     * @param words why, and which they are
     * @param one   an end (unit of the result)
     * @param other the other end (unit of the result)
     */
    public record Between(String code, String words, double one, double other) {}

    /**
     * What a result may be.
     *
     * @param word of one of them, in a sentence
     * @param all  with the value each would give
     */
    public record Contenders(String word, List<Contender> all) {}

    /**
     * Something a result may belong to.
     *
     * @param substance   from the shelf
     * @param value       the result it would give (unit of the result)
     * @param uncertainty standard uncertainty of that
     * @param beside      by how many standard uncertainties something else that was measured is off; empty where
     *                    nothing was
     * @param objections  what was seen that speaks against it, in words
     */
    public record Contender(
            Substance substance, double value, double uncertainty, OptionalDouble beside, List<String> objections) {}

    /**
     * {@return a reference, or none}
     *
     * @param remarks   what is to be said whatever the reference
     * @param reference a value to compare with
     * @param compared  what is said where the result lies far from it
     */
    public static Parts beside(List<Finding> remarks, Optional<Reference> reference, Compared compared) {
        return new Parts(remarks, reference, compared, Optional.empty(), Optional.empty(), Optional.empty());
    }

    Parts plausible(Plausible what) {
        return new Parts(remarks, reference, compared, Optional.of(what), between, contenders);
    }

    Parts between(Between what) {
        return new Parts(remarks, reference, compared, plausible, Optional.of(what), contenders);
    }

    Parts contending(Contenders what) {
        return new Parts(remarks, reference, compared, plausible, between, Optional.of(what));
    }
}
