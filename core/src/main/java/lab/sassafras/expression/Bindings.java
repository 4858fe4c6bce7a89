package lab.sassafras.expression;

import java.util.LinkedHashMap;
import java.util.Map;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;

/** The numbers that go into the inputs of an expression, by key. */
public record Bindings(Map<String, Measured> values) {

    public Bindings {
        values = Map.copyOf(values);
    }

    public static Bindings of(Map<String, Measured> values) {
        return new Bindings(values);
    }

    /** @throws IllegalStateException for an input nobody bound: a fault in the program, never in the readings */
    public Measured of(Input input) {
        Measured measured = values.get(input.key());
        if (measured == null) {
            throw new IllegalStateException("no value bound for " + input.key());
        }
        return measured;
    }

    public Bindings with(String key, Measured measured) {
        Map<String, Measured> more = new LinkedHashMap<>(values);
        more.put(key, measured);
        return new Bindings(more);
    }

    /** The same, one input's value moved by a step (bench unit). */
    public Bindings shifted(Input input, double step) {
        Measured old = of(input);
        return with(input.key(), new Measured(old.value() + step, old.ownUncertainty(), old.degreesOfFreedom(),
                old.shares(), old.decimals()));
    }
}
