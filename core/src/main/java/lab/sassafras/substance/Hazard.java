package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.measure.Refused;

/**
 * What the harmonized system says of a substance. Every row is from memory, and counts as unconfirmed until somebody
 * sets beside it what the safety data sheet says.
 *
 * @param formula   as one writes it; empty for what has none
 * @param key       of the shelf; empty for what is not on it
 * @param name      in words
 * @param signal    word; empty where none is remembered
 * @param hazard    codes of what it does
 * @param precaution codes of what to do
 * @param kind      acid, base, or nothing
 * @param boils     (°C); infinite for what is no liquid
 * @param flammable whether it burns near a plate or a flame
 */
public record Hazard(
        String formula,
        String key,
        String name,
        String signal,
        List<String> hazard,
        List<String> precaution,
        String kind,
        double boils,
        boolean flammable) {

    private static final List<Hazard> ALL = Table.rows("hazards.csv")
            .map(cell -> new Hazard(
                    cell[0],
                    cell[1],
                    cell[2],
                    cell[3],
                    codes(cell[4]),
                    codes(cell[5]),
                    cell[6],
                    cell[7].isEmpty() ? Double.POSITIVE_INFINITY : Double.parseDouble(cell[7]),
                    cell[8].equals("yes")))
            .toList();

    private static final Map<String, String> WORDS =
            Table.rows("statements.csv").collect(Collectors.toMap(cell -> cell[0], cell -> cell[1]));

    /** How a property of the shelf names what it is of. */
    private static final Pattern PROPERTY = Pattern.compile("^(fusion|melting)-of-");

    /** Burns skin, eyes and airways: a hand is not let near it unwarned. */
    private static final Set<String> STRONG = Set.of("H314", "H300", "H310", "H330", "H250", "H260", "H271");

    /**
     * A statement with its words.
     *
     * @param code  such as H314
     * @param words of it
     */
    public record Statement(String code, String words) {}

    private static List<String> codes(String cell) {
        return cell.isEmpty() ? List.of() : Arrays.asList(cell.split(" "));
    }

    /** {@return every row} */
    public static List<Hazard> all() {
        return ALL;
    }

    /** {@return whether it is an acid or a base} */
    public boolean acidOrBase() {
        return !kind.isEmpty();
    }

    /** {@return whether a tick is asked for before anything of it is handled} */
    public boolean strong() {
        return strong(hazard);
    }

    /**
     * {@return whether statements ask for that}
     *
     * @param codes of them
     */
    public static boolean strong(List<String> codes) {
        return codes.stream().flatMap(each -> Arrays.stream(each.split("\\+"))).anyMatch(STRONG::contains);
    }

    /**
     * {@return whether a substance is a fluoride that may set its acid free: one without carbon}
     *
     * @param name its key on the shelf, or its formula
     */
    public static boolean fluoride(String name) {
        return ChemicalFormula.of(name)
                .filter(each -> each.atoms().containsKey("F") && !each.atoms().containsKey("C"))
                .isPresent();
    }

    /** {@return what it does and what to do, each with its words} */
    public List<Statement> statements() {
        return Stream.concat(hazard.stream(), precaution.stream())
                .map(code -> new Statement(code, words(code)))
                .toList();
    }

    /**
     * {@return the words of a code, or of several that are read as one}
     *
     * @param code such as H314 or P305+P351+P338
     */
    public static String words(String code) {
        return Arrays.stream(code.split("\\+"))
                .map(each -> WORDS.getOrDefault(each, "read its sheet"))
                .collect(Collectors.joining(". "));
    }

    /** {@return whether there are words for a code} */
    static boolean known(String code) {
        return Arrays.stream(code.split("\\+")).allMatch(WORDS::containsKey);
    }

    /**
     * {@return what is remembered of a substance; empty where nothing is}
     *
     * @param name its key on the shelf, or its formula
     */
    public static Optional<Hazard> of(String name) {
        return ALL.stream()
                .filter(each -> each.key.equals(name) || !each.formula.isEmpty() && same(each.formula, name))
                .findFirst();
    }

    private static boolean same(String formula, String name) {
        if (formula.equals(name)) {
            return true;
        }
        try {
            return ChemicalFormula.read(formula).sameAs(ChemicalFormula.read(name));
        } catch (Refused none) {
            return false;
        }
    }

    /**
     * {@return what is named by a text: a substance, also by a property of it, a formula, or every party of an
     * equation, in order}
     *
     * @param text as it stands in a place of a sheet
     */
    public static List<String> named(String text) {
        try {
            ChemicalEquation equation = ChemicalEquation.read(text);
            Set<String> all = new LinkedHashSet<>();
            Stream.concat(equation.reagents().stream(), equation.products().stream())
                    .forEach(each -> all.add(each.formula().text()));
            return new ArrayList<>(all);
        } catch (Refused noEquation) {
            return List.of(PROPERTY.matcher(text).replaceFirst(""));
        }
    }

    /**
     * {@return what is remembered of everything named by a text}
     *
     * @param text as it stands in a place of a sheet
     */
    public static List<Hazard> in(String text) {
        return named(text).stream().flatMap(each -> of(each).stream()).toList();
    }
}
