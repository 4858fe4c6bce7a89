package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalEquation.Term;

/**
 * The equation of burning completely: carbon to its dioxide, hydrogen to water, nitrogen to itself, with oxygen enough.
 */
public final class Combustion {

    private static final Set<String> BURNT_HERE = Set.of("C", "H", "O", "N");

    private static final Set<String> BURNT_IN_WATER = Set.of("C", "H", "O", "N", "S", "Cl");
    private static final int WATERS_OF_SULFURIC = 115;
    private static final int WATERS_OF_HYDROCHLORIC = 600;

    private Combustion() {}

    /** Hydrocarbons of so few carbon atoms are gases at the bench; of a substance known by name its state is known. */
    private static final int GASEOUS = 4;

    /**
     * {@return the equation of a fuel as it burns at a bench; empty where it does not burn so}
     *
     * @param fuel  as typed
     * @param water state of the water formed: l or g
     */
    public static Optional<ChemicalEquation> atBench(ChemicalFormula fuel, String water) {
        boolean gas = !fuel.atoms().containsKey("O") && fuel.atoms().getOrDefault("C", 0) <= GASEOUS;
        String state = Compounds.of(fuel).map(Compounds.Compound::state).orElse(gas ? "g" : "l");
        try {
            return Optional.of(of(fuel, state, water));
        } catch (Refused nothingBurns) {
            return Optional.empty();
        }
    }

    /**
     * {@return the equation of a sample as it burns in a bomb, to liquid water; empty where it does not burn so}
     *
     * @param sample as typed
     * @param state  of it: solid or liquid
     */
    public static Optional<ChemicalEquation> inBomb(ChemicalFormula sample, String state) {
        try {
            return Optional.of(inWater(sample, state.equals("liquid") ? "l" : "s"));
        } catch (Refused nothingBurns) {
            return Optional.empty();
        }
    }

    /**
     * With sulfur and chlorine too, to the final states heats of formation hold for: sulfuric acid in 115 of water and
     * hydrochloric acid in 600, the water they lack taken from what was put into the bomb.
     */
    private static ChemicalEquation inWater(ChemicalFormula sample, String state) {
        Map<String, Integer> atoms = sample.atoms();
        int sulfur = atoms.getOrDefault("S", 0);
        int chlorine = atoms.getOrDefault("Cl", 0);
        if (sulfur == 0 && chlorine == 0) {
            return of(sample, state, "l");
        }
        if (!BURNT_IN_WATER.containsAll(atoms.keySet()) || sample.charge() != 0) {
            throw new Refused("“" + sample.text() + "” holds an element of which it is not known what it burns to.");
        }
        int nitrogen = atoms.getOrDefault("N", 0);
        int free = atoms.getOrDefault("H", 0) - 2 * sulfur - chlorine;
        int quarters = 4 * atoms.getOrDefault("C", 0) + free + 8 * sulfur - 2 * atoms.getOrDefault("O", 0);
        int times = quarters % 4 == 0 && free % 2 == 0 && nitrogen % 2 == 0 ? 1 : quarters % 2 == 0 ? 2 : 4;
        int water = times * free / 2 - times * (WATERS_OF_SULFURIC * sulfur + WATERS_OF_HYDROCHLORIC * chlorine);
        List<Term> taken = new ArrayList<>(List.of(
                new Term(times, sample, state), new Term(times * quarters / 4, ChemicalFormula.read("O2"), "g")));
        List<Term> formed = new ArrayList<>();
        add(formed, times * atoms.getOrDefault("C", 0), "CO2", "g");
        add(water < 0 ? taken : formed, Math.abs(water), "H2O", "l");
        add(formed, times * nitrogen / 2, "N2", "g");
        add(formed, times * sulfur, "H2SO4·" + WATERS_OF_SULFURIC + "H2O", "l");
        add(formed, times * chlorine, "HCl·" + WATERS_OF_HYDROCHLORIC + "H2O", "l");
        return ChemicalEquation.of(taken, formed);
    }

    private static void add(List<Term> terms, int count, String formula, String state) {
        if (count > 0) {
            terms.add(new Term(count, ChemicalFormula.read(formula), state));
        }
    }

    /**
     * {@return the balanced equation of a fuel burning completely, in the smallest whole numbers}
     *
     * @param fuel  of carbon, hydrogen, oxygen and nitrogen
     * @param state of the fuel: s, l or g
     * @param water state of the water formed: l or g
     * @throws Refused where it holds another element, is charged, or has nothing to burn
     */
    public static ChemicalEquation of(ChemicalFormula fuel, String state, String water) {
        Map<String, Integer> atoms = fuel.atoms();
        int carbon = atoms.getOrDefault("C", 0);
        int hydrogen = atoms.getOrDefault("H", 0);
        // of C, H and O: 4 C + H − 2 O atoms of oxygen for each two molecules of fuel
        int quarters = 4 * carbon + hydrogen - 2 * atoms.getOrDefault("O", 0);
        if (!BURNT_HERE.containsAll(atoms.keySet()) || fuel.charge() != 0) {
            throw new Refused(
                    "Only what consists of carbon, hydrogen, oxygen and nitrogen burns to nothing but carbon dioxide, "
                            + "water and nitrogen. “" + fuel.text() + "” holds something else.");
        }
        if (quarters <= 0) {
            throw new Refused("“" + fuel.text() + "” has nothing left to burn.");
        }
        int nitrogen = atoms.getOrDefault("N", 0);
        boolean even = hydrogen % 2 == 0 && nitrogen % 2 == 0;
        int times = quarters % 4 == 0 && even ? 1 : quarters % 2 == 0 ? 2 : 4;
        List<Term> taken =
                List.of(new Term(times, fuel, state), new Term(times * quarters / 4, ChemicalFormula.read("O2"), "g"));
        List<Term> formed = new ArrayList<>();
        if (carbon > 0) {
            formed.add(new Term(times * carbon, ChemicalFormula.read("CO2"), "g"));
        }
        if (hydrogen > 0) {
            formed.add(new Term(times * hydrogen / 2, ChemicalFormula.read("H2O"), water));
        }
        if (nitrogen > 0) {
            formed.add(new Term(times * nitrogen / 2, ChemicalFormula.read("N2"), "g"));
        }
        return ChemicalEquation.of(taken, formed);
    }
}
