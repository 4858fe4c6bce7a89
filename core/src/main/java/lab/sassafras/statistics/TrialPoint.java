package lab.sassafras.statistics;

import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;

/**
 * One trial on a line through several.
 *
 * @param across     what it is drawn against (unit across)
 * @param up         what is drawn (unit up)
 * @param acrossUnit of the first, such as mol
 * @param upUnit     of the second, such as kJ
 * @param meetsZero  whether the line should pass through nothing of both
 */
public record TrialPoint(Estimate across, Estimate up, BenchUnit acrossUnit, BenchUnit upUnit, boolean meetsZero) {

    /**
     * On a line that should pass through nothing of both.
     *
     * @param across     what it is drawn against (unit across)
     * @param up         what is drawn (unit up)
     * @param acrossUnit of the first, such as mol
     * @param upUnit     of the second, such as kJ
     */
    public TrialPoint(Estimate across, Estimate up, BenchUnit acrossUnit, BenchUnit upUnit) {
        this(across, up, acrossUnit, upUnit, true);
    }
}
