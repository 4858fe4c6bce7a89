package lab.sassafras.app.usecase;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.settings.Limits;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;
import org.jspecify.annotations.Nullable;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps readings as they come: a clock begun, a temperature typed at its mark, the room's, and what a file holds. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.PUSHING)
public class AppendReadings {

    /** What a file's column is of that begins a trial of its own. */
    public static final String NEW_TRIAL = "new";

    /** What a file's column is of, before a trial's number. */
    public static final String TRIAL = "trial ";

    /** Readings come no seldomer than this (s). */
    private static final int SELDOMEST = 3600;
    /** A mean pace within so much of whole seconds is one of whole seconds, a few readings being missed. */
    private static final double ALMOST = 0.1;

    private static final double COLDEST_ROOM = -20;
    private static final double HOTTEST_ROOM = 60;

    private final Limits limits;
    private final WayIn way;
    private final OnClock onClock;
    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Traces traces;
    private final Instruments instruments;
    private final Clock clock;
    private final TransactionTemplate whole;

    AppendReadings(
            WayIn way,
            OnClock onClock,
            EntryBook entryBook,
            EntrySheets sheets,
            Traces traces,
            Instruments instruments,
            Clock clock,
            HouseSettings settings,
            PlatformTransactionManager transactions) {
        this.limits = settings.limits();
        this.way = way;
        this.onClock = onClock;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.traces = traces;
        this.instruments = instruments;
        this.clock = clock;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * Begins a clock; what its trial was read from before is struck out.
     *
     * @param place      of a temperature read from its trend; empty for the trial's own curve
     * @param key        identity of the clock
     * @param every      how often is read, as typed (s)
     * @param instrument read on, if it is on the shelf
     */
    public Answer<Boolean> begin(
            EntrySheet entry,
            int trial,
            Optional<Address> place,
            UUID key,
            String every,
            @Nullable UUID instrument,
            Actor actor) {
        return Answer.of(() -> {
            int seconds = every(every);
            if (place.isEmpty()) {
                strike(entry, trial, "timed readings started again", actor);
            }
            Trace begun = traces.begin(
                    key,
                    entry.entry().bench(),
                    place.isPresent() ? Trace.TREND : Trace.HAND,
                    thermometer(instrument).map(each -> UUID.fromString(each.key())),
                    seconds);
            onClock.leapt(begun);
            onClock.name(entry, place.orElseGet(() -> Clocks.place(entry, trial)), begun, actor);
            if (place.isEmpty()) {
                whole(entry, trial, begun, "timed readings started again", actor);
            }
        });
    }

    /** Whole seconds where they are so many; else to a thousandth. */
    private static double pace(double seconds) {
        double whole = Math.rint(seconds);
        return whole >= 1 && Math.abs(seconds - whole) < ALMOST * whole
                ? whole
                : Math.max(0.001, Math.rint(seconds * 1000) / 1000);
    }

    private static int every(String typed) {
        if (!typed.matches("\\d{1,4}") || Integer.parseInt(typed) < 1 || Integer.parseInt(typed) > SELDOMEST) {
            throw new Refused("Write the interval in whole seconds, from 1 to 3600.");
        }
        return Integer.parseInt(typed);
    }

    /**
     * Keeps a typed reading.
     *
     * @param key  identity it is kept under
     * @param text temperature as typed
     * @param time its time as typed; empty for now
     * @param ago  how long ago it was given (ms)
     */
    public Answer<Boolean> read(Entry entry, Trace trace, UUID key, String text, String time, long ago, Actor actor) {
        return Answer.of(() -> {
            Figures figures = entry.period().figures();
            TypedNumber number = TypedNumber.read(text, figures.mark());
            trace.instrumentId().flatMap(instruments::find).ifPresent(each -> within(each, number, figures));
            double second = onClock.second(trace, time, ago);
            double leapt = onClock.leapt(trace);
            TraceChunk.Given given = TraceChunk.Given.typed(second, number.value(), text, actor.identity());
            traces.add(key, trace, time.isEmpty() ? given.after(leapt) : given);
        });
    }

    /** Keeps a reading of the room, for the whole period. */
    public Answer<Boolean> room(EntrySheet entry, UUID key, String text, @Nullable UUID instrument) {
        return Answer.of(() -> {
            Figures figures = entry.entry().period().figures();
            TypedNumber number = TypedNumber.read(text, figures.mark());
            Optional<Instrument> on = thermometer(instrument);
            on.ifPresent(each -> within(each, number, figures));
            if (number.value() < COLDEST_ROOM || number.value() > HOTTEST_ROOM) {
                throw new Refused(
                        number.text() + " °C is no room to work in. Type what a thermometer in the air shows.");
            }
            traces.readRoom(
                    key,
                    entry.entry().bench(),
                    on.map(each -> UUID.fromString(each.key())),
                    number.value(),
                    number.text());
        });
    }

    /**
     * What another column of a file may be of.
     *
     * @param value {@link #NEW_TRIAL}, {@link #TRIAL} with a number, or the address of what is read from its trend
     * @param words in words
     */
    public record Other(String value, String words) {}

    /** What the columns of a file beside the one of a trial may be of. */
    public static List<Other> others(EntrySheet entry, int trial) {
        List<Other> others = new ArrayList<>();
        for (int other = 1; other <= entry.sheet().trials(); other++) {
            if (other != trial) {
                others.add(new Other(TRIAL + other, TRIAL + other));
            }
        }
        others.add(new Other(NEW_TRIAL, "another trial"));
        entry.sheet().tasks().asks(trial).stream()
                .filter(ask -> entry.experiment().span().stream()
                        .noneMatch(span -> span.start().equals(ask.address().path())
                                || span.end().equals(ask.address().path())))
                .filter(ask -> entry.experiment()
                        .slot(ask.address().path())
                        .filter(slot -> slot.roles().contains(Role.TREND))
                        .isPresent())
                .forEach(ask -> others.add(new Other(
                        ask.address().toString(),
                        entry.experiment().words().label(ask.address().path()) + ", for its trend")));
        return others;
    }

    /** Refuses what the columns of a file cannot be of, and two that are of one thing. */
    public static void checkOthers(EntrySheet entry, int trial, Collection<String> chosen) {
        List<Other> known = others(entry, trial);
        Set<String> met = new HashSet<>();
        chosen.forEach(place -> {
            if (known.stream().noneMatch(each -> each.value().equals(place))) {
                throw new Refused("Another probe cannot be of “" + place + "”. Choose one of those shown.");
            }
            if (!place.equals(NEW_TRIAL) && !met.add(place)) {
                throw new Refused("Two probes cannot both be of one thing. Choose another for one of them.");
            }
        });
    }

    /**
     * Keeps what a file holds, all of it or nothing: its own column for a trial, others for what they are of.
     *
     * @param readings of the trial
     * @param others   readings of other columns, by what they are of: {@link #NEW_TRIAL}, {@link #TRIAL} with a number,
     *                 or the address of a temperature read from its trend
     * @param source   what the file is called
     * @param instrument the trial's were read on, if it is on the shelf
     */
    public Answer<Boolean> file(
            EntrySheet entry,
            int trial,
            List<Reading> readings,
            List<Map.Entry<String, List<Reading>>> others,
            String source,
            Optional<UUID> instrument,
            Actor actor) {
        return Answer.of(() -> {
            checkOthers(entry, trial, others.stream().map(Map.Entry::getKey).toList());
            checked(readings);
            others.forEach(each -> checked(each.getValue()));
            long all = entry.readings()
                    + readings.size()
                    + others.stream().mapToLong(each -> each.getValue().size()).sum();
            if (all > limits.ofEntry()) {
                throw new Refused("With these the run would hold " + all + " readings; its file holds at most "
                        + limits.ofEntry() + ". Take every tenth, or begin a new run; nothing was recorded.");
            }
            Optional<UUID> thermometer =
                    instrument.filter(each -> instruments.find(each).isPresent());
            whole.executeWithoutResult(status -> {
                ofTrial(entry, trial, readings, source, thermometer, actor);
                others.forEach(each -> other(entry, each.getKey(), each.getValue(), source, actor));
            });
        });
    }

    private void checked(List<Reading> readings) {
        if (readings.size() < 2) {
            throw new Refused("At least two lines have to be readable as a time and a temperature.");
        }
        if (readings.size() > limits.readings()) {
            throw new Refused("There are " + readings.size() + " readings in it; a record holds at most "
                    + limits.readings() + ". Take every tenth, or the part about the mixing.");
        }
    }

    /** Another probe of the same file, for a trial of its own or for a trend. */
    private void other(EntrySheet entry, String place, List<Reading> readings, String source, Actor actor) {
        UUID id = entry.entry().id();
        if (place.equals(NEW_TRIAL)) {
            int opened = entryBook.open(id, EntryBook.TRIAL, actor.name());
            ofTrial(sheets.of(entry.entry()), opened, readings, source, Optional.empty(), actor);
        } else if (place.startsWith(TRIAL)) {
            int trial = Integer.parseInt(place.substring(TRIAL.length()));
            ofTrial(sheets.of(entry.entry()), trial, readings, source, Optional.empty(), actor);
        } else {
            onClock.name(
                    entry, Address.read(place), broughtIn(entry, readings, source, Optional.empty(), actor), actor);
        }
    }

    private void ofTrial(
            EntrySheet entry,
            int trial,
            List<Reading> readings,
            String source,
            Optional<UUID> thermometer,
            Actor actor) {
        strike(entry, trial, "readings brought in from a file", actor);
        Trace brought = broughtIn(entry, readings, source, thermometer, actor);
        onClock.name(entry, Clocks.place(entry, trial), brought, actor);
        whole(entry, trial, brought, "readings brought in from a file", actor);
    }

    /** Where nothing is mixed, all of the readings are what the trial is read from, in the place of others. */
    private void whole(EntrySheet entry, int trial, Trace trace, String reason, Actor actor) {
        if (!Clocks.toldWhole(entry, trial)) {
            return;
        }
        Address address = Clocks.place(entry, trial);
        String use = TraceUse.whole(trace.id().toString()).text();
        Optional<Observation> before = WayIn.standing(entry, address);
        if (before.filter(each -> each.text().equals(use)).isEmpty()) {
            Value value = Value.instead(UUID.randomUUID(), address, Role.STATED, use, null, before, reason);
            way.kept(entry, value, WayIn.taken(way.filling(entry, address), value, actor), actor);
        }
    }

    private Trace broughtIn(
            EntrySheet entry, List<Reading> readings, String source, Optional<UUID> thermometer, Actor actor) {
        double lasts = readings.get(readings.size() - 1).seconds();
        double every = Math.min(SELDOMEST, pace(lasts / (readings.size() - 1)));
        return traces.bringIn(
                entry.entry().bench(),
                Trace.Channel.ofFile(source),
                thermometer,
                every,
                clock.instant().minusSeconds((long) lasts),
                TraceChunk.Given.inPieces(readings, actor.identity()));
    }

    private void strike(EntrySheet entry, int trial, String reason, Actor actor) {
        if (Clocks.toldWhole(entry, trial)) {
            return;
        }
        WayIn.standing(entry, Clocks.place(entry, trial))
                .ifPresent(each -> way.struck(UUID.randomUUID(), each, reason, actor));
    }

    private Optional<Instrument> thermometer(@Nullable UUID instrument) {
        return Optional.ofNullable(instrument).flatMap(instruments::find);
    }

    private static void within(Instrument instrument, TypedNumber number, Figures figures) {
        if (number.value() < instrument.low() || number.value() > instrument.high()) {
            throw new Refused(number.text() + " °C cannot be read on " + instrument.name() + " ("
                    + figures.plain(instrument.low()) + " to " + figures.plain(instrument.high()) + " °C).");
        }
    }
}
