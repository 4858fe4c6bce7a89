package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;

/**
 * A stated answer that says all by itself: it names nothing elsewhere and no sample, and what can be read can be taken
 * in.
 */
abstract class WordSlot extends StatedSlot {

    WordSlot(String key, boolean optional) {
        super(key, optional);
    }

    @Override
    public void admit(Line line, Setting setting) {
        // whatever can be read can be taken in
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        return List.of();
    }

    @Override
    public final Optional<Elsewhere> elsewhere() {
        return Optional.empty();
    }

    @Override
    public final boolean namesSample() {
        return false;
    }
}
