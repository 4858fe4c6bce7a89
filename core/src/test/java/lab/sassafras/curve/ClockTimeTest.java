package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class ClockTimeTest {

    @ParameterizedTest
    @CsvSource({
        "0, 0:00",
        "9, 0:09",
        "59.94, 0:59.9",
        "59.96, 1:00",
        "182.5, 3:02.5",
        "600, 10:00",
        "3600, 60:00",
        "86400, 1440:00"
    })
    void aTimeIsWrittenInMinutesAndSeconds(double seconds, String written) {
        assertThat(ClockTime.write(seconds)).isEqualTo(written);
    }

    @ParameterizedTest
    @CsvSource({
        "3:30, 210",
        "' 3:30 ', 210",
        "0:00, 0",
        "3:30.5, 210.5",
        "'3:30,5', 210.5",
        "1:03:30, 3810",
        "180:00, 10800"
    })
    void aTimeIsReadAsItIsTyped(String typed, double seconds) {
        assertThat(ClockTime.read(typed)).isEqualTo(seconds);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "3", "3:5", "3:60", "-3:30", "3:30 min", "three", "3.30", "1:2:3:4", "1234:00"})
    void whatIsNoTimeIsRefusedWithAnExample(String typed) {
        assertThatThrownBy(() -> ClockTime.read(typed))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("minutes and seconds, such as 3:30")
                .hasMessageContaining(typed);
    }

    /** What a page proposes in a field can be sent back as it is. */
    @Test
    void whatIsWrittenCanBeRead() {
        for (int tenths = 0; tenths < 36_000; tenths += 7) {
            assertThat(ClockTime.read(ClockTime.write(tenths / 10.0))).isEqualTo(tenths / 10.0);
        }
    }
}
