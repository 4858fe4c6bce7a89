package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Grubbs;
import lab.sassafras.account.HeatLine;
import lab.sassafras.account.TrialMean;
import lab.sassafras.measure.Figures;

/** What several trials of one sample say together. */
final class TrialFindings {

    private TrialFindings() {}

    /**
     * Findings over the trials that count.
     *
     * @param numbers of the trials that count, in the order of the mean's values
     */
    static List<Finding> of(TrialMean mean, List<Integer> numbers, java.util.Optional<HeatLine> line, Figures figures) {
        List<Finding> findings = new ArrayList<>();
        Grubbs.of(mean.values())
                .filter(Grubbs::outlier)
                .ifPresent(test -> findings.add(Finding.question(
                        "trials.outlier",
                        "Trial " + numbers.get(test.index()) + " lies " + figures.significant(test.distance(), 3)
                                + " standard deviations from the mean; "
                                + "from " + figures.significant(test.critical(), 4)
                                + " on, Grubbs’ test calls it an outlier (5 %). Leaving it out is "
                                + "your decision, with a reason that is more than this number.")));
        line.filter(HeatLine::missesZero)
                .ifPresent(laid -> findings.add(Finding.question(
                        "trials.intercept",
                        "The line of heat against amount does not pass through zero: it gives "
                                + figures.signed(1000 * laid.intercept(), 0) + " ± "
                                + figures.fixed(1000 * laid.interceptUncertainty(), 0)
                                + " J for no amount at all. Something adds the same heat to every "
                                + "trial, such as a leak of the same length, a start read too early, or a vessel left out of the books. The slope is "
                                + "free of it, the mean per mole is not.")));
        return findings;
    }
}
