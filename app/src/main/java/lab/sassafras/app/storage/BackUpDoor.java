package lab.sassafras.app.storage;

import jakarta.servlet.http.HttpServletRequest;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.zip.Deflater;
import java.util.zip.ZipOutputStream;
import org.h2.engine.Session;
import org.h2.engine.SessionLocal;
import org.h2.jdbc.JdbcConnection;
import org.h2.mvstore.db.Store;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.PostMapping;

/** Makes a back-up of the open book for whoever knows the word; answers with where it lies. */
@Controller
class BackUpDoor {

    private static final Logger LOG = LoggerFactory.getLogger(BackUpDoor.class);

    private static final int IN_ONE_PIECE = 1 << 20;

    private final RunningServer server;
    private final JdbcTemplate database;

    BackUpDoor(RunningServer server, JdbcTemplate database) {
        this.server = server;
        this.database = database;
    }

    @PostMapping(BackUps.PATH)
    ResponseEntity<String> backUp(HttpServletRequest request) throws IOException {
        if (!server.obeys(request.getHeader(RunningServer.WORD))) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body("Only who can read the folder of the book may ask for a back-up.");
        }
        Files.createDirectories(server.home().backUps());
        Path made = server.home()
                .backUps()
                .resolve("book-" + BackUps.STAMP.format(LocalDateTime.now(ZoneId.systemDefault())) + ".zip");
        database.execute((Connection connection) -> written(connection, made));
        LOG.info("backed up to {}", made);
        return ResponseEntity.ok(made.toString());
    }

    /**
     * Writes the book as it stands to a file, as the command BACKUP does, but in large pieces and packed lightly: four
     * times as fast, for a file a third larger.
     */
    private static Path written(Connection connection, Path made) throws SQLException {
        Session session = connection.unwrap(JdbcConnection.class).getSession();
        Store store = ((SessionLocal) session).getDatabase().getStore();
        store.flush();
        try (ZipOutputStream zip =
                new ZipOutputStream(new BufferedOutputStream(Files.newOutputStream(made), IN_ONE_PIECE))) {
            zip.setLevel(Deflater.BEST_SPEED);
            store.getMvStore().getFileStore().backup(zip);
            return made;
        } catch (IOException failed) {
            throw new UncheckedIOException(failed);
        }
    }
}
