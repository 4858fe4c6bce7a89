package lab.sassafras.slot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import lab.sassafras.curve.Windows;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Which stretch of which readings a trial is read from, as it is kept and as it comes back. */
class TraceUseTest {

    private static final String ID = "11111111-2222-3333-4444-555555555555";

    @Test
    void whatIsKeptIsReadBack() {
        Random random = new Random(10);
        for (int i = 0; i < 500; i++) {
            double mixing = random.nextInt(3_000_000) / 1000.0;
            Optional<Windows> windows = random.nextBoolean()
                    ? Optional.empty()
                    : Optional.of(new Windows(0, mixing / 2, mixing + 30, mixing + 30 + random.nextInt(600)));
            TraceUse use = new TraceUse(
                    ID,
                    0,
                    86_400,
                    random.nextInt(10) == 0 ? OptionalDouble.empty() : OptionalDouble.of(mixing),
                    windows.map(TraceUseTest::toMilliseconds),
                    60 + random.nextInt(240),
                    (1 + random.nextInt(9)) / 10.0);
            assertThat(TraceUse.of(use.text())).contains(use);
            assertThat(use.text().length()).as("as long as a row can be").isLessThanOrEqualTo(200);
        }
    }

    private static Windows toMilliseconds(Windows windows) {
        return new Windows(
                round(windows.foreFrom()),
                round(windows.foreTo()),
                round(windows.afterFrom()),
                round(windows.afterTo()));
    }

    private static double round(double seconds) {
        return Math.round(seconds * 1000) / 1000.0;
    }

    @Test
    void itIsMovedWithoutLosingTheRest() {
        Windows windows = new Windows(0, 150, 240, 540);
        TraceUse use = TraceUse.whole(ID, 180).with(Optional.of(windows));
        assertThat(use.mixedAt(170).windows()).contains(windows);
        assertThat(use.named("trace-1").text())
                .isEqualTo("trace-1 from 0 to 86400 mixing 180 before 0 to 150 after 240 to 540");
        assertThat(use.with(Optional.empty())).isEqualTo(TraceUse.whole(ID, 180));
        assertThat(TraceUse.of(use.carriedTo(0.5).text())).contains(use.carriedTo(0.5));
        assertThatThrownBy(() -> use.carriedTo(1)).hasMessageContaining("from 0.1 to 0.9");
        assertThat(use.waiting(90).named("trace-1").text()).endsWith("after 240 to 540 wait 90");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "copper",
                ID,
                ID + " from 0",
                ID + " from 0 to 540 mixing",
                ID + " from 0 to 540 mixing soon",
                ID + " from -1 to 540 mixing 180",
                ID + " from 0 to 99999999 mixing 180",
                ID + " from 0 to 540 mixing 180 and more",
                ID + " from 0 to 540 mixing 180 before 0 to 150",
                "<b> from 0 to 540 mixing 180"
            })
    void whatSaysNothingOfTheKindIsNotGuessedAt(String text) {
        assertThat(TraceUse.of(text)).isEmpty();
    }

    /** Only a foreign hand would write it: it is read, and the stretches are left to what the readings show. */
    @Test
    void stretchesThatCannotBeAreLeftAside() {
        assertThat(TraceUse.of(ID + " from 0 to 540 mixing 180 before 150 to 0 after 240 to 540"))
                .contains(new TraceUse(ID, 0, 540, 180));
    }
}
