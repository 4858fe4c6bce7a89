package lab.sassafras.measure;

import java.util.List;

/**
 * What an instrument is, and what it reads. The range and the gain are those of one of which none is told. Common
 * practice, no source. An experiment may bring kinds of its own.
 *
 * @param key       stable name, as it is stored
 * @param word      what it is called in a sentence, and in files
 * @param dimension what it measures
 * @param usualGain half the width of the rectangle the gain of one never compared lies in (a part of one)
 * @param origin    the reading its gain leaves as it is (bench unit)
 * @param low       lower end of its usual range (bench unit)
 * @param high      upper end of its usual range (bench unit)
 */
public record InstrumentKind(
        String key, String word, Dimension dimension, double usualGain, double origin, double low, double high) {

    /** Reads a mass; its gain may be off by 0.05 %. */
    public static final InstrumentKind BALANCE =
            new InstrumentKind("BALANCE", "balance", Dimension.MASS, 0.0005, 0, 0, 400);
    /** Reads a temperature; its gain may be off by 0.2 %. */
    public static final InstrumentKind THERMOMETER =
            new InstrumentKind("THERMOMETER", "thermometer", Dimension.TEMPERATURE, 0.002, 20, -10, 110);
    /** Reads a volume; what that is off by is all in its offset. */
    public static final InstrumentKind CYLINDER =
            new InstrumentKind("CYLINDER", "cylinder or pipette", Dimension.VOLUME, 0, 0, 0, 250);

    private static final List<InstrumentKind> USUAL = List.of(BALANCE, THERMOMETER, CYLINDER);

    /** {@return the kinds every lab has} */
    public static List<InstrumentKind> usual() {
        return USUAL;
    }

    /** {@return the unit one of it shows} */
    public BenchUnit unit() {
        return BenchUnit.of(dimension).orElseThrow();
    }
}
