package lab.sassafras.app.bench;

import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import lab.sassafras.app.record.Added;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

/**
 * Tells pages that stand open which of their regions has a newer version, and nothing else: a page fetches the region
 * itself, and leaves it alone where somebody types.
 */
@Controller
class Changes {

    private static final Duration OPEN = Duration.ofHours(2);
    private static final String SHEET = "sheet";
    private static final String ENTRIES = "entries";

    private final LabBook book;
    private final Map<UUID, List<SseEmitter>> open = new ConcurrentHashMap<>();

    Changes(LabBook book) {
        this.book = book;
    }

    /** Of one entry, or of every entry of a period. */
    @GetMapping(path = "/{of:entries|periods}/{id}/changes", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter of(@PathVariable String of, @PathVariable UUID id) throws IOException {
        SseEmitter stream = new SseEmitter(OPEN.toMillis());
        List<SseEmitter> here = open.computeIfAbsent(id, any -> new CopyOnWriteArrayList<>());
        here.add(stream);
        stream.onCompletion(() -> here.remove(stream));
        stream.onTimeout(stream::complete);
        stream.onError(any -> here.remove(stream));
        stream.send(SseEmitter.event().comment("open"));
        return stream;
    }

    @TransactionalEventListener(fallbackExecution = true)
    void added(Added added) {
        tell(added.entry(), SHEET);
        if (open.size() > 0) {
            book.entry(added.entry()).map(Entry::period).ifPresent(period -> tell(period.id(), ENTRIES));
        }
    }

    /** Tells whoever listens; one that has gone is forgotten, and ended by the container. */
    private void tell(UUID id, String region) {
        Optional.ofNullable(open.get(id)).ifPresent(here -> here.removeIf(each -> gone(each, region)));
    }

    private static boolean gone(SseEmitter stream, String region) {
        try {
            stream.send(SseEmitter.event().name("changed").data(region));
            return false;
        } catch (IOException | IllegalStateException gone) {
            return true;
        }
    }

    /** Before the server stops, so that it need not wait for pages that only listen. */
    @EventListener(ContextClosedEvent.class)
    void close() {
        open.values().forEach(here -> here.forEach(SseEmitter::complete));
        open.clear();
    }
}
