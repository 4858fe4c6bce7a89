package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.ToIntFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lab.sassafras.measure.Refused;

/**
 * A balanced equation with charges and states, such as {@code Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)}.
 *
 * @param text     as typed
 * @param reagents what stands left
 * @param products what stands right
 */
public record ChemicalEquation(String text, List<Term> reagents, List<Term> products) {

    /** Equations of dissolving met lately: a class dissolves the same few salts again and again. */
    private static final Map<String, ChemicalEquation> DISSOLVING = new ConcurrentHashMap<>();

    private static final int KEPT = 500;
    private static final Pattern ARROW = Pattern.compile("->|→|⇌|=");
    private static final Pattern ELECTRON = Pattern.compile("(?:\\d{1,2}\\s*)?" + ChemicalFormula.ELECTRON.pattern());
    private static final Pattern TERM = Pattern.compile("(\\d{1,2})?\\s*(\\S+?)\\s*\\((s|l|g|aq)\\)");

    /**
     * One substance of an equation.
     *
     * @param count   how often it stands
     * @param formula what it is
     * @param state   s, l, g or aq
     */
    public record Term(int count, ChemicalFormula formula, String state) {

        /**
         * {@return one substance in its state, such as MgO(s)}
         *
         * @param typed as typed
         * @throws Refused where formula or state lack
         */
        public static Term read(String typed) {
            List<Term> terms = side(typed.strip());
            if (terms.size() != 1 || terms.get(0).count() != 1) {
                throw new Refused("One substance with its state, such as MgO(s).");
            }
            return terms.get(0);
        }

        /** {@return as written, without the count} */
        public String species() {
            return formula.text() + "(" + state + ")";
        }
    }

    /**
     * Keeps copies of what could change.
     *
     * @param text     as typed
     * @param reagents what stands left
     * @param products what stands right
     */
    public ChemicalEquation {
        reagents = List.copyOf(reagents);
        products = List.copyOf(products);
    }

    /**
     * Reads an equation.
     *
     * @param typed as typed
     * @return as read
     * @throws Refused where it cannot be read, or naming the elements or the charge that are off
     */
    public static ChemicalEquation read(String typed) {
        String text = typed == null ? "" : typed.strip();
        if (text.length() > 200) {
            throw new Refused("An equation has at most 200 characters here.");
        }
        String[] sides = ARROW.split(text, -1);
        if (sides.length != 2 || sides[0].isBlank() || sides[1].isBlank()) {
            throw new Refused(
                    "An equation has one arrow, ->, with something on both sides, such as Zn(s) + Cu^2+(aq) -> "
                            + "Zn^2+(aq) + Cu(s).");
        }
        ChemicalEquation equation = new ChemicalEquation(text, side(sides[0]), side(sides[1]));
        equation.refuseUnlessBalanced();
        return equation;
    }

    private static List<Term> side(String written) {
        List<Term> terms = new ArrayList<>();
        for (String part : written.strip().split("\\s\\+\\s|(?<=\\))\\s*\\+\\s*", -1)) {
            String stated = ELECTRON.matcher(part.strip()).matches() ? part.strip() + "(g)" : part.strip();
            Matcher term = TERM.matcher(stated);
            if (!term.matches()) {
                throw new Refused("“" + part.strip()
                        + "” needs a formula and a state, such as 2 Ag^+(aq): (s), (l), (g) or (aq).");
            }
            int count = term.group(1) == null ? 1 : Integer.parseInt(term.group(1));
            if (count == 0) {
                throw new Refused("“" + part.strip() + "” stands no times. Leave it out.");
            }
            terms.add(new Term(count, ChemicalFormula.orElectron(term.group(2)), term.group(3)));
        }
        return terms;
    }

    private void refuseUnlessBalanced() {
        List<String> off = new ArrayList<>();
        TreeSet<String> elements = new TreeSet<>();
        reagents.forEach(term -> elements.addAll(term.formula().atoms().keySet()));
        products.forEach(term -> elements.addAll(term.formula().atoms().keySet()));
        for (String element : elements) {
            compare(element, formula -> formula.atoms().getOrDefault(element, 0))
                    .ifPresent(off::add);
        }
        compare("charge", ChemicalFormula::charge).ifPresent(off::add);
        if (!off.isEmpty()) {
            throw new Refused("The equation does not balance: " + String.join("; ", off) + ".");
        }
    }

    private Optional<String> compare(String what, ToIntFunction<ChemicalFormula> count) {
        int left = total(reagents, count);
        int right = total(products, count);
        return left == right ? Optional.empty() : Optional.of(what + " " + left + " left, " + right + " right");
    }

    private static int total(List<Term> terms, ToIntFunction<ChemicalFormula> count) {
        return terms.stream()
                .mapToInt(term -> term.count() * count.applyAsInt(term.formula()))
                .sum();
    }

    /**
     * {@return how much water comes of it beyond what was there: H₃O⁺ is a proton on a water, and a hydrate brings its
     * own, so that H₃O⁺ + OH⁻ → 2 H₂O forms one}
     */
    public int netWater() {
        return water(products) - water(reagents);
    }

    private static int water(List<Term> terms) {
        return terms.stream()
                .mapToInt(term -> term.count() * term.formula().boundWater())
                .sum();
    }

    /** {@return moles of gas formed, less those taken up; electrons are none} */
    public int gasFormed() {
        return gas(products) - gas(reagents);
    }

    private static int gas(List<Term> terms) {
        return terms.stream()
                .filter(term ->
                        term.state().equals("g") && !term.formula().atoms().isEmpty())
                .mapToInt(Term::count)
                .sum();
    }

    /**
     * {@return the equation of dissolving: the solid becomes what it is in solution, and a hydrate gives its water}
     *
     * @param solid formula of exactly what dissolves
     */
    public static ChemicalEquation dissolving(ChemicalFormula solid) {
        ChemicalEquation known = DISSOLVING.get(solid.text());
        if (known == null) {
            known = drawnUp(solid);
            if (DISSOLVING.size() < KEPT) {
                DISSOLVING.put(solid.text(), known);
            }
        }
        return known;
    }

    private static ChemicalEquation drawnUp(ChemicalFormula solid) {
        String[] parts = solid.text().split("[·*.]", 2);
        List<Term> formed = new ArrayList<>(List.of(new Term(1, ChemicalFormula.read(parts[0]), "aq")));
        if (solid.boundWater() > 0 && parts.length > 1) {
            formed.add(new Term(solid.boundWater(), ChemicalFormula.read("H2O"), "l"));
        }
        List<Term> taken = List.of(new Term(1, solid, "s"));
        return of(taken, formed);
    }

    /**
     * {@return what an equation takes up; nothing where a text is none}
     *
     * @param text as it stands in a place of a sheet
     */
    public static List<ChemicalFormula> takenUp(String text) {
        try {
            return read(text).reagents().stream().map(Term::formula).toList();
        } catch (Refused noEquation) {
            return List.of();
        }
    }

    /** An equation of known terms, written out. */
    static ChemicalEquation of(List<Term> taken, List<Term> formed) {
        return new ChemicalEquation(written(taken) + " -> " + written(formed), taken, formed);
    }

    private static String written(List<Term> terms) {
        return terms.stream()
                .map(term -> (term.count() == 1 ? "" : term.count() + " ") + term.species())
                .collect(Collectors.joining(" + "));
    }

    /**
     * {@return whether it says the same: the same substances in the same states as often, in whatever order}
     *
     * @param other equation
     */
    public boolean sameAs(ChemicalEquation other) {
        return same(reagents, other.reagents) && same(products, other.products);
    }

    private static boolean same(List<Term> one, List<Term> other) {
        return one.size() == other.size()
                && one.stream()
                        .allMatch(term -> other.stream()
                                .anyMatch(each -> each.count() == term.count()
                                        && each.state().equals(term.state())
                                        && each.formula().sameAs(term.formula())));
    }

    /**
     * {@return the reagent of this formula; empty where it does not stand left}
     *
     * @param formula what is looked for
     */
    public Optional<Term> reagent(ChemicalFormula formula) {
        return reagents.stream().filter(term -> term.formula().sameAs(formula)).findFirst();
    }

    /**
     * {@return how often this formula stands right, in whatever states; 0 where it does not}
     *
     * @param formula what is looked for
     */
    public int formed(ChemicalFormula formula) {
        return products.stream()
                .filter(term -> term.formula().sameAs(formula))
                .mapToInt(Term::count)
                .sum();
    }
}
