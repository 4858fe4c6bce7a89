package lab.sassafras.benchmarks.house;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.function.Supplier;

/** Durations of one thing done again and again (ms). */
final class Times {

    private final List<Double> all = Collections.synchronizedList(new ArrayList<>());

    <T> T of(Supplier<T> work) {
        long began = System.nanoTime();
        T done = work.get();
        all.add((System.nanoTime() - began) / 1e6);
        return done;
    }

    void add(double milliseconds) {
        all.add(milliseconds);
    }

    /** Forgets those so far, as of a server that was not warm. */
    void clear() {
        all.clear();
    }

    int count() {
        return all.size();
    }

    /** The value below which so many per cent of them lie (ms). */
    double percentile(double percent) {
        List<Double> sorted = new ArrayList<>(all);
        Collections.sort(sorted);
        return sorted.isEmpty()
                ? Double.NaN
                : sorted.get(Math.min(sorted.size() - 1, (int) (percent / 100 * sorted.size())));
    }

    /** A line of the report. */
    void print(String what) {
        System.out.printf(
                Locale.ROOT,
                "%-58s p50 %8.2f ms   p95 %8.2f ms   (%d)%n",
                what,
                percentile(50),
                percentile(95),
                count());
    }

    void printBeside(String what, Times other) {
        System.out.printf(
                Locale.ROOT,
                "%-58s p50 %8.2f ms   p95 %8.2f ms   (%d)   %.1f and %.1f times%n",
                what,
                percentile(50),
                percentile(95),
                count(),
                percentile(50) / other.percentile(50),
                percentile(95) / other.percentile(95));
    }
}
