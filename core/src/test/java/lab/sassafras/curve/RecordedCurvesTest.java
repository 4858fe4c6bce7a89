package lab.sassafras.curve;

import static lab.sassafras.curve.Recorded.numbers;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

/**
 * What a few curves of every kind of slow heat are read as, against what was recorded once their populations had been
 * judged ({@code ./bench curves}, {@code ./bench populations}): no number of the reading moves unnoticed. Where one is
 * to move, run {@link #main} and say why in the commit.
 */
class RecordedCurvesTest {

    private static final int SEEDS = 4;

    static List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (SlowHeat kind : SlowHeat.values()) {
            for (int seed = 1; seed <= SEEDS; seed++) {
                Baselines baselines = Baselines.of(kind.draw(seed).curve());
                String name = kind + ";" + seed + ";";
                for (CurveMethod way : CurveMethod.values()) {
                    lines.add(name + way.key() + ";" + said(way.of(baselines)));
                    lines.add(name + way.key() + " moved;"
                            + numbers(
                                    way.drift(baselines).start(),
                                    way.drift(baselines).end()));
                    lines.add(name + way.key() + " laid;"
                            + way.laid(baselines)
                                    .map(laid -> numbers(
                                            laid.at(),
                                            laid.fore().get(0).temperature(),
                                            laid.after()
                                                    .get(laid.after().size() - 1)
                                                    .seconds(),
                                            laid.after()
                                                    .get(laid.after().size() / 2)
                                                    .temperature()))
                                    .orElse("none"));
                }
                Recommendation advice = Recommendation.of(baselines, Figures.POINT);
                lines.add(name + "advice;" + advice.way().key() + " " + advice.reason());
                lines.add(name + "heat;"
                        + numbers(
                                baselines.settledAfter(),
                                baselines.meanDelay(),
                                baselines.coolingTime(),
                                baselines.stillToCome(),
                                baselines.begins().orElse(-1),
                                baselines.slow() ? 1 : 0,
                                baselines.coarse() ? 1 : 0,
                                baselines.readingsToAStep()));
                lines.add(name + "settled;" + baselines.settledBefore().said(Figures.POINT) + " / "
                        + baselines.settledAtEnd().said(Figures.POINT));
                lines.add(name + "aside;"
                        + baselines.spikes().stream()
                                .map(each -> numbers(each.seconds()))
                                .collect(Collectors.joining(" ")));
                Windows windows = baselines.windows();
                lines.add(name + "windows;"
                        + numbers(windows.foreFrom(), windows.foreTo(), windows.afterFrom(), windows.afterTo()));
            }
        }
        return lines;
    }

    private static String said(Outcome outcome) {
        return outcome instanceof Change change
                ? numbers(
                        change.start(),
                        change.end(),
                        change.startVariance(),
                        change.endVariance(),
                        change.covariance(),
                        change.degreesOfFreedom())
                : outcome.toString();
    }

    @Test
    void everyCurveIsReadAsRecorded() {
        Recorded.same(lines().stream(), RecordedCurvesTest.class, "recorded.csv");
    }

    /**
     * Prints what is to be recorded.
     *
     * @param arguments none
     */
    public static void main(String[] arguments) {
        lines().forEach(System.out::println);
    }
}
