package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** Vessel and usual water as one number. */
public record CalorimeterLumped() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "lumped",
            "one number for the vessel and its usual water together",
            "Vessel and usual water as one number, from the constant and the fill it was found at. It is right only "
                    + "for that fill: weigh the same water every time.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Needs needs() {
        return Needs.CONSTANT_AND_FILL;
    }

    @Override
    public List<HeatTerm> parties(Cup cup, Contents contents, ConventionPlace.Answers answers) {
        return cup.constant()
                .flatMap(constant -> cup.foundAt().map(fill -> List.of(lumped(cup, contents, constant, fill))))
                .orElse(contents.parties());
    }

    private static HeatTerm lumped(Cup cup, Contents contents, Expression constant, Expression fill) {
        Expression whole = constant.plus(fill.times(contents.specificHeat()))
                .named(Symbol.of("C:with its water"), BenchUnit.JOULES_PER_DEGREE);
        return HeatTerm.vessel(
                "calorimeter", cup.label() + " with its water", whole, contents.blended(), contents.end());
    }
}
