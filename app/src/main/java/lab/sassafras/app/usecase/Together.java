package lab.sassafras.app.usecase;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps in one commit what comes at once: whatever waits while another is kept is kept with the next. Each has its own
 * answer, and waits for the commit it is in. Where one of them fails, none of that commit is kept, and each is done
 * again by itself: nobody answers for another's failure.
 */
final class Together {

    /** So many are kept in one commit at most. */
    private static final int MOST = 64;

    private final TransactionTemplate whole;
    private final Object writing = new Object();
    private final Deque<Waiting<?>> waiting = new ArrayDeque<>();

    Together(TransactionTemplate whole) {
        this.whole = whole;
    }

    private enum State {
        WAITS,
        KEPT,
        ALONE
    }

    /** One of them; what is written here is written and read by whoever holds the right to write. */
    private static final class Waiting<T> {

        private final Supplier<T> work;
        private @Nullable T answer;
        private @Nullable RuntimeException not;
        private State state = State.WAITS;

        Waiting(Supplier<T> work) {
            this.work = work;
        }

        /** Refused without anything written: that is its answer. */
        void work() {
            answer = null;
            not = null;
            try {
                answer = work.get();
            } catch (NotPushed refused) {
                not = refused;
            }
        }
    }

    /**
     * {@return what came of it, once it is committed}
     *
     * @param work kept in a transaction; {@link NotPushed} from it means that it wrote nothing
     */
    <T> T keep(Supplier<T> work) {
        Waiting<T> mine = new Waiting<>(work);
        synchronized (waiting) {
            waiting.add(mine);
        }
        synchronized (writing) {
            while (mine.state == State.WAITS) {
                commit();
            }
        }
        if (mine.state == State.ALONE) {
            whole.executeWithoutResult(status -> mine.work());
        }
        if (mine.not != null) {
            throw mine.not;
        }
        return Objects.requireNonNull(mine.answer);
    }

    private void commit() {
        List<Waiting<?>> all = new ArrayList<>();
        synchronized (waiting) {
            while (!waiting.isEmpty() && all.size() < MOST) {
                all.add(waiting.remove());
            }
        }
        State came = State.ALONE;
        try {
            whole.executeWithoutResult(status -> all.forEach(Waiting::work));
            came = State.KEPT;
        } catch (RuntimeException failed) {
            // by itself each knows why
        } finally {
            for (Waiting<?> each : all) {
                each.state = came;
            }
        }
    }
}
