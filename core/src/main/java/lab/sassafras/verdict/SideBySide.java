package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.substance.Reference;

/**
 * Entries of one thing beside each other: whether all of them are shifted, by something they share, or one is off; and
 * which is worth repeating.
 *
 * @param entries   in the order given
 * @param mean      of them; what they share, such as a thermometer's offset, counts once
 * @param reference empty where none is told
 * @param findings  in words, weightiest first
 */
public record SideBySide(List<Entry> entries, TrialMean mean, Optional<Reference> reference, List<Finding> findings) {

    /** Half a 95 % interval in standard uncertainties, as far as two entries are told apart. */
    private static final double WIDE = 2;

    /** So many times as uncertain as the middle one, an entry is worth repeating (common practice, no source). */
    private static final double UNSURE = 2.5;

    private static final int SHARED_NAMED = 3;

    /**
     * One of them.
     *
     * @param label  bench and time
     * @param result of it
     */
    public record Given(String label, Estimate result) {}

    /**
     * One of them, judged.
     *
     * @param label  bench and time
     * @param result of it, in which only what reaches beyond its entry is shared
     * @param off    whether it lies apart from the others
     * @param repeat why it is worth repeating now; empty where it is not
     */
    public record Entry(String label, Estimate result, boolean off, Optional<String> repeat) {}

    /**
     * {@return the entries beside each other}
     *
     * @param given     at least one
     * @param reference empty where none is told
     * @param unit      symbol of the results, as shown
     * @param figures   how numbers are written
     */
    public static SideBySide of(List<Given> given, Optional<Reference> reference, String unit, Figures figures) {
        List<Estimate> results =
                given.stream().map(each -> Estimate.of(each.result().asInput())).toList();
        TrialMean mean = TrialMean.of(results);
        OptionalInt apart = apart(results);
        double middle = results.stream()
                .mapToDouble(Estimate::uncertainty)
                .sorted()
                .skip((results.size() - 1) / 2)
                .findFirst()
                .orElse(0);
        List<Entry> entries = IntStream.range(0, given.size())
                .mapToObj(i -> new Entry(
                        given.get(i).label(),
                        results.get(i),
                        apart.isPresent() && apart.getAsInt() == i,
                        repeat(results.get(i), apart.isPresent() && apart.getAsInt() == i, middle)))
                .toList();
        List<Finding> findings = new ArrayList<>();
        apart.ifPresent(i -> findings.add(oneOff(given.get(i).label())));
        if (results.size() > 1 && apart.isEmpty()) {
            findings.addAll(together(results, mean, reference, unit, figures));
        }
        return new SideBySide(entries, mean, reference, List.copyOf(findings));
    }

    private static Optional<String> repeat(Estimate result, boolean off, double middle) {
        if (off) {
            return Optional.of("yes: it lies apart from the others");
        }
        return result.uncertainty() > UNSURE * middle && middle > 0
                ? Optional.of("yes: far less sure than the others")
                : Optional.empty();
    }

    /** The one that lies further from the mean of the others than its own scatter and theirs allow; none of two. */
    private static OptionalInt apart(List<Estimate> results) {
        if (results.size() < 3) {
            return OptionalInt.empty();
        }
        List<Integer> off = IntStream.range(0, results.size())
                .filter(i -> times(results, i) > 1)
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -times(results, i)))
                .toList();
        return off.isEmpty() || off.size() > results.size() / 2 ? OptionalInt.empty() : OptionalInt.of(off.get(0));
    }

    private static double times(List<Estimate> results, int i) {
        List<Estimate> others = IntStream.range(0, results.size())
                .filter(j -> j != i)
                .mapToObj(results::get)
                .toList();
        TrialMean mean = TrialMean.of(others);
        double own = results.get(i).ownUncertainty();
        double scatter = Math.max(mean.scatter().orElse(0), own);
        double allowed = WIDE
                * Math.hypot(scatter, Math.max(mean.estimate().ownUncertainty(), scatter / Math.sqrt(others.size())));
        return Math.abs(results.get(i).value() - mean.estimate().value()) / allowed;
    }

    private static Finding oneOff(String label) {
        return Finding.question(
                "class.one-off",
                label
                        + " lies apart; the others agree among themselves. What was done there was done there only: look at its "
                        + "readings and its suspects, and repeat it now while everything still stands.");
    }

    /** What the entries say as a whole, none of them lying apart. */
    private static List<Finding> together(
            List<Estimate> results, TrialMean mean, Optional<Reference> reference, String unit, Figures figures) {
        List<Finding> findings = new ArrayList<>();
        double scatter = mean.scatter().orElse(0);
        double own =
                results.stream().mapToDouble(Estimate::ownUncertainty).average().orElse(0);
        if (scatter > WIDE * own && own > 0) {
            findings.add(Finding.note(
                    "class.scatter",
                    "The entries scatter by " + figures.significant(scatter, 2) + " " + unit
                            + ", more than the ± of each says ("
                            + figures.significant(own, 2)
                            + "): something differs from bench to bench that no budget has."));
        }
        reference.ifPresent(told -> findings.add(against(results, mean, told, unit, figures)));
        return findings;
    }

    private static Finding against(
            List<Estimate> results, TrialMean mean, Reference reference, String unit, Figures figures) {
        double shift = mean.estimate().value() - reference.value();
        boolean oneSide = results.stream().allMatch(each -> (each.value() - reference.value()) * shift > 0);
        double scatterOfMean = Math.hypot(mean.estimate().ownUncertainty(), reference.uncertainty());
        if (!oneSide || Math.abs(shift) <= WIDE * scatterOfMean) {
            return Finding.note(
                    "class.agrees", "The mean agrees with the reference, and the entries lie about it as they should.");
        }
        List<Map.Entry<String, Double>> shared = shared(results);
        double together = Math.sqrt(shared.stream()
                .mapToDouble(each -> each.getValue() * each.getValue())
                .sum());
        String causes = shared.stream()
                .limit(SHARED_NAMED)
                .map(each -> each.getKey() + " (± " + figures.significant(each.getValue(), 1) + ")")
                .collect(Collectors.joining(", "));
        String words =
                "Everyone is shifted, by " + figures.signed(shift, Figures.decimalsFor(scatterOfMean)) + " " + unit
                        + " in the mean, which scatter does not explain: a cause all share, which repeating one run would not remove. ";
        return Finding.question(
                "class.shifted",
                words
                        + (shared.isEmpty()
                                ? "They share no instrument and no constant, so look at what was poured or weighed from the same "
                                        + "bottle, and at what everybody does alike."
                                : "They share " + causes
                                        + (Math.abs(shift) <= WIDE * together
                                                ? ", and that may be enough to explain it."
                                                : ", which is not enough to explain it: look at a bottle all drew from, or at what "
                                                        + "everybody does alike.")));
    }

    /** A source with how many have it, and what a standard uncertainty of it moves their sum. */
    private record Common(String name, int entries, double moves) {

        Common and(Common other) {
            return new Common(name, entries + other.entries, moves + other.moves);
        }
    }

    /** What at least two of them share, by what it moves the mean, largest first. */
    private static List<Map.Entry<String, Double>> shared(List<Estimate> results) {
        Map<String, Common> all = new LinkedHashMap<>();
        results.forEach(result -> result.contributions().stream()
                .filter(each -> each.source() != null && each.uncertainty() > 0)
                .forEach(each -> all.merge(
                        each.key(),
                        new Common(each.label(), 1, Math.copySign(each.uncertainty(), each.sensitivity())),
                        Common::and)));
        return all.values().stream()
                .filter(each -> each.entries() > 1)
                .map(each -> Map.entry(each.name(), Math.abs(each.moves()) / results.size()))
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .toList();
    }
}
