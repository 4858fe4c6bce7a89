package lab.sassafras.app.chart;

import java.util.ArrayList;
import java.util.List;
import java.util.function.DoubleFunction;
import java.util.stream.IntStream;

/**
 * A straight scale from a coordinate over a length.
 *
 * @param from   coordinate of the lower end
 * @param length to the upper end, negative where it goes up the page
 * @param low    number at the lower end
 * @param high   number at the upper end
 */
public record StraightScale(double from, double length, double low, double high) {

    /** More marks than this no scale of ours has; numbers that ask for them have none. */
    private static final int MOST_MARKS = 60;

    private static final int TENTHS = 10;

    /**
     * A mark of a scale.
     *
     * @param at    where
     * @param label what is written there
     */
    public record Mark(String at, String label) {}

    /** A scale over numbers with some room at both ends. */
    static StraightScale around(double from, double length, List<Double> numbers, double room) {
        double low = numbers.stream().min(Double::compare).orElseThrow();
        double high = numbers.stream().max(Double::compare).orElseThrow();
        double air = high > low ? room * (high - low) : Math.max(Math.abs(high) * room, Double.MIN_NORMAL);
        return new StraightScale(from, length, low - air, high + air);
    }

    double place(double value) {
        return from + length * (value - low) / (high - low);
    }

    double within(double value) {
        return Math.min(high, Math.max(low, value));
    }

    String at(double value) {
        return coordinate(place(value));
    }

    /** A place to a tenth, within what any picture has. */
    static String coordinate(double place) {
        // a picture has thousands of them
        long tenths = Math.round(Math.abs(place) * TENTHS);
        return (place < 0 && tenths > 0 ? "-" : "") + tenths / TENTHS + "." + tenths % TENTHS;
    }

    /** Marks at a round step, about so many of them. */
    List<Mark> marks(int about, DoubleFunction<String> written) {
        double rough = (high - low) / about;
        double power = Math.pow(10, Math.floor(Math.log10(rough)));
        double step = rough >= 5 * power ? 5 * power : rough >= 2 * power ? 2 * power : power;
        List<Mark> marks = new ArrayList<>();
        for (double value : multiples(low, high + 1e-9 * step, step)) {
            marks.add(new Mark(at(value), written.apply(Math.rint(value / step) * step)));
        }
        return marks;
    }

    /**
     * The multiples of a step from a number to another. They are counted and never stepped to: where the step is lost
     * in the numbers themselves, as a second is among 10¹⁸ of them, adding it would never come to an end.
     */
    static double[] multiples(double low, double high, double step) {
        double first = Math.ceil(low / step - 1e-9);
        double many = Math.floor(high / step) - first + 1;
        return many > 0 && many <= MOST_MARKS
                ? IntStream.range(0, (int) many)
                        .mapToDouble(i -> (first + i) * step)
                        .toArray()
                : new double[0];
    }
}
