package lab.sassafras.measure;

import java.time.Duration;
import java.util.Objects;

/**
 * How long the work for one request may take. What may loop for long asks now and then; where nobody set a budget, as
 * in a test, time never runs out. It belongs to the thread that works.
 */
public final class TimeBudget implements AutoCloseable {

    private static final ThreadLocal<TimeBudget> IN_FORCE = new ThreadLocal<>();

    private final long end;
    private final TimeBudget before;

    private TimeBudget(long end) {
        this.end = end;
        this.before = IN_FORCE.get();
    }

    /** Time ran out before the work was done. */
    public static final class OutOfTime extends RuntimeException {
        private static final long serialVersionUID = 1L;

        OutOfTime() {
            super("This takes longer than one request may. Nothing was recorded or changed. A smaller file, or fewer "
                    + "trials in one entry, will do.");
        }

        @Override
        public String getMessage() {
            return Objects.requireNonNull(super.getMessage());
        }
    }

    /**
     * Begins a budget for this thread; closing it brings back the one before.
     *
     * @param time how long the work may take
     * @return the budget
     */
    public static TimeBudget of(Duration time) {
        TimeBudget budget = new TimeBudget(System.nanoTime() + time.toNanos());
        IN_FORCE.set(budget);
        return budget;
    }

    /**
     * Asks whether time is left.
     *
     * @throws OutOfTime where the budget of this thread is spent */
    public static void check() {
        TimeBudget budget = IN_FORCE.get();
        if (budget != null && System.nanoTime() - budget.end > 0) {
            throw new OutOfTime();
        }
    }

    @Override
    public void close() {
        if (before == null) {
            IN_FORCE.remove();
        } else {
            IN_FORCE.set(before);
        }
    }
}
