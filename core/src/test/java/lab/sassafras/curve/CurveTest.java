package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Outcome.Withheld;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.statistics.ReferenceDataset;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Curves from a bench of physics of their own, whose true change is known ({@link Bench}). */
class CurveTest {

    /** A sample of what {@code ./bench populations} does with 2,000 seeds. */
    @Tag("long")
    @ParameterizedTest
    @CsvSource({"A, 93, 97.5", "B, 90, 100", "C, 90, 100", "D, 90, 100", "E, 90, 98"})
    void theIntervalOfTheRecommendedWayHoldsTheTruth(Population population, double least, double most) {
        List<Population.Row> rows = population.read(300);
        assertThat(rows).hasSizeGreaterThan(290);
        assertThat(Population.covered(rows)).isBetween(least, most);
        if (population == Population.A) {
            assertThat(Population.leastInThirds(rows, Bench::rise)).isGreaterThan(90);
            assertThat(Population.leastInThirds(rows, Bench::cooling)).isGreaterThan(90);
            assertThat(Population.leastInThirds(rows, Bench::after)).isGreaterThan(90);
        }
    }

    /** The reference method, plainly written for the tests alone ({@link Integrated}), is nowhere a quarter better. */
    @Tag("long")
    @ParameterizedTest
    @EnumSource(names = {"CONSTANT_LONG", "DOUBLED_HOT", "AT_ONCE"})
    void theReferenceMethodIsNoBetter(SlowHeat kind) {
        assertThat(Curves.rms(Curves.read(kind, 8)))
                .isLessThanOrEqualTo((kind == SlowHeat.AT_ONCE ? 1.5 : 1.25) * Curves.reference(kind, 8));
    }

    /**
     * A sample of what {@code ./bench curves} does with 2,000 seeds: heat in shapes that are no exponential, a warm
     * plate, a heat capacity that doubles, evaporation, a record that ends early. Coverage, and no wider than half as
     * much again as it is off (or than a step of the display).
     */
    @Tag("long")
    @ParameterizedTest
    @EnumSource(SlowHeat.class)
    void heatOfAnyShapeIsFoundWithAnIntervalThatHoldsIt(SlowHeat kind) {
        List<Curves.Row> rows = Curves.read(kind, 60);
        assertThat(rows).hasSize(60);
        assertThat(Curves.covered(rows)).isGreaterThanOrEqualTo(89);
        assertThat(Curves.rms(rows)).isLessThan(kind == SlowHeat.ENDS_EARLY ? 0.4 : 0.12);
        assertThat(Curves.meanHalf(rows) / 1.96 / Curves.rms(rows)).isLessThan(1.9);
    }

    /** The same heat over a minute, read 2 s apart: whether the mark is right is seen from the readings alone. */
    @ParameterizedTest
    @CsvSource({"0, 0", "20, -20", "-24, 24", "6, 0"})
    void aRiseThatBeginsBesideTheMarkIsFound(double late, double begins) {
        Curve right = bench(20, 1500, 2, 40, 0).draw(new Random(4)).curve();
        Curve marked = new Curve(right.readings(), right.mixing() + late, 0.01, Optional.empty());
        OptionalDouble found = Baselines.of(marked).begins();
        if (begins == 0) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found.orElseThrow()).isCloseTo(begins, within(2.5));
        }
    }

    /**
     * A handful of readings with spikes among them: a way reads what was there, or says that it cannot; never a zero.
     */
    @Test
    void ofAFewWildReadingsNoWayMakesTemperaturesUp() {
        for (int seed = 0; seed < 300; seed++) {
            Random random = new Random(seed);
            List<Reading> readings = new java.util.ArrayList<>();
            for (int i = 0; i < 3 + random.nextInt(3); i++) {
                readings.add(new Reading(i * 20, 21 + 0.05 * random.nextGaussian()));
            }
            for (int i = 0; i < 4 + random.nextInt(5); i++) {
                double spike = random.nextDouble() < 0.3 ? 3 : 0;
                readings.add(new Reading(130 + i * 20, 31 - 0.02 * i + spike + 0.05 * random.nextGaussian()));
            }
            Baselines wild = Baselines.of(new Curve(readings, 115, 0.01, Optional.empty()));
            assertThat(Recommendation.of(wild, Figures.POINT).reason()).doesNotContain("NaN");
            if (CurveMethod.INTEGRAL.of(wild) instanceof Change change) {
                assertThat(change.start()).as("seed " + seed).isBetween(15.0, 27.0);
                assertThat(change.uncertainty()).isPositive().isFinite();
            }
        }
    }

    /**
     * Heat that is still to come when the record ends is said, with a tenth of it or more left; a whole record says
     * nothing.
     */
    @Test
    void aTailBeyondTheRecordIsSaid() {
        Bench whole = new Bench(20, 3000, 21, 21, 180, 900, 5, 0.01, 0, 60, 0, 0, false, 0);
        Bench early = new Bench(20, 3000, 21, 21, 180, 110, 5, 0.01, 0, 60, 0, 0, false, 0);
        assertThat(advice(early).reason()).contains("may still have been to come");
        assertThat(advice(whole).reason()).doesNotContain("may still have been to come");
        assertThat(Baselines.of(early.draw(new Random(1)).curve()).stillToCome())
                .isGreaterThan(0.05);
    }

    @ParameterizedTest
    @CsvSource({"20, 1500, 5", "-8, 3000, 5", "3, 8000, 30", "50, 1000, 1"})
    void withoutNoiseTheTruthIsFoundToAMillikelvin(double rise, double cooling, double spacing) {
        Bench bench = bench(rise, cooling, spacing, 0, 0);
        assertThat(read(bench, CurveMethod.NEWTON).difference()).isCloseTo(rise, within(1e-3));
    }

    @ParameterizedTest
    @CsvSource({"0, 12", "60, 0"})
    void whatComesLateIsNotCarriedToMixing(double release, double lag) {
        Bench bench = bench(20, 1500, 2, release, lag);
        assertThat(read(bench, CurveMethod.INTEGRAL).difference()).isCloseTo(20, within(0.1));
        double delay = release + lag;
        // an exponential delay claims 1 ÷ (1 − delay ÷ cooling) too much
        assertThat(read(bench, CurveMethod.NEWTON).difference()).isCloseTo(20 / (1 - delay / 1500), within(2e-2));
        assertThat(advice(bench)).satisfies(each -> {
            assertThat(each.way()).isEqualTo(CurveMethod.INTEGRAL);
            assertThat(each.reason()).contains((int) delay + " s after mixing");
        });
    }

    /** Over ten minutes at 20 °C and 1,500 s a straight line misses the bend by a fifth of a degree and more. */
    @Test
    void straightLinesAreNotRecommendedWhereTheyCannotBend() {
        Bench bench = bench(20, 1500, 5, 0, 0);
        assertThat(read(bench, CurveMethod.LINES).difference()).isLessThan(19.8);
        Bench real = new Bench(20, 1500, 21, 21, 180, 600, 5, 0.01, 0, 0, 0, 0, false, 0);
        assertThat(advice(real).way()).isEqualTo(CurveMethod.NEWTON);
        assertThat(advice(real).reason()).contains("1500 s", "Straight lines");
    }

    @Test
    void theOtherWaysAreWhatTheySay() {
        Bench bench = bench(20, 1500, 5, 0, 0);
        Curve curve = bench.draw(new Random(1)).curve();
        double first = curve.readings().get(curve.before()).temperature();
        assertThat(read(bench, CurveMethod.EXTREME).end()).isEqualTo(first);
        // 20 °C above at mixing, e^(−180 ÷ 1500) of it three minutes later
        assertThat(read(bench, CurveMethod.AFTER_WAIT).end()).isCloseTo(21 + 20 * Math.exp(-0.12), within(1e-3));
        Curve sooner = new Curve(
                curve.readings(), 180, 0, Optional.empty(), Optional.empty(), new Stated(60, 0.5, Set.of()), 1);
        assertThat(((Change) CurveMethod.AFTER_WAIT.of(Baselines.of(sooner))).end())
                .isCloseTo(21 + 20 * Math.exp(-0.04), within(1e-3));
        // the cooling line alone leaves the start as it was read
        assertThat(read(bench, CurveMethod.COOLING).start())
                .isEqualTo(read(bench, CurveMethod.EXTREME).start());
        assertThat(read(bench, CurveMethod.COOLING).end())
                .isEqualTo(read(bench, CurveMethod.LINES).end());
        assertThat(read(bench(20, 1500, 2, 60, 0), CurveMethod.FRACTION).difference())
                .isBetween(
                        read(bench(20, 1500, 2, 60, 0), CurveMethod.EXTREME).difference(),
                        read(bench(20, 1500, 2, 60, 0), CurveMethod.NEWTON).difference());
    }

    /** A vessel that hardly leaks stands still on both sides; one that cools by a degree in two minutes does not. */
    @Test
    void whatStandsStillIsSettledAndSaysByWhatRule() {
        Curve still = new Bench(8, 2e6, 21, 21, 180, 300, 10, 0.02, 0.1, 0, 0, 0, false, 0)
                .draw(new Random(3))
                .curve();
        Baselines settled = Baselines.of(still);
        assertThat(((Change) CurveMethod.SETTLED.of(settled)).difference()).isCloseTo(8, within(0.02));
        assertThat(settled.settledBefore().said(Figures.POINT))
                .matches("settled: [+−]0.0\\d+ °C over 2:00, within 0.1 °C .*");
        Baselines falling =
                Baselines.of(bench(20, 1500, 5, 0, 0).draw(new Random(1)).curve());
        assertThat(falling.settledBefore().holds()).isTrue();
        assertThat(falling.settledAtEnd().said(Figures.POINT))
                .startsWith("not settled: −1.53 °C over 2:00, more than 0.007 °C");
        assertThat(CurveMethod.SETTLED.of(falling)).isInstanceOf(Withheld.class);
    }

    @Test
    void aTouchSpikeIsNamedAndLeftOut() {
        Curve clean = bench(20, 1500, 5, 0, 0).draw(new Random(1)).curve();
        int first = clean.before();
        List<Reading> readings = IntStream.range(0, clean.readings().size())
                .mapToObj(i -> i == first || i == first + 1
                        ? lifted(clean.readings().get(i), 1.5)
                        : clean.readings().get(i))
                .toList();
        Baselines baselines = Baselines.of(new Curve(readings, clean.mixing(), 0, Optional.empty()));
        assertThat(baselines.spikes()).containsExactly(readings.get(first), readings.get(first + 1));
        assertThat(((Change) CurveMethod.NEWTON.of(baselines)).difference()).isCloseTo(20, within(5e-3));
        // a person may say otherwise: it counts however far it lies off
        Stated sure = new Stated(180, 0.6, Set.of(readings.get(first).seconds()));
        Curve counted = new Curve(readings, clean.mixing(), 0, Optional.empty(), Optional.empty(), sure, 1);
        assertThat(Baselines.of(counted).spikes()).doesNotContain(readings.get(first));
    }

    /** Readings that are the same because the display is coarse share its rounding: never below d ÷ √12 on a side. */
    @Test
    void aCoarseDisplayIsNotAveragedAway() {
        List<Reading> flat = IntStream.rangeClosed(0, 60)
                .filter(i -> i != 18)
                .mapToObj(i -> new Reading(10 * i, i < 18 ? 21.0 : 24.5))
                .toList();
        Baselines baselines = Baselines.of(new Curve(flat, 180, 0.5, Optional.empty()));
        for (CurveMethod way : CurveMethod.values()) {
            Change change = (Change) way.of(baselines);
            assertThat(change.startVariance()).as(way.key()).isGreaterThanOrEqualTo(0.25 / 12);
            assertThat(change.endVariance()).as(way.key()).isGreaterThanOrEqualTo(0.25 / 12);
        }
    }

    @Test
    void fewReadingsGiveTheExtremeAndSayWhyNoLine() {
        Baselines two = Baselines.of(
                new Curve(List.of(new Reading(0, 21.0), new Reading(200, 25.0)), 100, 0.1, Optional.empty()));
        assertThat(Recommendation.of(two, Figures.POINT).way()).isEqualTo(CurveMethod.EXTREME);
        assertThat(((Change) CurveMethod.EXTREME.of(two)).difference()).isEqualTo(4.0);
        assertThat(CurveMethod.NEWTON.of(two)).isInstanceOf(Withheld.class);
        assertThat(CurveMethod.LINES.of(two)).isInstanceOf(Withheld.class);
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, -5, 0, 40, 100})
    void mixingThatIsNowhereBetweenReadingsIsRefusedInWords(double mixing) {
        List<Reading> readings = List.of(new Reading(40, 25.0), new Reading(0, 21.0), new Reading(20, Double.NaN));
        assertThatThrownBy(() -> new Curve(readings, mixing, 0.1, Optional.empty()))
                .isInstanceOf(Refused.class)
                .hasMessageMatching("(There is no reading|No moment).*\\.");
    }

    @Test
    void readingsInAnyOrderTwoAtOneInstantAndAStandstillAreRead() {
        List<Reading> still = IntStream.range(0, 40)
                .mapToObj(i -> new Reading(10 * (39 - i) + (i % 2 == 0 ? 0 : 10), 22.0))
                .toList();
        Baselines baselines = Baselines.of(new Curve(still, 195, 0.1, Optional.empty()));
        for (CurveMethod way : CurveMethod.values()) {
            if (way.of(baselines) instanceof Change change) {
                assertThat(change.difference())
                        .as(way.key())
                        .isCloseTo(0, within(way == CurveMethod.INTEGRAL ? 1e-3 : 1e-6));
                assertThat(change.uncertainty()).as(way.key()).isFinite();
            }
        }
    }

    /** NIST StRD Norris; certified values from memory of its file. */
    @Test
    void theLineIsThatOfTheReferenceDataset() {
        ReferenceDataset norris = ReferenceDataset.of("data");
        boolean[] all = new boolean[norris.x().length];
        java.util.Arrays.fill(all, true);
        LineFit line = LineFit.through(norris.x(), norris.y(), all, 0, all.length, 0);
        assertThat(line.slope()).isCloseTo(1.00211681802045, within(1e-12));
        assertThat(line.at(0)).isCloseTo(-0.262323073774029, within(1e-10));
        assertThat(Math.sqrt(line.variance(0))).isCloseTo(0.232818234301152, within(1e-10));
        assertThat(line.noise()).isCloseTo(0.884796396144373, within(1e-10));
    }

    /**
     * Generalized least squares written out with the whole covariance matrix: what whitening comes to in closed form.
     */
    @Test
    void readingsWhoseNoiseHangsTogetherAreWhitened() {
        double[] seconds = {0, 10, 20, 35, 40, 60};
        double[] temperatures = {21.0, 21.3, 21.1, 21.9, 22.2, 22.4};
        boolean[] all = {true, true, true, true, true, true};
        double[][] covariance = new double[6][6];
        double[][] design = new double[6][2];
        for (int i = 0; i < 6; i++) {
            for (int j = 0; j < 6; j++) {
                covariance[i][j] = Math.exp(-Math.abs(seconds[i] - seconds[j]) / 15);
            }
            design[i] = new double[] {1, seconds[i]};
        }
        RealMatrix x = MatrixUtils.createRealMatrix(design);
        RealMatrix weights = MatrixUtils.inverse(MatrixUtils.createRealMatrix(covariance));
        RealMatrix normal = MatrixUtils.inverse(x.transpose().multiply(weights).multiply(x));
        double[] numbers = normal.multiply(x.transpose()).multiply(weights).operate(temperatures);
        LineFit line = LineFit.whitened(seconds, temperatures, all, 0, 6, 0, 15);
        assertThat(line.slope()).isCloseTo(numbers[1], within(1e-12));
        assertThat(line.at(0)).isCloseTo(numbers[0], within(1e-10));
        assertThat(line.variance(0)).isCloseTo(line.noise() * line.noise() * normal.getEntry(0, 0), within(1e-12));
        assertThat(LineFit.whitened(seconds, temperatures, all, 0, 6, 0, 0))
                .isEqualTo(LineFit.through(seconds, temperatures, all, 0, 6, 0));
    }

    private static Reading lifted(Reading reading, double by) {
        return new Reading(reading.seconds(), reading.temperature() + by);
    }

    /** Three minutes at 21 °C in a room of 21 °C, then ten minutes; nothing but the physics. */
    private static Bench bench(double rise, double cooling, double spacing, double release, double lag) {
        return new Bench(rise, cooling, 21, 21, 180, 600, spacing, 0, 0, release, lag, 0, false, 0);
    }

    private static Change read(Bench bench, CurveMethod way) {
        return (Change) way.of(Baselines.of(bench.draw(new Random(1)).curve()));
    }

    private static Recommendation advice(Bench bench) {
        return Recommendation.of(Baselines.of(bench.draw(new Random(1)).curve()), Figures.POINT);
    }
}
