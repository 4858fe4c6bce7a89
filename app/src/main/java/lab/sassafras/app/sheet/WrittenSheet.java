package lab.sassafras.app.sheet;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.app.record.Observation;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Following;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Telling;
import lab.sassafras.slot.Words;
import org.jspecify.annotations.Nullable;

/** A trial of an entry as it stands written: row by row, with what was struck out, and where the hand is. */
public final class WrittenSheet {

    private static final DateTimeFormatter CLOCK = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);

    private final EntrySheet entry;
    private final Words words;
    private final Figures figures;
    private final int trial;

    public WrittenSheet(EntrySheet entry, int trial) {
        this.entry = entry;
        this.words = entry.experiment().words();
        this.figures = entry.entry().period().figures();
        this.trial = trial;
    }

    /** State of a row. */
    public enum State {
        DONE,
        NOW,
        TODO
    }

    /**
     * One row of the sheet.
     *
     * @param link    where it is asked
     * @param label   in words
     * @param state   done, in hand or to do
     * @param values  what stands there
     * @param struck  what was struck out, with why
     * @param optional whether it may be skipped
     * @param perTrial whether it belongs to this trial alone
     * @param aside    what to know of an empty row
     */
    public record Row(
            Link link,
            String label,
            State state,
            List<Value> values,
            List<Struck> struck,
            boolean optional,
            boolean perTrial,
            String aside) {}

    /** A standing value: a word on how it was got, the text, the unit. */
    public record Value(String how, String text, String unit, boolean derived) {}

    /** A value struck out. */
    public record Struck(String text, String unit, String why) {}

    /** Every row of the trial, in the order of the work. */
    public List<Row> rows(Optional<Tasks.Ask> now) {
        return entry.sheet().tasks().asks(trial).stream()
                .map(ask -> row(ask, now))
                .toList();
    }

    private Row row(Tasks.Ask ask, Optional<Tasks.Ask> now) {
        boolean here = now.filter(ask::equals).isPresent();
        State state = here ? State.NOW : entry.sheet().tasks().done(ask) ? State.DONE : State.TODO;
        Slot slot = entry.experiment().slot(ask.address().path()).orElseThrow();
        boolean perTrial = entry.experiment()
                .group(ask.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .isPresent();
        String aside = state != State.TODO
                ? ""
                : slot.field() == Slot.Field.MOMENT ? "Space marks it" : slot.optional() ? "if known" : "";
        return new Row(link(ask), label(ask), state, values(ask), struck(ask), slot.optional(), perTrial, aside);
    }

    /** Where a step is asked, as the page's address has it. */
    public static Link link(Tasks.Ask ask) {
        return new Link(
                ask.address().toString(), ask.step().half().map(Role::key).orElse(null));
    }

    /**
     * Where a step is asked.
     *
     * @param at  address of its slot
     * @param way which half it fills; null where it fills the slot whole
     */
    public record Link(String at, @Nullable String way) {

        /** The address of a slot as a part of a page's address. */
        public static String encoded(String at) {
            return at.replace("[", "%5B").replace("]", "%5D");
        }

        /** What follows the address of the run. */
        public String query() {
            return "?at=" + encoded(at) + (way == null ? "" : "&way=" + way);
        }
    }

    /** The step that asks for an address in this trial: for that half of it, or else for whatever it still lacks. */
    public Optional<Tasks.Ask> ask(Address address, Optional<Role> way) {
        List<Tasks.Ask> here = Stream.concat(
                        entry.sheet().tasks().asks(trial).stream(), entry.sheet().tasks().asides(trial).stream())
                .filter(ask -> ask.address().equals(address))
                .toList();
        return here.stream()
                .filter(ask -> way.isPresent() && ask.step().half().equals(way))
                .findFirst()
                .or(() -> here.stream()
                        .filter(ask -> !entry.sheet().tasks().done(ask))
                        .findFirst())
                .or(() -> here.stream().findFirst());
    }

    /** What stands for a step: of a half, only that half. */
    public List<Observation> standing(Tasks.Ask ask) {
        return entry.observations().standingAt(ask.address().toString()).stream()
                .filter(each -> belongs(ask, each))
                .toList();
    }

    private static boolean belongs(Tasks.Ask ask, Observation observation) {
        Optional<Role> role = Role.of(observation.role());
        return ask.step().half().isEmpty()
                || role.equals(ask.step().half())
                || role.filter(Role::half).isEmpty();
    }

    private String label(Tasks.Ask ask) {
        return label(ask.address(), ask.step().half());
    }

    /** What the sheet calls a place, or one half of it. */
    public String label(Address address, Optional<Role> half) {
        String label = label(address);
        return half.map(each -> words.find(address.path() + "." + each.key())
                        .orElse(label + (each == Role.TARE ? ", empty" : ", full")))
                .orElse(label);
    }

    /** What the sheet calls a place, numbered where there are several. */
    public String label(Address address) {
        Group group = entry.experiment().group(address.group()).orElseThrow();
        String label = words.label(address.path());
        return group.cardinality() == Cardinality.PER_PART ? label + " " + address.index() : label;
    }

    private List<Value> values(Tasks.Ask ask) {
        Address address = ask.address();
        List<Value> values = new ArrayList<>();
        Sheet sheet = entry.sheet();
        standing(ask)
                .forEach(each -> values.add(new Value(
                        why(address, each), spoken(address, each), each.unit().orElse(""), false)));
        boolean last = ask.step().half().isEmpty()
                || sheet.tasks().asks(trial).stream()
                        .filter(each -> each.address().equals(address))
                        .reduce((earlier, later) -> later)
                        .filter(ask::equals)
                        .isPresent();
        sheet.weighing(address)
                .difference()
                .filter(mass -> last && sheet.weighing(address).byDifference())
                .ifPresent(mass -> {
                    int decimals = Math.max(0, Math.min(decimals(address, Role.GROSS), decimals(address, Role.TARE)));
                    values.add(new Value("by difference", figures.fixed(mass, decimals), "g", true));
                });
        return values;
    }

    private int decimals(Address address, Role role) {
        return entry.sheet().line(address, role).map(line -> line.decimals()).orElse(0);
    }

    /** How a value was got, or what it follows from. */
    private String why(Address address, Observation observation) {
        return Role.of(observation.role())
                .flatMap(role -> entry.sheet().line(address, role))
                .flatMap(line -> Following.why(entry.sheet(), line))
                .orElseGet(() -> how(observation));
    }

    /** Whether a value taken as known is what a label says, an amount; a temperature taken as known is assumed. */
    public static boolean nominal(Optional<BenchUnit> unit) {
        return unit.filter(each -> each.dimension().equals(Dimension.CONCENTRATION)
                        || each.dimension().equals(Dimension.FRACTION))
                .isPresent();
    }

    /** How a value was got, in a word or two, and what it was taken from. */
    public static String how(Observation observation) {
        String got = got(observation);
        return observation
                .from()
                .map(from -> got.isEmpty() ? from : got + ", " + from)
                .orElse(got);
    }

    private static String got(Observation observation) {
        Optional<Role> role = Role.of(observation.role());
        return role.isEmpty()
                ? ""
                : switch (role.get()) {
                    case GROSS -> "full";
                    case TARE -> "empty";
                    case ASSUMED ->
                        (nominal(observation.unit().flatMap(BenchUnit::of)) ? "nominal ±" : "assumed ±")
                                + observation.uncertainty().orElse("");
                    case TREND -> "by its trend ±" + observation.uncertainty().orElse("");
                    case VOLUME -> "by volume";
                    case READ -> observation.unit().filter("g"::equals).isPresent() ? "tared" : "";
                    case STATED -> "";
                };
    }

    private List<Struck> struck(Tasks.Ask ask) {
        Address address = ask.address();
        return entry.observations().at(address.toString()).stream()
                .filter(each -> !each.strikeOut() && belongs(ask, each))
                .flatMap(each -> entry.observations().strikerOf(each).stream()
                        .map(striker -> new Struck(
                                spoken(address, each),
                                each.unit().orElse(""),
                                "struck out " + clock(striker.madeAt()) + ": “"
                                        + striker.reason().orElse("") + "”, " + striker.who())))
                .toList();
    }

    /** A kept text the way it is spoken: options and shelf keys by their words, moments by the clock. */
    public String spoken(Address address, Observation observation) {
        return entry.experiment()
                .slot(address.path())
                .filter(any -> entry.unreadable(observation).isEmpty())
                .map(slot -> slot.spoken(
                        observation.text(),
                        new Telling(words, address.path(), entry.sheet().setting(), this::clock)))
                .orElse(observation.text());
    }

    public String clock(Instant instant) {
        return WrittenTime.of(instant, entry.entry().period().zone(), CLOCK);
    }

    /** The slot an observation was given for; empty where this version has no such place. */
    public static Optional<Slot> slot(Experiment experiment, Observation observation) {
        return address(observation).flatMap(address -> experiment.slot(address.path()));
    }

    /** Where an observation was given; empty where this version reads no address in it. */
    public static Optional<Address> address(Observation observation) {
        try {
            return Optional.of(Address.read(observation.address()));
        } catch (Refused none) {
            return Optional.empty();
        }
    }

    /**
     * Something kept that no row of the sheet shows now: its place is not asked for under the schools and answers in
     * force, or this version does not know it or cannot read it.
     *
     * @param why why it cannot be read; empty where it can
     */
    public record Leftover(Observation observation, String label, String text, String unit, String why) {}

    /** Whatever stands and has no row, of all trials. */
    public static List<Leftover> leftovers(EntrySheet entry) {
        Set<String> shown = new HashSet<>();
        for (int trial = 1; trial <= entry.sheet().trials(); trial++) {
            entry.sheet()
                    .tasks()
                    .asks(trial)
                    .forEach(ask -> shown.add(ask.address().toString()));
        }
        WrittenSheet first = new WrittenSheet(entry, 1);
        return entry.observations().standing().stream()
                .filter(each -> !shown.contains(each.address())
                        || entry.unreadable(each).isPresent())
                .map(each -> new Leftover(
                        each,
                        slot(entry.experiment(), each)
                                .flatMap(any -> address(each))
                                .map(first::numbered)
                                .orElse(each.address()),
                        address(each)
                                .map(address -> first.spoken(address, each))
                                .orElse(each.text()),
                        each.unit().orElse(""),
                        entry.unreadable(each).orElse("")))
                .toList();
    }

    /** Where a kept value is asked for now, if it is. */
    public static Optional<Tasks.Ask> asking(EntrySheet entry, UUID kept) {
        return entry.observations()
                .find(kept)
                .flatMap(observation -> address(observation)
                        .flatMap(address -> IntStream.rangeClosed(
                                        1, entry.sheet().trials())
                                .mapToObj(trial ->
                                        new WrittenSheet(entry, trial).ask(address, Role.of(observation.role())))
                                .flatMap(Optional::stream)
                                .findFirst()));
    }

    private String numbered(Address address) {
        return words.label(address.path()) + (address.index() == 1 ? "" : " " + address.index());
    }

    /**
     * Where the work goes on: the first row not filled after the last that is, else the first that must be. A run taken
     * up again is not led past a row that must be filled, whatever order it was begun in.
     */
    public Optional<Tasks.Ask> next(Optional<Tasks.Ask> after) {
        List<Tasks.Ask> all = entry.sheet().tasks().asks(trial);
        int last = after.map(all::indexOf).orElseGet(() -> lastFilled(all));
        return all.stream()
                .skip(last + 1L)
                .filter(ask -> !entry.sheet().tasks().done(ask))
                .findFirst()
                .or(() -> all.stream()
                        .filter(ask -> !entry.sheet().tasks().done(ask) && required(ask))
                        .findFirst());
    }

    private int lastFilled(List<Tasks.Ask> all) {
        int last = -1;
        for (int i = 0; i < all.size() && (entry.sheet().tasks().done(all.get(i)) || !required(all.get(i))); i++) {
            last = entry.sheet().tasks().done(all.get(i)) ? i : last;
        }
        return last;
    }

    private boolean required(Tasks.Ask ask) {
        return entry.experiment()
                .slot(ask.address().path())
                .filter(slot -> !slot.optional())
                .isPresent();
    }

    /** The row before a step; empty at the first. */
    public Optional<Tasks.Ask> before(Tasks.Ask ask) {
        return beside(ask, -1);
    }

    /** The row after a step; empty at the last. */
    public Optional<Tasks.Ask> after(Tasks.Ask ask) {
        return beside(ask, 1);
    }

    private Optional<Tasks.Ask> beside(Tasks.Ask ask, int way) {
        List<Tasks.Ask> all = entry.sheet().tasks().asks(trial);
        int at = all.indexOf(ask);
        return at >= 0 && at + way >= 0 && at + way < all.size() ? Optional.of(all.get(at + way)) : Optional.empty();
    }
}
