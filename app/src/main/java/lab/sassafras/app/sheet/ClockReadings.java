package lab.sassafras.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.TimeBudget;

/**
 * The readings of one trace as they stand: of two at one instant the later given counts, and what was set aside does
 * not.
 *
 * @param trace it is
 * @param lines in order of time
 */
public record ClockReadings(Trace trace, List<Line> lines) {

    public ClockReadings {
        lines = List.copyOf(lines);
    }

    /** Whether a reading counts. */
    public enum State {
        COUNTS,
        /** Another was given for the same instant later. */
        AGAIN,
        ASIDE,
        /** No clock and thermometer can have shown it. */
        IMPOSSIBLE
    }

    /** A reading with what became of it; the reason is empty where it counts. */
    public record Line(TraceChunk.Read read, State state, String reason) {

        public double seconds() {
            return read.seconds();
        }

        /** Its time as it is written. */
        public String time() {
            return ClockTime.write(read.seconds());
        }

        /** As it was typed, or as a probe gave it. */
        public String text(Figures figures) {
            return read.text().orElseGet(() -> figures.plain(read.temperature()));
        }

        public boolean counts() {
            return state == State.COUNTS;
        }
    }

    static ClockReadings of(Trace trace, List<TraceChunk.Read> readings, Decisions decisions) {
        Map<String, Decision> aside = decisions.readingsAside(trace.id());
        List<Line> lines = new ArrayList<>();
        for (int i = 0; i < readings.size(); i++) {
            if (i % 1000 == 0) {
                TimeBudget.check();
            }
            TraceChunk.Read each = readings.get(i);
            Optional<Decision> out = aside.isEmpty()
                    ? Optional.empty()
                    : Optional.ofNullable(aside.get(Decisions.reading(trace.id(), each.seconds())));
            if (i + 1 < readings.size() && readings.get(i + 1).seconds() == each.seconds()) {
                lines.add(new Line(each, State.AGAIN, "typed again"));
            } else if (!new Reading(each.seconds(), each.temperature()).possible()) {
                lines.add(new Line(each, State.IMPOSSIBLE, "no such temperature"));
            } else {
                lines.add(out.map(why -> new Line(each, State.ASIDE, why.reason()))
                        .orElse(new Line(each, State.COUNTS, "")));
            }
        }
        return new ClockReadings(trace, lines);
    }

    /** Those between two seconds of it. */
    ClockReadings between(double from, double to) {
        return new ClockReadings(
                trace,
                lines.stream()
                        .filter(each -> each.seconds() >= from && each.seconds() <= to)
                        .toList());
    }

    /** Those that count. */
    public List<Reading> counting() {
        return lines.stream()
                .filter(Line::counts)
                .map(each -> new Reading(each.seconds(), each.read().temperature()))
                .toList();
    }

    /** How many can never have been. */
    public int impossible() {
        return (int)
                lines.stream().filter(each -> each.state() == State.IMPOSSIBLE).count();
    }

    /** How far the computer's clock leapt forward while they were read (s), in all; 0 where it did not. */
    public double leapt() {
        return lines.stream().mapToDouble(each -> each.read().leapt()).sum();
    }

    /** The reading that stands at an instant. */
    public Optional<Line> at(double seconds) {
        return lines.stream()
                .filter(each -> each.seconds() == seconds && each.state() != State.AGAIN)
                .findFirst();
    }

    /** The second of the reading whose time is written so. */
    public Optional<Double> written(String time) {
        return lines.stream()
                .filter(each -> each.time().equals(time))
                .map(Line::seconds)
                .findFirst();
    }

    public UUID id() {
        return trace.id();
    }
}
