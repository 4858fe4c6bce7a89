package lab.sassafras.measure;

import java.util.OptionalDouble;

/** What a number measures, with the physical limit no reading may pass. */
public enum Dimension {
    MASS("mass", 0.0),
    TEMPERATURE("temperature", -273.15),
    VOLUME("volume", 0.0),
    DENSITY("density", 0.0),
    AMOUNT("amount", 0.0),
    MOLAR_MASS("molar mass", 0.0),
    CONCENTRATION("concentration", 0.0),
    PRESSURE("pressure", 0.0),
    VOLTAGE("voltage", 0.0),
    CURRENT("current", 0.0),
    TIME("time", 0.0),
    RATE("rate of temperature change", Double.NEGATIVE_INFINITY),
    RATE_CONSTANT("rate constant", Double.NEGATIVE_INFINITY),
    ENERGY("heat", Double.NEGATIVE_INFINITY),
    MOLAR_ENERGY("heat per mole", Double.NEGATIVE_INFINITY),
    FRACTION("fraction", 0.0),
    SPECIFIC_ENERGY("heat per gram", Double.NEGATIVE_INFINITY),
    PROCESS_ENERGY("heat of a process per gram", Double.NEGATIVE_INFINITY),
    SPECIFIC_HEAT("specific heat", Double.NEGATIVE_INFINITY),
    HEAT_CAPACITY("heat capacity", Double.NEGATIVE_INFINITY),
    NONE("number", Double.NEGATIVE_INFINITY);

    private final String word;
    private final double floor;

    Dimension(String word, double floor) {
        this.word = word;
        this.floor = floor;
    }

    /** Whether a value's sign says which way heat went, and is always printed. */
    public boolean directed() {
        return this == ENERGY || this == MOLAR_ENERGY || this == PROCESS_ENERGY;
    }

    public String word() {
        return word;
    }

    /** The least value that can be real, in the dimension's bench unit; empty where there is none. */
    public OptionalDouble floor() {
        return Double.isInfinite(floor) ? OptionalDouble.empty() : OptionalDouble.of(floor);
    }

    /** The largest value that can be real, in the dimension's bench unit; empty where there is none. */
    public OptionalDouble ceiling() {
        return this == FRACTION ? OptionalDouble.of(100) : OptionalDouble.empty();
    }
}
