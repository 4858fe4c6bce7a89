package lab.sassafras.measure;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import javax.measure.Dimension;
import javax.measure.IncommensurableException;
import javax.measure.Unit;
import tech.units.indriya.unit.UnitDimension;

/**
 * What a unit is made of: powers of the base units and a size, for checking what is multiplied and added. Temperatures
 * count by the size of their degree, wherever their zero lies. Taken apart by JSR-385 (Indriya).
 */
public final class UnitProduct {

    private static final List<Dimension> BASES = List.of(
            UnitDimension.MASS,
            UnitDimension.LENGTH,
            UnitDimension.TIME,
            UnitDimension.TEMPERATURE,
            UnitDimension.AMOUNT_OF_SUBSTANCE,
            UnitDimension.ELECTRIC_CURRENT,
            UnitDimension.LUMINOUS_INTENSITY);
    private static final List<String> NAMES = List.of("kg", "m", "s", "K", "mol", "A", "cd");
    private static final double NOISE = 1e-9;

    /** A pure number. */
    public static final UnitProduct ONE = new UnitProduct(new int[BASES.size()], 1);

    private final int[] powers;
    private final double size;

    private UnitProduct(int[] powers, double size) {
        this.powers = powers;
        this.size = size;
    }

    static UnitProduct of(Unit<?> unit) {
        int[] powers = new int[BASES.size()];
        Map<? extends Dimension, Integer> bases = unit.getDimension().getBaseDimensions();
        if (bases == null) {
            add(powers, unit.getDimension(), 1);
        } else {
            bases.forEach((base, power) -> add(powers, base, power));
        }
        return new UnitProduct(powers, size(unit));
    }

    private static void add(int[] powers, Dimension base, int power) {
        int at = BASES.indexOf(base);
        if (at >= 0) {
            powers[at] += power;
        }
    }

    private static double size(Unit<?> unit) {
        try {
            var converter = unit.getConverterToAny(unit.getSystemUnit());
            return converter.convert(1.0) - converter.convert(0.0);
        } catch (IncommensurableException e) {
            throw new IllegalStateException("a unit must convert to its own system: " + unit, e);
        }
    }

    /**
     * {@return both multiplied}
     *
     * @param other the other one
     */
    public UnitProduct times(UnitProduct other) {
        return combined(other, 1, size * other.size);
    }

    /**
     * {@return this divided by another}
     *
     * @param other the other one
     */
    public UnitProduct over(UnitProduct other) {
        return combined(other, -1, size / other.size);
    }

    private UnitProduct combined(UnitProduct other, int sign, double newSize) {
        int[] sum = new int[powers.length];
        Arrays.setAll(sum, i -> powers[i] + sign * other.powers[i]);
        return new UnitProduct(sum, newSize);
    }

    /**
     * {@return whether both measure the same with the same size}
     *
     * @param other the other one
     */
    public boolean sameAs(UnitProduct other) {
        return Arrays.equals(powers, other.powers) && Math.abs(size / other.size - 1) < NOISE;
    }

    @Override
    public String toString() {
        String units = IntStream.range(0, powers.length)
                .filter(i -> powers[i] != 0)
                .mapToObj(i -> NAMES.get(i) + (powers[i] == 1 ? "" : "^" + powers[i]))
                .collect(Collectors.joining("·"));
        return size + " " + (units.isEmpty() ? "1" : units);
    }
}
