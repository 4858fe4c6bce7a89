package lab.sassafras.app.bench;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import jakarta.servlet.http.Cookie;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.SignInsEnded;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Added;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revisions;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.event.TransactionalEventListener;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/**
 * Tells pages that stand open which of their regions has a newer version, and nothing else: a page fetches the region
 * itself, and leaves it alone where somebody types. A page that was rendered before something changed is told at once.
 */
@Controller
class Changes {

    private static final Logger LOG = LoggerFactory.getLogger(Changes.class);

    /** A page's own name for itself, in what it sends. */
    static final String PAGE = "X-Page";

    private static final String NOTHING = "There is nothing at that address that changes.";
    private static final String SHEET = "sheet";
    private static final String ENTRIES = "entries";
    private static final int LONGEST_NAME = 40;

    private final EntryBook entryBook;
    private final PeriodBook periodBook;
    private final Revisions stamps;
    private final Streams streams;
    /** In which period a bench or the bench of an entry is. */
    private final Cache<UUID, UUID> periods =
            Caffeine.newBuilder().maximumSize(10_000).build();

    /** Looks up whom a change concerns, so that neither a hand that keeps nor a stream waits for the book. */
    private final ExecutorService notes = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "notes of changes");
        thread.setDaemon(true);
        return thread;
    });

    Changes(EntryBook entryBook, PeriodBook periodBook, Revisions stamps, Streams streams) {
        this.entryBook = entryBook;
        this.periodBook = periodBook;
        this.stamps = stamps;
        this.streams = streams;
    }

    /**
     * Of one entry.
     *
     * @param seen how much was in the book when the page was rendered; absent where it does not say
     * @param page the page's own name for itself
     */
    @GetMapping("/entries/{id}/changes")
    void ofEntry(
            @PathVariable UUID id,
            @RequestParam Optional<Long> seen,
            @RequestParam(defaultValue = "") String page,
            Visitor visitor,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        Entry entry = entryBook.find(id).orElseThrow(() -> new NotFound(NOTHING));
        boolean behind =
                seen.isPresent() && seen.get() != stamps.of(entry.id()).entry().number();
        Set<UUID> topics = Set.of(entry.id(), entry.bench().id());
        listen(
                visitor,
                entry.period(),
                page,
                request,
                response,
                new Streams.Heard(topics, SHEET, behind, Optional.empty()));
    }

    /** Of every entry of a period, likewise. */
    @GetMapping("/periods/{id}/changes")
    void ofPeriod(
            @PathVariable UUID id,
            @RequestParam Optional<Long> seen,
            @RequestParam(defaultValue = "") String page,
            Visitor visitor,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        Period period = periodBook.find(id).orElseThrow(() -> new NotFound(NOTHING));
        boolean behind = seen.isPresent() && seen.get() != stamps.number(period);
        listen(
                visitor,
                period,
                page,
                request,
                response,
                new Streams.Heard(Set.of(id), ENTRIES, behind, Optional.empty()));
    }

    void listen(
            Visitor visitor,
            Period period,
            String page,
            HttpServletRequest request,
            HttpServletResponse response,
            Streams.Heard heard)
            throws IOException {
        if (!period.open()) {
            // nothing changes there any more; an answer of 204 tells a browser not to ask again
            response.setStatus(204);
            return;
        }
        Streams.Listener listener =
                new Streams.Listener(shortened(page), browser(request), request.getRemoteAddr(), visitor.signIn());
        if (!streams.open(listener, heard, request, response)) {
            response.setStatus(429);
            response.setContentType("text/plain;charset=UTF-8");
            response.getOutputStream()
                    .print("Too many pages listen already. Load the page again to see what is new.\n");
        }
    }

    /** Whoever may no longer listen is told nothing more. */
    @TransactionalEventListener(fallbackExecution = true)
    void ended(SignInsEnded ended) {
        streams.end(ended.signIns());
    }

    private static String shortened(String page) {
        return page.length() > LONGEST_NAME ? page.substring(0, LONGEST_NAME) : page;
    }

    /** Cookies tell the browsers of one address apart; one without any is like every other without. */
    private static String browser(HttpServletRequest request) {
        return Stream.ofNullable(request.getCookies())
                .flatMap(Arrays::stream)
                .sorted(java.util.Comparator.comparing(Cookie::getName))
                .map(Cookie::getValue)
                .collect(Collectors.joining(" "));
    }

    /** On the hand that kept something no more than a note; all else is done by the streams' own. */
    @TransactionalEventListener(fallbackExecution = true)
    void added(Added added) {
        if (streams.any()) {
            String from = page();
            notes.execute(() -> tell(added, from));
        }
    }

    @PreDestroy
    void close() {
        notes.shutdownNow();
    }

    private static String page() {
        return RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                ? Optional.ofNullable(request.getRequest().getHeader(PAGE))
                        .map(Changes::shortened)
                        .orElse("")
                : "";
    }

    private void tell(Added added, String from) {
        try {
            if (added.of() == Added.Of.PROBE) {
                streams.pushed(added.id());
                return;
            }
            streams.changed(added.id(), from);
            if (added.of() == Added.Of.PERIOD) {
                periodBook
                        .find(added.id())
                        .ifPresent(
                                period -> periodBook.benches(period).forEach(each -> streams.changed(each.id(), from)));
                return;
            }
            Optional.ofNullable(periods.getIfPresent(added.id()))
                    .or(() -> period(added))
                    .ifPresent(period -> streams.changed(period, from));
        } catch (RuntimeException away) {
            LOG.warn("pages of a period were not told of a change", away);
        }
    }

    private Optional<UUID> period(Added added) {
        Optional<UUID> period = (added.of() == Added.Of.BENCH
                        ? periodBook.bench(added.id())
                        : entryBook.find(added.id()).map(Entry::bench))
                .map(each -> each.period().id());
        period.ifPresent(each -> periods.put(added.id(), each));
        return period;
    }
}
