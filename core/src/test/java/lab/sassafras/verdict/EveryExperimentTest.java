package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.WorkedRuns;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Linearity;
import lab.sassafras.expression.MonteCarlo;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.QuestionsOfWriting;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Setting;
import lab.sassafras.substance.ReferenceShelf;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What holds for the run of every experiment, under every school. */
class EveryExperimentTest {

    static Set<String> keys() {
        return WorkedRuns.all().keySet();
    }

    static Stream<org.junit.jupiter.params.provider.Arguments> schools() {
        return WorkedRuns.all().keySet().stream()
                .flatMap(key -> Conventions.standard()
                        .variants(Experiments.find(key).orElseThrow().conventions())
                        .map(each -> org.junit.jupiter.params.provider.Arguments.of(
                                key, each.question().key(), each.school().key())));
    }

    @Test
    void noExperimentIsLeftOut() {
        assertThat(keys())
                .containsExactlyInAnyOrderElementsOf(
                        Experiments.all().stream().map(Experiment::key).toList());
    }

    /**
     * An entry keeps the shelf it was begun with, however old: whatever is not on it is left out, and nothing breaks.
     */
    @ParameterizedTest
    @MethodSource("keys")
    void everyShelfThereEverWasReducesIt(String key) {
        Sheet sheet = WorkedRuns.all().get(key).sheet();
        for (int version = 1; version <= ReferenceShelf.VERSION; version++) {
            Setting setting = sheet.setting().with(ReferenceShelf.at(version));
            Reduction reduction =
                    Reduction.of(sheet.with(setting), Conventions.standard()).whole(1);
            assertThat(reduction.result()).as("shelf " + version).isPresent();
        }
    }

    /** In a class that writes decimals with a comma, no sentence of a result has a point between figures. */
    @ParameterizedTest
    @MethodSource("keys")
    void underACommaNoSentenceHasAPoint(String key) {
        Sheet sheet = WorkedRuns.all().get(key).sheet();
        Reduction reduction = Reduction.of(
                sheet.with(sheet.setting().writing(new Figures(DecimalMark.COMMA))), Conventions.standard());
        String typed = sheet.lines().stream()
                .map(line -> java.util.regex.Pattern.quote(line.text()))
                .collect(java.util.stream.Collectors.joining("|"));
        assertThat(reduction.findings())
                .isNotEmpty()
                .allSatisfy(finding ->
                        assertThat(finding.message().replaceAll(typed, "")).doesNotContainPattern("\\d\\.\\d"));
        assertThat(reduction.working(1).orElseThrow().text().replaceAll(typed, ""))
                .doesNotContainPattern("\\d\\.\\d");
    }

    /** Each derivative against a central difference of the whole reduction's expression. */
    @ParameterizedTest
    @MethodSource("keys")
    void derivativesEqualCentralDifferences(String key) {
        Solution solution = solution(key);
        for (Input input : solution.result().inputs()) {
            double value = solution.bindings().of(input).value();
            double h = 1e-5 * (value == 0 ? 1 : Math.abs(value));
            double central = (at(solution, input, h) - at(solution, input, -h)) / (2 * h);
            assertThat(new Computation(solution.result(), solution.bindings()).derivative(input))
                    .as(key + " by " + input.key())
                    .isCloseTo(central, within(1e-6 * Math.max(1, Math.abs(central))));
        }
    }

    private static double at(Solution solution, Input input, double step) {
        return new Computation(solution.result(), solution.bindings().shifted(input, step)).value();
    }

    /** The law of propagation against 200 000 random draws of the same inputs: two routes to one u. */
    @ParameterizedTest
    @MethodSource("keys")
    void theLinearUncertaintyIsThatOfRandomDraws(String key) {
        Estimate estimate = solution(key).estimate();
        MonteCarlo drawn = MonteCarlo.of(solution(key).result(), solution(key).bindings(), 200_000);
        assertThat(drawn.value()).isCloseTo(estimate.value(), within(0.05 * estimate.uncertainty()));
        assertThat(drawn.uncertainty().orElseThrow() / estimate.uncertainty()).isCloseTo(1, within(0.02));
    }

    /**
     * Where a few evaluations say that a formula is straight enough, fifty thousand draws bear it out; and some do say
     * so.
     */
    @Test
    void whatIsSurelyLinearIsBorneOutByDraws() {
        List<String> sure = keys().stream()
                .filter(key ->
                        Linearity.sure(solution(key).result(), solution(key).bindings()))
                .toList();
        assertThat(sure)
                .hasSizeGreaterThan(5)
                .allSatisfy(key -> assertThat(MonteCarlo.ofFormula(
                                        solution(key).result(), solution(key).bindings(), 50_000)
                                .bearsOut(solution(key).estimate()))
                        .as(key)
                        .isTrue());
    }

    @ParameterizedTest
    @MethodSource("keys")
    void theHeatsSumToZeroAndEveryOneIsWrittenWithItsWay(String key) {
        Solution solution = solution(key);
        assertThat(solution.postings().stream()
                        .mapToDouble(entry -> entry.heat().value())
                        .sum())
                .isCloseTo(0, within(1e-6));
        String working = new Presentation(Conventions.standard(), Figures.POINT)
                .working(solution)
                .text();
        assertThat(working)
                .doesNotContain("NaN", "not known", "Optional")
                .contains(solution.worked().symbol().text());
        if (!solution.postings().isEmpty()) {
            assertThat(working).contains("= 0\n").containsAnyOf("absorbed", "released");
        }
    }

    /** LaTeX of every working: brackets in pairs, words in upright boxes, none of the signs only a screen can show. */
    @ParameterizedTest
    @MethodSource("keys")
    void latexOfEveryWorkingIsPlainAndBalanced(String key) {
        String latex = new Presentation(Conventions.standard(), Figures.POINT)
                .working(solution(key))
                .latex();
        assertThat(latex.chars().filter(c -> c == '{').count())
                .isEqualTo(latex.chars().filter(c -> c == '}').count());
        assertThat(latex)
                .startsWith("\\begin{aligned}")
                .endsWith("\\end{aligned}\n")
                .doesNotContain("−", "×", "÷", "°", "the smaller of n");
    }

    /**
     * Every result, and all that follows from it, under every way of writing: never a bare unit, never a number
     * nobody can read.
     */
    private static int decimals(String number) {
        return number.indexOf('.') < 0 ? 0 : number.length() - number.indexOf('.') - 1;
    }

    @ParameterizedTest
    @MethodSource("keys")
    void everyWayOfWritingGivesAReadableResult(String key) {
        Solution solution = solution(key);
        Conventions.standard().variants(QuestionsOfWriting.all()).forEach(way -> {
            Presentation presentation = new Presentation(way.conventions(), Figures.POINT);
            Presentation.Written written = presentation.written(
                    solution.estimate(), solution.estimate().halfWidth(0.95), solution.result(), solution.bindings());
            assertThat(written.value()).as(way.school().key()).matches("[+−]?\\d+(\\.\\d+)?");
            assertThat(written.uncertainty()).as(way.school().key()).matches("\\d+(\\.\\d+)?");
            assertThat(decimals(written.uncertainty()))
                    .isEqualTo(written.uncertainty().equals("0") ? 0 : decimals(written.value()));
            assertThat(presentation.working(solution).text()).contains(written.unit());
            solution.derived()
                    .forEach(each -> assertThat(presentation
                                    .written(each.estimate(), each.derived().unit())
                                    .value())
                            .isNotBlank());
        });
    }

    /**
     * A school either gives a finite number, or says what it lacks; it never throws, and never gives what cannot be.
     */
    @ParameterizedTest
    @MethodSource("schools")
    void everySchoolGivesANumberOrSaysWhatItLacks(String key, String question, String school) {
        Conventions conventions = Conventions.of(Map.of(question, school));
        BenchSheet run = WorkedRuns.all().get(key);
        Reduction reduction =
                Reduction.of(run.sheet().with(run.sheet().setting().with(conventions)), conventions);
        if (reduction.mean().isPresent()) {
            assertThat(reduction.result().orElseThrow().finite()).isTrue();
        } else {
            List<String> missing = reduction.trials().stream()
                    .flatMap(trial -> ((lab.sassafras.account.Account.Incomplete) trial.account()).missing().stream())
                    .map(each -> each.address())
                    .toList();
            assertThat(missing).isNotEmpty();
            // what it lacks is asked for at the bench as soon as the school is in force
            assertThat(reduction.sheet().tasks().asks(1))
                    .extracting(ask -> ask.address().toString())
                    .containsAll(missing);
        }
    }

    @ParameterizedTest
    @MethodSource("keys")
    void everyOtherSchoolOfItsQuestionsStandsAmongTheAlternatives(String key) {
        Reduction reduction = WorkedRuns.all().get(key).reduced();
        List<String> named = reduction.alternatives().stream()
                .map(each -> each.alternative().question().key() + " "
                        + each.alternative().school().key())
                .toList();
        for (ConventionQuestion<?> question : reduction.sheet().experiment().conventions()) {
            for (Convention other : question.schools()) {
                boolean inForce = other.key().equals(question.standard().key());
                assertThat(named.contains(question.key() + " " + other.key()))
                        .as(question.key() + " " + other.key())
                        .isEqualTo(!inForce);
            }
        }
    }

    private static Solution solution(String key) {
        Reduction reduction = WorkedRuns.all().get(key).reduced();
        return reduction.trials().get(0).solution().orElseThrow(() -> new AssertionError(reduction.findings()));
    }
}
