package lab.sassafras.app.record;

import java.sql.Array;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** What came to traces since a page was rendered, a row at a time, for those who look on. */
@Component
public class Arrivals {

    /** Rows are numbered before they are kept: one a little before the newest may have been under way then. */
    private static final int BACK = 64;

    private static final Duration UNDER_WAY = Duration.ofSeconds(2);

    /** Rows of a trace after a number, found by its index. */
    public static final String AFTER =
            "select seq, seconds, temperatures from trace_chunk where trace_id = ? and seq > ? "
                    + "and (seq > ? or made_at > ?) order by seq limit ?";

    private final JdbcTemplate database;
    private final Clock clock;

    Arrivals(JdbcTemplate database, Clock clock) {
        this.database = database;
        this.clock = clock;
    }

    /**
     * A row of readings.
     *
     * @param row         its number; of one trace a later one is larger
     * @param trace       it is of
     * @param seconds     from the beginning of its trace (s)
     * @param temperatures in its unit
     */
    @SuppressWarnings("ArrayRecordComponent")
    public record Came(long row, UUID trace, double[] seconds, double[] temperatures) {}

    /** {@return the number of the newest row} */
    public long newest() {
        Long newest = database.queryForObject("select coalesce(max(seq), 0) from trace_chunk", Long.class);
        return newest == null ? 0 : newest;
    }

    /** {@return how many traces probes pushed to a bench} */
    public int pushed(UUID bench) {
        Integer many = database.queryForObject(
                "select count(*) from trace where bench_id = ? and channel = 'probe'", Integer.class, bench);
        return many == null ? 0 : many;
    }

    /**
     * {@return rows of some traces, in order, at most so many}
     *
     * @param traces each with the number of its row that was shown last; 0 where none was since the page was rendered.
     *               Of one trace rows are kept in their order, so nothing is looked for before it
     * @param after  the number of the newest row when the page was rendered: a row of another number may have
     *               been under way then
     * @param most   rows
     */
    public List<Came> after(Map<UUID, Long> traces, long after, int most) {
        Timestamp underWay = Timestamp.from(clock.instant().minus(UNDER_WAY));
        return traces.entrySet().stream()
                .flatMap(trace -> (trace.getValue() > 0
                                ? after(trace.getKey(), trace.getValue(), trace.getValue(), underWay, most)
                                : after(trace.getKey(), after - BACK, after, underWay, most))
                        .stream())
                .sorted(Comparator.comparingLong(Came::row))
                .limit(most)
                .toList();
    }

    /** A trace by itself, and its rows by one bound: what came is found by the index, however long the trace is. */
    private List<Came> after(UUID of, long from, long after, Timestamp underWay, int most) {
        return database.query(
                AFTER,
                (row, any) -> new Came(row.getLong(1), of, numbers(row, 2), numbers(row, 3)),
                of,
                from,
                after,
                underWay,
                most);
    }

    private static double[] numbers(ResultSet row, int column) throws SQLException {
        Array array = row.getArray(column);
        return Arrays.stream((Object[]) array.getArray())
                .mapToDouble(each -> ((Number) each).doubleValue())
                .toArray();
    }
}
