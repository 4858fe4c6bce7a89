package lab.sassafras.experiment.solid;

import java.util.List;
import java.util.Set;
import lab.sassafras.simulate.Flow;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Substance;

/** A solid out of boiling water is dropped into the calorimeter. */
final class HotSolidIntoWater implements Scene {

    @Override
    public void play(Stage stage) {
        String which = stage.one("substance", List.of("copper", "aluminium", "zinc", "iron", "brass"));
        Substance substance = ReferenceShelf.standard().find(which).orElseThrow();
        double specificHeat = substance.specificHeat() + stage.error("substance", substance.uncertainty());
        // a letter that tells nothing of what it is
        stage.says("sample/name", "slug " + (char) ('A' + (int) stage.once("letter", 0, 8)));
        double sampleMass = stage.weighs("sample/mass", 80);
        stage.says("sample/bath", "boiling");
        Lump bath = stage.world().still("bath", stage.at("sample/start", stage.now("boils", 98.5, 99.4)), Matter.WATER);
        Lump sample = stage.world()
                .lump(
                        "sample",
                        Matter.of(specificHeat),
                        sampleMass,
                        stage.world().temperature(bath));
        Lump cup = stage.world().lump("cup", Matter.WATER);
        double waterMass = stage.weighs("water/mass", 100);
        stage.world()
                .put(
                        cup,
                        Matter.WATER,
                        waterMass,
                        stage.at("water/start", stage.roomTemperature() - stage.now("cooler", 0.5, 2)));
        stage.calorimeter(cup);
        stage.dip(cup);
        stage.readsAside("sample/start", bath, 240);
        stage.reads("water/start", 60);
        if (stage.slips(Slip.LATE_TRANSFER)) {
            Flow cools = Flows.exchange(sample, stage.room(), () -> 0.12);
            stage.world().flow(cools);
            stage.waits(25);
            stage.world().stop(cools);
        }
        stage.marks("sample/moved");
        if (stage.slips(Slip.CARRIED)) {
            stage.world().put(cup, Matter.WATER, 1.5, stage.world().temperature(bath));
        }
        if (stage.slips(Slip.SPLASH)) {
            stage.world().spill(cup, 0.025);
        }
        stage.world().flow(Flows.exchange(sample, cup, () -> 6));
        stage.reads("mixed/final", 420);
        stage.was(which);
        stage.truth("the solid is " + which, specificHeat, "J/(g·°C)");
        stage.seeks(specificHeat);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.CARRIED,
                Slip.SPLASH,
                Slip.LID_OFF,
                Slip.LATE_TRANSFER,
                Slip.OTHER_CUP,
                Slip.MARK_LATE,
                Slip.MARK_FORGOTTEN,
                Slip.DIGITS);
    }
}
