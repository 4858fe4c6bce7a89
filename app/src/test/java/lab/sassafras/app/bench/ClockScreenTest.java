package lab.sassafras.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** The rows of the page of a clock. */
class ClockScreenTest extends HouseTest {

    private static final Duration HALF_A_DAY = Duration.ofHours(12);

    @Autowired
    private Traces traces;

    private Bench bench;

    @BeforeEach
    void sitDown() {
        bench = periodBook.join(period("Rows of a clock"), "Rowan");
    }

    private ClockReadings readings(String channel, double... seconds) {
        Trace trace = traces.bringIn(bench, Trace.Channel.of(channel), Optional.empty(), 30, Instant.now(), List.of());
        List<ClockReadings.Line> lines = IntStream.range(0, seconds.length)
                .mapToObj(i -> new TraceChunk.Read(
                        UUID.randomUUID(), seconds[i], 21 + i / 10.0, Optional.empty(), bench.id(), Instant.now(), 0))
                .map(read -> new ClockReadings.Line(read, ClockReadings.State.COUNTS, ""))
                .toList();
        return new ClockReadings(trace, lines);
    }

    private static List<String> rows(ClockScreen screen) {
        return screen.rows().stream().map(row -> row.kind() + " " + row.time()).toList();
    }

    /** Read every 30 s, and once more after eleven years: no more marks than the page has rows. */
    @Test
    void aReadingLongAfterBringsNoMoreMarksThanAreShown() {
        ClockScreen screen = ClockScreen.of(
                readings(Trace.HAND, 0, 30, 350_000_000), Optional.empty(), 60_000, HALF_A_DAY, Figures.POINT);
        assertThat(screen.rows()).hasSizeLessThanOrEqualTo(300);
        assertThat(screen.rows().get(screen.rows().size() - 2).kind()).isEqualTo(ClockScreen.Kind.MISSED);
    }

    @Test
    void marksThatPassedUnreadAreMissedAndTheOneAtMixingSkipped() {
        ClockScreen screen = ClockScreen.of(
                readings(Trace.HAND, 0, 31, 90, 215, 240), Optional.of(182.0), 250_000, HALF_A_DAY, Figures.POINT);
        assertThat(rows(screen))
                .containsExactly(
                        "READING 0:00",
                        "READING 0:31",
                        "MISSED 1:00",
                        "READING 1:30",
                        "MISSED 2:00",
                        "MISSED 2:30",
                        "SKIPPED 3:00",
                        "MIXED 3:02",
                        "READING 3:35",
                        "READING 4:00");
        assertThat(screen.last()).isEqualTo(240);
        assertThat(screen.face()).isEqualTo("4:10");
        assertThat(screen.mixing()).isEqualTo("3:02");
    }

    @Test
    void aReadingAtTheVeryMomentOfMixingIsShownAndNotCounted() {
        ClockScreen screen = ClockScreen.of(
                readings(Trace.HAND, 150, 180, 210), Optional.of(180.0), 211_000, HALF_A_DAY, Figures.POINT);
        assertThat(rows(screen)).containsExactly("READING 2:30", "SKIPPED 3:00", "MIXED 3:00", "READING 3:30");
        assertThat(screen.rows().get(1).why()).contains("not counted");
    }

    @Test
    void aClockRunsForHalfADayAndAFileNever() {
        assertThat(ClockScreen.of(readings(Trace.HAND), Optional.empty(), 3_600_000, HALF_A_DAY, Figures.POINT)
                        .running())
                .isTrue();
        assertThat(ClockScreen.of(readings(Trace.HAND), Optional.empty(), 50_000_000, HALF_A_DAY, Figures.POINT)
                        .running())
                .isFalse();
        assertThat(ClockScreen.of(readings(Trace.FILE, 0, 30), Optional.empty(), 60_000, HALF_A_DAY, Figures.POINT)
                        .running())
                .isFalse();
        assertThat(ClockScreen.of(readings(Trace.HAND), Optional.empty(), 1_000, HALF_A_DAY, Figures.POINT)
                        .last())
                .as("nothing read yet, so the first mark is due")
                .isNegative();
    }

    /** A long record shows its latest rows; the page stays small. */
    @Test
    void ofALongRecordTheLatestRowsAreShown() {
        double[] many = IntStream.range(0, 5_000).mapToDouble(i -> 30.0 * i).toArray();
        ClockScreen screen = ClockScreen.of(readings(Trace.FILE, many), Optional.empty(), 0, HALF_A_DAY, Figures.POINT);
        assertThat(screen.rows()).hasSize(300);
        assertThat(screen.earlier()).isEqualTo(4_700);
        assertThat(screen.rows().get(299).seconds()).isEqualTo(30.0 * 4_999);
    }
}
