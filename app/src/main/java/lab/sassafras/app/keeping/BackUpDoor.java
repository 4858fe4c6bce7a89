package lab.sassafras.app.keeping;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.ZoneId;
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

    private final RunningServer server;
    private final JdbcTemplate database;

    BackUpDoor(RunningServer server, JdbcTemplate database) {
        this.server = server;
        this.database = database;
    }

    @PostMapping(BackUps.PATH)
    ResponseEntity<String> backUp(HttpServletRequest request) throws IOException {
        if (!server.obeys(request.getHeader(BackUps.WORD))) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body("Only who can read the folder of the book may ask for a back-up.");
        }
        Files.createDirectories(server.home().backUps());
        Path made = server.home()
                .backUps()
                .resolve("book-" + BackUps.STAMP.format(LocalDateTime.now(ZoneId.systemDefault())) + ".zip");
        database.update("backup to ?", made.toString());
        LOG.info("backed up to {}", made);
        return ResponseEntity.ok(made.toString());
    }
}
