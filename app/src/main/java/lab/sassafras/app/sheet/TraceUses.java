package lab.sassafras.app.sheet;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Trace;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Filling;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Span;
import lab.sassafras.experiment.TraceUse;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Keeps from which stretch of which readings a trial is read. What it said before is struck out with the reason. */
@Component
public class TraceUses {

    private final LabBook book;
    private final EntrySheets sheets;

    TraceUses(LabBook book, EntrySheets sheets) {
        this.book = book;
        this.sheets = sheets;
    }

    /**
     * Keeps a use of readings in the place of the one that stands.
     *
     * @throws Refused where those readings are not at this bench, or something is not ticked off that comes before mixing
     */
    public void keep(UUID key, EntrySheet entry, int trial, TraceUse use, String reason, Bench bench) {
        Address address = place(entry, trial);
        Optional<Observation> before = standing(entry, address);
        if (before.filter(each -> each.text().equals(use.text())).isPresent()) {
            return;
        }
        beforeMixing(entry, trial);
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        Filling filling = entry.readback().filling(sheets.open(entry, slot));
        Intake.Answer answer = new Intake.Answer(use.text(), null, Optional.empty(), null, bench.name());
        Line line = before.filter(each -> filling.stands(each.id()))
                .map(each -> filling.correct(each.id(), UUID.randomUUID(), address, Role.STATED, answer))
                .orElseGet(() -> filling.take(UUID.randomUUID(), address, Role.STATED, answer));
        book.keep(key, entry.entry().id(), given(address, line.text(), bench, before, reason));
    }

    /**
     * The sheet as it would be with another use in the place of the one that stands; nothing is kept.
     *
     * @throws Refused where those readings are not at this bench
     */
    public Sheet tried(EntrySheet entry, int trial, TraceUse use) {
        Address address = place(entry, trial);
        boolean sameReadings = Clocks.use(entry, trial)
                .filter(each -> each.trace().equals(use.trace()))
                .isPresent();
        Slot slot = entry.experiment().slot(address.path()).orElseThrow();
        Filling filling = entry.readback().filling(sameReadings ? entry.sheet().setting() : sheets.open(entry, slot));
        Intake.Answer answer = new Intake.Answer(use.text(), null, Optional.empty(), null, "");
        standing(entry, address)
                .filter(each -> filling.stands(each.id()))
                .ifPresentOrElse(
                        each -> filling.correct(each.id(), UUID.randomUUID(), address, Role.STATED, answer),
                        () -> filling.take(UUID.randomUUID(), address, Role.STATED, answer));
        return filling.sheet().with(entry.sheet().setting());
    }

    /**
     * Keeps two temperatures picked from a curve as the readings before and after mixing.
     *
     * @throws Refused where one cannot stand there; nothing is kept then
     */
    @Transactional
    public void pick(EntrySheet entry, int trial, String start, String end, Bench bench) {
        beforeMixing(entry, trial);
        Span span = entry.experiment().span().orElseThrow();
        Filling filling = entry.readback().filling(entry.sheet().setting());
        for (String[] each : new String[][] {{span.start(), start}, {span.end(), end}}) {
            Address address = Address.of(each[0], trial);
            Optional<Observation> before = standing(entry, address).filter(old -> filling.stands(old.id()));
            if (before.filter(old -> old.text().equals(each[1])).isPresent()) {
                continue;
            }
            Intake.Answer answer = new Intake.Answer(
                    each[1], BenchUnit.DEGREES_CELSIUS.symbol(), Optional.empty(), null, bench.name());
            Line line = before.map(old -> filling.correct(old.id(), UUID.randomUUID(), address, Role.READ, answer))
                    .orElseGet(() -> filling.take(UUID.randomUUID(), address, Role.READ, answer));
            book.keep(
                    UUID.randomUUID(),
                    entry.entry().id(),
                    new Observation.Given(
                            address.toString(),
                            Role.READ.key(),
                            line.text(),
                            BenchUnit.DEGREES_CELSIUS.symbol(),
                            Optional.empty(),
                            null,
                            bench.name(),
                            before.map(Observation::id),
                            before.isPresent() ? "picked otherwise from the curve" : null));
        }
    }

    private static void beforeMixing(EntrySheet entry, int trial) {
        entry.experiment().mixing().ifPresent(path -> Ticks.check(entry, Address.of(path, trial)));
    }

    /** Keeps on which clock a trial, or a temperature by its trend, is read. */
    public void name(EntrySheet entry, Address address, Trace trace, Bench bench) {
        book.decide(
                Optional.of(entry.entry().id()),
                Decision.Kind.CLOCK,
                address.toString(),
                trace.id().toString(),
                "read on this clock",
                bench.name());
    }

    /** Strikes the use out that stands, if one does. */
    public void strike(EntrySheet entry, int trial, String reason, Bench bench) {
        Address address = place(entry, trial);
        standing(entry, address)
                .ifPresent(each -> book.keep(
                        UUID.randomUUID(), entry.entry().id(), given(address, "", bench, Optional.of(each), reason)));
    }

    private static Observation.Given given(
            Address address, String text, Bench bench, Optional<Observation> before, String reason) {
        return new Observation.Given(
                address.toString(),
                Role.STATED.key(),
                text,
                null,
                Optional.empty(),
                null,
                bench.name(),
                before.map(Observation::id),
                before.isPresent() ? reason : null);
    }

    private static Address place(EntrySheet entry, int trial) {
        return Clocks.placeOf(entry, trial).orElseThrow(() -> new Refused("This experiment reads nothing on a clock."));
    }

    private static Optional<Observation> standing(EntrySheet entry, Address address) {
        return entry.observations().standingAt(address.toString()).stream().reduce((earlier, later) -> later);
    }
}
