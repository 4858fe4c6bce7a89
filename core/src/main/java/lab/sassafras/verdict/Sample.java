package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.HeatLine;
import lab.sassafras.account.TrialMean;

/**
 * What was found for one sample: all trials made with it that count.
 *
 * @param name    what the bench calls it; empty where no sample has a name
 * @param trials  numbers of its trials, counting or not
 * @param mean    of those that count; empty where none is solved
 * @param line    of heat against amount through them
 * @param verdict judgement of the mean; empty where there is none
 */
public record Sample(
        String name,
        List<Integer> trials,
        Optional<TrialMean> mean,
        Optional<HeatLine> line,
        Optional<Verdict> verdict) {

    public Sample {
        trials = List.copyOf(trials);
    }

    /** What a finding about it alone begins with, where there are several. */
    public String prefix() {
        return name.isEmpty() ? "Sample without a name: " : "Sample " + name + ": ";
    }
}
