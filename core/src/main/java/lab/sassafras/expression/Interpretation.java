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

    T input(Input input);

    T constant(Constant constant);

    /** A named step; readings that only want its name leave the body unread. */
    T named(Named step, Supplier<T> body);

    T sum(List<T> terms);

    T difference(T minuend, T subtrahend);

    T product(List<T> factors);

    T quotient(T dividend, T divisor);

    T negative(T body);

    T least(List<T> parts);

    /** A value found by bringing a balance to zero; readings that only want the value leave the balance unread. */
    T root(Root root, Supplier<T> balance);

    T applied(SmoothFunction function, T argument);
}
