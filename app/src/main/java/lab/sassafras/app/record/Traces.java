package lab.sassafras.app.record;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.persistence.EntityManager;
import jakarta.persistence.TypedQuery;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;

/** Readings on a clock: begun and added to, never changed. */
@Service
@Transactional
public class Traces {

    /**
     * Before a trace begins and after it ends a thermometer in the air is read for it, too. Common practice, no source.
     */
    static final Duration AROUND = Duration.ofMinutes(15);

    private static final Pattern IDENTITY = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    /** What is pushed is kept at once, with no more between than the statement. */
    private static final String PUSHED =
            "insert into trace_chunk (id, trace_id, seconds, temperatures, who_id, made_at) "
                    + "values (?, ?, ?, ?, ?, ?)";

    private final EntityManager entities;
    private final JdbcTemplate database;
    private final Persons persons;
    private final PeriodBook periodBook;
    private final Clock clock;
    private final DiskRoom room;
    private final int mostReadings;
    private final Duration longest;
    private final ApplicationEventPublisher events;
    /** Readings looked at lately: a page of a million of them would else read them anew at every visit. */
    private final Cache<Held, List<TraceChunk.Read>> held;

    /** How far traces go that are read now. */
    private final Cache<UUID, Ends> ends =
            Caffeine.newBuilder().maximumSize(10_000).build();

    /** A trace as of its latest row. */
    private record Held(UUID trace, String row) {}

    Traces(
            EntityManager entities,
            JdbcTemplate database,
            Persons persons,
            PeriodBook periodBook,
            Clock clock,
            DiskRoom room,
            HouseSettings settings,
            ApplicationEventPublisher events) {
        this.mostReadings = settings.limits().readings();
        this.longest = settings.limits().clock();
        this.held = Caffeine.newBuilder()
                .maximumWeight(mostReadings + 1L)
                .weigher((Held of, List<TraceChunk.Read> readings) -> 1 + readings.size())
                .build();
        this.persons = persons;
        this.entities = entities;
        this.database = database;
        this.periodBook = periodBook;
        this.clock = clock;
        this.room = room;
        this.events = events;
    }

    /** A clock is the one of a run, and a wait is waited for, no longer than this. */
    public Duration longest() {
        return longest;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /**
     * Begins a trace now.
     *
     * @param every how often it is read (s)
     */
    public Trace begin(UUID id, Bench bench, String channel, Optional<UUID> instrument, double every) {
        Trace known = entities.find(Trace.class, id);
        if (known != null) {
            return known;
        }
        room.check();
        Trace begun = new Trace(id, bench, Trace.Channel.of(channel), instrument, every, now(), null);
        entities.persist(begun);
        return begun;
    }

    /** A trace whose readings came from another program's file, begun at a known earlier moment. */
    public Trace bringIn(
            Bench bench,
            Trace.Channel channel,
            Optional<UUID> instrument,
            double every,
            Instant begun,
            List<TraceChunk.Given> readings) {
        return kept(new Trace(UUID.randomUUID(), bench, channel, instrument, every, begun, null), readings);
    }

    /** What the thermometer of the simulated bench showed, from when its clock began. */
    public Trace simulated(
            Bench bench, Optional<UUID> instrument, double every, Instant begun, List<TraceChunk.Given> readings) {
        return kept(
                new Trace(
                                UUID.randomUUID(),
                                bench,
                                Trace.Channel.ofFile("the simulated bench"),
                                instrument,
                                every,
                                begun,
                                null)
                        .simulation(),
                readings);
    }

    /**
     * A trace as a run file tells it, with what was read of the room meanwhile, which stays with it and is of no other
     * run.
     *
     * @param room temperatures (°C)
     */
    public Trace told(
            Bench bench,
            Trace.Channel channel,
            Optional<UUID> instrument,
            double every,
            Instant begun,
            List<TraceChunk.Given> readings,
            List<Double> room) {
        UUID id = UUID.randomUUID();
        Trace trace = kept(new Trace(id, bench, channel, instrument, every, begun, id), readings);
        for (Double each : room) {
            kept(
                    new Trace(UUID.randomUUID(), bench, Trace.Channel.of(Trace.ROOM), Optional.empty(), 1, begun, id),
                    List.of(TraceChunk.Given.typed(0, each, each.toString(), bench.identity())));
        }
        return trace;
    }

    /**
     * A stretch of what a probe pushes, begun at a moment.
     *
     * @param of         the probe, with the unit of what it measures
     * @param instrument of the shelf it reads on
     * @param every      how often it comes (s)
     */
    public Trace pushed(Bench bench, Trace.Channel of, Optional<UUID> instrument, double every, Instant begun) {
        Trace trace = new Trace(UUID.randomUUID(), bench, of, instrument, every, begun, null);
        Trace kept = kept(bench.simulated() ? trace.simulation() : trace, List.of());
        // what is pushed goes past all that is written at the end
        entities.flush();
        return kept;
    }

    /** Adds what a probe pushed to its bench, which was checked where it was read. */
    public void push(Trace trace, List<TraceChunk.Given> rows) {
        OffsetDateTime now = now().atOffset(ZoneOffset.UTC);
        for (TraceChunk.Given each : rows) {
            check(each);
            room.check();
            database.update(
                    PUSHED,
                    UUID.randomUUID(),
                    trace.id(),
                    boxed(each.seconds()),
                    boxed(each.temperatures()),
                    trace.benchId(),
                    now);
            ends(trace, each);
        }
        events.publishEvent(Added.byProbe(trace.benchId()));
    }

    private Trace kept(Trace trace, List<TraceChunk.Given> readings) {
        room.check();
        entities.persist(trace);
        readings.forEach(each -> kept(UUID.randomUUID(), trace, each));
        return trace;
    }

    @Transactional(readOnly = true)
    public Optional<Trace> find(UUID id) {
        return Optional.ofNullable(entities.find(Trace.class, id));
    }

    /** Keeps a reading of the room. */
    public void readRoom(UUID id, Bench bench, Optional<UUID> instrument, double temperature, String text) {
        if (entities.find(TraceChunk.class, id) == null) {
            Trace trace = begin(UUID.randomUUID(), bench, Trace.ROOM, instrument, 1);
            add(id, trace, TraceChunk.Given.typed(0, temperature, text, bench.identity()));
        }
    }

    /**
     * Readings of the room made in a period, in the order they were given; those that came with run files are not of
     * it.
     */
    @Transactional(readOnly = true)
    public List<TraceChunk.Read> room(Period period) {
        return roomOf(period)
                .setParameter("room", Trace.ROOM)
                .getResultStream()
                .flatMap(TraceChunk::readings)
                .toList();
    }

    private TypedQuery<TraceChunk> roomOf(Period period) {
        return entities.createQuery(
                        "select chunk from TraceChunk chunk join Trace trace on trace.id = chunk.traceId "
                                + "join Bench bench on bench.id = trace.benchId "
                                + "where trace.channel = :room and trace.broughtWith is null "
                                + "and bench.period.id = :period order by chunk.seq",
                        TraceChunk.class)
                .setParameter("period", period.id());
    }

    /**
     * Temperatures of the room that are of a trace (°C): read in its period while it ran, or a little before or after,
     * when a hand is free; for one that came with a run file, what came with it.
     *
     * @param last second of its last reading
     */
    @Transactional(readOnly = true)
    public List<Double> room(Period period, Trace of, double last) {
        Optional<UUID> brought = of.broughtWith();
        if (brought.isPresent()) {
            return temperatures(entities.createQuery(
                            "select chunk from TraceChunk chunk join Trace trace on trace.id = chunk.traceId "
                                    + "where trace.channel = :room and trace.broughtWith = :trace order by chunk.seq",
                            TraceChunk.class)
                    .setParameter("room", Trace.ROOM)
                    .setParameter("trace", brought.get())
                    .getResultList());
        }
        return temperatures(roomOf(period)
                .setParameter("room", Trace.ROOM)
                .getResultStream()
                .filter(each -> isOf(of, last, each.madeAt()))
                .toList());
    }

    /**
     * Whether what is read of the room at an instant is of a trace: never of one that came with a run file.
     *
     * @param last second of its last reading
     */
    public static boolean isOf(Trace of, double last, Instant at) {
        Instant end = of.at(last);
        return of.broughtWith().isEmpty() && !at.isBefore(of.begunAt().minus(AROUND)) && !at.isAfter(end.plus(AROUND));
    }

    private static List<Double> temperatures(List<TraceChunk> chunks) {
        return chunks.stream()
                .flatMap(TraceChunk::readings)
                .map(TraceChunk.Read::temperature)
                .toList();
    }

    /** Of a bench, newest first, those of the room aside. */
    @Transactional(readOnly = true)
    public List<Trace> of(Bench bench) {
        return entities.createQuery(
                        "from Trace where benchId = :bench and channel <> :room order by seq desc", Trace.class)
                .setParameter("bench", bench.id())
                .setParameter("room", Trace.ROOM)
                .getResultList();
    }

    /**
     * Adds readings. Given twice under the same identity they are kept once.
     *
     * @throws Refused where there are none or too many, one is no number, or something else was kept under that
     *     identity
     */
    public void add(UUID id, Trace trace, TraceChunk.Given given) {
        TraceChunk known = entities.find(TraceChunk.class, id);
        if (known != null) {
            if (!known.says(trace.id(), given)) {
                throw new Refused(
                        "Another reading was recorded under the same key. Load the page again and give it once more.");
            }
            return;
        }
        for (double each : given.temperatures()) {
            if (!Reading.canBe(each)) {
                throw new Refused(
                        "Nothing at a bench is that hot or that cold. Type what the thermometer shows, in °C.");
            }
        }
        if (ends(trace).many() + given.seconds().length > mostReadings) {
            throw new Refused("This record holds " + mostReadings
                    + " readings, and no more go in. Begin another clock; nothing that was recorded is lost.");
        }
        kept(id, trace, given);
    }

    /** What a run file tells is kept as it tells it: what can never have been is left aside where it is read. */
    private void kept(UUID id, Trace trace, TraceChunk.Given given) {
        UUID period = period(trace);
        added(
                id,
                trace,
                given,
                identity(given.who())
                        .flatMap(periodBook::bench)
                        .map(bench -> new Persons.By(bench.id(), bench.name()))
                        .orElseGet(() -> persons.in(period, given.who())),
                given.broughtBy().map(name -> persons.in(period, name)));
        events.publishEvent(Added.atBench(trace.benchId()));
    }

    private void added(UUID id, Trace trace, TraceChunk.Given given, Persons.By by, Optional<Persons.By> bringer) {
        check(given);
        room.check();
        entities.persist(new TraceChunk(id, trace.id(), given, by, bringer, now()));
        ends(trace, given);
    }

    private static Double[] boxed(double[] numbers) {
        return Arrays.stream(numbers).boxed().toArray(Double[]::new);
    }

    /** Where a trace ends now, unless what was added is not kept. */
    private void ends(Trace trace, TraceChunk.Given given) {
        ends.asMap().computeIfPresent(trace.id(), (same, before) -> before.with(given));
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCompletion(int status) {
                if (status != STATUS_COMMITTED) {
                    ends.invalidate(trace.id());
                }
            }
        });
    }

    private UUID period(Trace trace) {
        return periodBook.bench(trace.benchId()).orElseThrow().period().id();
    }

    /** An identity that is written out; empty for any other text. */
    static Optional<UUID> identity(String text) {
        return IDENTITY.matcher(text).matches() ? Optional.of(UUID.fromString(text)) : Optional.empty();
    }

    private static void check(TraceChunk.Given given) {
        int readings = given.seconds().length;
        if (readings == 0 || readings > TraceChunk.MOST || readings != given.temperatures().length) {
            throw new Refused("One to " + TraceChunk.MOST + " readings can be added at once.");
        }
        for (int i = 0; i < readings; i++) {
            if (!Double.isFinite(given.temperatures()[i])
                    || !(given.seconds()[i] >= 0 && given.seconds()[i] < Reading.LONGEST)) {
                throw new Refused("A reading has a time from the beginning of its clock and a temperature.");
            }
        }
    }

    /**
     * How far a trace goes.
     *
     * @param many readings it holds
     * @param last second of the last of them; 0 while there is none
     */
    public record Ends(long many, double last) {

        private Ends with(TraceChunk.Given given) {
            return new Ends(
                    many + given.seconds().length,
                    Math.max(last, Arrays.stream(given.seconds()).max().orElse(0)));
        }
    }

    /** How far a trace goes. Within a row readings stand in order of time, as a hand or a probe gives them. */
    @Transactional(readOnly = true)
    public Ends ends(Trace trace) {
        return ends.get(trace.id(), id -> {
            Object[] sums = (Object[]) entities.createNativeQuery(
                            "select coalesce(sum(cardinality(seconds)), 0), coalesce(max(seconds[cardinality(seconds)]), 0) "
                                    + "from trace_chunk where trace_id = :trace")
                    .setParameter("trace", id)
                    .getSingleResult();
            return new Ends(((Number) sums[0]).longValue(), ((Number) sums[1]).doubleValue());
        });
    }

    /** The readings of a trace that were added last, in order. */
    @Transactional(readOnly = true)
    public List<TraceChunk.Read> latest(Trace trace, int many) {
        List<TraceChunk> chunks = new ArrayList<>(
                entities.createQuery("from TraceChunk where traceId = :trace order by seq desc", TraceChunk.class)
                        .setParameter("trace", trace.id())
                        .setMaxResults(many)
                        .getResultList());
        Collections.reverse(chunks);
        List<TraceChunk.Read> readings =
                chunks.stream().flatMap(TraceChunk::readings).toList();
        return readings.subList(Math.max(0, readings.size() - many), readings.size());
    }

    /** Every reading of a trace, in order of time; of two at one instant the one given later comes later. */
    @Transactional(readOnly = true)
    public List<TraceChunk.Read> readings(UUID trace) {
        Object latest = entities.createNativeQuery("select max(seq) from trace_chunk where trace_id = :trace")
                .setParameter("trace", trace)
                .getSingleResult();
        return held.get(new Held(trace, String.valueOf(latest)), this::read);
    }

    private List<TraceChunk.Read> read(Held wanted) {
        return entities.createQuery("from TraceChunk where traceId = :trace order by seq", TraceChunk.class)
                .setParameter("trace", wanted.trace)
                .getResultStream()
                .peek(any -> TimeBudget.check())
                .flatMap(TraceChunk::readings)
                .sorted(Comparator.comparingDouble(TraceChunk.Read::seconds))
                .limit(mostReadings)
                .toList();
    }
}
