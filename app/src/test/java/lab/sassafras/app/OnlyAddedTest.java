package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lab.sassafras.app.record.BenchWait;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Paces;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** The database itself refuses what nobody may do. */
class OnlyAddedTest extends HouseTest {

    @Autowired
    private JdbcTemplate database;

    @Autowired
    private Paces paces;

    @Autowired
    private lab.sassafras.app.record.NoteBook notes;

    @ParameterizedTest
    @ValueSource(
            strings = {
                "update observation set text = '1'",
                "delete from observation",
                "update decision set outcome = 'in'",
                "delete from decision",
                "delete from strike",
                "update brought_in set file_name = 'another'",
                "update shown set result = 1",
                "update trace set unit = 'K'",
                "delete from trace_chunk",
                "update class_pace set amount = 1",
                "delete from bench_wait"
            })
    void whatWasReadOrDecidedIsNeitherChangedNorRemoved(String statement) {
        Entry entry = imported("2-grey-slug.json");
        imports.take(example("solid-with-solution-on-a-clock"), "run.json", A_TEST)
                .orThrow();
        get("/entries/" + entry.id() + "/result?open=all");
        decisionBook.decide(
                java.util.Optional.of(entry.id()),
                lab.sassafras.app.record.Decision.Kind.TRIAL,
                "trial[1]",
                "out",
                "test",
                "Rowan");
        paces.choose(entry.period(), "fusion-of-ice", "settle water/start", 7, "Rowan");
        paces.wait(
                java.util.UUID.randomUUID(),
                entry,
                new BenchWait.Given(1, "bath sample/start", 420, BenchWait.Outcome.BEGUN, "", "Rowan"));
        int before = observationBook.of(entry.id()).all().size();
        assertThatThrownBy(() -> database.execute(statement)).hasStackTraceContaining("only ever added");
        assertThat(observationBook.of(entry.id()).all()).hasSize(before);
    }

    @Test
    void aValueGivenTwiceUnderOneKeyIsKeptOnce() {
        Entry entry = imported("4-still-at-the-bench.json");
        var given = new lab.sassafras.app.record.Observation.Given(
                "water[1]/start",
                "read",
                "21.3",
                "°C",
                java.util.Optional.empty(),
                null,
                "Rowan",
                java.util.Optional.empty(),
                null);
        var key = java.util.UUID.randomUUID();
        observationBook.keep(key, entry.id(), given);
        observationBook.keep(key, entry.id(), given);
        assertThat(observationBook.of(entry.id()).at("water[1]/start")).hasSize(1);
    }

    /** The same is kept once, and another under its key is refused in words. */
    @Test
    void aNoteIsKeptOnceAndNoOtherUnderItsKey() {
        Entry entry = imported("4-still-at-the-bench.json");
        var key = java.util.UUID.randomUUID();
        notes.write(key, entry, "x".repeat(1000), "Rowan");
        notes.write(key, entry, "x".repeat(1000), "Rowan");
        assertThat(notes.of(entry.id())).hasSize(1);
        assertThatThrownBy(() -> notes.write(key, entry, "It turned cloudy.", "Rowan"))
                .hasMessageContaining("Another note");
        assertThatThrownBy(() -> notes.write(java.util.UUID.randomUUID(), entry, "x".repeat(1001), "Rowan"))
                .hasMessageContaining("has 1001");
        for (int i = 1; i < 200; i++) {
            notes.write(java.util.UUID.randomUUID(), entry, "note " + i, "Rowan");
        }
        notes.write(key, entry, "x".repeat(1000), "Rowan");
        assertThatThrownBy(() -> notes.write(java.util.UUID.randomUUID(), entry, "one more", "Rowan"))
                .hasMessageContaining("at most 200");
        assertThatThrownBy(() -> database.execute("delete from note")).hasStackTraceContaining("only ever added");
    }
}
