package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** One file of several probes: each finds its trial or its trend, and the trials stand side by side on one strip. */
@Tag("long")
class ProbesTest extends HouseTest {

    private static final String HEAD = "time (s);cup 1;cup 2;bath\n";

    private Hand hand;
    private String entry;
    private String pending;

    @BeforeEach
    void bringAFile() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Three probes, " + UUID.randomUUID()), "Rowan");
        equip("probes");
        String thermometer = instruments.all().stream()
                .filter(each -> each.name().equals("thermometer probes"))
                .findFirst()
                .orElseThrow()
                .key();
        entry = hand.begin("specific-heat-of-solid&thermometer=" + thermometer).replaceAll("\\?.*", "");
        String rows = IntStream.rangeClosed(0, 18)
                .mapToObj(i -> 30 * i + ";" + (i < 6 ? "21.3" : "24." + (9 - i / 3)) + ";"
                        + (i < 6 ? "21.5" : "26." + (9 - i / 3)) + ";9" + (9 - i / 3) + ".2")
                .collect(Collectors.joining("\n", HEAD, "\n"));
        HttpResponse<String> shown =
                hand.upload("/import/clock?trial=1&entry=" + id(), "probes.csv", rows.getBytes(StandardCharsets.UTF_8));
        assertThat(shown.body()).contains("Other probes in the same file", "cup 2", "bath, solid in it, for its trend");
        assertThat(shown.body())
                .as("the bench's thermometer is proposed")
                .containsPattern("value=\"" + thermometer + "\"\\s+selected");
        Matcher waits = Pattern.compile("name=\"pending\" value=\"([^\"]+)\"").matcher(shown.body());
        assertThat(waits.find()).isTrue();
        pending = waits.group(1);
    }

    private String id() {
        return entry.replaceAll(".*/", "");
    }

    private HttpResponse<String> keep(String columns) {
        return hand.post(entry + "/clock/file/keep", "trial=1&what=keep&pending=" + pending + columns);
    }

    private Map<String, String> clocks() {
        return decisionBook.of(UUID.fromString(id())).clocks();
    }

    @Test
    void everyProbeFindsItsPlaceAndTheTrialsStandSideBySide() {
        assertThat(keep("&column-2=new&column-3=" + Hand.encoded("sample[1]/start"))
                        .statusCode())
                .isEqualTo(302);
        assertThat(clocks()).containsOnlyKeys("curve[1]/trace", "curve[2]/trace", "sample[1]/start");
        for (int trial = 1; trial <= 2; trial++) {
            assertThat(hand.post(entry + "/strip/mixing", "trial=" + trial + "&time=2:45")
                            .statusCode())
                    .isEqualTo(302);
        }
        hand.post(entry + "/school", "question=change&school=carried");
        String strip = hand.get(entry + "/strip?trial=1&over=true").body();
        assertThat(strip).contains("Side by side", "trial 2", "other kind-0");
        assertThat(strip.substring(strip.indexOf("Side by side")))
                .containsPattern("(?s)trial 1</td>.*?21\\.\\d+.*?trial 2</td>.*?21\\.\\d+.*?26\\.");
        // the bath's own readings are read at the moment of mixing
        assertThat(hand.get(entry + "/clock?trial=1&at=" + Hand.encoded("sample[1]/start"))
                        .body())
                .contains("This clock runs no longer")
                .contains("by the trend of 19 readings");
    }

    @ParameterizedTest
    @CsvSource({
        "&column-2=trial 2, Choose one of those shown",
        "&column-2=sample[1]/mass, Choose one of those shown",
        "&column-2=<b>, Choose one of those shown",
        "&column-2=sample[1]/start&column-3=sample[1]/start, cannot both be of one thing"
    })
    void aPlaceThatIsNoneIsRefusedAndNothingIsKept(String columns, String why) {
        String form = columns.replace("[", "%5B")
                .replace("]", "%5D")
                .replace(" ", "+")
                .replace("<b>", "%3Cb%3E");
        HttpResponse<String> refused = keep(form);
        assertThat(refused.statusCode()).isEqualTo(422);
        assertThat(refused.body()).contains(why).doesNotContain("<b>”");
        assertThat(clocks()).isEmpty();
        assertThat(hand.get(entry + "/strip").body()).contains("There are no timed readings in this trial yet");
    }

    /** What an old tab or a script may say of the columns; and of a file that is sent twice one is kept. */
    @Test
    void aFileIsKeptWholeOrNotAtAllAndOnce() {
        for (String columns : new String[] {
            "&temperature=-1", "&time=-1", "&time=40", "&temperature=2147483647", "&heads=99999", "&column-999=new"
        }) {
            HttpResponse<String> refused = keep(columns);
            assertThat(refused.statusCode()).as(columns).isEqualTo(422);
            assertThat(clocks()).as(columns).isEmpty();
        }
        assertThat(keep("&column-2=new").statusCode()).isEqualTo(302);
        assertThat(keep("&column-2=new").statusCode()).isIn(302, 422);
        assertThat(clocks()).containsOnlyKeys("curve[1]/trace", "curve[2]/trace");
        assertThat(entryBook.opened(UUID.fromString(id()), "trial")).isEqualTo(2);
    }

    /** A meter with no probe in it, text of another program, very many columns. */
    @Test
    void numbersThatAreNoTemperaturesAreNamedByTheirLine() {
        String odd = "time (s);T (°C)\n0;21.3\n30;9.9E37\n60;1e300\n90;-300\n120;5000\n150;21.5\n1e9;21.6\n";
        String shown = looked(odd.getBytes(StandardCharsets.UTF_8));
        assertThat(shown)
                .contains("“9.9E37” is no temperature", "“1e300” is no temperature", "“-300” is no temperature")
                .contains("months after the first")
                .doesNotContain("“5000” is no temperature");
        String utf16 = "time (s);T (°C)\n0;21.3\n30;21.4\n60;21.5\n";
        assertThat(looked(utf16.getBytes(StandardCharsets.UTF_16))).contains("21.4", "T (°C)");
        assertThat(looked(utf16.getBytes(StandardCharsets.UTF_16LE))).contains("Save it as text in UTF-8");
        String wide = "21.3;".repeat(100_000);
        assertThat(looked((wide + "\n" + wide + "\n").getBytes(StandardCharsets.UTF_8))
                        .length())
                .isLessThan(100_000);
    }

    private String looked(byte[] file) {
        return hand.upload("/import/clock?trial=1&entry=" + id(), "odd.csv", file)
                .body()
                .replace("&quot;", "\"");
    }

    /** A close look is asked for in seconds; what cannot be one shows the whole. */
    @ParameterizedTest
    @CsvSource({
        "&from=120&to=300, Shown from 2:00 to 5:00, true",
        "&from=300&to=120, Shown from, false",
        "&from=0, Shown from, false",
        "&from=NaN&to=Infinity, Shown from, false",
        "&from=1e18&to=1000000000000000128, Shown from, false",
        "&from=9999990&to=10000010, Shown from, false",
        "&from=9000&to=9100, Shown from 150:00, true"
    })
    void aPartOfTheTimeIsLookedAtClosely(String part, String words, boolean near) {
        keep("");
        hand.post(entry + "/strip/mixing", "trial=1&time=2:45");
        HttpResponse<String> strip = hand.get(entry + "/strip?trial=1" + part);
        assertThat(strip.statusCode()).isEqualTo(200);
        assertThat(strip.body()).doesNotContain("NaN", "Infinity");
        assertThat(strip.body().contains(words)).isEqualTo(near);
        assertThat(strip.body().contains(">Further<")).isEqualTo(near);
    }
}
