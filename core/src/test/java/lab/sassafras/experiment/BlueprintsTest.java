package lab.sassafras.experiment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.expression.UnitCheck;
import lab.sassafras.measure.BenchUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Units are checked, not asserted. */
class BlueprintsTest {

    private static List<Experiment> experiments() {
        return Experiments.all();
    }

    @ParameterizedTest
    @MethodSource("experiments")
    void unitsGoTogetherUnderEverySchool(Experiment experiment) {
        assertThatCode(() -> Blueprints.check(experiment)).doesNotThrowAnyException();
    }

    private static Input input(String key, BenchUnit unit) {
        return new Input(key, Symbol.of(key), key, unit);
    }

    /** mol × kJ/mol is no heat in joules until somebody multiplies by 1000 J/kJ. */
    @Test
    void aForgottenThousandIsFound() {
        Expression moles = input("n", BenchUnit.MOLES);
        Expression perMole = input("h", BenchUnit.KILOJOULES_PER_MOLE);
        assertThatThrownBy(() -> UnitCheck.check(HeatTerm.process("reaction", "reaction", moles.times(perMole))
                        .heat()))
                .isInstanceOf(UnitCheck.Fault.class)
                .hasMessageContaining("q(reaction) is named in J");
        assertThatCode(() -> UnitCheck.check(HeatTerm.process(
                                "reaction", "reaction", moles.times(perMole).times(Constants.JOULES_IN_KILOJOULE))
                        .heat()))
                .doesNotThrowAnyException();
    }

    @Test
    void unlikeThingsAreNotAddedAndANoughtIsLikeAnything() {
        Expression grams = input("m", BenchUnit.GRAMS);
        assertThatThrownBy(() -> UnitCheck.check(grams.plus(input("V", BenchUnit.MILLILITRES))))
                .isInstanceOf(UnitCheck.Fault.class)
                .hasMessageContaining("is added to");
        assertThatCode(() ->
                        UnitCheck.check(grams.plus(Expression.number(0, "0")).named(Symbol.of("m"), BenchUnit.GRAMS)))
                .doesNotThrowAnyException();
    }

    @Test
    void voltsTimesAmperesTimesSecondsAreJoulesAndADegreeIsAKelvin() {
        Expression heat = input("U", BenchUnit.VOLTS)
                .times(input("I", BenchUnit.AMPERES))
                .times(input("t", BenchUnit.SECONDS))
                .named(Symbol.of("q"), BenchUnit.JOULES);
        assertThatCode(() -> UnitCheck.check(heat)).doesNotThrowAnyException();
        assertThat(BenchUnit.JOULES_PER_GRAM_DEGREE
                        .product()
                        .times(BenchUnit.GRAMS.product())
                        .times(BenchUnit.KELVINS.product())
                        .sameAs(BenchUnit.JOULES.product()))
                .isTrue();
        assertThat(BenchUnit.CALORIES.product().sameAs(BenchUnit.JOULES.product()))
                .isFalse();
    }
}
