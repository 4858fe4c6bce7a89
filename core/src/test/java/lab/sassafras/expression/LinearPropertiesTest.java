package lab.sassafras.expression;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Trees grown at random (seeded), split and differentiated, against plain evaluation. */
class LinearPropertiesTest {

    private static final Input X = input("x");
    private static final List<Input> KNOWN = List.of(input("a"), input("b"), input("c"));

    /** A tree that is straight in x by the way it is grown. */
    record Grown(int seed, Expression straight, Bindings bindings) {
        @Override
        public String toString() {
            return "seed " + seed;
        }
    }

    static Stream<Grown> trees() {
        return IntStream.range(0, 60).mapToObj(seed -> {
            Random random = new Random(seed);
            Map<String, Measured> values = new LinkedHashMap<>();
            Stream.concat(KNOWN.stream(), Stream.of(X))
                    .forEach(input -> values.put(input.key(), Measured.independent(1 + 4 * random.nextDouble(), 0.01)));
            return new Grown(seed, straight(random, 5), Bindings.of(values));
        });
    }

    private static Expression straight(Random random, int depth) {
        if (depth == 0) {
            return random.nextBoolean() ? X : known(random, 1);
        }
        return switch (random.nextInt(7)) {
            case 0 -> straight(random, depth - 1).plus(straight(random, depth - 1));
            case 1 -> straight(random, depth - 1).minus(straight(random, depth - 1));
            case 2 -> straight(random, depth - 1).times(known(random, 2));
            case 3 -> known(random, 2).times(straight(random, depth - 1));
            case 4 -> straight(random, depth - 1).over(known(random, 2));
            case 5 -> straight(random, depth - 1).negated();
            default -> straight(random, depth - 1).named(Symbol.of("step:" + random.nextInt()), BenchUnit.NUMBER);
        };
    }

    private static Expression known(Random random, int depth) {
        Input leaf = KNOWN.get(random.nextInt(KNOWN.size()));
        return depth == 0
                ? leaf
                : random.nextBoolean()
                        ? known(random, depth - 1).plus(leaf)
                        : known(random, depth - 1).times(leaf);
    }

    /** rest + coefficient · x is the tree, at two values of x; and the parts are free of x. */
    @ParameterizedTest
    @MethodSource("trees")
    void splittingLosesNothing(Grown grown) {
        Linear split = Linear.in(X, grown.straight);
        assertThat(split.straight()).isTrue();
        for (double x : new double[] {0.7, -3.1}) {
            Bindings at = grown.bindings.with("x", Measured.exact(x));
            double rest = split.rest().map(part -> value(part, at)).orElse(0.0);
            double coefficient =
                    split.coefficient().map(part -> value(part, at)).orElse(0.0);
            double whole = value(grown.straight, at);
            assertThat(rest + coefficient * x).isCloseTo(whole, within(1e-9 * Math.max(1, Math.abs(whole))));
        }
        Stream.concat(split.rest().stream(), split.coefficient().stream())
                .forEach(part -> assertThat(part.inputs()).doesNotContain(X));
    }

    /** One x more, multiplied in, and it is straight no longer. */
    @ParameterizedTest
    @MethodSource("trees")
    void aProductWithTheUnknownOnBothSidesIsFoundOut(Grown grown) {
        boolean holds = grown.straight.inputs().contains(X)
                && Linear.in(X, grown.straight).coefficient().isPresent();
        assertThat(Linear.in(X, grown.straight.times(X)).straight()).isEqualTo(!holds);
        assertThat(Linear.in(X, KNOWN.get(0).over(grown.straight)).straight()).isEqualTo(!holds);
    }

    /** Exact derivatives against central differences, for every input. */
    @ParameterizedTest
    @MethodSource("trees")
    void derivativesAreThoseOfTheFunction(Grown grown) {
        for (Input input : grown.straight.inputs()) {
            double h = 1e-5;
            double central = (value(grown.straight, grown.bindings.shifted(input, h))
                            - value(grown.straight, grown.bindings.shifted(input, -h)))
                    / (2 * h);
            assertThat(new Computation(grown.straight, grown.bindings).derivative(input))
                    .isCloseTo(central, within(1e-4 * Math.max(1, Math.abs(central))));
        }
    }

    private static double value(Expression expression, Bindings bindings) {
        return new Computation(expression, bindings).value();
    }

    private static Input input(String key) {
        return new Input(key, Symbol.of(key), key, BenchUnit.NUMBER);
    }
}
