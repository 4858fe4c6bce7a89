package lab.sassafras.measure;

import static javax.measure.MetricPrefix.CENTI;
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
import static tech.units.indriya.unit.Units.METRE;
import static tech.units.indriya.unit.Units.MINUTE;
import static tech.units.indriya.unit.Units.MOLE;
import static tech.units.indriya.unit.Units.PASCAL;
import static tech.units.indriya.unit.Units.SECOND;
import static tech.units.indriya.unit.Units.VOLT;

import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import javax.measure.IncommensurableException;
import javax.measure.Unit;
import javax.measure.UnitConverter;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.unit.Units;

/**
 * The units met at the bench. The first unit declared of each dimension is the one numbers are computed in. An
 * experiment may declare more beside itself. Conversion is JSR-385 (Indriya). The calorie is the thermochemical one,
 * 4.184 J exactly (NIST SP 811, B.8).
 */
public final class BenchUnit {

    private static final List<BenchUnit> KNOWN = new CopyOnWriteArrayList<>();

    /** g. */
    public static final BenchUnit GRAMS = declare("g", Dimension.MASS, GRAM);
    /** kg. */
    public static final BenchUnit KILOGRAMS = declare("kg", Dimension.MASS, KILO(GRAM));
    /** mg. */
    public static final BenchUnit MILLIGRAMS = declare("mg", Dimension.MASS, MILLI(GRAM));
    /** °C. */
    public static final BenchUnit DEGREES_CELSIUS = declare("°C", Dimension.TEMPERATURE, CELSIUS);
    /** K. */
    public static final BenchUnit KELVINS = declare("K", Dimension.TEMPERATURE, KELVIN);
    /** mL. */
    public static final BenchUnit MILLILITRES = declare("mL", Dimension.VOLUME, MILLI(LITRE));
    /** cm³. */
    public static final BenchUnit CUBIC_CENTIMETRES = declare("cm³", Dimension.VOLUME, CUBIC_METRE.divide(1_000_000));
    /** L. */
    public static final BenchUnit LITRES = declare("L", Dimension.VOLUME, LITRE);
    /** g/mL. */
    public static final BenchUnit GRAMS_PER_MILLILITRE = declare("g/mL", Dimension.DENSITY, GRAM.divide(MILLI(LITRE)));
    /** mol. */
    public static final BenchUnit MOLES = declare("mol", Dimension.AMOUNT, MOLE);
    /** mol/L. */
    public static final BenchUnit MOLES_PER_LITRE = declare("mol/L", Dimension.CONCENTRATION, MOLE.divide(LITRE));
    /** mmol/L. */
    public static final BenchUnit MILLIMOLES_PER_LITRE =
            declare("mmol/L", Dimension.CONCENTRATION, MILLI(MOLE).divide(LITRE));
    /** hPa. */
    public static final BenchUnit HECTOPASCALS = declare("hPa", Dimension.PRESSURE, HECTO(PASCAL));
    /** kPa. */
    public static final BenchUnit KILOPASCALS = declare("kPa", Dimension.PRESSURE, KILO(PASCAL));
    /** bar. */
    public static final BenchUnit BARS = declare("bar", Dimension.PRESSURE, PASCAL.multiply(100_000));
    /** 1/K. */
    public static final BenchUnit PER_KELVIN =
            declare("1/K", Dimension.of("one by the temperature"), AbstractUnit.ONE.divide(KELVIN));
    /** cm. */
    public static final BenchUnit CENTIMETRES = declare("cm", Dimension.LENGTH, CENTI(METRE));
    /** mm. */
    public static final BenchUnit MILLIMETRES = declare("mm", Dimension.LENGTH, MILLI(METRE));
    /** J/cm. */
    public static final BenchUnit JOULES_PER_CENTIMETRE =
            declare("J/cm", Dimension.ENERGY_BY_LENGTH, JOULE.divide(CENTI(METRE)));
    /** cal/cm. */
    public static final BenchUnit CALORIES_PER_CENTIMETRE =
            declare("cal/cm", Dimension.ENERGY_BY_LENGTH, JOULE.multiply(4.184).divide(CENTI(METRE)));
    /** J/(mol·K). */
    public static final BenchUnit JOULES_PER_MOLE_KELVIN =
            declare("J/(mol·K)", Dimension.MOLAR_ENTROPY, JOULE.divide(MOLE.multiply(KELVIN)));
    /** cal/(mol·K). */
    public static final BenchUnit CALORIES_PER_MOLE_KELVIN = declare(
            "cal/(mol·K)", Dimension.MOLAR_ENTROPY, JOULE.multiply(4.184).divide(MOLE.multiply(KELVIN)));
    /** V. */
    public static final BenchUnit VOLTS = declare("V", Dimension.VOLTAGE, VOLT);
    /** A. */
    public static final BenchUnit AMPERES = declare("A", Dimension.CURRENT, AMPERE);
    /** g/mol. */
    public static final BenchUnit GRAMS_PER_MOLE = declare("g/mol", Dimension.MOLAR_MASS, GRAM.divide(MOLE));
    /** s. */
    public static final BenchUnit SECONDS = declare("s", Dimension.TIME, SECOND);
    /** min. */
    public static final BenchUnit MINUTES = declare("min", Dimension.TIME, MINUTE);
    /** J. */
    public static final BenchUnit JOULES = declare("J", Dimension.ENERGY, JOULE);
    /** kJ. */
    public static final BenchUnit KILOJOULES = declare("kJ", Dimension.ENERGY, KILO(JOULE));
    /** cal. */
    public static final BenchUnit CALORIES = declare("cal", Dimension.ENERGY, JOULE.multiply(4.184));
    /** kcal. */
    public static final BenchUnit KILOCALORIES = declare("kcal", Dimension.ENERGY, JOULE.multiply(4184));
    /** kJ/mol. */
    public static final BenchUnit KILOJOULES_PER_MOLE =
            declare("kJ/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).divide(MOLE));
    /** J/mol. */
    public static final BenchUnit JOULES_PER_MOLE = declare("J/mol", Dimension.MOLAR_ENERGY, JOULE.divide(MOLE));
    /** cal/mol. */
    public static final BenchUnit CALORIES_PER_MOLE =
            declare("cal/mol", Dimension.MOLAR_ENERGY, JOULE.multiply(4.184).divide(MOLE));
    /** kcal/mol. */
    public static final BenchUnit KILOCALORIES_PER_MOLE = declare(
            "kcal/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).multiply(4.184).divide(MOLE));
    /** %. */
    public static final BenchUnit PERCENT = declare("%", Dimension.FRACTION, Units.PERCENT);
    /** J/g. */
    public static final BenchUnit JOULES_PER_GRAM = declare("J/g", Dimension.SPECIFIC_ENERGY, JOULE.divide(GRAM));
    /** kJ/kg. */
    public static final BenchUnit KILOJOULES_PER_KILOGRAM =
            declare("kJ/kg", Dimension.SPECIFIC_ENERGY, KILO(JOULE).divide(KILO(GRAM)));
    /** cal/g. */
    public static final BenchUnit CALORIES_PER_GRAM =
            declare("cal/g", Dimension.SPECIFIC_ENERGY, JOULE.multiply(4.184).divide(GRAM));
    /** The heat of a process per gram: the same unit, with a sign that says which way the heat went. */
    public static final BenchUnit JOULES_PER_GRAM_OF_PROCESS =
            declare("J/g", Dimension.PROCESS_ENERGY, JOULE.divide(GRAM));
    /** cal/g. */
    public static final BenchUnit CALORIES_PER_GRAM_OF_PROCESS =
            declare("cal/g", Dimension.PROCESS_ENERGY, JOULE.multiply(4.184).divide(GRAM));
    /** J/(g·°C). */
    public static final BenchUnit JOULES_PER_GRAM_DEGREE =
            declare("J/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.divide(GRAM.multiply(KELVIN)));
    /** J/(kg·K). */
    public static final BenchUnit JOULES_PER_KILOGRAM_KELVIN =
            declare("J/(kg·K)", Dimension.SPECIFIC_HEAT, JOULE.divide(KILO(GRAM).multiply(KELVIN)));
    /** cal/(g·°C). */
    public static final BenchUnit CALORIES_PER_GRAM_DEGREE =
            declare("cal/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.multiply(4.184).divide(GRAM.multiply(KELVIN)));
    /** °C/s. */
    public static final BenchUnit DEGREES_PER_SECOND = declare("°C/s", Dimension.RATE, KELVIN.divide(SECOND));
    /** 1/s. */
    public static final BenchUnit PER_SECOND = declare("1/s", Dimension.RATE_CONSTANT, AbstractUnit.ONE.divide(SECOND));
    /** J/°C. */
    public static final BenchUnit JOULES_PER_DEGREE = declare("J/°C", Dimension.HEAT_CAPACITY, JOULE.divide(KELVIN));
    /** cal/°C. */
    public static final BenchUnit CALORIES_PER_DEGREE =
            declare("cal/°C", Dimension.HEAT_CAPACITY, JOULE.multiply(4.184).divide(KELVIN));
    /** A pure number. */
    public static final BenchUnit NUMBER = declare("", Dimension.NONE, AbstractUnit.ONE);

    /** How many joules a kilojoule is; only constants are in it. */
    public static final BenchUnit JOULES_PER_KILOJOULE = declare("J/kJ", Dimension.FACTOR, JOULE.divide(KILO(JOULE)));
    /** How many millilitres a litre is; only constants are in it. */
    public static final BenchUnit MILLILITRES_PER_LITRE =
            declare("mL/L", Dimension.of("factor of volume"), MILLI(LITRE).divide(LITRE));

    private final String symbol;
    private final Dimension dimension;
    private final Unit<?> unit;
    private final BenchUnit bench;

    private BenchUnit(String symbol, Dimension dimension, Unit<?> unit) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.unit = unit;
        this.bench = KNOWN.stream()
                .filter(each -> each.dimension == dimension)
                .findFirst()
                .orElse(this);
    }

    /**
     * {@return makes a unit known, once; a second time it is the same one}
     *
     * @param symbol    as written
     * @param dimension what it measures
     * @param unit      the same for JSR-385, of that dimension
     * @throws IllegalStateException where another unit of that dimension is written so
     */
    public static synchronized BenchUnit declare(String symbol, Dimension dimension, Unit<?> unit) {
        Optional<BenchUnit> known = KNOWN.stream()
                .filter(each -> each.dimension == dimension && each.symbol.equals(symbol))
                .findFirst();
        if (known.isPresent()) {
            if (!known.get().unit.equals(unit)) {
                throw new IllegalStateException("two units of " + dimension.word() + " are written " + symbol);
            }
            return known.get();
        }
        BenchUnit declared = new BenchUnit(symbol, dimension, unit);
        KNOWN.add(declared);
        return declared;
    }

    /**
     * {@return the unit whose symbol is written so; empty for an unknown or missing symbol}
     *
     * @param symbol as written
     */
    public static Optional<BenchUnit> of(String symbol) {
        return KNOWN.stream().filter(each -> each.symbol.equals(symbol)).findFirst();
    }

    /**
     * {@return the bench's own unit of a dimension; empty where nobody declared one}
     *
     * @param dimension what is measured
     */
    public static Optional<BenchUnit> of(Dimension dimension) {
        return KNOWN.stream().filter(each -> each.dimension == dimension).findFirst();
    }

    /** {@return as written} */
    public String symbol() {
        return symbol;
    }

    /** {@return what it measures} */
    public Dimension dimension() {
        return dimension;
    }

    /** {@return what it is made of, for checking what is multiplied and added} */
    public UnitProduct product() {
        return UnitProduct.of(unit);
    }

    /** {@return all units of the same dimension, the bench's own first} */
    public List<BenchUnit> sameDimension() {
        return KNOWN.stream().filter(each -> each.dimension == dimension).toList();
    }

    /** {@return the unit this dimension is computed in} */
    public BenchUnit benchUnit() {
        return bench;
    }
    /**
     * Converts a value into the bench's own unit. A temperature is taken as a temperature, not a difference.
     *
     * @param value the value (this unit)
     * @return the value (bench unit of the dimension)
     */
    public double toBench(double value) {
        return this == bench ? value : converter(unit, bench.unit).convert(value);
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

    @Override
    public String toString() {
        return symbol;
    }
}
