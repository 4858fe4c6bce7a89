package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import lab.sassafras.measure.Refused;

/**
 * Chemistry as people type it, and what it is read as: a name, small letters, a dot for a hydrate, a charge without its
 * sign of height, states left out. Whoever asks shows the reading before anything is recorded.
 */
public final class Spelling {

    private static final String SUPERSCRIPTS = "⁰¹²³⁴⁵⁶⁷⁸⁹⁺⁻";
    private static final String SUBSCRIPTS = "₀₁₂₃₄₅₆₇₈₉";
    private static final Pattern RAISED = Pattern.compile("[" + SUPERSCRIPTS + "]+");
    private static final Pattern HYDRATE = Pattern.compile("[.*•∙](?=\\s*\\d*\\s*[Hh]2[Oo])");
    private static final Pattern ION = Pattern.compile("(?:([A-Z][a-z]?)|(.*\\d))(\\d)([+\\-−])");
    private static final Pattern SIDES = Pattern.compile("->|→|⇌|=");
    private static final Pattern TERM =
            Pattern.compile("(?:(\\d{1,2}\\s*/\\s*\\d{1,2}|\\d{0,2}½|\\d{1,2})\\s*)?(.+?)\\s*(?:\\((s|l|g|aq)\\))?");
    /** Between two terms: with blanks, after a state, or, where nothing is charged, anywhere. */
    private static final Pattern BETWEEN = Pattern.compile("\\s\\+\\s|(?<=\\))\\s*\\+\\s*");

    private static final Pattern UNCHARGED = Pattern.compile("(?<=[A-Za-z0-9)\\]])\\+(?=[A-Z0-9½(])");
    private static final int NEAR_NAMES = 3;
    /** In small letters two formulas look alike: carbon monoxide and cobalt. */
    private static final String SEVERAL = "";

    private final Map<String, String> names = new LinkedHashMap<>();
    private final Map<String, String> small = new LinkedHashMap<>();
    private final Formation formation;

    Spelling(Formation formation, List<Dissolution> dissolutions, List<Substance> substances) {
        this.formation = formation;
        Compounds.names().forEach(this::know);
        formation.rows().forEach(row -> know(row.name(), row.formula()));
        dissolutions.forEach(row -> know(
                row.reference().name().replaceFirst("^heat of solution of ", "").split(", [0-9i]", 2)[0],
                row.formula()));
        Hygroscopic.names().forEach(this::know);
        substances.stream()
                .filter(each -> !each.formula().isEmpty())
                .forEach(each -> know(each.name(), ChemicalFormula.read(each.formula())));
    }

    private void know(String name, ChemicalFormula formula) {
        String plain = name.toLowerCase(Locale.ROOT);
        for (String known : List.of(plain, plain.replaceFirst(", (dissolved|anhydrous)$", ""))) {
            names.putIfAbsent(known, formula.text());
        }
        small.merge(
                formula.text().toLowerCase(Locale.ROOT),
                formula.text(),
                (known, other) -> known.equals(other) ? known : SEVERAL);
    }

    /** {@return names and formulas to propose, the name behind its formula} */
    public Map<String, String> known() {
        Map<String, String> byFormula = new LinkedHashMap<>();
        names.forEach((name, formula) -> byFormula.putIfAbsent(formula, name));
        return byFormula;
    }

    /**
     * {@return the formula a text is read as}
     *
     * @param typed as typed
     * @throws Refused where it can be read in no way, or in several
     */
    public ChemicalFormula formula(String typed) {
        String text = typed.strip();
        String named = names.get(text.toLowerCase(Locale.ROOT));
        if (named != null) {
            return ChemicalFormula.read(named);
        }
        String plain = charged(HYDRATE.matcher(onLine(text)).replaceAll("·").replace(" ", ""));
        try {
            return ChemicalFormula.read(plain);
        } catch (Refused strict) {
            String known = small.getOrDefault(plain.toLowerCase(Locale.ROOT), SEVERAL);
            if (!known.equals(SEVERAL)) {
                return ChemicalFormula.read(known);
            }
            throw unknown(text, strict);
        }
    }

    /** Letters and figures on one line: what stood above it follows a ^, as charges are typed. */
    private static String onLine(String text) {
        StringBuilder line = new StringBuilder();
        text.chars().forEach(each -> {
            int below = SUBSCRIPTS.indexOf(each);
            line.append(below < 0 ? (char) each : (char) ('0' + below));
        });
        return RAISED.matcher(line)
                .replaceAll(raised -> "^"
                        + raised.group()
                                .chars()
                                .map(each -> SUPERSCRIPTS.indexOf(each))
                                .mapToObj(at -> at == 10 ? "+" : at == 11 ? "-" : Integer.toString(at))
                                .reduce("", String::concat));
    }

    /** The last figure before a sign is the charge: Cu2+ is Cu^2+, SO42- is SO4^2-. */
    private static String charged(String text) {
        Matcher ion = ION.matcher(text);
        return !text.contains("^") && ion.matches()
                ? text.substring(0, ion.start(3)) + "^" + ion.group(3) + ion.group(4)
                : text;
    }

    /** Small letters are never cut into element symbols: octane is no oxide of carbon, tantalum and neon. */
    private Refused unknown(String text, Refused strict) {
        List<String> near = near(text.toLowerCase(Locale.ROOT));
        String meant = near.isEmpty() ? "" : " Near it: " + String.join(", ", near) + ".";
        return text.equals(text.toLowerCase(Locale.ROOT))
                ? new Refused(
                        "“" + text + "” is no name known here, and a formula is written with its capitals, such as "
                                + "NaCl." + meant)
                : new Refused(strict.getMessage() + meant);
    }

    /** Names that differ in a few letters, the nearest first: at most a third of them. */
    private List<String> near(String typed) {
        Map<String, Integer> distances = new LinkedHashMap<>();
        names.keySet().forEach(name -> distances.put(name, distance(typed, name)));
        return distances.entrySet().stream()
                .filter(each -> 3 * each.getValue() <= each.getKey().length())
                .sorted(Map.Entry.comparingByValue())
                .limit(NEAR_NAMES)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Letters to change, leave out or put in, to make one of the other (V. I. Levenshtein, 1965). */
    private static int distance(String one, String other) {
        int[] above = IntStream.rangeClosed(0, other.length()).toArray();
        for (int i = 1; i <= one.length(); i++) {
            int[] row = new int[above.length];
            row[0] = i;
            for (int j = 1; j < row.length; j++) {
                int changed = above[j - 1] + (one.charAt(i - 1) == other.charAt(j - 1) ? 0 : 1);
                row[j] = Math.min(changed, 1 + Math.min(above[j], row[j - 1]));
            }
            above = row;
        }
        return above[other.length()];
    }

    /**
     * {@return the equation a text is read as, with the states the shelf knows}
     *
     * @param typed as typed
     * @throws Refused where it cannot be read, does not balance, or lacks a state that the shelf does not know
     */
    public String equation(String typed) {
        String[] sides = SIDES.split(typed, -1);
        if (sides.length != 2) {
            return typed;
        }
        return side(sides[0]) + " -> " + side(sides[1]);
    }

    private static String[] terms(String side) {
        boolean blanks = BETWEEN.matcher(side).find() || side.contains("^");
        return (blanks ? BETWEEN : UNCHARGED).split(side, -1);
    }

    private String side(String written) {
        List<String> terms = new ArrayList<>();
        for (String part : terms(written.strip())) {
            Matcher term = TERM.matcher(part.strip());
            if (!term.matches()) {
                return written.strip();
            }
            if (ChemicalFormula.ELECTRON.matcher(term.group(2)).matches()) {
                terms.add((term.group(1) == null || term.group(1).equals("1") ? "" : term.group(1) + " ") + "e-(g)");
                continue;
            }
            ChemicalFormula formula = formula(term.group(2));
            String state =
                    Optional.ofNullable(term.group(3)).or(() -> state(formula)).orElse("");
            terms.add((term.group(1) == null || term.group(1).equals("1") ? "" : term.group(1) + " ")
                    + formula.text()
                    + (state.isEmpty() ? "" : "(" + state + ")"));
        }
        return String.join(" + ", terms);
    }

    /** What stands beside other things in water: dissolved where it can be, water as the liquid. */
    private Optional<String> state(ChemicalFormula formula) {
        if (formula.charge() != 0) {
            return Optional.of("aq");
        }
        List<String> states = formation.rows().stream()
                .filter(row -> row.formula().sameAs(formula))
                .map(Formation.Row::state)
                .toList();
        return List.of("l", "aq", "s", "g").stream()
                .filter(state -> states.contains(state) && !(state.equals("l") && states.contains("aq")))
                .findFirst();
    }
}
