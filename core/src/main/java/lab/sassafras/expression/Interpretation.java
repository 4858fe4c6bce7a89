package lab.sassafras.expression;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;

/**
 * One way of reading a formula: what each kind of node becomes, given what its parts became.
 *
 * @param <T> what a tree is read as
 */
public interface Interpretation<T> {

    /**
     * {@return what an input becomes}
     *
     * @param input of the tree
     */
    T input(Input input);

    /**
     * {@return what a constant becomes}
     *
     * @param constant of the tree
     */
    T constant(Constant constant);

    /**
     * {@return a named step; readings that only want its name leave the body unread}
     *
     * @param step the step
     * @param body what it is made of, read only when asked for
     */
    T named(Named step, Supplier<T> body);

    /**
     * {@return what a sum becomes}
     *
     * @param terms what is added
     */
    T sum(List<T> terms);

    /**
     * {@return what a difference becomes}
     *
     * @param minuend    what is subtracted from
     * @param subtrahend what is subtracted
     */
    T difference(T minuend, T subtrahend);

    /**
     * {@return what a product becomes}
     *
     * @param factors what is multiplied
     */
    T product(List<T> factors);

    /**
     * {@return what a quotient becomes}
     *
     * @param dividend what is divided
     * @param divisor  what is divided by
     */
    T quotient(T dividend, T divisor);

    /**
     * {@return what a negative becomes}
     *
     * @param body what is negated
     */
    T negative(T body);

    /**
     * {@return what the least of several becomes}
     *
     * @param parts of which the least counts
     */
    T least(List<T> parts);

    /**
     * {@return a value found by bringing a balance to zero; readings that only want the value leave the balance
     * unread}
     *
     * @param root    what is found
     * @param balance what is to be zero, read only when asked for
     */
    T root(Root root, Supplier<T> balance);

    /**
     * {@return what a function’s value becomes}
     *
     * @param function of one argument
     * @param argument what it is taken at
     */
    T applied(SmoothFunction function, T argument);
}
