package lab.sassafras.curve;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Outcome.Withheld;
import lab.sassafras.measure.BenchUnit;

/** The two temperatures about a marked moment of mixing, read every way a convention may want. */
public record Mixing() implements CurvePurpose {

    private static final Told UNMARKED =
            new Told.None("Mark the moment of mixing, and both temperatures are read from the curve.");

    @Override
    public boolean marked() {
        return true;
    }

    @Override
    public List<Tells> tells() {
        return List.of(
                new Tells("start", BenchUnit.DEGREES_CELSIUS, true), new Tells("end", BenchUnit.DEGREES_CELSIUS, true));
    }

    @Override
    public Told of(Stretch stretch) {
        return stretch.mixed().<Told>map(curve -> new Read(Baselines.of(curve))).orElse(UNMARKED);
    }

    /**
     * A curve about its mixing.
     *
     * @param baselines which of its readings are baseline
     */
    public record Read(Baselines baselines) implements Told.Ways {

        @Override
        public Map<String, Told> ways() {
            Map<String, Told> ways = new LinkedHashMap<>();
            for (CurveMethod method : CurveMethod.values()) {
                ways.put(method.key(), told(method.of(baselines)));
            }
            return ways;
        }

        private static Told told(Outcome outcome) {
            return outcome instanceof Change change
                    ? new Told.Numbers(
                            List.of(change.start(), change.end()),
                            List.of(
                                    List.of(change.startVariance(), change.covariance()),
                                    List.of(change.covariance(), change.endVariance())),
                            change.degreesOfFreedom(),
                            List.of())
                    : new Told.None(((Withheld) outcome).reason());
        }
    }
}
