package lab.sassafras.experiment.liquid;

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

/** A piece of copper out of a warm bath is dropped into another liquid in the calorimeter. */
final class HotSolidIntoLiquid implements Scene {

    private static final List<String> LIQUIDS = List.of("glycerol", "ethylene-glycol");

    @Override
    public void play(Stage stage) {
        Substance copper = ReferenceShelf.standard().find("copper").orElseThrow();
        double known = copper.specificHeat() + stage.error("copper", copper.uncertainty());
        Substance poured =
                ReferenceShelf.standard().find(stage.one("liquid", LIQUIDS)).orElseThrow();
        stage.was(poured.key());
        double sought = poured.specificHeat() + stage.error(poured.key(), poured.uncertainty());
        double solidMass = stage.weighs("solid/mass", 95);
        stage.says("solid/bath", "other");
        stage.says("shelf/solid", "copper");
        Lump bath = stage.world().still("bath", stage.at("solid/start", stage.now("bath", 68, 72)));
        Lump solid = stage.world()
                .lump("solid", Matter.of(known), solidMass, stage.world().temperature(bath));
        Matter liquid = Matter.of(sought);
        Lump cup = stage.world().lump("cup", liquid);
        double mass = stage.weighs("liquid/mass", 80);
        stage.world()
                .put(
                        cup,
                        liquid,
                        mass,
                        stage.at("liquid/start", stage.roomTemperature() - stage.now("cooler", 0.5, 2)));
        stage.calorimeter(cup);
        stage.dip(cup);
        stage.readsAside("solid/start", bath, 240);
        stage.reads("liquid/start", 60);
        if (stage.slips(Slip.LATE_TRANSFER)) {
            Flow cools = Flows.exchange(solid, stage.room(), () -> 0.12);
            stage.world().flow(cools);
            stage.waits(25);
            stage.world().stop(cools);
        }
        stage.marks("solid/moved");
        stage.world().flow(Flows.exchange(solid, cup, () -> 6));
        stage.reads("mixed/final", 420);
        stage.seeks(sought);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.LID_OFF, Slip.LATE_TRANSFER, Slip.OTHER_CUP, Slip.MARK_LATE, Slip.MARK_FORGOTTEN, Slip.DIGITS);
    }
}
