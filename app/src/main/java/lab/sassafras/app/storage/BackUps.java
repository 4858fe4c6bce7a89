package lab.sassafras.app.storage;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.HttpURLConnection;
import java.net.InetAddress;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Properties;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import javax.net.ssl.HttpsURLConnection;

/** The commands {@code backup} and {@code restore}; they run apart from the server and ask it where it has the book. */
public final class BackUps {

    static final String PATH = "/keeping/back-up";
    static final DateTimeFormatter STAMP = DateTimeFormatter.ofPattern("yyyyMMdd-HHmmss-SSS");

    private BackUps() {}

    /**
     * Backs a book up to a file: through its server while that runs, by copying it otherwise.
     *
     * @return what was done, in a sentence
     */
    public static String backUp(Path folder, Path to) throws CannotOpen {
        Home home = new Home(folder.toAbsolutePath().normalize());
        if (!Files.exists(home.book())) {
            throw new CannotOpen("There is no book in " + home.folder()
                    + ", so there is nothing to back up: name its folder with SASSAFRAS_HOME.");
        }
        try {
            Path made = running(home) ? asked(home) : copied(home);
            Files.copy(made, to, StandardCopyOption.REPLACE_EXISTING);
            Files.delete(made);
            return "The book in " + home.folder() + " is backed up in " + to.toAbsolutePath() + ".";
        } catch (IOException failed) {
            throw new CannotOpen("The back-up could not be written to " + to.toAbsolutePath()
                    + ": nothing of the book was changed; name a place with " + "room that can be written to.");
        }
    }

    static boolean running(Home home) {
        return ProcessHandle.of(Long.parseLong(RunningServer.read(home).getProperty("pid", "0")))
                .filter(ProcessHandle::isAlive)
                .isPresent();
    }

    private static Path asked(Home home) throws IOException {
        HttpURLConnection http = asking(home, PATH);
        http.getOutputStream().close();
        try (InputStream answer = http.getInputStream()) {
            return Path.of(new String(answer.readAllBytes(), StandardCharsets.UTF_8).strip());
        }
    }

    /** Something asked of the server that has the book open, by the word that only the folder tells. */
    static HttpURLConnection asking(Home home, String path) throws IOException {
        Properties running = RunningServer.read(home);
        String address = running.getProperty("address").replaceFirst("^(0\\.0\\.0\\.0|::)$", "127.0.0.1");
        URI asked = URI.create(
                running.getProperty("scheme", "http") + "://" + address + ":" + running.getProperty("port") + path);
        HttpURLConnection http = (HttpURLConnection) asked.toURL().openConnection();
        if (http instanceof HttpsURLConnection encrypted
                && InetAddress.getByName(address).isLoopbackAddress()) {
            OwnMachine.trusted(encrypted);
        }
        http.setRequestMethod("POST");
        http.setRequestProperty(RunningServer.WORD, running.getProperty("word"));
        http.setDoOutput(true);
        return http;
    }

    private static Path copied(Home home) throws IOException {
        Files.createDirectories(home.backUps());
        Path made = home.backUps().resolve("book-" + STAMP.format(LocalDateTime.now(ZoneId.systemDefault())) + ".zip");
        try (OutputStream out = Files.newOutputStream(made);
                ZipOutputStream zip = new ZipOutputStream(out)) {
            zip.putNextEntry(new ZipEntry(home.book().getFileName().toString()));
            Files.copy(home.book(), zip);
            zip.closeEntry();
        }
        return made;
    }

    /**
     * Brings a back-up back. What is there now is kept beside it under another name.
     *
     * @return what was done, in a sentence
     */
    public static String restore(Path folder, Path from) throws CannotOpen {
        Home home = new Home(folder.toAbsolutePath().normalize());
        if (running(home)) {
            throw new CannotOpen("The book in " + home.folder() + " is open" + RunningServer.where(home)
                    + ": close the server first, then restore.");
        }
        String name = home.book().getFileName().toString();
        try {
            Files.createDirectories(home.folder());
            Path fresh = Files.createTempDirectory(home.folder(), "restoring");
            try (ZipFile zip = new ZipFile(from.toFile());
                    InputStream book = zip.getInputStream(zip.getEntry(name))) {
                Files.copy(book, fresh.resolve(name));
            }
            withoutSignIns(new Home(fresh));
            String aside = "";
            if (Files.exists(home.book())) {
                Path kept = home.folder()
                        .resolve("book-before-" + STAMP.format(LocalDateTime.now(ZoneId.systemDefault())) + ".mv.db");
                Files.move(home.book(), kept);
                aside = " What was there is kept as " + kept.getFileName() + ".";
            }
            Files.move(fresh.resolve(name), home.book());
            try (var left = Files.list(fresh)) {
                for (Path each : left.toList()) {
                    Files.delete(each);
                }
            }
            Files.delete(fresh);
            return "The book of " + from.toAbsolutePath() + " is back in " + home.folder() + "." + aside;
        } catch (IOException | NullPointerException | SQLException failed) {
            throw new CannotOpen(
                    from.toAbsolutePath() + " is no back-up of a Sassafras book, or is damaged: the book in "
                            + home.folder() + " was not changed; choose another back-up.");
        }
    }

    /** A back-up may be old: whoever had come in then, knew a code or pushed by a token does so anew. */
    private static void withoutSignIns(Home home) throws SQLException {
        try (Connection book = DriverManager.getConnection(home.url() + ";IFEXISTS=TRUE", "sa", "");
                Statement sql = book.createStatement()) {
            if (!has(sql, "SIGN_IN")) {
                return;
            }
            sql.executeUpdate("update sign_in set ended_at = current_timestamp where ended_at is null");
            sql.executeUpdate("update reader_link set revoked_at = current_timestamp where revoked_at is null");
            sql.executeUpdate("delete from period_code");
            if (has(sql, "PROBE_TOKEN")) {
                sql.executeUpdate("update probe_token set revoked_at = current_timestamp where revoked_at is null");
            }
        }
    }

    /** Whether a book has a table: one of an earlier version may not. */
    private static boolean has(Statement sql, String table) throws SQLException {
        try (ResultSet known =
                sql.executeQuery("select count(*) from information_schema.tables where table_name = '" + table + "'")) {
            known.next();
            return known.getInt(1) > 0;
        }
    }
}
