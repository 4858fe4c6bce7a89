package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.sheet.Turns;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Trend;
import lab.sassafras.declaration.Span;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps what a trial takes from readings on a clock: which stretch of them, two temperatures picked from them, or where
 * a trend stood. What was taken before is struck out with the reason.
 */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.ASKED)
public class TakeFromClock {

    private final WayIn way;
    private final OnClock onClock;
    private final DecisionBook decisionBook;
    private final EntrySheets sheets;
    private final Clocks clocks;
    private final Turns turns;
    private final Instruments instruments;
    private final TransactionTemplate whole;

    TakeFromClock(
            WayIn way,
            OnClock onClock,
            DecisionBook decisionBook,
            EntrySheets sheets,
            Clocks clocks,
            Turns turns,
            Instruments instruments,
            PlatformTransactionManager transactions) {
        this.way = way;
        this.onClock = onClock;
        this.decisionBook = decisionBook;
        this.sheets = sheets;
        this.clocks = clocks;
        this.turns = turns;
        this.instruments = instruments;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * Marks the mixing on a running clock.
     *
     * @param time    as typed; empty for now
     * @param ago     how long ago it was given (ms)
     * @param waiting after what wait a single reading is taken, where nothing was taken before (s)
     */
    public Answer<Boolean> mixed(
            EntrySheet entry, int trial, Trace trace, UUID key, String time, long ago, double waiting, Actor actor) {
        return Answer.of(() -> {
            if (entry.observations().find(key).isPresent()) {
                return;
            }
            double at = onClock.second(trace, time, ago);
            TraceUse use = Clocks.use(entry, trial)
                    .map(before -> before.mixedAt(at))
                    .orElseGet(() -> first(entry, trial, trace, at).waiting(waiting));
            keep(key, entry, trial, use, "mixing marked again", actor);
            endBefore(entry, trial, trace, use, actor);
        });
    }

    /** Marks the mixing at another moment of what was read. */
    public Answer<Boolean> mixed(EntrySheet entry, int trial, ClockReadings readings, String time, Actor actor) {
        return Answer.of(() -> {
            double at = ClockTime.read(time);
            TraceUse use = Clocks.use(entry, trial)
                    .map(each -> each.mixedAt(at))
                    .orElseGet(() -> first(entry, trial, readings.trace(), at));
            keep(UUID.randomUUID(), entry, trial, use, "mixing marked again", actor);
            endBefore(entry, trial, readings.trace(), use, actor);
        });
    }

    /** The whole of a trace; where another trial is read from it already, only what follows. */
    private TraceUse first(EntrySheet entry, int trial, Trace trace, double at) {
        TraceUse whole = TraceUse.whole(trace.id().toString(), at);
        return turns.before(entry, trial, trace, at)
                .map(before -> whole.between(turns.since(entry, trial, trace, before, at), TraceUse.LONGEST))
                .orElse(whole);
    }

    /** What the trial before is read from ends where this one begins, once that is kept. */
    private void endBefore(EntrySheet entry, int trial, Trace trace, TraceUse use, Actor actor) {
        turns.before(entry, trial, trace, use.mixing())
                .filter(other ->
                        use.from() > other.use().mixing() && other.use().to() > use.from())
                .ifPresent(other -> kept(
                        UUID.randomUUID(),
                        sheets.of(other.entry()),
                        other.place(),
                        other.use().between(other.use().from(), use.from()),
                        "another trial begins there",
                        actor));
    }

    /** Keeps another use of the readings in the place of the one that stands, for a reason that must be given. */
    public Answer<Boolean> chosen(EntrySheet entry, int trial, TraceUse use, String reason, Actor actor) {
        return Answer.of(() -> {
            sheets.tried(entry, trial, use);
            String why = Reason.checked(reason, "Say why these stretches are taken. Nothing was changed.");
            keep(UUID.randomUUID(), entry, trial, use, why, actor);
        });
    }

    /** Keeps another use of the readings in the place of the one that stands. */
    public Answer<Boolean> stated(EntrySheet entry, int trial, TraceUse use, String why, Actor actor) {
        return Answer.of(() -> keep(UUID.randomUUID(), entry, trial, use, why, actor));
    }

    private void keep(UUID key, EntrySheet entry, int trial, TraceUse use, String reason, Actor actor) {
        Address address = Clocks.place(entry, trial);
        Optional<Observation> before = WayIn.standing(entry, address);
        if (before.filter(each -> each.text().equals(use.text())).isPresent()) {
            return;
        }
        WayIn.beforeMixing(entry, trial);
        kept(key, entry, address, use, reason, actor);
    }

    private void kept(UUID key, EntrySheet entry, Address address, TraceUse use, String reason, Actor actor) {
        Value value =
                Value.instead(key, address, Role.STATED, use.text(), null, WayIn.standing(entry, address), reason);
        way.kept(entry, value, WayIn.taken(way.filling(entry, address), value, actor), actor);
    }

    /** Keeps two temperatures picked from a curve as the readings before and after mixing, and puts them in force. */
    public Answer<Boolean> picked(EntrySheet entry, int trial, String start, String end, Actor actor) {
        return picked(entry, trial, start, end, "picked from the curve", actor);
    }

    /** The same, with where they come from. */
    public Answer<Boolean> picked(EntrySheet entry, int trial, String start, String end, String from, Actor actor) {
        return Answer.of(() -> whole.executeWithoutResult(status -> {
            WayIn.beforeMixing(entry, trial);
            Span span = entry.experiment().span().orElseThrow();
            SheetEditing filling = entry.readback().filling(entry.sheet().setting());
            pick(entry, filling, Address.of(span.start(), trial), start, from, actor);
            pick(entry, filling, Address.of(span.end(), trial), end, from, actor);
            decisionBook.decide(
                    Optional.of(entry.entry().id()),
                    Decision.Kind.SCHOOL,
                    ConventionQuestion.CHANGE.key(),
                    TemperatureChange.PICKED.key(),
                    from,
                    actor.name());
        }));
    }

    private void pick(EntrySheet entry, SheetEditing filling, Address address, String text, String from, Actor actor) {
        Optional<Observation> before = WayIn.standing(entry, address).filter(old -> filling.stands(old.id()));
        if (before.filter(old -> old.text().equals(text)).isPresent()) {
            return;
        }
        Value value = Value.instead(
                        UUID.randomUUID(),
                        address,
                        Role.READ,
                        text,
                        BenchUnit.DEGREES_CELSIUS.symbol(),
                        before,
                        "picked otherwise from the curve")
                .from(from);
        way.kept(entry, value, WayIn.taken(filling, value, actor), actor);
    }

    /** Keeps where the trend stood at a moment as the reading it is about. */
    public Answer<Boolean> trend(EntrySheet entry, Address place, String time, Actor actor) {
        return Answer.of(() -> {
            double seconds = ClockTime.read(time);
            Ticks.check(entry, place);
            Slot slot = WayIn.slot(entry, place);
            ClockReadings readings =
                    clocks.trend(entry, place).orElseThrow(() -> new Refused("There are no timed readings there."));
            Trend trend = clocks.trendAt(readings, seconds);
            Figures figures = entry.entry().period().figures();
            Value value = Value.instead(
                            UUID.randomUUID(),
                            place,
                            Role.TREND,
                            figures.fixed(trend.temperature(), 2),
                            slot.unit(Role.TREND).map(BenchUnit::symbol).orElse(null),
                            WayIn.standing(entry, place),
                            "read from its trend at " + ClockTime.write(seconds))
                    .on(
                            readings.trace().instrumentId().flatMap(instruments::find),
                            figures.fixed(trend.uncertainty(), 3));
            SheetEditing filling = entry.readback().filling(entry.sheet().setting());
            way.kept(entry, value, WayIn.taken(filling, value, actor), actor);
        });
    }
}
