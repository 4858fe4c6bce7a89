package lab.sassafras.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.DoubleStream;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.measure.Figures;
import org.junit.jupiter.api.Test;

/**
 * What a few curves of every kind of slow heat are read as, against what was recorded once their populations had been
 * judged ({@code ./bench curves}, {@code ./bench populations}): no number of the reading moves unnoticed. Where one is
 * to move, run {@link #main} and say why in the commit.
 */
class RecordedCurvesTest {

    private static final int SEEDS = 2;

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
                                baselines.coarse() ? 1 : 0));
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

    private static String numbers(double... values) {
        return DoubleStream.of(values)
                .mapToObj(each -> String.format(Locale.ROOT, "%.7g", each))
                .collect(Collectors.joining(" "));
    }

    /** To a millionth of each number: what a fit still moves by its last step. */
    @Test
    void everyCurveIsReadAsRecorded() throws IOException {
        List<String> recorded;
        try (InputStream stream =
                Objects.requireNonNull(RecordedCurvesTest.class.getResourceAsStream("recorded.csv"))) {
            recorded = new String(stream.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList();
        }
        List<String> now = lines();
        assertThat(now).hasSameSizeAs(recorded);
        for (int i = 0; i < now.size(); i++) {
            same(now.get(i), recorded.get(i));
        }
    }

    private static void same(String now, String then) {
        String[] words = now.split("[; ]", -1);
        String[] before = then.split("[; ]", -1);
        assertThat(words).as(then).hasSameSizeAs(before);
        for (int i = 0; i < words.length; i++) {
            if (words[i].matches("-?\\d.*e?.*") && before[i].matches("-?[\\d.]+(e[-+]?\\d+)?")) {
                double value = Double.parseDouble(before[i]);
                assertThat(Double.parseDouble(words[i]))
                        .as(then)
                        .isCloseTo(value, within(1e-6 * Math.max(1e-6, Math.abs(value))));
            } else {
                assertThat(words[i]).as(then).isEqualTo(before[i]);
            }
        }
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
