package lab.sassafras.verdict;

import java.util.Objects;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Something worked out when it is first asked for, and then kept. */
public final class Lazy<T> {

    private @Nullable Supplier<T> work;
    private volatile @Nullable T done;

    /**
     * Something to be worked out.
     *
     * @param work how
     */
    public Lazy(Supplier<T> work) {
        this.work = work;
    }

    /** {@return it, worked out now where it was not before} */
    public T get() {
        T known = done;
        return known != null ? known : once();
    }

    private synchronized T once() {
        T known = done;
        if (known == null) {
            known = Objects.requireNonNull(work).get();
            done = known;
            work = null;
        }
        return known;
    }
}
