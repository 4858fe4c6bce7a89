package lab.sassafras.app.people;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import lab.sassafras.measure.Refused;

/**
 * Counts wrong codes and passwords. A class of thirty behind one address may be wrong three times each; one that
 * guesses gets a hundred tries an hour.
 */
public final class WrongTries {

    static final int AN_HOUR = 100;
    private static final int SOURCES = 100_000;

    private final Cache<String, AtomicInteger> wrong;

    WrongTries(Ticker clock) {
        wrong = Caffeine.newBuilder()
                .maximumSize(SOURCES)
                .ticker(clock)
                .expireAfter(com.github.benmanes.caffeine.cache.Expiry.creating(
                        (String from, AtomicInteger many) -> Duration.ofHours(1)))
                .build();
    }

    /**
     * Lets nobody try who was wrong too often.
     *
     * @throws Refused where it was
     */
    void check(String from) {
        AtomicInteger many = wrong.getIfPresent(from);
        if (many != null && many.get() >= AN_HOUR) {
            throw new Refused("Too many wrong tries came from this address. Wait an hour, or ask an instructor.");
        }
    }

    void wrong(String from) {
        wrong.get(from, any -> new AtomicInteger()).incrementAndGet();
    }
}
