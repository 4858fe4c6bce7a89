package lab.sassafras.app.probes;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.util.UUID;

/** How many rows each token may push: a thousand a second on the average of five. */
public final class PushRate {

    /** Rows a second. */
    public static final int A_SECOND = 1_000;

    private static final double MOST_AT_ONCE = Rows.MOST;
    private static final int MOST_TOKENS = 10_000;

    private final Ticker clock;
    private final Cache<UUID, Bucket> buckets;

    public PushRate(Ticker clock) {
        this.clock = clock;
        this.buckets = Caffeine.newBuilder()
                .maximumSize(MOST_TOKENS)
                .ticker(clock)
                .expireAfterAccess(Duration.ofMinutes(10))
                .build();
    }

    private static final class Bucket {
        private double left = MOST_AT_ONCE;
        private long asked;
    }

    /** Takes so many rows. @return the seconds after which they may be sent; 0 where they may be kept now */
    public long take(UUID token, int rows) {
        Bucket bucket = buckets.get(token, any -> begun());
        synchronized (bucket) {
            long now = clock.read();
            bucket.left = Math.min(MOST_AT_ONCE, bucket.left + (now - bucket.asked) / 1e9 * A_SECOND);
            bucket.asked = now;
            if (rows <= bucket.left) {
                bucket.left -= rows;
                return 0;
            }
            return (long) Math.ceil((rows - bucket.left) / A_SECOND);
        }
    }

    private Bucket begun() {
        Bucket bucket = new Bucket();
        bucket.asked = clock.read();
        return bucket;
    }
}
