package lab.sassafras.declaration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What the hand goes by at a step. */
class PaceTest {

    @Test
    void everyPaceOfEveryExperimentHasItsWordsAndItsOwnName() {
        for (Experiment experiment : Experiments.all()) {
            List<Pace> paces = experiment.paces();
            assertThat(paces).extracting(Pace::key).as(experiment.key()).doesNotHaveDuplicates();
            assertThat(paces).allSatisfy(each -> {
                assertThat(experiment.words().get("pace." + each.kind().key())).isNotBlank();
                assertThat(experiment.slot(each.path())).isPresent();
                assertThat(each.read(Figures.POINT.plain(each.usual()), Figures.POINT))
                        .isEqualTo(each.usual());
            });
            assertThat(paces.stream().anyMatch(each -> each.kind() == Pace.Kind.UNTIL))
                    .as(experiment.key())
                    .isEqualTo(experiment.span().isPresent());
        }
        assertThat(Experiments.find("specific-heat-of-solid").orElseThrow().paces())
                .extracting(Pace::key)
                .contains("bath sample/start", "settle water/start", "before curve/trace", "once mixed/final");
        assertThat(Experiments.find("constant-by-known-heat").orElseThrow().paces())
                .extracting(Pace::key)
                .contains("rise heater/time");
    }

    @ParameterizedTest
    @CsvSource({"0.4, Between 0.5 and 120 min", "121, Between 0.5 and 120 min", "long, not a plain number"})
    void aTimeNobodyWaitsIsRefused(String text, String why) {
        Pace bath = new Pace(Pace.Kind.BATH, "sample/start", 8);
        assertThatThrownBy(() -> bath.read(text, Figures.POINT))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(why);
        assertThat(bath.read("7.5", Figures.POINT)).isEqualTo(7.5);
    }

    /** Pellets lie open from their weighing until they are added; salt may lie as it likes. */
    @Test
    void whatPullsWaterIsExposedFromWeighingToAdding() {
        BenchSheet pellets = BenchSheet.of("heat-of-solution").says("solute[1]/formula", "NaOH");
        assertThat(pellets.sheet().tasks().exposed(1)).as("not weighed yet").isEmpty();
        pellets.mass("solid[1]/mass", "2.04");
        assertThat(pellets.sheet().tasks().exposed(1))
                .contains(new Tasks.Exposed(Address.read("solid[1]/mass"), "sodium hydroxide"));
        pellets.says("solid[1]/added", "2026-11-27T10:00:00Z");
        assertThat(pellets.sheet().tasks().exposed(1)).as("added").isEmpty();
        assertThat(BenchSheet.of("heat-of-solution")
                        .says("solute[1]/formula", "KCl")
                        .mass("solid[1]/mass", "2.04")
                        .sheet()
                        .tasks()
                        .exposed(1))
                .isEmpty();
    }

    /**
     * A temperature by its trend has the trend's uncertainty, and its thermometer's offset in common with the others.
     */
    @Test
    void aTemperatureByItsTrendKeepsTheThermometersOffsetAndGain() {
        BenchSheet sheet = BenchSheet.of("constant-by-mixing");
        Slot slot = Experiments.find("constant-by-mixing")
                .flatMap(each -> each.slot("hot/start"))
                .orElseThrow();
        Line line = slot.read(
                Address.read("hot[1]/start"),
                Role.TREND,
                new GivenValue("56.93", "°C", Optional.of(BenchSheet.THERMOMETER), "0.04", "Rowan"),
                sheet.sheet().setting());
        assertThat(line.measured().ownUncertainty()).isEqualTo(0.04);
        assertThat(line.measured().shares())
                .extracting(Measured.Share::source)
                .containsExactly(BenchSheet.THERMOMETER.offset(), BenchSheet.THERMOMETER.gain());
    }
}
