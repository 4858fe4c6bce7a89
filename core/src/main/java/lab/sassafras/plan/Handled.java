package lab.sassafras.plan;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.declaration.Step;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.QuantitySlot;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hazard;

/** Which substances a hand moves: those a sheet names at the place of a step. */
public final class Handled {

    private static final Set<Dimension> MOVED = Set.of(Dimension.MASS, Dimension.VOLUME);

    private Handled() {}

    /**
     * {@return substances that a place of an experiment names, as it names them: a formula, every party of an equation,
     * a thing of the shelf. An answer to a question is none, nor is what a sample is called}
     *
     * @param of      the experiment
     * @param setting what surrounds it
     * @param path    of the place
     * @param text    that stands there
     */
    public static List<String> named(Declaration of, Setting setting, String path, String text) {
        boolean substance = of.slot(path)
                .filter(each ->
                        each.field() == Slot.Field.PICK || each.field() == Slot.Field.WORDS && !each.namesSample())
                .isPresent();
        return !substance
                ? List.of()
                : Hazard.named(text).stream()
                        .filter(each -> Hazard.of(each).isPresent()
                                || setting.shelf().find(each).isPresent()
                                || ChemicalFormula.of(each).isPresent())
                        .toList();
    }

    /**
     * {@return substances that are moved at a step, so far as the sheet names them: what is weighed or poured there,
     * and everything named where the step carries a caution of its own; none where a hand only reads or writes}
     *
     * @param sheet as it stands
     * @param step  that is asked
     */
    public static List<String> at(Sheet sheet, Step step) {
        Optional<Slot> slot = sheet.experiment().slot(step.path());
        boolean moves = slot.flatMap(each -> each.unit(Role.READ))
                .map(BenchUnit::dimension)
                .filter(MOVED::contains)
                .isPresent();
        boolean warns = sheet.experiment().words().caution(step.path()).isPresent();
        if (!moves && !warns) {
            return List.of();
        }
        List<String> linked = Stream.concat(
                        step.exposed().stream(),
                        slot.flatMap(Slot::dissolved).map(QuantitySlot.Dissolved::formula).stream())
                .toList();
        String group = step.path().replaceAll("/.*", "/");
        List<String> own = named(
                sheet,
                line -> linked.isEmpty()
                        ? line.address().path().startsWith(group)
                        : linked.contains(line.address().path()));
        return own.isEmpty() && warns ? named(sheet, any -> true) : own;
    }

    private static List<String> named(Sheet sheet, java.util.function.Predicate<Line> which) {
        return sheet.lines().stream()
                .filter(line -> line.role() == Role.STATED)
                .filter(which)
                .flatMap(
                        line -> named(
                                sheet.experiment(),
                                sheet.setting(),
                                line.address().path(),
                                line.text())
                                .stream())
                .distinct()
                .toList();
    }
}
