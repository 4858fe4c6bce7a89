package lab.sassafras.expression;

import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.measure.BenchUnit;

/** Numbers that are so by definition, with their units. */
public final class Constants {

    /** What heats in joules are divided by where they are told in kilojoules. */
    public static final Constant JOULES_IN_KILOJOULE = new Constant(1000, "1000", BenchUnit.JOULES_PER_KILOJOULE);

    /** What millilitres are divided by where they are told in litres. */
    public static final Constant MILLILITRES_IN_LITRE = new Constant(1000, "1000", BenchUnit.MILLILITRES_PER_LITRE);

    /** The whole, of which a share is told. */
    public static final Constant HUNDRED_PER_CENT = new Constant(100, "100", BenchUnit.PERCENT);

    /** The gas constant (J/(mol·K)): CODATA 2018, exact. */
    public static final Constant GAS = new Constant(8.31446261815324, "8.314462618", BenchUnit.JOULES_PER_MOLE_KELVIN);

    /** What a temperature in °C is less than in kelvin. */
    public static final Constant ICE_POINT = new Constant(273.15, "273.15", BenchUnit.KELVINS);

    /** The standard concentration, 1 mol/L. */
    public static final Constant ONE_MOLAR = new Constant(1, "1", BenchUnit.MOLES_PER_LITRE);

    /** The temperature tables hold at (K). */
    public static final Constant AT_25 = new Constant(298.15, "298.15", BenchUnit.KELVINS);

    private Constants() {}
}
