package lab.sassafras.app.usecase;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.KeptHour;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Calorimeter;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Keeps what an instructor lays down for a class as it goes, and what passes between them and the benches. */
@UseCase(needs = Right.LEAD, serves = Bringer.DECIDING)
public class LeadClass {

    private final ClassBook book;
    private final Calorimeters calorimeters;
    private final EntryBook entries;
    private final DecisionBook decisions;
    private final TransactionTemplate whole;

    LeadClass(
            ClassBook book,
            Calorimeters calorimeters,
            EntryBook entries,
            DecisionBook decisions,
            PlatformTransactionManager transactions) {
        this.book = book;
        this.calorimeters = calorimeters;
        this.entries = entries;
        this.decisions = decisions;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * A vessel takes so much from now on, for the whole class: the constant is put on the shelf for use, and every run
     * of the period in which the vessel’s constant counts draws on it, in one commit.
     *
     * @param seen the newest constant of the vessel that whoever decides has seen
     * @return how many runs draw on it now
     */
    @Noted("changed a constant for a class")
    public Answer<Integer> constant(
            Period period, Vessel vessel, KeepShelf.KnownConstant known, Optional<UUID> seen, Actor actor) {
        return Answer.of(() -> {
            if (!period.open()) {
                throw new Refused("This period is not open: what its runs draw on stays as it is.");
            }
            String why = Reason.checked(known.source(), "Say where the constant comes from, or why it is changed.");
            return Objects.requireNonNull(whole.execute(status -> {
                Calibration constant = calorimeters.adopt(
                        vessel,
                        Optional.empty(),
                        Measured.independent(known.value(), known.uncertainty()),
                        known.fill(),
                        new Calibration.Adoption("typed for " + period.title(), actor.name(), why),
                        seen);
                List<Entry> moved = drawingOn(period, vessel);
                moved.forEach(each -> decisions.decide(
                        Optional.of(each.id()),
                        Decision.Kind.PIN,
                        "calibration",
                        constant.id().toString(),
                        why,
                        actor.name()));
                return moved.size();
            }));
        });
    }

    /** {@return the runs of a period in which the constant of a vessel counts} */
    public List<Entry> drawingOn(Period period, Vessel vessel) {
        return entries.of(period).stream()
                .filter(each -> each.vesselId().filter(vessel.id()::equals).isPresent())
                .filter(each -> Experiments.find(each.experiment())
                        .filter(of -> of.calorimeter() == Calorimeter.Use.NEEDS_CONSTANT)
                        .isPresent())
                .toList();
    }

    /** Keeps the hour of a period. */
    public Answer<KeptHour> lay(Period period, Map<String, String> fields, Actor actor) {
        return Answer.of(() -> book.lay(period, fields, actor.name()));
    }

    /**
     * Gives data to work out, each its own by seed: to each bench in turn, then to whoever reads by each link.
     *
     * @param seed of the first
     */
    @Noted("gave data to work out")
    public Answer<Integer> give(
            Period period, List<Bench> benches, List<UUID> links, String experiment, long seed, Actor actor) {
        return Answer.of(() -> {
            if (benches.isEmpty() && links.isEmpty()) {
                throw new Refused("There is nobody to give them to: no bench joined, and no link was made.");
            }
            return Objects.requireNonNull(whole.execute(status -> {
                long next = seed;
                for (Bench each : benches) {
                    book.give(each, experiment, next++, actor.name());
                }
                for (UUID each : links) {
                    book.give(period, each, experiment, next++, actor.name());
                }
                return benches.size() + links.size();
            }));
        });
    }

    /** Takes data back that were given. */
    public Answer<Boolean> takeBack(Period period, UUID given, Actor actor) {
        return Answer.of(() -> book.takeBack(period, given, actor.name()));
    }

    /** Begins a dress rehearsal in a period made for it. */
    @Noted("began a dress rehearsal")
    public Answer<KeptRehearsal> rehearse(Period period, KeptRehearsal.Given given, Actor actor) {
        return Answer.of(() -> book.rehearse(period, given, actor.name()));
    }

    /** A bench raises its hand, or takes it down. */
    @Needs(Right.BEGIN)
    public Answer<Boolean> raise(Bench bench, boolean up, Actor actor) {
        return Answer.of(() -> book.raise(bench, up, actor.name()));
    }

    /** A bench saw a note. */
    @Needs(Right.BEGIN)
    public Answer<Boolean> see(Bench bench, UUID note, Actor actor) {
        return Answer.of(() -> book.see(bench, note, actor.name()));
    }

    /** Somebody came: a bench’s hand is taken down by an instructor. */
    public Answer<Boolean> came(Bench bench, Actor actor) {
        return Answer.of(() -> book.raise(bench, false, actor.name()));
    }

    /** Holds a bench with a reason, or lets it go on where none is given. */
    public Answer<Boolean> hold(Bench bench, Optional<String> reason, Actor actor) {
        return Answer.of(() -> book.hold(bench, reason, actor.name()));
    }

    /** Tells a bench something, or all where none is named. */
    public Answer<Boolean> tell(Period period, Optional<Bench> bench, String text, Actor actor) {
        return Answer.of(() -> book.tell(period, bench, text, actor.name()));
    }

    /** Writes something beside a bench that only instructors read. */
    public Answer<Boolean> beside(Bench bench, String text, Actor actor) {
        return Answer.of(() -> book.beside(bench, text, actor.name()));
    }
}
