package lab.sassafras.convention;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Party;

/** The vessel as a body of its material. */
public record CalorimeterOfMaterial() implements CalorimeterTreatment {

    private static final Said SAID = new Said(
            "material",
            "mass × specific heat of its material",
            "Cup, stirrer and lid as a body of known mass and material. What the probe and the lid take, and how far up the wall warms, is not in it.");

    @Override
    public Said said() {
        return SAID;
    }

    @Override
    public Needs needs() {
        return Needs.MATERIAL;
    }

    @Override
    public List<Party> parties(Cup cup, Contents contents) {
        List<Party> parties = new ArrayList<>(contents.parties());
        cup.mass()
                .ifPresent(mass -> cup.specificHeat()
                        .ifPresent(heat -> parties.add(
                                Party.body("calorimeter", cup.label(), mass, heat, contents.start(), contents.end()))));
        return parties;
    }
}
