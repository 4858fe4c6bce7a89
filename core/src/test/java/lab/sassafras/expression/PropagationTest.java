package lab.sassafras.expression;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;
import lab.sassafras.substance.LiquidWater;
import org.hipparchus.analysis.differentiation.Gradient;
import org.junit.jupiter.api.Test;

class PropagationTest {

    private static final Input A = input("a");
    private static final Input B = input("b");

    /**
     * JCGM 100:2008, example H.2 (memory): V = 4.9990 V, u 0.0032; I = 19.6610 mA, u 0.0095; r(V,I) = −0.36;
     * Z = V ÷ I = 254.260 Ω with u 0.236 Ω.
     */
    @Test
    void correlatedQuotientOfTheGuide() {
        Shared common = Shared.everywhere("common", "common", 1, Double.POSITIVE_INFINITY);
        double voltage = 0.0032;
        double current = 0.0000095;
        double r = -0.36;
        Measured v = new Measured(4.9990, 0, Double.POSITIVE_INFINITY, List.of(new Measured.Share(common, voltage)), 4);
        Measured i = new Measured(
                0.0196610,
                current * Math.sqrt(1 - r * r),
                Double.POSITIVE_INFINITY,
                List.of(new Measured.Share(common, current * r)),
                7);
        Estimate impedance = new Computation(A.over(B), Bindings.of(Map.of("a", v, "b", i))).estimate();
        assertThat(impedance.value()).isCloseTo(254.260, within(0.001));
        assertThat(impedance.uncertainty()).isCloseTo(0.236, within(0.001));
    }

    @Test
    void offsetCancelsInADifferenceAndNotAcrossTwoThermometers() {
        Shared one = Shared.everywhere("one", "one", 0.2, Double.POSITIVE_INFINITY);
        Shared other = Shared.everywhere("other", "other", 0.2, Double.POSITIVE_INFINITY);
        assertThat(rise(one, one).uncertainty()).isCloseTo(Math.sqrt(2) * 0.03, within(1e-12));
        assertThat(rise(one, other).uncertainty()).isCloseTo(Math.sqrt(2 * 0.03 * 0.03 + 2 * 0.2 * 0.2), within(1e-12));
    }

    private static Estimate rise(Shared start, Shared end) {
        return new Computation(A.minus(B), Bindings.of(Map.of("a", reading(24, end), "b", reading(20, start))))
                .estimate();
    }

    private static Measured reading(double value, Shared offset) {
        return new Measured(value, 0.03, Double.POSITIVE_INFINITY, List.of(new Measured.Share(offset, 1)), 1);
    }

    /**
     * 3 of its own with 4 degrees, 4 shared with 9: 5⁴ ÷ (3⁴ ÷ 4 + 4⁴ ÷ 9) = 12.835, by propagation and put together.
     */
    @Test
    void aSharedSourceBringsItsDegreesOfFreedomToo() {
        Shared source = Shared.everywhere("s", "s", 2, 9);
        Measured both = new Measured(10, 3, 4, List.of(new Measured.Share(source, 2)), 1);
        Estimate propagated = new Computation(A, Bindings.of(Map.of("a", both))).estimate();
        assertThat(propagated.uncertainty()).isCloseTo(5, within(1e-12));
        assertThat(propagated.degreesOfFreedom()).isCloseTo(12.835, within(0.001));
        Estimate together = Estimate.of(10, propagated.contributions(), 4);
        assertThat(together.uncertainty()).isCloseTo(5, within(1e-12));
        assertThat(together.degreesOfFreedom()).isCloseTo(12.835, within(0.001));
        assertThat(Estimate.of(Double.NaN, List.of(), 4).finite()).isFalse();
        assertThat(propagated.finite()).isTrue();
    }

    /** JCGM 100:2008, G.4.1: ν = u⁴ ÷ Σ(uᵢ⁴ ÷ νᵢ); equal parts with 4 degrees each make 8. */
    @Test
    void degreesOfFreedomByWelchSatterthwaite() {
        Measured each = new Measured(1, 0.1, 4, List.of(), -1);
        Estimate sum = new Computation(A.plus(B), Bindings.of(Map.of("a", each, "b", each))).estimate();
        assertThat(sum.degreesOfFreedom()).isCloseTo(8, within(1e-9));
        // Student's t for 8 degrees, 95 %: 2.306 (any table)
        assertThat(sum.halfWidth(0.95) / sum.uncertainty()).isCloseTo(2.306, within(0.001));
    }

    @Test
    void derivativesEqualCentralDifferencesThroughEveryKindOfNode() {
        Expression everything = new Expression.Applied(LiquidWater.specificHeat(), Expression.mean(A, B))
                .times(A.minus(B))
                .over(A.plus(B).negated())
                .named(Symbol.of("x"), BenchUnit.NUMBER);
        Bindings at = Bindings.of(Map.of("a", Measured.exact(43.7), "b", Measured.exact(21.2)));
        for (Input input : List.of(A, B)) {
            double h = 1e-4;
            double central = (new Computation(everything, at.shifted(input, h)).value()
                            - new Computation(everything, at.shifted(input, -h)).value())
                    / (2 * h);
            assertThat(new Computation(everything, at).derivative(input)).isCloseTo(central, within(1e-8));
        }
    }

    /** Backwards through the tape against forwards through Hipparchus, on the same tree. */
    @Test
    void derivativesEqualThoseOfASecondMethod() {
        Expression tree = new Expression.Least(List.of(A.times(B), B.over(A)))
                .plus(A.minus(B).negated().times(A))
                .over(new Expression.Applied(LiquidWater.specificHeat(), Expression.mean(A, B)));
        Bindings at = Bindings.of(Map.of("a", Measured.exact(7.3), "b", Measured.exact(31.9)));
        List<Input> inputs = List.copyOf(tree.inputs());
        Gradient second = tree.read(new HipparchusReading(
                2,
                input ->
                        Gradient.variable(2, inputs.indexOf(input), at.of(input).value())));
        assertThat(new Computation(tree, at).value()).isCloseTo(second.getValue(), within(1e-12));
        for (int i = 0; i < 2; i++) {
            assertThat(new Computation(tree, at).derivative(inputs.get(i)))
                    .isCloseTo(second.getPartialDerivative(i), within(1e-12));
        }
    }

    /** x² − a = b at a 7, b 2: x = 3, dx/da = dx/db = 1 ÷ 2x. */
    @Test
    void aRootHasItsValueAndItsDerivatives() {
        Input x = input("x");
        Expression root = new Expression.Root(x, x.times(x).minus(A).minus(B), 0, 10).plus(A);
        Bindings at = Bindings.of(Map.of("a", Measured.independent(7, 0.6), "b", Measured.exact(2)));
        assertThat(new Computation(root, at).value()).isCloseTo(10, within(1e-9));
        assertThat(new Computation(root, at).derivative(A)).isCloseTo(1 + 1 / 6.0, within(1e-9));
        assertThat(new Computation(root, at).derivative(B)).isCloseTo(1 / 6.0, within(1e-9));
        assertThat(new Computation(new Expression.Root(x, x.times(x).plus(A), 0, 10), at).value())
                .isNaN();
    }

    @Test
    void linearityIsFoundNotAssumed() {
        Input x = input("x");
        assertThat(Linear.in(x, A.times(x.minus(B))).straight()).isTrue();
        assertThat(Linear.in(x, x.times(x)).straight()).isFalse();
        assertThat(Linear.in(x, A.over(x)).straight()).isFalse();
        assertThat(Linear.in(x, new Expression.Applied(LiquidWater.specificHeat(), x))
                        .straight())
                .isFalse();
    }

    private static Input input(String key) {
        return new Input(key, Symbol.of(key), key, BenchUnit.NUMBER);
    }
}
