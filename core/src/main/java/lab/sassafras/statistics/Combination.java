package lab.sassafras.statistics;

import java.util.List;
import java.util.Optional;
import lab.sassafras.expression.Estimate;

/** What makes the result of several trials of one thing. An experiment declares which are open to it. */
public interface Combination {

    /** The mean of what the trials came to. */
    Combination MEAN = of("mean", "the mean of the trials", false, TrialMean::combined);

    /** The slope of the line through the trials, each weighed by its uncertainty. */
    Combination LINE = of(
            "line",
            "the slope of the line through the trials",
            true,
            trials -> CorrelatedLine.through(trials).map(CorrelatedLine::slope));

    /** {@return stable name, for files and decisions} */
    String key();

    /** {@return as a person would say it} */
    String words();

    /** {@return what it finds, where that is something else than each trial gives} */
    default Optional<String> finds() {
        return Optional.empty();
    }

    /**
     * {@return whether it may make the result of these trials; not where they are no repeats of one thing}
     *
     * @param trials those that count
     */
    default boolean open(List<TrialResult> trials) {
        return true;
    }

    /**
     * The mean, of trials that do not follow what they stand against on a line: those have none.
     *
     * @return what it is
     */
    static Combination meanUnlessAlongLine() {
        return new Described("mean", MEAN.words(), Optional.empty(), false, MEAN::of) {
            @Override
            public boolean open(List<TrialResult> trials) {
                return Dependence.of(
                                trials.stream().map(TrialResult::estimate).toList(),
                                trials.stream()
                                        .map(each -> each.point()
                                                .map(point -> point.across().value())
                                                .orElse(0.0))
                                        .toList())
                        .filter(Dependence::beyondChance)
                        .isEmpty();
            }
        };
    }

    /**
     * {@return what slope and intercept of a line through the trials stand for, that being something else than each
     * trial gives}
     *
     * @param key         stable name
     * @param words       as a person would say it
     * @param finds       what it finds
     * @param bySlope     what the slope is multiplied by
     * @param byIntercept what the intercept is multiplied by
     */
    static Combination ofLine(String key, String words, String finds, double bySlope, double byIntercept) {
        return new Described(
                key,
                words,
                Optional.of(finds),
                true,
                trials -> CorrelatedLine.through(trials).map(line -> line.along(bySlope, byIntercept)));
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
        return new Described(key, words, Optional.empty(), needsPoints, rule);
    }

    /** One that is said in words. */
    class Described implements Combination {

        private final String key;
        private final String words;
        private final Optional<String> finds;
        private final boolean needsPoints;
        private final Rule rule;

        private Described(String key, String words, Optional<String> finds, boolean needsPoints, Rule rule) {
            this.key = key;
            this.words = words;
            this.finds = finds;
            this.needsPoints = needsPoints;
            this.rule = rule;
        }

        @Override
        public String key() {
            return key;
        }

        @Override
        public String words() {
            return words;
        }

        @Override
        public Optional<String> finds() {
            return finds;
        }

        @Override
        public boolean needsPoints() {
            return needsPoints;
        }

        @Override
        public Optional<Estimate> of(List<TrialResult> trials) {
            return rule.of(trials);
        }
    }
}
