package lab.sassafras.hour;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.sheet.LikelySlip;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Slot;

/**
 * What a sheet tells at sight, whatever time it is: worked out once for as long as nothing is added to it.
 *
 * @param sheet    itself
 * @param next     the step in hand of the last trial; empty where all is read
 * @param leaves   its procedure, step by step, as far as the last trial came
 * @param unticked what of the next step that can hurt is not ticked off, all else before it being done; empty elsewhere
 * @param cannotBe the first value that cannot be, with the slip that would explain it; empty without one
 */
public record Sight(
        Sheet sheet,
        Optional<Tasks.Ask> next,
        List<Leaf> leaves,
        Optional<String> unticked,
        Optional<String> cannotBe) {

    /**
     * A leaf in the line of a bench’s procedure.
     *
     * @param label of the step
     * @param state how it stands
     */
    public record Leaf(String label, State state) {

        /** How a step stands. */
        public enum State {
            /** It is read. */
            DONE,
            /** It is in hand. */
            NOW,
            /** It is to come. */
            TODO
        }
    }

    /**
     * {@return what a sheet tells}
     *
     * @param sheet of a run
     */
    public static Sight of(Sheet sheet) {
        List<Tasks.Ask> asks = sheet.tasks().asks(sheet.trials()).stream()
                .filter(ask -> !ask.step().aside())
                .toList();
        Optional<Tasks.Ask> next = asks.stream()
                .filter(ask -> !sheet.tasks().done(ask) && !optional(sheet, ask))
                .findFirst();
        return new Sight(sheet, next, leaves(sheet, asks, next), unticked(sheet, asks), cannotBe(sheet));
    }

    private static boolean optional(Sheet sheet, Tasks.Ask ask) {
        return sheet.experiment()
                .slot(ask.address().path())
                .filter(Slot::optional)
                .isPresent();
    }

    private static List<Leaf> leaves(Sheet sheet, List<Tasks.Ask> asks, Optional<Tasks.Ask> next) {
        return asks.stream()
                .filter(ask -> sheet.tasks().done(ask) || !optional(sheet, ask))
                .map(ask -> new Leaf(
                        sheet.experiment().words().label(ask.address().path()),
                        sheet.tasks().done(ask)
                                ? Leaf.State.DONE
                                : next.filter(ask::equals).isPresent() ? Leaf.State.NOW : Leaf.State.TODO))
                .toList();
    }

    private static Optional<String> cannotBe(Sheet sheet) {
        return sheet.lines().stream()
                .flatMap(line -> LikelySlip.of(sheet, line).stream()
                        .map(words ->
                                sheet.experiment().words().label(line.address().path()) + ", " + words))
                .findFirst();
    }

    private static Optional<String> unticked(Sheet sheet, List<Tasks.Ask> asks) {
        Declaration experiment = sheet.experiment();
        Map<String, List<String>> ticks = experiment.tickedBefore();
        if (ticks.isEmpty()) {
            return Optional.empty();
        }
        Stream<Tasks.Ask> open = asks.stream()
                .filter(ask -> !sheet.tasks().done(ask)
                        && (ticks.containsKey(ask.address().path()) || !optional(sheet, ask)))
                .filter(ask -> ticks.values().stream()
                        .noneMatch(paths -> paths.contains(ask.address().path())));
        return open.findFirst().flatMap(ask -> {
            List<String> left = ticks.getOrDefault(ask.address().path(), List.of()).stream()
                    .filter(path ->
                            !sheet.filled(sheet.address(path, ask.address().index())))
                    .toList();
            return left.isEmpty()
                    ? Optional.empty()
                    : Optional.of("next: "
                            + experiment.words().label(ask.address().path()) + ", not ticked: "
                            + left.stream().map(experiment.words()::label).collect(Collectors.joining(", ")));
        });
    }
}
