package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Gear;
import lab.sassafras.hour.Timetable;

/**
 * An hour: time runs down, a column for each bench and for each piece of shared gear that is used.
 *
 * @param width    of the picture
 * @param height   of it
 * @param columns  of benches, then of gear
 * @param hours    lines across, each with its time of day
 * @param finish   where the last is done
 * @param end      where the evening ends
 * @param trailing where lines across end
 */
public record HourPicture(
        int width, int height, List<Column> columns, List<Mark> hours, Mark finish, Mark end, int trailing) {

    private static final int LEFT = 62;
    private static final int COLUMN = 98;
    private static final int TOP = 46;
    private static final double MINUTE = 5.2;
    private static final int BELOW = 34;
    private static final int EVERY = 15;

    /** A line across, with its words. */
    public record Mark(double y, String words) {}

    /**
     * A column.
     *
     * @param name  at its head
     * @param x     where it stands
     * @param gear  whether it is gear
     * @param tasks on it, from top to bottom
     */
    public record Column(String name, int x, boolean gear, List<Task> tasks) {}

    /**
     * A task on a column.
     *
     * @param key   of the job
     * @param words beside it
     * @param from  where it begins
     * @param until where it ends
     * @param times in words
     */
    public record Task(String key, String words, double from, double until, String times) {}

    /**
     * {@return the picture}
     *
     * @param timetable that is drawn
     * @param benches   in order
     * @param has       how many of each gear there are
     * @param length    of the evening (min)
     * @param written   a minute as a time of day
     * @param finished  words at the end of the last
     */
    public static HourPicture of(
            Timetable timetable,
            List<String> benches,
            Map<Gear, Integer> has,
            int length,
            IntFunction<String> written,
            String finished) {
        List<Column> columns = new ArrayList<>();
        for (String bench : benches) {
            columns.add(new Column(
                    bench,
                    LEFT + COLUMN * columns.size() + 12,
                    false,
                    timetable.of(bench).stream()
                            .map(each -> task(each, each.job().words(), written))
                            .toList()));
        }
        for (Gear gear : Gear.values()) {
            for (int piece = 1; piece <= has.getOrDefault(gear, 0); piece++) {
                int which = piece;
                if (timetable.laid().stream().noneMatch(each -> each.on().getOrDefault(gear, 0) == which)) {
                    continue;
                }
                columns.add(new Column(
                        has.getOrDefault(gear, 0) == 1 ? gear.word() : gear.word() + " " + piece,
                        LEFT + COLUMN * columns.size() + 12,
                        true,
                        timetable.laid().stream()
                                .filter(each -> each.on().getOrDefault(gear, 0) == which)
                                .map(each -> task(each, each.job().bench(), written))
                                .toList()));
            }
        }
        int last = Math.max(length, timetable.finish());
        int width = LEFT + COLUMN * columns.size() + 10;
        return new HourPicture(
                width,
                (int) (TOP + MINUTE * last + BELOW),
                columns,
                IntStream.iterate(0, minute -> minute <= last, minute -> minute + EVERY)
                        .mapToObj(minute -> new Mark(y(minute), written.apply(minute)))
                        .toList(),
                new Mark(y(timetable.finish()), finished),
                new Mark(y(length), written.apply(length)),
                width - 6);
    }

    private static Task task(Timetable.Laid each, String words, IntFunction<String> written) {
        return new Task(
                each.job().key(),
                words,
                y(each.from()),
                y(each.until()),
                written.apply(each.from()) + " to " + written.apply(each.until()));
    }

    private static double y(int minute) {
        return Math.rint(10 * (TOP + MINUTE * minute)) / 10;
    }
}
