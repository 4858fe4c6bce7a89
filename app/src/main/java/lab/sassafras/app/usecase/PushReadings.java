package lab.sassafras.app.usecase;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import com.github.benmanes.caffeine.cache.Ticker;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.IntStream;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.probes.ProbeBatch;
import lab.sassafras.app.probes.ProbeStretch;
import lab.sassafras.app.probes.ProbeToken;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.probes.PushRate;
import lab.sassafras.app.probes.Rows;
import lab.sassafras.app.probes.TokenNow;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Hashes;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.curve.Reading;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Keeps what probes and balances push: always, before an entry is begun too. A batch is kept whole in one commit, once,
 * however often it is sent.
 */
@UseCase(needs = Right.ANYONE, serves = Bringer.PUSHING)
public class PushReadings {

    /** So far from this computer's clock the sender's is not believed (s). */
    private static final double AWAY = 2;
    /** Times are kept to a thousandth of a second, and one that is the same counts as no step back. */
    private static final double SAME = 5e-4;
    /** More stretches of one probe in a minute are two scripts that push as one. */
    private static final int MOST_STRETCHES = 4;

    /** Probes to a token. */
    private static final int MOST_PROBES_OF_ONE = 32;
    /** So many of the things to be known of a batch are told. */
    private static final int TOLD = 10;
    /** Nothing came for so long: what comes then is of another stretch (s). */
    private static final double PAUSE = 12 * 3600;
    /** Rows of one batch lie no further apart in one stretch, and a queue is no older (s). */
    private static final double LONGEST_RUN = 7 * 86_400;

    private static final int LOCKS = 64;
    private static final int MOST_PROBES = 10_000;

    private final Probes probes;
    private final Traces traces;
    private final int most;
    private final Together together;
    private final PushRate rate = new PushRate(Ticker.systemTicker());
    private final List<Object> locks =
            IntStream.range(0, LOCKS).mapToObj(any -> new Object()).toList();

    private final Cache<String, AtomicInteger> begun = Caffeine.newBuilder()
            .maximumSize(MOST_PROBES)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    PushReadings(Probes probes, Traces traces, HouseSettings settings, PlatformTransactionManager transactions) {
        this.probes = probes;
        this.traces = traces;
        this.most = settings.limits().readings();
        this.together = new Together(new TransactionTemplate(transactions));
    }

    /**
     * What came of a batch.
     *
     * @param kept    rows kept now
     * @param again   rows kept when it came before
     * @param refused rows that cannot be kept, and need not be sent again
     * @param said    what is to be known of those kept
     */
    public record Pushed(int kept, int again, Rows.Left refused, List<String> said) {}

    /**
     * Keeps a batch.
     *
     * @param secret it is pushed by
     * @param id     the sender made for it
     * @param csv    whether it is lines between commas, rather than an object a line
     * @param now    the sender's own clock as it sends (s); empty where it does not say
     * @param arrival when it began to arrive: a server that is slow to work on it anchors it no later
     * @throws NotPushed where nothing of it is kept
     */
    public Pushed take(String secret, UUID id, byte[] body, boolean csv, OptionalDouble now, Instant arrival) {
        String contents = Hashes.of((csv ? "csv " : "json ") + Hashes.of(body));
        // read while others are kept; whoever has no token hears only that
        Optional<Rows> read = read(body, csv);
        // of one token one batch after another, each of them asked and kept in one transaction
        synchronized (locks.get(Math.floorMod(secret.hashCode(), LOCKS))) {
            try {
                return together.keep(() -> {
                    TokenNow token = token(secret);
                    Optional<ProbeBatch> known = probes.batch(id);
                    return known.isPresent()
                            ? again(known.get(), token.token(), contents)
                            : kept(new Sending(token, id, contents, rows(token.token(), read), now, arrival));
                });
            } catch (Halfway halfway) {
                throw halfway.why;
            }
        }
    }

    /** Refused after something of the batch was written, which must not be kept. */
    private static final class Halfway extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final NotPushed why;

        Halfway(NotPushed why) {
            super(why);
            this.why = why;
        }
    }

    private TokenNow token(String secret) {
        TokenNow token = probes.token(secret)
                .orElseThrow(
                        () -> new NotPushed(401, "Nobody knows this token. Make one on the bench’s page of probes."));
        if (token.revoked()) {
            throw new NotPushed(403, "This token was revoked. Make another on the bench’s page of probes.");
        }
        if (token.state() != Period.State.OPEN && token.state() != Period.State.DRAFT) {
            throw new NotPushed(403, "The period of this token is over: nothing more is recorded in it.");
        }
        return token;
    }

    private Rows rows(ProbeToken token, Optional<Rows> read) {
        Rows rows = read.orElseThrow(
                () -> new NotPushed(413, "A batch holds at most " + Rows.MOST + " rows. Nothing of it was kept."));
        long after = rate.take(token.id(), rows.rows().size());
        if (after > 0) {
            throw new NotPushed(
                    429,
                    "More than " + PushRate.A_SECOND
                            + " rows a second come by this token. Nothing of this batch was "
                            + "kept; send it again a little later.",
                    after);
        }
        return rows;
    }

    /** Empty where it holds more than a batch may. */
    private static Optional<Rows> read(byte[] body, boolean csv) {
        try {
            return Optional.of(Rows.of(body, csv));
        } catch (Rows.TooMany many) {
            return Optional.empty();
        }
    }

    private static Pushed again(ProbeBatch known, ProbeToken token, String contents) {
        if (!known.same(token, contents)) {
            throw new NotPushed(
                    409, "Another batch was kept under this identity. Make a new one for each; nothing was kept.");
        }
        return new Pushed(0, known.rowsKept(), new Rows.Left(known.rowsRefused(), known.why()), known.said());
    }

    /** A batch on its way, and when it arrived. */
    private record Sending(TokenNow by, UUID id, String contents, Rows rows, OptionalDouble now, Instant arrival) {

        ProbeToken token() {
            return by.token();
        }
    }

    private Pushed kept(Sending sending) {
        Map<String, List<Rows.Row>> byProbe = byProbe(sending.rows.rows());
        Map<String, Stretch> open = new LinkedHashMap<>();
        sending.by.open().forEach(each -> open.put(each.stretch().probe(), new Stretch(each.stretch(), each.trace())));
        long all = byProbe.keySet().stream()
                        .filter(each -> !open.containsKey(each))
                        .count()
                + open.size();
        if (all > MOST_PROBES_OF_ONE) {
            throw new NotPushed(
                    409,
                    "More than " + MOST_PROBES_OF_ONE
                            + " probes push by this token. Give each one name and keep it; nothing "
                            + "of this batch was kept.");
        }
        List<String> said = new ArrayList<>();
        byProbe.forEach((probe, rows) -> keep(sending, probe, rows, Optional.ofNullable(open.get(probe)), said));
        List<String> told = List.copyOf(said.subList(0, Math.min(TOLD, said.size())));
        int kept = sending.rows.rows().size();
        probes.keep(sending.id, sending.token(), sending.contents, kept, sending.rows.refused(), told);
        return new Pushed(kept, 0, sending.rows.refused(), told);
    }

    /** By probe and what it measures, each in the order it came. */
    private static Map<String, List<Rows.Row>> byProbe(List<Rows.Row> rows) {
        Map<String, List<Rows.Row>> byProbe = new LinkedHashMap<>();
        List<Rows.Row> same = List.of();
        for (Rows.Row row : rows) {
            // mostly the next row is of the same
            if (same.isEmpty() || !same.get(0).sameProbe(row)) {
                same = byProbe.computeIfAbsent(row.probe() + " " + row.unit().symbol(), any -> new ArrayList<>());
            }
            same.add(row);
        }
        return byProbe;
    }

    /** Keeps the rows of one probe, in one stretch or in as many as its clock makes. */
    private void keep(Sending sending, String probe, List<Rows.Row> rows, Optional<Stretch> before, List<String> said) {
        Optional<Stretch> open = before;
        int from = 0;
        while (from < rows.size()) {
            int to = forward(rows, from);
            List<Rows.Row> run = rows.subList(from, to);
            Optional<String> why = open.isEmpty() ? Optional.of("") : open.get().breaks(run, sending);
            if (why.isPresent()) {
                open = Optional.of(begin(sending, probe, run, why.get(), said));
            }
            open.orElseThrow().add(run, sending.token().bench());
            from = to;
        }
    }

    /** Where rows stop running forward in time. */
    private static int forward(List<Rows.Row> rows, int from) {
        double first = rows.get(from).t();
        double last = first;
        int to = from + 1;
        while (to < rows.size()) {
            double next = rows.get(to).t();
            if (next < last - SAME || next - last > PAUSE || next - first > LONGEST_RUN) {
                break;
            }
            last = next;
            to++;
        }
        return to;
    }

    private Stretch begin(Sending sending, String probe, List<Rows.Row> run, String why, List<String> said) {
        String called = run.get(0).probe();
        AtomicInteger many = begun.get(sending.token().id() + " " + probe, any -> new AtomicInteger());
        if (many.incrementAndGet() > MOST_STRETCHES) {
            throw new Halfway(new NotPushed(
                    409,
                    "The clock of “" + called
                            + "” goes to and fro: two scripts push as one probe, perhaps. Give each its "
                            + "own name. Nothing of this batch was kept.",
                    60));
        }
        if (!why.isEmpty()) {
            said.add(called + ": " + why + ", so a new stretch begins");
        }
        double first = run.get(0).t();
        double newest = run.get(run.size() - 1).t();
        // the newest row was read as the sender says, or else as it arrived
        double late = sending.now.isPresent() ? sending.now.getAsDouble() - newest : 0;
        double ago = Math.max(0, Math.min(LONGEST_RUN, late)) + newest - first;
        Instant at = sending.arrival.minusMillis((long) (1000 * ago)).truncatedTo(ChronoUnit.MILLIS);
        Trace trace = traces.pushed(
                sending.token().bench(),
                new Trace.Channel(Trace.PROBE, called, run.get(0).unit().symbol()),
                sending.by().instrument(probe),
                every(run),
                at);
        return new Stretch(probes.begin(trace.id(), sending.token(), probe, first, why), trace);
    }

    private static double every(List<Rows.Row> run) {
        double step =
                run.size() < 2 ? 1 : (run.get(run.size() - 1).t() - run.get(0).t()) / (run.size() - 1);
        return Math.max(0.001, Math.rint(step * 1000) / 1000);
    }

    /** A stretch that rows are added to. */
    private final class Stretch {

        private final ProbeStretch kept;
        private final Trace trace;

        Stretch(ProbeStretch kept, Trace trace) {
            this.kept = kept;
            this.trace = trace;
        }

        /** Why rows cannot be of it; empty where they can. */
        Optional<String> breaks(List<Rows.Row> run, Sending sending) {
            double from = run.get(0).t() - kept.clientStart();
            double to = run.get(run.size() - 1).t() - kept.clientStart();
            double last = traces.ends(trace).last();
            if (!sending.by().instrument(kept.probe()).equals(trace.instrumentId())) {
                return Optional.of("it reads on another instrument now");
            }
            if (from < last - SAME) {
                return Optional.of("its clock ran backwards");
            }
            if (from - last > PAUSE) {
                return Optional.of("nothing came for half a day");
            }
            double here = Duration.between(trace.begunAt(), sending.arrival()).toMillis() / 1000.0;
            double there = sending.now().isPresent() ? sending.now().getAsDouble() - kept.clientStart() : here;
            if (to > here + AWAY || Math.abs(there - here) > AWAY) {
                return Optional.of("its clock went away from this computer’s");
            }
            return traces.ends(trace).many() + run.size() > most || to >= Reading.LONGEST
                    ? Optional.of("the stretch before is full")
                    : Optional.empty();
        }

        void add(List<Rows.Row> run, Bench bench) {
            List<Reading> readings = run.stream()
                    .map(each -> new Reading(
                            Math.max(0, Math.rint((each.t() - kept.clientStart()) * 1000) / 1000), each.value()))
                    .toList();
            traces.push(trace, TraceChunk.Given.inPieces(readings, bench.identity()));
        }
    }
}
