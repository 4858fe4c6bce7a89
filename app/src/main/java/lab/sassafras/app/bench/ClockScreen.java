package lab.sassafras.app.bench;

import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.TraceUse;
import org.jspecify.annotations.Nullable;

/**
 * What the page of a clock shows: every reading at its own time, the marks that passed unread, and the mixing.
 *
 * @param trace    identity of the readings
 * @param age      how long ago it was begun (ms)
 * @param every    how often it is read (s)
 * @param pace     the same in words
 * @param rows     the latest, in order of time
 * @param earlier  how many came before them
 * @param mixing   when it was mixed, as written; null while it is not marked
 * @param running  whether it runs still: nobody stands half a day at a cup, and what came from a file never ran
 * @param probe    what pushes its readings; empty where a hand types them
 */
public record ClockScreen(
        String trace,
        long age,
        double every,
        String pace,
        List<Row> rows,
        int earlier,
        @Nullable String mixing,
        boolean running,
        String probe) {

    private static final int MOST_ROWS = 300;

    /** Kinds of row. */
    public enum Kind {
        READING,
        STRUCK,
        SKIPPED,
        MISSED,
        MIXED,
        /** A mixing that was broken off. */
        WITHDRAWN
    }

    /**
     * A row of the page.
     *
     * @param kind    what it is
     * @param seconds from the beginning (s)
     * @param time    the same, as written
     * @param text    as typed; empty where nothing was
     * @param why     it does not count; empty where it does
     */
    public record Row(Kind kind, double seconds, String time, String text, String why) {}

    /** The clock as it stands. */
    public String face() {
        return ClockTime.write(Math.floor(age / 1000.0));
    }

    /** Second of the last reading; before the beginning where there is none. */
    public double last() {
        return rows.stream()
                .filter(each -> each.kind() == Kind.READING
                        || each.kind() == Kind.SKIPPED && !each.text().isEmpty())
                .mapToDouble(Row::seconds)
                .max()
                .orElse(-every);
    }

    /** What was recorded last, as it is told beside the field; empty while nothing was. */
    public String recorded() {
        return rows.stream()
                .filter(each -> each.kind() == Kind.READING && !each.text().isEmpty())
                .reduce((earlier, later) -> later)
                .map(each -> each.time() + ", " + each.text() + " °C")
                .orElse("");
    }

    static ClockScreen of(
            ClockReadings readings, Optional<Double> mixing, long age, Duration longest, Figures figures) {
        return of(readings, mixing, List.of(), age, longest, figures);
    }

    /** Mixings on a clock that were broken off. */
    static List<Row> withdrawn(EntrySheet entry, int trial, ClockReadings readings) {
        return Clocks.placeOf(entry, trial)
                .map(address -> entry.observations().at(address.toString()))
                .orElse(List.of())
                .stream()
                .flatMap(each -> TraceUse.of(each.text())
                        .filter(use -> use.trace().equals(readings.id().toString()))
                        .flatMap(use -> entry.observations()
                                .strikerOf(each)
                                .filter(Observation::strikeOut)
                                .flatMap(striker -> Clocks.mixed(use)
                                        .map(at ->
                                                withdrawn(at, striker.reason().orElse("struck out")))))
                        .stream())
                .toList();
    }

    private static Row withdrawn(double seconds, String reason) {
        return new Row(Kind.WITHDRAWN, seconds, ClockTime.write(seconds), "", "withdrawn: " + reason);
    }

    static ClockScreen of(
            ClockReadings readings,
            Optional<Double> mixing,
            List<Row> withdrawn,
            long age,
            Duration longest,
            Figures figures) {
        double every = readings.trace().every();
        List<Row> rows = new ArrayList<>(withdrawn);
        readings.lines().forEach(line -> rows.add(row(line, mixing, figures)));
        mixing.ifPresent(at -> rows.add(new Row(Kind.MIXED, at, ClockTime.write(at), "", "mixed")));
        boolean pushed = readings.trace().channel().equals(Trace.PROBE);
        if (!pushed) {
            missed(readings.lines(), every, mixing, rows);
        }
        rows.sort(Comparator.comparingDouble(Row::seconds).thenComparing(Row::kind));
        int earlier = Math.max(0, rows.size() - MOST_ROWS);
        return new ClockScreen(
                readings.id().toString(),
                age,
                every,
                readings.trace().pace(),
                List.copyOf(rows.subList(earlier, rows.size())),
                earlier,
                mixing.map(ClockTime::write).orElse(null),
                age < longest.toMillis() && !readings.trace().channel().equals(Trace.FILE),
                pushed ? readings.trace().source() : "");
    }

    private static Row row(ClockReadings.Line line, Optional<Double> mixing, Figures figures) {
        boolean atMixing = mixing.filter(at -> at == line.seconds()).isPresent();
        Kind kind = !line.counts() ? Kind.STRUCK : atMixing ? Kind.SKIPPED : Kind.READING;
        return new Row(
                kind,
                line.seconds(),
                line.time(),
                line.text(figures),
                kind == Kind.SKIPPED ? "at mixing: not counted" : line.reason());
    }

    /** Marks between the first reading and the last near which nothing was read. */
    private static void missed(List<ClockReadings.Line> read, double every, Optional<Double> mixing, List<Row> rows) {
        if (read.isEmpty()) {
            return;
        }
        int next = 0;
        double last = read.get(read.size() - 1).seconds();
        // no more than are shown: a single reading weeks later brings no million of them
        long first = (long) Math.max(Math.ceil(read.get(0).seconds() / every), Math.ceil(last / every) - MOST_ROWS);
        for (long i = first; i * every < last; i++) {
            double mark = i * every;
            while (read.get(next).seconds() < mark - every / 2.0) {
                next++;
            }
            if (read.get(next).seconds() > mark + every / 2.0) {
                double at = mark;
                boolean skipped = mixing.filter(each -> Math.abs(each - at) <= every / 2.0)
                        .isPresent();
                rows.add(new Row(
                        skipped ? Kind.SKIPPED : Kind.MISSED,
                        mark,
                        ClockTime.write(mark),
                        "",
                        skipped ? "skipped: mixing" : "not read"));
            }
        }
    }
}
