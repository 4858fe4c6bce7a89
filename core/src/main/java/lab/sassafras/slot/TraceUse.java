package lab.sassafras.slot;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.curve.Stated;
import lab.sassafras.curve.Windows;
import lab.sassafras.measure.Refused;

/**
 * Which stretch of a trace a trial is read from, as it is kept: {@code <identity> from 0 to 540 mixing 180}; without a
 * moment of mixing where nothing is mixed.
 *
 * @param trace  its identity
 * @param from   first second that counts (s)
 * @param to     last second that counts (s)
 * @param marked moment of mixing (s); empty where none is
 * @param windows which readings are baseline, where a person says so
 * @param once   time from mixing to a single reading (s)
 * @param fraction part of the change to whose moment lines are carried
 */
public record TraceUse(
        String trace,
        double from,
        double to,
        OptionalDouble marked,
        Optional<Windows> windows,
        double once,
        double fraction) {

    private static final double LEAST_PART = 0.1;
    /** A day (s): nothing is read longer. */
    public static final double LONGEST = 86_400;

    private static final String SECONDS = "(\\d{1,7}(?:\\.\\d{1,3})?)";
    private static final Pattern KEPT = Pattern.compile("([0-9a-z-]{1,40}) from " + SECONDS + " to " + SECONDS
            + "(?: mixing " + SECONDS + ")?(?: before " + SECONDS + " to " + SECONDS + " after " + SECONDS + " to "
            + SECONDS
            + ")?(?: wait " + SECONDS + ")?(?: part (0\\.\\d{1,3}))?");

    /**
     * The whole of a record, which of its readings are baseline being left to what they show.
     *
     * @param trace  its identity
     * @param from   first second that counts (s)
     * @param to     last second that counts (s)
     * @param mixing moment of mixing (s)
     */
    public TraceUse(String trace, double from, double to, double mixing) {
        this(
                trace,
                from,
                to,
                OptionalDouble.of(mixing),
                Optional.empty(),
                Stated.USUAL.once(),
                Stated.USUAL.fraction());
    }

    /**
     * {@return the whole of a record, as long as one can be}
     *
     * @param trace  its identity
     * @param mixing moment of mixing (s)
     */
    public static TraceUse whole(String trace, double mixing) {
        return new TraceUse(trace, 0, LONGEST, mixing);
    }

    /**
     * {@return the whole of a record in which nothing is mixed, as long as one can be}
     *
     * @param trace its identity
     */
    public static TraceUse whole(String trace) {
        return from(trace, 0);
    }

    /**
     * {@return a record in which nothing is mixed, from a second on}
     *
     * @param trace its identity
     * @param from  first second that counts (s), to the whole second
     */
    public static TraceUse from(String trace, double from) {
        return new TraceUse(
                trace,
                Math.rint(from),
                LONGEST,
                OptionalDouble.empty(),
                Optional.empty(),
                Stated.USUAL.once(),
                Stated.USUAL.fraction());
    }

    /** {@return the moment of mixing (s); the beginning where none is marked} */
    public double mixing() {
        return marked.orElse(from);
    }

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
                        second(kept, 2),
                        second(kept, 3),
                        kept.group(4) == null ? OptionalDouble.empty() : OptionalDouble.of(second(kept, 4)),
                        windows(kept),
                        kept.group(9) == null ? Stated.USUAL.once() : second(kept, 9),
                        kept.group(10) == null ? Stated.USUAL.fraction() : second(kept, 10)))
                : Optional.empty();
    }

    private static double second(Matcher kept, int group) {
        return Double.parseDouble(kept.group(group));
    }

    /** Stretches that cannot be, as only a foreign hand would write them, are left to what the readings show. */
    private static Optional<Windows> windows(Matcher kept) {
        try {
            return kept.group(5) == null
                    ? Optional.empty()
                    : Optional.of(new Windows(second(kept, 5), second(kept, 6), second(kept, 7), second(kept, 8)));
        } catch (Refused impossible) {
            return Optional.empty();
        }
    }

    /**
     * {@return the same stretch of a trace under another name}
     *
     * @param name of the trace
     */
    public TraceUse named(String name) {
        return new TraceUse(name, from, to, marked, windows, once, fraction);
    }

    /**
     * {@return the same stretch with another moment of mixing}
     *
     * @param seconds on its clock (s)
     */
    public TraceUse mixedAt(double seconds) {
        return new TraceUse(trace, from, to, OptionalDouble.of(seconds), windows, once, fraction);
    }

    /**
     * {@return the same stretch with other baselines}
     *
     * @param chosen by a person; empty to leave it to what the readings show
     */
    public TraceUse with(Optional<Windows> chosen) {
        return new TraceUse(trace, from, to, marked, chosen, once, fraction);
    }

    /**
     * {@return the same stretch, a single reading being taken after another wait}
     *
     * @param seconds from mixing (s)
     */
    public TraceUse waiting(double seconds) {
        return new TraceUse(trace, from, to, marked, windows, seconds, fraction);
    }

    /**
     * {@return the same stretch, lines being carried to another part of the change}
     *
     * @param part of the change (0.1 to 0.9)
     * @throws Refused for any other
     */
    public TraceUse carriedTo(double part) {
        if (!(part >= LEAST_PART && part <= 1 - LEAST_PART)) {
            throw new Refused(
                    "A part of the change from 0.1 to 0.9, such as 0.6, 0.63, or 0.5 for a heater or a flame.");
        }
        return new TraceUse(trace, from, to, marked, windows, once, part);
    }

    /**
     * {@return the same, of another stretch}
     *
     * @param first second that counts (s)
     * @param last  second that counts (s)
     */
    public TraceUse between(double first, double last) {
        return new TraceUse(trace, first, last, marked, windows, once, fraction);
    }

    /** {@return as it is kept} */
    public String text() {
        return trace + " from " + plain(from) + " to " + plain(to)
                + (marked.isPresent() ? " mixing " + plain(marked.getAsDouble()) : "")
                + windows.map(each -> " before " + plain(each.foreFrom()) + " to " + plain(each.foreTo()) + " after "
                                + plain(each.afterFrom()) + " to " + plain(each.afterTo()))
                        .orElse("")
                + (once == Stated.USUAL.once() ? "" : " wait " + plain(once))
                + (fraction == Stated.USUAL.fraction() ? "" : " part " + plain(fraction));
    }

    private static String plain(double seconds) {
        return seconds == Math.rint(seconds)
                ? String.valueOf((long) seconds)
                : String.format(Locale.ROOT, "%.3f", seconds);
    }
}
