package lab.sassafras.verdict;

import java.util.function.Supplier;

/** Something worked out when it is first asked for, and then kept. */
final class Later<T> {

    private Supplier<T> work;
    private volatile T done;

    Later(Supplier<T> work) {
        this.work = work;
    }

    T get() {
        T known = done;
        return known != null ? known : once();
    }

    private synchronized T once() {
        if (done == null) {
            done = work.get();
            work = null;
        }
        return done;
    }
}
