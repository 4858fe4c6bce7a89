package lab.sassafras.convention;

import java.util.List;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.BoilingPoint;

/** Boiling water at the temperature the barometer allows. */
public record BathAtBoilingPoint() implements BathStart {

    private static final Said SAID = new Said(
            "barometer",
            "boiling point at the barometer’s pressure",
            "Boiling water is as warm as the barometer lets it be (IAPWS-IF97); ice water is at 0 °C; any other "
                    + "bath goes by its reading.");

    /** The barometer (hPa). */
    public static final ConventionPlace PRESSURE =
            ConventionPlace.first("room", "pressure", BenchUnit.HECTOPASCALS).usually(850, 1040);

    @Override
    public List<ConventionPlace> places() {
        return List.of(PRESSURE);
    }

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Expression start(Bath bath, Supplier<Expression> read, ConventionPlace.Answers answers) {
        return switch (bath) {
            case BOILING ->
                new Expression.Applied(BoilingPoint.ofWater(), answers.at(PRESSURE))
                        .named(Symbol.of("T:bath"), BenchUnit.DEGREES_CELSIUS);
            case ICE -> new BathAtFixedPoint().start(bath, read, answers);
            case OTHER -> read.get();
        };
    }
}
