package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import lab.sassafras.app.chart.StripPicture.Dot;
import lab.sassafras.app.chart.StripPicture.Spot;

/** Readings where they stand on a strip; of very many, fewer that look the same. */
final class StripDots {

    /** More readings than this are drawn by the highest and lowest of each column. */
    private static final int MOST_SPOTS = 1500;

    private static final int MOST_WORDS = 3;

    private StripDots() {}

    static List<Spot> spots(List<Dot> dots, StripScale across, StripScale up) {
        int words = 0;
        List<Spot> spots = new ArrayList<>();
        for (Dot each : dots) {
            boolean said = !each.words().isEmpty() && words++ < MOST_WORDS;
            spots.add(new Spot(
                    across.at(each.seconds()), up.at(each.temperature()), each.counts(), said ? each.words() : ""));
        }
        return spots;
    }

    /** Of very many, the highest and the lowest of each column, which look the same. */
    static List<Dot> thinned(List<Dot> dots, StripScale across) {
        if (dots.size() <= MOST_SPOTS) {
            return dots;
        }
        List<Dot> some = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= dots.size(); i++) {
            if (i == dots.size() || across.column(dots.get(i)) != across.column(dots.get(from))) {
                List<Dot> column = dots.subList(from, i);
                column.stream()
                        .filter(Dot::counts)
                        .min((one, other) -> Double.compare(one.temperature(), other.temperature()))
                        .ifPresent(some::add);
                column.stream()
                        .filter(Dot::counts)
                        .max((one, other) -> Double.compare(one.temperature(), other.temperature()))
                        .ifPresent(some::add);
                column.stream().filter(each -> !each.counts()).forEach(some::add);
                from = i;
            }
        }
        return some;
    }

    static String path(List<Dot> dots, StripScale across, StripScale up) {
        return dots.stream()
                .filter(Dot::counts)
                .map(each -> "M" + across.at(each.seconds()) + " " + up.at(each.temperature()) + "h0")
                .collect(Collectors.joining());
    }
}
