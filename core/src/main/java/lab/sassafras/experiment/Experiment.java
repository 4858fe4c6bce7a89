package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.simulate.Scene;
import lab.sassafras.yardstick.Yardstick;

/** One kind of experiment: what it declares, and the books it draws up of what was read. */
public interface Experiment extends Declaration {

    /** {@return errors that may have slipped in, with plausible sizes} */
    default List<PossibleCause> suspects() {
        return List.of();
    }

    /** {@return what it suspects by itself, and what any run with a change of temperature is suspected of} */
    default List<PossibleCause> suspected() {
        List<PossibleCause> own = suspects();
        return own.isEmpty()
                ? own
                : Stream.concat(own.stream(), CommonCauses.of(this).stream()).toList();
    }

    /** {@return how it goes at the simulated bench; empty where nothing is run} */
    default Optional<Scene> scene() {
        return Optional.empty();
    }

    /** {@return how a run is foreseen in which no final temperature is sought; empty where one is, or none is run} */
    default Optional<Foresight> foresight() {
        return Optional.empty();
    }

    /** {@return what its result is judged by} */
    default Yardstick yardstick() {
        return Yardstick.NONE;
    }

    /**
     * Draws up the books, one for each trial.
     *
     * @param sheet       what was read
     * @param conventions the schools in force
     * @return the books
     */
    List<Account> accounts(Sheet sheet, Conventions conventions);
}
