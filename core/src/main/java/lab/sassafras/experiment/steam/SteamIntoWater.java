package lab.sassafras.experiment.steam;

import java.util.Set;
import lab.sassafras.simulate.Flow;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** Steam is led into cool water until it has warmed by some twenty degrees. */
final class SteamIntoWater implements Scene {

    @Override
    public void play(Stage stage) {
        double vaporization = stage.known("vaporization-of-water");
        Lump cup = stage.world().lump("cup", Matter.WATER);
        double waterMass = stage.weighs("water/mass", 200);
        stage.world()
                .put(
                        cup,
                        Matter.WATER,
                        waterMass,
                        stage.at("water/start", stage.roomTemperature() - stage.now("cool", 9, 11)));
        stage.calorimeter(cup);
        stage.says("steam/state", "trapped");
        double boils = 99.3 + stage.error("boils", 0.3);
        stage.label("steam/start", 99.3, 1, 0.3, "°C");
        stage.dip(cup);
        stage.reads("water/start", 180);
        stage.marks("steam/led");
        Lump boiler = stage.world().still("boiler", boils, Matter.WATER);
        double liquid = Matter.WATER.enthalpy(boils);
        double before = stage.world().amount(cup, Matter.WATER);
        Flow led = Flows.condensing(
                boiler, cup, liquid + vaporization, stage.slips(Slip.DAMP) ? 0.08 : 0, liquid, () -> 0.12);
        stage.world().flow(led);
        stage.waits(stage.now("led", 60, 75));
        stage.world().stop(led);
        double mass = stage.world().amount(cup, Matter.WATER) - before;
        stage.reads("mixed/final", 300);
        stage.balance("steam/mass", mass);
        stage.seeks(vaporization);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.DAMP, Slip.LID_OFF, Slip.OTHER_CUP, Slip.DIGITS);
    }
}
