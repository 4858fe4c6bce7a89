package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.Dependence;
import lab.sassafras.statistics.Grubbs;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.yardstick.AtBench;

/** What several trials of one sample say together. */
final class TrialFindings {

    private final Figures figures;
    private final Combination combination;

    TrialFindings(Figures figures, Combination combination) {
        this.figures = figures;
        this.combination = combination;
    }

    /**
     * What stands apart from the mean.
     *
     * @param numbers of the trials that count, in the order of the mean's values
     */
    List<Finding> ofMean(TrialMean mean, List<Integer> numbers) {
        return Grubbs.of(mean.values())
                .filter(Grubbs::outlier)
                .map(test -> Finding.question(
                        "trials.outlier",
                        "Trial " + numbers.get(test.index()) + " lies " + figures.significant(test.distance(), 3)
                                + " standard deviations from the mean; "
                                + "from " + figures.significant(test.critical(), 4)
                                + " on, Grubbs’ test calls it an outlier (5 %). Leaving it out is "
                                + "your decision, with a reason that is more than this number."))
                .stream()
                .toList();
    }

    /**
     * What the line reveals.
     *
     * @param unit of what is drawn up
     */
    List<Finding> ofLine(StraightLine line, BenchUnit unit) {
        return line.missesZero()
                ? List.of(Finding.question(
                        "trials.intercept",
                        "The line through the trials does not pass through zero: it gives "
                                + figures.signed(line.intercept(), Figures.decimalsFor(line.interceptHalfWidth()))
                                + " ± " + figures.uncertainty(line.interceptHalfWidth()) + " "
                                + unit.symbol() + " (95 %) for no amount at all. Something adds the same to every "
                                + "trial, such as a leak of the same length, a start read too early, or a vessel "
                                + "left out of the books. "
                                + (combination.needsPoints()
                                        ? "The slope, which is the result, is free of it; the mean is not."
                                        : "The slope is free of it; the mean, which is the result, is not.")))
                : List.of();
    }

    /**
     * Whether the trials are no repeats of one thing, because the result follows something in which they differ. What
     * they stand against on a line through nothing is looked at there.
     */
    List<Finding> ofWhatDiffers(Sheet sheet, List<Solution> trials, List<TrialPoint> points) {
        List<Estimate> results = trials.stream().map(Solution::estimate).toList();
        List<Finding> findings = new ArrayList<>();
        if (combination.finds().isPresent()
                && points.size() > 1
                && !points.get(0).meetsZero()) {
            findings.add(Finding.note(
                    "trials.along-line",
                    "The trials are no repeats: what they differ in moves the result by more than the ± of each. So no mean "
                            + "is offered, and the result is that of the line through them."
                            + (points.size() == 2
                                    ? " Two points leave no scatter to judge the line by: its ± is that of the instruments alone."
                                    : "")));
        }
        temperatures(sheet, trials)
                .flatMap(at -> follows("temperature", at, "°C", results))
                .ifPresent(findings::add);
        dilutions(sheet, trials)
                .flatMap(at -> follows("dilution", at, "mol of water to each mole", results))
                .ifPresent(findings::add);
        return findings;
    }

    private Optional<Finding> follows(String what, List<Double> at, String unit, List<Estimate> results) {
        return Dependence.of(results, at)
                .filter(Dependence::beyondChance)
                .map(found -> Finding.question(
                        "trials.follow-" + what,
                        "The results follow the " + what + " of the trials: from "
                                + figures.significant(Collections.min(at), 3) + " to "
                                + figures.significant(Collections.max(at), 3) + " " + unit + " they change by "
                                + figures.signed(found.change(), Figures.decimalsFor(found.uncertainty()))
                                + ", more than their own ± and chance explain. They are no repeats of one thing: their mean "
                                + "belongs to the middle of them, and its ± is made of that change."));
    }

    /** Of every trial, or of none. */
    private static Optional<List<Double>> temperatures(Sheet sheet, List<Solution> trials) {
        List<Double> all = trials.stream()
                .map(trial -> AtBench.temperature(sheet, trial))
                .flatMap(at -> at.stream().boxed())
                .toList();
        return sheet.experiment().span().isPresent() && all.size() == trials.size()
                ? Optional.of(all)
                : Optional.empty();
    }

    private static Optional<List<Double>> dilutions(Sheet sheet, List<Solution> trials) {
        List<Double> all = trials.stream()
                .flatMap(trial -> trial.derived().stream()
                        .filter(each -> each.derived().unit().equals(BenchUnit.NUMBER))
                        .limit(1))
                .map(each -> each.estimate().value())
                .toList();
        return sheet.experiment().span().isPresent() && all.size() == trials.size()
                ? Optional.of(all)
                : Optional.empty();
    }

    /** Why heats of unlike amounts have no mean. */
    Finding unlikeAmounts() {
        return Finding.question(
                "trials.unlike-amounts",
                "The trials are of unlike amounts, and a heat grows with the amount, so their mean would say nothing. "
                        + "Each trial’s heat stands below; choose the heat per gram or per mole to take them together.");
    }

    /** Why there is no result though there are trials. */
    Finding tooFew() {
        return Finding.question(
                "trials.too-few",
                "There are too few trials for " + combination.words()
                        + ", or all of them are of nearly the same amount. Three of clearly different amounts make a line; "
                        + "until then take the mean for the result.");
    }
}
