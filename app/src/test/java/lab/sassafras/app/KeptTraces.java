package lab.sassafras.app;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.extension.AfterEachCallback;
import org.junit.jupiter.api.extension.ExtensionContext;

/** What a browser did in a test is kept in {@code target/traces} where it fails, and thrown away where it does not. */
final class KeptTraces implements AfterEachCallback {

    private static final Path FOLDER = Path.of("target", "traces");
    private static final List<Path> OF_THIS_TEST = new ArrayList<>();

    /** Where the next browser that closes writes what it did. */
    static synchronized Path next() {
        Path file = FOLDER.resolve(System.nanoTime() + ".zip");
        OF_THIS_TEST.add(file);
        return file;
    }

    @Override
    public void afterEach(ExtensionContext test) throws IOException {
        synchronized (KeptTraces.class) {
            for (Path each : OF_THIS_TEST) {
                if (test.getExecutionException().isEmpty()) {
                    Files.deleteIfExists(each);
                } else if (Files.exists(each)) {
                    String name = test.getRequiredTestClass().getSimpleName() + "."
                            + test.getRequiredTestMethod().getName();
                    Files.move(each, FOLDER.resolve(name + "-" + each.getFileName()));
                }
            }
            OF_THIS_TEST.clear();
        }
    }
}
