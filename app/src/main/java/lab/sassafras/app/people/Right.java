package lab.sassafras.app.people;

/** What may be allowed or not, each asked about something: an entry, a period, or the house. */
public enum Right {
    /** The door itself, and what says whether the house is well. */
    ANYONE("come to the door"),
    /** One's own first page. */
    HAVE_SEAT("see the bench one sits at"),
    /** Something new at the bench one sits at. */
    BEGIN("begin an entry at one's bench"),
    /** An entry with its curve, result and files. */
    READ_ENTRY("read an entry"),
    /** Values, readings and decisions of an entry. */
    WRITE_ENTRY("record and decide in an entry"),
    /** Entries of a period side by side and in its notebook. */
    READ_CLASS("read the entries of a period"),
    /** How what a period offers is done, to print. */
    READ_HANDOUTS("read a period's hand-outs"),
    /** Handbook values, instruments, vessels. */
    READ_SHELF("read the shelf"),
    /** What concerns more than one entry, where its period is open. */
    DECIDE("adopt what an entry found"),
    /** A period: its benches, code, conventions, life. */
    LEAD("lead a period"),
    /** The shelf, imports, back-ups, people. */
    RUN_HOUSE("keep shelf, files and people");

    private final String words;

    Right(String words) {
        this.words = words;
    }

    /** {@return what it allows, after “may”} */
    public String words() {
        return words;
    }
}
