package lab.sassafras.app.access;

import java.nio.charset.StandardCharsets;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** A table that is given out as a file. */
public final class CsvAnswer {

    private CsvAnswer() {}

    /** {@return a table between commas, to be kept under a name} */
    public static ResponseEntity<byte[]> of(String name, CharSequence table) {
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + ".csv\"")
                .body(table.toString().getBytes(StandardCharsets.UTF_8));
    }
}
