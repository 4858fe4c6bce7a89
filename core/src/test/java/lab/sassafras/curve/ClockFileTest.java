package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files of temperatures against time from anywhere. */
class ClockFileTest {

    private static ClockFile read(String text) {
        return ClockFile.read(text, ClockFile.guess(text));
    }

    /** Each says 21.4 °C at 30 s and 21.6 °C at 60 s. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "30;21,4\n60;21,6",
                "30\t21.4\r\n60\t21.6\r\n",
                "30,21.4\n60,21.6\n",
                "  30   21.4\n  60   21.6",
                "\uFEFFname: evening class\ninterval 30\n\nTime (min);Temperature (°C)\n0,5;21,4\n1,0;21,6",
                "n\ttime/s\tT (K)\n1\t30\t294.55\n2\t60\t294.75",
                "t,\"T, °F\"\n30,70.52\n60,70.88",
                "T / °F;time\n70,52;0:30\n70,88;1:00",
                "hours (h);T\n0,008333333;21,4\n0,016666667;21,6"
            })
    void aFileIsReadHoweverItIsLaidOut(String text) {
        ClockFile file = read(text);
        assertThat(file.wrong()).isEmpty();
        double off = file.layout().timeIn() == ClockFile.TimeIn.CLOCK ? 30 : 0;
        assertThat(file.readings()).hasSize(2);
        assertThat(file.readings().get(0).seconds()).isCloseTo(30 - off, within(1e-3));
        assertThat(file.readings().get(1).seconds()).isCloseTo(60 - off, within(1e-3));
        assertThat(file.readings().get(0).temperature()).isCloseTo(21.4, within(1e-9));
        assertThat(file.readings().get(1).temperature()).isCloseTo(21.6, within(1e-9));
    }

    @Test
    void columnsHaveTheNamesAboveThemOrTheirNumbers() {
        assertThat(read("n;;T\n1;30;21,4\n2;60;21,6").columns()).containsExactly("n", "column 2", "T");
        assertThat(read("30;21,4\n60;21,6").columns()).containsExactly("column 1", "column 2");
        assertThat(read("t;T\n30;21,4;7").columns())
                .as("one more than is named")
                .hasSize(3)
                .contains("column 3");
        assertThat(ClockFile.TimeIn.values())
                .extracting(ClockFile.TimeIn::words)
                .doesNotHaveDuplicates();
        assertThat(ClockFile.Separator.values())
                .extracting(ClockFile.Separator::words)
                .doesNotHaveDuplicates();
        assertThat(ClockFile.DegreesIn.values())
                .extracting(ClockFile.DegreesIn::symbol)
                .containsExactly("°C", "°F", "K");
    }

    /** From nought to four months, from absolute zero to the hottest furnace. */
    @ParameterizedTest
    @CsvSource({
        "0, -273.15, true",
        "9999999, 5000, true",
        "-0.001, 20, false",
        "1e7, 20, false",
        "0, -273.16, false",
        "0, 5000.1, false"
    })
    void aClockAndAThermometerCanShowSuch(double seconds, double temperature, boolean possible) {
        assertThat(new Reading(seconds, temperature).possible()).isEqualTo(possible);
    }

    @ParameterizedTest
    @ValueSource(strings = {"30;2e1", "30;+20,0", "30;2E1"})
    void numbersAreReadWithSignAndExponent(String line) {
        assertThat(read(line + "\n60;21,5").readings().get(0).temperature()).isEqualTo(20);
    }

    @ParameterizedTest
    @ValueSource(strings = {"e5", "2e", "1234567890123456789012345", "2x", "--3", ""})
    void whatIsNoNumberIsNamedByItsLine(String cell) {
        assertThat(read("30;21,4\n60;" + cell + "\n90;21,5").wrong())
                .extracting(ClockFile.Wrong::line)
                .containsExactly(2);
    }

    /** A clock that has run for a day began before the record: times are counted from the first. */
    @Test
    void whatTheClockCountedBeforeIsNoPartOfTheRecord() {
        assertThat(read("86399;21,4\n86400;21,6").readings())
                .extracting(Reading::seconds)
                .containsExactly(86399.0, 86400.0);
        assertThat(read("86400;21,4\n86401;21,6").readings())
                .extracting(Reading::seconds)
                .containsExactly(0.0, 1.0);
        assertThat(read("-1;21,4\n1;21,6").readings())
                .extracting(Reading::seconds)
                .containsExactly(0.0, 2.0);
    }

    /** Each says 21.4, 21.6 and 21.5 °C half a minute apart, with a column that only counts, and one with the day. */
    @ParameterizedTest
    @ValueSource(
            strings = {
                "1;30;21,4\n2;60;21,6\n3;90;21,5",
                "30;1;21,4\n60;2;21,6\n90;3;21,5",
                "21,4;30\n21,6;60\n21,5;90",
                "2026-11-21;10:53:00;7;21,4\n2026-11-21;10:53:30;8;21,6\n2026-11-21;10:54:00;9;21,5"
            })
    void aColumnIsToldByHowItBehaves(String text) {
        assertThat(read(text).readings()).extracting(Reading::temperature).containsExactly(21.4, 21.6, 21.5);
        assertThat(read(text).readings().get(2).seconds()
                        - read(text).readings().get(0).seconds())
                .isEqualTo(60);
        // seconds that count themselves are the time where nothing else rises
        assertThat(read("0;21,4\n1;21,6\n2;21,5").readings())
                .extracting(Reading::seconds)
                .containsExactly(0.0, 1.0, 2.0);
    }

    @ParameterizedTest
    @CsvSource({
        "23:59:45,00:00:15",
        "2026-11-21T10:53:00Z,2026-11-21T10:53:30Z",
        "21.11.2026 10:53:00,21.11.2026 10:53:30.0"
    })
    void timesOfDayAreCountedFromTheFirstAlsoPastMidnight(String first, String second) {
        assertThat(read(first + ";21,4\n" + second + ";21,6").readings())
                .extracting(Reading::seconds)
                .containsExactly(0.0, 30.0);
    }

    @Test
    void aLineThatCannotBeReadIsNamedAndTheOthersAreKept() {
        ClockFile file = read("s;°C\n0;21,4\n30;NaN\n60;\n90;21,5\n80;21,5\n\n120;21.5\nend\n150;21,6\n");
        assertThat(file.readings()).extracting(Reading::seconds).containsExactly(0.0, 90.0, 150.0);
        assertThat(file.wrong()).extracting(ClockFile.Wrong::line).containsExactly(3, 4, 6, 8, 9);
        assertThat(file.wrong())
                .extracting(ClockFile.Wrong::why)
                .contains("It has no temperature.", "Its time lies before that of the line above.")
                .anyMatch(why -> why.contains("“21.5” is no number with a decimal comma"));
    }

    /** Read as if decimals had a point, a comma file has other columns; said otherwise, it is read as it is. */
    @Test
    void whatWasProposedCanBeSaidOtherwise() {
        String text = "0,0,21,4\n30,0,21,6";
        ClockFile.Layout proposed = ClockFile.guess(text);
        assertThat(proposed.mark()).isEqualTo(DecimalMark.POINT);
        ClockFile.Layout said = new ClockFile.Layout(
                proposed.separator(), proposed.mark(), 0, 0, ClockFile.TimeIn.SECONDS, 2, proposed.degreesIn());
        assertThat(ClockFile.read(text, said).readings())
                .extracting(Reading::temperature)
                .containsExactly(21.0, 21.0);
        assertThatThrownBy(() -> ClockFile.guess("nothing here\nbut words")).isInstanceOf(Refused.class);
        assertThat(ClockFile.read("", said).readings()).isEmpty();
    }

    @Test
    void aHundredThousandLinesAreAllRead() {
        String text = IntStream.range(0, 100_000)
                .mapToObj(i -> i + ";" + (20 + i % 10) + ",25")
                .collect(Collectors.joining("\n"));
        assertThat(read(text).readings()).hasSize(100_000);
    }
}
