package lab.sassafras.expression;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.substance.LiquidWater;
import org.junit.jupiter.api.Test;

/** What a person would write on the board, read from the tree that is computed. */
class WorkingTest {

    private static final Input MASS = input("m", "m:water", BenchUnit.GRAMS);
    private static final Input START = input("s", "T:start", BenchUnit.DEGREES_CELSIUS);
    private static final Input END = input("e", "T:end", BenchUnit.DEGREES_CELSIUS);
    private static final Expression WATER = new Expression.Constant(4.184, "4.184", BenchUnit.JOULES_PER_GRAM_DEGREE)
            .named(Symbol.of("c:water"), BenchUnit.JOULES_PER_GRAM_DEGREE);
    private static final Named HEAT = new Expression.Product(List.of(MASS, WATER, END.minus(START)))
            .named(Symbol.of("q:water"), BenchUnit.JOULES);

    @Test
    void aHeatIsLawThenNumbersThenResultWithItsWayInWords() {
        assertThat(lines(HEAT, 118.72, 20.3, 24.0))
                .containsExactly(
                        "q(water) = m(water) × c(water) × (T(end) − T(start))",
                        "         = 118.72 g × 4.184 J/(g·°C) × (24.0 − 20.3) °C",
                        "         = +1838 J, absorbed");
    }

    @Test
    void aHeatGivenOffKeepsItsMinusAndSaysSo() {
        assertThat(lines(HEAT, 118.72, 24.0, 20.3).get(2)).endsWith("= −1838 J, released");
    }

    @Test
    void negativeNumbersStandInBracketsWhereTwoSignsWouldMeet() {
        assertThat(lines(HEAT, 50.00, -4.0, 0.0).get(1)).endsWith("× (0.0 − (−4.0)) °C");
        assertThat(lines(HEAT, 50.00, 3.0, -1.0).get(1)).endsWith("× (−1.0 − 3.0) °C");
    }

    @Test
    void aStepUsedTwiceIsWrittenOnce() {
        Named twice = HEAT.plus(HEAT).negated().named(Symbol.of("q:rest"), BenchUnit.JOULES);
        List<String> lines = lines(twice, 118.72, 20.3, 24.0);
        assertThat(lines).filteredOn(line -> line.startsWith("q(water)")).hasSize(1);
        assertThat(lines).contains("q(rest)  = −(q(water) + q(water))", "         = −(1837.9 + 1837.9) J");
    }

    @Test
    void aDivisionKeepsItsDivisorTogether() {
        Named perGram =
                HEAT.over(MASS.times(START.plus(END))).named(Symbol.of("c:found"), BenchUnit.JOULES_PER_GRAM_DEGREE);
        assertThat(lines(perGram, 100.00, 20.0, 30.0))
                .contains(
                        "c(found) = q(water) ÷ (m(water) × (T(start) + T(end)))",
                        "         = 4184.0 J ÷ (100.00 g × (20.0 + 30.0) °C)");
    }

    @Test
    void aValueFromATableNamesWhereItWasLookedUp() {
        Named looked = new Expression.Applied(LiquidWater.specificHeat(), Expression.mean(START, END))
                .named(Symbol.of("c:water"), BenchUnit.JOULES_PER_GRAM_DEGREE);
        assertThat(lines(looked, 1, 20.0, 30.0).get(0)).isEqualTo("c(water) = c(water at)((T(start) + T(end)) ÷ 2)");
        assertThat(lines(looked, 1, 20.0, 30.0).get(2)).startsWith("         = 4.18");
    }

    @Test
    void latexIsTheSameArithmeticWithFractionsAndUpright() {
        Named perGram = HEAT.over(MASS).named(Symbol.of("q:gram"), BenchUnit.JOULES);
        String latex = working(perGram, 118.72, 20.3, 24.0, Figures.POINT).latex();
        assertThat(latex)
                .startsWith("\\begin{aligned}")
                .endsWith("\\end{aligned}\n")
                .contains(
                        "q_{\\text{water}} &= m_{\\text{water}} \\times c_{\\text{water}} \\times (T_{\\text{end}} "
                                + "- T_{\\text{start}})",
                        "118.72 \\,\\mathrm{g} \\times 4.184 \\,\\mathrm{J/(g\\cdot {}^{\\circ}C)}",
                        "\\frac{q_{\\text{water}}}{m_{\\text{water}}}");
        assertThat(latex.chars().filter(c -> c == '{').count())
                .isEqualTo(latex.chars().filter(c -> c == '}').count());
        assertThat(latex).doesNotContain("−", "×", "÷", "°", "Δ");
    }

    @Test
    void theDecimalMarkOfThePeriodIsUsedThroughout() {
        Figures comma = new Figures(DecimalMark.COMMA);
        assertThat(working(HEAT, 118.72, 20.3, 24.0, comma).text())
                .contains("118,72 g × 4,184 J/(g·°C) × (24,0 − 20,3) °C");
        assertThat(working(HEAT, 118.72, 20.3, 24.0, comma).latex()).contains("118{,}72");
    }

    private static List<String> lines(Named step, double mass, double start, double end) {
        return working(step, mass, start, end, Figures.POINT).text().lines().toList();
    }

    private static Working working(Named step, double mass, double start, double end, Figures figures) {
        return Working.of(
                step,
                Bindings.of(Map.of("m", read(mass, 0.003, 2), "s", read(start, 0.03, 1), "e", read(end, 0.03, 1))),
                figures);
    }

    private static Measured read(double value, double uncertainty, int decimals) {
        return new Measured(value, uncertainty, Double.POSITIVE_INFINITY, List.of(), decimals);
    }

    private static Input input(String key, String symbol, BenchUnit unit) {
        return new Input(key, Symbol.of(symbol), key, unit);
    }
}
