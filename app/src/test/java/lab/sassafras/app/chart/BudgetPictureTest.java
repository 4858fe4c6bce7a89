package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.List;
import java.util.stream.DoubleStream;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

class BudgetPictureTest {

    private static Estimate made(double... uncertainties) {
        List<Contribution> parts = DoubleStream.of(uncertainties)
                .mapToObj(u -> new Contribution("k" + u, "part " + u, 1, u, null))
                .toList();
        return new Estimate(
                1, Math.sqrt(DoubleStream.of(uncertainties).map(u -> u * u).sum()), 10, parts);
    }

    @Test
    void longestFirstWithItsShareOfTheSquare() {
        // 3² : 4² of 5²: 36 % and 64 %
        assertThat(BudgetPicture.of(made(3, 4), Figures.POINT).bars())
                .extracting(BudgetPicture.Bar::label, BudgetPicture.Bar::percent, BudgetPicture.Bar::width)
                .containsExactly(tuple("part 4.0", "64", "115.2"), tuple("part 3.0", "36", "64.8"));
    }

    @Test
    void whatIsLeftAfterSevenIsNamedTogether() {
        List<BudgetPicture.Bar> bars =
                BudgetPicture.of(made(5, 5, 5, 5, 5, 5, 5, 5, 5), Figures.POINT).bars();
        assertThat(bars).hasSize(8);
        assertThat(bars.get(7).label()).isEqualTo("everything else");
        assertThat(bars.get(7).percent()).isEqualTo("22");
    }

    @Test
    void coordinatesAreLocaleFreeAndFiguresAreNot() {
        BudgetPicture.Bar small = BudgetPicture.of(made(10, 0.5), new Figures(DecimalMark.COMMA))
                .bars()
                .get(1);
        assertThat(small.percent()).isEqualTo("0,2");
        assertThat(small.width()).doesNotContain(",");
    }

    @Test
    void nothingUncertainDrawsNothing() {
        assertThat(BudgetPicture.of(made(), Figures.POINT).bars()).isEmpty();
    }
}
