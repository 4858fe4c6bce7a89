package lab.sassafras.measure;

import javax.measure.IncommensurableException;
import javax.measure.Unit;
import javax.measure.UnitConverter;
import tech.units.indriya.AbstractUnit;
import tech.units.indriya.unit.Units;

/**
 * What a unit is made of: units multiplied and divided, with their sizes. Temperatures count by the size of their degree,
 * wherever their zero lies (JSR-385, Indriya).
 */
public final class UnitProduct {

    /** A pure number. */
    public static final UnitProduct ONE = new UnitProduct(AbstractUnit.ONE);

    private static final double NOISE = 1e-9;

    private final Unit<?> unit;

    private UnitProduct(Unit<?> unit) {
        this.unit = unit;
    }

    static UnitProduct of(Unit<?> unit) {
        return new UnitProduct(unit.equals(Units.CELSIUS) ? Units.KELVIN : unit);
    }

    /** Both multiplied. */
    public UnitProduct times(UnitProduct other) {
        return new UnitProduct(unit.multiply(other.unit));
    }

    /** This divided by another. */
    public UnitProduct over(UnitProduct other) {
        return new UnitProduct(unit.divide(other.unit));
    }

    /** Whether both measure the same with the same size. */
    public boolean sameAs(UnitProduct other) {
        try {
            UnitConverter converter = unit.getConverterToAny(other.unit);
            return Math.abs(converter.convert(1.0) - 1) < NOISE && Math.abs(converter.convert(0.0)) < NOISE;
        } catch (IncommensurableException different) {
            return false;
        }
    }

    @Override
    public String toString() {
        return unit.toString();
    }
}
