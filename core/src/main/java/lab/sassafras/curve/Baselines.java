package lab.sassafras.curve;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import org.hipparchus.util.KthSelector;
import org.jspecify.annotations.Nullable;

/**
 * Which readings of a curve are baseline: all before mixing, and those after it that follow one cooling curve with
 * them. What lies off by itself is a spike; what lies short of the cooling curve at first is heat still coming, or a
 * probe still following, and the area between tells how late it came.
 */
public final class Baselines {

    private static final int FEWEST = 4;
    private static final double FAR = 3;
    private static final double OUT = 5;
    private static final int SPIKES_ARE_FEW = 8;
    private static final double TAIL_PART = 0.6;

    private static final double LATER_PART = 0.4;
    private static final int ROUNDS = 4;
    private static final double NORMAL_MEDIAN = 1.4826;

    final Curve curve;
    final double[] seconds;
    final double[] temperatures;
    final int before;
    final boolean[] counts;
    final double leastNoise;
    private final boolean[] spikes;
    /** Whether a reading stands out from those about it, whatever is laid through them. */
    private final boolean[] alone;

    /** Whether each is taken for baseline, where a person said so. */
    private final List<Boolean> chosen;

    /** What a reading scatters by about the line between its neighbours (°C). */
    private final double aboutNeighbours;

    private int settled;
    private CoolingFit fit;
    private double late;
    private @Nullable LineFit foreLine;
    private @Nullable LineFit afterLine;
    private @Nullable HeatLoss loss;
    /** What each way of reading came to: the schools of an account ask for all of them, each anew. */
    private final Map<CurveMethod, Outcome> outcomes = new ConcurrentHashMap<>();

    private boolean coarse;

    private Baselines(Curve curve) {
        this.curve = curve;
        this.before = curve.before();
        List<Reading> all = curve.readings().stream()
                .filter(each -> each.seconds() != curve.mixing())
                .toList();
        seconds = new double[all.size()];
        temperatures = new double[all.size()];
        for (int i = 0; i < seconds.length; i++) {
            seconds[i] = all.get(i).seconds() - curve.mixing();
            temperatures[i] = all.get(i).temperature();
        }
        counts = new boolean[seconds.length];
        spikes = new boolean[seconds.length];
        leastNoise = Math.max(curve.display() / Math.sqrt(12), 1e-7);
        chosen = curve.windows()
                .map(windows -> all.stream().map(windows::holds).toList())
                .orElse(List.of());
        settled = chosen.isEmpty() ? laterPart() : firstChosen();
        counting();
        aboutNeighbours = Math.max(leastNoise, roughNoise());
        standingOut(0, before, OUT * aboutNeighbours);
        standingOut(before, seconds.length, OUT * aboutNeighbours);
        alone = spikes.clone();
        Arrays.fill(spikes, before, settled, false);
        fit = fit(new CoolingFit(
                seconds, temperatures, before, counting(), model(false), curve.display(), aboutNeighbours));
        if (chosen.isEmpty()) {
            widen();
        }
        measureLateness();
        coarse = mostlyTheSame();
    }

    /**
     * {@return the baselines of a curve}
     *
     * @param curve readings about a moment of mixing
     */
    public static Baselines of(Curve curve) {
        return new Baselines(curve);
    }

    /** First reading of the later part of the record, at least the last four. */
    int laterPart() {
        double from = LATER_PART * seconds[seconds.length - 1];
        int first = before;
        while (first < seconds.length - FEWEST && seconds[first] < from) {
            first++;
        }
        return first;
    }

    /** First reading after mixing that a person took for baseline. */
    int firstChosen() {
        int first = before;
        while (!chosen.get(first)) {
            first++;
        }
        return first;
    }

    private boolean[] counting() {
        for (int i = 0; i < counts.length; i++) {
            counts[i] = (i < before || i >= settled) && !spikes[i] && (chosen.isEmpty() || chosen.get(i));
        }
        return counts;
    }

    /** {@return first and last reading of both baselines, on the readings' clock} */
    public Windows windows() {
        int from = settledFrom();
        return new Windows(time(first(0)), time(last(before)), time(first(from)), time(last(counts.length)));
    }

    private double time(int i) {
        return seconds[i] + curve.mixing();
    }

    private int first(int from) {
        int first = from;
        while (first < counts.length - 1 && !counts[first]) {
            first++;
        }
        return first;
    }

    private int last(int to) {
        int last = to - 1;
        while (last > 0 && !counts[last]) {
            last--;
        }
        return last;
    }

    LossModel model(boolean tail) {
        return tail
                ? LossModel.withTail(curve, foreMean(), middleAfter(), 0)
                : LossModel.plain(curve, foreMean(), middleAfter());
    }

    /** The temperature halfway through what was read after mixing: whether the contents are hot. */
    double middleAfter() {
        return temperatures[(before + temperatures.length) / 2];
    }

    double aboutNeighbours() {
        return aboutNeighbours;
    }

    List<Boolean> chosen() {
        return chosen;
    }

    double foreMean() {
        return Arrays.stream(temperatures, 0, before).average().orElseThrow();
    }

    private CoolingFit fit(CoolingFit next) {
        next.fitted(leastNoise);
        for (int round = 0; round < 2 && outliers(next); round++) {
            counting();
            next.fitted(leastNoise);
        }
        return next;
    }

    /** With a tail; where what was found is no heat that comes late, begun from several lengths. */
    private CoolingFit againWithTail() {
        boolean[] spiked = spikes.clone();
        CoolingFit first = again(true);
        for (double tailTime : CoolingFit.TAIL_TIMES) {
            if (first.comesLate()) {
                break;
            }
            System.arraycopy(spiked, 0, spikes, 0, spikes.length);
            counting();
            CoolingFit begun =
                    fit(new CoolingFit(seconds, temperatures, before, counts, model(true), curve.display(), fit.noise())
                            .beginTail(tailTime));
            first = begun.comesLate() ? begun : first;
        }
        return first;
    }

    private CoolingFit again(boolean tail) {
        counting();
        return fit(new CoolingFit(seconds, temperatures, before, counts, model(tail), curve.display(), fit.noise())
                .from(fit));
    }

    /** Marks what lies far out by the median of all, on each side of mixing. @return whether anything new does */
    private boolean outliers(CoolingFit of) {
        double[] sizes = new double[counts.length];
        int counted = 0;
        for (int i = 0; i < counts.length; i++) {
            if (counts[i]) {
                sizes[counted++] = Math.abs(of.off(i));
            }
        }
        if (counted <= 2 * FEWEST) {
            return false;
        }
        double most = OUT * Math.max(leastNoise, NORMAL_MEDIAN * median(Arrays.copyOf(sizes, counted)));
        boolean fore = farOut(of, 0, before, most);
        boolean after = farOut(of, before, counts.length, most);
        return fore || after;
    }

    /** Where many lie far out it is the curve that does not fit, and none is a spike. */
    private boolean farOut(CoolingFit of, int from, int to, double most) {
        int counted = 0;
        List<Integer> out = new ArrayList<>();
        for (int i = from; i < to; i++) {
            counted += counts[i] ? 1 : 0;
            if (counts[i] && Math.abs(of.off(i)) > most && !sure(i)) {
                out.add(i);
            }
        }
        if (SPIKES_ARE_FEW * out.size() > counted) {
            return false;
        }
        out.forEach(i -> spikes[i] = true);
        return !out.isEmpty();
    }

    /** Takes in earlier readings after mixing as long as they lie on the curve. */
    private void widen() {
        for (int round = 0; round < ROUNDS; round++) {
            int first = settled;
            boolean next = first > before && near(first - 1);
            while (first > before) {
                boolean lies = next;
                next = first - 2 >= before && near(first - 2);
                if (!lies && !next) {
                    break;
                }
                first--;
                spikes[first] = !lies && !sure(first);
            }
            if (first == settled) {
                break;
            }
            settled = first;
            fit = again(false);
        }
        while (settled > before && overshoots(settled - 1)) {
            settled--;
            spikes[settled] = !sure(settled);
        }
        if (settled > before) {
            tailFrom();
            fit = againWithTail();
        } else if (enough() && fit.mayHaveTail(aboutNeighbours)) {
            CoolingFit late = againWithTail();
            fit = late.betterThan(fit) ? late : fit;
        }
    }

    /** Begins the tail where less than a part of the change is still to come. */
    private void tailFrom() {
        double change = Math.abs(fit.at(LossModel.END) - fit.at(LossModel.START));
        int first = settled;
        while (first > before && Math.abs(fit.off(first - 1)) < TAIL_PART * change) {
            first--;
        }
        for (int i = first; i < settled; i++) {
            spikes[i] = false;
        }
        settled = first;
    }

    /** Whether a person says that a reading counts, however far it lies off. */
    private boolean sure(int i) {
        return !curve.stated().sure().isEmpty() && curve.stated().sure().contains(time(i));
    }

    private boolean near(int i) {
        return Math.abs(fit.off(i)) <= FAR * Math.hypot(fit.noise(), fit.uncertainty(i));
    }

    private boolean overshoots(int i) {
        return fit.off(i) * (fit.at(LossModel.END) - fit.at(LossModel.START)) > 0;
    }

    /** Area between the cooling curve carried back to mixing and what was read (°C·s, positive for a late rise). */
    private void measureLateness() {
        double deficit = fit.at(LossModel.END) - fit.at(LossModel.START);
        double sign = Math.signum(deficit);
        double last = Math.abs(deficit);
        double time = 0;
        for (int i = before; i < settled; i++) {
            if (!spikes[i]) {
                double now = -sign * fit.offCooling(i);
                double step = seconds[i] - time;
                double straight = (last + now) / 2;
                boolean falls = time == 0 && now > 0 && now < last;
                double mean = falls ? (last - now) / Math.log(last / now) : straight;
                late += sign * step * mean;
                time = seconds[i];
                last = now;
            }
        }
        if (fit.hasTail()) {
            late += fit.at(LossModel.TAIL) * tailTime() * Math.exp(-time / tailTime());
        }
    }

    double tailTime() {
        return Math.exp(fit.at(LossModel.LOG_TAIL_TIME));
    }

    /** Marks readings that stand out from the median of the five about them (F. R. Hampel's identifier, memory). */
    private void standingOut(int from, int to, double most) {
        double[] five = new double[5];
        for (int i = from + 2; i < to - 2; i++) {
            System.arraycopy(temperatures, i - 2, five, 0, five.length);
            Arrays.sort(five);
            spikes[i] = Math.abs(temperatures[i] - five[2]) > most && beside(i) > most && !sure(i);
        }
    }

    /**
     * What a reading lies off the middle of its neighbours by: on a slope, standing out from the median is no spike.
     */
    private double beside(int i) {
        return Math.abs(temperatures[i] - (temperatures[i - 1] + temperatures[i + 1]) / 2);
    }

    /** Scatter of single readings about the line between their neighbours, by its median (°C). */
    private double roughNoise() {
        double[] sizes = new double[seconds.length];
        int counted = 0;
        for (int i = 1; i < seconds.length - 1; i++) {
            if (i != before && i != before - 1 && seconds[i + 1] > seconds[i - 1]) {
                sizes[counted++] = offNeighbours(i);
            }
        }
        return counted == 0 ? 0 : NORMAL_MEDIAN * median(Arrays.copyOf(sizes, counted));
    }

    private double offNeighbours(int i) {
        double share = (seconds[i] - seconds[i - 1]) / (seconds[i + 1] - seconds[i - 1]);
        double between = temperatures[i - 1] + share * (temperatures[i + 1] - temperatures[i - 1]);
        return Math.abs(temperatures[i] - between) / Math.sqrt(1 + share * share + (1 - share) * (1 - share));
    }

    /** The middle one of some sizes, whose order is lost over it. */
    static double median(double[] sizes) {
        return new KthSelector().select(sizes, null, sizes.length / 2);
    }

    /** What a way of reading comes to, read once; two that read at a time come to the same. */
    Outcome once(CurveMethod way, Function<Baselines, Outcome> reading) {
        Outcome known = outcomes.get(way);
        if (known == null) {
            known = reading.apply(this);
            outcomes.put(way, known);
        }
        return known;
    }

    CoolingFit fit() {
        return fit;
    }

    /** The heat lost in the main period, integrated. */
    HeatLoss loss() {
        HeatLoss known = loss;
        if (known == null) {
            known = HeatLoss.of(this);
            loss = known;
        }
        return known;
    }

    /** The line through what counts before mixing. */
    LineFit foreLine() {
        LineFit known = foreLine;
        if (known == null) {
            known = line(0, before);
            foreLine = known;
        }
        return known;
    }

    /** The line through what counts after mixing once the rise is over. */
    LineFit afterLine() {
        LineFit known = afterLine;
        if (known == null) {
            known = line(settledFrom(), seconds.length);
            afterLine = known;
        }
        return known;
    }

    LineFit line(int from, int to) {
        return LineFit.whitened(seconds, temperatures, counts, from, to, leastNoise, fit.memory());
    }

    /** First reading after mixing from which on the rise is over: what is still to come is lost in the noise. */
    int settledFrom() {
        int first = settled;
        while (first < seconds.length - FEWEST && Math.abs(fit.offCooling(first) - fit.off(first)) > fit.noise()) {
            first++;
        }
        return first;
    }

    /** {@return whether the last readings before mixing stand still} */
    public Settled settledBefore() {
        return Settled.before(this);
    }

    /** {@return whether the first readings after the rise stand still} */
    public Settled settledAtEnd() {
        return Settled.after(this);
    }

    /** {@return whether the rise took longer than to the first reading after mixing} */
    public boolean slow() {
        return fit.hasTail();
    }

    /** {@return time from mixing from which the readings follow the cooling curve (s)} */
    public double settledAfter() {
        return seconds[settledFrom()];
    }

    /**
     * {@return when the temperature began to change (s from the mark, negative before it), where that is not at the
     * mark}
     */
    public OptionalDouble begins() {
        return Beginning.of(this);
    }

    /** {@return the part of the change that may still have been to come after the last reading} */
    public double stillToCome() {
        return loss().stillToCome();
    }

    /** {@return how late the heat came, or the thermometer followed, in the mean (s)} */
    public double meanDelay() {
        return late / (fit.at(LossModel.END) - fit.at(LossModel.START));
    }

    /** {@return Newton's time constant of the calorimeter (s)} */
    public double coolingTime() {
        return 1 / fit.rate();
    }

    /** Whether there is enough on both sides for a cooling curve. */
    boolean enough() {
        int fore = 0;
        int after = 0;
        for (int i = 0; i < counts.length; i++) {
            fore += counts[i] && i < before ? 1 : 0;
            after += counts[i] && i >= before ? 1 : 0;
        }
        return fore >= 2 && after >= (fit.hasTail() ? 2 + FEWEST : FEWEST);
    }

    boolean alone(int i) {
        return alone[i];
    }

    boolean spike(int i) {
        return spikes[i];
    }

    /** {@return readings that lie off by themselves, in order of time} */
    public List<Reading> spikes() {
        List<Reading> all = new ArrayList<>();
        for (int i = 0; i < spikes.length; i++) {
            if (spikes[i]) {
                all.add(new Reading(seconds[i] + curve.mixing(), temperatures[i]));
            }
        }
        return List.copyOf(all);
    }

    /**
     * Whether more than half of neighbouring readings are the same: the display is coarse, and they share its rounding.
     */
    boolean coarse() {
        return coarse;
    }

    /** Where the display is coarse: how many readings after mixing show the same before it steps on; 1 otherwise. */
    double readingsToAStep() {
        int steps = 1;
        for (int i = before + 1; i < temperatures.length; i++) {
            steps += temperatures[i] == temperatures[i - 1] ? 0 : 1;
        }
        return coarse ? (double) (temperatures.length - before) / steps : 1;
    }

    private boolean mostlyTheSame() {
        int pairs = 0;
        int same = 0;
        for (int i = 1; i < counts.length; i++) {
            if (counts[i] && counts[i - 1] && i != before) {
                pairs++;
                same += temperatures[i] == temperatures[i - 1] ? 1 : 0;
            }
        }
        return 2 * same > pairs;
    }
}
