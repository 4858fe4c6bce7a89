package lab.sassafras.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Comparator;
import java.util.List;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Bench;
import lab.sassafras.verdict.Sample;
import org.junit.jupiter.api.Test;

class PaperDataTest {

    private static final List<Experiment> ALL =
            Experiments.all().stream().filter(PaperData::possible).toList();

    /** Of 60 sheets the second has the truth in its interval in nine of ten, and none is far from it. */
    @Test
    void whoWorksThemOutComesToTheTruth() {
        assertThat(ALL).hasSize(12);
        int within = 0;
        int sheets = 0;
        for (Experiment each : ALL) {
            for (int seed = 1; seed <= 5; seed++) {
                PaperData data = PaperData.of(each, seed);
                Sample sample = data.reduction().samples().get(0);
                double off = Math.abs(data.reduction().result().orElseThrow().value() - data.sought());
                double half = sample.interval().orElseThrow().half();
                within += off <= half ? 1 : 0;
                sheets++;
                assertThat(off / half).as("%s, seed %d", each.key(), seed).isLessThan(4);
            }
        }
        assertThat(within).isGreaterThanOrEqualTo(sheets * 8 / 10);
    }

    @Test
    void noTwoSheetsAreAlikeAndEachIsTheSameAgain() {
        Experiment solid = Experiments.find("specific-heat-of-solid").orElseThrow();
        assertThat(PaperData.of(solid, 7).read())
                .isEqualTo(PaperData.of(solid, 7).read());
        assertThat(PaperData.of(solid, 7).read())
                .isNotEqualTo(PaperData.of(solid, 8).read());
        assertThat(PaperData.of(solid, 7).vessel())
                .isNotEqualTo(PaperData.of(solid, 8).vessel());
    }

    @Test
    void aCurveIsThinnedWithItsHighestKept() {
        Experiment solid = Experiments.find("specific-heat-of-solid").orElseThrow();
        List<Bench.Sample> whole = Bench.usual(7, solid.takes().get(0).typical())
                .atOnce(solid.scene().orElseThrow())
                .curve();
        PaperData data = PaperData.of(solid, 7);
        assertThat(data.curve()).hasSizeLessThanOrEqualTo(60).hasSizeGreaterThan(30);
        assertThat(data.curve().stream()
                        .max(Comparator.comparing(Bench.Sample::temperature))
                        .orElseThrow()
                        .temperature())
                .isEqualTo(whole.stream()
                        .mapToDouble(Bench.Sample::temperature)
                        .max()
                        .orElseThrow());
    }

    @Test
    void whatIsNotSimulatedIsRefused() {
        assertThatThrownBy(() -> PaperData.of(Experiments.find("cycle").orElseThrow(), 1))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no run that is simulated");
    }
}
