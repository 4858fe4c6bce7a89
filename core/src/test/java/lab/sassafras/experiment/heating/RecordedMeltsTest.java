package lab.sassafras.experiment.heating;

import static lab.sassafras.curve.Recorded.numbers;

import java.util.ArrayList;
import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.DoubleStream;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Melting;
import lab.sassafras.curve.Plateau;
import lab.sassafras.curve.Recorded;
import lab.sassafras.curve.SteadyRise;
import lab.sassafras.curve.Stretch;
import lab.sassafras.curve.Told;
import lab.sassafras.measure.BenchUnit;
import org.junit.jupiter.api.Test;

/**
 * What some curves of every kind of melting and freezing are read as, against what was recorded once their populations
 * had been judged ({@code ./bench melts}). Where a number is to move, run {@link #main} and say why in the commit.
 */
class RecordedMeltsTest {

    private static final int SEEDS = 12;
    private static final List<CurvePurpose> PURPOSES = List.of(new Plateau(), new Melting(), new SteadyRise());

    static List<String> lines() {
        List<String> lines = new ArrayList<>();
        for (String kind : Melts.KINDS.keySet()) {
            IntFunction<Melt> drawn = Melts.KINDS.get(kind);
            for (int seed = 0; seed < SEEDS; seed++) {
                Stretch stretch = new Stretch(drawn.apply(seed).readings(), 0.1, BenchUnit.DEGREES_CELSIUS);
                for (CurvePurpose purpose : PURPOSES) {
                    said(purpose.of(stretch))
                            .forEach(each -> lines.add(
                                    String.join(";", purpose.getClass().getSimpleName(), each)));
                }
            }
        }
        return lines;
    }

    private static List<String> said(Told told) {
        if (!(told instanceof Told.Numbers many)) {
            return List.of(told.toString());
        }
        List<String> lines = new ArrayList<>();
        lines.add("values;" + numbers(all(many.values())));
        lines.add("rows of the covariance;"
                + numbers(many.covariance().stream()
                        .mapToDouble(row -> DoubleStream.of(all(row)).sum())
                        .toArray()));
        many.drawn()
                .forEach(each -> lines.add("line " + each.key() + ";"
                        + numbers(each.line().stream()
                                .flatMap(at -> List.of(at.seconds(), at.temperature()).stream())
                                .mapToDouble(Double::doubleValue)
                                .toArray())));
        return lines;
    }

    private static double[] all(List<Double> values) {
        return values.stream().mapToDouble(Double::doubleValue).toArray();
    }

    @Test
    void everyMeltIsReadAsRecorded() {
        Recorded.same(lines().stream(), RecordedMeltsTest.class, "recorded-melts.csv");
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
