package lab.sassafras.convention;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;

/** A way of turning a volume of water or dilute solution into a mass, and back. */
public enum LiquidDensity implements Convention {
    /** 1 g/mL. */
    ONE("1", "1 g/mL", 1.0, "One gram a millilitre: 0.2 % too much at 20 °C, 1 to 2 % too much for hot water."),
    /** 0.998 g/mL. */
    AT_TWENTY(
            "0.998",
            "0.998 g/mL",
            0.998,
            "Pure water at 20 °C (IAPWS-IF97 gives 0.9982); a solution is a little denser."),
    /** The density of its concentration. */
    TABULATED(
            "table",
            "by its concentration",
            0.9982,
            "The density at 20 °C that the shelf has for a solution of this concentration, and that of water for water.") {
        @Override
        public Expression density(ConventionPlace.Answers answers, Optional<Expression> tabulated) {
            return tabulated.orElseGet(() -> super.density(answers, tabulated));
        }
    },
    /** A measured density. */
    MEASURED(
            "measured",
            "a measured density",
            Double.NaN,
            "The density of this very liquid, measured and typed with the run.") {
        @Override
        public List<ConventionPlace> places() {
            return List.of(VALUE);
        }

        @Override
        public Expression density(ConventionPlace.Answers answers, Optional<Expression> tabulated) {
            return answers.at(VALUE);
        }
    };

    /** The density of this very liquid (g/mL). */
    public static final ConventionPlace VALUE = ConventionPlace.first(
                    "constants", "density", BenchUnit.GRAMS_PER_MILLILITRE)
            .usually(0.95, 1.1);

    private final Said said;
    private final double value;

    LiquidDensity(String key, String words, double value, String explanation) {
        this.said = new Said(key, words, explanation);
        this.value = value;
    }

    /**
     * {@return the density in force (g/mL)}
     *
     * @param answers   what was read for it; asked only where the school needs it
     * @param tabulated the density of its concentration, where a table has it (g/mL)
     */
    public Expression density(ConventionPlace.Answers answers, Optional<Expression> tabulated) {
        return new Expression.Constant(value, Figures.POINT.plain(value), BenchUnit.GRAMS_PER_MILLILITRE)
                .named(Symbol.of("ρ:water"), BenchUnit.GRAMS_PER_MILLILITRE);
    }

    @Override
    public boolean applies(Evidence evidence) {
        return evidence.got(MassWay.VOLUME);
    }

    @Override
    public Said said() {
        return said;
    }
}
