package lab.sassafras.expression;

import java.util.Set;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Root;

/** Collects the inputs of a tree, in the order of reading. */
record Leaves(Set<Input> met) implements Walk {

    @Override
    public Void input(Input input) {
        met.add(input);
        return null;
    }

    @Override
    public Void root(Root root, Supplier<Void> balance) {
        root.balance().inputs().stream()
                .filter(input -> !input.key().equals(root.unknown().key()))
                .forEach(met::add);
        return null;
    }
}
