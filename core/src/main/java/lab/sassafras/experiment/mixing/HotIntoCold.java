package lab.sassafras.experiment.mixing;

import java.util.Map;
import java.util.Set;
import lab.sassafras.simulate.Flow;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** Hot water is poured into cold water in the calorimeter. */
final class HotIntoCold implements Scene {

    @Override
    public void play(Stage stage) {
        stage.says("cup/held", "cold");
        Lump cold = stage.world().lump("cup", Matter.WATER);
        double coldMass = stage.weighs("cold/mass", 50);
        stage.world()
                .put(
                        cold,
                        Matter.WATER,
                        coldMass,
                        stage.at("cold/start", stage.roomTemperature() - stage.now("cooler", 0, 1)));
        stage.calorimeter(cold);
        stage.dip(cold);
        stage.reads("cold/start", 180);
        Lump hot = stage.world().lump("beaker", Matter.WATER);
        double hotMass = stage.weighs("hot/mass", 50);
        stage.world().put(hot, Matter.WATER, hotMass, stage.at("hot/start", stage.now("hot", 52, 60)));
        stage.readsAside("hot/start", hot, 20);
        if (stage.slips(Slip.LATE_TRANSFER)) {
            Flow cools = Flows.exchange(hot, stage.room(), () -> 0.35);
            stage.world().flow(cools);
            stage.waits(40);
            stage.world().stop(cools);
        }
        stage.marks("hot/poured");
        stage.world().pour(hot, cold, stage.slips(Slip.SPLASH) ? 0.97 : 1, Map.of());
        stage.reads("mixed/final", 420);
        stage.seeks(stage.capacity());
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.LATE_TRANSFER, Slip.SPLASH, Slip.LID_OFF, Slip.MARK_LATE, Slip.MARK_FORGOTTEN, Slip.DIGITS);
    }
}
