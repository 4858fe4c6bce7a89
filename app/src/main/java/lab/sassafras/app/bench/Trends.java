package lab.sassafras.app.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Trend;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import org.springframework.stereotype.Component;

/**
 * Temperatures beside the calorimeter's that change while a hand waits, such as a poured bath's: read from their trend.
 */
@Component
class Trends {

    private final Clocks clocks;
    private final WaitScreen waits;

    Trends(Clocks clocks, WaitScreen waits) {
        this.clocks = clocks;
        this.waits = waits;
    }

    /**
     * A trend as the page shows it.
     *
     * @param at    address it is read for
     * @param label what is read
     * @param time  the moment it is read at, as written; empty while nothing was read
     * @param says  where it stood then, in a sentence; or why that cannot be told
     * @param told  whether it can be written down
     * @param kept  what stands on the sheet already; empty where nothing does
     */
    public record View(String at, String label, String time, String says, boolean told, String kept) {}

    View view(EntrySheet entry, int trial, Address place) {
        slot(entry, place);
        Optional<ClockReadings> readings =
                clocks.trend(entry, place).filter(each -> !each.counting().isEmpty());
        Optional<Double> moment = readings.map(each -> moment(entry, trial, each));
        String label = entry.experiment().words().label(place.path());
        String kept = entry.observations().standingAt(place.toString()).stream()
                .reduce((earlier, later) -> later)
                .map(Observation::text)
                .orElse("");
        if (readings.isEmpty()) {
            return new View(place.toString(), label, "", "", false, kept);
        }
        String time = ClockTime.write(Math.rint(moment.orElseThrow()));
        Figures figures = entry.entry().period().figures();
        try {
            Trend trend = clocks.trendAt(readings.get(), Math.rint(moment.get()));
            String says = "At " + time + " it stood at " + written(trend, figures) + " ± "
                    + figures.significant(trend.uncertainty(), 2) + " °C, by the trend of " + trend.readings()
                    + " readings.";
            return new View(place.toString(), label, time, says, true, kept);
        } catch (Refused refused) {
            return new View(
                    place.toString(),
                    label,
                    time,
                    Optional.ofNullable(refused.getMessage()).orElse(""),
                    false,
                    kept);
        }
    }

    /** The moment of mixing on this clock, where it is marked; else the last reading. */
    private double moment(EntrySheet entry, int trial, ClockReadings readings) {
        Instant begun = readings.trace().begunAt();
        return waits.mixedAt(entry, trial)
                .map(mixed -> Duration.between(begun, mixed).toMillis() / 1000.0)
                .filter(each -> each > 0)
                .orElseGet(() ->
                        readings.counting().get(readings.counting().size() - 1).seconds());
    }

    private static String written(Trend trend, Figures figures) {
        return figures.fixed(trend.temperature(), 2);
    }

    /** The slot a trend is read for. @throws NotFound where there is none */
    static Slot slot(EntrySheet entry, Address place) {
        return entry.experiment()
                .slot(place.path())
                .filter(each -> each.roles().contains(Role.TREND))
                .orElseThrow(() -> new NotFound("Nothing there is read from a trend."));
    }
}
