package lab.sassafras.app.notebook;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.sheet.EntrySummary;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A bench that recorded nothing for a quarter of an hour is stuck; the day after, its run is unfinished. */
class ToLookAtTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-11-18T19:45:01Z | UNDER_WAY | ",
                "2026-11-18T19:45:00Z | UNDER_WAY | stuck for 15 min, lacks: water",
                "2026-11-18T00:10:00Z | UNDER_WAY | stuck for 1190 min, lacks: water",
                "2026-11-17T23:50:00Z | UNDER_WAY | unfinished, lacks: water",
                "2026-11-17T23:50:00Z | FINISHED | ",
                "2026-11-17T23:50:00Z | ASIDE | "
            })
    void whatStandsStillIsSaid(Instant last, EntrySummary.State state, String said) {
        EntrySummary line = new EntrySummary(
                UUID.randomUUID(), Optional.empty(), 0, false, Optional.empty(), state, "", Optional.of(last), "water");
        ToLookAt look = new ToLookAt(List.of(), Instant.parse("2026-11-18T20:00:00Z"), ZoneId.of("UTC"), Figures.POINT);
        assertThat(look.of(line)).isEqualTo(said == null ? List.of() : List.of(said));
    }
}
