package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.simulate.Bench;

/**
 * The curve to expect: an honest run of these amounts at the simulated bench, laid between the temperatures of a plan.
 *
 * @param readings in order of time, from some time before both come together
 * @param mixed    when they do (s); not a number where nothing comes together
 */
public record Course(List<Point> readings, double mixed) {

    private static final int MOST = 240;
    private static final double BEFORE = 90;
    /** Two standard uncertainties for 95 %, common practice. */
    private static final double COVERAGE = 2;

    /**
     * One reading.
     *
     * @param seconds on the clock of the run (s)
     * @param low     lower end of what is expected then (°C)
     * @param middle  expected (°C)
     * @param high    upper end (°C)
     */
    public record Point(double seconds, double low, double middle, double high) {}

    /**
     * {@return the curve to expect; empty where none is read}
     *
     * @param expectation of a plan
     */
    public static Optional<Course> of(Expectation expectation) {
        return expectation
                .seen()
                .flatMap(Foresight.Seen::timed)
                .map(timed -> foreseen(expectation.plan(), timed.curve()))
                .or(() -> expectation.warms().map(ends -> between(expectation.plan(), ends)));
    }

    /** As it was foreseen, each reading off by what the thermometer may be. */
    private static Course foreseen(Plan plan, List<Bench.Sample> curve) {
        double off = Optional.ofNullable(plan.reads().get(InstrumentKind.THERMOMETER))
                .map(each -> COVERAGE * each.offsetUncertainty())
                .orElse(0.0);
        int step = Math.max(1, curve.size() / MOST);
        List<Point> points = new ArrayList<>();
        for (int i = 0; i < curve.size(); i += step) {
            double at = curve.get(i).temperature();
            points.add(new Point(curve.get(i).seconds(), at - off, at, at + off));
        }
        return new Course(List.copyOf(points), Double.NaN);
    }

    private static Course between(Plan plan, Expectation.Ends ends) {
        Bench.Played played = Bench.usual(
                        1,
                        plan.setting()
                                .calorimeter()
                                .map(each -> each.constant()
                                        .map(known -> known.value().value())
                                        .orElse(each.kind().typical()))
                                .orElse(5.0))
                .wishing(plan.wished(), plan.taken())
                .atOnce(plan.experiment().scene().orElseThrow());
        List<Bench.Sample> curve = played.curve().stream()
                .filter(each -> each.seconds() >= Math.max(played.settled(), played.mixed() - BEFORE))
                .toList();
        double from = curve.stream()
                .filter(each -> each.seconds() <= played.mixed())
                .reduce((earlier, later) -> later)
                .orElse(curve.get(0))
                .temperature();
        double to = curve.stream()
                .filter(each -> each.seconds() > played.mixed())
                .mapToDouble(Bench.Sample::temperature)
                .reduce((one, other) -> Math.abs(one - from) >= Math.abs(other - from) ? one : other)
                .orElse(from);
        double start = ends.value().value() - ends.change();
        List<Point> points = new ArrayList<>();
        int step = Math.max(1, curve.size() / MOST);
        for (int i = 0; i < curve.size(); i += step) {
            double part = to == from ? 0 : (curve.get(i).temperature() - from) / (to - from);
            points.add(new Point(
                    curve.get(i).seconds(),
                    start + part * (ends.value().low() - start),
                    start + part * ends.change(),
                    start + part * (ends.value().high() - start)));
        }
        return new Course(List.copyOf(points), played.mixed());
    }
}
