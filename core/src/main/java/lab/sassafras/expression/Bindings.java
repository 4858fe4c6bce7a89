package lab.sassafras.expression;

import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.Measured;

/**
 * The numbers that go into the inputs of an expression, by key.
 *
 * @param values  given for this account
 * @param beneath what holds where this account gives nothing, such as the handbook
 */
public record Bindings(Map<String, Measured> values, Map<String, Measured> beneath) {

    /**
     * {@return these values and nothing beneath}
     *
     * @param values one of each trial (same unit)
     */
    public static Bindings of(Map<String, Measured> values) {
        return new Bindings(Collections.unmodifiableMap(new HashMap<>(values)), Map.of());
    }

    /**
     * {@return what is bound to an input}
     *
     * @param input something read, assumed or taken from the shelf
     * @throws IllegalStateException for an input nobody bound: a fault in the program, never in the readings
     */
    public Measured of(Input input) {
        Measured measured = values.get(input.key());
        measured = measured == null ? beneath.get(input.key()) : measured;
        if (measured == null) {
            throw new IllegalStateException("no value bound for " + input.key());
        }
        return measured;
    }

    /**
     * {@return these laid over values that hold where nothing else is given; that map is not copied and must not
     * change}
     *
     * @param handbook values by input key
     */
    public Bindings over(Map<String, Measured> handbook) {
        return new Bindings(values, handbook);
    }

    /**
     * {@return the same with one more value}
     *
     * @param key      stable name
     * @param measured its value
     */
    public Bindings with(String key, Measured measured) {
        Map<String, Measured> more = new LinkedHashMap<>(values);
        more.put(key, measured);
        return new Bindings(more, beneath);
    }

    /**
     * {@return the same, one input's value moved by a step (bench unit)}
     *
     * @param input something read, assumed or taken from the shelf
     * @param step  how far it is moved (bench unit)
     */
    public Bindings shifted(Input input, double step) {
        Measured old = of(input);
        return with(
                input.key(),
                new Measured(
                        old.value() + step,
                        old.ownUncertainty(),
                        old.degreesOfFreedom(),
                        old.shares(),
                        old.decimals(),
                        old.shape()));
    }
}
