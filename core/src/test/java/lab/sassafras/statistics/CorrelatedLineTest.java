package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import org.junit.jupiter.api.Test;

/** The line through points that share errors, against what can be worked out by hand. */
class CorrelatedLineTest {

    private static final double[] AMOUNTS = {1, 2, 3, 4};
    /** Σ(x − x̄)² of them. */
    private static final double SXX = 5;

    private static final Shared OFFSET = Shared.everywhere("o", "offset", 0.5, Double.POSITIVE_INFINITY);

    private static List<TrialPoint> points(double own, Shared shared, DoubleUnaryOperator by, double... heats) {
        List<TrialPoint> points = new ArrayList<>();
        for (int i = 0; i < heats.length; i++) {
            double slope = by.applyAsDouble(AMOUNTS[i]);
            points.add(new TrialPoint(
                    Estimate.of(AMOUNTS[i], List.of(), Double.POSITIVE_INFINITY),
                    Estimate.of(
                            heats[i],
                            List.of(
                                    new Contribution("own" + i, "own", 1, own, null),
                                    new Contribution(
                                            shared.key(),
                                            shared.label(),
                                            slope,
                                            Math.abs(slope) * shared.standardUncertainty(),
                                            shared)),
                            Double.POSITIVE_INFINITY),
                    BenchUnit.MOLES,
                    BenchUnit.KILOJOULES));
        }
        return points;
    }

    private static CorrelatedLine line(double own, Shared shared, DoubleUnaryOperator by, double... heats) {
        return CorrelatedLine.of(points(own, shared, by, heats)).orElseThrow();
    }

    /** Equal errors that nothing shares: ordinary least squares, u = σ ÷ √Sxx. */
    @Test
    void withEqualErrorsOfTheirOwnItIsTheOrdinaryLine() {
        CorrelatedLine line = line(0.3, OFFSET, x -> 0, 10.1, 19.9, 30.1, 39.9);
        assertThat(line.slope().value()).isCloseTo(9.96, within(1e-12));
        assertThat(line.slope().uncertainty()).isCloseTo(0.3 / Math.sqrt(SXX), within(1e-12));
        assertThat(line.widened()).isEqualTo(1);
    }

    /** What lifts all points alike moves the intercept and leaves the slope as it is. */
    @Test
    void anOffsetAllPointsShareDoesNotTouchTheSlope() {
        CorrelatedLine line = line(0.3, OFFSET, x -> 1, 10.1, 19.9, 30.1, 39.9);
        assertThat(line.slope().value()).isCloseTo(9.96, within(1e-9));
        assertThat(line.slope().uncertainty()).isCloseTo(0.3 / Math.sqrt(SXX), within(1e-9));
    }

    /** What lifts each point in proportion to its amount is an error of the slope, counted once however many points. */
    @Test
    void aSharedErrorOfTheAmountIsAnErrorOfTheSlopeCountedOnce() {
        CorrelatedLine line = line(0.3, OFFSET, x -> x, 10.1, 19.9, 30.1, 39.9);
        assertThat(line.slope().uncertainty()).isCloseTo(Math.hypot(0.5, 0.3 / Math.sqrt(SXX)), within(1e-9));
        Shared ofTrial = new Shared("o", "offset", 0.5, Double.POSITIVE_INFINITY, Scope.TRIAL);
        assertThat(line(0.3, ofTrial, x -> 1, 10.1, 19.9, 30.1, 39.9).slope().uncertainty())
                .isCloseTo(Math.hypot(0.3, 0.5) / Math.sqrt(SXX), within(1e-9));
    }

    @Test
    void pointsThatScatterMoreThanTheyMayWidenIt() {
        CorrelatedLine line = line(0.01, OFFSET, x -> 0, 10.1, 19.9, 30.1, 39.9);
        // residuals of y = 0.1 + 9.96 x: 0.04, −0.12, 0.12, −0.04; s² = 0.032 ÷ 2
        assertThat(line.slope().uncertainty()).isCloseTo(Math.sqrt(0.016 / SXX), within(1e-9));
        assertThat(line.slope().degreesOfFreedom()).isCloseTo(2, within(1e-9));
    }

    @Test
    void aPointThatCarriesLittleErrorPullsTheLineToIt() {
        List<TrialPoint> points = points(0.3, OFFSET, x -> 0, 10, 20, 30);
        List<TrialPoint> last = points(0.001, OFFSET, x -> 0, 0, 0, 0, 44);
        points.add(last.get(3));
        double slope = CorrelatedLine.of(points).orElseThrow().slope().value();
        CorrelatedLine even = line(0.3, OFFSET, x -> 0, 10, 20, 30, 44);
        assertThat(even.slope().value()).isCloseTo(11.2, within(1e-9));
        // through (4, 44) exactly: b = Σ(x−4)(y−44) ÷ Σ(x−4)²
        assertThat(slope).isCloseTo((3 * 34 + 2 * 24 + 14) / 14.0, within(1e-3));
    }

    @Test
    void withoutErrorsOfTheirOwnOrWithTooManyPointsThereIsNone() {
        assertThat(CorrelatedLine.of(points(0, OFFSET, x -> 1, 10, 20, 30))).isEmpty();
        assertThat(CorrelatedLine.of(java.util.Collections.nCopies(
                        101, points(1, OFFSET, x -> 1, 10).get(0))))
                .isEmpty();
    }
}
