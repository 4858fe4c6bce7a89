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
import static tech.units.indriya.unit.Units.WATT;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.stream.Collectors;
import javax.measure.IncommensurableException;
import javax.measure.Unit;
import javax.measure.UnitConverter;
import org.jspecify.annotations.Nullable;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.unit.Units;

/**
 * A unit met at the bench. Of each dimension the first in the list is the one numbers are computed in; an experiment
 * may bring more ({@link OwnUnits}), and the list is put together once. Conversion is JSR-385 (Indriya). The calorie is
 * the thermochemical one,
 * 4.184 J exactly (NIST SP 811, B.8).
 */
public final class BenchUnit {

    /** g. */
    public static final BenchUnit GRAMS = of("g", Dimension.MASS, GRAM);
    /** kg. */
    public static final BenchUnit KILOGRAMS = of("kg", Dimension.MASS, KILO(GRAM));
    /** mg. */
    public static final BenchUnit MILLIGRAMS = of("mg", Dimension.MASS, MILLI(GRAM));
    /** °C. */
    public static final BenchUnit DEGREES_CELSIUS = of("°C", Dimension.TEMPERATURE, CELSIUS);
    /** K. */
    public static final BenchUnit KELVINS = of("K", Dimension.TEMPERATURE, KELVIN);
    /** mL. */
    public static final BenchUnit MILLILITRES = of("mL", Dimension.VOLUME, MILLI(LITRE));
    /** cm³. */
    public static final BenchUnit CUBIC_CENTIMETRES = of("cm³", Dimension.VOLUME, CUBIC_METRE.divide(1_000_000));
    /** L. */
    public static final BenchUnit LITRES = of("L", Dimension.VOLUME, LITRE);
    /** g/mL. */
    public static final BenchUnit GRAMS_PER_MILLILITRE = of("g/mL", Dimension.DENSITY, GRAM.divide(MILLI(LITRE)));
    /** mol. */
    public static final BenchUnit MOLES = of("mol", Dimension.AMOUNT, MOLE);
    /** mol/L. */
    public static final BenchUnit MOLES_PER_LITRE = of("mol/L", Dimension.CONCENTRATION, MOLE.divide(LITRE));
    /** mmol/L. */
    public static final BenchUnit MILLIMOLES_PER_LITRE =
            of("mmol/L", Dimension.CONCENTRATION, MILLI(MOLE).divide(LITRE));
    /** hPa. */
    public static final BenchUnit HECTOPASCALS = of("hPa", Dimension.PRESSURE, HECTO(PASCAL));
    /** kPa. */
    public static final BenchUnit KILOPASCALS = of("kPa", Dimension.PRESSURE, KILO(PASCAL));
    /** bar. */
    public static final BenchUnit BARS = of("bar", Dimension.PRESSURE, PASCAL.multiply(100_000));
    /** 1/K. */
    public static final BenchUnit PER_KELVIN =
            of("1/K", Dimension.of("one by the temperature"), AbstractUnit.ONE.divide(KELVIN));
    /** cm. */
    public static final BenchUnit CENTIMETRES = of("cm", Dimension.LENGTH, CENTI(METRE));
    /** mm. */
    public static final BenchUnit MILLIMETRES = of("mm", Dimension.LENGTH, MILLI(METRE));
    /** J/cm. */
    public static final BenchUnit JOULES_PER_CENTIMETRE =
            of("J/cm", Dimension.ENERGY_BY_LENGTH, JOULE.divide(CENTI(METRE)));
    /** cal/cm. */
    public static final BenchUnit CALORIES_PER_CENTIMETRE =
            of("cal/cm", Dimension.ENERGY_BY_LENGTH, JOULE.multiply(4.184).divide(CENTI(METRE)));
    /** J/(mol·K). */
    public static final BenchUnit JOULES_PER_MOLE_KELVIN =
            of("J/(mol·K)", Dimension.MOLAR_ENTROPY, JOULE.divide(MOLE.multiply(KELVIN)));
    /** cal/(mol·K). */
    public static final BenchUnit CALORIES_PER_MOLE_KELVIN =
            of("cal/(mol·K)", Dimension.MOLAR_ENTROPY, JOULE.multiply(4.184).divide(MOLE.multiply(KELVIN)));
    /** V. */
    public static final BenchUnit VOLTS = of("V", Dimension.VOLTAGE, VOLT);
    /** A. */
    public static final BenchUnit AMPERES = of("A", Dimension.CURRENT, AMPERE);
    /** W. */
    public static final BenchUnit WATTS = of("W", Dimension.POWER, WATT);
    /** mW. */
    public static final BenchUnit MILLIWATTS = of("mW", Dimension.POWER, MILLI(WATT));
    /** kW. */
    public static final BenchUnit KILOWATTS = of("kW", Dimension.POWER, KILO(WATT));
    /** W/°C. */
    public static final BenchUnit WATTS_PER_DEGREE = of("W/°C", Dimension.HEAT_LEAK, WATT.divide(KELVIN));
    /** g/mol. */
    public static final BenchUnit GRAMS_PER_MOLE = of("g/mol", Dimension.MOLAR_MASS, GRAM.divide(MOLE));
    /** s. */
    public static final BenchUnit SECONDS = of("s", Dimension.TIME, SECOND);
    /** min. */
    public static final BenchUnit MINUTES = of("min", Dimension.TIME, MINUTE);
    /** J. */
    public static final BenchUnit JOULES = of("J", Dimension.ENERGY, JOULE);
    /** kJ. */
    public static final BenchUnit KILOJOULES = of("kJ", Dimension.ENERGY, KILO(JOULE));
    /** cal. */
    public static final BenchUnit CALORIES = of("cal", Dimension.ENERGY, JOULE.multiply(4.184));
    /** kcal. */
    public static final BenchUnit KILOCALORIES = of("kcal", Dimension.ENERGY, JOULE.multiply(4184));
    /** kJ/mol. */
    public static final BenchUnit KILOJOULES_PER_MOLE =
            of("kJ/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).divide(MOLE));
    /** J/mol. */
    public static final BenchUnit JOULES_PER_MOLE = of("J/mol", Dimension.MOLAR_ENERGY, JOULE.divide(MOLE));
    /** cal/mol. */
    public static final BenchUnit CALORIES_PER_MOLE =
            of("cal/mol", Dimension.MOLAR_ENERGY, JOULE.multiply(4.184).divide(MOLE));
    /** kcal/mol. */
    public static final BenchUnit KILOCALORIES_PER_MOLE =
            of("kcal/mol", Dimension.MOLAR_ENERGY, KILO(JOULE).multiply(4.184).divide(MOLE));
    /** %. */
    public static final BenchUnit PERCENT = of("%", Dimension.FRACTION, Units.PERCENT);
    /** J/g. */
    public static final BenchUnit JOULES_PER_GRAM = of("J/g", Dimension.SPECIFIC_ENERGY, JOULE.divide(GRAM));
    /** kJ/kg. */
    public static final BenchUnit KILOJOULES_PER_KILOGRAM =
            of("kJ/kg", Dimension.SPECIFIC_ENERGY, KILO(JOULE).divide(KILO(GRAM)));
    /** cal/g. */
    public static final BenchUnit CALORIES_PER_GRAM =
            of("cal/g", Dimension.SPECIFIC_ENERGY, JOULE.multiply(4.184).divide(GRAM));
    /** The heat of a process per gram: the same unit, with a sign that says which way the heat went. */
    public static final BenchUnit JOULES_PER_GRAM_OF_PROCESS = of("J/g", Dimension.PROCESS_ENERGY, JOULE.divide(GRAM));
    /** cal/g. */
    public static final BenchUnit CALORIES_PER_GRAM_OF_PROCESS =
            of("cal/g", Dimension.PROCESS_ENERGY, JOULE.multiply(4.184).divide(GRAM));
    /** J/(g·°C). */
    public static final BenchUnit JOULES_PER_GRAM_DEGREE =
            of("J/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.divide(GRAM.multiply(KELVIN)));
    /** J/(kg·K). */
    public static final BenchUnit JOULES_PER_KILOGRAM_KELVIN =
            of("J/(kg·K)", Dimension.SPECIFIC_HEAT, JOULE.divide(KILO(GRAM).multiply(KELVIN)));
    /** cal/(g·°C). */
    public static final BenchUnit CALORIES_PER_GRAM_DEGREE =
            of("cal/(g·°C)", Dimension.SPECIFIC_HEAT, JOULE.multiply(4.184).divide(GRAM.multiply(KELVIN)));
    /** °C/s. */
    public static final BenchUnit DEGREES_PER_SECOND = of("°C/s", Dimension.RATE, KELVIN.divide(SECOND));
    /** 1/s. */
    public static final BenchUnit PER_SECOND = of("1/s", Dimension.RATE_CONSTANT, AbstractUnit.ONE.divide(SECOND));
    /** J/°C. */
    public static final BenchUnit JOULES_PER_DEGREE = of("J/°C", Dimension.HEAT_CAPACITY, JOULE.divide(KELVIN));
    /** cal/°C. */
    public static final BenchUnit CALORIES_PER_DEGREE =
            of("cal/°C", Dimension.HEAT_CAPACITY, JOULE.multiply(4.184).divide(KELVIN));
    /** A pure number. */
    public static final BenchUnit NUMBER = of("", Dimension.NONE, AbstractUnit.ONE);

    /** How many joules a kilojoule is; only constants are in it. */
    public static final BenchUnit JOULES_PER_KILOJOULE = of("J/kJ", Dimension.FACTOR, JOULE.divide(KILO(JOULE)));
    /** How many millilitres a litre is; only constants are in it. */
    public static final BenchUnit MILLILITRES_PER_LITRE =
            of("mL/L", Dimension.of("factor of volume"), MILLI(LITRE).divide(LITRE));

    private final String symbol;
    private final Dimension dimension;
    private final Unit<?> unit;

    private BenchUnit(String symbol, Dimension dimension, Unit<?> unit) {
        this.symbol = symbol;
        this.dimension = dimension;
        this.unit = unit;
    }

    /** Every unit known here, put together when the first is asked for. */
    private static final class Known {

        private static final List<BenchUnit> USUAL = List.of(
                GRAMS,
                KILOGRAMS,
                MILLIGRAMS,
                DEGREES_CELSIUS,
                KELVINS,
                MILLILITRES,
                CUBIC_CENTIMETRES,
                LITRES,
                GRAMS_PER_MILLILITRE,
                MOLES,
                MOLES_PER_LITRE,
                MILLIMOLES_PER_LITRE,
                HECTOPASCALS,
                KILOPASCALS,
                BARS,
                PER_KELVIN,
                CENTIMETRES,
                MILLIMETRES,
                JOULES_PER_CENTIMETRE,
                CALORIES_PER_CENTIMETRE,
                JOULES_PER_MOLE_KELVIN,
                CALORIES_PER_MOLE_KELVIN,
                VOLTS,
                AMPERES,
                WATTS,
                MILLIWATTS,
                KILOWATTS,
                WATTS_PER_DEGREE,
                GRAMS_PER_MOLE,
                SECONDS,
                MINUTES,
                JOULES,
                KILOJOULES,
                CALORIES,
                KILOCALORIES,
                KILOJOULES_PER_MOLE,
                JOULES_PER_MOLE,
                CALORIES_PER_MOLE,
                KILOCALORIES_PER_MOLE,
                PERCENT,
                JOULES_PER_GRAM,
                KILOJOULES_PER_KILOGRAM,
                CALORIES_PER_GRAM,
                JOULES_PER_GRAM_OF_PROCESS,
                CALORIES_PER_GRAM_OF_PROCESS,
                JOULES_PER_GRAM_DEGREE,
                JOULES_PER_KILOGRAM_KELVIN,
                CALORIES_PER_GRAM_DEGREE,
                DEGREES_PER_SECOND,
                PER_SECOND,
                JOULES_PER_DEGREE,
                CALORIES_PER_DEGREE,
                NUMBER,
                JOULES_PER_KILOJOULE,
                MILLILITRES_PER_LITRE);

        private static final List<BenchUnit> ALL = all(ServiceLoader.load(OwnUnits.class).stream()
                .flatMap(own -> own.get().units().stream())
                .toList());

        private static final Map<Dimension, BenchUnit> BENCH =
                ALL.stream().collect(Collectors.toMap(BenchUnit::dimension, each -> each, (first, later) -> first));

        private Known() {}
    }

    /**
     * {@return the usual units with those experiments bring, each once}
     *
     * @param own those experiments bring
     * @throws IllegalStateException where two are written alike and are not the same
     */
    static List<BenchUnit> all(List<BenchUnit> own) {
        List<BenchUnit> all = new ArrayList<>(Known.USUAL);
        for (BenchUnit each : own) {
            all.stream()
                    .filter(known -> known.symbol.equals(each.symbol) && !known.equals(each))
                    .findFirst()
                    .ifPresent(known -> {
                        throw new IllegalStateException("“" + each.symbol + "” is " + known.dimension.word()
                                + " here and " + each.dimension.word() + " there: declare one of them");
                    });
            if (!all.contains(each)) {
                all.add(each);
            }
        }
        return List.copyOf(all);
    }

    /**
     * {@return a unit, which is known for reading and choosing where it is in the list or an experiment brings it}
     *
     * @param symbol    as written
     * @param dimension what it measures
     * @param unit      the same for JSR-385, of that dimension
     */
    public static BenchUnit of(String symbol, Dimension dimension, Unit<?> unit) {
        return new BenchUnit(symbol, dimension, unit);
    }

    /**
     * {@return the unit whose symbol is written so; empty for an unknown or missing symbol}
     *
     * @param symbol as written
     */
    public static Optional<BenchUnit> of(String symbol) {
        return Known.ALL.stream().filter(each -> each.symbol.equals(symbol)).findFirst();
    }

    /**
     * {@return the bench's own unit of a dimension; empty where nobody declared one}
     *
     * @param dimension what is measured
     */
    public static Optional<BenchUnit> of(Dimension dimension) {
        return Known.ALL.stream()
                .filter(each -> each.dimension.equals(dimension))
                .findFirst();
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
        List<BenchUnit> known = Known.ALL.stream()
                .filter(each -> each.dimension.equals(dimension))
                .toList();
        return known.isEmpty() ? List.of(this) : known;
    }

    /** {@return the unit this dimension is computed in} */
    public BenchUnit benchUnit() {
        return Known.BENCH.getOrDefault(dimension, this);
    }

    /**
     * Converts a value into the bench's own unit. A temperature is taken as a temperature, not a difference.
     *
     * @param value the value (this unit)
     * @return the value (bench unit of the dimension)
     */
    public double toBench(double value) {
        BenchUnit bench = benchUnit();
        return equals(bench) ? value : converter(unit, bench.unit).convert(value);
    }

    /**
     * Converts a width (a resolution, an uncertainty, a difference) into the bench's own unit: kelvin and °C
     * differences are the same size, so nothing is ever added.
     *
     * @param width the width (this unit)
     * @return the width (bench unit of the dimension)
     */
    public double widthToBench(double width) {
        return dimension.equals(Dimension.TEMPERATURE) ? width : toBench(width);
    }

    private static UnitConverter converter(Unit<?> from, Unit<?> to) {
        try {
            return from.getConverterToAny(to);
        } catch (IncommensurableException e) {
            throw new IllegalStateException("units of one dimension must convert: " + from + " to " + to, e);
        }
    }

    @Override
    public boolean equals(@Nullable Object other) {
        return other instanceof BenchUnit unitThere
                && symbol.equals(unitThere.symbol)
                && dimension.equals(unitThere.dimension)
                && unit.equals(unitThere.unit);
    }

    @Override
    public int hashCode() {
        return Objects.hash(symbol, dimension);
    }

    @Override
    public String toString() {
        return symbol;
    }
}
