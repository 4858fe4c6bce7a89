package lab.sassafras.verdict;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.presentation.Presentation;

/** How the results of a reduction are written: rounded by the school in force, each with its 95 % interval. */
public final class Writing {

    private final Reduction reduction;
    private final Map<FurtherOf, Lazy<Interval>> furthers = new ConcurrentHashMap<>();

    /** A further result of one trial. */
    private record FurtherOf(int trial, String label) {}

    Writing(Reduction reduction) {
        this.reduction = reduction;
    }

    /**
     * {@return the result of a sample as it is written everywhere: rounded by the school in force, a mean by the
     * readings of its first trial}
     *
     * @param sample one of the samples
     */
    public Optional<Presentation.Written> written(Sample sample) {
        return sample.result().flatMap(result -> sample.interval().map(by -> written(sample, result, by)));
    }

    /**
     * {@return the heat of the equation as it is written, by the result of a sample}
     *
     * @param sample one of the samples
     */
    public Optional<Presentation.Written> asWritten(Sample sample) {
        double times = reduction.happened().timesAsWritten();
        return sample.result()
                .flatMap(result -> sample.interval().map(by -> written(sample, result.times(times), by.times(times))));
    }

    private Presentation.Written written(Sample sample, Estimate result, Interval by) {
        return reduction.trials().stream()
                .filter(trial -> sample.trials().contains(trial.number()))
                .flatMap(trial -> trial.solution().stream())
                .findFirst()
                .map(solution ->
                        reduction.presentation().written(result, by.half(), solution.result(), solution.bindings()))
                .orElseGet(() -> reduction.presentation().written(result, by.half(), reduction.unit()));
    }

    /**
     * {@return the result of a trial, written as everywhere; empty where it is not solved}
     *
     * @param trial one of the trials
     */
    public Optional<Presentation.Written> written(Trial trial) {
        return trial.solution()
                .map(solution -> reduction
                        .presentation()
                        .written(
                                solution.estimate(),
                                trial.interval(solution.estimate()).half(),
                                solution.result(),
                                solution.bindings()));
    }

    /**
     * {@return a further result of a trial with its interval: by draws of its own where the trial's linear one is not
     * borne out}
     *
     * @param trial   which trial, from 1
     * @param further one of its further results
     */
    public Interval interval(int trial, Solution.Further further) {
        return furthers.computeIfAbsent(
                        new FurtherOf(trial, further.derived().label()),
                        any -> new Lazy<>(() -> worked(trial, further)))
                .get();
    }

    private Interval worked(int trial, Solution.Further further) {
        boolean linear = reduction.trials().stream()
                .filter(each -> each.number() == trial)
                .allMatch(Trial::linear);
        return Drawn.interval(
                linear
                        ? Optional.empty()
                        : reduction
                                .solution(trial)
                                .flatMap(each -> Drawn.of(
                                        further.result(), further.estimate(), each.bindings(), Reduction.DRAWS)),
                further.estimate());
    }
}
