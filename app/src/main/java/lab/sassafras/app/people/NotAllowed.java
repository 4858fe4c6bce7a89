package lab.sassafras.app.people;

/** Somebody asked for what they may not have; the message says in words why. */
public final class NotAllowed extends RuntimeException {

    private static final long serialVersionUID = 1L;

    private final String why;

    public NotAllowed(String why) {
        super(why);
        this.why = why;
    }

    @Override
    public String getMessage() {
        return why;
    }
}
