package lab.sassafras.app.record;

import java.util.function.LongSupplier;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.measure.Refused;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;

/**
 * Room on the disk the book lies on. Values are refused while there is still enough left for the book to stay whole, so
 * that pages go on and keeping goes on by itself once there is room.
 */
@Component("room")
public class DiskRoom implements HealthIndicator {

    private final LongSupplier free;
    private final long least;

    @Autowired
    DiskRoom(HouseSettings settings) {
        this(settings.home().toFile()::getUsableSpace, settings.limits().room());
    }

    /**
     * Room somewhere.
     *
     * @param free  what is free there (bytes)
     * @param least to keep anything
     */
    DiskRoom(LongSupplier free, DataSize least) {
        this.free = free;
        this.least = least.toBytes();
    }

    /** There is no room to keep anything. */
    public static final class NoRoom extends Refused {
        private static final long serialVersionUID = 1L;

        NoRoom() {
            super("Not recorded: the disk the book lies on is full. Whoever runs the server must make room; what was "
                    + "recorded before is safe, and "
                    + "recording goes on by itself then.");
        }
    }

    /**
     * Asks for room.
     *
     * @throws NoRoom where the disk is nearly full
     */
    public void check() {
        if (free.getAsLong() < least) {
            throw new NoRoom();
        }
    }

    @Override
    public Health health() {
        long bytes = free.getAsLong();
        return (bytes < least ? Health.down() : Health.up())
                .withDetail("free", bytes)
                .build();
    }
}
