package lab.sassafras.benchmarks.house;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** The application's jar, and the same laid out as its own files, which starts sooner. */
public final class LaidOut {

    private static final String NAME = "sassafras-app-0.1.0-exec.jar";
    private static @Nullable Path laidOut;

    private LaidOut() {}

    /** The jar as it was built. */
    public static Path plain() {
        Path here = Path.of("").toAbsolutePath();
        return Stream.of(here, here.getParent())
                .map(each -> each.resolve("app/target").resolve(NAME))
                .filter(Files::exists)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("there is no " + NAME + "; build the application first"));
    }

    /** The laid-out one, laid out anew in a folder of its own for this run. */
    public static synchronized Path jar() throws IOException, InterruptedException {
        if (laidOut == null) {
            Path folder = Files.createTempDirectory("laid-out");
            Process process = new ProcessBuilder(
                            java(),
                            "-Djarmode=tools",
                            "-jar",
                            plain().toString(),
                            "extract",
                            "--destination",
                            folder.toString(),
                            "--force")
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            if (process.waitFor() != 0) {
                throw new IOException("the jar could not be laid out");
            }
            laidOut = folder.resolve(NAME);
        }
        return laidOut;
    }

    static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    /** A command that runs a jar of the application. */
    static List<String> command(Path jar, List<String> options, List<String> words) {
        return Stream.of(List.of(java()), options, List.of("-jar", jar.toString()), words)
                .flatMap(List::stream)
                .toList();
    }
}
