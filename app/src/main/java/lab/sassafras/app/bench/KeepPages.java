package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.door.PlainWords;
import lab.sassafras.app.door.WhoIsHere;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Doubt;
import lab.sassafras.experiment.Filling;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Slot;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;

/** What the bench tells, kept as it is given; what was told before, struck out with a reason. */
@Controller
class KeepPages {

    static final int LONGEST_REASON = 200;

    private static final Duration LONGEST_WAIT = Duration.ofHours(12);

    private final LabBook book;
    private final EntrySheets sheets;
    private final RunScreen screens;
    private final Instruments instruments;
    private final WhoIsHere who;
    private final Clock clock;

    KeepPages(
            LabBook book, EntrySheets sheets, RunScreen screens, Instruments instruments, WhoIsHere who, Clock clock) {
        this.book = book;
        this.sheets = sheets;
        this.screens = screens;
        this.instruments = instruments;
        this.who = who;
        this.clock = clock;
    }

    @PostMapping("/entries/{id}/observations")
    String keep(
            @PathVariable UUID id,
            @ModelAttribute Typed typed,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Bench bench = who.benchOrAsk(request);
        EntrySheet entry = screens.entry(id);
        Optional<Observation> struck = Optional.ofNullable(typed.supersedes()).flatMap(entry.observations()::find);
        if (struck.isPresent() && typed.words().isEmpty()) {
            return strike(entry, struck.get(), typed, bench, response, model);
        }
        Address address = Address.read(typed.at());
        Optional<Sheet.Ask> asked = asked(entry, address, typed.role());
        try {
            Taken taken = accept(entry, address, typed, bench);
            if (taken.question().isPresent() && !typed.confirmed()) {
                return questioned(entry, asked, address, typed, taken.question().get(), response, model);
            }
            book.keep(typed.identity(), id, taken.given());
        } catch (Refused | DataAccessException | TransactionException failed) {
            return refused(entry, asked, address, typed, failed, response, model);
        }
        if (asked.filter(ask -> ask.step().aside() && !entry.sheet().done(ask)).isPresent()) {
            return "redirect:/entries/" + id + "?trial="
                    + RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        }
        boolean half = Role.of(typed.role()).filter(Role::half).isPresent();
        return "redirect:/entries/" + id + "?after=" + written(address) + (half ? "&way=" + typed.role() : "");
    }

    private static String written(Address address) {
        return address.toString().replace("[", "%5B").replace("]", "%5D");
    }

    private static Optional<Sheet.Ask> asked(EntrySheet entry, Address address, String role) {
        int trial = RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        return new WrittenSheet(entry, trial).ask(address, Role.of(role));
    }

    /** A value and what there is to ask about it. */
    private record Taken(Observation.Given given, Optional<String> question) {}

    /** Asks once, and keeps nothing yet; another button than the one that was pressed keeps it as it is. */
    private String questioned(
            EntrySheet entry,
            Optional<Sheet.Ask> asked,
            Address address,
            Typed typed,
            String question,
            HttpServletResponse response,
            Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        int trial = RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        return screens.render(
                entry,
                RunScreen.View.asking(trial, asked, Role.of(typed.role())).questioning(typed, question),
                model);
    }

    private String refused(
            EntrySheet entry,
            Optional<Sheet.Ask> asked,
            Address address,
            Typed typed,
            RuntimeException failed,
            HttpServletResponse response,
            Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        int trial = RunScreen.trialOf(entry, Optional.empty(), Optional.of(address));
        return screens.render(
                entry,
                RunScreen.View.asking(trial, asked, Role.of(typed.role())).refusing(typed, PlainWords.of(failed)),
                model);
    }

    /**
     * Strikes a value out and puts nothing in its place, whatever it was and whether or not this version can read it.
     */
    private String strike(
            EntrySheet entry, Observation struck, Typed typed, Bench bench, HttpServletResponse response, Model model) {
        Optional<Sheet.Ask> asked = place(entry, struck);
        try {
            String reason = reason(typed);
            if (entry.unreadable(struck).isEmpty() && entry.observations().stands(struck)) {
                entry.readback().filling(entry.sheet().setting()).strike(struck.id());
            }
            book.keep(
                    typed.identity(),
                    entry.entry().id(),
                    new Observation.Given(
                            struck.address(),
                            struck.role(),
                            "",
                            null,
                            Optional.empty(),
                            null,
                            bench.name(),
                            Optional.of(struck.id()),
                            reason));
        } catch (Refused | DataAccessException | TransactionException failed) {
            if (asked.isPresent()) {
                return refused(entry, asked, asked.get().address(), typed, failed, response, model);
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return screens.render(
                    entry,
                    RunScreen.View.asking(1, Optional.empty(), Optional.empty()).refusing(typed, PlainWords.of(failed)),
                    model);
        }
        return "redirect:/entries/" + entry.entry().id()
                + asked.map(ask -> "?after=" + written(ask.address())).orElse("");
    }

    /** Where a kept value is asked for now, if it is. */
    private static Optional<Sheet.Ask> place(EntrySheet entry, Observation observation) {
        return WrittenSheet.address(observation)
                .flatMap(address -> IntStream.rangeClosed(1, entry.sheet().trials())
                        .mapToObj(trial -> new WrittenSheet(entry, trial).ask(address, Role.of(observation.role())))
                        .flatMap(Optional::stream)
                        .findFirst());
    }

    private static String reason(Typed typed) {
        String reason = typed.reason() == null ? "" : typed.reason().strip();
        if (reason.isEmpty()) {
            throw new Refused("Say why the value is struck out. The old one stays visible with the reason.");
        }
        return Names.checked(reason, "A reason", LONGEST_REASON);
    }

    private Taken accept(EntrySheet entry, Address address, Typed typed, Bench bench) {
        Ticks.check(entry, address);
        Role role = Role.of(typed.role()).orElseThrow(() -> new Refused("Say how the value was got."));
        @Nullable String reason = typed.correcting() ? reason(typed) : null;
        Slot slot = entry.experiment()
                .slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place of that name."));
        boolean marked = slot.field() == Slot.Field.MOMENT && typed.words().isEmpty();
        Line line = taken(
                entry,
                address,
                role,
                new Intake.Answer(
                        marked ? moment(typed) : typed.words(),
                        typed.unit(),
                        Optional.ofNullable(typed.instrument()).flatMap(instruments::find),
                        typed.uncertainty(),
                        bench.name()),
                typed.supersedes(),
                slot);
        Observation.Given given = new Observation.Given(
                address.toString(),
                role.key(),
                line.text(),
                line.unit().map(unit -> unit.symbol()).orElse(null),
                line.instrument().map(each -> UUID.fromString(each.key())),
                line.uncertainty().isPresent() && typed.uncertainty() != null
                        ? typed.uncertainty().strip()
                        : null,
                bench.name(),
                Optional.ofNullable(typed.supersedes()),
                reason);
        return new Taken(
                given,
                Doubt.about(entry.sheet(), line)
                        .or(() -> marked ? Optional.empty() : Doubt.readBack(entry.sheet(), line, typed.words())));
    }

    /** The moment a button was pressed, which may lie back where the page could not send at once. */
    private String moment(Typed typed) {
        long ago = typed.ago() == null ? 0 : Math.max(0, Math.min(typed.ago(), LONGEST_WAIT.toMillis()));
        return clock.instant().minusMillis(ago).truncatedTo(ChronoUnit.MILLIS).toString();
    }

    /** What was typed as a line; what it corrects is struck out first, where it can be read and still stands. */
    private Line taken(
            EntrySheet entry, Address address, Role role, Intake.Answer given, @Nullable UUID corrected, Slot slot) {
        Filling filling = entry.readback().filling(sheets.open(entry, slot));
        return corrected != null && filling.stands(corrected)
                ? filling.correct(corrected, UUID.randomUUID(), address, role, given)
                : filling.take(UUID.randomUUID(), address, role, given);
    }
}
