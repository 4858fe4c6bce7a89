package lab.sassafras.app.record;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/**
 * How much is in the book now, asked in one short question, so that what was worked out before can be known to hold
 * still.
 */
@Component
public class Stamps {

    /** Readings on a clock of an entry's bench, and of the room in its period. */
    private static final String CHUNKS = "trace_chunk chunk join trace on trace.id = chunk.trace_id "
            + "join bench source on source.id = trace.bench_id join bench on bench.period_id = source.period_id "
            + "join entry on entry.bench_id = bench.id and (source.id = bench.id or trace.channel = 'room') ";

    /** What a bench is called and what its period goes by. */
    private static final String AROUND =
            "bench.name || ' ' || coalesce((select listagg(question || '=' || school, ' ') "
                    + "within group (order by question) from period_school where period_id = bench.period_id), '')";

    private static final String OF_ONE = "select (select count(*) from observation where entry_id = ?), "
            + "(select count(*) from decision where entry_id = ?), (select count(*) from opened where entry_id = ?), "
            + "(select count(*) from " + CHUNKS + "where entry.id = ?), (select " + AROUND
            + " from entry join bench on bench.id = entry.bench_id where entry.id = ?), ";
    private static final String OF_SHELF = "(select count(*) from vessel), (select count(*) from instrument), "
            + "(select count(*) from calibration), (select count(*) from decision where entry_id is null), (select count(*) from own_substance)";

    private final JdbcTemplate database;

    Stamps(JdbcTemplate database) {
        this.database = database;
    }

    /** What stands on the shelf: vessels, instruments, constants and the decisions over them, counted. */
    public record Shelf(long vessels, long instruments, long calibrations, long decisions, long own) {}

    /** An entry and the shelf at one moment. */
    public record Now(Stamp entry, Shelf shelf) {}

    /** The stamp of one entry, with the shelf's. */
    public Now of(UUID entry) {
        return database.queryForObject(
                OF_ONE + OF_SHELF,
                (row, any) -> new Now(
                        new Stamp(
                                entry,
                                row.getLong(1),
                                row.getLong(2),
                                row.getLong(3),
                                row.getLong(4),
                                row.getString(5)),
                        new Shelf(row.getLong(6), row.getLong(7), row.getLong(8), row.getLong(9), row.getLong(10))),
                entry,
                entry,
                entry,
                entry,
                entry);
    }

    public Shelf shelf() {
        return database.queryForObject(
                "select " + OF_SHELF,
                (row, any) ->
                        new Shelf(row.getLong(1), row.getLong(2), row.getLong(3), row.getLong(4), row.getLong(5)));
    }

    /** Stamps of other entries, in the order named. */
    public List<Stamp> of(Collection<UUID> entries) {
        return entries.stream().map(each -> of(each).entry()).toList();
    }

    /** How much was kept of a period in all: it only grows. */
    public long number(Period period) {
        return of(period).values().stream().mapToLong(Stamp::number).sum();
    }

    /** Stamps of every entry of a period. */
    public Map<UUID, Stamp> of(Period period) {
        Map<UUID, long[]> counts = new HashMap<>();
        Map<UUID, String> around = new HashMap<>();
        database.query(
                "select entry.id, " + AROUND
                        + " from entry join bench on bench.id = entry.bench_id where bench.period_id = ?",
                row -> {
                    around.put(row.getObject(1, UUID.class), row.getString(2));
                    counts.put(row.getObject(1, UUID.class), new long[4]);
                },
                period.id());
        List<String> tables = List.of("observation", "decision", "opened");
        for (int i = 0; i < tables.size(); i++) {
            int column = i;
            database.query(
                    "select counted.entry_id, count(*) from " + tables.get(i)
                            + " counted join entry on entry.id = counted.entry_id join bench "
                            + "on bench.id = entry.bench_id where bench.period_id = ? group by counted.entry_id",
                    row -> {
                        counts.computeIfAbsent(row.getObject(1, UUID.class), any -> new long[4])[column] =
                                row.getLong(2);
                    },
                    period.id());
        }
        database.query(
                "select entry.id, count(*) from " + CHUNKS + "where bench.period_id = ? group by entry.id",
                row -> {
                    counts.computeIfAbsent(row.getObject(1, UUID.class), any -> new long[4])[3] = row.getLong(2);
                },
                period.id());
        Map<UUID, Stamp> stamps = new HashMap<>();
        counts.forEach((entry, count) -> stamps.put(
                entry, new Stamp(entry, count[0], count[1], count[2], count[3], around.getOrDefault(entry, ""))));
        return stamps;
    }
}
