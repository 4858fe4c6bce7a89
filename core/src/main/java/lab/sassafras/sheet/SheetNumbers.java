package lab.sassafras.sheet;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.expression.Bindings;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;

/** Every number on a sheet with its uncertainty, by input name. */
final class SheetNumbers {

    /** Name of an experiment's own unknown among the inputs of its account. */
    private static final String UNKNOWN = "unknown";

    private final Sheet sheet;

    private SheetNumbers(Sheet sheet) {
        this.sheet = sheet;
    }

    /** Over those of the reference shelf. */
    static Bindings of(Sheet sheet) {
        return new SheetNumbers(sheet).bound();
    }

    private Bindings bound() {
        Map<String, Measured> values = new LinkedHashMap<>();
        for (Line line : sheet.lines()) {
            sheet.experiment()
                    .slot(line.address().path())
                    .flatMap(slot -> slot.number(line, sheet.setting()))
                    .ifPresent(value -> values.put(line.key(), heldInCommon(line, value)));
        }
        Set<String> curves = sheet.experiment().curves().keySet();
        for (Line line : sheet.lines()) {
            if (curves.contains(line.address().path())) {
                sheet.curves().toldAt(line.address()).ifPresent(curve -> curve.bind(values));
            }
        }
        sheet.aim().result().ifPresent(result -> values.put(UNKNOWN, result));
        sheet.setting().calorimeter().ifPresent(vessel -> vessel.bind(values));
        sheet.setting().calorimeters().values().forEach(vessel -> vessel.bind(values));
        return Bindings.of(values).over(sheet.setting().shelf().inputs());
    }

    /**
     * A number read once is one and the same in every trial; one that stands for something else keeps what it shares.
     */
    private Measured heldInCommon(Line line, Measured value) {
        if (line.role() == Role.ASSUMED && perTrial(line)) {
            return assumedOnce(line, value);
        }
        return line.role() == Role.STATED || perTrial(line)
                ? value
                : value.heldInCommon(
                        line.key(),
                        sheet.experiment().words().label(line.address().path()),
                        Scope.ENTRY);
    }

    /**
     * What nobody measured is off the same way in every trial: one source, of which each trial has as much as its ±
     * says.
     */
    private Measured assumedOnce(Line line, Measured value) {
        String path = line.address().path();
        Shared source = new Shared(
                path + "." + Role.ASSUMED.key(),
                sheet.experiment().words().label(path) + ", assumed",
                1,
                Double.POSITIVE_INFINITY,
                Scope.ENTRY);
        return new Measured(
                value.value(),
                0,
                Double.POSITIVE_INFINITY,
                List.of(new Measured.Share(source, value.ownUncertainty())),
                value.decimals());
    }

    private boolean perTrial(Line line) {
        return sheet.experiment()
                .group(line.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .isPresent();
    }
}
