package lab.sassafras.presentation;

import lab.sassafras.convention.Convention;
import lab.sassafras.measure.BenchUnit;

/** The unit heats are written in. */
public enum HeatUnit implements Convention {
    /** J, and kJ per mole. */
    STANDARD("standard", "J, and kJ per mole", "Joules; kilojoules for a mole."),
    /** J. */
    JOULE("J", "J", "Joules throughout."),
    /** KJ. */
    KILOJOULE("kJ", "kJ", "Kilojoules throughout."),
    /** Cal. */
    CALORIE("cal", "cal", "Thermochemical calories, 4.184 J exactly (NIST SP 811)."),
    /** Kcal. */
    KILOCALORIE("kcal", "kcal", "Thermochemical kilocalories.");

    private final Said said;

    HeatUnit(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /**
     * {@return the same quantity in this unit of heat; a unit without heat in it, or with no such form, stays}
     *
     * @param unit of the number
     */
    public BenchUnit unit(BenchUnit unit) {
        String symbol = unit.symbol();
        if (this == STANDARD || !symbol.startsWith("J") && !symbol.startsWith("kJ")) {
            return unit;
        }
        String rest = symbol.substring(symbol.indexOf('J') + 1);
        return unit.sameDimension().stream()
                .filter(each -> each.symbol().equals(key() + rest))
                .findFirst()
                .orElse(unit);
    }

    @Override
    public Said said() {
        return said;
    }
}
