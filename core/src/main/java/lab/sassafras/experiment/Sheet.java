package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.expression.Bindings;
import lab.sassafras.measure.Measured;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.ReferenceShelf;

/**
 * Everything read so far in one entry, in the order it was given: only lines that still stand, and the setting.
 * Immutable. Later lines win over earlier ones in the same place, and the sheet says so.
 */
public final class Sheet {

    /** Name of the calorimeter constant among the inputs. */
    static final String CONSTANT = "calorimeter";

    private final Experiment experiment;
    private final List<Line> lines;
    private final Setting setting;

    public Sheet(Experiment experiment, List<Line> lines, Setting setting) {
        this.experiment = experiment;
        this.lines = List.copyOf(lines);
        this.setting = setting;
    }

    public Experiment experiment() {
        return experiment;
    }

    public Setting setting() {
        return setting;
    }

    public Sheet with(Setting other) {
        return new Sheet(experiment, lines, other);
    }

    public Sheet with(Line more) {
        return new Sheet(experiment, Stream.concat(lines.stream(), Stream.of(more)).toList(), setting);
    }

    public List<Line> lines() {
        return lines;
    }

    /** Every line that stands at an address; more than one in a role is a conflict. */
    public List<Line> at(Address address) {
        return lines.stream().filter(line -> line.address().equals(address)).toList();
    }

    /** The line that counts at an address in a role. */
    public Optional<Line> line(Address address, Role role) {
        return at(address).stream().filter(line -> line.role() == role).reduce((earlier, later) -> later);
    }

    /** The word, formula or reference stated at an address. */
    public Optional<String> stated(Address address) {
        return line(address, Role.STATED).map(Line::text);
    }

    public int trials() {
        return setting.trials();
    }

    public int parts(String group) {
        return setting.parts().getOrDefault(group, 1);
    }

    /** Indices at which a group stands, from 1. */
    public IntStream indices(Group group) {
        return IntStream.rangeClosed(1, switch (group.cardinality()) {
            case ONCE -> 1;
            case PER_TRIAL -> trials();
            case PER_PART -> parts(group.key());
        });
    }

    /** Whether the slot at an address has all it needs. */
    public boolean filled(Address address) {
        boolean pair = line(address, Role.GROSS).isPresent() && line(address, Role.TARE).isPresent();
        return pair || at(address).stream().anyMatch(line -> line.role() != Role.GROSS && line.role() != Role.TARE);
    }

    /**
     * Whether a mass counts as the difference of two readings: both are there, and neither is older than a direct
     * reading of the same mass.
     */
    public boolean byDifference(Address address) {
        List<Line> here = at(address);
        if (line(address, Role.GROSS).isEmpty() || line(address, Role.TARE).isEmpty()) {
            return false;
        }
        Role last = here.get(here.size() - 1).role();
        return last == Role.GROSS || last == Role.TARE;
    }

    /** The line a plain quantity goes by: the last one read or assumed. */
    public Optional<Line> plain(Address address) {
        return at(address).stream().filter(line -> line.role() == Role.READ || line.role() == Role.ASSUMED)
                .reduce((earlier, later) -> later);
    }

    /** The mass by difference (g), where both sides were read. */
    public Optional<Double> difference(Address address) {
        return line(address, Role.GROSS).flatMap(gross -> line(address, Role.TARE)
                .map(tare -> gross.value() - tare.value()));
    }

    /** A fresh draft of the books of one trial. */
    public Draft draft(int trial) {
        return new Draft(this, trial);
    }

    /** Every number on the sheet with its uncertainty, by input name. */
    public Bindings bindings() {
        Map<String, Measured> values = new LinkedHashMap<>();
        ReferenceShelf.standard().properties().forEach(each -> values.put("shelf:" + each.key(), each.asInput()));
        for (Line line : lines) {
            Optional<Slot> slot = experiment.slot(line.address().path());
            if (line.role() != Role.STATED) {
                values.put(line.key(), perTrial(line) ? line.measured()
                        : line.measured().heldInCommon(line.key(), experiment.words().label(line.address().path())));
            } else if (slot.filter(Slot.Formula.class::isInstance).isPresent()) {
                values.put(line.key(), Measured.exact(ChemicalFormula.read(line.text()).molarMass()));
            } else if (slot.filter(Slot.FromShelf.class::isInstance).isPresent()) {
                values.put(line.key(), ReferenceShelf.standard().find(line.text()).orElseThrow().specificHeatOnRecord().asInput());
            } else if (slot.filter(Slot.Reference.class::isInstance).isPresent()) {
                referenced(line).ifPresent(value -> values.put(line.key(), value));
            }
        }
        setting.calorimeter().flatMap(Calorimeter::constant).ifPresent(pinned -> values.put(CONSTANT,
                pinned.value().heldInCommon("calibration:" + pinned.key(), "calorimeter constant")));
        return Bindings.of(values);
    }

    private Optional<Measured> referenced(Line line) {
        return Optional.ofNullable(setting.references().get(line.text())).flatMap(Setting.Referenced::value)
                .map(value -> value.heldInCommon("entry:" + line.text(), "result of another entry"));
    }

    private boolean perTrial(Line line) {
        return experiment.group(line.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL).isPresent();
    }

    /** The steps of one trial in order, each at its address; steps whose condition fails are left out. */
    public List<Ask> asks(int trial) {
        List<Ask> asks = new ArrayList<>();
        for (Step step : experiment.procedure()) {
            String key = step.path().substring(0, step.path().indexOf('/'));
            Group group = experiment.group(key).orElseThrow();
            String slot = step.path().substring(key.length() + 1);
            boolean onlyFirst = group.cardinality() != Cardinality.PER_TRIAL;
            if (!onlyFirst || trial == 1) {
                indices(group).filter(index -> onlyFirst || index == trial)
                        .mapToObj(index -> new Address(key, index, slot))
                        .filter(address -> asked(step, address))
                        .forEach(address -> asks.add(new Ask(step, address)));
            }
        }
        return asks;
    }

    /** One step at its address. */
    public record Ask(Step step, Address address) {
    }

    private boolean asked(Step step, Address address) {
        return step.condition().map(condition -> {
            Group group = experiment.group(condition.path().substring(0, condition.path().indexOf('/'))).orElseThrow();
            int index = group.cardinality() == Cardinality.ONCE ? 1 : address.index();
            String slot = condition.path().substring(condition.path().indexOf('/') + 1);
            return stated(new Address(group.key(), index, slot)).filter(condition.answer()::equals).isPresent();
        }).orElse(true);
    }
}
