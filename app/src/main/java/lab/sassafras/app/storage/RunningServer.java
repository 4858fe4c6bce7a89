package lab.sassafras.app.storage;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Properties;
import lab.sassafras.app.settings.Encryption;
import lab.sassafras.app.settings.HouseSettings;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Says in a file beside the book, once everything is ready, where the server can be reached and which word it obeys.
 * Only the owner of the folder can read it, so whoever knows the word may ask for a back-up.
 */
@Component
public class RunningServer {

    /** Where an instructor is made by whoever knows the word. */
    public static final String INSTRUCTOR = "/keeping/instructor";

    /** The header that word comes in. */
    public static final String WORD = "X-Sassafras-Word";

    private static final Logger LOG = LoggerFactory.getLogger(RunningServer.class);

    private final Home home;
    private final String address;
    private final String scheme;
    private final String word;

    RunningServer(HouseSettings settings, @Value("${server.address}") String address, Encryption encryption) {
        this.scheme = encryption.scheme();
        this.home = new Home(settings.home().toAbsolutePath().normalize());
        this.address = address;
        byte[] random = new byte[24];
        new SecureRandom().nextBytes(random);
        this.word = HexFormat.of().formatHex(random);
    }

    Home home() {
        return home;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) throws IOException {
        int port =
                event.getApplicationContext() instanceof WebServerApplicationContext web && web.getWebServer() != null
                        ? web.getWebServer().getPort()
                        : 0;
        if (!Files.exists(home.begun())) {
            Files.createFile(home.begun());
        }
        Properties properties = new Properties();
        properties.setProperty("pid", String.valueOf(ProcessHandle.current().pid()));
        properties.setProperty("address", address);
        properties.setProperty("port", String.valueOf(port));
        properties.setProperty("scheme", scheme);
        properties.setProperty("word", word);
        // made by createTempFile, so that only its owner can read it
        Path written = Files.createTempFile(home.folder(), "running", "");
        try (Writer out = Files.newBufferedWriter(written, StandardCharsets.UTF_8)) {
            properties.store(out, null);
        }
        Files.move(
                written,
                home.running(),
                java.nio.file.StandardCopyOption.REPLACE_EXISTING,
                java.nio.file.StandardCopyOption.ATOMIC_MOVE);
        LOG.info("open on port {}", port);
    }

    @PreDestroy
    void closed() throws IOException {
        if (String.valueOf(ProcessHandle.current().pid()).equals(read(home).getProperty("pid"))) {
            Files.deleteIfExists(home.running());
        }
    }

    /** {@return whether somebody said the word that stands in the folder of the book} */
    public boolean obeys(@org.jspecify.annotations.Nullable String said) {
        return said != null
                && MessageDigest.isEqual(word.getBytes(StandardCharsets.UTF_8), said.getBytes(StandardCharsets.UTF_8));
    }

    /** What the file says; empty where there is none. */
    static Properties read(Home home) {
        Properties properties = new Properties();
        if (Files.isReadable(home.running())) {
            try (Reader in = Files.newBufferedReader(home.running(), StandardCharsets.UTF_8)) {
                properties.load(in);
            } catch (IOException failed) {
                throw new UncheckedIOException(failed);
            }
        }
        return properties;
    }

    /** Where the other server is, as far as it says so. */
    static String where(Home home) {
        Properties running = read(home);
        return running.isEmpty()
                ? ""
                : " (" + running.getProperty("scheme", "http") + "://" + running.getProperty("address") + ":"
                        + running.getProperty("port") + "/)";
    }
}
