package lab.sassafras.substance;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;

/** The tables that lie beside these classes: cells between semicolons, a line of heads, remarks after a #. */
final class Table {

    private Table() {}

    /** The rows of a table, its heads left out. */
    static Stream<String[]> rows(String resource) {
        try (InputStream in = Table.class.getResourceAsStream(resource)) {
            if (in == null) {
                throw new IllegalStateException("no table called " + resource);
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.isBlank() && !line.startsWith("#"))
                    .skip(1)
                    .map(line -> line.split(";", -1));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
