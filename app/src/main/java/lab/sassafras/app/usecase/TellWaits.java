package lab.sassafras.app.usecase;

import java.util.Map;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.BenchWait;
import lab.sassafras.app.record.Paces;
import lab.sassafras.app.sheet.ClassPaces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.declaration.Pace;
import lab.sassafras.measure.Refused;

/** Keeps what a class goes by and what became of its waits, one of them a transfer that was broken off. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.DECIDING)
public class TellWaits {

    private final WayIn way;
    private final Paces paces;
    private final ClassPaces ofClass;

    TellWaits(WayIn way, Paces paces, ClassPaces ofClass) {
        this.way = way;
        this.paces = paces;
        this.ofClass = ofClass;
    }

    /** Keeps what a class goes by from now on, by the key of the pace (min, or °C of a rise). */
    public Answer<Boolean> goBy(EntrySheet entry, Map<String, Double> changed, Actor actor) {
        return Answer.of(() -> changed.forEach((pace, amount) ->
                paces.choose(entry.entry().period(), entry.experiment().key(), pace, amount, actor.name())));
    }

    /** Begins a wait, begins it anew, or ends it. */
    public Answer<Boolean> wait(EntrySheet entry, int trial, String pace, UUID key, boolean ends, Actor actor) {
        return Answer.of(() -> {
            double minutes = ofClass.of(entry).entrySet().stream()
                    .filter(each -> each.getKey().key().equals(pace)
                            && each.getKey().kind().timer())
                    .findFirst()
                    .map(Map.Entry::getValue)
                    .orElseThrow(() -> new Refused("This experiment waits for nothing of that name."));
            BenchWait.Outcome outcome = ends ? BenchWait.Outcome.ENDED : BenchWait.Outcome.BEGUN;
            keep(entry, key, trial, pace, minutes, outcome, "", actor);
        });
    }

    /** A transfer that was broken off: its moment is withdrawn, and the time in the bath begins anew. */
    public Answer<Boolean> brokenOff(EntrySheet entry, int trial, String reason, Actor actor) {
        return Answer.of(() -> {
            String why = Reason.checked(reason.isBlank() ? "the transfer was broken off" : reason, "");
            Clocks.placeOf(entry, trial)
                    .flatMap(place -> WayIn.standing(entry, place))
                    .ifPresent(use -> way.struck(UUID.randomUUID(), use, why, actor));
            entry.experiment().mixing().map(path -> entry.sheet().address(path, trial)).stream()
                    .flatMap(address -> entry.observations().standingAt(address.toString()).stream())
                    .forEach(moment -> way.struck(UUID.randomUUID(), moment, why, actor));
            ofClass.of(entry).forEach((pace, minutes) -> {
                if (pace.kind() == Pace.Kind.BATH) {
                    keep(
                            entry,
                            UUID.randomUUID(),
                            trial,
                            pace.key(),
                            minutes,
                            BenchWait.Outcome.BROKEN_OFF,
                            why,
                            actor);
                }
            });
        });
    }

    private void keep(
            EntrySheet entry,
            UUID key,
            int trial,
            String pace,
            double minutes,
            BenchWait.Outcome outcome,
            String reason,
            Actor actor) {
        paces.wait(key, entry.entry(), new BenchWait.Given(trial, pace, 60 * minutes, outcome, reason, actor.name()));
    }
}
