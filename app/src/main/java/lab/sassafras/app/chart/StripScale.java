package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.measure.Figures;

/** A straight scale from a coordinate over a length. */
record StripScale(double from, double length, double low, double high) {

    String at(double value) {
        return StripPicture.place(from + length * (value - low) / (high - low));
    }

    double within(double value) {
        return Math.min(high, Math.max(low, value));
    }

    long column(StripPicture.Dot dot) {
        return Math.round(from + length * (dot.seconds() - low) / (high - low));
    }

    /** Marks at a round number of a unit, up to ten of them. */
    List<StripPicture.Mark> marks(double unit, Figures figures, boolean times) {
        double step = unit;
        double[] more = {2, 2.5, 2};
        for (int i = 0; (high - low) / step > 10; i++) {
            step *= more[i % 3];
        }
        if (!times && (high - low) / step < 3) {
            step = 0.5;
        }
        List<StripPicture.Mark> marks = new ArrayList<>();
        for (double value : StraightScale.multiples(low, high + 1e-9, step)) {
            marks.add(new StripPicture.Mark(at(value), figures.plain(Math.rint(value / unit * 100) / 100)));
        }
        return marks;
    }
}
