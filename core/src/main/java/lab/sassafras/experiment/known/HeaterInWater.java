package lab.sassafras.experiment.known;

import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** A heater stands in the water of the calorimeter for a time. */
final class HeaterInWater implements Scene {

    private static final double SECONDS = 240;

    @Override
    public void play(Stage stage) {
        stage.says("source/kind", "heater");
        Lump cup = stage.world().lump("cup", Matter.WATER);
        double mass = stage.weighs("water/mass", 100);
        stage.world()
                .put(
                        cup,
                        Matter.WATER,
                        mass,
                        stage.at("water/start", stage.roomTemperature() - stage.now("cooler", 2, 4)));
        stage.calorimeter(cup);
        stage.dip(cup);
        stage.reads("water/start", 180);
        double volts = stage.now("volts", 9, 11);
        double amperes = stage.now("amperes", 1.4, 1.6);
        stage.meter("heater/voltage", volts, 2, "V");
        stage.meter("heater/current", amperes, 3, "A");
        // a clock read to the second was stopped within half a second of what it shows
        double on = SECONDS + stage.now("stopped", -0.5, 0.5);
        stage.marks("standard/added");
        Lump mains = stage.world().still("mains", 0);
        stage.world()
                .flow(Flows.heater(
                        mains, cup, () -> volts * amperes, stage.world().seconds() + on));
        stage.waits(on);
        stage.meter("heater/time", on, 0, "s");
        stage.reads("mixed/final", 300);
        stage.seeks(stage.capacity());
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.LID_OFF, Slip.DIGITS);
    }
}
