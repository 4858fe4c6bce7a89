package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;

/**
 * What a probe does that somebody should look at.
 *
 * @param kind  what it is
 * @param since when it began (s)
 */
public record Sign(Kind kind, double since) {

    /** What may be the matter. */
    public enum Kind {
        /** It leapt away and came back. */
        SPIKE,
        /** It leapt and stays. */
        JUMP,
        /** It went to the room's temperature and stands there: out of its liquid, perhaps. */
        OUT,
        /** It is at an end of what it can show. */
        RANGE
    }

    /** A leap is told for so long (s), and one so soon after mixing is none. No source. */
    static final double TOLD = 60;

    private static final double MIXES = 30;
    /** A leap is at least so much (°C). No source. */
    private static final double LEAST = 0.5;
    /** At the room's temperature within so much, and so much away from it before (°C). No source. */
    private static final double AT_ROOM = 0.4;

    private static final double AWAY = 1.5;
    /** It stands there for so long, and came there within so long (s). No source. */
    private static final double STANDS = 15;

    private static final double COMES = 120;

    /**
     * What goes with a probe.
     *
     * @param mixing  when both came together (s); empty while that is not marked
     * @param room    temperature of the room (°C); empty where it is not known
     * @param low     lower end of what it can show (°C)
     * @param high    upper end (°C)
     * @param display smallest step it shows (°C)
     */
    public record Around(OptionalDouble mixing, OptionalDouble room, double low, double high, double display) {}

    /**
     * {@return what its last minutes show}
     *
     * @param last   its readings of the last minutes, in order of time
     * @param around what goes with it
     */
    public static List<Sign> of(List<Reading> last, Around around) {
        List<Sign> signs = new ArrayList<>();
        if (last.isEmpty()) {
            return signs;
        }
        Reading now = last.get(last.size() - 1);
        if (now.temperature() <= around.low() || now.temperature() >= around.high()) {
            signs.add(new Sign(Kind.RANGE, since(last, around)));
        }
        leap(last, around, now, signs);
        around.room().ifPresent(room -> out(last, around, room, signs));
        return signs;
    }

    private static double since(List<Reading> last, Around around) {
        int i = last.size() - 1;
        while (i > 0
                && (last.get(i - 1).temperature() <= around.low()
                        || last.get(i - 1).temperature() >= around.high())) {
            i--;
        }
        return last.get(i).seconds();
    }

    private static void leap(List<Reading> last, Around around, Reading now, List<Sign> signs) {
        double limit = Math.max(LEAST, Spikes.limit(last, around.display()));
        for (int i = last.size() - 1; i > 0 && now.seconds() - last.get(i).seconds() <= TOLD; i--) {
            double at = last.get(i).seconds();
            boolean mixes = around.mixing().isPresent()
                    && at >= around.mixing().getAsDouble() - MIXES
                    && at <= around.mixing().getAsDouble() + MIXES;
            double before = last.get(i - 1).temperature();
            if (!mixes && Math.abs(last.get(i).temperature() - before) > limit) {
                // where it came back, the leap was the one before
                boolean back = i > 1 && returns(last, i, limit);
                signs.add(new Sign(
                        back ? Kind.SPIKE : Kind.JUMP,
                        last.get(back ? i - 1 : i).seconds()));
                return;
            }
        }
    }

    private static boolean returns(List<Reading> last, int i, double limit) {
        double here = last.get(i).temperature();
        return Math.abs(last.get(i - 2).temperature() - here) <= limit / 2
                || i > 2 && Math.abs(last.get(i - 3).temperature() - here) <= limit / 2;
    }

    private static void out(List<Reading> last, Around around, double room, List<Sign> signs) {
        double now = last.get(last.size() - 1).seconds();
        int came = last.size() - 1;
        while (came >= 0 && Math.abs(last.get(came).temperature() - room) <= AT_ROOM) {
            came--;
        }
        if (came < 0 || came == last.size() - 1) {
            return;
        }
        double since = last.get(came + 1).seconds();
        boolean mixed =
                around.mixing().isPresent() && Math.abs(since - around.mixing().getAsDouble()) <= COMES;
        boolean away = last.stream()
                .filter(each -> each.seconds() >= since - COMES && each.seconds() < since)
                .anyMatch(each -> Math.abs(each.temperature() - room) >= AWAY);
        if (away && !mixed && now - since >= STANDS) {
            signs.add(new Sign(Kind.OUT, since));
        }
    }
}
