package lab.sassafras.convention;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.HeatTerm;

/** A constant in J/°C, without the water, found beforehand. */
public record CalorimeterCounted() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "constant",
            "constant in J/°C",
            "The vessel and its thermometer are a party with a constant of their own, without the water.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Needs needs() {
        return Needs.CONSTANT;
    }

    @Override
    public List<HeatTerm> parties(Cup cup, Contents contents, ConventionPlace.Answers answers) {
        List<HeatTerm> parties = new ArrayList<>(contents.parties());
        cup.constant()
                .ifPresent(constant -> parties.add(
                        HeatTerm.vessel("calorimeter", cup.label(), constant, contents.start(), contents.end())));
        return parties;
    }
}
