package lab.sassafras.expression;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;

/**
 * The working as a person would write it: for each step the law, the numbers with their units put in, the result with
 * its sign in words. It is read from the very tree that was computed.
 *
 * @param opening      line the books open with; empty where there is none
 * @param openingLatex the same for LaTeX
 * @param lines        the steps, inner ones first
 */
public record Working(String opening, String openingLatex, List<Passage> lines) {

    /** Most places a heat is written to (J). */
    private static final int FINEST = 3;

    /**
     * One step.
     *
     * @param name    left of the equals sign
     * @param law     in symbols
     * @param numbers the law with numbers and units in it
     * @param result  rounded for showing
     * @param words   which way a heat went; empty for other quantities
     * @param latex   the whole step for LaTeX, aligned at the equals sign
     */
    public record Passage(String name, String law, String numbers, String result, String words, String latex) {}

    /**
     * Writes out every named step of a result, inner ones first.
     *
     * @param result   what is found
     * @param bindings the numbers that go into the inputs
     * @param figures  how numbers are written
     * @return as written
     */
    public static Working of(Expression result, Bindings bindings, Figures figures) {
        return of(result, bindings, figures, Script.PLAIN);
    }

    /**
     * {@return as above, with letters and units written another way}
     *
     * @param result   what is found
     * @param bindings the numbers that go into the inputs
     * @param figures  how numbers are written
     * @param script   letters and units
     */
    public static Working of(Expression result, Bindings bindings, Figures figures, Script script) {
        Map<String, Named> steps = new LinkedHashMap<>();
        result.read(new Steps(steps));
        Writer writer = new Writer(result, bindings, figures, script, shownStep(result, bindings));
        return new Working("", "", steps.values().stream().map(writer::line).toList());
    }

    /**
     * {@return the same, opened with the books}
     *
     * @param text  line the books open with
     * @param latex the same for LaTeX
     */
    public Working opened(String text, String latex) {
        return new Working(text, latex, lines);
    }

    /**
     * A fifth of a step in the last place the result is shown with: an intermediate whose rounding moves the result by
     * no more is fine enough.
     */
    private static double shownStep(Expression result, Bindings bindings) {
        Estimate estimate = new Computation(result, bindings).estimate();
        return 0.2 * Math.pow(10, -Figures.decimalsFor(estimate.halfWidth(0.95)));
    }

    /** {@return plain text, aligned at the equals sign} */
    public String text() {
        int width = lines.stream().mapToInt(line -> line.name().length()).max().orElse(0);
        StringBuilder out = new StringBuilder(opening.isEmpty() ? "" : opening + "\n");
        for (Passage line : lines) {
            out.append(line.name()).append(" ".repeat(width - line.name().length()));
            for (String right : rights(line)) {
                out.append(out.charAt(out.length() - 1) == '\n' ? " ".repeat(width) : "")
                        .append(" = ")
                        .append(right)
                        .append('\n');
            }
        }
        return out.toString();
    }

    /** {@return for LaTeX: one aligned block} */
    public String latex() {
        return lines.stream()
                .map(Passage::latex)
                .collect(Collectors.joining(
                        " \\\\\n",
                        "\\begin{aligned}\n" + (openingLatex.isEmpty() ? "" : "& " + openingLatex + " \\\\\n"),
                        "\n\\end{aligned}\n"));
    }

    /**
     * {@return what stands right of the equals signs of one step, repeats left out}
     *
     * @param line one step of the working
     */
    public static List<String> rights(Passage line) {
        List<String> rights = new ArrayList<>(List.of(line.law()));
        if (!line.numbers().equals(line.law()) && !line.numbers().equals(line.result())) {
            rights.add(line.numbers());
        }
        rights.add(line.words().isEmpty() ? line.result() : line.result() + ", " + line.words());
        return rights;
    }

    /** @param shownStep how far rounding an intermediate may move the result */
    private record Writer(Expression result, Bindings bindings, Figures figures, Script script, double shownStep) {

        Passage line(Named step) {
            String law = body(step, Notation.PLAIN, false);
            String numbers = body(step, Notation.PLAIN, true);
            double value = new Computation(step, bindings).value();
            String latex =
                    Notation.LATEX.symbol(script.symbol(step.symbol())) + " &= " + body(step, Notation.LATEX, false)
                            + " \\\\\n &= " + body(step, Notation.LATEX, true)
                            + " \\\\\n &= " + number(step, Notation.LATEX, true).whole();
            return new Passage(
                    script.symbol(step.symbol()).text(),
                    law,
                    numbers,
                    number(step, Notation.PLAIN, true).whole(),
                    words(step, value),
                    latex);
        }

        private String body(Named step, Notation notation, boolean inNumbers) {
            Wording wording = inNumbers
                    ? new Wording(
                            notation,
                            script,
                            figures.mark().sign(),
                            input -> number(input, notation),
                            named -> number(named, notation, false))
                    : new Wording(
                            notation,
                            script,
                            figures.mark().sign(),
                            input -> Phrase.atom(notation.symbol(script.symbol(input.symbol())), ""),
                            named -> Phrase.atom(notation.symbol(script.symbol(named.symbol())), ""));
            return step.body().read(wording).whole();
        }

        private Phrase number(Input input, Notation notation) {
            Measured measured = bindings.of(input);
            String shown = measured.decimals() >= 0
                    ? figures.fixed(measured.value(), measured.decimals())
                    : onRecord(measured);
            return Phrase.atom(
                    notation.number(shown),
                    notation.unit(script.unit(input.unit().symbol())));
        }

        /** A number from a record as it stands there, never with noughts that nobody wrote. */
        private String onRecord(Measured measured) {
            return figures.plain(new BigDecimal(measured.value())
                    .setScale(Figures.decimalsFor(measured.uncertainty()), RoundingMode.HALF_UP)
                    .doubleValue());
        }

        private Phrase number(Named step, Notation notation, boolean signed) {
            String unit = step.unit().symbol().isEmpty()
                    ? ""
                    : notation.unit(script.unit(step.unit().symbol()));
            if (step.body() instanceof Constant constant) {
                return Phrase.atom(
                        notation.number(
                                constant.text().replace('.', figures.mark().sign())),
                        unit);
            }
            Estimate estimate = new Computation(step, bindings).estimate();
            int decimals = decimals(step, estimate);
            boolean directed =
                    step.unit().dimension().directed() || step.symbol().letter().equals(Symbol.CHANGE);
            String shown = signed && directed
                    ? figures.signed(estimate.value(), decimals)
                    : figures.fixed(estimate.value(), decimals);
            return Phrase.atom(notation.number(shown), unit);
        }

        /**
         * The result ends on the figures it is told with. A sum or difference of readings keeps their decimals, a
         * reading times constants its figures. A heat is as fine as its own effect on the result asks; anything else
         * goes by its uncertainty, with as many more places as a reader needs who works the next line from the number
         * shown.
         */
        private int decimals(Named step, Estimate estimate) {
            if (step == result && estimate.uncertainty() > 0) {
                double half = estimate.halfWidth(0.95);
                return SignificantFigures.ofDigitsAlone(step, bindings).stream()
                        .map(kept -> Figures.decimalsOf(estimate.value(), kept, half))
                        .findFirst()
                        .orElse(Figures.decimalsFor(half));
            }
            Set<Input> inputs = step.inputs();
            boolean readings = !inputs.isEmpty()
                    && inputs.stream()
                            .allMatch(input -> input.unit().equals(step.unit())
                                    && bindings.of(input).decimals() >= 0);
            if (readings) {
                return inputs.stream()
                        .mapToInt(input -> bindings.of(input).decimals())
                        .min()
                        .orElse(0);
            }
            if (inputs.size() == 1 && bindings.of(inputs.iterator().next()).decimals() >= 0 && estimate.value() != 0) {
                OptionalInt kept = SignificantFigures.of(step, bindings);
                if (kept.isPresent()) {
                    return Math.max(0, Figures.decimalsOf(estimate.value(), kept.getAsInt()));
                }
            }
            int byUncertainty = Figures.decimalsFor(estimate.uncertainty());
            double needed = Math.ceil(-Math.log10(2 * shownStep / effect(step, estimate)) - 1e-9);
            if (!Double.isFinite(needed)) {
                return byUncertainty;
            }
            return step.unit().equals(BenchUnit.JOULES)
                    ? (int) Math.max(0, Math.min(needed, FINEST))
                    : (int) Math.max(byUncertainty, Math.min(needed, byUncertainty + 2));
        }

        /** How far the result moves for a unit of this step. */
        private double effect(Named step, Estimate estimate) {
            Input number = new Input("step:" + step.symbol().text(), step.symbol(), "", step.unit());
            Expression rest = ((Named) result).body().read(new StepAsInput(step, number));
            return Math.abs(new Computation(rest, bindings.with(number.key(), Measured.exact(estimate.value())))
                    .derivative(number));
        }

        private static String words(Named step, double value) {
            if (!step.unit().dimension().directed()
                    || value == 0
                    || step.symbol().letter().equals(Symbol.FREE_ENERGY)) {
                return "";
            }
            return value > 0 ? "absorbed" : "released";
        }
    }

    /** Collects named steps that are more than a constant, inner ones first. */
    private record Steps(Map<String, Named> met) implements Walk {

        @Override
        public Void named(Named step, Supplier<Void> body) {
            if (!(step.body() instanceof Constant)
                    && !met.containsKey(step.symbol().text())) {
                body.get();
                met.put(step.symbol().text(), step);
            }
            return null;
        }
    }
}
