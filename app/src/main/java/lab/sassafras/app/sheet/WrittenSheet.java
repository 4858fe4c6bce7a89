package lab.sassafras.app.sheet;

import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.app.record.Observation;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Words;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.Substance;

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
     * @param address where it stands
     * @param label   in words
     * @param state   done, in hand or to do
     * @param values  what stands there
     * @param struck  what was struck out, with why
     * @param optional whether it may be skipped
     * @param aside    what to know of an empty row
     */
    public record Row(
            String address,
            String label,
            State state,
            List<Value> values,
            List<Struck> struck,
            boolean optional,
            String aside) {}

    /** A standing value: a word on how it was got, the text, the unit. */
    public record Value(String how, String text, String unit, boolean derived) {}

    /** A value struck out. */
    public record Struck(String text, String unit, String why) {}

    public List<Row> rows(Optional<Address> now) {
        return entry.sheet().asks(trial).stream()
                .map(ask -> row(ask.address(), now))
                .toList();
    }

    private Row row(Address address, Optional<Address> now) {
        boolean here = now.filter(address::equals).isPresent();
        State state = here ? State.NOW : entry.sheet().filled(address) ? State.DONE : State.TODO;
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        String aside = state != State.TODO
                ? ""
                : slot instanceof Slot.Moment ? "Space marks it" : slot.optional() ? "if known" : "";
        return new Row(
                address.toString(), label(address), state, values(address), struck(address), slot.optional(), aside);
    }

    public String label(Address address) {
        Group group = entry.experiment().group(address.group()).orElseThrow();
        String label = words.label(address.path());
        return group.cardinality() == Cardinality.PER_PART ? label + " " + address.index() : label;
    }

    private List<Value> values(Address address) {
        List<Value> values = new ArrayList<>();
        Sheet sheet = entry.sheet();
        entry.observations()
                .standingAt(address.toString())
                .forEach(each -> values.add(
                        new Value(how(each), spoken(address, each), each.unit().orElse(""), false)));
        sheet.difference(address).filter(mass -> sheet.byDifference(address)).ifPresent(mass -> {
            int decimals = Math.max(0, Math.min(decimals(address, Role.GROSS), decimals(address, Role.TARE)));
            values.add(new Value("by difference", figures.fixed(mass, decimals), "g", true));
        });
        return values;
    }

    private int decimals(Address address, Role role) {
        return entry.sheet().line(address, role).map(line -> line.decimals()).orElse(0);
    }

    private static String how(Observation observation) {
        Optional<Role> role = Role.of(observation.role());
        return role.isEmpty()
                ? ""
                : switch (role.get()) {
                    case GROSS -> "full";
                    case TARE -> "empty";
                    case ASSUMED -> "assumed ±" + observation.uncertainty().orElse("");
                    case VOLUME -> "by volume";
                    case READ -> observation.unit().filter("g"::equals).isPresent() ? "zeroed" : "";
                    case STATED -> "";
                };
    }

    private List<Struck> struck(Address address) {
        return entry.observations().at(address.toString()).stream()
                .filter(each -> !each.strikeOut())
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
        Optional<Slot> slot = entry.experiment().slot(address.path());
        String text = observation.text();
        if (slot.filter(Slot.Choice.class::isInstance).isPresent()) {
            return words.find(address.path() + "." + text).orElse(text);
        }
        if (slot.filter(Slot.FromShelf.class::isInstance).isPresent()) {
            return entry.sheet()
                    .setting()
                    .shelf()
                    .find(text)
                    .map(Substance::name)
                    .orElse(text);
        }
        if (slot.filter(Slot.Moment.class::isInstance).isPresent()) {
            return clock(text);
        }
        if (slot.filter(Slot.Reference.class::isInstance).isPresent()) {
            return Optional.ofNullable(entry.sheet().setting().references().get(text))
                    .map(each -> each.label())
                    .orElse(text);
        }
        if (slot.filter(Slot.Vessel.class::isInstance).isPresent()) {
            return Optional.ofNullable(entry.sheet().setting().calorimeters().get(text))
                    .map(each -> each.name())
                    .orElse(text);
        }
        return slot.filter(Slot.Quantity.class::isInstance).isPresent()
                        && entry.unreadable(observation).isEmpty()
                ? figures.typed(text)
                : text;
    }

    public String clock(Instant instant) {
        return WrittenTime.of(instant, entry.entry().period().zone(), CLOCK);
    }

    /** A kept moment; as it was kept where it is none. */
    private String clock(String text) {
        try {
            return clock(Instant.parse(text));
        } catch (DateTimeParseException none) {
            return text;
        }
    }

    /** The slot an observation was given for; empty where this version has no such place. */
    public static Optional<Slot> slot(Experiment experiment, Observation observation) {
        return address(observation).flatMap(address -> experiment.slot(address.path()));
    }

    private static Optional<Address> address(Observation observation) {
        try {
            return Optional.of(Address.read(observation.address()));
        } catch (Refused none) {
            return Optional.empty();
        }
    }

    /**
     * Something kept that no row of the sheet shows now: its place is not asked for under the schools and answers in force,
     * or this version does not know it or cannot read it.
     *
     * @param why why it cannot be read; empty where it can
     */
    public record Leftover(Observation observation, String label, String text, String unit, String why) {}

    /** Whatever stands and has no row, of all trials. */
    public static List<Leftover> leftovers(EntrySheet entry) {
        Set<String> shown = new HashSet<>();
        for (int trial = 1; trial <= entry.sheet().trials(); trial++) {
            entry.sheet().asks(trial).forEach(ask -> shown.add(ask.address().toString()));
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

    private String numbered(Address address) {
        return words.label(address.path()) + (address.index() == 1 ? "" : " " + address.index());
    }

    /** Where the work goes on: the first row not filled after the last that is, else the first that must be. */
    public Optional<Address> next(Optional<Address> after) {
        List<Address> all =
                entry.sheet().asks(trial).stream().map(Sheet.Ask::address).toList();
        int last = after.map(all::indexOf).orElseGet(() -> lastFilled(all));
        return all.stream()
                .skip(last + 1L)
                .filter(address -> !entry.sheet().filled(address))
                .findFirst()
                .or(() -> all.stream()
                        .filter(address -> !entry.sheet().filled(address) && required(address))
                        .findFirst());
    }

    private int lastFilled(List<Address> all) {
        int last = -1;
        for (int i = 0; i < all.size(); i++) {
            last = entry.sheet().filled(all.get(i)) ? i : last;
        }
        return last;
    }

    private boolean required(Address address) {
        return entry.experiment()
                .slot(address.path())
                .filter(slot -> !slot.optional())
                .isPresent();
    }

    public Optional<Address> before(Address address) {
        List<Address> all =
                entry.sheet().asks(trial).stream().map(Sheet.Ask::address).toList();
        int at = all.indexOf(address);
        return at > 0 ? Optional.of(all.get(at - 1)) : Optional.empty();
    }
}
