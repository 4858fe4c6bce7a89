package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.stream.Stream;
import lab.sassafras.app.storage.Opening;
import org.flywaydb.core.Flyway;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.core.env.Environment;

/** Where things are kept, and that an older book can still be opened. */
class SetUpTest extends HouseTest {

    private static final String OLD = "jdbc:h2:mem:old;DB_CLOSE_DELAY=-1";

    @Autowired
    private Environment settings;

    @Test
    void bookAndLogLieInOneFolderAndTheServerListensHereOnly() {
        Path home = Path.of(settings.getProperty("sassafras.home", ""));
        assertThat(Files.exists(home.resolve("book.mv.db"))).isTrue();
        assertThat(Files.exists(home.resolve("logs/sassafras.log"))).isTrue();
        assertThat(settings.getProperty("server.address")).isEqualTo("127.0.0.1");
        assertThat(settings.getProperty("spring.datasource.url")).contains("WRITE_DELAY=0");
        assertThat(settings.getProperty("logging.logback.rollingpolicy.max-file-size"))
                .isEqualTo("5MB");
    }

    /** A book as the first release wrote it, brought up to the newest schema: nothing lost, still guarded. */
    @Test
    void aBookOfTheFirstReleaseIsUpgradedWithWhatItHolds() throws SQLException {
        flyway("1");
        try (Connection book = DriverManager.getConnection(OLD, "sa", "");
                Statement sql = book.createStatement()) {
            sql.execute("insert into period values (random_uuid(), 'Old class', '2026-01-12', 'UTC', 'POINT', "
                    + "current_timestamp)");
            sql.execute("insert into bench select random_uuid(), id, 'Rowan', current_timestamp from period");
            sql.execute("insert into entry select random_uuid(), id, 'specific-heat-of-solid', 1, 1, null, null, "
                    + "current_timestamp from bench");
            sql.execute("insert into vessel values (random_uuid(), 'F-1', 'FOAM_CUP', current_timestamp)");
            sql.execute("insert into instrument values (random_uuid(), 'R-2', 'THERMOMETER', 0.1, 0, 50, 0.2, 0, "
                    + "current_timestamp)");
            sql.execute("insert into observation (id, entry_id, address, role, text, unit, who, made_at) "
                    + "select random_uuid(), id, 'water[1]/start', 'read', '20,00', '°C', 'Rowan', "
                    + "current_timestamp from entry");
            String entry = "(select id from entry)";
            sql.execute("insert into observation (id, entry_id, address, role, text, unit, who, made_at, supersedes) "
                    + "select random_uuid(), entry_id, "
                    + "address, role, device, unit, hand, made_at, id from observation, (values ('21,00', 'M. and K.'), "
                    + "('22,00', 'Rowan')) as devices(device, hand)");
            sql.execute("insert into calibration select random_uuid(), (select id from vessel), " + entry
                    + ", c, 0.5, 3, 100, 'found', 'Rowan', 'good', "
                    + "timestamp '2026-01-12 10:00:00+00' + c * interval '1' day from (values (9.0), (8.0), "
                    + "(7.0)) as constants(c)");
            flyway("latest");
            assertThat(one(sql, "select gain from instrument")).isEqualTo(0.002);
            // two devices had struck the same value out: both rows are there, the first of them counts
            assertThat(one(sql, "select count(*) from observation")).isEqualTo(3L);
            assertThat(one(sql, "select text from strike join observation on id = by_observation"))
                    .isEqualTo("21,00");
            assertThat(one(sql, "select constant from calibration order by seq desc limit 1"))
                    .isEqualTo(9.0);
            sql.execute("insert into calibration (id, vessel_id, entry_id, constant, own_uncertainty, "
                    + "degrees_of_freedom, fill, described, who_id, reason, "
                    + "adopted_at) select random_uuid(), vessel_id, entry_id, 5, 0.5, 3, 100, 'later', "
                    + "who_id, 'clock set back', "
                    + "timestamp '2020-01-01 10:00:00+00' from calibration limit 1");
            assertThat(one(sql, "select constant from calibration order by seq desc limit 1"))
                    .isEqualTo(5.0);
            try (ResultSet kept = sql.executeQuery("select text from observation")) {
                assertThat(kept.next()).isTrue();
                assertThat(kept.getString(1)).isEqualTo("20,00");
            }
            // names stand in one place: a bench’s rows are its own, who else signed is somebody of its period
            String named = "select listagg(name, ', ') within group (order by name) from person_name ";
            assertThat(one(sql, named)).isEqualTo("M. and K., Rowan");
            assertThat(one(sql, named + "where person_id = (select who_id from observation where text = '22,00')"))
                    .isEqualTo("Rowan");
            assertThat(one(sql, "select who_id from calibration where constant = 9"))
                    .isEqualTo(one(sql, "select id from bench"));
            assertThat(one(sql, "select count(*) from person where period_id = (select id from period)"))
                    .isEqualTo(2L);
            assertThatThrownBy(() -> sql.execute("update person_name set name = 'somebody else'"))
                    .hasStackTraceContaining("until it is erased");
            assertThatThrownBy(() -> sql.execute("delete from observation")).hasStackTraceContaining("only ever added");
            sql.execute("shutdown");
        }
    }

    private static Object one(Statement sql, String query) throws SQLException {
        try (ResultSet row = sql.executeQuery(query)) {
            assertThat(row.next()).isTrue();
            return row.getObject(1);
        }
    }

    /** What a start refuses as later than this version is what comes after the newest migration. */
    @Test
    void theNewestSchemaIsTheOneKnown() throws IOException {
        try (Stream<Path> migrations = Files.list(Path.of("src/main/resources/db/migration"))) {
            assertThat(migrations
                            .mapToInt(each -> Integer.parseInt(
                                    each.getFileName().toString().replaceAll("V(\\d+)__.*", "$1")))
                            .max())
                    .hasValue(Opening.SCHEMA);
        }
    }

    private static void flyway(String target) {
        Flyway.configure()
                .dataSource(OLD, "sa", "")
                .locations("classpath:db/migration")
                .target(target)
                .load()
                .migrate();
    }
}
