package lab.sassafras.simulate;

import java.util.Set;

/** How one trial goes at the simulated bench: what is poured into what, and which slots its numbers stand for. */
public interface Scene {

    /**
     * Plays one trial.
     *
     * @param stage it is played on
     */
    void play(Stage stage);

    /** {@return what may go wrong in it, on request} */
    Set<Slip> slips();
}
