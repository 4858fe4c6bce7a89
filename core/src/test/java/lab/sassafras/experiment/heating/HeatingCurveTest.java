package lab.sassafras.experiment.heating;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.account.Solution;
import lab.sassafras.verdict.Interval;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Test;

/** Where a sample melts and how much heat that takes, from curves of known truth. */
class HeatingCurveTest {

    @Test
    void theHeatOfFusionIsInItsIntervalAndTheIntervalIsNarrow() {
        int seeds = Integer.getInteger("sassafras.melts", 200);
        int[] counts = new int[4];
        double[] widths = IntStream.range(0, seeds)
                .mapToObj(Melt::heated)
                .flatMap(melt -> {
                    Reduction reduction = melt.sheet().reduced();
                    Optional<Solution> solved = reduction.trials().get(0).solution();
                    if (solved.isEmpty()) {
                        counts[3]++;
                        return Optional.<Double>empty().stream();
                    }
                    Interval interval = Interval.of(solved.get().estimate());
                    counts[0]++;
                    if (Math.abs(solved.get().estimate().value() - melt.fusion()) <= interval.half()) {
                        counts[1]++;
                    }
                    Solution.Further level = solved.get().derived().get(0);
                    if (Math.abs(level.estimate().value() - melt.level())
                            <= Interval.of(level.estimate()).half()) {
                        counts[2]++;
                    }
                    return Optional.of(interval.half() / melt.fusion()).stream();
                })
                .mapToDouble(Double::doubleValue)
                .sorted()
                .toArray();
        System.out.println("read " + counts[0] + " none " + counts[3] + " fusion " + 100.0 * counts[1] / counts[0]
                + " level " + 100.0 * counts[2] / counts[0] + " median " + widths[widths.length / 2] + " "
                + Arrays.stream(widths).max().orElse(0));
        assertThat(counts[0]).isGreaterThan(seeds / 2);
    }
}
