package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
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
        assertThat(settings.getProperty("logging.logback.rollingpolicy.max-file-size")).isEqualTo("5MB");
    }

    /** A book as the first release wrote it, brought up to the newest schema: nothing lost, still guarded. */
    @Test
    void aBookOfTheFirstReleaseIsUpgradedWithWhatItHolds() throws SQLException {
        flyway("1");
        try (Connection book = DriverManager.getConnection(OLD, "sa", ""); Statement sql = book.createStatement()) {
            sql.execute("insert into period values (random_uuid(), 'Old class', '2026-01-12', 'UTC', 'POINT', current_timestamp)");
            sql.execute("insert into bench select random_uuid(), id, 'Rowan', current_timestamp from period");
            sql.execute("insert into entry select random_uuid(), id, 'specific-heat-of-solid', 1, 1, null, null, current_timestamp from bench");
            sql.execute("insert into observation (id, entry_id, address, role, text, unit, who, made_at) "
                    + "select random_uuid(), id, 'water[1]/start', 'read', '20,00', '°C', 'Rowan', current_timestamp from entry");
            flyway("latest");
            try (ResultSet kept = sql.executeQuery("select text from observation")) {
                assertThat(kept.next()).isTrue();
                assertThat(kept.getString(1)).isEqualTo("20,00");
            }
            assertThatThrownBy(() -> sql.execute("delete from observation")).hasStackTraceContaining("only ever added");
            sql.execute("shutdown");
        }
    }

    private static void flyway(String target) {
        Flyway.configure().dataSource(OLD, "sa", "").locations("classpath:db/migration").target(target).load().migrate();
    }
}
