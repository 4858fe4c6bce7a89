package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.net.http.HttpRequest.BodyPublishers;
import java.nio.charset.StandardCharsets;
import java.util.List;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Who may reach the book, by which name, from which page, with what, and for how long. */
@Tag("long")
class DoorsTest extends HouseTest {

    /** What the server answers to exactly these bytes. */
    private String raw(String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", URI.create(address("")).getPort())) {
            socket.setSoTimeout(20_000);
            socket.getOutputStream().write(request.getBytes(StandardCharsets.UTF_8));
            return new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "localhost, 200",
        "127.0.0.1:8420, 200",
        "bench.lab.example, 200",
        "BENCH.lab.example:80, 200",
        "elsewhere.example, 421",
        "127.0.0.1.elsewhere.example, 421",
        "localhost@elsewhere.example, 400"
    })
    void onlyNamesOnTheListReachTheBook(String host, int status) throws IOException {
        assertThat(raw("GET /door HTTP/1.1\r\nHost: " + host + "\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 " + status);
    }

    @Test
    void aNameNotOnTheListIsToldWhereTheListIs() throws IOException {
        assertThat(raw("GET / HTTP/1.1\r\nHost: elsewhere.example\r\nConnection: close\r\n\r\n"))
                .contains("SASSAFRAS_HOSTS")
                .doesNotContain("<html");
    }

    /**
     * A page of another name, of another port, or of nowhere cannot have a file taken in, however the address is
     * spelt.
     */
    @ParameterizedTest
    @CsvSource({
        "/import, ''",
        "/import, http://elsewhere.example",
        "/import, http://localhost:1",
        "/import, 'null'",
        "/%69mport, ''",
        "/keeping/back-up, http://elsewhere.example"
    })
    void aFileComesFromOurOwnPageOnly(String path, String origin) throws IOException {
        int before = periodBook.all().size();
        String head = origin.isEmpty() ? "" : "Origin: " + origin + "\r\n";
        assertThat(raw("POST " + path + " HTTP/1.1\r\nHost: localhost\r\n" + head
                        + "Content-Length: 0\r\nConnection: close\r\n\r\n"))
                .startsWith("HTTP/1.1 403");
        assertThat(periodBook.all()).hasSize(before);
    }

    @Test
    void everyCookieStaysWithUs() {
        List<String> cookies = get("/periods").headers().allValues("Set-Cookie");
        assertThat(cookies)
                .isNotEmpty()
                .allSatisfy(cookie -> assertThat(cookie).containsPattern("SameSite=(Strict|Lax)"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"\u200b\u200b", "\u202egnireve", "tab\tbed", "\u0000", "  ", "a\nb"})
    void aTitleNobodyCanSeeIsRefused(String title) {
        int before = periodBook.all().size();
        var answer = new Hand(address(""))
                .post("/periods", "title=" + Hand.encoded(title) + "&date=2026-11-18&zone=UTC&mark=POINT");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("id=\"title-problem\"");
        assertThat(periodBook.all()).hasSize(before);
    }

    @Test
    void aDayNobodyLivesToSeeIsRefused() {
        assertThat(new Hand(address(""))
                        .post("/periods", "title=Far&date=%2B999999999-01-01&zone=UTC&mark=POINT")
                        .body())
                .contains("1900 to 2199");
        Entry entry = imported("2-grey-slug.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Hawthorn");
        assertThat(hand.keep(
                                "/entries/" + entry.id(),
                                java.util.UUID.randomUUID(),
                                "sample[1]/moved",
                                "stated",
                                "+1000000000-01-01T00:00:00Z",
                                "")
                        .body())
                .contains("1900 to 2199");
    }

    @Test
    void anUploadCutOffIsCalledMalformedAndNotLarge() {
        var answer = send(request("/import")
                .header("Origin", address(""))
                .header("Accept", "text/html")
                .header("Content-Type", "multipart/form-data; boundary=part")
                .POST(BodyPublishers.ofString("--part\r\nContent-Disposition: form-da")));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("no form with a file in it").doesNotContain("larger");
        assertThat(send(request("/import")
                                .header("Origin", address(""))
                                .header("Accept", "text/html")
                                .header("Content-Type", "text/plain")
                                .POST(BodyPublishers.ofString("{}")))
                        .body())
                .contains("no form with a file in it");
    }

    /** A body that trickles is given up after a while; meanwhile and afterwards everybody else is served. */
    @ParameterizedTest
    @CsvSource({
        "/import, multipart/form-data; boundary=part",
        "/api/reduce, application/json",
        "/periods, application/x-www-form-urlencoded"
    })
    void aBodyThatTricklesIsGivenUpAndBlocksNobody(String path, String type) throws Exception {
        assertThat(trickled(path, type, cookie())).startsWith("HTTP/1.1 408").contains("took too long to arrive");
    }

    /** One who did not come in is refused at once, and hung up on when the rest does not arrive in time. */
    @Test
    void aStrangersBodyThatTricklesIsHungUpOn() throws Exception {
        assertThat(trickled("/api/reduce", "application/json", "none=none")).startsWith("HTTP/1.1 403");
    }

    private String trickled(String path, String type, String cookie) throws Exception {
        try (Socket slow = new Socket("127.0.0.1", URI.create(address("")).getPort())) {
            slow.setSoTimeout(20_000);
            OutputStream out = slow.getOutputStream();
            out.write(("POST " + path + " HTTP/1.1\r\nHost: localhost\r\nOrigin: http://localhost\r\nCookie: " + cookie
                            + "\r\nContent-Type: " + type + "\r\nContent-Length: 1000000\r\n\r\n--part\r\n")
                    .getBytes(StandardCharsets.UTF_8));
            Thread trickle = new Thread(() -> {
                try {
                    for (; ; ) {
                        out.write('x');
                        out.flush();
                        Thread.sleep(100);
                    }
                } catch (IOException | InterruptedException hungUp) {
                    // as it should be
                }
            });
            trickle.start();
            assertThat(get("/periods").statusCode()).isEqualTo(200);
            String said = answer(slow.getInputStream());
            trickle.interrupt();
            return said;
        }
    }

    /** A body without an end is answered, and then cut off. */
    @Test
    void aBodyWithoutAnEndIsCutOff() throws IOException {
        byte[] block = ("100000\r\n" + "x".repeat(0x100000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
        int sent = 0;
        try (Socket endless = new Socket("127.0.0.1", URI.create(address("")).getPort())) {
            endless.getOutputStream()
                    .write("POST /api/reduce HTTP/1.1\r\nHost: localhost\r\nTransfer-Encoding: chunked\r\n\r\n"
                            .getBytes(StandardCharsets.US_ASCII));
            while (sent < 500) {
                endless.getOutputStream().write(block);
                sent++;
            }
        } catch (IOException hungUp) {
            // as it should be
        }
        assertThat(sent).as("megabytes taken").isLessThan(100);
        assertThat(get("/periods").statusCode()).isEqualTo(200);
    }

    private static String answer(InputStream in) {
        StringBuilder said = new StringBuilder();
        try {
            for (int next = in.read(); next >= 0; next = in.read()) {
                said.append((char) next);
            }
        } catch (IOException reset) {
            // the server hung up while we were still sending
        }
        return said.toString();
    }

    @Test
    void whatASpreadsheetWouldTakeForAFormulaIsGuardedInEveryCell() {
        Entry entry = imported("11-three-metals.json");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "@lder");
        Observation name = observationBook.of(entry.id()).standing().stream()
                .filter(each -> each.address().endsWith("/name"))
                .findFirst()
                .orElseThrow();
        assertThat(hand.post(
                                "/entries/" + entry.id() + "/observations",
                                "at=" + Hand.encoded(name.address()) + "&role=stated&supersedes=" + name.id() + "&text="
                                        + Hand.encoded("=HYPERLINK(1)") + "&reason=" + Hand.encoded("+cmd"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(get("/entries/" + entry.id() + "/observations.csv").body())
                .contains(",'=HYPERLINK(1),", ",'@lder,", ",'+cmd\r\n");
    }
}
