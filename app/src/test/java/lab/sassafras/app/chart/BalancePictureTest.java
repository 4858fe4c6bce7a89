package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import org.junit.jupiter.api.Test;

class BalancePictureTest {

    /** Seven parties; the largest a hundred times the six others. */
    @Test
    void sevenPartiesOneAHundredTimesTheOthersStillReadOneByOne() {
        Input unknown = new Input("unknown", Symbol.of("C"), "C", BenchUnit.JOULES_PER_DEGREE);
        Expression rise = Expression.number(10, "10");
        List<HeatTerm> parties = new ArrayList<>();
        parties.add(HeatTerm.vessel("giver", "giver", unknown, rise, Expression.number(0, "0")));
        parties.add(HeatTerm.vessel("great", "great", Expression.number(100, "100"), Expression.number(0, "0"), rise));
        for (int i = 1; i <= 5; i++) {
            parties.add(HeatTerm.vessel(
                    "small" + i, "small " + i, Expression.number(1, "1"), Expression.number(0, "0"), rise));
        }
        Solution solution = HeatBalance.of(1, parties, unknown)
                .solve(Bindings.of(Map.of("none", Measured.exact(0))))
                .solution()
                .orElseThrow();
        BalancePicture picture = BalancePicture.of(solution, Figures.POINT);

        assertThat(length(picture, true)).isCloseTo(length(picture, false), within(0.4));
        assertThat(picture.segments())
                .extracting(BalancePicture.Segment::number)
                .containsExactly(1, 2, 3, 4, 5, 6, 7);
        List<Double> tags = picture.segments().stream()
                .filter(each -> !each.gave())
                .map(each -> Double.valueOf(each.tag()))
                .toList();
        for (int i = 1; i < tags.size(); i++) {
            assertThat(tags.get(i) - tags.get(i - 1)).isGreaterThanOrEqualTo(19.99);
        }
        assertThat(tags).allSatisfy(tag -> assertThat(tag).isLessThan(750));
        assertThat(picture.rows())
                .extracting(row -> Double.parseDouble(row.heatY()))
                .allSatisfy(y -> assertThat(y).isLessThan(picture.height()));
        assertThat(picture.segments())
                .filteredOn(BalancePicture.Segment::sought)
                .hasSize(1);
    }

    /**
     * Standing on its end it has the same pieces: lengths in one proportion, giving above the post, taking below it.
     */
    @Test
    void theUprightBalanceHasTheSamePiecesAboutItsPost() {
        Input unknown = new Input("unknown", Symbol.of("L"), "L", BenchUnit.JOULES_PER_GRAM);
        Expression zero = Expression.number(0, "0");
        HeatTerm ice = HeatTerm.melting(
                "ice",
                "ice",
                Expression.number(10, "10"),
                Expression.number(10, "10"),
                new HeatTerm.Change(zero, unknown),
                Expression.number(2, "2"),
                Expression.number(4, "4"),
                Expression.number(-10, "-10"),
                Expression.number(10, "10"));
        HeatTerm water = HeatTerm.body(
                "water",
                "water",
                Expression.number(100, "100"),
                Expression.number(4, "4"),
                Expression.number(20, "20"),
                Expression.number(10, "10"));
        Solution solution = HeatBalance.of(1, List.of(ice, water), unknown)
                .solve(Bindings.of(Map.of("none", Measured.exact(0))))
                .solution()
                .orElseThrow();
        // 4000 J: 200 J warm the ice, 3400 J melt it, 400 J warm its water
        BalancePicture lying = BalancePicture.of(solution, Figures.POINT);
        assertThat(lying.rows().get(1).stages()).isEqualTo("warming +200 J, melting +3400 J, meltwater +400 J");
        assertThat(lying.segments().get(1).stages()).containsExactly("398.0", "704.0");
        UprightBalance standing = UprightBalance.of(lying);
        assertThat(standing.pieces()).hasSize(2).allSatisfy(piece -> {
            double top = Double.parseDouble(piece.y());
            double end = top + Double.parseDouble(piece.height());
            assertThat(piece.gave() ? end : top).isCloseTo(standing.post(), within(0.2));
            assertThat(Double.parseDouble(piece.height())).isCloseTo(standing.post(), within(0.2));
        });
        assertThat(standing.summary()).contains("absorbed (found)");
    }

    private static double length(BalancePicture picture, boolean gave) {
        return picture.segments().stream()
                .filter(each -> each.gave() == gave)
                .mapToDouble(each -> Double.parseDouble(each.width()))
                .sum();
    }
}
