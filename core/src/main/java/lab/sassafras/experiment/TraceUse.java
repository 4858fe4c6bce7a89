package lab.sassafras.experiment;

import java.util.Locale;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which stretch of a trace a trial is read from, as it is kept: {@code <identity> from 0 to 540 mixing 180}.
 *
 * @param trace  its identity
 * @param from   first second that counts (s)
 * @param to     last second that counts (s)
 * @param mixing moment of mixing (s)
 */
public record TraceUse(String trace, double from, double to, double mixing) {

    private static final String SECONDS = "(\\d{1,7}(?:\\.\\d{1,3})?)";
    private static final Pattern KEPT =
            Pattern.compile("([0-9a-z-]{1,40}) from " + SECONDS + " to " + SECONDS + " mixing " + SECONDS);

    /**
     * {@return what a kept text says; empty where it says nothing of the kind}
     *
     * @param text as kept
     */
    public static Optional<TraceUse> of(String text) {
        Matcher kept = KEPT.matcher(text);
        return kept.matches()
                ? Optional.of(new TraceUse(
                        kept.group(1),
                        Double.parseDouble(kept.group(2)),
                        Double.parseDouble(kept.group(3)),
                        Double.parseDouble(kept.group(4))))
                : Optional.empty();
    }

    /**
     * {@return the same stretch of a trace under another name}
     *
     * @param name of the trace
     */
    public TraceUse named(String name) {
        return new TraceUse(name, from, to, mixing);
    }

    /** {@return as it is kept} */
    public String text() {
        return String.format(Locale.ROOT, "%s from %s to %s mixing %s", trace, plain(from), plain(to), plain(mixing));
    }

    private static String plain(double seconds) {
        return seconds == Math.rint(seconds)
                ? String.valueOf((long) seconds)
                : String.format(Locale.ROOT, "%.3f", seconds);
    }
}
