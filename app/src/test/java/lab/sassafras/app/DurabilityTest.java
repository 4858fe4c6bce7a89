package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.File;
import java.io.IOException;
import java.net.ServerSocket;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.parallel.Execution;
import org.junit.jupiter.api.parallel.ExecutionMode;

/** The real application as a process, killed at seeded moments while several clients save. */
@Execution(ExecutionMode.CONCURRENT)
class DurabilityTest {

    private static final int KILLS = 20;
    private static final int CLIENTS = 3;

    private final HttpClient http = HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    private final Map<UUID, String> acknowledged = new ConcurrentHashMap<>();
    private final AtomicInteger counter = new AtomicInteger();
    private String base;
    private String cookies;

    @Test
    void noAcknowledgedValueIsMissingAfterTwentyKills() throws Exception {
        Path home = Files.createTempDirectory("durability");
        Random random = new Random(20261118);
        String entry = null;
        for (int kill = 0; kill < KILLS; kill++) {
            Process process = start(home);
            entry = entry == null ? begin() : entry;
            String at = entry;
            int before = acknowledged.size();
            List<Thread> clients = IntStream.range(0, CLIENTS).mapToObj(each -> new Thread(() -> save(at))).toList();
            clients.forEach(Thread::start);
            // seeded, and never before something was there to lose
            Thread.sleep(200 + random.nextInt(900));
            while (acknowledged.size() == before) {
                Thread.sleep(5);
            }
            process.destroyForcibly().waitFor();
            for (Thread client : clients) {
                client.join();
            }
        }
        Process process = start(home);
        try {
            Map<String, Long> texts = csv(entry);
            acknowledged.forEach((id, text) -> assertThat(texts).as("acknowledged " + id).containsEntry(text, 1L));
            assertThat(acknowledged.size()).isGreaterThan(KILLS);
        } finally {
            process.destroyForcibly().waitFor();
        }
        System.out.println("durability: " + acknowledged.size() + " values acknowledged over " + KILLS + " kills, none missing");
    }

    private Process start(Path home) throws IOException, InterruptedException {
        int port;
        try (ServerSocket free = new ServerSocket(0)) {
            port = free.getLocalPort();
        }
        base = "http://127.0.0.1:" + port;
        ProcessBuilder command = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC", "-Xshare:auto", "-cp", System.getProperty("java.class.path"),
                SassafrasApplication.class.getName(), "--server.port=" + port, "--sassafras.home=" + home,
                "--spring.main.lazy-initialization=true");
        Process process = command.redirectErrorStream(true).redirectOutput(new File(home.toFile(), "out.log")).start();
        for (int i = 0; i < 600; i++) {
            try {
                if (http.send(HttpRequest.newBuilder(URI.create(base + "/health")).build(), BodyHandlers.discarding()).statusCode() == 200) {
                    return process;
                }
            } catch (IOException notYet) {
                Thread.sleep(100);
            }
        }
        throw new AssertionError("the application did not start:\n" + Files.readString(home.resolve("out.log")));
    }

    /** Opens a period, joins a bench and begins an entry, as a browser would. */
    private String begin() throws Exception {
        String period = location(post("/periods", "title=Durability&date=2026-11-18&zone=UTC&mark=POINT", token()));
        HttpResponse<String> joined = post(period + "/join", "name=Rowan", token());
        cookies = joined.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0];
        return location(post("/entries", "experiment=specific-heat-of-solid", token())).replaceAll(".*/entries/", "");
    }

    /** Saves until the server is gone; what was answered is remembered. */
    private void save(String entry) {
        try {
            String token = token();
            for (;;) {
                UUID key = UUID.randomUUID();
                String text = String.format("%d.%03d", 20 + counter.get() / 1000, counter.getAndIncrement() % 1000);
                HttpResponse<String> answer = post("/entries/" + entry + "/observations", "key=" + key + "&at="
                        + URLEncoder.encode("water[1]/start", StandardCharsets.UTF_8) + "&role=read&text=" + text + "&unit=%C2%B0C", token);
                if (answer.statusCode() == 302) {
                    acknowledged.put(key, text);
                }
            }
        } catch (Exception gone) {
            // killed: what was not answered is not promised
        }
    }

    private String token() throws Exception {
        HttpResponse<String> page = http.send(HttpRequest.newBuilder(URI.create(base + "/periods")).build(), BodyHandlers.ofString());
        Matcher hidden = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"").matcher(page.body());
        assertThat(hidden.find()).isTrue();
        return page.headers().firstValue("Set-Cookie").orElseThrow().split(";")[0] + "|" + hidden.group(1);
    }

    private HttpResponse<String> post(String path, String form, String token) throws Exception {
        String[] parts = token.split("\\|");
        HttpRequest request = HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : base + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .header("Cookie", parts[0] + (cookies == null ? "" : "; " + cookies))
                .POST(BodyPublishers.ofString(form + "&_csrf=" + URLEncoder.encode(parts[1], StandardCharsets.UTF_8))).build();
        return http.send(request, BodyHandlers.ofString());
    }

    private String location(HttpResponse<String> answer) {
        assertThat(answer.statusCode()).isEqualTo(302);
        return answer.headers().firstValue("Location").orElseThrow();
    }

    /** Every text in the observations, with how often it stands there. */
    private Map<String, Long> csv(String entry) throws Exception {
        String csv = http.send(HttpRequest.newBuilder(URI.create(base + "/entries/" + entry + "/observations.csv")).build(),
                BodyHandlers.ofString()).body();
        return csv.lines().skip(1).map(line -> line.replaceAll(".*,read,([^,]+),.*", "$1"))
                .collect(java.util.stream.Collectors.groupingBy(text -> text, java.util.stream.Collectors.counting()));
    }
}
