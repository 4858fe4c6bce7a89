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
 */
public record TrialPoint(Estimate across, Estimate up, BenchUnit acrossUnit, BenchUnit upUnit) {}
