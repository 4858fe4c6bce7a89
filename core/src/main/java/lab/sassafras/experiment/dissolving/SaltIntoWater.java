package lab.sassafras.experiment.dissolving;

import java.util.List;
import java.util.Set;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Flows;
import lab.sassafras.simulate.Lump;
import lab.sassafras.simulate.Matter;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.simulate.Stage;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.ReferenceShelf;

/** A salt is tipped into the water of the calorimeter and dissolves. */
final class SaltIntoWater implements Scene {

    /**
     * A salt of the simulated bench.
     *
     * @param formula it has
     * @param solid   specific heat of it (J/(g·°C))
     */
    private record Salt(String formula, double solid) {}

    private static final List<Salt> SALTS =
            List.of(new Salt("KCl", 0.69), new Salt("NH4NO3", 1.74), new Salt("CaCl2", 0.66), new Salt("LiCl", 1.13));

    private static final List<String> FORMULAS =
            SALTS.stream().map(Salt::formula).toList();
    /** Of a salt that is none of these: it goes in as warm as the water is, and moves nothing by it (J/(g·°C)). */
    private static final double ANY_SOLID = 1;

    private static Salt salt(String formula) {
        return SALTS.stream()
                .filter(each -> each.formula().equals(formula))
                .findFirst()
                .orElse(new Salt(formula, ANY_SOLID));
    }

    /** Whether the handbook says what heat it dissolves with. */
    private static boolean known(String formula) {
        try {
            return ReferenceShelf.standard()
                    .heatOfSolution(ChemicalFormula.read(formula), Double.MAX_VALUE)
                    .isPresent();
        } catch (Refused none) {
            return false;
        }
    }

    @Override
    public void play(Stage stage) {
        boolean hydrate = stage.slips(Slip.HYDRATE);
        Salt salt = hydrate ? SALTS.get(2) : salt(stage.taking("salt", FORMULAS, SaltIntoWater::known));
        stage.says("solute/formula", salt.formula());
        double waterMass = stage.weighs("water/mass", 100);
        double start = stage.at("water/start", stage.roomTemperature() + stage.now("start", -0.4, 0.4));
        double solidMass = stage.weighs("solid/mass", 6);
        double molar = ChemicalFormula.read(salt.formula()).molarMass();
        double waters = waterMass / 18.015;
        double heat = stage.heatOfSolution(salt.formula(), waters / (solidMass / molar));
        // taken to be water-free, it holds two waters and gives less than a mole of that would
        double wet = molar + 2 * 18.015;
        double perGram = 1000
                * (hydrate
                        ? stage.heatOfSolution(salt.formula() + "·2H2O", waters / (solidMass / wet)) / wet
                        : heat / molar);
        double solution = stage.now("specific heat", 3.95, 4.05);
        double partial = (solution * (waterMass + solidMass) - waterMass * Matter.WATER.capacity(start)) / solidMass;
        Matter grains = Matter.of(salt.solid());
        Matter dissolved = Matter.of(partial, grains.enthalpy(start) + perGram - partial * (start - 25));
        Lump contents = stage.world().lump("contents", Matter.WATER, grains, dissolved);
        stage.world().put(contents, Matter.WATER, waterMass, start);
        stage.calorimeter(contents);
        stage.dip(contents);
        stage.reads("water/start", 180);
        stage.marks("solid/added");
        if (stage.slips(Slip.SPLASH)) {
            stage.world().spill(contents, 0.08);
        }
        stage.world().put(contents, grains, solidMass, start);
        stage.world()
                .flow(Flows.dissolving(
                        stage.world(),
                        contents,
                        grains,
                        dissolved,
                        stage.now("takes", 30, 60),
                        stage.slips(Slip.UNDISSOLVED) ? 0.85 : 1,
                        () -> 1));
        stage.meter("constants/solution", solution, 3, "J/(g·°C)");
        stage.reads("solution/final", 420);
        stage.says("solution/dissolved", "all");
        stage.seeks(heat);
    }

    @Override
    public Set<Slip> slips() {
        return Set.of(
                Slip.SPLASH,
                Slip.LID_OFF,
                Slip.UNDISSOLVED,
                Slip.HYDRATE,
                Slip.OTHER_CUP,
                Slip.MARK_LATE,
                Slip.MARK_FORGOTTEN,
                Slip.DIGITS);
    }
}
