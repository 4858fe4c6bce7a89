package lab.sassafras.experiment.reaction;

import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** Zinc powder, more than enough, is tipped into copper(II) sulfate solution. */
final class ZincIntoCopperSulfate implements Scene {

    @Override
    public void play(Stage stage) {
        double heat = stage.heatOf("Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)");
        stage.says("reaction/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)");
        stage.says("solution/reagent", "Cu^2+");
        stage.label("solution/concentration", 0.25, 4, 0.001, "mol/L");
        double strength = (stage.slips(Slip.WRONG_BOTTLE) ? 0.125 : 0.25) + stage.error("strength", 0.001);
        stage.says("solid/formula", "Zn");
        double specificHeat = stage.once("specific heat", 3.9, 4.05);
        Matter solution = Matter.of(specificHeat);
        Matter reacted = Matter.happened(1000 * heat);
        Lump cup = stage.world().lump("cup", solution, reacted);
        double poured = stage.measures("poured/amount", 60);
        double start = stage.at("poured/start", stage.roomTemperature() + stage.now("start", -0.4, 0.4));
        stage.world().put(cup, solution, poured, start);
        stage.calorimeter(cup);
        double solid = stage.weighs("added/mass", 3);
        stage.dip(cup);
        stage.reads("poured/start", 180);
        stage.marks("added/in");
        if (stage.slips(Slip.SPLASH)) {
            stage.world().spill(cup, 0.05);
        }
        double moles = strength * poured / 1000 * (stage.slips(Slip.SPLASH) ? 0.95 : 1);
        stage.world().put(cup, solution, solid, start);
        stage.world()
                .flow(Flows.reaction(
                        cup,
                        reacted,
                        moles * (stage.slips(Slip.UNDISSOLVED) ? 0.85 : 1),
                        () -> stage.slips(Slip.UNDISSOLVED) ? 30 : 20,
                        false));
        stage.meter("constants/solution", specificHeat, 3, "J/(g·°C)");
        stage.reads("mixed/final", 480);
        stage.says("mixed/reacted", "excess");
        stage.seeks(heat);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.SPLASH,
                Slip.LID_OFF,
                Slip.UNDISSOLVED,
                Slip.WRONG_BOTTLE,
                Slip.OTHER_CUP,
                Slip.MARK_LATE,
                Slip.MARK_FORGOTTEN);
    }
}
