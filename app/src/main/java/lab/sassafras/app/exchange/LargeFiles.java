package lab.sassafras.app.exchange;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import lab.sassafras.measure.TimeBudget;
import org.springframework.stereotype.Component;

/**
 * Files of more than a few megabytes are worked on one after another: each takes several times its size of memory, and
 * many at once would fill it. Whoever comes next waits, as long as their request may last.
 */
@Component
final class LargeFiles {

    /** So many bytes of files, or characters of text, wait for an answer at the same time. */
    static final long HELD = 96 << 20;

    /** What waits counts as no less than this. */
    static final int LEAST = 1 << 20;

    private static final long LARGE = 4 << 20;
    private static final long LOOKS_MS = 100;

    private final Semaphore turn = new Semaphore(1, true);

    /** What is done with a file that arrives. */
    interface Work<T> {
        T run() throws IOException;
    }

    /** @throws TimeBudget.OutOfTime where others take too long */
    <T> T inTurn(HttpServletRequest request, Work<T> work) throws IOException {
        long length = request.getContentLengthLong();
        if (length >= 0 && length <= LARGE) {
            return work.run();
        }
        try {
            while (!turn.tryAcquire(LOOKS_MS, TimeUnit.MILLISECONDS)) {
                TimeBudget.check();
            }
        } catch (InterruptedException closing) {
            Thread.currentThread().interrupt();
            throw new IOException("the house closes", closing);
        }
        try {
            return work.run();
        } finally {
            turn.release();
        }
    }
}
