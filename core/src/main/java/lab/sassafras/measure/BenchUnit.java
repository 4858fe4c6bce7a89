package lab.sassafras.measure;

import static javax.measure.MetricPrefix.HECTO;
import static javax.measure.MetricPrefix.KILO;
import static javax.measure.MetricPrefix.MILLI;
import static tech.units.indriya.unit.Units.AMPERE;
import static tech.units.indriya.unit.Units.CELSIUS;
import static tech.units.indriya.unit.Units.CUBIC_METRE;
import static tech.units.indriya.unit.Units.GRAM;
import static tech.units.indriya.unit.Units.JOULE;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.MOLE;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.SECOND;
import static tech.units.indriya.unit.Units.VOLT;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javax.measure.IncommensurableException;
import javax.measure.Unit;
import javax.measure.UnitConverter;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.unit.Units;

/**
 * The units met at the bench. The first unit listed of each dimension is the one numbers are computed in.
 * Conversion is JSR-385 (Indriya). The calorie is the thermochemical one, 4.184 J exactly (NIST SP 811, B.8).
 */
public enum BenchUnit {
    GRAMS("g", Dimension.MASS, GRAM),
    KILOGRAMS("kg", Dimension.MASS, KILO(GRAM)),
    MILLIGRAMS("mg", Dimension.MASS, MILLI(GRAM)),
    DEGREES_CELSIUS("°C", Dimension.TEMPERATURE, CELSIUS),
    KELVINS("K", Dimension.TEMPERATURE, KELVIN),
    MILLILITRES("mL", Dimension.VOLUME, MILLI(LITRE)),
    CUBIC_CENTIMETRES("cm³", Dimension.VOLUME, CUBIC_METRE.divide(1_000_000)),
    LITRES("L", Dimension.VOLUME, LITRE),
    GRAMS_PER_MILLILITRE("g/mL", Dimension.DENSITY, GRAM.divide(MILLI(LITRE))),
    MOLES("mol", Dimension.AMOUNT, MOLE),
    MOLES_PER_LITRE("mol/L", Dimension.CONCENTRATION, MOLE.divide(LITRE)),
    MILLIMOLES_PER_LITRE("mmol/L", Dimension.CONCENTRATION, MILLI(MOLE).divide(LITRE)),
    HECTOPASCALS("hPa", Dimension.PRESSURE, HECTO(PASCAL)),
    KILOPASCALS("kPa", Dimension.PRESSURE, KILO(PASCAL)),
    VOLTS("V", Dimension.VOLTAGE, VOLT),
    AMPERES("A", Dimension.CURRENT, AMPERE),
    GRAMS_PER_MOLE("g/mol", Dimension.MOLAR_MASS, GRAM.divide(MOLE)),
    SECONDS("s", Dimension.TIME, SECOND),
    MINUTES("min", Dimension.TIME, MINUTE),
    JOULES("J", Dimension.ENERGY, JOULE),
    KILOJOULES("kJ", Dimension.ENERGY, KILO(JOULE)),
    CALORIES("cal", Dimension.ENERGY, JOULE.multiply(4.184)),
    KILOCALORIES("kcal", Dimension.ENERGY, JOULE.multiply(4184)),
    KILOJOULES_PER_MOLE("kJ/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).divide(MOLE)),
    JOULES_PER_MOLE("J/mol", Dimension.MOLAR_ENERGY, JOULE.divide(MOLE)),
    CALORIES_PER_MOLE("cal/mol", Dimension.MOLAR_ENERGY, JOULE.multiply(4.184).divide(MOLE)),
    KILOCALORIES_PER_MOLE(
            "kcal/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).multiply(4.184).divide(MOLE)),
    PERCENT("%", Dimension.FRACTION, Units.PERCENT),
    JOULES_PER_GRAM("J/g", Dimension.SPECIFIC_ENERGY, JOULE.divide(GRAM)),
    KILOJOULES_PER_KILOGRAM("kJ/kg", Dimension.SPECIFIC_ENERGY, KILO(JOULE).divide(KILO(GRAM))),
    CALORIES_PER_GRAM("cal/g", Dimension.SPECIFIC_ENERGY, JOULE.multiply(4.184).divide(GRAM)),
    /** The heat of a process per gram: the same unit, with a sign that says which way the heat went. */
    JOULES_PER_GRAM_OF_PROCESS("J/g", Dimension.PROCESS_ENERGY, JOULE.divide(GRAM)),
    CALORIES_PER_GRAM_OF_PROCESS(
            "cal/g", Dimension.PROCESS_ENERGY, JOULE.multiply(4.184).divide(GRAM)),
    JOULES_PER_GRAM_DEGREE("J/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.divide(GRAM.multiply(KELVIN))),
    JOULES_PER_KILOGRAM_KELVIN(
            "J/(kg·K)", Dimension.SPECIFIC_HEAT, JOULE.divide(KILO(GRAM).multiply(KELVIN))),
    CALORIES_PER_GRAM_DEGREE(
            "cal/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.multiply(4.184).divide(GRAM.multiply(KELVIN))),
    DEGREES_PER_SECOND("°C/s", Dimension.RATE, KELVIN.divide(SECOND)),
    PER_SECOND("1/s", Dimension.RATE_CONSTANT, AbstractUnit.ONE.divide(SECOND)),
    JOULES_PER_DEGREE("J/°C", Dimension.HEAT_CAPACITY, JOULE.divide(KELVIN)),
    CALORIES_PER_DEGREE("cal/°C", Dimension.HEAT_CAPACITY, JOULE.multiply(4.184).divide(KELVIN)),
    NUMBER("", Dimension.NONE, AbstractUnit.ONE);

    private final String symbol;
    private final Dimension dimension;
    private final Unit<?> unit;

    BenchUnit(String symbol, Dimension dimension, Unit<?> unit) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.unit = unit;
    }

    /** The unit whose symbol is written so; empty for an unknown or missing symbol. */
    public static Optional<BenchUnit> of(String symbol) {
        return Arrays.stream(values())
                .filter(each -> each.symbol.equals(symbol))
                .findFirst();
    }

    public String symbol() {
        return symbol;
    }

    public Dimension dimension() {
        return dimension;
    }

    /** All units of the same dimension, the bench's own first. */
    public List<BenchUnit> sameDimension() {
        return Arrays.stream(values())
                .filter(each -> each.dimension == dimension)
                .toList();
    }

    /** The unit this dimension is computed in. */
    public BenchUnit benchUnit() {
        return sameDimension().get(0);
    }

    /**
     * Converts a value into the bench's own unit. A temperature is taken as a temperature, not a difference.
     *
     * @param value the value (this unit)
     * @return the value (bench unit of the dimension)
     */
    public double toBench(double value) {
        return this == benchUnit() ? value : converter(unit, benchUnit().unit).convert(value);
    }

    /**
     * Converts a width (a resolution, an uncertainty, a difference) into the bench's own unit: kelvin and °C
     * differences are the same size, so nothing is ever added.
     *
     * @param width the width (this unit)
     * @return the width (bench unit of the dimension)
     */
    public double widthToBench(double width) {
        return dimension == Dimension.TEMPERATURE ? width : toBench(width);
    }

    private static UnitConverter converter(Unit<?> from, Unit<?> to) {
        try {
            return from.getConverterToAny(to);
        } catch (IncommensurableException e) {
            throw new IllegalStateException("units of one dimension must convert: " + from + " to " + to, e);
        }
    }
}
