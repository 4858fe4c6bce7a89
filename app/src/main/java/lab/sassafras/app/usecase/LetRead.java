package lab.sassafras.app.usecase;

import java.util.UUID;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;

/** Makes links by which one entry or the hand-outs of a period are read, and revokes them. */
@UseCase(needs = Right.LEAD, serves = Bringer.DECIDING)
public class LetRead {

    private final ReaderLinks links;

    LetRead(ReaderLinks links) {
        this.links = links;
    }

    /** Makes a link to an entry. @return its secret, told this once */
    @Noted("made a link to read an entry")
    public Answer<String> make(Entry entry) {
        return Answer.of(() -> links.make(entry));
    }

    /** Revokes one; whoever reads by it is out at once. */
    @Noted("revoked a link to read an entry")
    public Answer<Boolean> revoke(Entry entry, UUID link) {
        return Answer.of(() -> links.revoke(entry, link));
    }

    /** Makes a link to the hand-outs of a period. @return its secret, told this once */
    @Noted("made a link to read hand-outs")
    public Answer<String> make(Period period) {
        return Answer.of(() -> links.make(period));
    }

    /** Revokes one; whoever reads by it is out at once. */
    @Noted("revoked a link to read hand-outs")
    public Answer<Boolean> revoke(Period period, UUID link) {
        return Answer.of(() -> links.revoke(period, link));
    }
}
