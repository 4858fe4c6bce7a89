package lab.sassafras.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import org.junit.jupiter.api.Test;

/** What every kind of books carries beside its unknown. */
class SingleAccountTest {

    private static final Input MASS = new Input("m", Symbol.of("m"), "mass", BenchUnit.GRAMS);
    private static final Input HEAT = new Input("c", Symbol.of("c"), "heat", BenchUnit.JOULES_PER_GRAM_DEGREE);
    private static final Input START = new Input("t", Symbol.of("T:start"), "start", BenchUnit.DEGREES_CELSIUS);
    private static final Input END = new Input("e", Symbol.of("T:end"), "end", BenchUnit.DEGREES_CELSIUS);
    private static final Input UNKNOWN = new Input("unknown", Symbol.of("C"), "constant", BenchUnit.JOULES_PER_DEGREE);

    private static Named step(String word) {
        return MASS.times(Expression.number(1, "1")).named(new Symbol("x", word), BenchUnit.GRAMS);
    }

    private static Derived derived(String word) {
        return new Derived(word, new Symbol("d", word), BenchUnit.JOULES, base -> base);
    }

    private static HeatBalance ledger() {
        HeatTerm water = HeatTerm.body("water", "water", MASS, HEAT, START, END)
                .demanding(new HeatTerm.Demand("warms", END, START, "It must warm."));
        return HeatBalance.of(2, List.of(water, HeatTerm.vessel("cup", "cup", UNKNOWN, START, END)), UNKNOWN);
    }

    private static Bindings numbers(double end) {
        return Bindings.of(Map.of(
                "m", Measured.independent(100, 0.1),
                "c", Measured.exact(4.184),
                "t", Measured.independent(20, 0.05),
                "e", Measured.independent(end, 0.05)));
    }

    /**
     * Whatever a number is read from is offered for checking: heats, temperatures, demands, result, and all beside it.
     */
    @Test
    void everyExpressionIsThereToBeChecked() {
        HeatBalance ledger = ledger().holding(step("fill"))
                .giving(derived("further"))
                .against(step("across"), derived("up"))
                .answering(step("answer"));
        List<Expression> all = ledger.expressions();
        assertThat(all).contains(START, END, step("fill"), step("across"), step("answer"), END.minus(START));
        Function<String, Boolean> named = letter -> all.stream()
                .anyMatch(each ->
                        each instanceof Named step && step.symbol().text().equals(letter));
        assertThat(List.of("q(water)", "q(cup)", "C", "d(further)", "d(up)")).allMatch(named::apply);
        assertThat(DirectFormula.of(1, MASS, UNKNOWN).giving(derived("further")).expressions())
                .hasSize(2);
        assertThat(new AlternativeBalances(1, List.of(ledger(), ledger())).expressions())
                .hasSize(2 * ledger().expressions().size());
    }

    /** C = −m c (e − t) ÷ (e − t) = −418.4 J/°C; no ledger and a direct account carry the same beside it. */
    @Test
    void aDirectAccountCarriesDerivedResultsAPointAndRemarks() {
        Remark told = bindings -> Optional.of(Finding.note("direct.told", "Told."));
        Solution.Outcome outcome = DirectFormula.of(1, MASS.times(HEAT), UNKNOWN)
                .holding(MASS)
                .giving(new Derived("twice", Symbol.of("d"), BenchUnit.JOULES_PER_DEGREE, base -> base.plus(base)))
                .against(step("across"), new Derived("up", Symbol.of("u"), BenchUnit.JOULES_PER_DEGREE, base -> base))
                .remarking(List.of(told))
                .solve(numbers(24));
        Solution solution = outcome.solution().orElseThrow();
        assertThat(solution.estimate().value()).isCloseTo(418.4, within(1e-9));
        assertThat(solution.derived().get(0).estimate().value()).isCloseTo(836.8, within(1e-9));
        assertThat(solution.fill()).contains(100.0);
        assertThat(solution.point().orElseThrow().across().value()).isEqualTo(100);
        assertThat(outcome.findings()).extracting(Finding::code).containsExactly("direct.told");
    }

    @Test
    void aDemandThatIsNotMetRefusesUnderItsOwnCode() {
        assertThat(ledger().solve(numbers(24)).solution()).isPresent();
        assertThat(ledger().solve(numbers(19)).findings())
                .extracting(Finding::code)
                .containsExactly("warms");
        assertThat(ledger().estimate(numbers(19))).isEmpty();
        AlternativeBalances cases = new AlternativeBalances(
                1, List.of(ledger(), HeatBalance.of(1, ledger().parties().subList(1, 2), UNKNOWN)));
        assertThat(cases.sought()).contains(UNKNOWN);
        assertThat(cases.estimate(numbers(24)).orElseThrow().value()).isCloseTo(-418.4, within(1e-9));
    }

    /** A change of 0.2 °C read to 0.05 °C at both ends: the constant is known to a third. */
    @Test
    void aWeakResultSaysSoAndAStrongOneDoesNot() {
        DirectFormula rate = DirectFormula.of(1, MASS.over(END.minus(START)), UNKNOWN);
        assertThat(rate.solve(numbers(20.2)).findings())
                .extracting(Finding::code)
                .contains("account.weak");
        assertThat(rate.solve(numbers(20.2)).findings())
                .extracting(Finding::message)
                .anyMatch(each -> each.contains("35 %"));
        assertThat(rate.solve(numbers(21)).findings()).isEmpty();
    }

    /**
     * 0.02 mol beside 0.03 mol that are taken two at a time: the second runs out first, and 0.005 mol of the first
     * stay.
     */
    @Test
    void whatIsLeftOverIsCountedInMolesOfItsOwn() {
        Reagents reagents = new Reagents(
                new Reagents.Reagent("first", new Input("a", Symbol.of("a"), "a", BenchUnit.MOLES), 1),
                new Reagents.Reagent("second", new Input("b", Symbol.of("b"), "b", BenchUnit.MOLES), 2));
        Bindings moles =
                Bindings.of(Map.of("a", Measured.independent(0.02, 1e-5), "b", Measured.independent(0.03, 1e-5)));
        assertThat(reagents.remarks(Figures.POINT).stream()
                        .flatMap(each -> each.on(moles).stream())
                        .map(Finding::message))
                .containsExactly("Limiting reagent: second. Of first there were 0.00500 mol more than needed (33 %).");
    }

    private static List<String> said(double value, double ofInstrument, double ofCurve) {
        double u = Math.hypot(ofInstrument, ofCurve);
        Solution solution =
                DirectFormula.of(1, MASS, UNKNOWN).solve(numbers(24)).solution().orElseThrow();
        Estimate estimate = new Estimate(
                value,
                u,
                Double.POSITIVE_INFINITY,
                List.of(
                        new Estimate.Contribution("m", "mass", 1, ofInstrument, null),
                        new Estimate.Contribution("curve[1]/end", "curve", 1, ofCurve, null)));
        return new Solution(
                        solution.account(),
                        solution.bindings(),
                        solution.result(),
                        solution.worked(),
                        estimate,
                        List.of(),
                        Optional.empty(),
                        List.of(),
                        Optional.empty())
                .findings().stream().map(Finding::message).toList();
    }

    /**
     * Weak by a quarter and more, nothing at all from the whole on; and it is the curve's shape where most of u² is of
     * it.
     */
    @Test
    void aWeakResultSaysWhatMakesItWeak() {
        assertThat(said(-8, 2, 0)).isEmpty();
        assertThat(said(-8, 2.1, 0)).singleElement().asString().contains("about 26 %", "what the instruments");
        assertThat(said(-8, 8, 0)).singleElement().asString().contains("cannot be told from nothing");
        assertThat(said(-8, 3, 4)).singleElement().asString().contains("shape of the curve");
        assertThat(said(-8, 4, 3)).singleElement().asString().contains("what the instruments");
    }

    /**
     * What only shares heat ends between where it began, the ends themselves counted in; a process may end anywhere.
     */
    @Test
    void anEndOutsideTheStartsIsAskedAbout() {
        Input warm = new Input("w", Symbol.of("T:warm"), "warm", BenchUnit.DEGREES_CELSIUS);
        List<HeatTerm> sharing = List.of(
                HeatTerm.body("water", "water", MASS, HEAT, START, END),
                HeatTerm.vessel("cup", "cup", UNKNOWN, warm, END));
        for (double end : new double[] {20, 24, 60}) {
            assertThat(codes(sharing, end)).as("ends at " + end).doesNotContain("account.final-outside-starts");
        }
        assertThat(codes(sharing, 19.9)).contains("account.final-outside-starts");
        assertThat(codes(sharing, 60.1)).contains("account.final-outside-starts");
        List<HeatTerm> burning = List.of(
                HeatTerm.body("water", "water", MASS, HEAT, START, END),
                HeatTerm.process("process", "process", new Expression.Product(List.of(UNKNOWN, warm))));
        assertThat(codes(burning, 19)).doesNotContain("account.final-outside-starts");
    }

    private static List<String> codes(List<HeatTerm> parties, double end) {
        return HeatBalance.of(1, parties, UNKNOWN)
                .solve(numbers(end).with("w", Measured.independent(60, 0.05)))
                .findings()
                .stream()
                .map(Finding::code)
                .toList();
    }

    /**
     * In two parties at once: m c (e − t) + C (e − t) + C (e − t) = 0; in no straight line and with nothing between
     * which to look, there is none.
     */
    @Test
    void anUnknownInSeveralPartiesIsSolvedThroughTheSum() {
        HeatTerm one = HeatTerm.vessel("one", "one", UNKNOWN, START, END);
        HeatTerm other = HeatTerm.vessel("other", "other", UNKNOWN, START, END);
        HeatTerm water = HeatTerm.body("water", "water", MASS, HEAT, START, END);
        assertThat(HeatBalance.of(1, List.of(water, one, other), UNKNOWN)
                        .estimate(numbers(24))
                        .orElseThrow()
                        .value())
                .isCloseTo(-209.2, within(1e-9));
        HeatTerm square = HeatTerm.process("square", "square", UNKNOWN.times(UNKNOWN));
        assertThat(HeatBalance.of(1, List.of(water, one, square), UNKNOWN).solved())
                .isEmpty();
        assertThat(HeatBalance.of(1, List.of(water, square), UNKNOWN).solved()).isEmpty();
        HeatTerm gone = HeatTerm.process(
                "gone", "gone", UNKNOWN.times(START.minus(START)).negated());
        assertThat(HeatBalance.of(1, List.of(water, one, gone), UNKNOWN).omits())
                .isFalse();
        assertThat(new AlternativeBalances(1, List.of(HeatBalance.of(1, List.of(water, one), UNKNOWN))).omits())
                .isFalse();
    }

    /** Equal moles: the first is said to run out; and a few thousandths left over are not worth a word. */
    @Test
    void whatIsEvenAndWhatIsAThousandTimesApart() {
        Reagents reagents = new Reagents(
                new Reagents.Reagent("first", new Input("a", Symbol.of("a"), "a", BenchUnit.MOLES), 1),
                new Reagents.Reagent("second", new Input("b", Symbol.of("b"), "b", BenchUnit.MOLES), 1));
        assertThat(remarks(reagents, 0.02, 0.02))
                .anyMatch(each -> each.contains("equal within"))
                .anyMatch(each -> each.equals("Limiting reagent: first."));
        assertThat(remarks(reagents, 0.02, 0.020009)).anyMatch(each -> each.equals("Limiting reagent: first."));
        assertThat(remarks(reagents, 0.02, 0.02002)).anyMatch(each -> each.contains("0.0000200 mol more"));
        assertThat(remarks(reagents, 0.02, 5.98)).noneMatch(each -> each.contains("times apart"));
        assertThat(remarks(reagents, 0.02, 6.02)).anyMatch(each -> each.contains("301 times apart"));
    }

    private static List<String> remarks(Reagents reagents, double one, double other) {
        Bindings moles =
                Bindings.of(Map.of("a", Measured.independent(one, 1e-6), "b", Measured.independent(other, 1e-6)));
        return reagents.remarks(Figures.POINT).stream()
                .flatMap(each -> each.on(moles).stream())
                .map(Finding::message)
                .toList();
    }
}
