package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Estimate;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.statistics.TrialResult;

/**
 * What was found for one sample: all trials made with it that count.
 *
 * @param name    what the bench calls it; empty where no sample has a name
 * @param trials  numbers of its trials, counting or not
 * @param mean    of those that count; empty where none is solved
 * @param line    through them, where the experiment draws one
 * @param combination what makes the result of them
 * @param result  of those that count: what they come to taken together; empty where they do not suffice
 * @param interval of that result: the one printed everywhere, and judged by
 * @param verdict judgement of the result; empty where there is none
 */
public record Sample(
        String name,
        List<Integer> trials,
        Optional<TrialMean> mean,
        Optional<StraightLine> line,
        Combination combination,
        Optional<Estimate> result,
        Optional<Interval> interval,
        Optional<Verdict> verdict) {

    /**
     * Keeps copies of what could change.
     *
     * @param name        what the bench calls it; empty where no sample has a name
     * @param trials      numbers of its trials, counting or not
     * @param mean        of those that count; empty where none is solved
     * @param line        through them, where the experiment draws one
     * @param combination what makes the result of them
     * @param result      of those that count: what they come to taken together; empty where they do not suffice
     * @param interval    of that result: the one printed everywhere, and judged by
     * @param verdict     judgement of the result; empty where there is none
     */
    public Sample {
        trials = List.copyOf(trials);
    }

    /** {@return what a finding about it alone begins with, where there are several} */
    public String prefix() {
        return name.isEmpty() ? "Sample without a name: " : "Sample " + name + ": ";
    }

    /**
     * What makes the result of the trials: what was put in force, where this experiment knows it and it is open to
     * them, else the first that is.
     */
    static Combination combination(Sheet sheet, List<TrialResult> trials) {
        List<Combination> open = sheet.experiment().combinations().stream()
                .filter(each -> each.open(trials))
                .toList();
        return open.stream()
                .filter(each -> each.key().equals(sheet.setting().combination()))
                .findFirst()
                .orElseGet(() -> open.get(0));
    }
}
