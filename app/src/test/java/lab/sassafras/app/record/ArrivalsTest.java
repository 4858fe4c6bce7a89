package lab.sassafras.app.record;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Timestamp;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.HouseTest;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** What came to a trace since somebody looked. */
class ArrivalsTest extends HouseTest {

    @Autowired
    private Arrivals arrivals;

    @Autowired
    private Traces traces;

    @Autowired
    private JdbcTemplate database;

    private Trace trace;

    private void push(int from, int rows) {
        for (int i = from; i < from + rows; i++) {
            traces.push(
                    trace,
                    List.of(new TraceChunk.Given(new double[] {i}, new double[] {20 + i / 10.0}, null, "Alder")));
        }
    }

    /** An hour of pushing makes no look slower: the database says itself how many rows it read. */
    @Test
    void whatCameIsFoundByTheIndexHoweverLongTheTraceIs() {
        Bench bench = periodBook.join(period("Arrivals"), "Alder");
        trace = traces.pushed(
                bench, new Trace.Channel(Trace.PROBE, "cup", "°C"), java.util.Optional.empty(), 1, Instant.now());
        push(0, 300);
        long seen = arrivals.newest();
        push(300, 3);
        List<Arrivals.Came> came = arrivals.after(List.of(trace.id(), UUID.randomUUID()), seen, 100).stream()
                .filter(each -> each.row() > seen)
                .toList();
        assertThat(came.stream().map(each -> each.seconds()[0])).containsExactly(300.0, 301.0, 302.0);
        assertThat(came.get(2).temperatures()).containsExactly(50.2);
        assertThat(arrivals.after(List.of(trace.id()), 0, 5)).hasSize(5);
        String plan = database.queryForObject(
                "explain analyze " + Arrivals.AFTER,
                String.class,
                trace.id(),
                seen,
                seen,
                Timestamp.from(Instant.now()),
                100);
        int read = IntStream.of(java.util.regex.Pattern.compile("scanCount: (\\d+)")
                        .matcher(String.valueOf(plan))
                        .results()
                        .mapToInt(found -> Integer.parseInt(found.group(1)))
                        .toArray())
                .sum();
        assertThat(read).as(plan).isBetween(3, 5);
    }
}
