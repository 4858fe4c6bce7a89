package lab.sassafras.app.sheet;

import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import lab.sassafras.experiment.Blueprints;
import lab.sassafras.experiment.Experiments;
import org.springframework.boot.context.event.ApplicationStartedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Looks at start whether the books every experiment draws up go together in their units, under every school. It does so
 * beside the rest of the start; a fault ends it.
 */
@Component
class Soundness {

    private final CompletableFuture<Void> checked =
            CompletableFuture.runAsync(() -> Experiments.all().forEach(Blueprints::check));

    /** @throws IllegalStateException naming experiment, school and step where units do not go together */
    @EventListener(ApplicationStartedEvent.class)
    void join() {
        try {
            checked.join();
        } catch (CompletionException fault) {
            Throwable cause = fault.getCause() == null ? fault : fault.getCause();
            throw new IllegalStateException(cause.getMessage(), cause);
        }
    }
}
