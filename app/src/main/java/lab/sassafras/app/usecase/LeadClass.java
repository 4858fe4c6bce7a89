package lab.sassafras.app.usecase;

import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.KeptHour;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;

/** Keeps what an instructor lays down for a class as it goes, and what passes between them and the benches. */
@UseCase(needs = Right.LEAD, serves = Bringer.DECIDING)
public class LeadClass {

    private final ClassBook book;

    LeadClass(ClassBook book) {
        this.book = book;
    }

    /** Keeps the hour of a period. */
    public Answer<KeptHour> lay(Period period, Map<String, String> fields, Actor actor) {
        return Answer.of(() -> book.lay(period, fields, actor.name()));
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
