package lab.sassafras.experiment.ice;

import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** Dried ice is dropped into warm water in the calorimeter and melts. */
final class IceIntoWater implements Scene {

    @Override
    public void play(Stage stage) {
        double fusion = stage.known("fusion-of-ice");
        double solid = stage.known("specific-heat-of-ice");
        Matter.Melting matter = new Matter.Melting(solid, 0, fusion, Matter.WATER.capacity(1), 0);
        Lump cup = stage.world().lump("cup", Matter.WATER);
        double waterMass = stage.weighs("water/mass", 120);
        stage.world().put(cup, Matter.WATER, waterMass, stage.at("water/start", stage.now("warm", 36, 40)));
        stage.calorimeter(cup);
        stage.says("ice/state", "dried");
        stage.label("ice/start", 0, 1, 0.3, "°C");
        stage.dip(cup);
        stage.reads("water/start", 180);
        stage.marks("ice/added");
        Lump ice = stage.world().lump("ice", matter);
        double mass = stage.at("ice/mass", stage.now("ice", 24, 28));
        double wet = stage.slips(Slip.DAMP) ? 0.07 : 0;
        stage.world().put(ice, matter, mass * (1 - wet), -Math.abs(0.1 * stage.error("ice", 1)));
        stage.world().put(cup, Matter.WATER, mass * wet, 0);
        if (stage.slips(Slip.SPLASH)) {
            stage.world().spill(cup, 0.02);
        }
        stage.world().flow(Flows.melting(stage.world(), ice, matter, cup, () -> 6));
        stage.reads("mixed/final", 480);
        stage.balance("ice/mass", mass - (stage.slips(Slip.SPLASH) ? 0.02 * waterMass : 0));
        stage.seeks(fusion);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.DAMP, Slip.SPLASH, Slip.LID_OFF, Slip.OTHER_CUP, Slip.MARK_LATE, Slip.MARK_FORGOTTEN, Slip.DIGITS);
    }
}
