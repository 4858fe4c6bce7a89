package lab.sassafras.app.bench;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Iterator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Future;
import org.jspecify.annotations.Nullable;

/** One page that listens, as {@link Streams} hold it. */
final class PageStream implements WriteListener, AsyncListener {

    private final Streams house;
    private final Streams.Listener listener;
    private final Streams.Heard heard;
    private final Set<String> pending = new HashSet<>();
    private final Map<String, Long> told = new LinkedHashMap<>();
    private AsyncContext async;
    private ServletOutputStream out;
    private boolean greeted;
    private long lastWritten = System.nanoTime();
    private long blockedSince;
    private boolean ended;
    /** Whether something came that no frame shows yet, and since when. */
    private boolean stale;

    private long staleSince;
    private long newest;
    /** Whether a frame is waited for, to be read or to be due. */
    private boolean reading;

    private @Nullable String frame;
    private @Nullable Future<?> due;
    private long lastFrame = System.nanoTime() - Streams.FRAME.toNanos();

    @SuppressWarnings("NullAway.Init")
    PageStream(Streams house, Streams.Listener listener, Streams.Heard heard) {
        this.house = house;
        this.listener = listener;
        this.heard = heard;
    }

    /** Something came that a frame should show. */
    void freshen() {
        if (heard.frames().isPresent()) {
            synchronized (this) {
                newest = System.nanoTime();
                staleSince = stale ? staleSince : newest;
                stale = true;
                // what a frame waited for is here
                if (due != null && dueAt(lastFrame, staleSince, newest) <= newest && due.cancel(false)) {
                    reading = false;
                }
            }
            house.later(this::askFrame);
        }
    }

    /** Has the next frame read, once the last was written and it is due. */
    private void askFrame() {
        synchronized (this) {
            if (ended || !stale || reading || frame != null || house.isClosed()) {
                return;
            }
            reading = true;
            long at = dueAt(lastFrame, staleSince, newest);
            due = house.readLater(this::readFrame, Math.max(0, at - System.nanoTime()));
        }
    }

    /**
     * {@return when a frame is due: at once where the last was long ago; else no sooner than a quarter of a second
     * after it, and with what comes next, unless that is not soon after the first it shows} All on one clock (ns).
     *
     * @param last   when the last was written
     * @param first  when the first came that it shows
     * @param newest when the newest came
     */
    static long dueAt(long last, long first, long newest) {
        long soonest = last + Streams.FRAME.toNanos();
        return soonest - newest <= 0 ? newest : Math.max(soonest, first + Streams.GATHERED.toNanos());
    }

    private void readFrame() {
        synchronized (this) {
            stale = false;
        }
        try {
            Optional<Streams.Frame> next = heard.frames().orElseThrow().next();
            synchronized (this) {
                reading = false;
                frame = next.map(Streams.Frame::written).orElse(null);
            }
            house.later(this::write);
            house.later(this::askFrame);
        } catch (RuntimeException failed) {
            // the browser asks again, and says what it had last
            end();
        }
    }

    void begin(AsyncContext context, ServletOutputStream stream) {
        synchronized (this) {
            async = context;
            out = stream;
        }
        context.addListener(this);
        stream.setWriteListener(this);
    }

    void pend(String what) {
        synchronized (this) {
            pending.add(what);
        }
        house.later(this::write);
    }

    /** Says that it is still there, now. */
    void poke() {
        synchronized (this) {
            lastWritten = System.nanoTime() - house.heartbeat().toNanos() - 1;
        }
        house.later(this::write);
    }

    /**
     * Told from time to time: what waited its second is written, a long silence broken, one that takes nothing
     * ended.
     */
    void lookAfter() {
        boolean stuck;
        synchronized (this) {
            stuck = blockedSince != 0 && System.nanoTime() - blockedSince > Streams.PATIENCE.toNanos();
        }
        if (stuck) {
            end();
        } else {
            write();
        }
    }

    private void write() {
        boolean broken = false;
        synchronized (this) {
            try {
                if (greeted && !ended) {
                    write(System.nanoTime());
                }
            } catch (IOException | RuntimeException gone) {
                broken = true;
            }
        }
        if (broken) {
            end();
        }
    }

    private void write(long now) throws IOException {
        boolean silent = now - lastWritten > house.heartbeat().toNanos();
        if (pending.isEmpty() && frame == null && !silent && blockedSince == 0) {
            return;
        }
        if (!out.isReady()) {
            blockedSince = blockedSince == 0 ? now : blockedSince;
            return;
        }
        blockedSince = 0;
        StringBuilder text = new StringBuilder();
        for (Iterator<String> each = pending.iterator(); each.hasNext(); ) {
            String name = each.next();
            Long last = told.get(name);
            if (last == null || now - last >= Streams.AT_MOST_EVERY.toNanos()) {
                text.append("event:changed\ndata:").append(name).append("\n\n");
                told.put(name, now);
                each.remove();
            }
        }
        if (frame != null) {
            text.append(frame);
            frame = null;
            lastFrame = now;
            house.later(this::askFrame);
        }
        if (text.isEmpty() && silent) {
            text.append(":\n\n");
        }
        if (!text.isEmpty()) {
            out.write(text.toString().getBytes(StandardCharsets.UTF_8));
            lastWritten = now;
            if (out.isReady()) {
                out.flush();
            } else {
                blockedSince = now;
            }
        }
    }

    void end() {
        AsyncContext context;
        synchronized (this) {
            if (ended) {
                return;
            }
            ended = true;
            context = async;
            if (due != null) {
                due.cancel(false);
            }
        }
        house.forget(this);
        if (context != null) {
            try {
                context.complete();
            } catch (IllegalStateException over) {
                // the container ended it first
            }
        }
    }

    @Override
    public void onWritePossible() throws IOException {
        synchronized (this) {
            if (!greeted) {
                greeted = true;
                out.write(":open\n\n".getBytes(StandardCharsets.UTF_8));
                if (out.isReady()) {
                    out.flush();
                }
            }
            blockedSince = 0;
        }
        house.later(this::write);
    }

    @Override
    public void onError(Throwable failure) {
        end();
    }

    @Override
    public void onComplete(AsyncEvent event) {
        synchronized (this) {
            ended = true;
        }
        house.forget(this);
    }

    @Override
    public void onTimeout(AsyncEvent event) {
        end();
    }

    @Override
    public void onError(AsyncEvent event) {
        end();
    }

    @Override
    public void onStartAsync(AsyncEvent event) {
        // begun once
    }

    Streams.Listener listener() {
        return listener;
    }

    Streams.Heard heard() {
        return heard;
    }
}
