package lab.sassafras.convention;

import java.util.function.Supplier;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** Boiling water is taken to be at 100 °C and ice water at 0 °C; any other bath goes by its reading. */
public record BathAtFixedPoint() implements BathStart {

    private static final Said SAID = new Said(
            "fixed-point",
            "taken as 100 °C or 0 °C",
            "Boiling water is taken at 100 °C, give or take what weather and height do to it (0.3 °C less for each "
                    + "100 m), ice water at 0 °C; a warm bath still goes by its reading.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Expression start(Bath bath, Supplier<Expression> read, ConventionPlace.Answers answers) {
        return bath.fixedPoint()
                .<Expression>map(key -> new Expression.Input(
                        "shelf:" + key, Symbol.of("T:bath"), "bath, taken as it is", BenchUnit.DEGREES_CELSIUS))
                .orElseGet(read);
    }
}
