package lab.sassafras.convention;

import java.util.List;
import lab.sassafras.account.HeatTerm;

/** The vessel is taken to absorb nothing. */
public record CalorimeterIgnored() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "ignored", "ignored", "The vessel is taken to absorb nothing; the answer is off by what it did absorb.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Needs needs() {
        return Needs.NOTHING;
    }

    @Override
    public List<HeatTerm> parties(Cup cup, Contents contents, ConventionPlace.Answers answers) {
        return contents.parties();
    }
}
