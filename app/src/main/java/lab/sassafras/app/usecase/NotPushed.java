package lab.sassafras.app.usecase;

/** Nothing of a batch was kept, with the status of HTTP that says so to a script. */
public final class NotPushed extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String why;
    private final int status;
    private final long after;

    NotPushed(int status, String why) {
        this(status, why, 0);
    }

    /** @param after seconds after which it may be sent again; 0 where that would not help */
    NotPushed(int status, String why, long after) {
        super(why);
        this.why = why;
        this.status = status;
        this.after = after;
    }

    public String why() {
        return why;
    }

    public int status() {
        return status;
    }

    public long after() {
        return after;
    }
}
