package lab.sassafras.curve;

import java.util.Arrays;

/**
 * Readings taken together with their neighbours as far as no curve bends between them: within a stated part of their
 * time from mixing. That keeps what a fit costs from growing with the readings. Within what was taken together squares
 * about the means are kept, so that a straight slope through it loses nothing.
 */
final class Points {

    /** There is room for so many before the first time it grows. */
    private static final int ROOM = 128;

    double[] time = new double[ROOM];
    double[] height = new double[ROOM];
    double[] weight = new double[ROOM];
    boolean[] after = new boolean[ROOM];
    /** Within a point: squares of the times about their mean, of the heights, and of both together. */
    double[] across = new double[ROOM];

    double[] up = new double[ROOM];
    double[] together = new double[ROOM];
    /** Which reading a point begins with. */
    int[] first = new int[ROOM];

    /** How many points there are, and how many of them lie before mixing. */
    int size;

    int before;

    private Points() {}

    /** Readings by their time from mixing (s), those before it first; {@code counts} says which are taken,
     * {@code fold} within what part of their time they are taken together. */
    static Points of(double[] seconds, double[] temperatures, int before, boolean[] counts, double fold) {
        Points points = new Points();
        double begun = 0;
        for (int i = 0; i < seconds.length; i++) {
            if (counts[i]) {
                boolean past = i >= before;
                int last = points.size - 1;
                boolean joins = last >= 0
                        && points.after[last] == past
                        && Math.abs(seconds[i] - begun) <= fold * Math.min(Math.abs(seconds[i]), Math.abs(begun));
                if (joins) {
                    points.join(last, seconds[i], temperatures[i]);
                } else {
                    begun = seconds[i];
                    points.begin(i, begun, temperatures[i], past);
                }
            }
        }
        return points;
    }

    private void begin(int reading, double seconds, double temperature, boolean past) {
        if (size == time.length) {
            grow();
        }
        time[size] = seconds;
        height[size] = temperature;
        weight[size] = 1;
        after[size] = past;
        first[size] = reading;
        size++;
        before += past ? 0 : 1;
    }

    private void grow() {
        int most = 2 * size;
        time = Arrays.copyOf(time, most);
        height = Arrays.copyOf(height, most);
        weight = Arrays.copyOf(weight, most);
        after = Arrays.copyOf(after, most);
        across = Arrays.copyOf(across, most);
        up = Arrays.copyOf(up, most);
        together = Arrays.copyOf(together, most);
        first = Arrays.copyOf(first, most);
    }

    private void join(int into, double seconds, double temperature) {
        weight[into]++;
        double later = seconds - time[into];
        double higher = temperature - height[into];
        time[into] += later / weight[into];
        height[into] += higher / weight[into];
        across[into] += later * (seconds - time[into]);
        up[into] += higher * (temperature - height[into]);
        together[into] += later * (temperature - height[into]);
    }

    /** How many readings the points from one on hold, with those before mixing. */
    int readings(int from) {
        double sum = 0;
        for (int i = 0; i < size; i++) {
            sum += i < before || i >= from ? weight[i] : 0;
        }
        return (int) sum;
    }
}
