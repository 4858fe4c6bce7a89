package lab.sassafras.verdict;

import java.util.List;

/**
 * Causes that move one and the same number the same way: no result tells one from the other, so they are said together.
 * Fixed beforehand, at most three together, for every experiment in which they meet.
 */
public final class Ties {

    /** Most that are said together. */
    public static final int MOST = 3;

    private static final List<List<String>> TABLE = List.of(
            List.of("cooled-in-transit", "not-through", "two-thermometers"),
            List.of("water-splashed", "water-with-probe", "drops-left-behind"),
            List.of("bar", "cup-ignored", "stand"),
            List.of("bar", "other-cup", "stand"),
            List.of("moist", "impure"),
            List.of("stuck", "undissolved"),
            List.of("moist-pellet", "unburnt"),
            List.of("lost-water", "water-with-probe"),
            List.of("warm-plate", "fuse-forgotten", "acid-forgotten"),
            List.of("carbonate", "base-off"),
            List.of("evaporated", "wet-fuel"),
            List.of("evaporated", "lost-to-air", "soot"),
            List.of("lost-to-air", "other-cup"),
            List.of("second-warmer", "two-thermometers"),
            List.of("cooled-before", "start-not-settled", "warmed-meanwhile"),
            List.of("final-too-early", "start-not-settled"),
            List.of("leaked", "start-not-settled"),
            List.of("lost-to-room", "start-not-settled"),
            List.of("lost-to-jacket", "start-not-settled"),
            List.of("lost-to-air", "start-not-settled"),
            List.of("lost-while-slow", "start-not-settled"),
            List.of("current-drifted", "switched-late"),
            List.of("still-heating", "two-thermometers"));

    private Ties() {}

    /**
     * {@return whether two causes move the same number the same way}
     *
     * @param one   key of a suspect
     * @param other key of another
     */
    public static boolean tied(String one, String other) {
        return TABLE.stream().anyMatch(each -> each.contains(one) && each.contains(other));
    }
}
