package lab.sassafras.app.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.regex.Matcher;
import lab.sassafras.app.HouseTest;
import lab.sassafras.app.record.Entry;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings on a clock in a run file: checked like everything else in it, and the same when they come back. */
class TraceInFileTest extends HouseTest {

    private static final String FILE = new String(example("solid-with-solution-on-a-clock"), StandardCharsets.UTF_8);

    private static String changed(String what, String to) {
        assertThat(FILE).contains(what);
        return FILE.replace(what, to);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "\"every\" : 30 | \"every\" : 0 | traces.trace-1.every must be a number of seconds from 0.001 to 3600",
                "\"every\" : 30 | \"every\" : 3601 | traces.trace-1.every must be a number of seconds from 0.001 to 3600",
                "\"2026-11-18T19:09:00Z\",       | \"yesterday\", | traces.trace-1.begun",
                "[ 60.0, \"21.0\" ] | [ 60.0 ] | must be a second and a temperature",
                "[ 60.0, \"21.0\" ] | [ -60.0, \"21.0\" ] | must be a second from 0 to 9999999",
                "[ 60.0, \"21.0\" ] | [ 60.0, true ] | must be a temperature, as typed or as a number",
                "[ 60.0, \"21.0\" ] | [ 60.0, \"warm\" ] | traces.trace-1.readings[2] cannot stand: “warm” is not a plain number",
                "[ 60.0, \"21.0\" ] | [ 60.0, \"21,0\" ] | writes decimals with a point",
                "\"still rising\" | \"still rising\", \"weather\" : 1 | weather is not a field",
                "\"minor\" : 1 | \"minor\" : 99999999999 | beyond what one can be",
                "\"every\" : 30 | \"every\" : 1e400 | traces.trace-1.every",
                "\"every\" : 30 | \"room\" : [ 900 ], \"every\" : 30 | must be a temperature from -60 to 100"
            })
    void whatIsWrongWithItIsSaidWithItsPlace(String what, String to, String why) {
        String file = what.startsWith("\"2026")
                ? FILE.replaceFirst(
                        "\"begun\" : \"2026-11-18T19:09:00Z\"", Matcher.quoteReplacement("\"begun\" : \"yesterday\""))
                : changed(what.strip(), to.strip());
        assertThat(file).isNotEqualTo(FILE);
        assertThat(reduce(file).statusCode()).isEqualTo(422);
        assertThat(reduce(file).body()).contains(why);
    }

    /** A trial that names readings the file does not hold is refused on the way in, with its place. */
    @Test
    void readingsThatAreNotInTheFileAreRefused() {
        String file = changed("\"text\" : \"trace-1 from 0", "\"text\" : \"trace-9 from 0");
        assertThat(reduce(file).body()).contains("observations[8]: Those readings are not at this bench");
    }

    /** What a probe gave is a number and stays one; what a person typed stays as it was typed. */
    @Test
    void numbersAndTextsComeBackAsTheyWere() {
        String file = changed("[ 60.0, \"21.0\" ], [ 90.0, \"21.0\" ]", "[ 60.0, 21.04 ], [ 90.0, \"21.00\" ]");
        Entry taken = imports.take(file.getBytes(StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/run.json").body())
                .contains("[ 60.0, 21.04 ]", "[ 90.0, \"21.00\" ]", "\"still rising\"");
    }

    /** Readings that come every part of a second: to the letter, with the minor version that knows them. */
    @Test
    void partsOfASecondComeBackAsTheyWere() {
        String file = changed("\"every\" : 30,", "\"every\" : 0.25,")
                .replace("\"minor\" : 1", "\"minor\" : 5")
                .replace("[ 60.0, \"21.0\" ]", "[ 60.25, \"21.0\" ]");
        Entry taken = imports.take(file.getBytes(StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/run.json").body()).isEqualTo(file.strip());
        assertThat(get("/entries/" + taken.id() + "/strip").body()).contains("every 0.25 s");
    }

    /** The same stretch, moved by hand, is the same in another book. */
    @Test
    void stretchesMovedByHandTravelWithTheRun() {
        String moved = "mixing 180 before 0 to 150 after 270 to 540";
        String file = changed("mixing 180", moved);
        Entry taken = imports.take(file.getBytes(StandardCharsets.UTF_8), "run.json", A_TEST)
                .orThrow();
        assertThat(get("/entries/" + taken.id() + "/run.json").body()).isEqualTo(file.strip());
        assertThat(get("/entries/" + taken.id() + "/strip").body()).contains("4:30 to 9:00 after", "chosen by hand");
    }

    /** With the room read the file says so, and a program that reduces it comes to the same number as the page. */
    @Test
    void theRoomTravelsWithTheReadings() {
        String cold = changed("\"every\" : 30,", "\"every\" : 30,")
                .replace("\"change\" : \"carried\"", "\"change\" : \"newton\"");
        String room = cold.replace(" ] ],\n", " ] ],\n      \"room\" : [ 5.0 ],\n");
        assertThat(room).isNotEqualTo(cold);
        assertThat(reduce(room).body()).isNotEqualTo(reduce(cold).body());
    }
}
