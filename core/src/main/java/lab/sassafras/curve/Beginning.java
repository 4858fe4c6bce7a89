package lab.sassafras.curve;

import java.util.OptionalDouble;

/**
 * When the temperature began to change, by the readings themselves: before the mark, the readings next to it already
 * lie off the line of those before them; after it, the first ones still lie on it.
 */
final class Beginning {

    /** So many times the noise off the line is off it. */
    private static final double OFF = 5;
    /** A mark is not further from its moment than a hand is slow (s), or than two readings are apart. */
    private static final double SLOW_HAND = 10;

    private static final int FEWEST = 4;

    private Beginning() {}

    /** Seconds from the mark, negative before it; empty where the rise begins at the mark, as near as can be told. */
    static OptionalDouble of(Baselines of) {
        if (of.before < FEWEST) {
            return OptionalDouble.empty();
        }
        double sign = Math.signum(of.middleAfter() - of.temperatures[of.before / 2]);
        int sure = Math.max(2, of.before / 2);
        LineFit line = of.line(0, sure);
        double off = OFF * Math.max(of.leastNoise, of.aboutNeighbours());
        int first = of.before;
        while (first > sure && sign * (of.temperatures[first - 1] - line.at(of.seconds[first - 1])) > off) {
            first--;
        }
        double found;
        if (first < of.before) {
            found = (of.seconds[first - 1] + of.seconds[first]) / 2;
        } else {
            LineFit whole = of.line(0, of.before);
            int last = of.before;
            while (last < of.seconds.length && sign * (of.temperatures[last] - whole.at(of.seconds[last])) <= off) {
                last++;
            }
            if (last == of.before || last == of.seconds.length) {
                return OptionalDouble.empty();
            }
            found = (of.seconds[last - 1] + of.seconds[last]) / 2;
        }
        double apart = (of.seconds[of.before - 1] - of.seconds[0]) / (of.before - 1);
        return Math.abs(found) > Math.max(SLOW_HAND, 1.5 * apart) ? OptionalDouble.of(found) : OptionalDouble.empty();
    }
}
