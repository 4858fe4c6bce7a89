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
            "Boiling water is taken at 100 °C whatever the barometer says (about 0.3 °C less for each 100 m of "
                    + "height), ice water at 0 °C; a warm bath still goes by its reading.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Expression start(Bath bath, Supplier<Expression> read, SchoolPlace.Answers answers) {
        return bath.fixedPoint()
                .<Expression>map(
                        at -> new Expression.Constant(at, Integer.toString(at.intValue()), BenchUnit.DEGREES_CELSIUS)
                                .named(Symbol.of("T:bath"), BenchUnit.DEGREES_CELSIUS))
                .orElseGet(read);
    }
}
