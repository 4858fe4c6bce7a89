package lab.sassafras.declaration;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;

/**
 * What the hand goes by at a step: how long it waits, or how far it lets a temperature go. A class may have its own; no
 * result ever hangs on it.
 *
 * @param kind  what is gone by
 * @param path  group and slot of the step it belongs to
 * @param usual where the class has none of its own (min, or °C of a rise). Common practice, no source.
 * @param from  path of the step after which it begins, others being taken in the meantime; empty where it begins at its
 *              own step
 */
public record Pace(Kind kind, String path, double usual, Optional<String> from) {

    /**
     * One that begins at its own step.
     *
     * @param kind  what is gone by
     * @param path  group and slot of the step it belongs to
     * @param usual where the class has none of its own (min, or °C of a rise)
     */
    public Pace(Kind kind, String path, double usual) {
        this(kind, path, usual, Optional.empty());
    }

    /** What is gone by, with the least and the most of it. */
    public enum Kind {
        /** Time in a bath (min). */
        BATH(0.5, 120, true),
        /** Time to settle (min). */
        SETTLE(0.5, 120, true),
        /** Time on the clock before both come together (min). */
        BEFORE(0.5, 60, false),
        /** Time on the clock up to which is read (min). */
        UNTIL(1, 240, false),
        /** Time from mixing to the one reading that is taken (min). */
        ONCE(0.5, 60, true),
        /** Rise at which what warms is stopped (°C). */
        RISE(0.5, 80, false);

        private final double least;
        private final double most;
        private final boolean timer;

        Kind(double least, double most, boolean timer) {
            this.least = least;
            this.most = most;
            this.timer = timer;
        }

        /** {@return the name words and files know it by} */
        public String key() {
            return name().toLowerCase(Locale.ROOT);
        }

        /** {@return whether it runs by itself once begun} */
        public boolean timer() {
            return timer;
        }

        /** {@return unit of its amount, as written} */
        public String unit() {
            return this == RISE ? "°C" : "min";
        }

        private static Optional<Kind> of(String key) {
            return Arrays.stream(values())
                    .filter(each -> each.key().equals(key))
                    .findFirst();
        }
    }

    /** {@return name of the pace among those of its experiment} */
    public String key() {
        return kind.key() + " " + path;
    }

    /**
     * {@return kind and path of a pace kept under a key; empty where no such kind is known}
     *
     * @param key as {@link #key()} gives it
     */
    public static Optional<Kind> kindOf(String key) {
        return Kind.of(key.substring(0, Math.max(0, key.indexOf(' '))));
    }

    /**
     * {@return an amount as typed (min, or °C of a rise)}
     *
     * @param text    as typed
     * @param figures how numbers are written
     * @throws Refused where it is no number, or no such time or rise is ever gone by
     */
    public double read(String text, Figures figures) {
        double amount = TypedNumber.read(text, figures.mark()).value();
        if (amount < kind.least || amount > kind.most) {
            throw new Refused("Between " + figures.plain(kind.least) + " and " + figures.plain(kind.most) + " "
                    + kind.unit() + ".");
        }
        return amount;
    }
}
