package lab.sassafras.app.record;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * How much is in the book now, asked in one short question, so that what was worked out before can be known to hold
 * still.
 */
@Component
public class Revisions {

    /** Readings on a clock of a bench, those of the room and what probes push aside. */
    private static final String OF_BENCH = "select count(*) from trace join trace_chunk on trace_id = trace.id "
            + "where trace.bench_id = bench.id and trace.channel not in ('room', 'probe')";

    /** Until which second of it a trial is read from a trace, out of the text that says so. */
    private static final String UNTIL =
            "cast(regexp_substr(taken.text, ' to ([0-9.]+)', 1, 1, null, 1) as double precision)";

    /**
     * Of what a probe pushes, only what an entry is read from, and that only until the last second it is read to: what
     * is pushed afterwards makes no result stale. A stretch runs forward, so that nothing comes before what came.
     */
    private static final String OF_PROBES = "select coalesce(sum(case when (select seconds[1] from trace_chunk "
            + "where trace_id = trace.id order by seq desc fetch first row only) > " + UNTIL + " then 1000000000 "
            + "else (select count(*) from trace_chunk where trace_id = trace.id) end), 0) "
            + "from observation taken join trace on taken.text like trace.id || ' from %' "
            + "where taken.entry_id = entry.id and trace.bench_id = bench.id and trace.channel = 'probe' "
            + "and not exists (select 1 from strike where observation = taken.id)";

    /** Where the probes of a bench stand: one in the room is read for it. */
    private static final String OF_PLACES = "select count(*) from probe_place join probe_token on probe_token.id = "
            + "probe_place.token_id where probe_token.bench_id = bench.id";

    /** Readings of the room in a period. */
    private static final String OF_ROOM = "select count(*) from trace join trace_chunk on trace_id = trace.id "
            + "join bench source on source.id = trace.bench_id "
            + "where trace.channel = 'room' and source.period_id = %s";

    private static final String SCHOOLS = "coalesce((select listagg(question || '=' || school, ' ') "
            + "within group (order by question) from period_school where period_id = %s), '')";

    private static final String NAME = "(select n.name from person_name n where n.person_id = bench.id and n.seq = "
            + "(select max(m.seq) from person_name m where m.person_id = bench.id))";

    /** What a bench is called and what its period goes by. */
    private static final String AROUND = NAME + " || ' ' || " + SCHOOLS.formatted("bench.period_id");

    /** Counted entry by entry, over the indexes: in one join of all tables a thousand benches take a second. */
    private static final String COUNTED = "(select count(*) from observation where entry_id = entry.id), "
            + "(select count(*) from decision where entry_id = entry.id), "
            + "(select count(*) from opened where entry_id = entry.id) "
            + "+ (select count(*) from instrument_in_hand where entry_id = entry.id) "
            + "+ (select count(*) from note where entry_id = entry.id), ("
            + OF_BENCH + ") + (" + OF_PROBES + ") + (" + OF_PLACES + ")";

    private static final String ENTRIES = " from bench join entry on entry.bench_id = bench.id where ";

    private static final String OF_SHELF = "(select count(*) from vessel), (select count(*) from instrument), "
            + "(select count(*) from calibration), (select count(*) from decision where entry_id is null), "
            + "(select count(*) from own_substance) + (select count(*) from own_reference)";

    private static final String OF_ONE = "select " + COUNTED + " + (" + OF_ROOM.formatted("bench.period_id") + "), "
            + AROUND + ", " + OF_SHELF + ENTRIES + "entry.id = ?";

    private static final String OF_PERIOD =
            "select entry.id, " + COUNTED + ", " + NAME + ENTRIES + "bench.period_id = ?";

    private final JdbcTemplate database;

    Revisions(JdbcTemplate database) {
        this.database = database;
    }

    /** What stands on the shelf: vessels, instruments, constants and the decisions over them, counted. */
    public record Shelf(long vessels, long instruments, long calibrations, long decisions, long own) {}

    /** An entry and the shelf at one moment. */
    public record Now(Revision entry, Shelf shelf) {}

    /** The stamp of one entry, with the shelf's. */
    public Now of(UUID entry) {
        return database.queryForObject(
                OF_ONE,
                (row, any) -> new Now(
                        new Revision(
                                entry,
                                row.getLong(1),
                                row.getLong(2),
                                row.getLong(3),
                                row.getLong(4),
                                row.getString(5)),
                        new Shelf(row.getLong(6), row.getLong(7), row.getLong(8), row.getLong(9), row.getLong(10))),
                entry);
    }

    public Shelf shelf() {
        return database.queryForObject(
                "select " + OF_SHELF,
                (row, any) ->
                        new Shelf(row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4), row.getLong(5)));
    }

    /** Stamps of other entries, in the order named. */
    public List<Revision> of(Collection<UUID> entries) {
        return entries.stream().map(each -> of(each).entry()).toList();
    }

    /** How much was kept of a period in all: it only grows. */
    public long number(Period period) {
        return of(period).values().stream().mapToLong(Revision::number).sum();
    }

    /** Stamps of every entry of a period. */
    public Map<UUID, Revision> of(Period period) {
        String schools = database.queryForObject("select " + SCHOOLS.formatted("?"), String.class, period.id());
        long room = Objects.requireNonNull(database.queryForObject(OF_ROOM.formatted("?"), Long.class, period.id()));
        Map<UUID, Revision> stamps = new HashMap<>();
        database.query(
                OF_PERIOD,
                row -> {
                    UUID entry = row.getObject(1, UUID.class);
                    stamps.put(
                            entry,
                            new Revision(
                                    entry,
                                    row.getLong(2),
                                    row.getLong(3),
                                    row.getLong(4),
                                    room + row.getLong(5),
                                    row.getString(6) + " " + schools));
                },
                period.id());
        return stamps;
    }
}
