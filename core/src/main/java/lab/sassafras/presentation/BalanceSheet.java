package lab.sassafras.presentation;

import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import lab.sassafras.convention.Convention;

/** A way of opening the books. The numbers are the same; the first line of the working is not. */
public enum BalanceSheet implements Convention {
    /** Σq = 0. */
    SUM_ZERO("sum-zero", "Σq = 0", "All heats, each with its sign, add up to nothing.") {
        @Override
        String opening(List<String> sought, List<String> others, UnaryOperator<String> words) {
            return plus(sought) + " + " + plus(others) + " = 0";
        }
    },
    /** Heat lost = heat gained. */
    LOST_GAINED(
            "lost-gained",
            "heat lost = heat gained",
            "What one side lost the other gained; the side that lost is written with a minus, so "
                    + "that both are positive.") {
        @Override
        String opening(List<String> sought, List<String> others, UnaryOperator<String> words) {
            return words.apply("heat lost = heat gained:") + " −"
                    + (sought.size() > 1 ? "(" + plus(sought) + ")" : plus(sought)) + " = " + plus(others);
        }
    },
    /** Q(system) = −q(surroundings). */
    SYSTEM(
            "system",
            "q(system) = −q(surroundings)",
            "What is looked at is the system; water, vessel and the rest are its surroundings.") {
        @Override
        String opening(List<String> sought, List<String> others, UnaryOperator<String> words) {
            return words.apply("q(system) = −q(surroundings):") + " " + plus(sought) + " = −"
                    + (others.size() > 1 ? "(" + plus(others) + ")" : plus(others));
        }
    };

    private final Said said;

    BalanceSheet(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /**
     * The line the working opens with.
     *
     * @param sought heats on the side of the unknown, or all that gave; as written
     * @param others the other heats
     * @param words  how plain words are set between symbols
     */
    abstract String opening(List<String> sought, List<String> others, UnaryOperator<String> words);

    /** Whether the sides are those that gave and took, rather than what is sought and the rest. */
    boolean bySign() {
        return this == LOST_GAINED;
    }

    private static String plus(List<String> heats) {
        return heats.stream().collect(Collectors.joining(" + "));
    }

    @Override
    public Said said() {
        return said;
    }
}
