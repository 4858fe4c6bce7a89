package lab.sassafras.app.bench;

import jakarta.annotation.PreDestroy;
import jakarta.servlet.AsyncContext;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.context.event.ContextClosedEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Streams that pages hold open. Each has one pending set of regions, which cannot grow; it is written by a thread of
 * the streams' own, never by a hand that keeps something, and never waits: where a client takes nothing, the rest is
 * written once it does, or its stream is ended after two seconds. How many there may be is bounded for a browser, for
 * an address and in all.
 */
@Component
class Streams {

    /** Streams at once: a browser has six connections for all its pages. */
    static final int OF_A_BROWSER = 8;

    static final int OF_AN_ADDRESS = 256;
    static final int IN_ALL = 512;
    /** A stream that says nothing for so long says that it is still there. */
    static final Duration HEARTBEAT = Duration.ofSeconds(15);
    /** A client that takes nothing for so long is gone. */
    static final Duration PATIENCE = Duration.ofSeconds(2);
    /** What pushes is shown at most so often: four frames a second. */
    static final Duration FRAME = Duration.ofMillis(250);
    /**
     * What comes soon after a frame waits at most so long for what comes next: with ten readings a second the third is
     * in it, and none waits for the frame after.
     */
    static final Duration GATHERED = Duration.ofMillis(226);
    /** A region is told at most so often. */
    static final Duration AT_MOST_EVERY = FRAME;

    private static final long TICK = 100;
    private static final int READERS = 2;

    private final Duration heartbeat;
    private final Map<UUID, Set<PageStream>> byTopic = new HashMap<>();
    private final Map<String, Integer> many = new HashMap<>();
    private final Set<PageStream> all = new HashSet<>();
    private boolean closed;
    private final ScheduledExecutorService writer = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "streams");
        thread.setDaemon(true);
        return thread;
    });

    /** What frames show is read by others than who writes them: no stream waits for another's. */
    private final ExecutorService readers = Executors.newFixedThreadPool(READERS, work -> {
        Thread thread = new Thread(work, "frames");
        thread.setDaemon(true);
        return thread;
    });

    private final Future<?> looking;

    Streams() {
        this(HEARTBEAT);
    }

    Streams(Duration heartbeat) {
        this.heartbeat = heartbeat;
        looking = writer.scheduleWithFixedDelay(this::lookAfterAll, TICK, TICK, TimeUnit.MILLISECONDS);
    }

    /**
     * Who listens.
     *
     * @param page    what the page calls the tab it is in; what it wrote itself does not come back to it
     * @param browser whatever tells browsers of one address apart
     * @param address it comes from
     * @param signIn  it came in by
     */
    record Listener(String page, String browser, String address, Optional<UUID> signIn) {

        boolean tab(Listener other) {
            return !page.isEmpty() && page.equals(other.page) && sameBrowser(other);
        }

        boolean sameBrowser(Listener other) {
            return browser.equals(other.browser) && address.equals(other.address);
        }

        List<String> counted() {
            return List.of("", "address " + address, "browser " + address + " " + browser);
        }
    }

    /** What a page is sent of what pushes: each asked once the one before it was written, so that none pile up. */
    interface Frames {

        /** {@return what came since the last of them; empty where nothing did} */
        Optional<Frame> next();
    }

    /**
     * One of them.
     *
     * @param id   a page that comes back says which it had last
     * @param kind of event
     * @param data on one line
     */
    record Frame(long id, String kind, String data) {

        String written() {
            return "id:" + id + "\nevent:" + kind + "\ndata:" + data + "\n\n";
        }
    }

    /**
     * What a page listens to.
     *
     * @param topics what it is told of
     * @param region which region of its page that is
     * @param behind whether something changed since it was rendered
     * @param frames what it is sent of what pushes; empty where it is told only that something did
     */
    record Heard(Set<UUID> topics, String region, boolean behind, Optional<Frames> frames) {}

    /**
     * Opens a stream; false and nothing begun where there are too many already.
     */
    boolean open(Listener listener, Heard heard, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        PageStream stream = new PageStream(this, listener, heard);
        // a browser does not say that a page was left, but which page came in its place in the same tab
        everyOne().stream().filter(each -> each.listener().tab(listener)).forEach(PageStream::end);
        // nor that a tab went out of sight: what nobody takes any more fails when it is written to
        everyOne().stream()
                .filter(each -> each.listener().sameBrowser(listener))
                .forEach(PageStream::poke);
        if (!counted(stream)) {
            return false;
        }
        try {
            response.setContentType("text/event-stream;charset=UTF-8");
            response.setHeader("Cache-Control", "no-store");
            AsyncContext async = request.startAsync();
            async.setTimeout(0);
            stream.begin(async, response.getOutputStream());
        } catch (IOException | RuntimeException failed) {
            stream.end();
            throw failed;
        }
        if (heard.behind()) {
            stream.pend(heard.region());
        }
        stream.freshen();
        return true;
    }

    private synchronized boolean counted(PageStream stream) {
        List<String> keys = stream.listener().counted();
        int[] most = {IN_ALL, OF_AN_ADDRESS, OF_A_BROWSER};
        for (int i = 0; i < most.length; i++) {
            if (closed || many.getOrDefault(keys.get(i), 0) >= most[i]) {
                return false;
            }
        }
        keys.forEach(each -> many.merge(each, 1, Integer::sum));
        all.add(stream);
        stream.heard()
                .topics()
                .forEach(each ->
                        byTopic.computeIfAbsent(each, any -> new HashSet<>()).add(stream));
        return true;
    }

    synchronized void forget(PageStream stream) {
        if (all.remove(stream)) {
            stream.listener().counted().forEach(each -> many.computeIfPresent(each, (any, n) -> n > 1 ? n - 1 : null));
            stream.heard()
                    .topics()
                    .forEach(each -> byTopic.computeIfPresent(each, (any, streams) -> {
                        streams.remove(stream);
                        return streams.isEmpty() ? null : streams;
                    }));
        }
    }

    /** Whether anybody listens at all. */
    synchronized boolean any() {
        return !all.isEmpty();
    }

    synchronized int size() {
        return all.size();
    }

    /** How many topics are held: as many as are listened to. */
    synchronized int topics() {
        return byTopic.size();
    }

    private synchronized List<PageStream> of(UUID topic) {
        return new ArrayList<>(byTopic.getOrDefault(topic, Set.of()));
    }

    private synchronized List<PageStream> everyOne() {
        return new ArrayList<>(all);
    }

    void later(Runnable work) {
        if (!writer.isShutdown()) {
            writer.execute(work);
        }
    }

    /** Has what a frame shows read by a thread of its own, after a while (ns). */
    Future<?> readLater(Runnable reading, long wait) {
        return writer.schedule(() -> readers.execute(reading), wait, TimeUnit.NANOSECONDS);
    }

    boolean isClosed() {
        return writer.isShutdown();
    }

    Duration heartbeat() {
        return heartbeat;
    }

    /** Tells all who listen to a topic, but the page it came from. */
    void changed(UUID topic, String from) {
        for (PageStream each : of(topic)) {
            if (from.isEmpty() || !from.equals(each.listener().page())) {
                each.pend(each.heard().region());
            }
        }
    }

    /** Tells all who listen to a bench that something was pushed to it. */
    void pushed(UUID bench) {
        for (PageStream each : of(bench)) {
            if (each.heard().frames().isPresent()) {
                each.freshen();
            } else {
                each.pend(each.heard().region());
            }
        }
    }

    /** Ends the streams of those who may no longer listen. */
    void end(Set<UUID> signIns) {
        everyOne().stream()
                .filter(each ->
                        each.listener().signIn().filter(signIns::contains).isPresent())
                .forEach(PageStream::end);
    }

    private void lookAfterAll() {
        everyOne().forEach(PageStream::lookAfter);
    }

    /** Before the server stops, so that it need not wait for pages that only listen. */
    @EventListener(ContextClosedEvent.class)
    @PreDestroy
    void close() {
        synchronized (this) {
            closed = true;
        }
        everyOne().forEach(PageStream::end);
        looking.cancel(false);
        readers.shutdown();
        writer.shutdown();
    }
}
