package lab.sassafras.experiment.saturated;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Saturation;

/** As much dissolves as the table of saturated solutions says. */
final class FilledToTheLimit implements Foresight {

    private static final double HUNDRED = 100;

    @Override
    public List<Usual> usual(int parts) {
        return List.of(
                Usual.stated("solute/formula", "KNO3"),
                Usual.stated("solute/dissolves", "two-ions"),
                Usual.read("vessel/empty", "40", "g"),
                Usual.read("vessel/solvent", "50", "g"),
                Usual.read("bath/temperature", "25", "°C"),
                Usual.stated("bath/held", "bath"),
                Usual.stated("solution/last", "dissolved"));
    }

    @Override
    public List<String> gear() {
        return List.of("small graduated cylinder with a stopper", "bath that is held at its temperature");
    }

    @Override
    public Seen of(Had had) {
        String named = had.word("solute/formula");
        Saturation limit = ChemicalFormula.of(named)
                .flatMap(Saturation::of)
                .orElseThrow(() -> new Refused("How much of " + named + " dissolves is not known here."));
        double solvent = had.amount("vessel/solvent");
        double water = solvent - had.amount("vessel/empty");
        if (water <= 0) {
            throw new Refused("The vessel with the water weighs no more than the empty one: there is no water in it.");
        }
        double grams = limit.gramsAt(had.amount("bath/temperature")) * water / HUNDRED;
        if (grams <= 0) {
            throw new Refused("Of " + limit.name() + " next to nothing would dissolve at this temperature.");
        }
        return new Seen(
                List.of(
                        reading("vessel/after", solvent + grams, 3, "g", "vessel/solvent"),
                        // a graduated cylinder is read to a tenth
                        reading("solution/volume", (water + grams) / limit.density(), 1, "mL", "")),
                Optional.empty(),
                List.of(
                        new Used(limit.solute().text(), limit.name(), grams, false),
                        new Used("water", "water", water, true)),
                "what a saturated solution of " + limit.name() + " holds: " + limit.source() + ", memory");
    }

    private static Reading reading(String path, double value, int decimals, String unit, String from) {
        return new Reading(path, String.format(Locale.ROOT, "%." + decimals + "f", value), unit, from);
    }
}
