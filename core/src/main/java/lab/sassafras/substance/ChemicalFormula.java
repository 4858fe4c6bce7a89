package lab.sassafras.substance;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;

/**
 * A chemical formula such as {@code CuSO4·5H2O}, {@code Ca(OH)2} or {@code Cu^2+}, and its molar mass.
 *
 * @param text   as typed
 * @param atoms  count of each element, in the order met
 * @param charge in elementary charges
 */
public record ChemicalFormula(String text, Map<String, Integer> atoms, int charge) {

    private static final Pattern TOKEN = Pattern.compile("([A-Z][a-z]?)(\\d*)|(\\()|(\\))(\\d*)");
    static final Pattern ELECTRON = Pattern.compile("e\\^?[-−–⁻]");
    private static final Pattern HYDRATE = Pattern.compile("(\\d*)(.+)");
    private static final Pattern CHARGED = Pattern.compile("(.+?)(?:\\^(\\d?)([+\\-−])|([+\\-−]))");
    private static final Pattern TWO_WAYS = Pattern.compile("[A-Z][a-z]?\\d+|.*\\D\\d{2,}");
    private static final Pattern WATERS = Pattern.compile(".+[·*](\\d*)H2O");
    private static final Map<String, Integer> WATER = Map.of("H", 2, "O", 1);
    private static final Map<String, Integer> OXONIUM = Map.of("H", 3, "O", 1);
    private static final int MOST = 1000;
    /** Atoms of one element in a formula; far more than anything a class weighs out. */
    private static final int MOST_ATOMS = 10_000;
    /** Largest molar mass of a formula (g/mol). */
    private static final int HEAVIEST = 100_000;

    private static final int KEPT = 500;
    /** Formulas met lately: a class types the same few again and again. */
    private static final Map<String, ChemicalFormula> MET =
            Collections.synchronizedMap(new LinkedHashMap<>(16, 0.75f, true) {
                @Override
                protected boolean removeEldestEntry(Map.Entry<String, ChemicalFormula> eldest) {
                    return size() > KEPT;
                }
            });

    /**
     * Reads a formula.
     *
     * @param typed as typed
     * @return as read
     * @throws Refused with a plain message where it does not read back exactly as typed
     */
    public static ChemicalFormula read(String typed) {
        String text = typed == null ? "" : typed.strip();
        ChemicalFormula known = MET.get(text);
        if (known == null) {
            known = parse(text);
            MET.put(text, known);
        }
        return known;
    }

    /**
     * {@return a formula, or the electron, which no sample is made of}
     *
     * @param typed as typed in an equation
     * @throws Refused where it is neither
     */
    static ChemicalFormula orElectron(String typed) {
        return ELECTRON.matcher(typed.strip()).matches() ? new ChemicalFormula("e-", Map.of(), -1) : read(typed);
    }

    private static ChemicalFormula parse(String text) {
        if (text.isEmpty()) {
            throw new Refused("Nothing was typed. Type a formula such as NaCl or CuSO4·5H2O.");
        }
        if (text.length() > 80) {
            throw new Refused("That is longer than any formula the shelf needs. Type at most 80 characters.");
        }
        Matcher charged = CHARGED.matcher(text);
        boolean ion = charged.matches();
        if (ion
                && charged.group(4) != null
                && TWO_WAYS.matcher(charged.group(1)).matches()) {
            throw new Refused("“" + text
                    + "” can be read in two ways. Write a charge of more than one after a ^, such as Cu^2+ or "
                    + "SO4^2-.");
        }
        Map<String, Integer> atoms = new LinkedHashMap<>();
        for (String part : (ion ? charged.group(1) : text).split("[·*]", -1)) {
            Matcher hydrate = HYDRATE.matcher(part);
            if (!hydrate.matches()) {
                throw unreadable(text, part);
            }
            int times = count(hydrate.group(1), text);
            new Fragment(text, hydrate.group(2))
                    .read()
                    .forEach((element, n) -> put(atoms, element, (long) n * times, text));
        }
        ChemicalFormula formula =
                new ChemicalFormula(text, Collections.unmodifiableMap(atoms), ion ? charge(charged) : 0);
        if (formula.molarMass() > HEAVIEST) {
            throw new Refused("A mole of “" + text + "” would weigh more than " + HEAVIEST / 1000
                    + " kg. No formula a class weighs out does.");
        }
        return formula;
    }

    private static int charge(Matcher charged) {
        String sign = charged.group(3) == null ? charged.group(4) : charged.group(3);
        int size = charged.group(2) == null || charged.group(2).isEmpty() ? 1 : Integer.parseInt(charged.group(2));
        return sign.equals("+") ? size : -size;
    }

    /**
     * {@return the formula a text is; empty where it is none}
     *
     * @param text as typed
     */
    public static Optional<ChemicalFormula> of(String text) {
        try {
            return Optional.of(read(text));
        } catch (Refused none) {
            return Optional.empty();
        }
    }

    /**
     * {@return whether two spellings name the same atoms with the same charge, and not two isomers}
     *
     * @param other another spelling
     */
    public boolean sameAs(ChemicalFormula other) {
        return atoms.equals(other.atoms) && charge == other.charge && !Compounds.apart(this, other);
    }

    /**
     * {@return waters it is or carries: 1 for H₂O and H₃O⁺, n for a hydrate with n waters behind its dot, 0 otherwise}
     */
    public int boundWater() {
        if (atoms.equals(WATER) && charge == 0 || atoms.equals(OXONIUM) && charge == 1) {
            return 1;
        }
        if (text.indexOf('·') < 0 && text.indexOf('*') < 0) {
            return 0;
        }
        Matcher hydrate = WATERS.matcher(text);
        return !hydrate.matches() ? 0 : hydrate.group(1).isEmpty() ? 1 : Integer.parseInt(hydrate.group(1));
    }

    /** {@return molar mass (g/mol)} */
    public double molarMass() {
        return atoms.entrySet().stream()
                .mapToDouble(atom -> atom.getValue() * weight(atom.getKey()).weight())
                .sum();
    }

    /**
     * {@return molar mass (g/mol) as an input: the weight of an element is one and the same source of error, with a
     * uniform distribution between its bounds (JCGM 100:2008, 4.3.7), wherever the element stands}
     */
    public Measured molarMassAsInput() {
        List<Measured.Share> shares = atoms.entrySet().stream()
                .map(atom -> new Measured.Share(weight(atom.getKey()).source(), atom.getValue()))
                .toList();
        return new Measured(molarMass(), 0, Double.POSITIVE_INFINITY, shares, -1);
    }

    private static AtomicWeight weight(String element) {
        return AtomicWeight.of(element).orElseThrow();
    }

    private static void put(Map<String, Integer> atoms, String element, long count, String formula) {
        long all = atoms.getOrDefault(element, 0) + count;
        if (all > MOST_ATOMS) {
            throw new Refused("“" + formula + "” has more than " + MOST_ATOMS + " atoms of " + element
                    + ". No formula a class weighs out does.");
        }
        atoms.put(element, (int) all);
    }

    private static int count(String digits, String formula) {
        if (digits.isEmpty()) {
            return 1;
        }
        if (digits.startsWith("0") || digits.length() > 4 || Integer.parseInt(digits) > MOST) {
            throw new Refused("The count " + digits + " in “" + formula + "” is not one to a thousand.");
        }
        return Integer.parseInt(digits);
    }

    private static Refused unreadable(String formula, String rest) {
        return new Refused(
                "“" + formula + "” cannot be read as a formula" + (rest.isEmpty() ? "." : " from “" + rest + "” on.")
                        + " Write element symbols, counts and brackets, such as Ca(OH)2.");
    }

    /** One part between hydrate dots, read from left to right; every character must belong to a token. */
    private record Fragment(String formula, String part) {

        Map<String, Integer> read() {
            Matcher token = TOKEN.matcher(part);
            int[] at = {0};
            Map<String, Integer> atoms = inside(token, at, 0);
            if (atoms.isEmpty()) {
                throw unreadable(formula, part);
            }
            return atoms;
        }

        private Map<String, Integer> inside(Matcher token, int[] at, int depth) {
            Map<String, Integer> atoms = new LinkedHashMap<>();
            while (at[0] < part.length()) {
                if (!token.find(at[0]) || token.start() != at[0]) {
                    throw unreadable(formula, part.substring(at[0]));
                }
                at[0] = token.end();
                if (token.group(1) != null) {
                    put(atoms, element(token.group(1)), count(token.group(2), formula), formula);
                } else if (token.group(3) != null) {
                    Bracket bracket = bracket(token, at, depth);
                    bracket.atoms.forEach((symbol, n) -> put(atoms, symbol, (long) n * bracket.times, formula));
                } else if (depth > 0) {
                    return atoms;
                } else {
                    throw unreadable(formula, ")");
                }
            }
            if (depth > 0) {
                throw new Refused("A bracket is opened and not closed in “" + formula + "”.");
            }
            return atoms;
        }

        private Bracket bracket(Matcher token, int[] at, int depth) {
            Map<String, Integer> atoms = inside(token, at, depth + 1);
            String closing = part.substring(0, at[0]);
            String digits = closing.substring(closing.lastIndexOf(')') + 1);
            return new Bracket(atoms, count(digits, formula));
        }

        private String element(String symbol) {
            if (!AtomicWeight.names(symbol)) {
                throw new Refused("There is no element “" + symbol + "” (in “" + formula + "”).");
            }
            if (AtomicWeight.of(symbol).isEmpty()) {
                throw new Refused(symbol
                        + " has no standard atomic weight, since none of its isotopes is found in nature to be "
                        + "weighed; "
                        + "the molar mass of “" + formula + "” cannot be given.");
            }
            return symbol;
        }

        private record Bracket(Map<String, Integer> atoms, int times) {}
    }
}
