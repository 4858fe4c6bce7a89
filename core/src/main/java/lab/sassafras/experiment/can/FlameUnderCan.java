package lab.sassafras.experiment.can;

import java.util.List;
import java.util.Set;
import lab.sassafras.simulate.Flow;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;
import lab.sassafras.substance.ChemicalFormula;

/** Ethanol burns under a can of water; a part of its heat goes past it. */
final class FlameUnderCan implements Scene {

    /** Heat of one mole burning to liquid water (kJ/mol); near a handbook's, from memory. */
    private static final double HEAT = 1367;
    /** Soot holds as much (J/g): carbon burning to carbon dioxide, from memory. */
    private static final double SOOT = 32_762;

    @Override
    public void play(Stage stage) {
        stage.says("fuel/formula", "C2H5OH");
        double molar = ChemicalFormula.read("C2H5OH").molarMass();
        double perGram = 1000 * HEAT / molar;
        double reaches = stage.once("reaches", 0.4, 0.5);
        Lump can = stage.world().lump("can", Matter.WATER);
        double waterMass = stage.weighs("water/mass", 150);
        stage.world()
                .put(
                        can,
                        Matter.WATER,
                        waterMass,
                        stage.at("water/start", stage.roomTemperature() - stage.now("cool", 6, 8)));
        Lump wall = stage.calorimeter(can);
        double full = 180 + stage.now("burner", 0, 5);
        stage.side("burner/burnt", true, full);
        stage.dip(can);
        stage.reads("water/start", 120);
        Matter fuel = Matter.of(0, perGram);
        Matter gone = Matter.of(0, 0);
        Lump burner = stage.world().lump("burner", fuel, gone);
        stage.world().put(burner, fuel, 50, 25);
        double soot = stage.slips(Slip.SOOT) ? 0.03 : 0;
        stage.marks("flame/lit");
        double before = stage.world().amount(burner, fuel);
        Flow flame = Flows.flame(
                burner,
                fuel,
                gone,
                perGram - soot * SOOT,
                () -> 0.009,
                List.of(new Flows.Share(wall, reaches), new Flows.Share(stage.room(), 1 - reaches)));
        stage.world().flow(flame);
        stage.waits(stage.now("burns", 80, 100));
        stage.world().stop(flame);
        stage.reads("heated/highest", 120);
        double burnt = before - stage.world().amount(burner, fuel);
        stage.side("burner/burnt", false, full - burnt - (stage.slips(Slip.WICK_OPEN) ? 0.15 : 0));
        stage.truth("share of the heat that reached the can", 100 * reaches, "%");
        stage.seeks(-HEAT * reaches);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(Slip.WICK_OPEN, Slip.SOOT, Slip.LID_OFF, Slip.OTHER_CUP);
    }
}
