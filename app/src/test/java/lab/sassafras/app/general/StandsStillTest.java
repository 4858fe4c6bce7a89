package lab.sassafras.app.general;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A curve in which nothing is mixed: named by a file, read for its plateau, kept, and written again to the letter. */
class StandsStillTest extends HouseTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    /** Falls to 78.4 °C, stands at 80.2 °C for five minutes, and falls on. */
    private static double melt(int seconds) {
        if (seconds < 240) {
            return 92 - seconds * (92 - 78.4) / 240;
        }
        return seconds < 300 ? 78.4 + (seconds - 240) * 1.8 / 60 : seconds < 600 ? 80.2 : 80.2 - (seconds - 600) * 0.03;
    }

    private static String file(String readings) {
        return """
                {"format": "sassafras-run", "version": 2, "minor": 1, "experiment": "plateau-from-cooling", "method": 1, "shelf": 7,
                 "period": {"title": "Freezing", "date": "2026-11-20", "zone": "Europe/Lisbon", "decimalMark": "point"},
                 "bench": "Hazel", "begun": "2026-11-20T18:00:00Z", "conventions": {}, "trials": 1,
                 "instruments": [{"key": "probe", "name": "probe S", "kind": "thermometer", "resolution": 0.1, "low": -10,
                    "high": 110, "offsetUncertainty": 0.2}],
                 "observations": [
                  {"id": "o1", "at": "melt[1]/known", "role": "read", "text": "80.3", "unit": "°C", "who": "Hazel",
                   "when": "2026-11-20T18:01:00Z"},
                  {"id": "o2", "at": "cooled[1]/curve", "role": "stated", "text": "melt from 0 to 86400", "who": "Hazel",
                   "when": "2026-11-20T18:20:00Z"}],
                 "traces": {"melt": {"instrument": "probe", "every": 20, "begun": "2026-11-20T18:02:00Z", "readings": [%s]}}}
                """.formatted(readings);
    }

    private static String readings(int until) {
        return IntStream.iterate(0, seconds -> seconds <= until, seconds -> seconds + 20)
                .mapToObj(seconds -> String.format(Locale.ROOT, "[%d, \"%.1f\"]", seconds, melt(seconds)))
                .collect(Collectors.joining(", "));
    }

    @Test
    void whereItStoodStillIsTheResultAndHowFarItFellBelowIsToldBeside() {
        String file = file(readings(800));
        JsonNode reduced = JSON.readTree(reduce(file).body());
        assertThat(reduced.at("/unknown/value").asDouble())
                .as(reduced.toString())
                .isCloseTo(80.2, within(0.03));
        // the probe's offset is most of it: √(0.2² + gain) and hardly any of the curve's own
        assertThat(reduced.at("/unknown/standardUncertainty").asDouble()).isBetween(0.2, 0.25);
        assertThat(reduced.at("/trials/0/derived/0/value").asDouble()).isCloseTo(1.8, within(0.15));
        assertThat(reduced.at("/agreement/reference").asString()).isEqualTo("freezing point as told");
        Entry entry = imports.take(file.getBytes(UTF_8), "melt.json", A_TEST).orThrow();
        String written = get("/entries/" + entry.id() + "/run.json").body();
        assertThat(written).contains("trace-1 from 0 to 86400\"");
        Entry again =
                imports.take(written.getBytes(UTF_8), "again.json", A_TEST).orThrow();
        assertThat(get("/entries/" + again.id() + "/run.json").body()).isEqualTo(written);
        assertThat(get("/entries/" + entry.id() + "/result?open=all").body())
                .contains("freezing point", "supercooling", "T(still)");
        assertThat(get("/entries/" + entry.id()).statusCode()).isEqualTo(200);
    }

    /** Two probes: one reads what is told, the other the curve; each stands at its place, and the file says so. */
    @Test
    void twoProbesAreToldApart() {
        String two = file(readings(800))
                .replace("\"minor\": 1", "\"minor\": 5")
                .replace("\"instruments\": [", """
                        "inHand": [{"place": "melt", "instrument": "other", "who": "Hazel", "when": "2026-11-20T18:00:30Z"}],
                         "instruments": [{"key": "other", "name": "probe K", "kind": "thermometer", "resolution": 0.01,
                            "low": -10, "high": 110, "offsetUncertainty": 0.02},""")
                .replace("\"text\": \"80.3\",", "\"text\": \"80.3\", \"instrument\": \"other\",");
        Entry entry = imports.take(two.getBytes(UTF_8), "two.json", A_TEST).orThrow();
        assertThat(get("/entries/" + entry.id() + "/instruments").body()).contains("probe K", "probe S");
        String written = get("/entries/" + entry.id() + "/run.json").body();
        assertThat(written).contains("\"place\" : \"melt\"", "\"minor\" : 5");
        Entry again =
                imports.take(written.getBytes(UTF_8), "again.json", A_TEST).orThrow();
        assertThat(get("/entries/" + again.id() + "/run.json").body()).isEqualTo(written);
    }

    /** Where readings came from and their unit go with them; of volts no temperature is read. */
    @Test
    void aChannelKeepsItsSourceAndUnit() {
        String volts =
                file(readings(800)).replace("\"every\": 20,", "\"every\": 20, \"unit\": \"V\", \"source\": \"a.csv\",");
        assertThat(JSON.readTree(reduce(volts).body()).at("/findings").toString())
                .contains("These readings are in V; what is read from them here takes °C.");
        Entry entry = imports.take(volts.getBytes(UTF_8), "volts.json", A_TEST).orThrow();
        assertThat(get("/entries/" + entry.id() + "/run.json").body())
                .contains("\"minor\" : 5", "\"unit\" : \"V\"", "\"source\" : \"a.csv\"");
        assertThat(reduce(volts.replace("\"V\"", "\"furlong\"")).body())
                .contains("traces.melt.unit is not a unit known here");
    }

    @Test
    void aCurveThatDoesNotStandStillIsSaidToHaveNoPlateau() {
        assertThat(JSON.readTree(reduce(file(readings(220))).body())
                        .at("/findings")
                        .toString())
                .contains("does not stand still between two stretches");
    }
}
