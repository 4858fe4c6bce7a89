package lab.sassafras.app.usecase;

import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;

/** Adds instructors, gives them another password, locks them out; makes links to read by, and revokes them. */
@UseCase(needs = Right.RUN_HOUSE, serves = Bringer.DECIDING)
public class KeepPeople {

    private final Instructors instructors;
    private final SignIns signIns;
    private final ReaderLinks links;

    KeepPeople(Instructors instructors, SignIns signIns, ReaderLinks links) {
        this.links = links;
        this.instructors = instructors;
        this.signIns = signIns;
    }

    /**
     * Adds one.
     *
     * @param bound periods they are bound to; none where it is all of them
     */
    @Noted("made an account")
    public Answer<UUID> add(String name, String password, Set<UUID> bound) {
        return Answer.of(() -> instructors.add(name, password, bound));
    }

    /** Adds one, or lets one in again with another password: for whoever can read the folder of the book. */
    @Needs(Right.ANYONE)
    public Answer<UUID> byTheFolder(String name, String password) {
        return Answer.of(() -> {
            UUID person = instructors.addOrReset(name, password);
            signIns.endAll(person);
            return person;
        });
    }

    /** Gives one another password; wherever they came in by the old one, they are out. */
    @Noted("gave an account another password")
    public Answer<Boolean> reset(UUID person, String password) {
        return Answer.of(() -> {
            instructors.reset(person, password);
            signIns.endAll(person);
        });
    }

    /** Locks one out, everywhere at once. */
    @Noted("locked an account")
    public Answer<Boolean> lockOut(UUID person) {
        return Answer.of(() -> {
            instructors.lock(person, true);
            signIns.endAll(person);
        });
    }

    /** Lets one in again. */
    @Noted("unlocked an account")
    public Answer<Boolean> letIn(UUID person) {
        return Answer.of(() -> instructors.lock(person, false));
    }

    /** Ends every sign-in of one. */
    @Noted("signed an account out everywhere")
    public Answer<Boolean> everywhere(UUID person) {
        return Answer.of(() -> signIns.endAll(person));
    }

    /** Makes a link to an entry. @return its secret, told this once */
    @Needs(Right.LEAD)
    @Noted("made a link to read an entry")
    public Answer<String> letRead(Entry entry) {
        return Answer.of(() -> links.make(entry));
    }

    /** Revokes one; whoever reads by it is out at once. */
    @Needs(Right.LEAD)
    @Noted("revoked a link to read an entry")
    public Answer<Boolean> letReadNoMore(Entry entry, UUID link) {
        return Answer.of(() -> links.revoke(entry, link));
    }

    /** Makes a link to the hand-outs of a period. @return its secret, told this once */
    @Needs(Right.LEAD)
    @Noted("made a link to read hand-outs")
    public Answer<String> letRead(Period period) {
        return Answer.of(() -> links.make(period));
    }

    /** Revokes one; whoever reads by it is out at once. */
    @Needs(Right.LEAD)
    @Noted("revoked a link to read hand-outs")
    public Answer<Boolean> letReadNoMore(Period period, UUID link) {
        return Answer.of(() -> links.revoke(period, link));
    }
}
