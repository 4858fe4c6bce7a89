package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalEquation.Term;

/** The equation of burning completely: carbon to its dioxide, hydrogen to water, nitrogen to itself, with oxygen enough. */
public final class Combustion {

    private static final Set<String> BURNT_HERE = Set.of("C", "H", "O", "N");

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
            return Optional.of(of(sample, state.equals("liquid") ? "l" : "s", "l"));
        } catch (Refused nothingBurns) {
            return Optional.empty();
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
