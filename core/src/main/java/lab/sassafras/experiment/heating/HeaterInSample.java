package lab.sassafras.experiment.heating;

import java.util.List;
import java.util.Set;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;
import lab.sassafras.substance.ReferenceShelf;

/** A solid with a heater in it melts. */
final class HeaterInSample implements Scene {

    /** A usual tube holds so much (g). No source. */
    private static final double TUBE = 60;

    /** What melts where nothing else is asked for. */
    static final String USUAL = "fusion-of-lauric-acid";
    /** What is heated is heated so long at least (s), and so much longer than it takes to melt it all (no source). */
    private static final double LASTS = 1400;

    private static final double LONGER = 1.1;
    /** It is heated as far beyond its melting point (°C), and nobody waits longer than that (s). No source. */
    private static final double BEYOND = 20;

    private static final double LONGEST = 3 * 3600;
    private static final double SOLID = 1.9;
    private static final double LIQUID = 2.2;
    /** The tube loses so much to the room (W/°C). No source. */
    private static final double LOSES = 0.04;
    /** While it melts it loses more or less than before and after, by at most this part of it. No source. */
    private static final double CHANGES = 0.0125 * Math.sqrt(3);

    @Override
    public void play(Stage stage) {
        ReferenceShelf shelf = ReferenceShelf.standard();
        Fusion melts = Fusion.on(
                        shelf,
                        stage.taking(
                                "what melts",
                                List.of(USUAL),
                                key -> Fusion.on(shelf, key).isPresent()))
                .orElseThrow();
        double drawn = melts.heat() * stage.once("fusion", 175.0 / 181, 188.0 / 181);
        double fusion = stage.at("fusion", drawn);
        Matter.Melting matter = new Matter.Melting(SOLID, melts.at(), fusion, LIQUID, 100);
        stage.says("sample/name", "white flakes");
        double mass = stage.weighs("sample/mass", 30);
        stage.says("sample/way", "heater");
        double volts = stage.at("heater/voltage", stage.now("volts", 7.8, 8.2));
        double amperes = stage.at("heater/current", stage.now("amperes", 0.98, 1.02));
        stage.meter("heater/voltage", volts, 2, "V");
        stage.meter("heater/current", amperes, 3, "A");
        Lump sample = stage.world().lump("sample", matter, mass, stage.roomTemperature() + 2);
        Lump tube = stage.world().solid("tube", 12, stage.roomTemperature() + 2);
        stage.world().flow(Flows.exchange(sample, tube, () -> 3));
        double meanwhile = stage.now("what is lost while it melts", -CHANGES, CHANGES);
        stage.world().flow((now, rates) -> {
            double melting = Math.exp(-Math.pow(now.temperature(sample) - melts.at(), 2));
            rates.heat(
                    tube,
                    stage.room(),
                    LOSES * (1 + meanwhile * melting) * (now.temperature(tube) - now.temperature(stage.room())));
        });
        stage.filled(sample, TUBE);
        stage.dip(sample);
        stage.readsAside("room/temperature", stage.room(), 20);
        stage.marks("run/curve");
        Lump mains = stage.world().still("mains", 0);
        stage.world().flow(Flows.heater(mains, sample, () -> volts * amperes, Double.MAX_VALUE));
        double toMelt = mass * (SOLID * (melts.at() - stage.roomTemperature()) + fusion + LIQUID * BEYOND);
        double left = volts * amperes - LOSES * (melts.at() + BEYOND - stage.roomTemperature());
        stage.waits(Math.max(LASTS, left > 0 ? Math.min(LONGEST, LONGER * toMelt / left) : LONGEST));
        stage.seeks(fusion);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.DIGITS);
    }
}
