package lab.sassafras.experiment.neutral;

import java.util.Map;
import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** Sodium hydroxide solution is poured into hydrochloric acid in the calorimeter. */
final class BaseIntoAcid implements Scene {

    @Override
    public void play(Stage stage) {
        double heat = stage.heatOf("HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)");
        stage.says("reaction/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)");
        stage.says("reaction/strength", "strong");
        stage.says("acid/formula", "HCl");
        stage.label("acid/concentration", 1.0, 3, 0.004, "mol/L");
        stage.says("base/formula", "NaOH");
        stage.label("base/concentration", 1.1, 3, 0.004, "mol/L");
        double acidStrength = 1.0 + stage.error("acid", 0.004);
        double baseStrength = (stage.slips(Slip.WRONG_BOTTLE) ? 0.6 : 1.1) + stage.error("base", 0.004);
        double specificHeat = stage.once("specific heat", 3.98, 4.06);
        Matter solution = Matter.of(specificHeat);
        Matter reacted = Matter.happened(1000 * heat);
        Lump cup = stage.world().lump("cup", solution, reacted);
        double acid = stage.measures("first/amount", 50);
        double start = stage.at("first/start", stage.roomTemperature() + stage.now("start", -0.4, 0.4));
        stage.world().put(cup, solution, acid, start);
        stage.calorimeter(cup);
        Lump beaker = stage.world().lump("beaker", solution);
        double base = stage.measures("second/amount", 50);
        stage.world()
                .put(
                        beaker,
                        solution,
                        base,
                        stage.at("second/start", stage.roomTemperature() + stage.now("other start", -0.6, 0.6)));
        stage.dip(cup);
        stage.readsAside("second/start", beaker, 120);
        stage.reads("first/start", 120);
        stage.marks("second/poured");
        double share = stage.slips(Slip.SPLASH) ? 0.95 : 1;
        stage.world().pour(beaker, cup, share, Map.of());
        double moles = Math.min(acid * acidStrength, share * base * baseStrength) / 1000;
        stage.world().flow(Flows.reaction(cup, reacted, moles, () -> 1.5, false));
        stage.meter("constants/solution", specificHeat, 3, "J/(g·°C)");
        stage.reads("mixed/final", 420);
        stage.seeks(heat);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.SPLASH, Slip.LID_OFF, Slip.WRONG_BOTTLE, Slip.OTHER_CUP, Slip.MARK_LATE, Slip.MARK_FORGOTTEN);
    }
}
