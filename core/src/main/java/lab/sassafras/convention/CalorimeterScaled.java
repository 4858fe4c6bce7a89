package lab.sassafras.convention;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** The constant grows with the fill. */
public record CalorimeterScaled() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "scaled",
            "constant scaled with the fill",
            "The constant times the whole fill of this run over the whole fill it was found at. Misleading for a cup: wall, lid and probe "
                    + "do not grow with the water.");

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
        List<HeatTerm> parties = new ArrayList<>(contents.parties());
        cup.constant()
                .ifPresent(constant -> cup.foundAt()
                        .ifPresent(fill -> parties.add(HeatTerm.vessel(
                                "calorimeter",
                                cup.label(),
                                constant.times(contents.mass())
                                        .over(fill)
                                        .named(Symbol.of("C:scaled"), BenchUnit.JOULES_PER_DEGREE),
                                contents.start(),
                                contents.end()))));
        return parties;
    }
}
