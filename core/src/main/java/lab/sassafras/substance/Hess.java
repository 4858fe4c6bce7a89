package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.fraction.BigFraction;

/**
 * Equations turned, multiplied and added until they make another one (G. H. Hess, 1840), in exact fractions. Dissolved
 * salts, bases and strong acids count as their ions, so that NaCl(aq) is Na⁺(aq) and Cl⁻(aq).
 */
public final class Hess {

    /** More legs than this are not tried in every combination. */
    public static final int MOST = 8;

    private static final List<ChemicalFormula> IONS = List.of(
                    "H+", "Na+", "K+", "Li+", "NH4+", "Ag+", "Mg^2+", "Ca^2+", "Ba^2+", "Zn^2+", "Cu^2+", "Fe^2+",
                    "Fe^3+", "Pb^2+", "Ni^2+", "Al^3+", "OH-", "F-", "Cl-", "Br-", "I-", "NO3-", "SO4^2-", "CO3^2-",
                    "HCO3-", "CH3COO-", "HCOO-", "S2O3^2-")
            .stream()
            .map(ChemicalFormula::read)
            .toList();
    /** Acids that give their proton off in water altogether. */
    private static final List<ChemicalFormula> STRONG_ACIDS = List.of("HCl", "HBr", "HI", "HNO3", "H2SO4").stream()
            .map(ChemicalFormula::read)
            .toList();

    private Hess() {}

    /** What becomes of the legs. */
    public sealed interface Outcome {

        /**
         * The legs make the target.
         *
         * @param ways how often each leg is taken, turned where negative; the first uses the fewest legs
         */
        record Made(List<List<BigFraction>> ways) implements Outcome {}

        /**
         * They do not.
         *
         * @param left what does not cancel, as written
         */
        record NotMade(List<String> left) implements Outcome {}
    }

    private record Species(Map<String, Integer> atoms, int charge, String state) {}

    /**
     * {@return how the legs make the target, or what does not cancel}
     *
     * @param legs   at most {@link #MOST}
     * @param target what is to be made
     */
    public static Outcome combine(List<ChemicalEquation> legs, ChemicalEquation target) {
        Map<Species, String> names = new LinkedHashMap<>();
        Map<Species, BigFraction> wanted = amounts(target, names);
        List<Map<Species, BigFraction>> given =
                legs.stream().map(leg -> amounts(leg, names)).toList();
        List<List<BigFraction>> ways = ways(given, wanted, names.keySet());
        return ways.isEmpty() ? new Outcome.NotMade(left(given, wanted, names)) : new Outcome.Made(ways);
    }

    /** Every way that takes no leg in vain, those of few legs first. */
    private static List<List<BigFraction>> ways(
            List<Map<Species, BigFraction>> given, Map<Species, BigFraction> wanted, Set<Species> species) {
        List<List<BigFraction>> ways = new ArrayList<>();
        List<Integer> subsets = IntStream.range(1, 1 << given.size())
                .boxed()
                .sorted((one, other) -> Integer.compare(Integer.bitCount(one), Integer.bitCount(other)))
                .toList();
        for (int subset : subsets) {
            List<Integer> taken = IntStream.range(0, given.size())
                    .filter(i -> (subset >> i & 1) == 1)
                    .boxed()
                    .toList();
            solved(taken.stream().map(given::get).toList(), wanted, species)
                    .filter(times -> times.stream().noneMatch(each -> each.equals(BigFraction.ZERO)))
                    .ifPresent(times -> {
                        List<BigFraction> all = new ArrayList<>();
                        for (int i = 0; i < given.size(); i++) {
                            int at = taken.indexOf(i);
                            all.add(at < 0 ? BigFraction.ZERO : times.get(at));
                        }
                        ways.add(all);
                    });
        }
        return ways;
    }

    /** What stands in the way: the fewest species that would have to be let alone. */
    private static List<String> left(
            List<Map<Species, BigFraction>> given, Map<Species, BigFraction> wanted, Map<Species, String> names) {
        List<Species> all = new ArrayList<>(names.keySet());
        for (int size = 1; size <= 2; size++) {
            List<List<Species>> found = new ArrayList<>();
            for (int i = 0; i < all.size(); i++) {
                for (int j = size == 1 ? i : i + 1; j < (size == 1 ? i + 1 : all.size()); j++) {
                    List<Species> without = List.of(all.get(i), all.get(j));
                    Set<Species> rest = all.stream()
                            .filter(each -> !without.contains(each))
                            .collect(Collectors.toCollection(java.util.LinkedHashSet::new));
                    if (!ways(given, wanted, rest).isEmpty()) {
                        found.add(without);
                    }
                }
            }
            if (!found.isEmpty()) {
                return found.get(0).stream().distinct().map(names::get).toList();
            }
        }
        return wanted.keySet().stream()
                .filter(each -> given.stream().noneMatch(leg -> leg.containsKey(each)))
                .map(names::get)
                .toList();
    }

    /** The one solution of the equations of the species; empty where there is none, or more than one. */
    private static java.util.Optional<List<BigFraction>> solved(
            List<Map<Species, BigFraction>> legs, Map<Species, BigFraction> wanted, Set<Species> species) {
        int n = legs.size();
        List<BigFraction[]> rows = new ArrayList<>();
        for (Species each : species) {
            BigFraction[] row = new BigFraction[n + 1];
            for (int i = 0; i < n; i++) {
                row[i] = legs.get(i).getOrDefault(each, BigFraction.ZERO);
            }
            row[n] = wanted.getOrDefault(each, BigFraction.ZERO);
            rows.add(row);
        }
        for (int column = 0; column < n; column++) {
            int pivot = column;
            while (pivot < rows.size() && rows.get(pivot)[column].equals(BigFraction.ZERO)) {
                pivot++;
            }
            if (pivot >= rows.size()) {
                return java.util.Optional.empty();
            }
            java.util.Collections.swap(rows, pivot, column);
            eliminate(rows, column, n);
        }
        boolean rest = rows.subList(n, rows.size()).stream().anyMatch(row -> !row[n].equals(BigFraction.ZERO));
        return rest
                ? java.util.Optional.empty()
                : java.util.Optional.of(
                        rows.subList(0, n).stream().map(row -> row[n]).toList());
    }

    private static void eliminate(List<BigFraction[]> rows, int column, int n) {
        BigFraction[] by = rows.get(column);
        BigFraction head = by[column];
        for (int i = column; i <= n; i++) {
            by[i] = by[i].divide(head);
        }
        for (int r = 0; r < rows.size(); r++) {
            BigFraction times = rows.get(r)[column];
            if (r != column && !times.equals(BigFraction.ZERO)) {
                for (int i = column; i <= n; i++) {
                    rows.get(r)[i] = rows.get(r)[i].subtract(times.multiply(by[i]));
                }
            }
        }
    }

    private static Map<Species, BigFraction> amounts(ChemicalEquation equation, Map<Species, String> names) {
        Map<Species, BigFraction> amounts = new LinkedHashMap<>();
        equation.reagents().forEach(term -> add(term, -term.count(), amounts, names));
        equation.products().forEach(term -> add(term, term.count(), amounts, names));
        amounts.values().removeIf(BigFraction.ZERO::equals);
        return amounts;
    }

    private static void add(
            ChemicalEquation.Term term, int count, Map<Species, BigFraction> amounts, Map<Species, String> names) {
        ions(term).forEach((ion, each) -> {
            Species species = new Species(ion.atoms(), ion.charge(), term.state());
            names.putIfAbsent(species, ion.text() + "(" + term.state() + ")");
            amounts.merge(species, new BigFraction(count * each), BigFraction::add);
        });
    }

    /** What a term falls into in water: its two kinds of ion, or itself. */
    private static Map<ChemicalFormula, Integer> ions(ChemicalEquation.Term term) {
        ChemicalFormula formula = term.formula();
        if (term.state().equals("aq") && formula.charge() == 0) {
            for (ChemicalFormula cation : IONS) {
                for (ChemicalFormula anion : IONS) {
                    if (cation.charge() > 0 && anion.charge() < 0 && together(formula, cation, anion)) {
                        int common = lowest(cation.charge(), -anion.charge());
                        return Map.of(cation, -anion.charge() / common, anion, cation.charge() / common);
                    }
                }
            }
        }
        return Map.of(formula, 1);
    }

    private static boolean together(ChemicalFormula formula, ChemicalFormula cation, ChemicalFormula anion) {
        boolean acid = cation.text().equals("H+");
        if (acid && STRONG_ACIDS.stream().noneMatch(formula::sameAs)) {
            return false;
        }
        int common = lowest(cation.charge(), -anion.charge());
        Map<String, Integer> atoms = new LinkedHashMap<>();
        cation.atoms().forEach((element, n) -> atoms.merge(element, n * -anion.charge() / common, Integer::sum));
        anion.atoms().forEach((element, n) -> atoms.merge(element, n * cation.charge() / common, Integer::sum));
        return atoms.equals(formula.atoms());
    }

    private static int lowest(int one, int other) {
        return one % other == 0 ? other : other % one == 0 ? one : 1;
    }
}
