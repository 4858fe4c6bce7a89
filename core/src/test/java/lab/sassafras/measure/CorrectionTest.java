package lab.sassafras.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.Correction.Point;
import org.junit.jupiter.api.Test;

/**
 * What an instrument's scale does to its readings. The line through points and its covariance are reckoned here by the
 * textbook's sums (weighted straight line; any text on least squares); half-widths of gains are common practice, no
 * source.
 */
class CorrectionTest {

    private static final Point ICE = new Point(0.4, 0.0, 0.05);
    private static final Point STEAM = new Point(99.2, 99.8, 0.1);
    private static final double READ = 0.1 / Math.sqrt(12);

    private static Instrument thermometer(Correction correction) {
        return new Instrument(
                "t", "R-2", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0, correction);
    }

    private static Correction points(Point... points) {
        return new Correction(0.002, List.of(points));
    }

    private static Measured read(double value, Instrument instrument) {
        return Measured.read(value, 0.1, 1, instrument);
    }

    /** The rise, its own resolution left out: what the scale alone does to it. */
    private static double ofTheRise(Instrument instrument, double low, double high) {
        Input from = new Input("from", Symbol.of("T:i"), "start", BenchUnit.DEGREES_CELSIUS);
        Input to = new Input("to", Symbol.of("T:f"), "end", BenchUnit.DEGREES_CELSIUS);
        Expression rise = to.minus(from);
        Estimate estimate = new Computation(
                        rise, Bindings.of(Map.of("from", read(low, instrument), "to", read(high, instrument))))
                .estimate();
        return Math.sqrt(estimate.contributions().stream()
                .filter(each -> each.source() != null)
                .mapToDouble(each -> each.uncertainty() * each.uncertainty())
                .sum());
    }

    @Test
    void anOffsetCancelsInARiseAndAGainDoesNot() {
        Instrument never = thermometer(Correction.unknown(0.002));
        assertThat(ofTheRise(never, 20, 60)).isCloseTo(40 * 0.002 / Math.sqrt(3), within(1e-12));
        assertThat(ofTheRise(thermometer(Correction.unknown(0)), 20, 60)).isCloseTo(0, within(1e-12));
        assertThat(InstrumentKind.usual().stream().map(InstrumentKind::usualGain))
                .containsExactly(0.0005, 0.002, 0.0);
        assertThat(never.gain().shape()).isEqualTo(Shape.RECTANGULAR);
    }

    /** One gain for all readings: a mean of a hundred rises is no better known than one. */
    @Test
    void aHundredRisesShareOneGain() {
        Instrument never = thermometer(Correction.unknown(0.002));
        List<Input> inputs = IntStream.range(0, 100)
                .mapToObj(i -> new Input("x" + i, Symbol.of("T"), "end", BenchUnit.DEGREES_CELSIUS))
                .toList();
        Expression mean = new Expression.Sum(List.copyOf(inputs)).over(Expression.number(100, "100"));
        Map<String, Measured> values = new HashMap<>();
        inputs.forEach(each -> values.put(each.key(), read(60, never)));
        Estimate estimate = new Computation(mean, Bindings.of(values)).estimate();
        assertThat(estimate.contributions())
                .filteredOn(each -> each.label().equals("gain of R-2"))
                .singleElement()
                .satisfies(each -> assertThat(each.uncertainty()).isCloseTo(40 * 0.002 / Math.sqrt(3), within(1e-12)));
    }

    @Test
    void onePointMovesAllReadingsAndLeavesTheGain() {
        Instrument.Corrected moved = thermometer(points(ICE)).corrected(30.4);
        assertThat(moved.value()).isCloseTo(30.0, within(1e-12));
        assertThat(moved.shares()).extracting(Measured.Share::sensitivity).containsExactly(1.0, 30.0);
        assertThat(moved.shares().get(0).uncertainty()).isCloseTo(Math.hypot(0.05, READ), within(1e-12));
    }

    @Test
    void throughPointsGoesTheWeightedLineWithItsCovariance() {
        Point room = new Point(25.3, 25.1, 0.2);
        Instrument instrument = thermometer(points(STEAM, ICE, room));
        double[] x = {0.4, 25.3, 99.2};
        double[] y = {-0.4, -0.2, 0.6};
        double[] u = {0.05, 0.2, 0.1};
        double s = 0, sx = 0, sy = 0, sxx = 0, sxy = 0;
        for (int i = 0; i < 3; i++) {
            double w = 1 / (u[i] * u[i] + READ * READ);
            s += w;
            sx += w * x[i];
            sy += w * y[i];
            sxx += w * x[i] * x[i];
            sxy += w * x[i] * y[i];
        }
        double det = s * sxx - sx * sx;
        double a = (sxx * sy - sx * sxy) / det;
        double b = (s * sxy - sx * sy) / det;
        Measured at = read(60, instrument);
        assertThat(at.value()).isCloseTo(60 + a + 60 * b, within(1e-10));
        assertThat(at.decimals()).isEqualTo(2);
        double variance = sxx / det + 60 * 60 * s / det - 2 * 60 * sx / det;
        assertThat(Math.pow(at.uncertainty(), 2) - READ * READ).isCloseTo(variance, within(1e-10));
        assertThat(ofTheRise(instrument, 20, 60)).isCloseTo(40 * Math.sqrt(s / det), within(1e-10));
    }

    /** Twice its ± off the line, a point bends it; a little less, and the line goes on. */
    @Test
    void pointsOnNoLineAreTakenPieceByPiece() {
        Point low = new Point(0, 0, 0.1);
        Point high = new Point(100, 100, 0.1);
        double u = Math.hypot(0.1, READ);
        Correction bent = points(low, new Point(50, 50 + 1.5 * 2.05 * u, 0.1), high);
        Correction straight = points(low, new Point(50, 50 + 1.5 * 1.95 * u, 0.1), high);
        assertThat(bent.piecewise(READ)).isTrue();
        assertThat(straight.piecewise(READ)).isFalse();
        Instrument instrument = thermometer(bent);
        assertThat(instrument.corrected(75).value()).isCloseTo(75 + 1.5 * 2.05 * u / 2, within(1e-12));
        assertThat(instrument.corrected(110).value()).isCloseTo(110 - 0.2 * 1.5 * 2.05 * u, within(1e-12));
        assertThat(instrument.corrected(25).shares())
                .extracting(Measured.Share::sensitivity)
                .containsExactly(0.5, 0.5, 0.0);
    }

    @Test
    void whatIsNoScaleIsRefused() {
        assertThatThrownBy(() -> points(ICE, ICE)).isInstanceOf(Refused.class).hasMessageContaining("differ");
        assertThatThrownBy(() -> points(ICE, new Point(99.2, 9.98, 0.1))).isInstanceOf(Refused.class);
        assertThatThrownBy(() -> points(new Point(1, 1, 0))).hasMessageContaining("larger than zero");
        assertThatThrownBy(() -> Correction.unknown(0.11)).hasMessageContaining("0 to 10 %");
        assertThat(Correction.unknown(0.1).gain()).isEqualTo(0.1);
        assertThatThrownBy(() -> points(IntStream.range(0, 13)
                        .mapToObj(i -> new Point(i, i, 0.1))
                        .toArray(Point[]::new)))
                .hasMessageContaining("At most 12");
    }

    @Test
    void aConstantOfBeforeKnowsOffsetsAndNoGain() {
        Instrument instrument = thermometer(Correction.unknown(0.002));
        Measured now = new Measured(9, 1, 2, read(50, instrument).shares(), -1);
        Measured before = new Measured(9, 1, 2, List.of(new Measured.Share(instrument.offset(), 1)), -1);
        assertThat(Instrument.Source.lacksGain(before)).isTrue();
        assertThat(Instrument.Source.lacksGain(now)).isFalse();
        assertThat(Instrument.Source.lacksGain(Measured.independent(9, 1))).isFalse();
    }
}
