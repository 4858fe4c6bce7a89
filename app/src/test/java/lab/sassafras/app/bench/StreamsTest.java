package lab.sassafras.app.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.timeout;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.BooleanSupplier;
import java.util.stream.LongStream;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.measure.Figures;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;

/** Streams beside clients that take everything, take nothing, or open too many; no container is asked. */
@Tag("long")
class StreamsTest {

    private static final UUID TOPIC = UUID.randomUUID();

    private static final Streams.Heard HEARD = new Streams.Heard(Set.of(TOPIC), "sheet", false, Optional.empty());

    private final Streams streams = new Streams(Duration.ofMillis(300));

    @AfterEach
    void close() {
        streams.close();
    }

    /** A client at the other end of a stream. */
    private static final class Client extends ServletOutputStream {

        private final StringBuffer told = new StringBuffer();
        private final AsyncContext async = mock(AsyncContext.class);
        private volatile boolean awake = true;

        @Override
        public boolean isReady() {
            return awake;
        }

        @Override
        public void setWriteListener(WriteListener listener) {
            try {
                listener.onWritePossible();
            } catch (IOException never) {
                throw new IllegalStateException(never);
            }
        }

        @Override
        public void write(int one) {
            told.append((char) one);
        }

        int times(String what) {
            return told.toString().split(what, -1).length - 1;
        }
    }

    private boolean open(Client client, Streams.Listener listener, boolean behind) {
        return open(client, listener, behind, null);
    }

    private boolean open(Client client, Streams.Listener listener, boolean behind, Streams.@Nullable Frames frames) {
        try {
            HttpServletRequest request = mock(HttpServletRequest.class);
            when(request.startAsync()).thenReturn(client.async);
            HttpServletResponse response = mock(HttpServletResponse.class);
            when(response.getOutputStream()).thenReturn(client);
            return streams.open(
                    listener,
                    new Streams.Heard(Set.of(TOPIC), "sheet", behind, Optional.ofNullable(frames)),
                    request,
                    response);
        } catch (IOException never) {
            throw new IllegalStateException(never);
        }
    }

    private static Streams.Listener listener(String page, int browser, int address) {
        return new Streams.Listener(page, "b" + browser, "10.0.0." + address, Optional.empty());
    }

    private static void within(long milliseconds, BooleanSupplier what) throws InterruptedException {
        long until = System.nanoTime() + milliseconds * 1_000_000;
        while (!what.getAsBoolean() && System.nanoTime() < until) {
            Thread.sleep(10);
        }
        assertThat(what.getAsBoolean()).isTrue();
    }

    /**
     * A hundred changes in a moment are told twice: at once, and what came since a second later. Its own never come
     * back.
     */
    @Test
    void aRegionIsToldAtOnceAndThenAtMostOnceASecond() throws InterruptedException {
        Client one = new Client();
        Client own = new Client();
        open(one, listener("one", 1, 1), false);
        open(own, listener("own", 2, 1), false);
        for (int i = 0; i < 100; i++) {
            streams.changed(TOPIC, "own");
        }
        within(500, () -> one.times("event:changed\ndata:sheet") == 1);
        streams.changed(TOPIC, "");
        within(2000, () -> one.times("event:changed") == 2 && own.times("event:changed") == 1);
        Thread.sleep(1200);
        assertThat(one.times("event:changed")).isEqualTo(2);
    }

    @Test
    void aPageThatIsBehindIsToldAsItOpensAndASilentOneIsKeptAwake() throws InterruptedException {
        Client behind = new Client();
        open(behind, listener("p", 1, 1), true);
        within(500, () -> behind.times("event:changed") == 1);
        within(1500, () -> behind.times("\n:\n\n") + behind.times("^:\n\n") >= 1);
    }

    /** One that takes nothing is ended after two seconds, not before and not never; the others are told meanwhile. */
    @Test
    void aClientThatSleepsHoldsUpNobody() throws InterruptedException {
        Client asleep = new Client();
        Client awake = new Client();
        open(asleep, listener("a", 1, 1), false);
        open(awake, listener("b", 2, 1), false);
        asleep.awake = false;
        streams.changed(TOPIC, "");
        within(500, () -> awake.times("event:changed") == 1);
        Thread.sleep(1200);
        assertThat(streams.size()).isEqualTo(2);
        within(2000, () -> streams.size() == 1);
        verify(asleep.async, timeout(1000)).complete();
    }

    @Test
    void thereAreAtMostEightOfABrowserAndSoManyOfAnAddressAndInAll() throws IOException {
        for (int i = 0; i < 8; i++) {
            assertThat(open(new Client(), listener("p" + i, 1, 1), false)).isTrue();
        }
        assertThat(open(new Client(), listener("ninth", 1, 1), false)).isFalse();
        int opened = 8;
        for (int address = 1; address <= 3; address++) {
            while (open(new Client(), listener("p", opened, address), false)) {
                opened++;
            }
            assertThat(opened).isEqualTo(Math.min(256 * address, 512));
        }
        assertThat(streams.topics()).isEqualTo(1);
        streams.close();
        assertThat(streams.size()).isZero();
        assertThat(streams.topics()).isZero();
        assertThat(open(new Client(), listener("late", 1, 9), false)).isFalse();
    }

    /**
     * Twenty pages one after another in one tab: each takes the place of the one before, which nobody said goodbye for.
     */
    @Test
    void thePageATabGoesOnToTakesThePlaceOfTheOneBefore() {
        Client first = new Client();
        open(first, listener("tab", 1, 1), false);
        for (int i = 0; i < 20; i++) {
            assertThat(open(new Client(), listener("tab", 1, 1), false)).isTrue();
        }
        verify(first.async).complete();
        open(new Client(), listener("tab", 2, 1), false);
        open(new Client(), listener("another", 1, 1), false);
        assertThat(streams.size()).isEqualTo(3);
    }

    @Test
    void whatTheContainerCannotBeginIsForgotten() throws IOException {
        HttpServletRequest request = mock(HttpServletRequest.class);
        when(request.startAsync()).thenThrow(new IllegalStateException("no"));
        HttpServletResponse response = mock(HttpServletResponse.class);
        try {
            streams.open(listener("p", 1, 1), HEARD, request, response);
        } catch (IllegalStateException expected) {
            verify(response).setContentType(any());
        }
        assertThat(streams.size()).isZero();
    }

    /** Frames that tell how often they were asked. */
    private static Streams.Frames counting(AtomicInteger asked) {
        return () -> Optional.of(new Streams.Frame(asked.incrementAndGet(), "points", "{}"));
    }

    /** A page is sent four frames a second; for one that sleeps none is read, and none waits for another. */
    @Test
    void framesComeFourASecondAndPileUpForNobody() throws InterruptedException {
        AtomicInteger asked = new AtomicInteger();
        AtomicInteger asleepAsked = new AtomicInteger();
        Client awake = new Client();
        Client asleep = new Client();
        Client slow = new Client();
        open(awake, listener("a", 1, 1), false, counting(asked));
        open(slow, listener("s", 2, 1), false, () -> {
            try {
                Thread.sleep(1_500);
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
            }
            return Optional.empty();
        });
        open(asleep, listener("z", 3, 1), false, counting(asleepAsked));
        within(1_000, () -> asleep.times("event:points") == 1);
        asleep.awake = false;
        long began = System.nanoTime();
        for (int i = 0; i < 100; i++) {
            streams.pushed(TOPIC);
            Thread.sleep(10);
        }
        double seconds = (System.nanoTime() - began) / 1e9;
        within(1_000, () -> awake.times("event:points") >= 4);
        assertThat(awake.times("event:points")).isLessThanOrEqualTo((int) (4 * seconds) + 3);
        assertThat(awake.told.toString()).contains("id:1\n", "id:2\n", "id:3\n");
        assertThat(asleepAsked.get())
                .as("the next is read once the one before was written")
                .isLessThanOrEqualTo(2);
    }

    /**
     * Of ten readings a second, each up to 12 ms early or late, none waits for its frame as long as frames lie apart;
     * slower ones are shown at once.
     */
    @Test
    void ofTenReadingsASecondNoneWaitsAQuarterOfASecondForItsFrame() {
        long millisecond = 1_000_000;
        Random random = new Random(23);
        long[] came = LongStream.range(0, 10_000)
                .map(i -> (long) ((100.0 * i + random.nextDouble(-12, 12)) * millisecond))
                .toArray();
        long frame = -1_000 * millisecond;
        long longest = 0;
        long closest = Long.MAX_VALUE;
        for (int i = 0; i < came.length; ) {
            long first = came[i];
            long due = PageStream.dueAt(frame, first, first);
            // whatever comes meanwhile may be what it waits for
            for (i++; i < came.length && came[i] <= due; i++) {
                due = Math.min(due, PageStream.dueAt(frame, first, came[i]));
            }
            closest = Math.min(closest, due - frame);
            longest = Math.max(longest, due - first);
            frame = due;
        }
        assertThat(longest / 1e6).isBetween(200.0, 230.0);
        assertThat(closest / 1e6).isGreaterThanOrEqualTo(250);
        assertThat(PageStream.dueAt(0, 500 * millisecond, 500 * millisecond)).isEqualTo(500 * millisecond);
        assertThat(PageStream.dueAt(0, 100 * millisecond, 100 * millisecond))
                .as("nothing follows it")
                .isEqualTo(326 * millisecond);
    }

    /** It lags behind for good, or its picture does not hold what came: reading on for it would be work for nobody. */
    @Test
    void forAPageThatIsToReadItselfAnewNothingMoreIsRead() {
        Arrivals arrivals = mock();
        LiveFrames frames =
                new LiveFrames(arrivals, new LiveFrames.Page(TOPIC, mock(), false, 1, 1, Map.of()), 0, Figures.POINT);
        assertThat(frames.next().map(Streams.Frame::kind)).hasValue("anew");
        assertThat(frames.next()).isEmpty();
        verify(arrivals, times(1)).pushed(TOPIC);
    }
}
