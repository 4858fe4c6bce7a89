package lab.sassafras.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.runfile.RunFileWriter;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** What {@code .run/write-example} runs: a file is brought in and written again, here over a copy of an example. */
class WriteExampleTest extends HouseTest {

    @Autowired
    private RunFileWriter writer;

    private Path rewritten(Path file) throws IOException {
        Entry entry = imports.take(Files.readAllBytes(file), file.getFileName().toString(), A_TEST)
                .orThrow();
        Files.write(file, writer.write(entry));
        return file;
    }

    @Test
    void aFileIsWrittenAsItsExampleStands() throws IOException {
        String named = System.getProperty("sassafras.example");
        if (named != null) {
            rewritten(Path.of(named));
            return;
        }
        String wanted = new String(example("fusion-of-ice"), java.nio.charset.StandardCharsets.UTF_8);
        Path loose = Files.writeString(
                Files.createTempFile("example", ".json"), wanted.replaceAll("\\s+\n\\s*|\\n\\s*", " "));
        assertThat(Files.readString(rewritten(loose)).strip()).isEqualTo(wanted.strip());
    }
}
