package lab.sassafras.app.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.record.InHand;
import lab.sassafras.app.record.InstrumentInHand;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.Following;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import lab.sassafras.substance.ChemicalEquation;

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
 * @param units    to choose from, the bench's own first
 * @param options  answers to choose from
 * @param suggestions common answers to pick while something else may be typed
 * @param assumed  what to propose where the value is assumed
 * @param optional whether it may be skipped
 * @param standing values that stand here already
 * @param open     whether an answer may be given, rather than one that stands be struck out
 * @param instrumentKind what it can be read on; empty where on nothing
 * @param instrument the instrument proposed, by its key; empty where none is
 * @param known    what another run of the period has here; empty where none has
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
        List<BenchUnit> units,
        List<Slot.Option> options,
        List<Slot.Option> suggestions,
        Optional<Assumed> assumed,
        boolean optional,
        List<Standing> standing,
        boolean open,
        Optional<InstrumentKind> instrumentKind,
        String instrument,
        Optional<PeriodKnows.Value> known) {

    /** A way to get the value, as a tab. */
    public record Way(Role role, String words, boolean chosen) {}

    /** A proposal, written with the period's decimal mark. */
    public record Assumed(String value, String uncertainty) {}

    /** A value that stands here, for striking out. */
    public record Standing(Observation observation, String text, String how) {}

    /**
     * An answer as a leaf on a ruled line.
     *
     * @param value what is kept
     * @param heavy the letters that select it
     * @param rest  the other letters
     */
    public record Leaf(String value, String heavy, String rest) {}

    /** The answers with the letters that select each: the first, and a second where two share it. */
    public List<Leaf> leaves() {
        return options.stream()
                .map(option -> {
                    String words = option.words();
                    boolean shared = options.stream()
                                    .filter(other -> first(other.words()) == first(words))
                                    .count()
                            > 1;
                    int heavy = Math.min(shared ? 2 : 1, words.length());
                    return new Leaf(option.value(), words.substring(0, heavy), words.substring(heavy));
                })
                .toList();
    }

    private static char first(String words) {
        return words.isEmpty() ? ' ' : Character.toLowerCase(words.charAt(0));
    }

    static Asking of(
            EntrySheet entry,
            WrittenSheet screen,
            Tasks.Ask here,
            Optional<Role> wanted,
            Setting setting,
            Optional<PeriodKnows.Value> elsewhere) {
        Address address = here.address();
        Words words = entry.experiment().words();
        Figures figures = setting.figures();
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        List<Slot.Option> reagents = reagents(entry.sheet(), slot);
        Role role = here.step()
                .half()
                .orElseGet(() ->
                        role(entry.sheet(), address, slot, wanted.or(() -> elsewhere.map(PeriodKnows.Value::role))));
        Optional<PeriodKnows.Value> known = elsewhere.filter(each -> each.role() == role);
        List<Standing> standing = screen.standing(here).stream()
                .map(each -> new Standing(
                        each,
                        screen.spoken(address, each)
                                + each.unit().map(unit -> " " + unit).orElse(""),
                        each.role()))
                .toList();
        Optional<BenchUnit> unit = slot.field() == Slot.Field.NUMBER ? slot.unit(role) : Optional.empty();
        Optional<InstrumentKind> kind = unit.flatMap(each -> instrument(each.dimension()));
        boolean otherHalf = here.step().half().isEmpty()
                && role.half()
                && standing.size() == 1
                && standing.stream().noneMatch(each -> each.how().equals(role.key()));
        return new Asking(
                address.toString(),
                reagents.isEmpty() ? slot.field().name().toLowerCase(Locale.ROOT) : "choice",
                ask(words, address, role),
                words.help(address.path()).map(figures::sentence).orElse(""),
                role == Role.VOLUME ? "" : slot.expectation(setting),
                words.caution(address.path()).map(figures::sentence),
                screen.after(here).flatMap(next -> words.caution(next.address().path())),
                here.step().minutes(),
                here.step().half().isPresent() ? List.of() : ways(slot, role),
                role,
                unit.map(BenchUnit::sameDimension).orElse(List.of()),
                options(entry, slot, address, setting),
                slot.suggestions(setting),
                slot.assumed()
                        .filter(Slot.Assumption::proposes)
                        .map(each -> new Assumed(figures.plain(each.value()), figures.plain(each.uncertainty()))),
                slot.optional(),
                standing,
                standing.isEmpty() || otherHalf,
                kind,
                kind.map(each -> proposed(entry, address, each)).orElse(""),
                known);
    }

    /** What stands in the field before anything is typed. */
    public String filledIn() {
        return known.map(PeriodKnows.Value::text)
                .or(() -> assumed.filter(any -> role == Role.ASSUMED).map(Assumed::value))
                .orElse("");
    }

    /** The ± that stands in its field before anything is typed. */
    public String filledWidth() {
        return known.map(PeriodKnows.Value::uncertainty)
                .filter(each -> !each.isEmpty())
                .or(() -> assumed.map(Assumed::uncertainty))
                .orElse("");
    }

    /** The answers a place may be chosen from. */
    static List<Slot.Option> options(EntrySheet entry, Slot slot, Address address, Setting setting) {
        List<Slot.Option> reagents = reagents(entry.sheet(), slot);
        return reagents.isEmpty() ? slot.options(entry.experiment().words(), address.path(), setting) : reagents;
    }

    /** The instrument a number is read on where nobody says which; empty where it is read on none. */
    static Optional<UUID> instrument(EntrySheet entry, Address address, Slot slot, Role role) {
        return Optional.of(slot)
                .filter(each -> each.field() == Slot.Field.NUMBER && role != Role.ASSUMED)
                .flatMap(each -> each.unit(role))
                .flatMap(unit -> instrument(unit.dimension()))
                .map(kind -> proposed(entry, address, kind))
                .filter(key -> !key.isEmpty())
                .map(UUID::fromString);
    }

    /** What stands left in the equation the answer is chosen from; none where that is not written. */
    private static List<Slot.Option> reagents(Sheet sheet, Slot slot) {
        return slot.chosenFrom().stream()
                .flatMap(from -> sheet.stated(from.equation(), 1).map(ChemicalEquation::read).stream()
                        .flatMap(equation -> from.kind().among(equation).stream()))
                .map(term ->
                        new Slot.Option(term.formula().text(), term.formula().text()))
                .toList();
    }

    /**
     * The instrument read on at this place last, in whichever trial, unless another was taken in hand there since; else
     * the one in hand.
     */
    private static String proposed(EntrySheet entry, Address address, InstrumentKind kind) {
        InHand hand = entry.hand();
        Instant since =
                hand.row(address.group(), kind).map(InstrumentInHand::madeAt).orElse(Instant.MIN);
        Set<String> ofKind = entry.sheet().lines().stream()
                .flatMap(line -> line.instrument().stream())
                .filter(each -> each.kind().equals(kind))
                .map(Instrument::key)
                .collect(Collectors.toSet());
        return entry.observations().standing().stream()
                .filter(each -> samePath(each, address) && each.madeAt().isAfter(since))
                .flatMap(each -> each.instrumentId().map(UUID::toString).stream())
                .filter(ofKind::contains)
                .reduce((earlier, later) -> later)
                .or(() -> hand.at(address.group(), kind).map(UUID::toString))
                .orElse("");
    }

    /** Whether a kept value stands in the slot of an address, in whichever trial; it may stand anywhere at all. */
    private static boolean samePath(Observation kept, Address address) {
        return kept.address().replaceFirst("\\[\\d+]/", "/").equals(address.path());
    }

    static Role role(Sheet sheet, Address address, Slot slot, Optional<Role> wanted) {
        if (slot.field() != Slot.Field.NUMBER) {
            return Role.STATED;
        }
        Role role = wanted.or(() -> before(sheet, address))
                .or(() -> Following.weighedBefore(sheet, address) ? Optional.of(Role.GROSS) : Optional.empty())
                .or(() -> usual(sheet))
                .filter(slot.roles()::contains)
                .orElse(Role.READ);
        boolean empty = sheet.line(address, Role.TARE).isPresent();
        boolean full = sheet.line(address, Role.GROSS).isPresent();
        if (empty != full) {
            return empty ? Role.GROSS : Role.TARE;
        }
        return role;
    }

    /** The way it was got in this place last, in whichever trial. */
    private static Optional<Role> before(Sheet sheet, Address address) {
        return sheet.lines().stream()
                .filter(line -> line.address().path().equals(address.path())
                        && line.address().index() != address.index())
                .map(Line::role)
                .reduce((earlier, later) -> later)
                .map(role -> !role.half() ? role : Following.weighedBefore(sheet, address) ? Role.GROSS : Role.TARE);
    }

    /** The way of weighing that the school in force proposes. */
    private static Optional<Role> usual(Sheet sheet) {
        return switch (sheet.setting().conventions().in(ConventionQuestion.MASS)) {
            case DIFFERENCE -> Optional.of(Role.TARE);
            case VOLUME -> Optional.of(Role.VOLUME);
            case AS_GIVEN, ZEROED -> Optional.empty();
        };
    }

    static String ask(Words words, Address address, Role role) {
        return words.find(address.path() + "." + role.key() + ".ask").orElseGet(() -> {
            String ask = words.ask(address.path());
            return switch (role) {
                case TARE -> ask + ": first without it";
                case GROSS -> ask + ": now with it";
                case ASSUMED -> ask + ": taken to be";
                case READ, VOLUME, TREND, STATED -> ask;
            };
        });
    }

    static List<Way> ways(Slot slot, Role role) {
        if (slot.roles().stream().filter(each -> each != Role.TREND).count() < 2) {
            return List.of();
        }
        List<Way> ways = new ArrayList<>(
                List.of(new Way(Role.READ, slot.byDifference() ? "tared" : "measured", role == Role.READ)));
        if (slot.byDifference()) {
            ways.add(
                    slot.weighedOnto().isEmpty()
                            ? new Way(Role.TARE, "by difference", role.half())
                            : new Way(Role.GROSS, "weighed again", role.half()));
        }
        if (slot.byVolume()) {
            ways.add(new Way(Role.VOLUME, "by volume", role == Role.VOLUME));
        }
        if (slot.roles().contains(Role.ASSUMED)) {
            ways.add(new Way(
                    Role.ASSUMED,
                    WrittenSheet.nominal(slot.unit(Role.ASSUMED)) ? "nominal" : "assumed",
                    role == Role.ASSUMED));
        }
        return ways;
    }

    private static Optional<InstrumentKind> instrument(Dimension dimension) {
        return Experiments.instruments().stream()
                .filter(kind -> kind.dimension().equals(dimension))
                .findFirst();
    }
}
