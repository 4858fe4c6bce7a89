package lab.sassafras.statistics;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Estimate;

/** What makes the result of several trials of one thing. An experiment declares which are open to it. */
public interface Combination {

    /** The mean of what the trials came to. */
    Combination MEAN = of("mean", "the mean of the trials", false, TrialMean::combined);

    /** The slope of the line through the trials, each weighed by its uncertainty. */
    Combination LINE = of("line", "the slope of the line through the trials", true, CorrelatedLine::combined);

    /** Stable name, for files and decisions. */
    String key();

    /** As a person would say it. */
    String words();

    /** Whether it needs to know where each trial stands on a line. */
    boolean needsPoints();

    /** The result of the trials that count; empty where they do not suffice for it. */
    Optional<Estimate> of(List<TrialResult> trials);

    /** How results become one. */
    @FunctionalInterface
    interface Rule {
        /** The one result; empty where the trials do not suffice. */
        Optional<Estimate> of(List<TrialResult> trials);
    }

    /** A way of combining. */
    static Combination of(String key, String words, boolean needsPoints, Rule rule) {
        return new Combination() {
            @Override
            public String key() {
                return key;
            }

            @Override
            public String words() {
                return words;
            }

            @Override
            public boolean needsPoints() {
                return needsPoints;
            }

            @Override
            public Optional<Estimate> of(List<TrialResult> trials) {
                return rule.of(trials);
            }
        };
    }
}
