package lab.sassafras.app.record;

import java.io.File;
import java.util.function.LongSupplier;
import lab.sassafras.measure.Refused;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/**
 * Room on the disk the book lies on. Values are refused while there is still enough left for the book to stay whole, so
 * that pages go on and keeping goes on by itself once there is room.
 */
@Component("room")
public class DiskRoom implements HealthIndicator {

    /** Least room to keep on (bytes). */
    static final long LEAST = 32L << 20;

    private final LongSupplier free;

    @Autowired
    DiskRoom(@Value("${sassafras.home}") String home) {
        this(new File(home)::getUsableSpace);
    }

    DiskRoom(LongSupplier free) {
        this.free = free;
    }

    /** There is no room to keep anything. */
    public static final class NoRoom extends Refused {
        private static final long serialVersionUID = 1L;

        NoRoom() {
            super(
                    "Not kept: the disk the book lies on is full. Whoever runs the server must make room; what was kept before is safe, and "
                            + "keeping goes on by itself then.");
        }
    }

    /** @throws NoRoom where the disk is nearly full */
    public void check() {
        if (free.getAsLong() < LEAST) {
            throw new NoRoom();
        }
    }

    @Override
    public Health health() {
        long bytes = free.getAsLong();
        return (bytes < LEAST ? Health.down() : Health.up())
                .withDetail("free", bytes)
                .build();
    }
}
