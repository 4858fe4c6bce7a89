package lab.sassafras.app.bench;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.probes.ProbeStretch;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Steady;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import org.springframework.stereotype.Component;

/** What the probes and balances that push to a bench show now, to be recorded as it is shown. */
@Component
class ProbesShown {

    /** What was read longer ago is not what is shown now (no source). */
    private static final Duration NOW = Duration.ofMinutes(1);

    private static final int LOOKED_AT = 200;

    private final Probes probes;
    private final Traces traces;
    private final Clock clock;

    ProbesShown(Probes probes, Traces traces, Clock clock) {
        this.probes = probes;
        this.traces = traces;
        this.clock = clock;
    }

    /**
     * What one shows.
     *
     * @param probe   what it is called
     * @param text    the number, as it would be typed
     * @param unit    it is in
     * @param settled whether it stands still
     * @param state   the same in words
     */
    public record Shown(String probe, String text, String unit, boolean settled, String state) {}

    /** {@return what those that measure something show; none where nothing pushes it} */
    List<Shown> of(Bench bench, Dimension measured, Figures figures) {
        return probes.of(bench).stream()
                .flatMap(token -> probes.stretches(token).stream())
                .flatMap(stretch -> shown(stretch, measured, figures).stream())
                .toList();
    }

    private Optional<Shown> shown(ProbeStretch stretch, Dimension measured, Figures figures) {
        Trace trace = traces.find(stretch.traceId()).orElseThrow();
        boolean sought = BenchUnit.of(trace.unit())
                .filter(unit -> unit.dimension().equals(measured))
                .isPresent();
        List<TraceChunk.Read> last = sought ? traces.latest(trace, LOOKED_AT) : List.of();
        return Stream.ofNullable(last.isEmpty() ? null : last.get(last.size() - 1))
                .filter(each -> Duration.between(trace.at(each.seconds()), clock.instant())
                                .compareTo(NOW)
                        <= 0)
                .findFirst()
                .map(each -> {
                    Steady steady = Steady.of(last.stream()
                            .map(read -> new Reading(read.seconds(), read.temperature()))
                            .toList());
                    return new Shown(
                            trace.source(),
                            figures.plain(each.temperature()),
                            trace.unit(),
                            steady.holds(),
                            steady.holds()
                                    ? "settled"
                                    : steady.readings() < 2
                                            ? "just begun"
                                            : "still moving, " + figures.signed(steady.aMinute(), 2) + " "
                                                    + trace.unit() + " a minute");
                });
    }
}
