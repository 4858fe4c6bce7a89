package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Finding;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Substance;
import lab.sassafras.yardstick.Parts;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Where one judgement ends and the next begins, by numbers that meet the limit and numbers just beside it. */
class JudgedByNumbersTest {

    private static final BenchUnit PER_MOLE = BenchUnit.KILOJOULES_PER_MOLE;

    private static Estimate estimate(double value, double uncertainty) {
        return Estimate.of(
                value, List.of(new Contribution("own", "reading", 1, uncertainty, null)), Double.POSITIVE_INFINITY);
    }

    private static Agreement agreement(double result, double half, double reference) {
        return Agreement.of(
                new Interval(result, result - half, result + half, false),
                new Reference("r", "heat", reference, 0, PER_MOLE, "made up", true));
    }

    @Test
    void anIntervalIsTurnedWithItsResultAndReachesBothWays() {
        Interval skew = new Interval(10, 9, 12, true);
        assertThat(skew.times(-2)).isEqualTo(new Interval(-20, -24, -18, true));
        assertThat(skew.towards(11)).isEqualTo(2);
        assertThat(skew.towards(10)).as("nowhere, by its shorter side").isEqualTo(1);
        assertThat(new Interval(10, 11, 12, true).towards(9))
                .as("never backwards")
                .isZero();
    }

    @ParameterizedTest
    @CsvSource({
        "10.5, 0.5, 10, true, false",
        "10.5, 0.499, 10, false, false",
        "12.5, 9, 10, true, false",
        "12.51, 9, 10, true, true",
        "10.5, 0.01, 10, false, false",
        "10.51, 0.01, 10, false, true",
        "10.625, 0.125, 10, false, false",
        "10.625, 0.124, 10, false, true",
    })
    void aReferenceIsMetOrMissedOrFar(double result, double half, double reference, boolean agrees, boolean gross) {
        assertThat(agreement(result, half, reference).agrees()).isEqualTo(agrees);
        assertThat(agreement(result, half, reference).gross()).isEqualTo(gross);
    }

    /** By complementary error functions (tables, memory): 2 u one in 22, so erfc(√2) = 0.0455. */
    @ParameterizedTest
    @CsvSource({"0.3, fits well, true", "0.299, fits, true", "0.05, fits, true", "0.0499, hardly fits, false"})
    void aCandidateFitsOrHardly(double compatibility, String words, boolean fits) {
        Candidate candidate = new Candidate(copper(), 0, compatibility, List.of());
        assertThat(candidate.words()).isEqualTo(words);
        assertThat(candidate.fits()).isEqualTo(fits);
        Candidate seen = new Candidate(copper(), 0, compatibility, List.of("its colour", "the magnet"));
        assertThat(seen.words()).isEqualTo("contradicted by its colour, the magnet");
        assertThat(seen.fits()).isFalse();
    }

    private static Substance copper() {
        return ReferenceShelf.standard().solids().get(0);
    }

    @Test
    void candidatesWithinThreeUncertaintiesAreNamedTheUnobjectedFirst() {
        List<Parts.Contender> all = List.of(
                contender(1.3, OptionalDouble.empty(), List.of()),
                contender(1.31, OptionalDouble.empty(), List.of()),
                contender(1, OptionalDouble.empty(), List.of("its colour")),
                contender(1.2, OptionalDouble.empty(), List.of()),
                contender(1.1, OptionalDouble.of(1), List.of()));
        List<Candidate> named = Candidate.among(all, estimate(1, 0.1));
        assertThat(named)
                .extracting(each -> String.format(Locale.ROOT, "%.4f", each.compatibility()))
                .containsExactly("0.3679", "0.0455", "0.0027", "1.0000");
        assertThat(named.get(0).difference()).isCloseTo(-0.1, within(1e-12));
    }

    private static Parts.Contender contender(double value, OptionalDouble beside, List<String> objections) {
        return new Parts.Contender(copper(), value, 0, beside, objections);
    }

    @ParameterizedTest
    @CsvSource({
        "moist, impure, true",
        "impure, moist, true",
        "moist, stuck, false",
        "stand, bar, true",
        "bar, stand, true",
        "nobody, moist, false",
    })
    void causesOfOneRowAreTied(String one, String other, boolean tied) {
        assertThat(Ties.tied(one, other)).isEqualTo(tied);
    }

    @ParameterizedTest
    @CsvSource({"4, true", "5, true", "8, true", "3.9, true", "3.5, true", "3.49, false", "8.75, true", "8.76, false"})
    void aResultLiesBetweenTwoEndsWithItsInterval(double value, boolean lies) {
        Interval result = new Interval(value, value - 0.75, value + 0.5, true);
        for (Parts.Between ends :
                List.of(new Parts.Between("code", "Two ways.", 4, 8), new Parts.Between("code", "Two ways.", 8, 4))) {
            Finding said = Verdict.between(ends, result);
            assertThat(said.grade()).isEqualTo(lies ? Finding.Grade.NOTE : Finding.Grade.QUESTION);
            assertThat(said.message()).startsWith("Two ways. The result lies " + (lies ? "between" : "outside"));
        }
    }

    @Test
    void whatIsTwoUncertaintiesBelowZeroIsNegative() {
        assertThat(Plausibility.nearNought(-1.99, 1)).isTrue();
        assertThat(Plausibility.nearNought(-2, 1)).isFalse();
    }

    /** Scatter of 1, 2, 3, 4 by hand: √(5 ÷ 3). The last is as unsure as is left alone, or a little more. */
    @Test
    void entriesScatterAndTheUnsureIsWorthRepeating() {
        assertThat(beside(2.5).scatter()).isCloseTo(Math.sqrt(5.0 / 3), within(1e-12));
        assertThat(beside(2.5).entries()).allMatch(each -> each.repeat().isEmpty());
        assertThat(beside(2.51).entries())
                .extracting(SideBySide.Entry::repeat)
                .containsExactly(
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.of("yes: far less sure than the others"));
        SideBySide alone = SideBySide.of(List.of(given("Alder", 1, 0)), Optional.empty(), PER_MOLE, Figures.POINT);
        assertThat(alone.scatter()).isZero();
        assertThat(alone.entries()).allMatch(each -> each.repeat().isEmpty());
    }

    private static SideBySide beside(double times) {
        List<SideBySide.Given> given = new ArrayList<>();
        for (int i = 1; i <= 4; i++) {
            given.add(given("bench " + i, i, i == 4 ? 0.1 * times : 0.1));
        }
        return SideBySide.of(given, Optional.empty(), PER_MOLE, Figures.POINT);
    }

    private static SideBySide.Given given(String bench, double value, double uncertainty) {
        Estimate result = estimate(value, uncertainty);
        return new SideBySide.Given(bench, result, Interval.of(result));
    }

    @Test
    void oneOutlierAndTwoAreSpokenOfAsTheyAre() {
        assertThat(outliers(1))
                .contains("Far 1 is an outlier", "its readings and its possible causes, and repeat it now");
        assertThat(outliers(2))
                .contains(
                        "Far 1 and Far 2 are outliers",
                        "their readings and their possible causes, and repeat them now");
    }

    private static String outliers(int far) {
        List<SideBySide.Given> given = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            given.add(given("bench " + i, 10 + 0.1 * (i % 4), 0.1));
        }
        for (int i = 1; i <= far; i++) {
            given.add(given("Far " + i, 15, 0.1));
        }
        return SideBySide.of(given, Optional.empty(), PER_MOLE, Figures.POINT)
                .findings()
                .get(0)
                .message();
    }

    /** KCl into 100 g of water that cools by so much (°C), trial by trial. */
    private static Reduction salts(String[] masses, String[] starts, double[] falls) {
        BenchSheet sheet = BenchSheet.of("heat-of-solution", masses.length).says("solute[1]/formula", "KCl");
        for (int trial = 1; trial <= masses.length; trial++) {
            double start = Double.parseDouble(starts[trial - 1]);
            sheet.mass("water[" + trial + "]/mass", "100.00")
                    .mass("solid[" + trial + "]/mass", masses[trial - 1])
                    .temperature("water[" + trial + "]/start", starts[trial - 1])
                    .temperature(
                            "solution[" + trial + "]/final",
                            String.format(Locale.ROOT, "%.2f", start - falls[trial - 1]))
                    .says("solution[" + trial + "]/dissolved", "all");
        }
        return sheet.reduced();
    }

    private static List<String> followed(Reduction reduction) {
        return reduction.findings().stream()
                .filter(each -> each.code().startsWith("trials.follow-"))
                .map(Finding::message)
                .toList();
    }

    @Test
    void trialsThatFollowWhatTheyDifferInAreNoRepeats() {
        String[] same = {"5.00", "5.00", "5.00", "5.00", "5.00"};
        String[] at = {"20.00", "20.00", "20.00", "20.00", "20.00"};
        assertThat(followed(salts(same, at, new double[] {2.6, 2.62, 2.58, 2.61, 2.59})))
                .isEmpty();
        assertThat(followed(salts(same, new String[] {"15.00", "20.00", "25.00", "30.00", "35.00"}, new double[] {
                    2.8, 2.7, 2.6, 2.5, 2.4
                })))
                .singleElement()
                .satisfies(
                        said -> assertThat(said)
                                .startsWith(
                                        "The results follow the temperature of the trials: from 15.0 to 35.0 °C they change by −2.6"));
        assertThat(followed(salts(new String[] {"2.00", "2.50", "3.33", "5.00", "10.00"}, at, new double[] {
                    1.38, 1.60, 1.96, 2.67, 4.66
                })))
                .singleElement()
                .satisfies(
                        said -> assertThat(said)
                                .startsWith(
                                        "The results follow the dilution of the trials: from 41.4 to 207 mol of water to each mole"));
    }

    /** What is found of one trial is said to be of that one, of two of both, of all of none. */
    @Test
    void whatIsFoundOfSomeTrialsNamesThem() {
        assertThat(outside("23.5", "19.0", "23.5")).startsWith("Trial 2: ");
        assertThat(outside("19.0", "19.0", "23.5")).startsWith("Trials 1, 2: ");
        assertThat(outside("19.0", "19.0", "19.0")).doesNotStartWith("Trial");
    }

    /** 50 g of a hot solid into 100 g of water at 20 °C. */
    private static String outside(String... ends) {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid", ends.length);
        for (int trial = 1; trial <= ends.length; trial++) {
            sheet.mass("sample[" + trial + "]/mass", "50.00")
                    .says("sample[" + trial + "]/bath", "boiling")
                    .temperature("sample[" + trial + "]/start", "100.0")
                    .mass("water[" + trial + "]/mass", "100.00")
                    .temperature("water[" + trial + "]/start", "20.0")
                    .temperature("mixed[" + trial + "]/final", ends[trial - 1]);
        }
        return sheet.reduced().findings().stream()
                .filter(each -> each.code().equals("account.final-outside-starts"))
                .map(Finding::message)
                .findFirst()
                .orElseThrow();
    }
}
