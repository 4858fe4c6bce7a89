package lab.sassafras.expression;

import java.util.Set;
import lab.sassafras.expression.Expression.Input;

/** Collects the inputs of a tree, in the order of reading. */
record Leaves(Set<Input> met) implements Walk {

    @Override
    public Void input(Input input) {
        met.add(input);
        return null;
    }
}
