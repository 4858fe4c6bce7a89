package lab.sassafras.measure;

/**
 * The record of one instrument.
 *
 * @param key                identity; readings with the same key share one offset
 * @param name               what the class calls it
 * @param kind               what it measures with
 * @param unit               the unit it shows
 * @param resolution         smallest step it shows (bench unit)
 * @param low                lower end of its range (bench unit)
 * @param high               upper end of its range (bench unit)
 * @param offsetUncertainty  standard uncertainty of the offset that all its readings share (bench unit)
 * @param readingUncertainty standard uncertainty of one reading where the record states one; 0 stands for
 *                           resolution ÷ √12 (rectangular, JCGM 100:2008, 4.3.7)
 */
public record Instrument(
        String key,
        String name,
        Kind kind,
        BenchUnit unit,
        double resolution,
        double low,
        double high,
        double offsetUncertainty,
        double readingUncertainty) {

    /** What an instrument is, and which dimension it reads. */
    public enum Kind {
        /** Reads a mass. */
        BALANCE("balance", Dimension.MASS),
        /** Reads a temperature. */
        THERMOMETER("thermometer", Dimension.TEMPERATURE),
        /** Reads a volume. */
        CYLINDER("cylinder or pipette", Dimension.VOLUME);

        private final String word;
        private final Dimension dimension;

        Kind(String word, Dimension dimension) {
            this.word = word;
            this.dimension = dimension;
        }

        /** {@return what it is called in a sentence} */
        public String word() {
            return word;
        }

        /** {@return what it measures} */
        public Dimension dimension() {
            return dimension;
        }
    }

    /**
     * {@return the same instrument under another name}
     *
     * @param other what the class calls it
     */
    public Instrument called(String other) {
        return new Instrument(key, other, kind, unit, resolution, low, high, offsetUncertainty, readingUncertainty);
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

    /** {@return the offset shared by all readings of this instrument} */
    public Shared offset() {
        return Shared.everywhere("instrument:" + key, "offset of " + name, offsetUncertainty, Double.POSITIVE_INFINITY);
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
