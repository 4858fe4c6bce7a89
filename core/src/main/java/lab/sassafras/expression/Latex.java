package lab.sassafras.expression;

import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What LaTeX has its own way of writing: Greek letters and signs by command, units upright, plain words escaped. */
public final class Latex {

    private static final Map<Character, String> LETTERS =
            Map.of('Δ', "\\Delta ", 'ρ', "\\rho ", 'θ', "\\theta ", 'Σ', "\\Sigma ", 'η', "\\eta ", 'ν', "\\nu ");

    private static final Map<Character, String> IN_TEXT = Map.ofEntries(
            Map.entry('%', "\\%"),
            Map.entry('_', "\\_"),
            Map.entry('#', "\\#"),
            Map.entry('&', "\\&"),
            Map.entry('$', "\\$"),
            Map.entry('{', "\\{"),
            Map.entry('}', "\\}"),
            Map.entry('^', "\\textasciicircum{}"),
            Map.entry('~', "\\textasciitilde{}"),
            Map.entry('\\', "\\textbackslash{}"),
            Map.entry('·', "$\\cdot$"),
            Map.entry('°', "$^{\\circ}$"),
            Map.entry('−', "$-$"),
            Map.entry('³', "$^{3}$"),
            Map.entry('²', "$^{2}$"),
            Map.entry('Δ', "$\\Delta$"));

    private static final Pattern COUNTED = Pattern.compile("([−+]?[\\d.,]+)\\s*(.*)");

    private Latex() {}

    /**
     * {@return plain words set upright between symbols}
     *
     * @param plain as a person would write them
     */
    public static String text(String plain) {
        StringBuilder out = new StringBuilder("\\text{");
        plain.chars().forEach(each -> out.append(IN_TEXT.getOrDefault((char) each, String.valueOf((char) each))));
        return out.append('}').toString();
    }

    /** One letter of a quantity, such as ΔH. */
    static String letters(String letters) {
        StringBuilder out = new StringBuilder();
        letters.chars().forEach(each -> out.append(LETTERS.getOrDefault((char) each, String.valueOf((char) each))));
        return out.toString();
    }

    /** A unit, upright. */
    static String unit(String unit) {
        return "\\mathrm{"
                + unit.replace("°C", "{}^{\\circ}C")
                        .replace("·", "\\cdot ")
                        .replace("³", "^{3}")
                        .replace("%", "\\%")
                + "}";
    }

    /** A number, with the unit in words that some constants carry. */
    static String number(String shown) {
        Matcher counted = COUNTED.matcher(shown);
        if (!counted.matches()) {
            return text(shown);
        }
        String number = counted.group(1).replace("−", "-").replace(",", "{,}");
        String unit = counted.group(2);
        return unit.isEmpty() ? number : number + "\\," + (unit.contains(" ") ? text(unit) : unit(unit));
    }
}
