package lab.sassafras.app.runfile;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.MonteCarlo;
import lab.sassafras.expression.Working;
import lab.sassafras.substance.Reference;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.Drawn;
import lab.sassafras.verdict.Interval;
import lab.sassafras.verdict.Prediction;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Sample;
import lab.sassafras.verdict.Trial;
import lab.sassafras.verdict.Verdict;
import org.jspecify.annotations.Nullable;

/** A reduction as the API answers it: numbers locale-free and in full, words beside them. */
public record ReducedFile(
        String experiment,
        Map<String, String> conventions,
        Result unknown,
        List<DerivedPart> derived,
        List<SamplePart> samples,
        List<TrialPart> trials,
        List<BudgetPart> budget,
        List<AlternativePart> alternatives,
        List<SuspectPart> suspects,
        List<CandidatePart> candidates,
        @Nullable AgreementPart agreement,
        @Nullable PredictionPart prediction,
        List<FindingPart> findings) {

    public record Result(
            String name,
            String symbol,
            @Nullable Double value,
            @Nullable Double standardUncertainty,
            @Nullable Double degreesOfFreedom,
            String unit,
            @Nullable IntervalPart interval) {}

    /** The interval to be gone by, and whether it is that of random draws. */
    public record IntervalPart(double low, double high, double probability, boolean drawn) {}

    public record DerivedPart(
            String name, double value, @Nullable Double standardUncertainty, String unit) {}

    /** The trials of one sample: what they come to and by what, their scatter, and the line through them. */
    public record SamplePart(
            String name,
            List<Integer> trials,
            @Nullable Double value,
            @Nullable Double standardUncertainty,
            @Nullable Double standardDeviation,
            String combination,
            @Nullable LinePart line) {}

    public record LinePart(
            double slope,
            double slopeStandardError,
            double intercept,
            double interceptStandardError,
            String unit,
            boolean missesZero) {}

    public record Heat(
            String party, String label, double heat, double standardUncertainty, String unit, String words) {}

    /**
     * The result of a trial by random draws: mean and 95 % interval, and whether the linear answer may stand beside
     * it.
     */
    public record Draws(
            int draws,
            double value,
            @Nullable Double standardUncertainty,
            double low,
            double high,
            boolean bearsOutLinear) {}

    public record TrialPart(
            int trial,
            String sample,
            boolean leftOut,
            @Nullable Double value,
            @Nullable Double standardUncertainty,
            @Nullable Draws draws,
            List<Heat> heats,
            List<DerivedPart> derived,
            @Nullable String opening,
            List<Working.Passage> working,
            @Nullable String workingText,
            @Nullable String workingLatex,
            List<Account.Missing> missing) {}

    public record BudgetPart(String source, double share) {}

    public record AlternativePart(
            String question,
            String school,
            @Nullable Double value,
            @Nullable Double standardUncertainty,
            String unit) {}

    /**
     * A suspected error of a plausible size, what correcting for it would change, and the size that would explain the
     * whole deviation.
     */
    public record SuspectPart(
            String key,
            String words,
            double size,
            String unit,
            double change,
            @Nullable Double explains,
            boolean believed) {}

    public record CandidatePart(String substance, double compatibility, List<String> objections) {}

    /** How the result stands to the reference value it is judged by. */
    public record AgreementPart(
            String reference,
            double value,
            double standardUncertainty,
            String unit,
            String source,
            double percentError,
            boolean agrees,
            String words) {}

    public record PredictionPart(double predicted, @Nullable Double read, String unit) {}

    public record FindingPart(String grade, String code, String message, String about) {}

    public static ReducedFile of(Reduction reduction) {
        Optional<Estimate> mean = reduction.result();
        Result unknown = new Result(
                reduction.unknown(),
                symbol(reduction),
                mean.map(Estimate::value).orElse(null),
                mean.map(Estimate::uncertainty).orElse(null),
                mean.map(Estimate::degreesOfFreedom).filter(Double::isFinite).orElse(null),
                reduction.unit().symbol(),
                reduction
                        .samples()
                        .get(0)
                        .interval()
                        .map(each -> new IntervalPart(each.low(), each.high(), Interval.PROBABILITY, each.drawn()))
                        .orElse(null));
        return new ReducedFile(
                reduction.sheet().experiment().key(),
                reduction.conventions().named(),
                unknown,
                derived(reduction),
                reduction.samples().stream()
                        .map(sample -> sample(reduction, sample))
                        .toList(),
                reduction.trials().stream()
                        .map(trial -> trial(reduction, trial))
                        .toList(),
                mean.map(each -> each.contributions().stream()
                                .map(part -> new BudgetPart(part.label(), part.shareOf(each)))
                                .toList())
                        .orElse(List.of()),
                reduction.alternatives().stream()
                        .map(each -> new AlternativePart(
                                each.alternative().question().key(),
                                each.alternative().school().key(),
                                each.estimate().map(Estimate::value).orElse(null),
                                each.estimate().map(Estimate::uncertainty).orElse(null),
                                each.unit().symbol()))
                        .toList(),
                reduction.suspects().stream()
                        .map(each -> new SuspectPart(
                                each.suspect().key(),
                                each.words(),
                                each.error(),
                                each.unit(),
                                each.change(),
                                each.explains().isPresent() ? each.explains().getAsDouble() : null,
                                each.believed()))
                        .toList(),
                reduction.verdict().map(Verdict::candidates).orElse(List.of()).stream()
                        .map(each -> new CandidatePart(each.substance().key(), each.compatibility(), each.objections()))
                        .toList(),
                reduction
                        .agreement(reduction.samples().get(0))
                        .map(ReducedFile::agreement)
                        .orElse(null),
                Prediction.of(reduction.sheet())
                        .map(each -> new PredictionPart(
                                each.predicted().value(),
                                each.read().map(read -> read.value()).orElse(null),
                                "°C"))
                        .orElse(null),
                reduction.findings().stream().map(ReducedFile::finding).toList());
    }

    private static String symbol(Reduction reduction) {
        return reduction.trials().stream()
                .flatMap(trial -> trial.solution().stream())
                .findFirst()
                .map(solution -> solution.result().symbol())
                .orElse(reduction.sheet().experiment().unknown().symbol())
                .text();
    }

    /** Results that follow from the unknown: the scatter of trials and the per cent error, where there are any. */
    private static List<DerivedPart> derived(Reduction reduction) {
        List<DerivedPart> derived = new ArrayList<>();
        reduction
                .mean()
                .ifPresent(mean -> mean.scatter()
                        .ifPresent(s -> derived.add(new DerivedPart(
                                "standard deviation of the trials",
                                s,
                                null,
                                reduction.unit().symbol()))));
        reduction
                .byLine(reduction.samples().get(0))
                .forEach((reading, value) -> derived.add(new DerivedPart(
                        reading.label(),
                        value.value(),
                        value.uncertainty(),
                        reading.unit().symbol())));
        reduction
                .agreement(reduction.samples().get(0))
                .ifPresent(agreement ->
                        derived.add(new DerivedPart("per cent error", agreement.percentError(), null, "%")));
        return derived;
    }

    private static SamplePart sample(Reduction reduction, Sample sample) {
        Optional<Estimate> mean = sample.result();
        Optional<Double> scatter = sample.mean()
                .filter(each -> each.scatter().isPresent())
                .map(each -> each.scatter().getAsDouble());
        return new SamplePart(
                sample.name(),
                sample.trials(),
                mean.map(Estimate::value).orElse(null),
                mean.map(Estimate::uncertainty).orElse(null),
                scatter.orElse(null),
                sample.combination().key(),
                sample.line()
                        .map(line -> new LinePart(
                                line.slope(),
                                line.slopeUncertainty(),
                                line.intercept(),
                                line.interceptUncertainty(),
                                units(reduction),
                                line.missesZero()))
                        .orElse(null));
    }

    /** What the line is drawn of. */
    private static String units(Reduction reduction) {
        return reduction.trials().stream()
                .flatMap(trial -> trial.solution().stream())
                .flatMap(solution -> solution.point().stream())
                .findFirst()
                .map(point -> point.upUnit().symbol() + " against "
                        + point.acrossUnit().symbol())
                .orElse("");
    }

    private static TrialPart trial(Reduction reduction, Trial trial) {
        Optional<Solution> solution = trial.solution();
        Optional<Working> working = reduction.working(trial.number());
        return new TrialPart(
                trial.number(),
                reduction.sheet().places().sample(trial.number()),
                trial.leftOut(),
                solution.map(each -> each.estimate().value()).orElse(null),
                solution.map(each -> each.estimate().uncertainty()).orElse(null),
                reduction.drawn(trial.number()).map(ReducedFile::draws).orElse(null),
                solution.map(ReducedFile::heats).orElse(List.of()),
                solution.map(ReducedFile::derived).orElse(List.of()),
                working.map(Working::opening).orElse(""),
                working.map(Working::lines).orElse(List.of()),
                working.map(Working::text).orElse(""),
                working.map(Working::latex).orElse(""),
                trial.account().missing());
    }

    private static Draws draws(Drawn linear) {
        MonteCarlo drawn = linear.draws();
        return new Draws(
                Reduction.DRAWS,
                drawn.value(),
                drawn.uncertainty().isPresent() ? drawn.uncertainty().getAsDouble() : null,
                drawn.low(),
                drawn.high(),
                linear.bearsOutLinear());
    }

    private static List<DerivedPart> derived(Solution solution) {
        return solution.derived().stream()
                .filter(each -> each.estimate().finite())
                .map(each -> new DerivedPart(
                        each.derived().label(),
                        each.estimate().value(),
                        each.estimate().uncertainty(),
                        each.derived().unit().symbol()))
                .toList();
    }

    private static List<Heat> heats(Solution solution) {
        return solution.postings().stream()
                .map(entry -> new Heat(
                        entry.party().key(),
                        entry.party().label(),
                        entry.heat().value(),
                        entry.heat().uncertainty(),
                        "J",
                        entry.heat().value() < 0 ? "released" : "absorbed"))
                .toList();
    }

    private static AgreementPart agreement(Agreement agreement) {
        Reference reference = agreement.reference();
        return new AgreementPart(
                reference.name(),
                reference.value(),
                reference.uncertainty(),
                reference.unit().symbol(),
                reference.sourceInWords(),
                agreement.percentError(),
                agreement.agrees(),
                agreement.words());
    }

    private static FindingPart finding(Finding finding) {
        return new FindingPart(finding.grade().word(), finding.code(), finding.message(), finding.about());
    }
}
