package lab.sassafras.experiment.heating;

import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;

/** A solid with a heater in it melts. */
final class HeaterInSample implements Scene {

    /** A usual tube holds so much (g). No source. */
    private static final double TUBE = 60;

    private static final double MELTS = 43.8;
    /** The tube loses so much to the room (W/°C). No source. */
    private static final double LOSES = 0.04;
    /** While it melts it loses more or less than before and after, by at most this part of it. No source. */
    private static final double CHANGES = 0.0125 * Math.sqrt(3);

    @Override
    public void play(Stage stage) {
        double fusion = stage.once("fusion", 175, 188);
        Matter.Melting matter = new Matter.Melting(1.9, MELTS, fusion, 2.2, 100);
        stage.says("sample/name", "white flakes");
        double mass = stage.weighs("sample/mass", 30);
        stage.says("sample/way", "heater");
        double volts = stage.now("volts", 7.8, 8.2);
        double amperes = stage.now("amperes", 0.98, 1.02);
        stage.meter("heater/voltage", volts, 2, "V");
        stage.meter("heater/current", amperes, 3, "A");
        Lump sample = stage.world().lump("sample", matter, mass, stage.roomTemperature() + 2);
        Lump tube = stage.world().solid("tube", 12, stage.roomTemperature() + 2);
        stage.world().flow(Flows.exchange(sample, tube, () -> 3));
        double meanwhile = stage.now("what is lost while it melts", -CHANGES, CHANGES);
        stage.world().flow((now, rates) -> {
            double melts = Math.exp(-Math.pow(now.temperature(sample) - MELTS, 2));
            rates.heat(
                    tube,
                    stage.room(),
                    LOSES * (1 + meanwhile * melts) * (now.temperature(tube) - now.temperature(stage.room())));
        });
        stage.filled(sample, TUBE);
        stage.dip(sample);
        stage.readsAside("room/temperature", stage.room(), 20);
        stage.marks("run/curve");
        Lump mains = stage.world().still("mains", 0);
        stage.world().flow(Flows.heater(mains, sample, () -> volts * amperes, Double.MAX_VALUE));
        stage.waits(1400);
        stage.seeks(fusion);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.DIGITS);
    }
}
