package lab.sassafras.expression;

import java.util.List;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;

/**
 * Reads one step of a tree as written arithmetic. Named steps inside it are written by name or by number and not
 * opened.
 *
 * @param script letters and units
 * @param mark   between whole and decimals
 * @param inputs how an input is written
 * @param steps  how a named step is written
 */
record Wording(
        Notation notation, Script script, char mark, Function<Input, Phrase> inputs, Function<Named, Phrase> steps)
        implements Interpretation<Phrase> {

    @Override
    public Phrase input(Input input) {
        return inputs.apply(input);
    }

    @Override
    public Phrase constant(Constant constant) {
        return Phrase.atom(
                notation.number(script.words(constant.text().replace('.', mark))),
                constant.unit().symbol().isEmpty()
                        ? ""
                        : notation.unit(script.unit(constant.unit().symbol())));
    }

    @Override
    public Phrase named(Named step, Supplier<Phrase> body) {
        return steps.apply(step);
    }

    @Override
    public Phrase sum(List<Phrase> terms) {
        if (terms.size() == 1) {
            return terms.get(0);
        }
        return additive(terms, " + ");
    }

    @Override
    public Phrase difference(Phrase minuend, Phrase subtrahend) {
        return additive(List.of(minuend, subtrahend), notation.minus);
    }

    private static Phrase additive(List<Phrase> terms, String sign) {
        String unit = terms.get(0).unit();
        boolean oneUnit = terms.stream().allMatch(term -> term.unit().equals(unit));
        String later = terms.stream()
                .skip(1)
                .map(term ->
                        oneUnit || term.level() == Phrase.Level.PRODUCT ? term.asLaterTerm() : term.asLaterFactor())
                .collect(Collectors.joining(sign));
        Phrase first = terms.get(0);
        return new Phrase(
                (oneUnit ? first.text() : first.whole()) + sign + later, Phrase.Level.SUM, oneUnit ? unit : "");
    }

    @Override
    public Phrase product(List<Phrase> factors) {
        String later = factors.stream()
                .skip(1)
                .map(factor -> notation.times + factor.asLaterFactor())
                .collect(Collectors.joining());
        return new Phrase(factors.get(0).asFactor() + later, Phrase.Level.PRODUCT, "");
    }

    @Override
    public Phrase quotient(Phrase dividend, Phrase divisor) {
        return new Phrase(notation.quotient(dividend, divisor), Phrase.Level.PRODUCT, "");
    }

    @Override
    public Phrase negative(Phrase body) {
        String text = body.level() == Phrase.Level.ATOM ? body.text() : "(" + body.text() + ")";
        return new Phrase(notation.negative + text, Phrase.Level.NEGATIVE, body.unit());
    }

    @Override
    public Phrase least(List<Phrase> parts) {
        return Phrase.atom(
                parts.stream()
                        .map(Phrase::whole)
                        .collect(Collectors.joining(notation.words(" or "), notation.words("the smaller of "), "")),
                "");
    }

    @Override
    public Phrase root(Expression.Root root, Supplier<Phrase> balance) {
        return Phrase.atom(
                notation.words("the ")
                        + notation.symbol(script.symbol(root.unknown().symbol())) + notation.words(" at which ")
                        + balance.get().whole() + " = 0",
                "");
    }

    @Override
    public Phrase applied(SmoothFunction function, Phrase argument) {
        return Phrase.atom(notation.symbol(script.symbol(function.symbol())) + "(" + argument.whole() + ")", "");
    }
}
