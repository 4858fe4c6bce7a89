package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Shared;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Entries of a class taken together, and the outliers among them. */
@Tag("long")
class BetweenEntriesTest {

    private static final int SEEDS = 2000;
    private static final Shared BOTTLE = Shared.everywhere("bottle", "bottle", 1, Double.POSITIVE_INFINITY);

    private static Estimate entry(double value, double own, double shared) {
        return Estimate.of(
                value,
                List.of(
                        new Contribution("own", "own", 1, own, null),
                        new Contribution("bottle", "bottle", shared, shared, BOTTLE)),
                Double.POSITIVE_INFINITY);
    }

    /**
     * 10, 12, 11, 15 of own u 0.5, 0.6, 0.4, 1.0: by a second program of a few lines (bisection of Σw(x − μ)² = 3,
     * outside this project) τ is 1.9874, the mean 11.8761 and its standard error 1.0451.
     */
    @Test
    void theWeightedMeanIsThatOfASecondProgram() {
        double[] values = {10, 12, 11, 15};
        double[] own = {0.5, 0.6, 0.4, 1.0};
        BetweenEntries found = BetweenEntries.of(
                IntStream.range(0, 4).mapToObj(i -> entry(values[i], own[i], 0)).toList());
        assertThat(found.between()).isCloseTo(1.9874, within(1e-4));
        assertThat(found.weighted().value()).isCloseTo(11.8761, within(1e-4));
        assertThat(found.weighted().uncertainty()).isCloseTo(1.0451, within(1e-4));
        assertThat(found.weighted().degreesOfFreedom()).isEqualTo(3);
        // plain: 12, s² = (4 + 0 + 1 + 9) ÷ 3
        assertThat(found.plain().value()).isEqualTo(12);
        assertThat(found.plain().uncertainty()).isCloseTo(Math.sqrt(14.0 / 3 / 4), within(1e-12));
        assertThat(found.scattered()).isTrue();
    }

    /** What all share counts once, however many they are. */
    @Test
    void whatIsSharedCountsOnce() {
        List<Estimate> entries = DoubleStream.of(10, 10.1, 9.9, 10, 10.05)
                .mapToObj(value -> entry(value, 0.1, 0.7))
                .toList();
        Estimate mean = BetweenEntries.of(entries).weighted();
        assertThat(mean.contributions().get(0).key()).isEqualTo("bottle");
        assertThat(mean.contributions().get(0).uncertainty()).isCloseTo(0.7, within(1e-12));
    }

    /** An honest class of n entries with a scatter of 1, each knowing so much of it, and a bottle all share (± 0.1). */
    private static List<Estimate> honest(int n, double known, Random random) {
        double bottle = 0.1 * random.nextGaussian();
        return IntStream.range(0, n)
                .mapToObj(i -> entry(bottle + random.nextGaussian(), known, 0.1))
                .toList();
    }

    /** False alarms of each kind are at most 7 %, whether own u is the whole scatter or a third of it. */
    @ParameterizedTest
    @CsvSource({"3, 1", "3, 0.333", "6, 1", "6, 0.333", "12, 1", "12, 0.333", "24, 1", "24, 0.333"})
    void honestClassesAreLeftInPeace(int n, double known) {
        Random random = new Random(31 * n);
        int shifted = 0;
        int outlying = 0;
        int scattered = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            List<Estimate> entries = honest(n, known, random);
            double reference = 0.1 * random.nextGaussian();
            BetweenEntries found = BetweenEntries.of(entries);
            double allowed = Math.hypot(found.weighted().halfWidth(0.95), 1.96 * 0.1);
            shifted += Math.abs(found.weighted().value() - reference) > allowed ? 1 : 0;
            outlying += Outliers.among(entries.stream().map(Estimate::value).toList())
                            .isEmpty()
                    ? 0
                    : 1;
            scattered += found.scattered() ? 1 : 0;
        }
        assertThat(100.0 * shifted / SEEDS).as("shift").isLessThan(7);
        assertThat(100.0 * outlying / SEEDS).as("outliers").isLessThan(7);
        if (known == 1) {
            assertThat(100.0 * scattered / SEEDS).as("scatter").isLessThan(7);
        }
    }

    @ParameterizedTest
    @CsvSource({"1", "0.333"})
    void aShiftOfOneScatterIsSeenInTwelve(double known) {
        Random random = new Random(5);
        int seen = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            Estimate mean = BetweenEntries.of(honest(12, known, random)).weighted();
            double reference = 1 + 0.1 * random.nextGaussian();
            seen += Math.abs(mean.value() - reference) > Math.hypot(mean.halfWidth(0.95), 1.96 * 0.1) ? 1 : 0;
        }
        assertThat(100.0 * seen / SEEDS).isGreaterThanOrEqualTo(80);
    }

    /** Two of eight, eight scatters out, to one side or to both: neither hides the other. */
    @ParameterizedTest
    @CsvSource({"8, 8", "8, -8", "-8, -8"})
    void twoOfEightAreBothFound(double one, double other) {
        Random random = new Random(8);
        int both = 0;
        for (int seed = 0; seed < SEEDS; seed++) {
            List<Double> values = new ArrayList<>(normal(6, random));
            values.add(2, one + random.nextGaussian());
            values.add(5, other + random.nextGaussian());
            both += Outliers.among(values).equals(List.of(2, 5)) ? 1 : 0;
        }
        assertThat(100.0 * both / SEEDS).isGreaterThanOrEqualTo(85);
    }

    private static List<Double> normal(int n, Random random) {
        return IntStream.range(0, n).mapToObj(i -> random.nextGaussian()).toList();
    }

    @Test
    void theLevelOfEachStepMakesFivePerCentInAll() {
        for (int n : new int[] {6, 9, 14, 20, 30}) {
            Random random = new Random(n);
            int any = 0;
            for (int seed = 0; seed < 6000; seed++) {
                any += Outliers.among(normal(n, random)).isEmpty() ? 0 : 1;
            }
            assertThat(100.0 * any / 6000).as("n = " + n).isBetween(4.0, 6.0);
        }
        assertThat(Outliers.among(List.of(1.0, 1.1, 0.9, 1.0, 9.0)))
                .as("five are too few")
                .isEmpty();
    }
}
