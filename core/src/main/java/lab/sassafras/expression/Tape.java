package lab.sassafras.expression;

import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import lab.sassafras.expression.Expression.Input;
import org.jspecify.annotations.Nullable;

/**
 * A tree laid out as a row of plain steps, each from slots to a slot: the reading behind the value, the derivatives
 * and the random draws. Derivatives are exact, by running the row backwards (reverse accumulation), so that all of
 * them together cost about as much as the value, however many inputs there are.
 */
final class Tape {

    enum Op {
        ADD,
        SUBTRACT,
        MULTIPLY,
        DIVIDE,
        NEGATE,
        LEAST,
        APPLY,
        ROOT
    }

    /**
     * One step; {@code right} is the left slot again where there is one operand, {@code beside} what the kind needs.
     */
    record Instruction(
            Op op, int left, int right, int out, @Nullable Object beside) {

        /** What the kind needs beside its operands. */
        Object with() {
            return Objects.requireNonNull(beside);
        }
    }

    /** A balance to be brought to zero: its own tape, and the slots of ours its inputs stand in. */
    record Balance(Tape tape, int unknown, int[] from, double low, double high) {}

    private final List<Input> inputs;
    private final int[] places;
    private final double[] blank;
    private final Instruction[] steps;
    private final int[] results;

    private Tape(Layout layout, int[] results) {
        this.inputs = layout.inputs();
        this.places = layout.places();
        this.blank = layout.blank();
        this.steps = layout.steps();
        this.results = results;
    }

    static Tape of(Expression expression) {
        return of(List.of(expression));
    }

    /** Several trees on one tape: what they share is laid out once. */
    static Tape of(List<? extends Expression> expressions) {
        Layout layout = new Layout();
        int[] results = new int[expressions.size()];
        for (int i = 0; i < results.length; i++) {
            results[i] = expressions.get(i).read(layout);
        }
        return new Tape(layout, results);
    }

    /** In the order met. */
    List<Input> inputs() {
        return inputs;
    }

    /** Every slot after a run, for {@link #derivatives}. */
    double[] run(double[] at) {
        double[] values = blank.clone();
        for (int i = 0; i < places.length; i++) {
            values[places[i]] = at[i];
        }
        for (Instruction step : steps) {
            values[step.out] = one(step, values[step.left], values[step.right], values);
        }
        return values;
    }

    double result(double[] values) {
        return values[results[0]];
    }

    /** The result of one of several trees. */
    double result(double[] values, int which) {
        return values[results[which]];
    }

    private static double one(Instruction step, double left, double right, double[] values) {
        return switch (step.op) {
            case ADD -> left + right;
            case SUBTRACT -> left - right;
            case MULTIPLY -> left * right;
            case DIVIDE -> left / right;
            case NEGATE -> -left;
            case LEAST -> Math.min(left, right);
            case APPLY -> ((SmoothFunction) step.with()).value(left);
            case ROOT -> root((Balance) step.with(), values);
        };
    }

    private static double root(Balance balance, double[] values) {
        double[] at = new double[balance.from.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = i == balance.unknown ? 0 : values[balance.from[i]];
        }
        return Bracket.root(
                x -> {
                    at[balance.unknown] = x;
                    return balance.tape.result(balance.tape.run(at));
                },
                balance.low,
                balance.high);
    }

    /** The derivative of the result by each input, at the slots of a run. */
    double[] derivatives(double[] values) {
        return derivatives(values, 0);
    }

    /** The derivative of one of several results. */
    double[] derivatives(double[] values, int which) {
        double[] adjoint = new double[values.length];
        adjoint[results[which]] = 1;
        for (int i = steps.length - 1; i >= 0; i--) {
            Instruction step = steps[i];
            double weight = adjoint[step.out];
            if (weight != 0) {
                hand(step, weight, values, adjoint);
            }
        }
        double[] slopes = new double[places.length];
        for (int i = 0; i < places.length; i++) {
            slopes[i] = adjoint[places[i]];
        }
        return slopes;
    }

    private static void hand(Instruction step, double weight, double[] values, double[] adjoint) {
        double left = values[step.left];
        double right = values[step.right];
        switch (step.op) {
            case ADD -> {
                adjoint[step.left] += weight;
                adjoint[step.right] += weight;
            }
            case SUBTRACT -> {
                adjoint[step.left] += weight;
                adjoint[step.right] -= weight;
            }
            case MULTIPLY -> {
                adjoint[step.left] += weight * right;
                adjoint[step.right] += weight * left;
            }
            case DIVIDE -> {
                adjoint[step.left] += weight / right;
                adjoint[step.right] -= weight * left / (right * right);
            }
            case NEGATE -> adjoint[step.left] -= weight;
            case LEAST -> adjoint[left <= right ? step.left : step.right] += weight;
            case APPLY -> adjoint[step.left] += weight * ((SmoothFunction) step.with()).derivative(left);
            case ROOT -> implicit((Balance) step.with(), weight, values[step.out], values, adjoint);
        }
    }

    /** Where F(x, p) = 0, dx/dp = −F_p ÷ F_x. */
    private static void implicit(Balance balance, double weight, double root, double[] values, double[] adjoint) {
        double[] at = new double[balance.from.length];
        for (int i = 0; i < at.length; i++) {
            at[i] = i == balance.unknown ? root : values[balance.from[i]];
        }
        double[] slopes = balance.tape.derivatives(balance.tape.run(at));
        for (int i = 0; i < at.length; i++) {
            if (i != balance.unknown) {
                adjoint[balance.from[i]] -= weight * slopes[i] / slopes[balance.unknown];
            }
        }
    }

    /**
     * Runs many draws at once.
     *
     * @param drawn one row for each input
     * @param count how many draws each row holds
     * @return the results (a row this tape owns until its next run)
     */
    double[] run(double[][] drawn, int count) {
        double[][] rows = new double[blank.length][];
        for (int slot = 0; slot < blank.length; slot++) {
            rows[slot] = new double[count];
            Arrays.fill(rows[slot], blank[slot]);
        }
        for (int i = 0; i < places.length; i++) {
            rows[places[i]] = drawn[i];
        }
        for (Instruction step : steps) {
            row(step, rows, count);
        }
        return rows[results[0]];
    }

    private static void row(Instruction step, double[][] rows, int count) {
        double[] left = rows[step.left];
        double[] right = rows[step.right];
        double[] out = rows[step.out];
        switch (step.op) {
            case ADD -> {
                for (int i = 0; i < count; i++) {
                    out[i] = left[i] + right[i];
                }
            }
            case SUBTRACT -> {
                for (int i = 0; i < count; i++) {
                    out[i] = left[i] - right[i];
                }
            }
            case MULTIPLY -> {
                for (int i = 0; i < count; i++) {
                    out[i] = left[i] * right[i];
                }
            }
            case DIVIDE -> {
                for (int i = 0; i < count; i++) {
                    out[i] = left[i] / right[i];
                }
            }
            case ROOT -> {
                double[] values = new double[rows.length];
                for (int i = 0; i < count; i++) {
                    for (int slot = 0; slot < rows.length; slot++) {
                        values[slot] = rows[slot][i];
                    }
                    out[i] = root((Balance) step.with(), values);
                }
            }
            default -> {
                for (int i = 0; i < count; i++) {
                    out[i] = one(step, left[i], right[i], left);
                }
            }
        }
    }
}
