package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.convention.Question;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Words;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;

/**
 * The right page of a run: the one thing asked now.
 *
 * @param address  where the answer goes
 * @param kind     which field: number, words, choice, pick or moment
 * @param ask      the question
 * @param help     how to do it well; empty where nothing needs saying
 * @param expected what to expect; empty where nothing is usual
 * @param caution  what can hurt at this step
 * @param next     the caution of the movement after this one
 * @param minutes  how long it usually takes, 0 at once
 * @param ways     how the value may be got
 * @param role     the way chosen
 * @param units    symbols to choose from, the bench's own first
 * @param options  answers to choose from
 * @param assumed  what to propose where the value is assumed
 * @param optional whether it may be skipped
 * @param standing values that stand here already
 */
public record Asking(
        String address,
        String kind,
        String ask,
        String help,
        String expected,
        Optional<String> caution,
        Optional<String> next,
        int minutes,
        List<Way> ways,
        Role role,
        List<String> units,
        List<Option> options,
        Optional<Assumed> assumed,
        boolean optional,
        List<Standing> standing,
        Optional<Instrument.Kind> instrumentKind) {

    /** A way to get the value, as a tab. */
    public record Way(Role role, String words, boolean chosen) {}

    /** An answer to choose. */
    public record Option(String value, String words) {}

    /** A proposal, written with the period's decimal mark. */
    public record Assumed(String value, String uncertainty) {}

    /** A value that stands here, for striking out. */
    public record Standing(Observation observation, String text, String how) {}

    static Asking of(
            EntrySheet entry, WrittenSheet screen, Address address, Optional<Role> wanted, List<Option> named) {
        Words words = entry.experiment().words();
        Figures figures = entry.entry().period().figures();
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        Role role = role(entry.sheet(), address, slot, wanted);
        List<Sheet.Ask> asks = entry.sheet().asks(address.index());
        Sheet.Ask here = Stream.concat(asks.stream(), entry.sheet().asides(address.index()).stream())
                .filter(each -> each.address().equals(address))
                .findFirst()
                .or(() -> Stream.concat(entry.sheet().asks(1).stream(), entry.sheet().asides(1).stream())
                        .filter(each -> each.address().equals(address))
                        .findFirst())
                .orElseThrow();
        Optional<String> next = asks.stream()
                .dropWhile(each -> !each.address().equals(address))
                .skip(1)
                .findFirst()
                .flatMap(each -> words.caution(each.address().path()));
        List<Standing> standing = entry.observations().standingAt(address.toString()).stream()
                .map(each -> new Standing(
                        each,
                        screen.spoken(address, each)
                                + each.unit().map(unit -> " " + unit).orElse(""),
                        each.role()))
                .toList();
        Optional<Slot.Quantity> quantity = slot instanceof Slot.Quantity q ? Optional.of(q) : Optional.empty();
        return new Asking(
                address.toString(),
                kind(slot),
                ask(words, address, role),
                words.help(address.path()).orElse(""),
                role == Role.VOLUME
                        ? ""
                        : quantity.flatMap(Slot.Quantity::usual)
                                .map(usual -> "Usually between " + figures.plain(usual.low()) + " and "
                                        + figures.plain(usual.high()) + " "
                                        + quantity.get().unit().symbol() + ".")
                                .orElse(""),
                words.caution(address.path()),
                next,
                here.step().minutes(),
                ways(slot, role),
                role,
                quantity.map(q -> q.unit(role).sameDimension().stream()
                                .map(BenchUnit::symbol)
                                .toList())
                        .orElse(List.of()),
                slot instanceof Slot.Reference || slot instanceof Slot.Vessel
                        ? named
                        : options(words, address, slot, entry.sheet()),
                quantity.flatMap(Slot.Quantity::assumed)
                        .map(each -> new Assumed(figures.plain(each.value()), figures.plain(each.uncertainty()))),
                slot.optional(),
                standing,
                quantity.flatMap(q -> instrument(q.unit(role).dimension())));
    }

    private static Role role(Sheet sheet, Address address, Slot slot, Optional<Role> wanted) {
        if (!(slot instanceof Slot.Quantity)) {
            return Role.STATED;
        }
        Role role = wanted.or(() -> usual(sheet)).filter(slot.roles()::contains).orElse(Role.READ);
        boolean empty = sheet.line(address, Role.TARE).isPresent();
        boolean full = sheet.line(address, Role.GROSS).isPresent();
        if (empty != full) {
            return empty ? Role.GROSS : Role.TARE;
        }
        return role;
    }

    /** The way of weighing that the school in force proposes. */
    private static Optional<Role> usual(Sheet sheet) {
        return switch (sheet.setting().conventions().in(Question.MASS)) {
            case DIFFERENCE -> Optional.of(Role.TARE);
            case VOLUME -> Optional.of(Role.VOLUME);
            case AS_GIVEN, ZEROED -> Optional.empty();
        };
    }

    private static String ask(Words words, Address address, Role role) {
        String ask = words.ask(address.path());
        return switch (role) {
            case TARE -> ask + ": first without it";
            case GROSS -> ask + ": now with it";
            case ASSUMED -> ask + ": taken to be";
            default -> ask;
        };
    }

    private static List<Way> ways(Slot slot, Role role) {
        if (!(slot instanceof Slot.Quantity quantity) || quantity.roles().size() < 2) {
            return List.of();
        }
        boolean weighed = quantity.roles().contains(Role.TARE);
        List<Way> ways =
                new ArrayList<>(List.of(new Way(Role.READ, weighed ? "zeroed" : "measured", role == Role.READ)));
        if (weighed) {
            ways.add(new Way(Role.TARE, "by difference", role.half()));
        }
        if (quantity.roles().contains(Role.VOLUME)) {
            ways.add(new Way(Role.VOLUME, "by volume", role == Role.VOLUME));
        }
        if (quantity.roles().contains(Role.ASSUMED)) {
            ways.add(new Way(Role.ASSUMED, "assumed", role == Role.ASSUMED));
        }
        return ways;
    }

    private static String kind(Slot slot) {
        if (slot instanceof Slot.Quantity) {
            return "number";
        } else if (slot instanceof Slot.Choice) {
            return "choice";
        } else if (slot instanceof Slot.Moment) {
            return "moment";
        }
        return slot instanceof Slot.FromShelf || slot instanceof Slot.Reference || slot instanceof Slot.Vessel
                ? "pick"
                : "words";
    }

    private static List<Option> options(Words words, Address address, Slot slot, Sheet sheet) {
        if (slot instanceof Slot.Choice choice) {
            return choice.options().stream()
                    .map(each -> new Option(each, words.option(address.path(), each)))
                    .toList();
        }
        return slot instanceof Slot.FromShelf shelf
                ? sheet.setting().shelf().of(shelf.solid()).stream()
                        .map(each -> new Option(each.key(), each.name()))
                        .toList()
                : List.of();
    }

    private static Optional<Instrument.Kind> instrument(Dimension dimension) {
        return java.util.Arrays.stream(Instrument.Kind.values())
                .filter(kind -> kind.dimension() == dimension)
                .findFirst();
    }
}
