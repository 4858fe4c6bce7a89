package lab.sassafras.measure;

import java.util.Objects;

/** Something typed that cannot be what was asked for. The message says in plain words what was wrong and what to do. */
public class Refused extends RuntimeException {

    private static final long serialVersionUID = 1L;

    /**
     * Something typed that cannot be.
     *
     * @param message what is the matter and what to do, in plain words
     */
    public Refused(String message) {
        super(message);
    }

    @Override
    public String getMessage() {
        return Objects.requireNonNull(super.getMessage());
    }
}
