package lab.sassafras.verdict;

import java.util.List;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.Grubbs;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialMean;

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
