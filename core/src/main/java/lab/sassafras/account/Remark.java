package lab.sassafras.account;

import java.util.Optional;
import lab.sassafras.expression.Bindings;

/** Something to be said of the books once the numbers are in, such as which reagent ran out first. */
@FunctionalInterface
public interface Remark {

    /**
     * {@return what is to be said with these numbers; a refusal means there is no result}
     *
     * @param bindings the numbers that go into the inputs
     */
    Optional<Finding> on(Bindings bindings);
}
