package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Expression.Input;

/**
 * What a suspected error of a plausible size would do to the result.
 *
 * @param suspect the error
 * @param words   in words
 * @param unit    symbol of the error's unit
 * @param error   true value less recorded value here (that unit)
 * @param change  the result corrected for the error, less the result as it stands (unit of the result)
 */
public record SuspectSize(Suspect suspect, String words, String unit, double error, double change) {

    /** Every suspect: those whose reading enters this solution, and those whose quantity may be left out and was. */
    static List<SuspectSize> all(Sheet sheet, Conventions conventions, Solution solution) {
        return Stream.concat(read(sheet, solution).stream(), leftOut(sheet, conventions, solution).stream())
                .toList();
    }

    /** Those whose reading enters this solution. */
    static List<SuspectSize> read(Sheet sheet, Solution solution) {
        Computation result = new Computation(solution.result(), solution.bindings());
        List<SuspectSize> sizes = new ArrayList<>();
        for (Suspect suspect : sheet.experiment().suspects()) {
            Optional<Input> input = input(result.inputs(), suspect);
            if (input.isPresent() && !slot(sheet, suspect).optional()) {
                double error = suspect.error(sheet, solution.account().trial());
                sizes.add(new SuspectSize(
                        suspect,
                        words(sheet, suspect),
                        input.get().unit().symbol(),
                        error,
                        result.shifted(input.get(), error) - result.value()));
            }
        }
        return sizes;
    }

    /** What a quantity that was left out would have done: the trial worked once more with it on the sheet. */
    private static List<SuspectSize> leftOut(Sheet sheet, Conventions conventions, Solution solution) {
        int trial = solution.account().trial();
        List<SuspectSize> sizes = new ArrayList<>();
        for (Suspect suspect : sheet.experiment().suspects()) {
            Address address = sheet.address(suspect.path(), trial);
            Slot slot = slot(sheet, suspect);
            if (slot.optional() && !sheet.filled(address)) {
                Sheet with = sheet.with(new Line(
                        address,
                        Role.READ,
                        "",
                        suspect.error(),
                        -1,
                        0,
                        slot.unit(Role.READ),
                        Optional.empty(),
                        OptionalDouble.of(0),
                        ""));
                Sheet answered = suspect.answer()
                        .map(answer -> with.with(stated(sheet.address(answer.path(), trial), answer.answer())))
                        .orElse(with);
                answered.experiment()
                        .accounts(answered, conventions)
                        .get(trial - 1)
                        .estimate(answered.bindings())
                        .ifPresent(corrected -> sizes.add(new SuspectSize(
                                suspect,
                                words(sheet, suspect),
                                slot.unit(Role.READ).orElseThrow().symbol(),
                                suspect.error(),
                                corrected.value() - solution.estimate().value())));
            }
        }
        return sizes;
    }

    private static Line stated(Address address, String answer) {
        return new Line(
                address, Role.STATED, answer, 0, -1, 0, Optional.empty(), Optional.empty(), OptionalDouble.empty(), "");
    }

    private static Slot slot(Sheet sheet, Suspect suspect) {
        return sheet.experiment().slot(suspect.path()).orElseThrow();
    }

    private static String words(Sheet sheet, Suspect suspect) {
        return sheet.experiment().words().get("suspect." + suspect.key());
    }

    /** The recorded reading a suspect would change: the first input that stands in its slot. */
    static Optional<Input> input(Solution solution, Suspect suspect) {
        return input(new Computation(solution.result(), solution.bindings()).inputs(), suspect);
    }

    private static Optional<Input> input(List<Input> inputs, Suspect suspect) {
        int slash = suspect.path().indexOf('/');
        String group = suspect.path().substring(0, slash) + "[";
        String slot = "]" + suspect.path().substring(slash) + ".";
        return inputs.stream()
                .filter(input -> input.key().startsWith(group) && input.key().contains(slot))
                .findFirst();
    }
}
