package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.function.Supplier;
import lab.sassafras.measure.Refused;
import org.springframework.dao.DataAccessException;
import org.springframework.transaction.TransactionException;

/**
 * What came of a use case: what was kept, or what is asked first, or why nothing was recorded.
 *
 * @param <T> what is kept
 */
public sealed interface Answer<T> {

    /** It was kept. */
    record Kept<T>(T what) implements Answer<T> {}

    /** Nothing is kept yet: this is asked first, and whoever is sure keeps it all the same. */
    record Asked<T>(String what) implements Answer<T> {}

    /** Nothing was recorded: a refusal, or a book that could not be reached. */
    record NotKept<T>(RuntimeException why) implements Answer<T> {}

    /** What comes of keeping something; another failure than those that can be told at a field goes on its way. */
    static <T> Answer<T> of(Supplier<T> keeping) {
        try {
            return new Kept<>(keeping.get());
        } catch (Refused | DataAccessException | TransactionException failed) {
            return new NotKept<>(failed);
        }
    }

    /** What comes of what a page makes of a form: one that says nothing usable keeps nothing. */
    static Answer<Boolean> translating(Supplier<Answer<Boolean>> using) {
        try {
            return using.get();
        } catch (Refused refused) {
            return new NotKept<>(refused);
        }
    }

    /** As above, where nothing is to be known of what was kept. */
    static Answer<Boolean> of(Runnable keeping) {
        return of(() -> {
            keeping.run();
            return true;
        });
    }

    /** Why nothing was recorded, where nothing was. */
    default Optional<RuntimeException> refusal() {
        return this instanceof NotKept<T> not ? Optional.of(not.why()) : Optional.empty();
    }

    /** What is asked first, where something is. */
    default Optional<String> question() {
        return this instanceof Asked<T> asked ? Optional.of(asked.what()) : Optional.empty();
    }

    /** {@return what was kept, for a page that has no field to say at why nothing was} */
    default T orThrow() {
        if (this instanceof Kept<T> kept) {
            return kept.what();
        }
        throw refusal().orElseGet(() -> new Refused(question().orElse("")));
    }
}
