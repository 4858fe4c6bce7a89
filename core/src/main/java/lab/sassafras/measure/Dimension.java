package lab.sassafras.measure;

import java.util.OptionalDouble;
import org.jspecify.annotations.Nullable;

/**
 * What a number measures, and what it is per, with the physical limits no reading may pass. An experiment may have one
 * of its own.
 */
public final class Dimension {

    /** Mass (g). */
    public static final Dimension MASS = notNegative("mass");
    /** Temperature (°C). */
    public static final Dimension TEMPERATURE = new Dimension("temperature", -273.15, 5000, false);
    /** Volume (mL). */
    public static final Dimension VOLUME = notNegative("volume");
    /** Density (g/mL). */
    public static final Dimension DENSITY = notNegative("density");
    /** Amount of substance (mol). */
    public static final Dimension AMOUNT = notNegative("amount");
    /** Molar mass (g/mol). */
    public static final Dimension MOLAR_MASS = notNegative("molar mass");
    /** Concentration (mol/L). */
    public static final Dimension CONCENTRATION = notNegative("concentration");
    /** Pressure (hPa). */
    public static final Dimension PRESSURE = notNegative("pressure");
    /** Length (cm). */
    public static final Dimension LENGTH = notNegative("length");
    /** Heat of burning by length (J/cm). */
    public static final Dimension ENERGY_BY_LENGTH = notNegative("heat per length");
    /** Heat per mole and degree, such as an entropy (J/(mol·K)). */
    public static final Dimension MOLAR_ENTROPY = directed("heat per mole and degree");
    /** Voltage (V). */
    public static final Dimension VOLTAGE = notNegative("voltage");
    /** Current (A). */
    public static final Dimension CURRENT = notNegative("current");
    /** Power (W). */
    public static final Dimension POWER = notNegative("power");
    /** Heat lost for each degree above the room (W/°C). */
    public static final Dimension HEAT_LEAK = of("heat leak");
    /** Time that passed (s). */
    public static final Dimension TIME = notNegative("time");
    /** Rate of temperature change (°C/s). */
    public static final Dimension RATE = of("rate of temperature change");
    /** Rate constant (1/s). */
    public static final Dimension RATE_CONSTANT = of("rate constant");
    /** Heat taken up (J). */
    public static final Dimension ENERGY = directed("heat");
    /** Heat of a process per mole (kJ/mol). */
    public static final Dimension MOLAR_ENERGY = directed("heat per mole");
    /** A share of a whole (%). */
    public static final Dimension FRACTION = new Dimension("fraction", 0, 100, false);
    /** Heat of a change of state per gram (J/g). */
    public static final Dimension SPECIFIC_ENERGY = of("heat per gram");
    /** Heat of a process per gram (J/g). */
    public static final Dimension PROCESS_ENERGY = directed("heat of a process per gram");
    /** Specific heat (J/(g·°C)). */
    public static final Dimension SPECIFIC_HEAT = of("specific heat");
    /** Heat capacity (J/°C). */
    public static final Dimension HEAT_CAPACITY = of("heat capacity");
    /** A factor between a unit and its multiple, which only a constant is. */
    public static final Dimension FACTOR = of("factor");
    /** A pure number. */
    public static final Dimension NONE = of("number");

    private final String word;
    private final double floor;
    private final double ceiling;
    private final boolean directed;

    private Dimension(String word, double floor, double ceiling, boolean directed) {
        this.word = word;
        this.floor = floor;
        this.ceiling = ceiling;
        this.directed = directed;
    }

    /**
     * {@return a dimension of any sign}
     *
     * @param word what it is called in a sentence
     */
    public static Dimension of(String word) {
        return new Dimension(word, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, false);
    }

    /**
     * {@return a dimension no reading of which is below zero}
     *
     * @param word what it is called in a sentence
     */
    public static Dimension notNegative(String word) {
        return new Dimension(word, 0, Double.POSITIVE_INFINITY, false);
    }

    /**
     * {@return a dimension whose sign says which way heat went, and is always printed}
     *
     * @param word what it is called in a sentence
     */
    public static Dimension directed(String word) {
        return new Dimension(word, Double.NEGATIVE_INFINITY, Double.POSITIVE_INFINITY, true);
    }

    /** {@return whether a value's sign says which way heat went, and is always printed} */
    public boolean directed() {
        return directed;
    }

    /** {@return what it is called in a sentence} */
    public String word() {
        return word;
    }

    /** {@return the least value that can be real, in the dimension's bench unit; empty where there is none} */
    public OptionalDouble floor() {
        return Double.isInfinite(floor) ? OptionalDouble.empty() : OptionalDouble.of(floor);
    }

    /** {@return the largest value that can be real, in the dimension's bench unit; empty where there is none} */
    public OptionalDouble ceiling() {
        return Double.isInfinite(ceiling) ? OptionalDouble.empty() : OptionalDouble.of(ceiling);
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof Dimension there
                && word.equals(there.word)
                && floor == there.floor
                && ceiling == there.ceiling
                && directed == there.directed;
    }

    @Override
    public int hashCode() {
        return word.hashCode();
    }

    @Override
    public String toString() {
        return word;
    }
}
