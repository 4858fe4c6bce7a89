package lab.sassafras.substance;

import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;

/**
 * Organic substances known by their structure. Isomers have the same atoms and are different substances: what one of
 * them is judged by says nothing of another.
 */
public final class Compounds {

    private static final List<Compound> ALL =
            Table.rows("compounds.csv").map(Compounds::compound).toList();
    private static final Map<String, Compound> BY_FORMULA = byFormula();

    private Compounds() {}

    /**
     * One substance.
     *
     * @param key        stable name
     * @param name       in words
     * @param synonyms   other names in use
     * @param formula    what is written for it
     * @param spellings  other ways to write the same structure
     * @param was        how it was written before there was this table; empty where not otherwise
     * @param state      at 25 °C: s, l or g
     * @param combustion enthalpy of combustion to carbon dioxide, liquid water and nitrogen, 25 °C (kJ/mol)
     */
    public record Compound(
            String key,
            String name,
            List<String> synonyms,
            ChemicalFormula formula,
            List<String> spellings,
            String was,
            String state,
            Reference combustion) {}

    /** {@return every one of them} */
    public static List<Compound> all() {
        return ALL;
    }

    /**
     * {@return the substance a formula stands for: by its structure, or by its atoms where only one here has them}
     *
     * @param formula as kept
     */
    public static Optional<Compound> of(ChemicalFormula formula) {
        Compound structure = BY_FORMULA.get(formula.text());
        if (structure != null) {
            return Optional.of(structure);
        }
        List<Compound> fitting = fitting(formula);
        return fitting.size() == 1 ? Optional.of(fitting.get(0)) : Optional.empty();
    }

    /**
     * {@return the substances of which a formula may be any, where it says no structure and several have its atoms;
     * empty where it says which}
     *
     * @param formula as typed
     */
    public static List<Compound> several(ChemicalFormula formula) {
        Compound known = BY_FORMULA.get(formula.text());
        List<Compound> fitting = fitting(formula);
        return fitting.size() < 2 || known != null && !known.was().equals(formula.text()) ? List.of() : fitting;
    }

    /** Whether two formulas of the same atoms are known to be different substances. */
    static boolean apart(ChemicalFormula one, ChemicalFormula other) {
        Compound first = BY_FORMULA.get(one.text());
        Compound second = BY_FORMULA.get(other.text());
        return first != null && second != null && !first.equals(second);
    }

    private static List<Compound> fitting(ChemicalFormula formula) {
        return formula.charge() != 0
                ? List.of()
                : ALL.stream()
                        .filter(each -> each.formula().atoms().equals(formula.atoms()))
                        .toList();
    }

    private static Map<String, Compound> byFormula() {
        Map<String, Compound> known = new HashMap<>();
        ALL.forEach(each -> Stream.concat(Stream.of(each.formula().text(), each.was()), each.spellings().stream())
                .filter(text -> !text.isEmpty())
                .forEach(text -> known.put(text, each)));
        return known;
    }

    /** Every name with the formula that is written for it, the usual name of each before its others. */
    static Map<String, ChemicalFormula> names() {
        Map<String, ChemicalFormula> names = new LinkedHashMap<>();
        ALL.forEach(each -> names.put(each.name(), each.formula()));
        ALL.forEach(each -> each.synonyms().forEach(name -> names.putIfAbsent(name, each.formula())));
        return names;
    }

    private static Compound compound(String[] cell) {
        return new Compound(
                cell[0],
                cell[1],
                several(cell[2]),
                ChemicalFormula.read(cell[3]),
                several(cell[4]),
                cell[5],
                cell[6],
                new Reference(
                        ReferenceShelf.COMBUSTION + cell[0],
                        "enthalpy of combustion of " + cell[1] + ", to liquid water, 25 °C",
                        Double.parseDouble(cell[7]),
                        Double.parseDouble(cell[8]),
                        BenchUnit.KILOJOULES_PER_MOLE,
                        cell[9],
                        cell[10].equals("opened")));
    }

    private static List<String> several(String cell) {
        return Arrays.stream(cell.split("\\|")).filter(each -> !each.isEmpty()).toList();
    }
}
