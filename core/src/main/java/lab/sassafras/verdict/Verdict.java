package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Estimate;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Judging;
import lab.sassafras.yardstick.Judged;
import lab.sassafras.yardstick.Parts;

/**
 * The judgement of a result.
 *
 * @param findings   plausibility in words
 * @param candidates what it may be, most compatible first
 * @param sought     what one of them is called; empty where nothing is looked for
 * @param agreement  with a reference value, where one is told
 */
public record Verdict(
        List<Finding> findings, List<Candidate> candidates, Optional<String> sought, Optional<Agreement> agreement) {

    static Verdict of(Sheet sheet, int trial, Estimate result, Interval interval, List<Solution> trials) {
        Judged judged = new Judged(sheet, trial, result, trials.get(0), trials.size());
        Parts parts = parts(judged);
        Optional<Agreement> agreement = agreement(parts, interval);
        List<Finding> findings = new ArrayList<>();
        parts.plausible().ifPresent(what -> findings.addAll(new Plausibility(what, judged).findings()));
        findings.addAll(parts.remarks());
        parts.between().ifPresent(ends -> findings.add(between(ends, interval)));
        agreement
                .flatMap(each -> far(each, parts.compared(), interval, new ReadingToLookAt(sheet, judged.solved())))
                .ifPresent(findings::add);
        return new Verdict(
                findings,
                parts.contenders()
                        .map(all -> Candidate.among(all.all(), result))
                        .orElse(List.of()),
                parts.contenders().map(Parts.Contenders::word),
                agreement);
    }

    /** What a result stands beside; for whom that is withheld, no more than whether it can be at all. */
    static Parts parts(Judged judged) {
        Parts parts =
                Experiments.declaring(judged.sheet().experiment()).yardstick().parts(judged);
        Judging judging = judged.sheet().setting().judging();
        if (judging.withheld()) {
            return parts.withheld();
        }
        return judging.given(judged.sample(), judged.unit())
                .map(parts::judgedBy)
                .orElse(parts);
    }

    /** How a result stands to its reference, where there is one, and nothing else. */
    static Optional<Agreement> agreement(Parts parts, Interval interval) {
        return parts.reference().map(each -> Agreement.of(interval, each));
    }

    static Finding between(Parts.Between ends, Interval result) {
        double low = Math.min(ends.one(), ends.other());
        double high = Math.max(ends.one(), ends.other());
        boolean lies = result.value() + result.towards(low) >= low && result.value() - result.towards(high) <= high;
        return lies
                ? Finding.note(ends.code(), ends.words() + " The result lies between them.")
                : Finding.question(ends.code(), ends.words() + " The result lies outside, further than its ± allows.");
    }

    private static Optional<Finding> far(
            Agreement agreement, Parts.Compared compared, Interval result, ReadingToLookAt lookAt) {
        return switch (compared) {
            case QUIETLY -> Optional.empty();
            case BY_SIZE ->
                result.value() > 0 && agreement.gross() ? Optional.of(far(agreement, lookAt)) : Optional.empty();
            case BY_SIGN_AND_SIZE ->
                agreement.reference().value() * result.value() < 0
                        ? Optional.of(
                                Finding.question(
                                        "process.wrong-sign",
                                        "The reference has the other sign. Was a hydrate weighed for the salt "
                                                + "without water, were the two temperatures exchanged, or is the equation backwards?"))
                        : agreement.gross() ? Optional.of(far(agreement, lookAt)) : Optional.empty();
        };
    }

    private static Finding far(Agreement agreement, ReadingToLookAt lookAt) {
        return Finding.question(
                "result.far-from-reference",
                "The result lies " + lookAt.figures().significant(Math.abs(agreement.percentError()), 2)
                        + " % from the reference value, " + lookAt.figures().significant(agreement.times(), 2)
                        + " times what the uncertainties allow. " + lookAt.words());
    }
}
