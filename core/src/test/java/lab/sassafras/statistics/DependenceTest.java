package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import org.junit.jupiter.api.Test;

/** Whether trials follow something they differ in, against the line worked by hand. */
class DependenceTest {

    private static Estimate result(double value, double own) {
        return Estimate.of(value, List.of(new Contribution("own", "own", 1, own, null)), Double.POSITIVE_INFINITY);
    }

    private static Dependence of(double own, List<Double> across, double... values) {
        List<Estimate> results = IntStream.range(0, values.length)
                .mapToObj(i -> result(values[i], own))
                .toList();
        return Dependence.of(results, across).orElseThrow();
    }

    /**
     * Points 0, 10, 20: slope 0.1, Sxx 200, so u of the change over 20 is 0.2 · 20 ÷ √200 = 0.283; twice that is 0.566.
     */
    @Test
    void itIsBeyondChanceFromTwiceItsOwnUncertaintyOn() {
        Dependence found = of(0.2, List.of(0.0, 10.0, 20.0), 1, 2, 3);
        assertThat(found.change()).isCloseTo(2, within(1e-12));
        assertThat(found.uncertainty()).isCloseTo(0.2 * 20 / Math.sqrt(200), within(1e-9));
        assertThat(found.beyondChance()).isTrue();
        assertThat(of(0.2, List.of(0.0, 20.0), 0, 0.565).beyondChance()).isFalse();
        assertThat(of(0.2, List.of(0.0, 20.0), 0, 0.567).beyondChance()).isTrue();
    }

    /** Scatter about the line counts with Student's factor: 12.71 for one degree of freedom. */
    @Test
    void trialsThatScatterAreNotSaidToFollow() {
        // residuals −0.1, 0.2, −0.1 about slope 0.1: s² = 0.06, u = √(0.06 ÷ 200) · 20 · 12.71 ÷ 2
        Dependence found = of(0.001, List.of(0.0, 10.0, 20.0), 0.9, 2.2, 2.9);
        assertThat(found.uncertainty()).isCloseTo(Math.sqrt(0.06 / 200) * 20 * 12.706 / 2, within(0.001));
        assertThat(found.beyondChance()).isFalse();
    }

    @Test
    void whatDoesNotDifferIsFollowedByNothing() {
        assertThat(Dependence.of(List.of(result(1, 0.1), result(2, 0.1)), List.of(25.0, 25.0)))
                .isEmpty();
        assertThat(Dependence.of(List.of(result(1, 0.1)), List.of(25.0))).isEmpty();
    }

    /**
     * Where own u is right, or a third of the scatter, at most one class in twenty is told so by chance (4,000 seeds).
     */
    @Test
    void honestTrialsAreSeldomSaidToFollow() {
        for (double own : new double[] {1, 1 / 3.0}) {
            Random random = new Random(11);
            int said = 0;
            for (int seed = 0; seed < 4000; seed++) {
                int n = 3 + seed % 6;
                List<Estimate> results = IntStream.range(0, n)
                        .mapToObj(i -> result(random.nextGaussian(), own))
                        .toList();
                List<Double> across =
                        IntStream.range(0, n).mapToObj(i -> random.nextDouble()).toList();
                said += Dependence.of(results, across).orElseThrow().beyondChance() ? 1 : 0;
            }
            assertThat(said).as("own u " + own).isLessThan(4000 * 6 / 100);
        }
    }
}
