package lab.sassafras.expression;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression.Constant;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Root;
import lab.sassafras.expression.Tape.Balance;
import lab.sassafras.expression.Tape.Instruction;
import lab.sassafras.expression.Tape.Op;
import org.jspecify.annotations.Nullable;

/** Reads a tree from the leaves up, giving each node a slot; a named step met twice is laid out once. */
final class Layout implements Interpretation<Integer> {

    private record Placed(Input input, int slot) {}

    private final Map<String, Placed> inputs = new LinkedHashMap<>();
    private final Map<Named, Integer> named = new IdentityHashMap<>();
    private final List<Instruction> steps = new ArrayList<>();
    private double[] constants = new double[64];
    private int slots;

    private int slot(double constant) {
        if (slots == constants.length) {
            constants = Arrays.copyOf(constants, 2 * slots);
        }
        constants[slots] = constant;
        return slots++;
    }

    /** In the order met. */
    List<Input> inputs() {
        List<Input> met = new ArrayList<>(inputs.size());
        inputs.values().forEach(each -> met.add(each.input()));
        return met;
    }

    /** The slot of each input, in that order. */
    int[] places() {
        int[] places = new int[inputs.size()];
        int i = 0;
        for (Placed each : inputs.values()) {
            places[i++] = each.slot();
        }
        return places;
    }

    /** Every slot before a run. */
    double[] blank() {
        return Arrays.copyOf(constants, slots);
    }

    Instruction[] steps() {
        return steps.toArray(Instruction[]::new);
    }

    private int step(Op op, int left, int right, @Nullable Object beside) {
        int out = slot(0);
        steps.add(new Instruction(op, left, right, out, beside));
        return out;
    }

    private int each(Op op, List<Integer> parts, double none) {
        if (parts.isEmpty()) {
            return slot(none);
        }
        int so = parts.get(0);
        for (int i = 1; i < parts.size(); i++) {
            so = step(op, so, parts.get(i), null);
        }
        return so;
    }

    @Override
    public Integer input(Input input) {
        Placed met = inputs.get(input.key());
        if (met == null) {
            met = new Placed(input, slot(0));
            inputs.put(input.key(), met);
        }
        return met.slot();
    }

    @Override
    public Integer constant(Constant constant) {
        return slot(constant.value());
    }

    @Override
    public Integer named(Named step, Supplier<Integer> body) {
        Integer met = named.get(step);
        if (met == null) {
            met = body.get();
            named.put(step, met);
        }
        return met;
    }

    @Override
    public Integer sum(List<Integer> terms) {
        return each(Op.ADD, terms, 0);
    }

    @Override
    public Integer difference(Integer minuend, Integer subtrahend) {
        return step(Op.SUBTRACT, minuend, subtrahend, null);
    }

    @Override
    public Integer product(List<Integer> factors) {
        return each(Op.MULTIPLY, factors, 1);
    }

    @Override
    public Integer quotient(Integer dividend, Integer divisor) {
        return step(Op.DIVIDE, dividend, divisor, null);
    }

    @Override
    public Integer negative(Integer body) {
        return step(Op.NEGATE, body, body, null);
    }

    @Override
    public Integer least(List<Integer> parts) {
        return each(Op.LEAST, parts, Double.NaN);
    }

    @Override
    public Integer applied(SmoothFunction function, Integer argument) {
        return step(Op.APPLY, argument, argument, function);
    }

    @Override
    public Integer root(Root root, Supplier<Integer> balance) {
        Tape inner = Tape.of(root.balance());
        int unknown = -1;
        int[] from = new int[inner.inputs().size()];
        for (int i = 0; i < from.length; i++) {
            boolean sought = inner.inputs().get(i).key().equals(root.unknown().key());
            unknown = sought ? i : unknown;
            from[i] = sought ? -1 : input(inner.inputs().get(i));
        }
        return step(Op.ROOT, 0, 0, new Balance(inner, unknown, from, root.low(), root.high()));
    }
}
