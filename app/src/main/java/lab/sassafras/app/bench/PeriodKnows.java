package lab.sassafras.app.bench;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.app.people.WhoMay;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import org.springframework.stereotype.Component;

/**
 * What a period knows of a place already, because another run of the same experiment says it: the solid, the bottle's
 * concentration, a constant from a label. What is weighed or read is never among it, nor what belongs to one trial.
 */
@Component
class PeriodKnows {

    /** What an instrument shows at the hour, and no label: a barometer among them. */
    private static final Set<Dimension> READ = Set.of(Dimension.TEMPERATURE, Dimension.MASS, Dimension.PRESSURE);

    private final EntryBook entryBook;
    private final WhoMay whoMay;

    PeriodKnows(EntryBook entryBook, WhoMay whoMay) {
        this.entryBook = entryBook;
        this.whoMay = whoMay;
    }

    /**
     * A value to propose.
     *
     * @param role        how it was got there
     * @param text        as it stands there
     * @param unit        symbol of its unit; empty where it has none
     * @param uncertainty as typed; empty where it was not assumed
     * @param words       where it stands
     */
    record Value(Role role, String text, String unit, String uncertainty, String words) {}

    /**
     * What to propose at a place: what stands there in the newest other run that has it and may be read, this bench's
     * own first; where
     * there are several of a thing, what the one before has, or the next run that is not named yet.
     *
     * @param setting of the run, open to whatever the place may name
     */
    Optional<Value> of(EntrySheet here, Address at, Setting setting) {
        return besideIt(here, at, setting)
                .or(() -> ofOtherRuns(here, at))
                .filter(value -> stillOffered(here, at, setting, value));
    }

    /** An answer that is no longer among those to choose from is not proposed. */
    private static boolean stillOffered(EntrySheet here, Address at, Setting setting, Value value) {
        Slot slot = here.experiment().slot(at.path()).orElseThrow();
        List<Slot.Option> options = slot.options(here.experiment().words(), at.path(), setting);
        return slot.field() == Slot.Field.WORDS
                || options.isEmpty()
                || options.stream().anyMatch(each -> each.value().equals(value.text()));
    }

    private static Optional<Value> besideIt(EntrySheet here, Address at, Setting setting) {
        Slot slot = here.experiment().slot(at.path()).orElseThrow();
        boolean several = here.experiment()
                .group(at.group())
                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                .isPresent();
        if (!several || !here.observations().standingAt(at.toString()).isEmpty()) {
            return Optional.empty();
        }
        if (slot.elsewhere().equals(Optional.of(Slot.Elsewhere.ENTRY))) {
            Set<String> named = here.observations().standing().stream()
                    .map(Observation::text)
                    .collect(Collectors.toSet());
            return slot.options(here.experiment().words(), at.path(), setting).stream()
                    .map(Slot.Option::value)
                    .filter(each -> !named.contains(each)
                            && Optional.ofNullable(setting.references().get(each))
                                    .flatMap(Setting.Referenced::process)
                                    .isPresent())
                    .findFirst()
                    .map(each -> new Value(Role.STATED, each, "", "", "with the next run not named yet"));
        }
        return Optional.of(slot)
                .filter(each -> each.field() == Slot.Field.CHOICE && at.index() > 1)
                .flatMap(any -> here.sheet().stated(Address.of(at.path(), at.index() - 1)))
                .map(each -> new Value(Role.STATED, each, "", "", "as in the one before"));
    }

    private Optional<Value> ofOtherRuns(EntrySheet here, Address at) {
        boolean open = here.experiment()
                        .group(at.group())
                        .filter(group -> group.cardinality() == Cardinality.ONCE)
                        .isPresent()
                && here.experiment()
                        .slot(at.path())
                        .filter(PeriodKnows::ofTheClass)
                        .isPresent()
                && here.observations().standingAt(at.toString()).isEmpty();
        if (!open) {
            return Optional.empty();
        }
        Entry entry = here.entry();
        List<EntryBook.Found> found = entryBook.standingAt(entry, at.toString());
        return found.stream()
                .filter(each -> whoMay.reads(each.entry()) && each.entry().simulated() == entry.simulated())
                .min(Comparator.comparing(
                        each -> !each.entry().bench().id().equals(entry.bench().id())))
                .flatMap(each -> Role.of(each.observation().role())
                        .filter(role -> !role.half())
                        .map(role -> value(entry, role, each)));
    }

    private static Value value(Entry here, Role role, EntryBook.Found found) {
        Observation observation = found.observation();
        boolean own = found.entry().bench().id().equals(here.bench().id());
        return new Value(
                role,
                observation.text(),
                observation.unit().orElse(""),
                observation.uncertainty().orElse(""),
                own ? "as in your run before" : "as " + found.entry().bench().inWords() + " has it");
    }

    /** What a label, a bottle or the class tells, and no instrument of the bench. */
    private static boolean ofTheClass(Slot slot) {
        return switch (slot.field()) {
            case WORDS, CHOICE, PICK -> slot.elsewhere().isEmpty();
            case NUMBER ->
                slot.unit(Role.READ)
                        .map(BenchUnit::dimension)
                        .filter(each -> !READ.contains(each))
                        .isPresent();
            case MOMENT, TRACE -> false;
        };
    }
}
