package lab.sassafras.app.record;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.springframework.boot.test.context.TestConfiguration;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Primary;
import org.springframework.util.unit.DataSize;

/** A disk whose room and a clock whose hands a test sets; both as they really are otherwise. */
@TestConfiguration
public class FaultInjection {

    private static final DataSize LEAST = DataSize.ofMegabytes(32);

    private static volatile long free = Long.MAX_VALUE;
    private static volatile Duration wrong = Duration.ZERO;

    public static void diskFull() {
        free = LEAST.toBytes() - 1;
    }

    public static void clockOff(Duration by) {
        wrong = by;
    }

    public static void fair() {
        free = Long.MAX_VALUE;
        wrong = Duration.ZERO;
    }

    @Bean
    @Primary
    DiskRoom settableRoom() {
        return new DiskRoom(() -> free, LEAST);
    }

    @Bean
    @Primary
    Clock settableClock() {
        return new Clock() {
            @Override
            public ZoneId getZone() {
                return ZoneOffset.UTC;
            }

            @Override
            public Clock withZone(ZoneId zone) {
                return Clock.offset(Clock.system(zone), wrong);
            }

            @Override
            public Instant instant() {
                return Instant.now().plus(wrong);
            }
        };
    }
}
