package lab.sassafras.hour;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Line;

/**
 * How a bench stands at a moment, from its sheet alone: no result is worked out.
 *
 * @param bench    its name
 * @param sight    what the sheet of its run tells; empty where it began none
 * @param last     value that was recorded last; empty where none was
 * @param lastAt   when that was, or when its run was begun
 * @param raised   since when its hand is raised; empty where it is not
 * @param waits    times it waits by, with when each is over
 * @param median   how long this class takes for the step in hand; empty where too few took it
 * @param expected final temperature its plan expects (°C); empty without one
 * @param now      the moment
 */
public record BenchNow(
        String bench,
        Optional<Sight> sight,
        Optional<Line> last,
        Instant lastAt,
        Optional<Instant> raised,
        Map<String, Instant> waits,
        Optional<Duration> median,
        OptionalDouble expected,
        Instant now) {

    /** Nobody is silent before so long (the issue’s own limit). */
    private static final Duration AT_LEAST = Duration.ofMinutes(3);
    /** Silent is whoever takes so many times as long as is usual. */
    private static final int TIMES = 2;
    /** The range of an instrument is about to end within so much of it (a part of one; no source). */
    private static final double NEAR = 0.05;

    /**
     * Keeps copies of what could change.
     *
     * @param bench    its name
     * @param sight    what the sheet of its run tells
     * @param last     value that was recorded last
     * @param lastAt   when that was
     * @param raised   since when its hand is raised
     * @param waits    times it waits by
     * @param median   how long this class takes for the step in hand
     * @param expected final temperature its plan expects (°C)
     * @param now      the moment
     */
    public BenchNow {
        waits = Map.copyOf(waits);
    }

    /**
     * {@return the same where the class takes so long for the step in hand}
     *
     * @param usual how long; empty where too few took it
     */
    public BenchNow taking(Optional<Duration> usual) {
        return new BenchNow(bench, sight, last, lastAt, raised, waits, usual, expected, now);
    }

    /** {@return the step in hand of the last trial; empty where all is read} */
    public Optional<Tasks.Ask> next() {
        return sight.flatMap(Sight::next);
    }

    /** {@return its procedure, step by step, as far as the last trial came} */
    public List<Sight.Leaf> leaves() {
        return sight.map(Sight::leaves).orElse(List.of());
    }

    /** {@return the sheet of its run; empty where it began none} */
    public Optional<Sheet> sheet() {
        return sight.map(Sight::sheet);
    }

    /** {@return what of it needs a look} */
    public List<Concern> concerns() {
        List<Concern> all = new ArrayList<>();
        sight.ifPresent(of -> {
            of.unticked().ifPresent(words -> all.add(concern(Concern.Kind.CAUTION, words, lastAt)));
            of.cannotBe().ifPresent(words -> all.add(concern(Concern.Kind.CANNOT_BE, words, lastAt)));
            range(of.sheet()).ifPresent(words -> all.add(concern(Concern.Kind.RANGE, words, lastAt)));
        });
        raised.ifPresent(since -> all.add(concern(Concern.Kind.RAISED, "hand raised", since)));
        waits.entrySet().stream()
                .filter(each -> !each.getValue().isAfter(now))
                .min(Map.Entry.comparingByValue())
                .ifPresent(each -> all.add(concern(Concern.Kind.WAIT_OVER, each.getKey() + ": over", each.getValue())));
        silent().ifPresent(words -> all.add(concern(Concern.Kind.SILENT, words, lastAt)));
        return all;
    }

    private Concern concern(Concern.Kind kind, String words, Instant since) {
        return new Concern(bench, kind, words, since);
    }

    /** The thermometer read last, where its range ends soon, or where the plan says that it will not do. */
    private Optional<String> range(Sheet of) {
        Figures figures = of.setting().figures();
        return last.filter(line -> line.unit()
                        .map(BenchUnit::dimension)
                        .filter(Dimension.TEMPERATURE::equals)
                        .isPresent())
                .filter(any -> next().isPresent())
                .flatMap(line -> line.instrument().flatMap(on -> {
                    double high = on.high();
                    double near = NEAR * (high - on.low());
                    double value = line.value();
                    if (expected.isPresent() && !on.covers(expected.getAsDouble())) {
                        boolean above = expected.getAsDouble() > high;
                        return Optional.of("range of " + on.name() + (above ? " ends at " : " begins at ")
                                + figures.plain(above ? high : on.low()) + " °C, and "
                                + figures.fixed(expected.getAsDouble(), 0) + " °C are expected: it will not do");
                    }
                    return !on.covers(value)
                            ? Optional.empty()
                            : value > high - near || value < on.low() + near
                                    ? Optional.of(ends(on, value > high - near, value, figures))
                                    : Optional.empty();
                }));
    }

    private static String ends(Instrument on, boolean above, double value, Figures figures) {
        return figures.fixed(value, 1) + " °C: range of " + on.name() + (above ? " ends at " : " begins at ")
                + figures.plain(above ? on.high() : on.low()) + " °C";
    }

    private Optional<String> silent() {
        Optional<Tasks.Ask> in = next();
        if (in.isEmpty() || waits.values().stream().anyMatch(over -> over.isAfter(now))) {
            return Optional.empty();
        }
        Duration usual = median.orElse(Duration.ofMinutes(1L + in.get().step().minutes()));
        Duration most = usual.multipliedBy(TIMES);
        Duration since = Duration.between(lastAt, now);
        return since.compareTo(most.compareTo(AT_LEAST) > 0 ? most : AT_LEAST) > 0
                ? Optional.of("nothing for " + since.toMinutes() + " min")
                : Optional.empty();
    }
}
