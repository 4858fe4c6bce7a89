package lab.sassafras.app.exchange;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.account.TrialMean;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;
import lab.sassafras.verdict.Reduction;

/** A reduction as the API answers it: numbers locale-free and in full, words beside them. */
record ReducedFile(String experiment, Map<String, String> conventions, Result unknown, List<Derived> derived,
                   List<TrialPart> trials, List<Share> budget, List<AlternativePart> alternatives, List<CandidatePart> candidates,
                   List<FindingPart> findings) {

    record Result(String name, String symbol, Double value, Double standardUncertainty, Double degreesOfFreedom, String unit) {
    }

    record Derived(String name, double value, Double standardUncertainty, String unit) {
    }

    record Heat(String party, String label, double heat, double standardUncertainty, String unit, String words) {
    }

    record TrialPart(int trial, boolean leftOut, Double value, Double standardUncertainty, List<Heat> heats,
                     List<Derived> derived, List<Working.Line> working, String workingText, String workingLatex, List<Account.Missing> missing) {
    }

    record Share(String source, double share) {
    }

    record AlternativePart(String question, String school, Double value, Double standardUncertainty) {
    }

    record CandidatePart(String substance, double compatibility, List<String> objections) {
    }

    record FindingPart(String grade, String code, String message, String about) {
    }

    static ReducedFile of(Reduction reduction, Figures figures) {
        Optional<Estimate> mean = reduction.mean().map(TrialMean::estimate);
        var experiment = reduction.sheet().experiment();
        Result unknown = new Result(experiment.words().get("unknown"), experiment.unknown().symbol().text(),
                mean.map(Estimate::value).orElse(null), mean.map(Estimate::uncertainty).orElse(null),
                mean.map(Estimate::degreesOfFreedom).filter(Double::isFinite).orElse(null), experiment.unknown().unit().symbol());
        return new ReducedFile(experiment.key(), inForce(reduction), unknown, derived(reduction),
                reduction.trials().stream().map(trial -> trial(trial, figures)).toList(),
                mean.map(each -> each.contributions().stream().map(part -> new Share(part.label(), part.shareOf(each))).toList())
                        .orElse(List.of()),
                reduction.alternatives().stream().map(each -> new AlternativePart(each.alternative().question().key(),
                        each.alternative().school().key(), each.estimate().map(Estimate::value).orElse(null),
                        each.estimate().map(Estimate::uncertainty).orElse(null))).toList(),
                reduction.verdict().map(verdict -> verdict.candidates().stream().map(each -> new CandidatePart(
                        each.substance().key(), each.compatibility(), each.objections())).toList()).orElse(List.of()),
                reduction.findings().stream().map(ReducedFile::finding).toList());
    }

    private static Map<String, String> inForce(Reduction reduction) {
        Conventions conventions = reduction.conventions();
        return conventions.named();
    }

    /** Results that follow from the unknown: the scatter of trials and the per cent error, where there are any. */
    private static List<Derived> derived(Reduction reduction) {
        List<Derived> derived = new java.util.ArrayList<>();
        String unit = reduction.sheet().experiment().unknown().unit().symbol();
        reduction.mean().ifPresent(mean -> mean.scatter().ifPresent(s ->
                derived.add(new Derived("standard deviation of the trials", s, null, unit))));
        reduction.verdict().flatMap(verdict -> verdict.agreement()).ifPresent(agreement ->
                derived.add(new Derived("per cent error", agreement.percentError(), null, "%")));
        return derived;
    }

    private static TrialPart trial(Reduction.Trial trial, Figures figures) {
        Optional<Working> working = trial.solution().map(solution -> solution.working(figures));
        return new TrialPart(trial.number(), trial.leftOut(), trial.solution().map(each -> each.estimate().value()).orElse(null),
                trial.solution().map(each -> each.estimate().uncertainty()).orElse(null),
                trial.solution().map(ReducedFile::heats).orElse(List.of()),
                trial.solution().map(ReducedFile::derived).orElse(List.of()), working.map(Working::lines).orElse(List.of()),
                working.map(Working::text).orElse(""), working.map(Working::latex).orElse(""),
                trial.account() instanceof Account.Incomplete incomplete ? incomplete.missing() : List.of());
    }

    private static List<Derived> derived(Solution solution) {
        return IntStream.range(0, solution.derived().size()).mapToObj(i -> new Derived(
                solution.ledger().derived().get(i).label(), solution.derived().get(i).value(),
                solution.derived().get(i).uncertainty(), solution.ledger().derived().get(i).unit().symbol())).toList();
    }

    private static List<Heat> heats(Solution solution) {
        return solution.entries().stream().map(entry -> new Heat(entry.party().key(), entry.party().label(),
                entry.heat().value(), entry.heat().uncertainty(), "J", entry.heat().value() < 0 ? "given off" : "taken up")).toList();
    }

    private static FindingPart finding(Finding finding) {
        return new FindingPart(finding.grade().word(), finding.code(), finding.message(), finding.about());
    }
}
