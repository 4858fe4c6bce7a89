package lab.sassafras.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lab.sassafras.app.access.WhoIsHere;

/**
 * A hand at a bench without our pages, as an old tab or a script would send what it has. It keeps its cookies and its
 * seal.
 */
public final class Hand {

    private static final Pattern SEAL = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final String base;
    private final HttpClient http =
            HttpClient.newBuilder().connectTimeout(Duration.ofSeconds(2)).build();
    private final Map<String, String> cookies = new LinkedHashMap<>();
    private String seal;
    private String joined = "";

    /** Who lets a hand in as an instructor, by the address of its house. */
    private static final Map<String, Supplier<String>> DOORS = new ConcurrentHashMap<>();

    /** Says how a token of an instructor is got at a house. */
    public static void door(String base, Supplier<String> token) {
        DOORS.put(base, token);
    }

    /** A token by which one is an instructor of that house. */
    static String token(String base) {
        return DOORS.getOrDefault(base, () -> "").get();
    }

    /** The token this hand came in by. */
    public String token() {
        return cookies.getOrDefault(WhoIsHere.COOKIE, "");
    }

    /** The cookie it came in by. */
    public String here() {
        return WhoIsHere.COOKIE + "=" + token();
    }

    /** An instructor's. @param base address of the server, without a slash at its end */
    public Hand(String base) {
        this(base, token(base));
    }

    private Hand(String base, String token) {
        this.base = base;
        if (!token.isEmpty()) {
            cookies.put(WhoIsHere.COOKIE, token);
        }
        get(token.isEmpty() ? "/door" : "/periods");
        if (seal == null) {
            // a house of before there was a door
            get("/periods");
        }
    }

    /** A hand that did not come in. */
    public static Hand stranger(String base) {
        return new Hand(base, "");
    }

    /** A hand that came in by a token. */
    public static Hand with(String base, String token) {
        Hand hand = new Hand(base, "");
        hand.cookies.put(WhoIsHere.COOKIE, token);
        hand.get("/");
        return hand;
    }

    /** Opens a lab period. @return its path */
    public String openPeriod(String title) {
        return location(post("/periods", "title=" + encoded(title) + "&date=2026-11-18&zone=UTC&mark=POINT"));
    }

    /** The period that was joined. */
    public String period() {
        return joined;
    }

    /** Joins a bench, by the path of its period. */
    public Hand join(String period, String bench) {
        joined = period.replaceAll(".*/", "");
        location(post(period + "/join", "name=" + encoded(bench)));
        return this;
    }

    /** Begins an entry, what can hurt being read. @return its path */
    public String begin(String experiment) {
        return location(post("/entries", "minded=true&experiment=" + experiment));
    }

    /** Gives a value under a key of its own. */
    public HttpResponse<String> keep(String entry, UUID key, String at, String role, String text, String unit) {
        return post(
                entry + "/observations",
                "key=" + key + "&at=" + encoded(at) + "&role=" + role + "&text=" + encoded(text) + "&unit="
                        + encoded(unit));
    }

    public HttpResponse<String> get(String path) {
        HttpResponse<String> answer = send(request(path).GET());
        Matcher hidden = SEAL.matcher(answer.body());
        if (hidden.find()) {
            seal = hidden.group(1);
        }
        return answer;
    }

    /** A region of a page, as its script asks for it. */
    public String region(String path, String region) {
        return send(request(path).header("X-Region", region).GET()).body();
    }

    /** Whether a stream is opened to it: 1 where it is, 3 to the door, 4 where there is none, F where it is refused. */
    String listens(String path) {
        try {
            HttpResponse<?> said = http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofInputStream());
            boolean door = said.headers().firstValue("Location").orElse("").contains("/door");
            return door ? "3" : Map.of(404, "4", 403, "F").getOrDefault(said.statusCode(), "1");
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** What a stream says, as it says it. */
    public java.io.InputStream stream(String path) throws IOException, InterruptedException {
        return http.send(request(path).GET().build(), HttpResponse.BodyHandlers.ofInputStream())
                .body();
    }

    public HttpResponse<String> post(String path, String form) {
        return send(request(path)
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(BodyPublishers.ofString(form + "&_csrf=" + encoded(seal))));
    }

    /** Sends a run file through the import page. */
    public HttpResponse<String> upload(String name, byte[] file) {
        return upload("/import", name, file);
    }

    /** Sends a file through a form of one. */
    public HttpResponse<String> upload(String path, String name, byte[] file) {
        String head = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"" + name + "\"\r\n\r\n";
        byte[] body = (head + new String(file, StandardCharsets.ISO_8859_1) + "\r\n--part--\r\n")
                .getBytes(StandardCharsets.ISO_8859_1);
        return send(request(path)
                .header("Origin", base)
                .header("Content-Type", "multipart/form-data; boundary=part")
                .POST(BodyPublishers.ofByteArray(body)));
    }

    /** From now on sends a seal that was made up. */
    public void withoutSeal() {
        seal = "made up";
    }

    private HttpRequest.Builder request(String path) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(path.startsWith("http") ? path : base + path))
                .header("Accept", "text/html,*/*;q=0.5")
                .timeout(Duration.ofSeconds(60));
        if (!cookies.isEmpty()) {
            request.header(
                    "Cookie",
                    cookies.entrySet().stream()
                            .map(each -> each.getKey() + "=" + each.getValue())
                            .collect(Collectors.joining("; ")));
        }
        return request;
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = http.send(request.build(), BodyHandlers.ofString());
            answer.headers()
                    .allValues("Set-Cookie")
                    .forEach(
                            each -> cookies.put(each.replaceAll("=.*", ""), each.replaceAll("^[^=]*=([^;]*).*", "$1")));
            return answer;
        } catch (IOException gone) {
            throw new UncheckedIOException(gone);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(stopped);
        }
    }

    /** Where an answer sends the browser, as a path. */
    public static String location(HttpResponse<String> answer) {
        if (answer.statusCode() != 302) {
            throw new IllegalStateException(answer.request().uri() + " answered " + answer.statusCode());
        }
        return answer.headers().firstValue("Location").orElseThrow().replaceAll("^https?://[^/]*", "");
    }

    public static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
