package lab.sassafras.app.sheet;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.presentation.Presentation.Written;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Slot;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Verdict;

/**
 * Where an entry stands, as a list shows it.
 *
 * @param result    what its first sample comes to; empty while no trial is solved
 * @param questions findings that need looking at
 * @param waiting   whether it is still being worked out
 * @param off       how far the result lies from its reference, in what both intervals allow; empty without one
 * @param state     how far it has come
 * @param aside     why it was set aside and by whom; empty where it was not
 * @param last      when something was kept of it last
 * @param lacks     what must be filled next; empty where nothing must
 */
public record EntrySummary(
        UUID entry,
        Optional<Written> result,
        int questions,
        boolean waiting,
        Optional<Double> off,
        State state,
        String aside,
        Optional<Instant> last,
        String lacks) {

    /** How far an entry has come. */
    public enum State {
        UNDER_WAY("under way"),
        FINISHED("finished"),
        ASIDE("excluded");

        private final String words;

        State(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    private static State state(EntrySheet sheet) {
        if (sheet.decisions().setAside().isPresent()) {
            return State.ASIDE;
        }
        boolean worked = sheet.reduction().trials().stream()
                .anyMatch(trial -> trial.solution().isPresent());
        return worked
                        && IntStream.rangeClosed(1, sheet.sheet().trials())
                                .mapToObj(trial -> sheet.sheet().tasks().asks(trial))
                                .flatMap(List::stream)
                                .allMatch(ask -> sheet.sheet().tasks().done(ask) || optional(sheet, ask))
                ? State.FINISHED
                : State.UNDER_WAY;
    }

    /** What need not be filled: what is optional, and ticks made on paper. */
    private static boolean optional(EntrySheet sheet, Tasks.Ask ask) {
        if (sheet.decisions().copiedFromPaper().isPresent()
                && sheet.experiment().tickedBefore().values().stream()
                        .anyMatch(paths -> paths.contains(ask.address().path()))) {
            return true;
        }
        return sheet.experiment()
                .slot(ask.address().path())
                .filter(Slot::optional)
                .isPresent();
    }

    static EntrySummary of(EntrySheet sheet) {
        Reduction reduction = sheet.reduction();
        Optional<Written> result = reduction.samples().stream()
                .flatMap(sample -> reduction.writing().written(sample).stream())
                .findFirst();
        return new EntrySummary(
                sheet.entry().id(),
                result,
                (int) reduction.findings().stream()
                        .filter(finding -> finding.grade() != Finding.Grade.NOTE)
                        .count(),
                false,
                reduction
                        .verdict()
                        .filter(any -> Experiments.declaring(sheet.experiment())
                                .yardstick()
                                .expected())
                        .flatMap(Verdict::agreement)
                        .map(each -> each.difference() / each.allowed())
                        .filter(Double::isFinite),
                state(sheet),
                sheet.decisions()
                        .setAside()
                        .map(each -> "“" + each.reason() + "”, " + each.who())
                        .orElse(""),
                sheet.observations().last().map(Observation::madeAt),
                IntStream.rangeClosed(1, sheet.sheet().trials())
                        .mapToObj(trial -> sheet.sheet().tasks().asks(trial))
                        .flatMap(List::stream)
                        .filter(ask -> !sheet.sheet().tasks().done(ask) && !optional(sheet, ask))
                        .findFirst()
                        .map(ask ->
                                sheet.experiment().words().label(ask.address().path()))
                        .orElse(""));
    }

    /** An entry that a fault of ours kept from being worked: it stays in the list, to be looked at. */
    static EntrySummary notWorked(Entry entry) {
        return new EntrySummary(
                entry.id(), Optional.empty(), 1, false, Optional.empty(), State.UNDER_WAY, "", Optional.empty(), "");
    }

    public static EntrySummary waiting(Entry entry) {
        return new EntrySummary(
                entry.id(), Optional.empty(), 0, true, Optional.empty(), State.UNDER_WAY, "", Optional.empty(), "");
    }
}
