package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import lab.sassafras.app.chart.EnergyPicture.Taken;
import org.junit.jupiter.api.Test;

/** Levels of energy, a whole in its parts, and several results on one scale. */
class LevelsAndPartsTest {

    private static double number(String coordinate) {
        return Double.parseDouble(coordinate);
    }

    /** −44.5 and then −55.8: two steps down, as long as their heats, and the way measured directly ends 0.1 lower. */
    @Test
    void stepsAreAsLongAsTheirHeatsAndEndWhereTheNextBegins() {
        EnergyPicture p = EnergyPicture.of(
                "NaOH + HCl",
                List.of(new Taken("after reaction 1", -44.5), new Taken("NaCl + H2O", -55.8)),
                Optional.of(-100.4),
                heat -> heat + " kJ/mol");
        double first = number(p.steps().get(0).to()) - number(p.steps().get(0).from());
        double second = number(p.steps().get(1).to()) - number(p.steps().get(1).from());
        assertThat(first / second).isCloseTo(44.5 / 55.8, within(0.005));
        assertThat(p.steps().get(0).to()).isEqualTo(p.steps().get(1).from());
        assertThat(p.steps()).allMatch(EnergyPicture.Step::gave);
        assertThat(number(p.direct().orElseThrow().to()))
                .isGreaterThan(number(p.steps().get(1).to()));
        assertThat(p.summary()).contains("after reaction 1 -44.5 kJ/mol", "measured directly -100.4 kJ/mol");
        assertThat(p.levels())
                .allSatisfy(level -> assertThat(number(level.y()))
                        .isBetween(0.0, (double) p.frame().height()));
        EnergyPicture up = EnergyPicture.of("A", List.of(new Taken("B", 15)), Optional.empty(), Double::toString);
        assertThat(number(up.steps().get(0).to()))
                .isLessThan(number(up.steps().get(0).from()));
        assertThat(up.steps()).noneMatch(EnergyPicture.Step::gave);
    }

    @Test
    void partsFillTheBarAndTheirNumbersKeepClearOfEachOther() {
        PartsPicture p = PartsPicture.of(List.of(
                new PartsPicture.Of(0.43, "warmed"),
                new PartsPicture.Of(0.005, "told"),
                new PartsPicture.Of(0.005, "supposed"),
                new PartsPicture.Of(0.56, "rest")));
        double whole =
                p.parts().stream().mapToDouble(part -> number(part.width())).sum();
        assertThat(number(p.parts().get(0).width()) / whole).isCloseTo(0.43, within(1e-3));
        assertThat(whole).isCloseTo(620, within(0.3));
        for (int i = 1; i < p.parts().size(); i++) {
            assertThat(number(p.parts().get(i).tag())
                            - number(p.parts().get(i - 1).tag()))
                    .isGreaterThanOrEqualTo(18);
        }
    }

    @Test
    void resultsLieOnOneScaleWithTheirMeanAndTheReference() {
        SidePicture p = SidePicture.of(
                List.of(new SidePicture.Result(14.6, 0.4), new SidePicture.Result(15.0, 0.2)),
                14.8,
                0.28,
                Optional.of(new double[] {14.7, 14.9}),
                value -> Double.toString(value));
        double one = number(p.rows().get(0).dot());
        double other = number(p.rows().get(1).dot());
        assertThat(number(p.mean())).isCloseTo((one + other) / 2, within(0.2));
        assertThat(number(p.rows().get(0).to()) - one).isCloseTo(other - one, within(0.2));
        assertThat(number(p.reference().orElseThrow().width())).isCloseTo((other - one) / 2, within(0.2));
        assertThat(number(p.spread().width())).isCloseTo(0.56 / 0.4 * (other - one), within(0.3));
    }

    /** A second is lost among 10¹⁸ of them: its multiples there are none, and nobody waits for them. */
    @Test
    void marksAreCountedAndNeverSteppedTo() {
        assertThat(StraightScale.multiples(-0.1, 10, 2.5)).containsExactly(0, 2.5, 5, 7.5, 10);
        assertThat(StraightScale.multiples(1e18, 1e18 + 128, 10)).hasSizeLessThanOrEqualTo(60);
        assertThat(StraightScale.multiples(0, 61, 1)).isEmpty();
        assertThat(StraightScale.multiples(1, 60, 1)).hasSize(60);
        assertThat(StraightScale.multiples(0, Double.POSITIVE_INFINITY, 1)).isEmpty();
        assertThat(StraightScale.multiples(0, 1, Double.NaN)).isEmpty();
    }
}
