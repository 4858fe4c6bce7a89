package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;

/**
 * A run as a table on paper has it: a row for every place that is typed, in the order of the run, a column for every
 * trial.
 */
final class TableScreen {

    private final EntrySheet entry;
    private final Setting open;
    private final Map<String, Role> ways;
    private final Map<Place, Outcome> outcomes;
    private final Function<Address, Optional<PeriodKnows.Value>> known;

    /**
     * Of a run.
     *
     * @param open     its setting, open to whatever a place may name
     * @param ways     how a place is read, by its path, where somebody chose
     * @param outcomes what came of cells that were sent and are not kept
     * @param known    what other runs of the period have at a place
     */
    TableScreen(
            EntrySheet entry,
            Setting open,
            Map<String, Role> ways,
            Map<Place, Outcome> outcomes,
            Function<Address, Optional<PeriodKnows.Value>> known) {
        this.known = known;
        this.entry = entry;
        this.open = open;
        this.ways = ways;
        this.outcomes = outcomes;
    }

    /** A place in the table: an address, and how it is read. */
    record Place(String at, String role) {

        /** As a form sends it. */
        String sent() {
            return at + "|" + role;
        }

        static Place read(String sent) {
            int bar = sent.indexOf('|');
            return bar < 0
                    ? new Place(sent, Role.STATED.key())
                    : new Place(sent.substring(0, bar), sent.substring(bar + 1));
        }
    }

    /**
     * Why a cell that was sent is not kept.
     *
     * @param typed    what was typed
     * @param problem  why it cannot be; empty where it is asked about
     * @param question what is asked before it is kept; empty where it cannot be
     */
    record Outcome(String typed, String problem, String question) {}

    /** What a cell is. */
    public enum State {
        /** A value may be typed. */
        OPEN,
        /** What was typed stands. */
        FILLED,
        /** An answer rules it out, or it is of another trial's sample. */
        OUT,
        /** What must be ticked off before it is not. */
        LOCKED,
        /** Read on a clock. */
        CURVE,
        /** Ticked by hand. */
        TICK
    }

    /**
     * One cell.
     *
     * @param trial   its column
     * @param state   what it is
     * @param place   as it is sent; empty where nothing can be
     * @param text    what stands there, or what was typed
     * @param how     how it was got, in a word
     * @param problem why what was typed is not kept; empty where it is
     * @param question what is asked before it is kept; empty where nothing is
     * @param link    where it is asked by itself
     */
    public record Cell(
            int trial,
            State state,
            String place,
            String text,
            String how,
            String problem,
            String question,
            String link) {

        private Cell lockedBy(String tick) {
            return new Cell(trial, State.LOCKED, place, text, tick, problem, question, link);
        }

        /** Identity in the page. */
        public String id() {
            return "cell-" + place + "-" + trial;
        }
    }

    /** A way to read a place, with the page that has it so. */
    public record Way(String words, String query, boolean chosen) {}

    /**
     * One row.
     *
     * @param id      identity in the page
     * @param label   in words
     * @param unit    its unit's symbol; empty where there is none
     * @param caution before its step; empty where nothing can hurt
     * @param once    whether it is read once for all trials
     * @param kind    which field: number, words, choice, pick, moment or trace
     * @param options to choose from
     * @param ways    how it may be read; empty where there is one way
     * @param cells   one for each trial, or one
     */
    public record Row(
            String id,
            String label,
            String unit,
            String caution,
            boolean once,
            String kind,
            List<Slot.Option> options,
            List<Way> ways,
            List<Cell> cells) {

        private Row with(String other, List<Cell> others) {
            return new Row(id, label, unit, other, once, kind, options, ways, others);
        }

        /** Whether it takes a value by itself, in words a hand can match. */
        boolean called(String name) {
            return plain(label).equals(plain(name));
        }

        private static String plain(String words) {
            return words.strip().toLowerCase(java.util.Locale.ROOT).replaceAll("\\s*[\\[(].*$|[\\s:]+$", "");
        }
    }

    /** What is asked in some trial: a path and half, with the index of what stands once for each part. */
    private record Key(String path, Optional<Role> half, int part) {

        String id() {
            return path + half.map(each -> "." + each.key()).orElse("") + (part > 0 ? "-" + part : "");
        }
    }

    List<Row> rows() {
        int trials = entry.sheet().trials();
        Map<Key, Map<Integer, Tasks.Ask>> asked = new LinkedHashMap<>();
        List<Key> order = new ArrayList<>();
        for (int trial = 1; trial <= trials; trial++) {
            int after = -1;
            for (Tasks.Ask ask : entry.sheet().tasks().asks(trial)) {
                for (Key key : keys(ask)) {
                    int at = order.indexOf(key);
                    if (at < 0) {
                        at = after + 1;
                        order.add(at, key);
                    }
                    after = at;
                    asked.computeIfAbsent(key, any -> new HashMap<>()).put(trial, ask);
                }
            }
        }
        List<Row> rows = new ArrayList<>();
        Map<Integer, String> locked = new HashMap<>();
        String cautioned = "";
        for (Key key : order) {
            Row row = below(locked, row(key, asked.getOrDefault(key, Map.of()), trials));
            rows.add(row.caution().equals(cautioned) ? uncautioned(row) : row);
            cautioned = row.caution();
        }
        return rows;
    }

    private static Row uncautioned(Row row) {
        return row.with("", row.cells());
    }

    /** Below a cell that is locked nothing of its trial is written until what locks it is ticked off. */
    private static Row below(Map<Integer, String> locked, Row row) {
        row.cells().stream()
                .filter(cell -> cell.state() == State.LOCKED)
                .forEach(cell -> locked.putIfAbsent(cell.trial(), cell.how()));
        return row.with(
                row.caution(),
                row.cells().stream()
                        .map(cell -> cell.state() == State.OPEN && !row.once() && locked.containsKey(cell.trial())
                                ? cell.lockedBy(locked.getOrDefault(cell.trial(), ""))
                                : cell)
                        .toList());
    }

    private List<Key> keys(Tasks.Ask ask) {
        String path = ask.address().path();
        int part = cardinality(path) == Cardinality.PER_PART ? ask.address().index() : 0;
        Slot slot = slot(path);
        if (ask.step().half().isEmpty()
                && slot.byDifference()
                && role(slot, path).half()) {
            return Stream.of(Role.TARE, Role.GROSS)
                    .map(half -> new Key(path, Optional.of(half), part))
                    .toList();
        }
        return List.of(new Key(path, ask.step().half(), part));
    }

    private Cardinality cardinality(String path) {
        return entry.experiment()
                .group(Address.of(path, 1).group())
                .orElseThrow()
                .cardinality();
    }

    private Slot slot(String path) {
        return entry.experiment().slot(path).orElseThrow();
    }

    /** How a place is read: as somebody chose, as it was read already, or as the run page would propose. */
    private Role role(Slot slot, String path) {
        return Optional.ofNullable(ways.get(path))
                .or(() -> entry.sheet().lines().stream()
                        .filter(line -> line.address().path().equals(path))
                        .map(line -> line.role())
                        .reduce((earlier, later) -> later))
                .orElseGet(() -> Asking.role(entry.sheet(), Address.of(path, 1), slot, Optional.empty()));
    }

    private Row row(Key key, Map<Integer, Tasks.Ask> asks, int trials) {
        Slot slot = slot(key.path());
        Role role = key.half().orElseGet(() -> role(slot, key.path()));
        boolean once = cardinality(key.path()) == Cardinality.ONCE || key.part() > 0;
        Tasks.Ask first = asks.values().iterator().next();
        return new Row(
                key.id(),
                new WrittenSheet(entry, 1).label(first.address(), key.half()),
                slot.field() == Slot.Field.NUMBER
                        ? slot.unit(role).map(BenchUnit::symbol).orElse("")
                        : "",
                entry.experiment()
                        .words()
                        .caution(key.path())
                        .map(open.figures()::sentence)
                        .orElse(""),
                once,
                slot.field().name().toLowerCase(java.util.Locale.ROOT),
                Asking.options(entry, slot, first.address(), open),
                key.half().filter(half -> half == Role.GROSS).isPresent()
                                || first.step().half().isPresent()
                        ? List.of()
                        : ways(slot, key.path(), role),
                IntStream.rangeClosed(1, once ? 1 : trials)
                        .mapToObj(trial -> Optional.ofNullable(asks.get(trial))
                                .map(ask -> cell(trial, ask, key, slot, role))
                                .orElseGet(() -> new Cell(trial, State.OUT, "", "", "", "", "", "")))
                        .toList());
    }

    private List<Way> ways(Slot slot, String path, Role role) {
        return Asking.ways(slot, role).stream()
                .map(each -> new Way(each.words(), query(path, each.role()), each.chosen()))
                .toList();
    }

    private String query(String path, Role role) {
        Map<String, Role> other = new LinkedHashMap<>(ways);
        other.put(path, role);
        return query(other);
    }

    /** What follows the address of a table whose places are read so. */
    static String query(Map<String, Role> ways) {
        return ways.entrySet().stream()
                .map(each -> "way=" + each.getKey() + ":" + each.getValue().key())
                .collect(Collectors.joining("&", ways.isEmpty() ? "" : "?", ""));
    }

    private Cell cell(int trial, Tasks.Ask ask, Key key, Slot slot, Role role) {
        Address address = ask.address();
        WrittenSheet screen = new WrittenSheet(entry, trial);
        Place place = new Place(address.toString(), slot.field() == Slot.Field.NUMBER ? role.key() : "stated");
        String link = new WrittenSheet.Link(address.toString(), null).query();
        List<Observation> standing = screen.standing(ask).stream()
                .filter(each -> key.half().isEmpty()
                        || Role.of(each.role()).equals(key.half())
                        || Role.of(each.role()).filter(Role::half).isEmpty())
                .toList();
        if (slot.field() == Slot.Field.TRACE) {
            return new Cell(trial, State.CURVE, place.sent(), standing.isEmpty() ? "" : "read", "", "", "", link);
        }
        if (!standing.isEmpty()) {
            Observation last = standing.get(standing.size() - 1);
            return new Cell(
                    trial,
                    State.FILLED,
                    place.sent(),
                    screen.spoken(address, last),
                    WrittenSheet.how(last),
                    "",
                    "",
                    link);
        }
        List<Ticks.Open> ticks = Ticks.open(entry, address);
        if (!ticks.isEmpty()) {
            String why = Optional.ofNullable(outcomes.get(place))
                    .map(Outcome::problem)
                    .orElse("");
            return new Cell(trial, State.LOCKED, place.sent(), "", ticks.get(0).words(), why, "", link);
        }
        if (isTick(address)) {
            return new Cell(trial, State.TICK, place.sent(), "", "", "", "", link);
        }
        return Optional.ofNullable(outcomes.get(place))
                .map(each -> new Cell(
                        trial, State.OPEN, place.sent(), each.typed(), "", each.problem(), each.question(), link))
                .orElseGet(() -> {
                    Optional<PeriodKnows.Value> filledIn = outcomes.isEmpty() ? known(address, role) : Optional.empty();
                    return new Cell(
                            trial,
                            State.OPEN,
                            place.sent(),
                            filledIn.map(TableScreen::text).orElse(""),
                            filledIn.map(PeriodKnows.Value::words).orElse(""),
                            "",
                            "",
                            link);
                });
    }

    /** What is filled in before anything is typed: a value of the role and unit the cell is for. */
    private Optional<PeriodKnows.Value> known(Address address, Role role) {
        Slot slot = slot(address.path());
        String unit = slot.field() == Slot.Field.NUMBER
                ? slot.unit(role).map(BenchUnit::symbol).orElse("")
                : "";
        return known.apply(address)
                .filter(each -> each.unit().equals(unit))
                .filter(each -> slot.field() != Slot.Field.NUMBER || each.role() == role);
    }

    private static String text(PeriodKnows.Value value) {
        return value.text() + (value.uncertainty().isEmpty() ? "" : " ± " + value.uncertainty());
    }

    /** Whether a place must be ticked off before something else may be done. */
    boolean isTick(Address address) {
        return entry.experiment().tickedBefore().values().stream().anyMatch(paths -> paths.contains(address.path()));
    }
}
