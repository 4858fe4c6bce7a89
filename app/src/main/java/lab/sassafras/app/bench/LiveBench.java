package lab.sassafras.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import lab.sassafras.app.chart.LivePicture;
import lab.sassafras.app.probes.Place;
import lab.sassafras.app.probes.ProbePlace;
import lab.sassafras.app.probes.ProbeStretch;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Steady;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import org.springframework.stereotype.Component;

/** Gathers what the page of a live curve shows: the readings of every probe of a bench, on the clock of a trial. */
@Component
class LiveBench {

    /** So much is shown while the page moves on with the time, and so much of it is still to come (s). No source. */
    private static final double SHOWN = 600;

    private static final double TO_COME = 60;
    /** No more stretches of probes than these newest are looked through. */
    private static final int MOST_STRETCHES = 64;

    private static final int MOST_DECIMALS = 4;

    private final Clocks clocks;
    private final Traces traces;
    private final Arrivals arrivals;
    private final Probes probes;
    private final Clock clock;

    LiveBench(Clocks clocks, Traces traces, Arrivals arrivals, Probes probes, Clock clock) {
        this.clocks = clocks;
        this.traces = traces;
        this.arrivals = arrivals;
        this.probes = probes;
        this.clock = clock;
    }

    /** What part of the time is wished for; where none is, the page moves on with it. */
    record Wish(Optional<Double> from, Optional<Double> to, boolean whole) {

        boolean following() {
            return from.isEmpty() && to.isEmpty() && !whole;
        }
    }

    /**
     * A probe of the bench as it is now.
     *
     * @param name     it is called
     * @param standing where it stands
     * @param parts    its stretches, in order of time
     * @param readings of them on the clock of the page, in order of time
     */
    record Series(String name, ProbePlace.Standing standing, List<Trace> parts, List<Reading> readings) {

        Trace newest() {
            return parts.get(parts.size() - 1);
        }

        Optional<Reading> last() {
            return readings.isEmpty() ? Optional.empty() : Optional.of(readings.get(readings.size() - 1));
        }

        /** Those of the last while (s). */
        List<Reading> latest(double seconds) {
            double from = last().map(Reading::seconds).orElse(0.0) - seconds;
            int first = readings.size();
            while (first > 0 && readings.get(first - 1).seconds() >= from) {
                first--;
            }
            return readings.subList(first, readings.size());
        }

        /** A temperature with as many figures as its display has. */
        String written(double temperature, Figures figures) {
            return figures.fixed(temperature, decimals());
        }

        int decimals() {
            return (int) Math.max(0, Math.min(MOST_DECIMALS, Math.round(-Math.log10(Steady.step(latest(60))))));
        }

        double display(Instruments instruments) {
            return newest().instrumentId()
                    .flatMap(instruments::find)
                    .map(Instrument::resolution)
                    .orElseGet(() -> Steady.step(latest(60)));
        }
    }

    /**
     * A bench as it is now.
     *
     * @param row    number of the newest row of readings when it was gathered
     * @param origin the trace on whose clock times are told
     * @param own    readings of the trial; empty where they are not read yet
     * @param series every probe, that of the trial first
     * @param now    (s)
     * @param mixing when both came together (s)
     * @param room   temperature of the room (°C)
     */
    record Now(
            long row,
            Trace origin,
            Optional<ClockReadings> own,
            List<Series> series,
            double now,
            OptionalDouble mixing,
            OptionalDouble room) {

        LivePicture.Look look(Wish wish) {
            double begins = wish.whole()
                    ? series.stream()
                            .flatMap(each -> each.readings().stream().limit(1))
                            .mapToDouble(Reading::seconds)
                            .min()
                            .orElse(0)
                    : 60 * Math.floor(Math.max(Math.min(0, now), now - SHOWN + TO_COME) / 60);
            double first = wish.from().orElse(Math.min(begins, now));
            double last = wish.to().orElse(wish.whole() ? Math.max(begins + SHOWN, now + TO_COME) : begins + SHOWN);
            List<LivePicture.Probe> all = pictured();
            return LivePicture.Look.around(first, Math.max(last, first + 10), all);
        }

        List<LivePicture.Probe> pictured() {
            return series.stream()
                    .map(each -> new LivePicture.Probe(each.name(), each.readings()))
                    .toList();
        }

        /** Which probe each trace is of, and when it began on the clock of the page. */
        Map<UUID, LiveFrames.Part> parts() {
            Map<UUID, LiveFrames.Part> parts = new HashMap<>();
            for (int i = 0; i < series.size(); i++) {
                for (Trace each : series.get(i).parts()) {
                    parts.put(each.id(), new LiveFrames.Part(i, begun(origin, each)));
                }
            }
            return parts;
        }
    }

    private static double begun(Trace origin, Trace other) {
        return Duration.between(origin.begunAt(), other.begunAt()).toMillis() / 1000.0;
    }

    /** {@return the bench as it is now; empty where nothing pushed temperatures to it} */
    Optional<Now> now(LivePlace place) {
        long row = arrivals.newest();
        Optional<ClockReadings> own = place.entry().flatMap(entry -> clocks.of(entry, place.trial()));
        List<Trace> pushed = traces.of(place.bench()).stream()
                .filter(each -> each.channel().equals(Trace.PROBE) && each.ofTemperature())
                .limit(MOST_STRETCHES)
                .toList();
        Optional<Trace> origin =
                own.map(ClockReadings::trace).or(() -> pushed.stream().findFirst());
        return origin.map(from -> {
            double now = Duration.between(from.begunAt(), clock.instant()).toMillis() / 1000.0;
            List<Series> series = series(from, own, pushed);
            double last = series.stream()
                    .flatMap(each -> each.last().stream())
                    .mapToDouble(Reading::seconds)
                    .max()
                    .orElse(now);
            return new Now(
                    row,
                    from,
                    own,
                    series,
                    // a run that is over is shown as it ended
                    now - last > SHOWN ? last : now,
                    place.entry()
                            .flatMap(entry -> Clocks.mixed(entry, place.trial()))
                            .map(OptionalDouble::of)
                            .orElse(OptionalDouble.empty()),
                    room(place.period(), series));
        });
    }

    private List<Series> series(Trace origin, Optional<ClockReadings> own, List<Trace> pushed) {
        Map<String, List<Trace>> byProbe = new LinkedHashMap<>();
        List<Trace> inOrder = new ArrayList<>(pushed);
        own.map(ClockReadings::trace)
                .filter(each -> pushed.stream().noneMatch(other -> other.id().equals(each.id())))
                .ifPresent(inOrder::add);
        inOrder.sort(Comparator.comparing(Trace::begunAt));
        byProbe.put(identity(origin), new ArrayList<>());
        inOrder.forEach(each -> byProbe.computeIfAbsent(identity(each), any -> new ArrayList<>())
                .add(each));
        List<Series> series = new ArrayList<>();
        byProbe.values().forEach(parts -> {
            List<Reading> readings = new ArrayList<>();
            for (Trace part : parts) {
                double begun = begun(origin, part);
                for (TraceChunk.Read each : traces.readings(part.id())) {
                    readings.add(new Reading(begun + each.seconds(), each.temperature()));
                }
            }
            readings.sort(Comparator.comparingDouble(Reading::seconds));
            series.add(new Series(
                    name(parts.get(0)),
                    probes.standing(parts.get(parts.size() - 1).id()).orElse(ProbePlace.Standing.UNSAID),
                    parts,
                    readings));
        });
        return series;
    }

    /** What two stretches have in common that one probe pushed. */
    private String identity(Trace trace) {
        return probes.of(trace.id())
                .map(ProbeStretch::identity)
                .orElse(trace.id().toString());
    }

    private static String name(Trace trace) {
        return trace.channel().equals(Trace.PROBE) ? trace.source() : "typed readings";
    }

    /** By a probe in the air, or else as it was read last in the period. */
    private OptionalDouble room(Period period, List<Series> series) {
        OptionalDouble probe = series.stream()
                .filter(each -> each.standing().place().equals(Optional.of(Place.ROOM)))
                .flatMap(each -> each.last().stream())
                .mapToDouble(Reading::temperature)
                .findFirst();
        return probe.isPresent()
                ? probe
                : traces.room(period).stream()
                        .mapToDouble(TraceChunk.Read::temperature)
                        .reduce((earlier, later) -> later);
    }
}
