package lab.sassafras.app.storage;

/** Why the book cannot be opened, in one sentence that says what to do. */
public final class CannotOpen extends Exception {

    private static final long serialVersionUID = 1L;

    CannotOpen(String sentence) {
        super(sentence);
    }
}
