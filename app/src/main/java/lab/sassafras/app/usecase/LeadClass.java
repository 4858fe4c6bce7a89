package lab.sassafras.app.usecase;

import java.util.Map;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.KeptHour;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;

/** Keeps what an instructor lays down for a class as it goes. */
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
}
