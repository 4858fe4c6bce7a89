package lab.sassafras.app.plans;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.Bench;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Hazard;
import lab.sassafras.verdict.Interval;
import org.springframework.stereotype.Component;

/** What the plan of a bench, or of its period, expects of a run, in words. */
@Component
public class Planned {

    private static final double FAR = 1e-9;

    private final PlanBook plans;
    private final HazardsShown hazards;

    Planned(PlanBook plans, HazardsShown hazards) {
        this.hazards = hazards;
        this.plans = plans;
    }

    /** Where a run is expected to end, and between what (°C). */
    public record Ends(double end, double low, double high) {}

    /** {@return where a run is expected to end; empty where no plan leads it} */
    public Optional<Ends> ends(Bench bench, String experiment) {
        return plans.laidOut(bench, experiment).flatMap(Planned::ends);
    }

    private static Optional<Ends> ends(KeptPlan plan) {
        Map<String, Double> expected =
                Optional.ofNullable(plan.file().expected()).orElse(Map.of());
        Double end = expected.get(PlanFile.END);
        Double low = expected.get(PlanFile.LOW);
        Double high = expected.get(PlanFile.HIGH);
        return end == null || low == null || high == null ? Optional.empty() : Optional.of(new Ends(end, low, high));
    }

    /**
     * {@return what of a plan’s substances burns, poisons or ignites, each with its words and how far they may be
     * believed; none without a plan}
     */
    public List<String> strong(Bench bench, String experiment) {
        return plans.laidOut(bench, experiment).stream()
                .flatMap(plan -> plan.file().had().values().stream())
                .flatMap(had -> Hazard.named(had.text()).stream())
                .distinct()
                .map(hazards::of)
                .filter(HazardsShown.Shown::strong)
                .map(HazardsShown.Shown::inWords)
                .toList();
    }

    /**
     * {@return what is expected, and how what was read stands to it; empty where no plan leads it}
     *
     * @param read   final temperature that was read (°C); empty while it is not
     * @param result that was found (its unit); empty while there is none
     */
    public Optional<String> words(Bench bench, String experiment, Optional<Double> read, Optional<Interval> result) {
        return plans.laidOut(bench, experiment)
                .flatMap(plan -> ends(plan)
                        .map(ends -> inTheEnd(plan, ends, bench.period().figures(), read))
                        .or(() -> result(plan, bench.period().figures(), result)));
    }

    private static String inTheEnd(KeptPlan plan, Ends ends, Figures figures, Optional<Double> read) {
        int decimals = Math.max(1, Figures.decimalsFor((ends.high() - ends.low()) / 2) - 1);
        String came = read.map(at -> " It came to " + figures.plain(at) + " °C: "
                        + (at >= ends.low() - FAR && at <= ends.high() + FAR ? "as planned." : "not as planned."))
                .orElse("");
        return "The plan “" + plan.name() + "” expects " + figures.fixed(ends.end(), decimals)
                + " °C in the end, between " + figures.fixed(ends.low(), decimals) + " and "
                + figures.fixed(ends.high(), decimals) + "." + came;
    }

    /** Where no final temperature is expected, the result is. */
    private static Optional<String> result(KeptPlan plan, Figures figures, Optional<Interval> found) {
        Map<String, Double> expected =
                Optional.ofNullable(plan.file().expected()).orElse(Map.of());
        return expected.entrySet().stream()
                .filter(each -> each.getKey().startsWith(PlanFile.RESULT))
                .findFirst()
                .map(each -> {
                    String unit = each.getKey().substring(PlanFile.RESULT.length());
                    double half = expected.getOrDefault(PlanFile.HALF + unit, 0.0);
                    String came = found.map(one -> " It came to "
                                    + figures.fixed(one.value(), Figures.decimalsFor(one.half())) + ": "
                                    + (Math.abs(one.value() - each.getValue()) <= half + one.half()
                                            ? "as planned."
                                            : "not as planned."))
                            .orElse("");
                    return "The plan “" + plan.name() + "” expects "
                            + figures.fixed(each.getValue(), Figures.decimalsFor(half)) + " ± "
                            + figures.uncertainty(half) + " " + unit + " (95 %)." + came;
                });
    }
}
