package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import lab.sassafras.app.chart.LivePicture;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;

/** What comes to the traces a page shows, in its picture's coordinates; where it no longer fits, the page is told. */
final class LiveFrames implements Streams.Frames {

    /** A page that lags by more rows reads itself anew. */
    private static final int MOST = 500;
    /**
     * What the page shows.
     *
     * @param bench     it is of
     * @param look      of its picture
     * @param following whether it moves on with the time
     * @param pushed    how many traces there were to its bench
     * @param decimals  of what the first probe shows
     * @param traces    it shows: which probe each is of, and when it began on the page's clock (s)
     */
    record Page(
            UUID bench, LivePicture.Look look, boolean following, int pushed, int decimals, Map<UUID, Part> traces) {}

    /** Which probe of the picture a trace is of, and when it began on the page's clock (s). */
    record Part(int probe, double begun) {}

    private final Arrivals arrivals;
    private final Page page;
    private final Figures figures;
    /** Of each trace the row that was shown last. */
    private final Map<UUID, Long> last = new HashMap<>();

    private final long rendered;
    private long newest;
    /** Told to read itself anew, a page asks for another stream: nothing is read for this one any more. */
    private boolean over;

    LiveFrames(Arrivals arrivals, Page page, long after, Figures figures) {
        this.arrivals = arrivals;
        this.page = page;
        this.rendered = after;
        this.newest = after;
        page.traces().keySet().forEach(trace -> last.put(trace, 0L));
        this.figures = figures;
    }

    @Override
    public Optional<Streams.Frame> next() {
        if (over) {
            return Optional.empty();
        }
        if (arrivals.pushed(page.bench()) != page.pushed()) {
            return anew();
        }
        List<Arrivals.Came> came = arrivals.after(last, rendered, MOST + 1);
        if (came.isEmpty()) {
            return Optional.empty();
        }
        if (came.size() > MOST) {
            return anew();
        }
        Map<Integer, List<Reading>> readings = new TreeMap<>();
        for (Arrivals.Came each : came) {
            Part part = page.traces().get(each.trace());
            last.put(each.trace(), each.row());
            newest = Math.max(newest, each.row());
            for (int i = 0; part != null && i < each.seconds().length; i++) {
                readings.computeIfAbsent(part.probe(), any -> new ArrayList<>())
                        .add(new Reading(part.begun() + each.seconds()[i], each.temperatures()[i]));
            }
        }
        boolean fits = readings.values().stream()
                .flatMap(List::stream)
                .filter(each ->
                        page.following() || each.seconds() <= page.look().last())
                .allMatch(each ->
                        page.look().holds(each) || each.seconds() < page.look().first() || !each.possible());
        return fits ? Optional.of(new Streams.Frame(newest, "points", points(readings))) : anew();
    }

    private Optional<Streams.Frame> anew() {
        over = true;
        return Optional.of(new Streams.Frame(newest, "anew", "{}"));
    }

    private String points(Map<Integer, List<Reading>> readings) {
        List<String> marks = new ArrayList<>();
        double now = page.look().first();
        for (Map.Entry<Integer, List<Reading>> each : readings.entrySet()) {
            marks.add("\"" + each.getKey() + "\":\"" + LivePicture.path(page.look(), each.getKey(), each.getValue())
                    + "\"");
            now = Math.max(now, each.getValue().get(each.getValue().size() - 1).seconds());
        }
        List<Reading> first = readings.getOrDefault(0, List.of());
        String shows = first.isEmpty()
                ? ""
                : ",\"shows\":\"" + figures.fixed(first.get(first.size() - 1).temperature(), page.decimals()) + "\"";
        return "{\"marks\":{" + String.join(",", marks) + "},\"at\":\""
                + page.look().across(Math.min(now, page.look().last())) + "\",\"time\":\""
                + ClockTime.write(Math.floor(now)) + "\"" + shows + "}";
    }
}
