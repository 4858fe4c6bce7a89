package lab.sassafras.hour;

import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/**
 * What of a class needs a look now.
 *
 * @param bench where
 * @param kind  what it is
 * @param words what it is, in words
 * @param since when it began
 */
public record Concern(String bench, Kind kind, String words, Instant since) {

    /** What needs a look, the most urgent first. */
    public enum Kind {
        /** The next step can hurt, and what is to be ticked off before it is not. */
        CAUTION,
        /** A value that cannot be. */
        CANNOT_BE,
        /** The range of an instrument is about to end. */
        RANGE,
        /** A hand is raised. */
        RAISED,
        /** A wait is over. */
        WAIT_OVER,
        /** Nothing came for long. */
        SILENT
    }

    private static final Comparator<Concern> MOST_URGENT =
            Comparator.comparing(Concern::kind).thenComparing(Concern::since).thenComparing(Concern::bench);

    /**
     * {@return what needs a look in a class: the most urgent first, of the same kind the oldest}
     *
     * @param benches of the class
     */
    public static List<Concern> of(Stream<BenchNow> benches) {
        return benches.flatMap(each -> each.concerns().stream())
                .sorted(MOST_URGENT)
                .toList();
    }
}
