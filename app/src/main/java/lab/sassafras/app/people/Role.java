package lab.sassafras.app.people;

/** In which capacity somebody is here. */
public enum Role {
    /** Runs classes; sees and decides everything in the periods that are theirs. */
    INSTRUCTOR("instructor"),
    /** Joined a period by its code, without an account. */
    BENCH("bench"),
    /** Came by a link and reads one entry. */
    READER("reader"),
    /** Has not come in. */
    STRANGER("stranger");

    private final String word;

    Role(String word) {
        this.word = word;
    }

    public String word() {
        return word;
    }
}
