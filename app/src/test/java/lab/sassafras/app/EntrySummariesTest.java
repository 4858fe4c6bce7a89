package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.app.sheet.EntrySummary;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** A list of many entries is there at once, and right as soon as its lines are worked. */
class EntrySummariesTest extends HouseTest {

    @Autowired
    private EntrySummaries lines;

    @Test
    void manyLinesAreWorkedByAnotherHandAndSaidToBeUntilThen() {
        String file = new String(demo("2-grey-slug.json"), StandardCharsets.UTF_8)
                .replaceFirst("\"title\"\\s*:\\s*\"[^\"]*\"", "\"title\": \"A large class\"");
        Entry last = null;
        for (int i = 0; i < 40; i++) {
            last = imports.take(file.getBytes(StandardCharsets.UTF_8), "slug.json", A_TEST)
                    .orThrow();
        }
        Period period = last.period();
        List<Entry> entries = entryBook.of(period);
        assertThat(lines.of(entries, period, Duration.ZERO)).hasSize(40).anyMatch(EntrySummary::waiting);
        List<EntrySummary> worked = lines.of(entries, period, Duration.ofMinutes(1));
        assertThat(worked)
                .noneMatch(EntrySummary::waiting)
                .allMatch(line -> line.result().isPresent());
        assertThat(get("/notebook?period=" + period.id()).body()).doesNotContain("being worked out");

        decisionBook.decide(Optional.of(last.id()), Decision.Kind.TRIAL, "trial[1]", "out", "splashed", "Hawthorn");
        List<EntrySummary> after = lines.of(entries, period, Duration.ofMinutes(1));
        assertThat(after.get(0).result())
                .as("the entry decided about")
                .isNotEqualTo(worked.get(0).result());
        assertThat(after.subList(1, 40)).as("the others").isEqualTo(worked.subList(1, 40));
    }

    /** How far off a result is says something only where a run done well comes to the reference. */
    @Test
    void underACanNobodyIsOff() {
        Entry can = alone("17-spirit-under-a-can.json");
        Entry salt = alone("8-salt.json");
        assertThat(lines.of(List.of(can), can.period(), Duration.ofMinutes(1))
                        .get(0)
                        .off())
                .isEmpty();
        assertThat(lines.of(List.of(salt), salt.period(), Duration.ofMinutes(1))
                        .get(0)
                        .off())
                .isPresent();
    }
}
