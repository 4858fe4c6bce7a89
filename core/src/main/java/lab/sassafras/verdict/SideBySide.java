package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.BetweenEntries;
import lab.sassafras.statistics.Outliers;
import lab.sassafras.substance.Reference;

/**
 * Entries of one thing beside each other: whether all of them are shifted, by something they share, or some are
 * outliers; and which is worth repeating.
 *
 * @param entries   in the order given
 * @param together  what all of them come to; empty for one alone
 * @param scatter   standard deviation of the values (unit of the results); 0 for one alone
 * @param reference empty where none is told
 * @param findings  in words, weightiest first
 */
public record SideBySide(
        List<Entry> entries,
        Optional<BetweenEntries> together,
        double scatter,
        Optional<Reference> reference,
        List<Finding> findings) {

    /** So many times as uncertain as the middle one, an entry is worth repeating (common practice, no source). */
    private static final double UNSURE = 2.5;

    private static final int SHARED_NAMED = 3;

    /**
     * One of them.
     *
     * @param label    bench and time
     * @param result   of it
     * @param interval of it, as its own page prints it
     */
    public record Given(String label, Estimate result, Interval interval) {}

    /**
     * One of them, judged.
     *
     * @param label    bench and time
     * @param result   of it, in which only what reaches beyond its entry is shared
     * @param interval of it, as its own page prints it
     * @param off      whether it is an outlier among the others
     * @param repeat   why it is worth repeating now; empty where it is not
     */
    public record Entry(String label, Estimate result, Interval interval, boolean off, Optional<String> repeat) {}

    /**
     * {@return the entries beside each other}
     *
     * @param given     at least one
     * @param reference empty where none is told
     * @param unit      of the results, as shown
     * @param figures   how numbers are written
     */
    public static SideBySide of(List<Given> given, Optional<Reference> reference, BenchUnit unit, Figures figures) {
        List<Estimate> results =
                given.stream().map(each -> Estimate.of(each.result().asInput())).toList();
        List<Integer> outliers =
                Outliers.among(results.stream().map(Estimate::value).toList());
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
                        given.get(i).interval(),
                        outliers.contains(i),
                        repeat(results.get(i), outliers.contains(i), middle)))
                .toList();
        List<Finding> findings = new ArrayList<>();
        if (!outliers.isEmpty()) {
            findings.add(off(outliers.stream().map(i -> given.get(i).label()).toList()));
        }
        if (results.size() > 1) {
            List<Estimate> rest = IntStream.range(0, results.size())
                    .filter(i -> !outliers.contains(i))
                    .mapToObj(results::get)
                    .toList();
            findings.addAll(together(rest, !outliers.isEmpty(), reference, unit, figures));
        }
        if (results.size() > 1 && results.size() < Outliers.FEWEST) {
            findings.add(tooFew(results, unit, figures));
        }
        return new SideBySide(
                entries,
                results.size() > 1 ? Optional.of(BetweenEntries.of(results)) : Optional.empty(),
                deviation(results),
                reference,
                List.copyOf(findings));
    }

    private static double deviation(List<Estimate> results) {
        double mean = results.stream().mapToDouble(Estimate::value).average().orElse(0);
        return results.size() < 2
                ? 0
                : Math.sqrt(results.stream()
                                .mapToDouble(each -> Math.pow(each.value() - mean, 2))
                                .sum()
                        / (results.size() - 1));
    }

    private static Optional<String> repeat(Estimate result, boolean off, double middle) {
        if (off) {
            return Optional.of("yes: it is an outlier");
        }
        return result.uncertainty() > UNSURE * middle && middle > 0
                ? Optional.of("yes: far less sure than the others")
                : Optional.empty();
    }

    private static Finding off(List<String> labels) {
        boolean one = labels.size() == 1;
        return Finding.question(
                "class.one-off",
                String.join(" and ", labels)
                        + (one ? " is an outlier" : " are outliers")
                        + " (generalized ESD, 5 % in all); the others agree among themselves. What was done there was done "
                        + "there only: look at "
                        + (one ? "its readings and its" : "their readings and their")
                        + " possible causes, and repeat "
                        + (one ? "it" : "them") + " now while everything still stands.");
    }

    private static Finding tooFew(List<Estimate> results, BenchUnit unit, Figures figures) {
        double low = results.stream().mapToDouble(Estimate::value).min().orElse(0);
        double high = results.stream().mapToDouble(Estimate::value).max().orElse(0);
        int decimals = Figures.decimalsFor(high - low);
        return Finding.note(
                "class.too-few",
                "They spread over " + figures.fixed(high - low, decimals) + " " + unit.symbol() + ", from "
                        + written(low, decimals, unit, figures) + " to " + written(high, decimals, unit, figures)
                        + ". With fewer than "
                        + Outliers.FEWEST + " entries nobody can tell whether one of them is an outlier.");
    }

    /** With its sign where the quantity has a direction. */
    private static String written(double value, int decimals, BenchUnit unit, Figures figures) {
        return unit.dimension().directed() ? figures.signed(value, decimals) : figures.fixed(value, decimals);
    }

    /** What the entries that are no outliers say as a whole. */
    private static List<Finding> together(
            List<Estimate> results, boolean rest, Optional<Reference> reference, BenchUnit unit, Figures figures) {
        List<Finding> findings = new ArrayList<>();
        BetweenEntries mean = BetweenEntries.of(results);
        reference.ifPresent(told -> findings.add(against(results, mean, rest, told, unit, figures)));
        if (mean.scattered()) {
            findings.add(Finding.note(
                    "class.scatter",
                    "The entries differ by more than the ± of each says: besides it they scatter by "
                            + figures.significant(mean.between(), 2) + " " + unit.symbol()
                            + ". Something differs from bench to bench that no budget has."));
        }
        return findings;
    }

    private static Finding against(
            List<Estimate> results,
            BetweenEntries mean,
            boolean rest,
            Reference reference,
            BenchUnit unit,
            Figures figures) {
        Agreement agreement = Agreement.of(Interval.of(mean.weighted()), reference);
        String who = rest ? "The mean of the others" : "The mean";
        if (agreement.agrees()) {
            return Finding.note("class.agrees", who + " agrees with the reference within its uncertainty (95 %).");
        }
        double shift = agreement.difference();
        List<Map.Entry<String, Double>> shared = shared(results);
        double together = Math.sqrt(shared.stream()
                .mapToDouble(each -> each.getValue() * each.getValue())
                .sum());
        String causes = shared.stream()
                .limit(SHARED_NAMED)
                .map(each -> each.getKey() + " (± " + figures.significant(each.getValue(), 1) + ")")
                .collect(Collectors.joining(", "));
        String words = who + " is shifted by " + figures.signed(shift, Figures.decimalsFor(agreement.allowed())) + " "
                + unit.symbol()
                + ", more than scatter, what all share and the reference explain (95 %): a cause all have in "
                + "common, which repeating one run would not remove. ";
        return Finding.question(
                "class.shifted",
                words
                        + (shared.isEmpty()
                                ? "They share no instrument and no constant, so look at what was poured or weighed from the same "
                                        + "bottle, and at what everybody does alike."
                                : "They share " + causes
                                        + (Math.abs(shift) <= 2 * together
                                                ? ", and that may be much of it."
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
