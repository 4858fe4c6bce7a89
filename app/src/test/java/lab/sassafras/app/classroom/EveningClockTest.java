package lab.sassafras.app.classroom;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

/** The clock of a dress rehearsal: faster than the wall's, and at its end it stands still. */
class EveningClockTest {

    private static final Instant BEGUN = Instant.parse("2026-12-01T09:30:00Z");
    private static final Instant STARTS = Instant.parse("2026-12-01T18:00:00Z");
    private static final EveningClock TWENTY =
            new EveningClock(BEGUN, STARTS, 20, STARTS.plus(Duration.ofMinutes(100)));

    @Test
    void threeMinutesOfTheWallAreAnHourOfTheEvening() {
        assertThat(TWENTY.at(BEGUN)).isEqualTo(STARTS);
        assertThat(TWENTY.at(BEGUN.plusSeconds(180))).isEqualTo(STARTS.plusSeconds(3600));
        assertThat(TWENTY.second(BEGUN.plusSeconds(180))).isEqualTo(3600);
        assertThat(TWENTY.when(3600)).isEqualTo(BEGUN.plusSeconds(180));
        assertThat(TWENTY.took(Duration.ofSeconds(3))).isEqualTo(Duration.ofMinutes(1));
    }

    @Test
    void whatWasBeforeItBeganWasBeforeAndWhatIsAfterItsEndIsItsEnd() {
        assertThat(TWENTY.at(BEGUN.minusSeconds(1))).isEqualTo(STARTS.minusSeconds(20));
        assertThat(TWENTY.at(BEGUN.plusSeconds(86_400))).isEqualTo(STARTS.plus(Duration.ofMinutes(100)));
        assertThat(TWENTY.second(BEGUN.plusSeconds(86_400))).isEqualTo(6000);
    }

    @Test
    void thatOnTheWallIsTheTimeItself() {
        assertThat(EveningClock.WALL.at(BEGUN)).isEqualTo(BEGUN);
        assertThat(EveningClock.WALL.took(Duration.ofMinutes(7))).isEqualTo(Duration.ofMinutes(7));
    }
}
