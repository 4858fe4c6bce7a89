package lab.sassafras.experiment.bomb.sample;

import static javax.measure.MetricPrefix.HECTO;
import static javax.measure.MetricPrefix.MILLI;
import static tech.units.indriya.unit.Units.JOULE;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.LITRE;
import static tech.units.indriya.unit.Units.MOLE;
import static tech.units.indriya.unit.Units.PASCAL;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javax.measure.Unit;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Least;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Expression.Quotient;
import lab.sassafras.expression.Expression.Sum;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;

/**
 * From the bomb to standard states, 25 °C: every substance by itself and at one bar. What E. W. Washburn (J. Res. NBS
 * 10 (1933) 525) set out, for C, H and O: in short by the pressure alone, or in full by pressure, volume and water,
 * with the constants W. N. Hubbard, D. W. Scott and G. Waddington (1956) took for oxygen and its mixtures with carbon
 * dioxide. From memory; left out is what stays below a joule a gram (what water dissolves of oxygen, what liquids are
 * compressed).
 */
final class StandardStates {

    /** 0.0030 kcal for each mole of carbon and atmosphere (kJ). */
    private static final double IN_SHORT = 0.0030 * 4.184;

    private static final double HECTOPASCALS_IN_ATMOSPHERE = 1013.25;
    private static final Constant ATMOSPHERE =
            new Constant(HECTOPASCALS_IN_ATMOSPHERE, "1013.25", BenchUnit.HECTOPASCALS);

    /** R in the units of the gauge and of the vessel. */
    private static final Constant GAS = new Constant(
            1e4 * Constants.GAS.value(),
            "83144.6",
            unit("hPa·mL/(mol·K)", HECTO(PASCAL).multiply(MILLI(LITRE)).divide(MOLE.multiply(KELVIN))));

    /** How oxygen departs from the ideal gas: 0.00061 an atmosphere. */
    private static final Constant DEPARTURE = new Constant(
            0.00061 / HECTOPASCALS_IN_ATMOSPHERE,
            "6.02e-7",
            unit("1/hPa", HECTO(PASCAL).inverse()));

    /** By how much a mole of oxygen has less energy for every atmosphere: 1.574 cal. */
    private static final Constant DRAWN_TOGETHER = new Constant(
            1.574 * 4.184 / HECTOPASCALS_IN_ATMOSPHERE,
            "0.006500",
            unit("J/(mol·hPa)", JOULE.divide(MOLE.multiply(HECTO(PASCAL)))));

    /** What water takes up of carbon dioxide: 0.0342 mol for a litre and atmosphere. */
    private static final Constant TAKEN_UP = new Constant(
            0.0342e-3 / HECTOPASCALS_IN_ATMOSPHERE,
            "3.375e-8",
            unit("mol/(mL·hPa)", MOLE.divide(MILLI(LITRE).multiply(HECTO(PASCAL)))));

    /** Given off as a mole of carbon dioxide dissolves, at constant volume: 20.29 kJ less R T. */
    private static final Constant DISSOLVING = new Constant(17_810, "17810", BenchUnit.JOULES_PER_MOLE);

    private static final Constant WATER = new Constant(0.997047, "0.99705", BenchUnit.GRAMS_PER_MILLILITRE);
    /** What a millilitre of gas holds of water, saturated. */
    private static final Constant SATURATED = new Constant(2.305e-5, "2.305e-5", BenchUnit.GRAMS_PER_MILLILITRE);
    /** Taken up as a gram of water evaporates, at constant volume: 44.0 kJ/mol less R T. */
    private static final Constant EVAPORATING = new Constant(2305, "2305", BenchUnit.JOULES_PER_GRAM);

    private static final Constant MOLAR_MASS_OF_WATER = new Constant(18.015, "18.015", BenchUnit.GRAMS_PER_MOLE);

    private final double carbon;
    private final double hydrogen;
    private final double oxygen;

    private StandardStates(Map<String, Integer> atoms) {
        carbon = atoms.getOrDefault("C", 0);
        hydrogen = atoms.getOrDefault("H", 0);
        oxygen = atoms.getOrDefault("O", 0);
    }

    private static BenchUnit unit(String symbol, Unit<?> unit) {
        return BenchUnit.of(symbol, Dimension.of(symbol), unit);
    }

    /** Empty for what burns to more than carbon dioxide and water. */
    static Optional<StandardStates> of(Map<String, Integer> atoms) {
        return atoms.containsKey("C") && Set.of("C", "H", "O").containsAll(atoms.keySet())
                ? Optional.of(new StandardStates(atoms))
                : Optional.empty();
    }

    /**
     * What is added to ΔU (kJ/mol), by the pressure (hPa) alone: good to a tenth, with some 3 g of water for each
     * litre.
     */
    Expression inShort(Expression pressure) {
        double each = IN_SHORT * carbon;
        double byPressure = each * (1 - 1.1 * (hydrogen - 2 * oxygen) / (4 * carbon));
        return perMole(byPressure).times(pressure.over(ATMOSPHERE)).plus(perMole(2 * each));
    }

    private static Constant perMole(double value) {
        return new Constant(value, String.format(Locale.ROOT, "%.5f", value), BenchUnit.KILOJOULES_PER_MOLE);
    }

    /**
     * What is added to ΔU (kJ/mol), in full.
     *
     * @param moles    of the sample (mol)
     * @param pressure of the oxygen as it was filled, absolute (hPa)
     * @param volume   inside the bomb (mL)
     * @param water    put in beforehand (g)
     */
    Expression inFull(Expression moles, Expression pressure, Expression volume, Expression water) {
        Expression thermal = new Product(List.of(GAS, Constants.AT_25));
        Expression formed = moles.times(number(hydrogen / 2)).times(MOLAR_MASS_OF_WATER);
        Expression room = volume.minus(water.over(WATER)).named(Symbol.of("V:gas before"), BenchUnit.MILLILITRES);
        Expression filled = pressure.times(room)
                .over(thermal)
                .over(number(1).minus(DEPARTURE.times(pressure)))
                .named(Symbol.of("n:oxygen"), BenchUnit.MOLES);
        Expression dioxide = moles.times(number(carbon));
        Expression gas = filled.minus(moles.times(number(carbon + hydrogen / 4 - oxygen / 2)))
                .plus(dioxide)
                .named(Symbol.of("n:gas after"), BenchUnit.MOLES);
        Expression share = dioxide.over(gas);
        Expression liquid = water.plus(formed).over(WATER).named(Symbol.of("V:water after"), BenchUnit.MILLILITRES);
        Expression roomAfter = volume.minus(liquid);
        Expression ideal = gas.times(thermal).over(roomAfter);
        Expression departs = DEPARTURE.times(number(1)
                .plus(number(3.21)
                        .times(share)
                        .times(number(1).plus(number(1.33).times(share)))));
        Expression after = new Quotient(ideal, number(1).plus(departs.times(ideal)))
                .named(Symbol.of("p:gas after"), BenchUnit.HECTOPASCALS);
        Expression apart = DRAWN_TOGETHER
                .times(gas)
                .times(after)
                .times(number(1).plus(number(1.69).times(share).times(number(1).plus(share))))
                .minus(DRAWN_TOGETHER.times(filled).times(pressure))
                .named(Symbol.of("ΔU:gases apart"), BenchUnit.JOULES);
        Expression outOfWater = new Product(List.of(TAKEN_UP, share, after, liquid, DISSOLVING))
                .named(Symbol.of("ΔU:out of water"), BenchUnit.JOULES);
        Expression vapour = new Least(List.of(water, SATURATED.times(room)))
                .minus(new Least(List.of(water.plus(formed), SATURATED.times(roomAfter))))
                .times(EVAPORATING)
                .named(Symbol.of("ΔU:vapour"), BenchUnit.JOULES);
        return new Sum(List.of(apart, outOfWater, vapour)).over(moles).over(Constants.JOULES_IN_KILOJOULE);
    }

    private static Expression number(double value) {
        return Expression.number(
                value, value == Math.rint(value) ? Long.toString(Math.round(value)) : Double.toString(value));
    }
}
