package lab.sassafras.presentation;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Latex;
import lab.sassafras.expression.Script;
import lab.sassafras.expression.SignificantFigures;
import lab.sassafras.expression.Symbol;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Reference;

/** How the numbers of an entry are written: the questions of writing, settled. */
public record Presentation(Conventions conventions, Figures figures) {

    /** A number with half the width of its 95 % interval and its unit, written out. */
    public record Written(String value, String uncertainty, String unit) {

        /** {@return the value with its ±; alone where it has none, as a temperature held by what changes state} */
        public String bare() {
            return uncertainty.equals("0") ? value : value + " ± " + uncertainty;
        }

        @Override
        public String toString() {
            return bare() + (unit.isEmpty() ? "" : " " + unit);
        }
    }

    /**
     * {@return the unit a quantity is shown in}
     *
     * @param unit of the number
     */
    public BenchUnit unit(BenchUnit unit) {
        return conventions
                .in(QuestionsOfWriting.HEAT)
                .unit(conventions.in(QuestionsOfWriting.UNITS).unit(unit));
    }

    /** {@return letters and units} */
    public Script script() {
        return conventions.in(QuestionsOfWriting.UNITS).script();
    }

    /**
     * {@return an estimate in the unit shown, with half the width of its 95 % interval, rounded by that}
     *
     * @param estimate the number with its uncertainty (unit)
     * @param unit     of the number
     */
    public Written written(Estimate estimate, BenchUnit unit) {
        return written(estimate, estimate.halfWidth(0.95), unit);
    }

    /**
     * {@return an estimate in the unit shown, with half the width of the interval that is to be gone by}
     *
     * @param estimate the number with its uncertainty (unit)
     * @param half     half the width of its 95 % interval (unit)
     * @param unit     of the number
     */
    public Written written(Estimate estimate, double half, BenchUnit unit) {
        return written(estimate, half, unit, OptionalInt.empty());
    }

    /**
     * {@return a result, rounded by the school in force from the readings it comes of}
     *
     * @param estimate the number with its uncertainty (unit)
     * @param half     half the width of its 95 % interval (unit)
     * @param result   what is found
     * @param bindings the numbers that go into the inputs
     */
    public Written written(Estimate estimate, double half, Named result, Bindings bindings) {
        return written(
                estimate,
                half,
                result.unit(),
                conventions.in(QuestionsOfWriting.ROUNDING) == Rounding.FIGURES
                        ? SignificantFigures.of(result, bindings)
                        : SignificantFigures.ofDigitsAlone(result, bindings));
    }

    /**
     * {@return an estimate in the unit shown, to so many significant figures where they are given}
     *
     * @param estimate       the number with its uncertainty (unit)
     * @param half           half the width of its 95 % interval (unit)
     * @param unit           of the number
     * @param figuresAllowed how many figures it may have; empty where its uncertainty decides
     */
    private Written written(Estimate estimate, double half, BenchUnit unit, OptionalInt figuresAllowed) {
        BenchUnit shown = unit(unit);
        double size = factor(unit, shown);
        double value = estimate.value() * size;
        double uncertainty = half * size;
        int decimals = figuresAllowed.isPresent()
                ? Figures.decimalsOf(value, figuresAllowed.getAsInt(), uncertainty)
                : Figures.decimalsFor(uncertainty);
        boolean signed = unit.dimension().directed();
        if (estimate.uncertainty() == 0) {
            return new Written(figures.plain(value), "0", shown.symbol());
        }
        return new Written(
                signed ? figures.signed(value, decimals) : figures.fixed(value, decimals),
                figures.fixed(uncertainty, decimals),
                shown.symbol());
    }

    /**
     * {@return a reference value in the unit shown, as far as it is known, its sign printed where it has one}
     *
     * @param reference a handbook value
     */
    public String written(Reference reference) {
        BenchUnit shown = unit(reference.unit());
        double size = factor(reference.unit(), shown);
        double value = reference.value() * size;
        String known = figures.plain(new BigDecimal(value)
                .setScale(Figures.decimalsFor(reference.uncertainty() * size), RoundingMode.HALF_UP)
                .doubleValue());
        return (value > 0 && reference.unit().dimension().directed() ? "+" : "") + known + " " + shown.symbol();
    }

    /**
     * {@return a per cent error written as the school in force writes it}
     *
     * @param percent 100 · (result − reference) ÷ reference (%)
     */
    public String percentError(double percent) {
        return conventions.in(QuestionsOfWriting.PERCENT_ERROR).written(percent, figures);
    }

    /**
     * {@return a difference of two results, to the places of the uncertainty given, its sign printed}
     *
     * @param change      the difference (unit)
     * @param uncertainty standard uncertainty (unit of the value)
     * @param unit        of the number
     */
    public String change(double change, double uncertainty, BenchUnit unit) {
        double size = factor(unit, unit(unit));
        return figures.signed(change * size, Figures.decimalsFor(uncertainty * size));
    }

    /**
     * {@return a value that was written down with its sign and its own figures, in the unit heats are shown in}
     *
     * @param value    (unit)
     * @param decimals digits after the mark it has
     * @param unit     of the number
     */
    public String asWritten(double value, int decimals, BenchUnit unit) {
        return unit(unit).equals(unit) ? figures.signed(value, decimals) : change(value, Math.pow(10, -decimals), unit);
    }

    /**
     * {@return the result as a further step of the working, where it is shown in another unit than it is computed in}
     *
     * @param result what is found
     */
    public Named shown(Named result) {
        BenchUnit shown = unit(result.unit());
        if (shown.equals(result.unit())) {
            return result;
        }
        double size = factor(result.unit(), shown);
        boolean smaller = size < 1;
        double number = smaller ? 1 / size : size;
        Expression factor = Expression.number(
                number,
                plain(number) + " "
                        + (smaller
                                ? result.unit().symbol() + " per " + shown.symbol()
                                : shown.symbol() + " per " + result.unit().symbol()));
        return (smaller ? result.over(factor) : result.times(factor))
                .named(
                        new Symbol(
                                result.symbol().letter(), join(result.symbol().word(), "in " + shown.symbol())),
                        shown);
    }

    /**
     * {@return the working of a solved account: the books opened by the school in force, then step by step to the unit
     * shown}
     *
     * @param solution the books solved
     */
    public Working working(Solution solution) {
        Working steps = Working.of(shown(solution.worked()), solution.forWorking(), figures, script());
        BalanceSheet sheet = conventions.in(QuestionsOfWriting.SHEET);
        return solution.postings().size() < 2
                ? steps
                : steps.opened(
                        sheet.opening(
                                heats(solution, true, Symbol::text),
                                heats(solution, false, Symbol::text),
                                UnaryOperator.identity()),
                        sheet.opening(
                                        heats(solution, true, Symbol::latex),
                                        heats(solution, false, Symbol::latex),
                                        words -> Latex.text(words) + "\\;")
                                .replace("−", "-"));
    }

    /** The heats on one side of the books: the unknown's, or those that gave; and on the other. */
    private List<String> heats(Solution solution, boolean side, Function<Symbol, String> written) {
        boolean one = !conventions.in(QuestionsOfWriting.SHEET).bySign()
                && solution.postings().stream().anyMatch(Solution.Posting::sought);
        List<Solution.Posting> gave = solution.postings().stream()
                .filter(entry -> entry.heat().value() < 0)
                .toList();
        boolean split = !gave.isEmpty() && gave.size() < solution.postings().size();
        return solution.postings().stream()
                .filter(entry -> side
                        == (one
                                ? entry.sought()
                                : split
                                        ? entry.heat().value() < 0
                                        : entry.equals(solution.postings().get(0))))
                .map(entry -> written.apply(script().symbol(entry.party().heat().symbol())))
                .toList();
    }

    private static String join(String word, String more) {
        return word.isEmpty() ? more : word + ", " + more;
    }

    private static String plain(double number) {
        return Figures.POINT.plain(Math.rint(number * 1e6) / 1e6);
    }

    private static double factor(BenchUnit from, BenchUnit to) {
        return from.widthToBench(1) / to.widthToBench(1);
    }
}
