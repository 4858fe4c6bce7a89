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

    /** {@return stable name, for files and decisions} */
    String key();

    /** {@return as a person would say it} */
    String words();

    /** {@return what it finds, where that is something else than each trial gives} */
    default Optional<String> finds() {
        return Optional.empty();
    }

    /**
     * {@return what the slope of a line through the trials stands for, that being something else than each trial gives}
     *
     * @param key    stable name
     * @param words  as a person would say it
     * @param finds  what it finds
     * @param factor what the slope is multiplied by
     */
    static Combination ofSlope(String key, String words, String finds, double factor) {
        Combination slope =
                of(key, words, true, trials -> CorrelatedLine.combined(trials).map(each -> each.times(factor)));
        return new Combination() {
            @Override
            public String key() {
                return slope.key();
            }

            @Override
            public String words() {
                return slope.words();
            }

            @Override
            public boolean needsPoints() {
                return true;
            }

            @Override
            public Optional<String> finds() {
                return Optional.of(finds);
            }

            @Override
            public Optional<Estimate> of(List<TrialResult> trials) {
                return slope.of(trials);
            }
        };
    }

    /** {@return whether it needs to know where each trial stands on a line} */
    boolean needsPoints();

    /**
     * {@return the result of the trials that count; empty where they do not suffice for it}
     *
     * @param trials those that count
     */
    Optional<Estimate> of(List<TrialResult> trials);

    /** How results become one. */
    @FunctionalInterface
    interface Rule {
        /**
         * {@return the one result; empty where the trials do not suffice}
         *
         * @param trials those that count
         */
        Optional<Estimate> of(List<TrialResult> trials);
    }

    /**
     * {@return a way of combining}
     *
     * @param key         stable name
     * @param words       as a person would say it
     * @param needsPoints whether it needs to know where each trial stands on a line
     * @param rule        how results become one
     */
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
