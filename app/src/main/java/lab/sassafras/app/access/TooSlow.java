package lab.sassafras.app.access;

import java.io.IOException;

/** What is sent takes too long to arrive. Whoever reads a body lets this pass. */
public final class TooSlow extends IOException {

    private static final long serialVersionUID = 1L;

    TooSlow() {
        super("the request took too long to arrive");
    }
}
