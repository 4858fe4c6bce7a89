package lab.sassafras.app.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

/** What the clock says it is time for. */
class ClockPlanTest {

    private static final ClockPlan.Times HEATED = new ClockPlan.Times(180, 540, Optional.of(8.0));

    private static String stop(Reading... readings) {
        return ClockPlan.of(HEATED, List.of(readings), 0.1, Figures.POINT).stop();
    }

    @Test
    void theTimesOfTheClassAreSaidAsTheyStandOnTheClock() {
        ClockPlan plan = ClockPlan.of(new ClockPlan.Times(90, 615, Optional.empty()), List.of(), 0.1, Figures.POINT);
        assertThat(plan.words()).isEqualTo("This class reads for 1:30 before mixing, and on until 10:15 on the clock.");
        assertThat(plan.stop()).as("nothing is heated").isEmpty();
        assertThat(plan.before()).isEqualTo(90);
        assertThat(plan.until()).isEqualTo(615);
    }

    /** From the first reading the bench knows at what temperature to stop; then it coasts, and its turn is named. */
    @Test
    void whatWarmsIsStoppedAtItsRiseAndReadToItsTurn() {
        Reading start = new Reading(0, 21.2);
        assertThat(stop()).isEqualTo("What warms it is stopped at a rise of 8 °C; then read on until it turns.");
        assertThat(stop(start, new Reading(30, 24.0)))
                .isEqualTo("Stop what warms it at 29.2 °C, a rise of 8 °C; then read on until it turns.");
        Reading reached = new Reading(60, 29.3);
        assertThat(stop(start, reached)).startsWith("The rise of 8 °C is reached: stop what warms it");
        Reading coasting = new Reading(90, 29.9);
        assertThat(stop(start, reached, coasting, new Reading(120, 29.8))).startsWith("The rise of 8 °C is reached");
        assertThat(stop(start, reached, coasting, new Reading(120, 29.8), new Reading(150, 29.7)))
                .isEqualTo("It turned at 29.9 °C, 1:30 on the clock.");
    }

    @Test
    void aFineThermometerIsToldInItsOwnSteps() {
        assertThat(ClockPlan.of(HEATED, List.of(new Reading(0, 21.237)), 0.001, new Figures(DecimalMark.COMMA))
                        .stop())
                .contains("29,237 °C");
    }
}
