package lab.sassafras.app.sheet;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.app.record.Entry;
import lab.sassafras.presentation.Presentation.Written;
import lab.sassafras.verdict.Reduction;

/**
 * Where an entry stands, as a list shows it.
 *
 * @param result    what its first sample comes to; empty while no trial is solved
 * @param questions findings that need looking at
 * @param waiting   whether it is still being worked out
 */
public record StandingLine(UUID entry, Optional<Written> result, int questions, boolean waiting) {

    static StandingLine of(EntrySheet sheet) {
        Reduction reduction = sheet.reduction();
        Optional<Solution> first = reduction.trials().stream()
                .filter(Reduction.Trial::counts)
                .findFirst()
                .flatMap(Reduction.Trial::solution);
        Optional<Written> result = first.flatMap(solution ->
                        reduction.sampleOf(solution.account().trial()).result())
                .map(estimate -> reduction
                        .presentation()
                        .written(estimate, first.get().result(), first.get().bindings()));
        return new StandingLine(
                sheet.entry().id(),
                result,
                (int) reduction.findings().stream()
                        .filter(finding -> finding.grade() != Finding.Grade.NOTE)
                        .count(),
                false);
    }

    /** An entry that a fault of ours kept from being worked: it stays in the list, to be looked at. */
    static StandingLine notWorked(Entry entry) {
        return new StandingLine(entry.id(), Optional.empty(), 1, false);
    }

    static StandingLine waiting(Entry entry) {
        return new StandingLine(entry.id(), Optional.empty(), 0, true);
    }
}
