package lab.sassafras.convention;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.ReferenceShelf;

/** The vessel as a body of its material. */
public record CalorimeterOfMaterial() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "material",
            "mass × specific heat of its material",
            "Cup, stirrer and lid as a body of known mass and material. What the probe and the lid take, and how "
                    + "far up the wall warms, is not in it.");

    /** Cup, stirrer and lid (g). */
    public static final ConventionPlace MASS =
            ConventionPlace.first("wall", "mass", BenchUnit.GRAMS).usually(2, 200);
    /** Of their material (J/(g·°C)). */
    public static final ConventionPlace SPECIFIC_HEAT = ConventionPlace.first(
                    "wall", "heat", BenchUnit.JOULES_PER_GRAM_DEGREE)
            .accepting(ReferenceShelf.standard().solidHeats());

    @Override
    public List<ConventionPlace> places() {
        return List.of(MASS, SPECIFIC_HEAT);
    }

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Needs needs() {
        return Needs.MATERIAL;
    }

    @Override
    public List<HeatTerm> parties(Cup cup, Contents contents, ConventionPlace.Answers answers) {
        List<HeatTerm> parties = new ArrayList<>(contents.parties());
        parties.add(HeatTerm.body(
                "calorimeter",
                cup.label(),
                answers.at(MASS),
                answers.at(SPECIFIC_HEAT),
                contents.start(),
                contents.end()));
        return parties;
    }
}
