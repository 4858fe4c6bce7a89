package lab.sassafras.benchmarks.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.RandomAccessFile;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermissions;
import java.security.KeyStore;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.Map;
import java.util.UUID;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import lab.sassafras.app.Hand;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What can befall a book: each time one plain sentence that says what to do, never a trace, never an empty book. */
class WeatherTest {

    @TempDir
    private static Path folder;

    private static Server server;
    private static Hand early;
    private static String token = "";
    private static Path backUp;

    /** A book with something in it, backed up while it is in use. */
    @BeforeAll
    static void aBookInUse() throws Exception {
        server = Server.start(folder.resolve("book"), Server.QUICK_START, Map.of());
        early = new Hand(server.base());
        token = early.join(early.openPeriod("Before the back-up"), "Alder")
                .post("/bench/probes", "name=a+probe")
                .body()
                .replaceAll("(?s).*id=\"secret\" readonly value=\"([^\"]+)\".*", "$1");
        assertThat(pushed(server)).isEqualTo(200);
        backUp = folder.resolve("back-up.zip");
        assertThat(Server.sayAndEnd(server.home(), 0, Map.of(), "backup", backUp.toString()))
                .startsWith("0 ")
                .contains("is backed up in");
        write(server, "After the back-up");
    }

    @AfterAll
    static void closed() throws Exception {
        server.close();
    }

    /** How a row that a probe pushes is answered. */
    private static int pushed(Server server) throws Exception {
        return HttpClient.newHttpClient()
                .send(
                        HttpRequest.newBuilder(URI.create(server.base() + "/push/" + UUID.randomUUID()))
                                .header("Authorization", "Bearer " + token)
                                .POST(HttpRequest.BodyPublishers.ofString("{\"t\": 1, \"value\": 21.4}"))
                                .build(),
                        HttpResponse.BodyHandlers.discarding())
                .statusCode();
    }

    private static void write(Server server, String title) {
        new Hand(server.base()).openPeriod(title);
    }

    private static void stops(String said, String... parts) {
        assertThat(said).startsWith("1 ").contains(parts).doesNotContain("Exception", "\tat ", "http://127.0.0.1:0");
        assertThat(said.lines()).as("one sentence").hasSize(1);
    }

    private Path copyOfTheBook(String name) throws Exception {
        Path home = folder.resolve(name);
        assertThat(Server.sayAndEnd(home, 0, Map.of(), "restore", backUp.toString()))
                .startsWith("0 ");
        Files.createFile(home.resolve("book.begun"));
        return home;
    }

    @Test
    void aBackUpMadeInUseIsBroughtBackWithAllItHeld() throws Exception {
        try (Server again = Server.start(copyOfTheBook("drill"), Server.QUICK_START, Map.of())) {
            assertThat(early.get("/periods").statusCode()).isEqualTo(200);
            assertThat(Hand.with(again.base(), early.token())
                            .get("/periods")
                            .headers()
                            .firstValue("Location"))
                    .as("whoever had come in does so anew")
                    .hasValueSatisfying(to -> assertThat(to).contains("/door"));
            assertThat(pushed(again)).as("and no probe pushes on").isEqualTo(403);
            assertThat(new Hand(again.base()).get("/periods").body())
                    .contains("Before the back-up")
                    .doesNotContain("After the back-up");
            assertThat(Server.sayAndEnd(again.home(), 0, Map.of(), "restore", backUp.toString()))
                    .startsWith("1 ")
                    .contains("close the server first");
        }
        Path home = folder.resolve("drill");
        assertThat(Server.sayAndEnd(home, 0, Map.of(), "restore", backUp.toString()))
                .startsWith("0 ")
                .contains("What was there is kept as");
        Files.writeString(folder.resolve("nonsense.zip"), "no zip");
        assertThat(Server.sayAndEnd(
                        home,
                        0,
                        Map.of(),
                        "restore",
                        folder.resolve("nonsense.zip").toString()))
                .startsWith("1 ")
                .contains("is no back-up");
        assertThat(Files.size(home.resolve("book.mv.db"))).isPositive();
    }

    /** A book that nobody leads is opened on its own machine only. */
    @Test
    void withoutAnInstructorNoOtherMachineIsLetIn() throws Exception {
        Map<String, String> everywhere = Map.of("SASSAFRAS_ADDRESS", "0.0.0.0");
        stops(
                Server.sayAndEnd(folder.resolve("nobody"), Server.freePort(), everywhere),
                "has no instructor yet",
                "start without SASSAFRAS_ADDRESS");
        try (Server led = Server.start(copyOfTheBook("led"), Server.QUICK_START, everywhere)) {
            assertThat(new Hand(led.base()).get("/periods").statusCode()).isEqualTo(200);
        }
    }

    /** With a certificate it made itself, the machine still talks to its own server, and cookies stay encrypted. */
    @Test
    void overHttpsTheCommandsWorkAndCookiesAreSecure() throws Exception {
        Path store = folder.resolve("bench.p12");
        Process made = new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "keytool")
                                .toString(),
                        "-genkeypair",
                        "-alias",
                        "bench",
                        "-keyalg",
                        "EC",
                        "-storetype",
                        "PKCS12",
                        "-keystore",
                        store.toString(),
                        "-storepass",
                        "changeit",
                        "-dname",
                        "CN=localhost",
                        "-ext",
                        "san=ip:127.0.0.1,dns:localhost")
                .redirectErrorStream(true)
                .start();
        made.getInputStream().readAllBytes();
        assertThat(made.waitFor()).isZero();
        Map<String, String> encrypted = Map.of(
                "SERVER_SSL_KEY_STORE", store.toString(),
                "SERVER_SSL_KEY_STORE_PASSWORD", "changeit",
                "SERVER_SSL_KEY_STORE_TYPE", "PKCS12");
        try (Server https = Server.startUnasked(copyOfTheBook("https"), encrypted)) {
            assertThat(https.base()).startsWith("https://");
            assertThat(Server.sayAndEnd(
                            https.home(),
                            0,
                            Map.of(),
                            "backup",
                            folder.resolve("https.zip").toString()))
                    .startsWith("0 ");
            HttpResponse<String> answer = trusting(store)
                    .send(
                            HttpRequest.newBuilder(URI.create(https.base() + "/door"))
                                    .build(),
                            BodyHandlers.ofString());
            assertThat(answer.statusCode()).isEqualTo(200);
            assertThat(answer.headers().firstValue("Strict-Transport-Security")).isEmpty();
            assertThat(answer.headers().allValues("Set-Cookie"))
                    .isNotEmpty()
                    .allSatisfy(cookie -> assertThat(cookie).contains("Secure"));
        }
    }

    private static HttpClient trusting(Path store) throws Exception {
        TrustManagerFactory known = TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
        known.init(KeyStore.getInstance(store.toFile(), "changeit".toCharArray()));
        SSLContext context = SSLContext.getInstance("TLS");
        context.init(null, known.getTrustManagers(), null);
        return HttpClient.newBuilder().sslContext(context).build();
    }

    @Test
    void onlyTheOwnerReadsTheWordAndNobodyElseIsObeyed() throws Exception {
        assertThat(PosixFilePermissions.toString(
                        Files.getPosixFilePermissions(server.home().resolve("running.properties"))))
                .isEqualTo("rw-------");
        assertThat(new Hand(server.base()).post("/keeping/back-up", "").statusCode())
                .isEqualTo(403);
    }

    @Test
    void aSecondServerOnTheSameBookIsToldWhereTheFirstIs() throws Exception {
        stops(
                Server.sayAndEnd(server.home(), Server.freePort(), Map.of()),
                "is open in another Sassafras",
                server.base());
    }

    @Test
    void aTakenPortIsNamedWithAnother() throws Exception {
        try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getByName("127.0.0.1"))) {
            stops(
                    Server.sayAndEnd(folder.resolve("port"), taken.getLocalPort(), Map.of()),
                    "Port " + taken.getLocalPort(),
                    "SASSAFRAS_PORT=");
        }
        stops(
                Server.sayAndEnd(folder.resolve("port"), 0, Map.of("SASSAFRAS_PORT", "eighty")),
                "“eighty” is not a port");
        stops(
                Server.sayAndEnd(folder.resolve("port"), 0, Map.of("SASSAFRAS_ADDRESS", "203.0.113.7")),
                "203.0.113.7",
                "SASSAFRAS_ADDRESS");
    }

    @Test
    void aFolderThatCannotBeWrittenToIsNamed() throws Exception {
        stops(
                Server.sayAndEnd(Path.of("/proc/sassafras"), 0, Map.of()),
                "/proc/sassafras cannot be written to",
                "SASSAFRAS_HOME");
    }

    @Test
    void aBookThatIsGoneOrEmptyIsNotReplacedByAnEmptyOne() throws Exception {
        Path home = copyOfTheBook("gone");
        Files.delete(home.resolve("book.mv.db"));
        stops(Server.sayAndEnd(home, 0, Map.of()), "is gone", "./restore");
        Files.createFile(home.resolve("book.mv.db"));
        stops(Server.sayAndEnd(home, 0, Map.of()), "is empty", "./restore");
        assertThat(Files.size(home.resolve("book.mv.db"))).isZero();
    }

    @Test
    void aDamagedBookIsLeftAsItIs() throws Exception {
        Path home = copyOfTheBook("damaged");
        byte[] noise = new byte[8192];
        new java.util.Random(7).nextBytes(noise);
        try (RandomAccessFile book =
                new RandomAccessFile(home.resolve("book.mv.db").toFile(), "rw")) {
            for (long at = 0; at < book.length(); at += 12288) {
                book.seek(at);
                book.write(noise, 0, (int) Math.min(noise.length, book.length() - at));
            }
        }
        byte[] before = Files.readAllBytes(home.resolve("book.mv.db"));
        stops(Server.sayAndEnd(home, 0, Map.of()), "is damaged", "./restore");
        assertThat(Files.readAllBytes(home.resolve("book.mv.db"))).isEqualTo(before);
    }

    @Test
    void aBookOfALaterVersionIsNotTouched() throws Exception {
        Path home = copyOfTheBook("later");
        try (Connection book = DriverManager.getConnection("jdbc:h2:file:" + home.resolve("book"), "sa", "")) {
            book.createStatement()
                    .execute("insert into \"flyway_schema_history\" select 900, '900', 'later', 'SQL', "
                            + "'V900__later.sql', 1, 'sa', "
                            + "current_timestamp, 1, true");
        }
        stops(Server.sayAndEnd(home, 0, Map.of()), "written by a later version", "its schema is 900");
    }
}
