package lab.sassafras.app.bench;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Trend;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Filling;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Slot;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Temperatures beside the calorimeter's that change while a hand waits, such as a poured bath's: read from their trend. */
@Component
@Transactional
class Trends {

    private static final double USUAL_DISPLAY = 0.1;

    private final LabBook book;
    private final Clocks clocks;
    private final Instruments instruments;
    private final WaitScreen waits;

    Trends(LabBook book, Clocks clocks, Instruments instruments, WaitScreen waits) {
        this.book = book;
        this.clocks = clocks;
        this.instruments = instruments;
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
            Trend trend = at(readings.get(), Math.rint(moment.get()));
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

    private Trend at(ClockReadings readings, double seconds) {
        return Trend.at(
                readings.counting(),
                seconds,
                readings.trace()
                        .instrumentId()
                        .flatMap(instruments::find)
                        .map(Instrument::resolution)
                        .orElse(USUAL_DISPLAY));
    }

    private static String written(Trend trend, Figures figures) {
        return figures.fixed(trend.temperature(), 2);
    }

    /**
     * Writes down where the trend stood.
     *
     * @param seconds the moment, on its clock (s)
     * @throws Refused where the readings do not reach so far, or something stands there already
     */
    void keep(EntrySheet entry, Address place, double seconds, Bench bench) {
        Ticks.check(entry, place);
        Slot slot = slot(entry, place);
        ClockReadings readings =
                clocks.trend(entry, place).orElseThrow(() -> new NotFound("Nothing was read on a clock there."));
        Trend trend = at(readings, seconds);
        Figures figures = entry.entry().period().figures();
        Optional<Observation> before =
                entry.observations().standingAt(place.toString()).stream().reduce((earlier, later) -> later);
        String uncertainty = figures.fixed(trend.uncertainty(), 3);
        String unit = slot.unit(Role.TREND).map(BenchUnit::symbol).orElse(null);
        String text = written(trend, figures);
        Intake.Answer answer = new Intake.Answer(
                text, unit, readings.trace().instrumentId().flatMap(instruments::find), uncertainty, bench.name());
        Filling filling = entry.readback().filling(entry.sheet().setting());
        before.filter(each -> filling.stands(each.id()))
                .ifPresentOrElse(
                        each -> filling.correct(each.id(), UUID.randomUUID(), place, Role.TREND, answer),
                        () -> filling.take(UUID.randomUUID(), place, Role.TREND, answer));
        book.keep(
                UUID.randomUUID(),
                entry.entry().id(),
                new Observation.Given(
                        place.toString(),
                        Role.TREND.key(),
                        text,
                        unit,
                        readings.trace().instrumentId(),
                        uncertainty,
                        bench.name(),
                        before.map(Observation::id),
                        before.isPresent() ? "read from its trend at " + ClockTime.write(seconds) : null));
    }

    /** The slot a trend is read for. @throws NotFound where there is none */
    static Slot slot(EntrySheet entry, Address place) {
        return entry.experiment()
                .slot(place.path())
                .filter(each -> each.roles().contains(Role.TREND))
                .orElseThrow(() -> new NotFound("Nothing there is read from a trend."));
    }
}
