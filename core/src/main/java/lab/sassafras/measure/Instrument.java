package lab.sassafras.measure;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The record of one instrument.
 *
 * @param key                identity; readings with the same key share one offset and one gain
 * @param name               what the class calls it
 * @param kind               what it measures with
 * @param unit               the unit it shows
 * @param resolution         smallest step it shows (bench unit)
 * @param low                lower end of its range (bench unit)
 * @param high               upper end of its range (bench unit)
 * @param offsetUncertainty  standard uncertainty of the offset that all its readings share (bench unit)
 * @param readingUncertainty standard uncertainty of one reading where the record states one; 0 stands for
 *                           resolution ÷ √12 (rectangular, JCGM 100:2008, 4.3.7)
 * @param correction         what is known of its scale
 */
public record Instrument(
        String key,
        String name,
        InstrumentKind kind,
        BenchUnit unit,
        double resolution,
        double low,
        double high,
        double offsetUncertainty,
        double readingUncertainty,
        Correction correction) {

    /**
     * An instrument never compared with anything, its gain as far off as is usual for its kind.
     *
     * @param key                identity; readings with the same key share one offset and one gain
     * @param name               what the class calls it
     * @param kind               what it measures with
     * @param unit               the unit it shows
     * @param resolution         smallest step it shows (bench unit)
     * @param low                lower end of its range (bench unit)
     * @param high               upper end of its range (bench unit)
     * @param offsetUncertainty  standard uncertainty of the offset that all its readings share (bench unit)
     * @param readingUncertainty standard uncertainty of one reading where the record states one, else 0
     */
    public Instrument(
            String key,
            String name,
            InstrumentKind kind,
            BenchUnit unit,
            double resolution,
            double low,
            double high,
            double offsetUncertainty,
            double readingUncertainty) {
        this(
                key,
                name,
                kind,
                unit,
                resolution,
                low,
                high,
                offsetUncertainty,
                readingUncertainty,
                Correction.unknown(kind.usualGain()));
    }

    /**
     * A reading put right by what is known of the scale.
     *
     * @param value  (bench unit)
     * @param shares what it has in common with every other reading of the instrument
     */
    public record Corrected(double value, List<Measured.Share> shares) {}

    /**
     * A source of error that belongs to an instrument.
     *
     * @param instrument its key
     * @param which      empty for the offset, "gain", or "point:" and its number from 0
     */
    public record Source(String instrument, String which) {

        private static final Pattern OF_INSTRUMENTS = Pattern.compile("instrument:(.*?)(?::(gain|point:\\d+))?");

        /**
         * {@return whose error it is; empty where it belongs to no instrument}
         *
         * @param source of error
         */
        public static Optional<Source> of(Shared source) {
            Matcher read = OF_INSTRUMENTS.matcher(source.key());
            return read.matches()
                    ? Optional.of(new Source(read.group(1), read.group(2) == null ? "" : read.group(2)))
                    : Optional.empty();
        }

        /**
         * {@return whether a value knows an instrument's offset and was found before its gain counted}
         *
         * @param value with what it shares
         */
        public static boolean lacksGain(Measured value) {
            List<Source> all = value.shares().stream()
                    .flatMap(share -> of(share.source()).stream())
                    .toList();
            return all.stream()
                    .anyMatch(each -> each.which().isEmpty() && !all.contains(new Source(each.instrument(), "gain")));
        }
    }

    /**
     * {@return the same instrument under another name}
     *
     * @param other what the class calls it
     */
    public Instrument called(String other) {
        return new Instrument(
                key, other, kind, unit, resolution, low, high, offsetUncertainty, readingUncertainty, correction);
    }

    /**
     * {@return the same instrument under another identity}
     *
     * @param other identity
     */
    public Instrument keyed(String other) {
        return new Instrument(
                other, name, kind, unit, resolution, low, high, offsetUncertainty, readingUncertainty, correction);
    }

    /** {@return digits after the mark that it shows} */
    public int decimals() {
        return (int) Math.max(0, Math.ceil(-Math.log10(resolution) - 1e-9));
    }

    /** {@return standard uncertainty of one reading, without the shared offset (bench unit)} */
    public double standardUncertainty() {
        return readingUncertainty > 0 ? readingUncertainty : resolution / Math.sqrt(12);
    }

    /**
     * {@return whether a reading was written with fewer digits than it shows}
     *
     * @param lastDigit one unit of the last digit written (bench unit)
     */
    public boolean coarser(double lastDigit) {
        return lastDigit > resolution * (1 + 1e-9);
    }

    /** {@return the offset shared by all readings of this instrument where no point of comparison tells it} */
    public Shared offset() {
        return Shared.everywhere(identity(), "offset of " + name, offsetUncertainty, Double.POSITIVE_INFINITY);
    }

    /** {@return the gain shared by all its readings where its points do not tell it (a part of one)} */
    public Shared gain() {
        return new Shared(
                identity() + ":gain",
                "gain of " + name,
                correction.gain() / Math.sqrt(3),
                Double.POSITIVE_INFINITY,
                Scope.EVERYWHERE,
                Shape.RECTANGULAR);
    }

    private Shared compared(int point) {
        return Shared.everywhere(
                identity() + ":point:" + point,
                "comparison " + (point + 1) + " of " + name,
                correction.uncertainty(correction.points().get(point), standardUncertainty()),
                Double.POSITIVE_INFINITY);
    }

    private String identity() {
        return "instrument:" + key;
    }

    /**
     * {@return one of the errors all its readings have in common; empty where it has none of that name}
     *
     * @param which empty for the offset, "gain", or "point:" and its number from 0
     */
    public Optional<Shared> source(String which) {
        return corrected(kind.origin() + 1).shares().stream()
                .map(Measured.Share::source)
                .filter(each -> each.key().equals(which.isEmpty() ? identity() : identity() + ":" + which))
                .findFirst();
    }

    /**
     * {@return a reading put right by the points it was compared at, with its shares of what they leave unknown}
     *
     * @param reading as typed or timed (bench unit)
     */
    public Corrected corrected(double reading) {
        List<Measured.Share> shares = new ArrayList<>();
        List<Correction.Point> points = correction.points();
        double value = reading;
        if (points.isEmpty()) {
            shares.add(new Measured.Share(offset(), 1));
        } else {
            List<Double> parts = correction.parts(reading, standardUncertainty());
            for (int i = 0; i < points.size(); i++) {
                value += parts.get(i) * points.get(i).correction();
                shares.add(new Measured.Share(compared(i), parts.get(i)));
            }
        }
        if (!correction.tellsGain()) {
            double origin = points.isEmpty() ? kind.origin() : points.get(0).reading();
            shares.add(new Measured.Share(gain(), reading - origin));
        }
        return new Corrected(value, List.copyOf(shares));
    }

    /**
     * {@return whether a reading lies within its range}
     *
     * @param value a reading (bench unit)
     */
    public boolean covers(double value) {
        return value >= low && value <= high;
    }
}
