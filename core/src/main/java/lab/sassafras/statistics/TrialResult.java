package lab.sassafras.statistics;

import java.util.Optional;
import lab.sassafras.expression.Estimate;

/**
 * What one trial came to.
 *
 * @param estimate its result (unit of the result)
 * @param point    where it stands on a line through several; empty where no line is drawn
 */
public record TrialResult(Estimate estimate, Optional<TrialPoint> point) {}
