package lab.sassafras.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import org.junit.jupiter.api.Test;

/** What every kind of books carries beside its unknown. */
class BooksTest {

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

    private static Ledger ledger() {
        Party water = Party.body("water", "water", MASS, HEAT, START, END)
                .demanding(new Party.Demand("warms", END, START, "It must warm."));
        return Ledger.of(2, List.of(water, Party.vessel("cup", "cup", UNKNOWN, START, END)), UNKNOWN);
    }

    private static Bindings numbers(double end) {
        return Bindings.of(Map.of(
                "m", Measured.independent(100, 0.1),
                "c", Measured.exact(4.184),
                "t", Measured.independent(20, 0.05),
                "e", Measured.independent(end, 0.05)));
    }

    /** Whatever a number is read from is offered for checking: heats, temperatures, demands, result, and all beside it. */
    @Test
    void everyExpressionIsThereToBeChecked() {
        Ledger ledger = ledger().holding(step("fill"))
                .giving(derived("further"))
                .against(step("across"), derived("up"))
                .answering(step("answer"));
        List<Expression> all = ledger.expressions();
        assertThat(all).contains(START, END, step("fill"), step("across"), step("answer"), END.minus(START));
        Function<String, Boolean> named = letter -> all.stream()
                .anyMatch(each ->
                        each instanceof Named step && step.symbol().text().equals(letter));
        assertThat(List.of("q(water)", "q(cup)", "C", "d(further)", "d(up)")).allMatch(named::apply);
        assertThat(Direct.of(1, MASS, UNKNOWN).giving(derived("further")).expressions())
                .hasSize(2);
        assertThat(new Cases(1, List.of(ledger(), ledger())).expressions())
                .hasSize(2 * ledger().expressions().size());
    }

    /** C = −m c (e − t) ÷ (e − t) = −418.4 J/°C; no ledger and a direct account carry the same beside it. */
    @Test
    void aDirectAccountCarriesDerivedResultsAPointAndRemarks() {
        Remark told = bindings -> Optional.of(Finding.note("direct.told", "Told."));
        Solution.Outcome outcome = Direct.of(1, MASS.times(HEAT), UNKNOWN)
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
        Cases cases =
                new Cases(1, List.of(ledger(), Ledger.of(1, ledger().parties().subList(1, 2), UNKNOWN)));
        assertThat(cases.sought()).contains(UNKNOWN);
        assertThat(cases.estimate(numbers(24)).orElseThrow().value()).isCloseTo(-418.4, within(1e-9));
    }

    /** A change of 0.2 °C read to 0.05 °C at both ends: the constant is known to a third. */
    @Test
    void aWeakResultSaysSoAndAStrongOneDoesNot() {
        Direct rate = Direct.of(1, MASS.over(END.minus(START)), UNKNOWN);
        assertThat(rate.solve(numbers(20.2)).findings())
                .extracting(Finding::code)
                .contains("account.weak");
        assertThat(rate.solve(numbers(20.2)).findings())
                .extracting(Finding::message)
                .anyMatch(each -> each.contains("35 %"));
        assertThat(rate.solve(numbers(21)).findings()).isEmpty();
    }

    /** 0.02 mol beside 0.03 mol that are taken two at a time: the second runs out first, and 0.005 mol of the first stay. */
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
}
