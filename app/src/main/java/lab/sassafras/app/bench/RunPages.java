package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.door.PlainWords;
import lab.sassafras.app.door.WhoIsHere;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntryLine;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Cardinality;
import lab.sassafras.experiment.Filling;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.SheetFindings;
import lab.sassafras.experiment.Slot;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The run: one thing asked at a time, each kept as it is given. */
@Controller
class RunPages {

    static final int LONGEST_REASON = 200;

    private final LabBook book;
    private final EntrySheets sheets;
    private final Instruments instruments;
    private final WhoIsHere who;
    private final Clock clock;

    RunPages(LabBook book, EntrySheets sheets, Instruments instruments, WhoIsHere who, Clock clock) {
        this.book = book;
        this.sheets = sheets;
        this.instruments = instruments;
        this.who = who;
        this.clock = clock;
    }

    /** What a form on the run page sends. */
    public record Typed(
            UUID key,
            String at,
            String role,
            String text,
            String unit,
            UUID instrument,
            String uncertainty,
            UUID supersedes,
            String reason,
            Long ago) {

        static final Typed NOTHING = new Typed(null, "", "", "", "", null, "", null, "", null);

        boolean correcting() {
            return supersedes != null;
        }

        String words() {
            return text == null ? "" : text.strip();
        }
    }

    @GetMapping("/entries/{id}")
    String run(
            @PathVariable UUID id,
            @RequestParam Optional<Integer> trial,
            @RequestParam Optional<String> at,
            @RequestParam Optional<String> way,
            @RequestParam Optional<String> after,
            Model model) {
        EntrySheet entry = sheets.of(find(id));
        Optional<Address> past = after.map(Address::read);
        Optional<Address> wanted = at.map(Address::read)
                .or(() -> past.filter(each -> !entry.sheet().filled(each) && way.isPresent()));
        int shown = trialOf(entry, trial, wanted.or(() -> past));
        WrittenSheet screen = new WrittenSheet(entry, shown);
        Optional<Address> now = wanted.or(() -> screen.next(past));
        return show(entry, screen, shown, now, way.flatMap(Role::of), Typed.NOTHING, null, model);
    }

    private static int trialOf(EntrySheet entry, Optional<Integer> trial, Optional<Address> address) {
        int trials = entry.sheet().trials();
        return address.filter(each -> entry.experiment()
                        .group(each.group())
                        .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                        .isPresent())
                .map(Address::index)
                .or(() -> trial)
                .filter(number -> number >= 1 && number <= trials)
                .orElse(address.isPresent() ? 1 : trials);
    }

    @PostMapping("/entries/{id}/observations")
    String keep(
            @PathVariable UUID id,
            @ModelAttribute Typed typed,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        Bench bench = who.benchOrAsk(request);
        EntrySheet entry = sheets.of(find(id));
        Optional<Observation> struck = Optional.ofNullable(typed.supersedes()).flatMap(entry.observations()::find);
        if (struck.isPresent() && typed.words().isEmpty()) {
            return strike(entry, struck.get(), typed, bench, response, model);
        }
        Address address = Address.read(typed.at());
        try {
            book.keep(typed.key() == null ? UUID.randomUUID() : typed.key(), id, accept(entry, address, typed, bench));
        } catch (Refused | DataAccessException | TransactionException failed) {
            return refused(entry, address, typed, failed, response, model);
        }
        int trial = trialOf(entry, Optional.empty(), Optional.of(address));
        if (entry.sheet().asides(trial).stream().anyMatch(ask -> ask.address().equals(address))) {
            return "redirect:/entries/" + id + "?trial=" + trial;
        }
        boolean half = typed.role().equals(Role.TARE.key()) || typed.role().equals(Role.GROSS.key());
        return "redirect:/entries/" + id + "?after="
                + address.toString().replace("[", "%5B").replace("]", "%5D") + (half ? "&way=" + typed.role() : "");
    }

    private String refused(
            EntrySheet entry,
            Address address,
            Typed typed,
            RuntimeException failed,
            HttpServletResponse response,
            Model model) {
        response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
        int trial = trialOf(entry, Optional.empty(), Optional.of(address));
        return show(
                entry,
                new WrittenSheet(entry, trial),
                trial,
                Optional.of(address).filter(here -> asked(entry, trial).anyMatch(here::equals)),
                Role.of(typed.role()),
                typed,
                PlainWords.of(failed),
                model);
    }

    /** Strikes a value out and puts nothing in its place, whatever it was and whether or not this version can read it. */
    private String strike(
            EntrySheet entry, Observation struck, Typed typed, Bench bench, HttpServletResponse response, Model model) {
        Optional<Address> asked = place(entry, struck);
        try {
            String reason = reason(typed);
            if (entry.unreadable(struck).isEmpty() && entry.observations().stands(struck)) {
                entry.readback().filling(entry.sheet().setting()).strike(struck.id());
            }
            book.keep(
                    typed.key() == null ? UUID.randomUUID() : typed.key(),
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
                return refused(entry, asked.get(), typed, failed, response, model);
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
            return show(
                    entry,
                    new WrittenSheet(entry, 1),
                    1,
                    Optional.empty(),
                    Optional.empty(),
                    typed,
                    PlainWords.of(failed),
                    model);
        }
        return "redirect:/entries/" + entry.entry().id()
                + asked.map(address -> "?after="
                                + address.toString().replace("[", "%5B").replace("]", "%5D"))
                        .orElse("");
    }

    /** Where a kept value is asked for now, if it is. */
    private static Optional<Address> place(EntrySheet entry, Observation observation) {
        return IntStream.rangeClosed(1, entry.sheet().trials())
                .boxed()
                .flatMap(trial -> asked(entry, trial))
                .filter(address -> address.toString().equals(observation.address()))
                .findFirst();
    }

    private static Stream<Address> asked(EntrySheet entry, int trial) {
        return Stream.concat(entry.sheet().asks(trial).stream(), entry.sheet().asides(trial).stream())
                .map(Sheet.Ask::address);
    }

    private static String reason(Typed typed) {
        String reason = typed.reason() == null ? "" : typed.reason().strip();
        if (reason.isEmpty()) {
            throw new Refused("Say why the value is struck out. The old one stays visible with the reason.");
        }
        return Names.checked(reason, "A reason", LONGEST_REASON);
    }

    private Observation.Given accept(EntrySheet entry, Address address, Typed typed, Bench bench) {
        Role role = Role.of(typed.role()).orElseThrow(() -> new Refused("Say how the value was got."));
        String reason = typed.correcting() ? reason(typed) : null;
        String text = typed.words();
        Slot slot = entry.experiment()
                .slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place of that name."));
        if (slot instanceof Slot.Moment && text.isEmpty()) {
            long ago = typed.ago() == null
                    ? 0
                    : Math.max(0, Math.min(typed.ago(), Duration.ofHours(12).toMillis()));
            text = clock.instant()
                    .minusMillis(ago)
                    .truncatedTo(ChronoUnit.MILLIS)
                    .toString();
        }
        Line line = taken(
                entry,
                address,
                role,
                new Intake.Given(
                        text,
                        typed.unit(),
                        Optional.ofNullable(typed.instrument()).flatMap(instruments::find),
                        typed.uncertainty(),
                        bench.name()),
                typed.supersedes(),
                slot);
        return new Observation.Given(
                address.toString(),
                role.key(),
                line.text(),
                line.unit().map(unit -> unit.symbol()).orElse(null),
                line.instrument().map(each -> UUID.fromString(each.key())),
                role == Role.ASSUMED ? typed.uncertainty().strip() : null,
                bench.name(),
                Optional.ofNullable(typed.supersedes()),
                reason);
    }

    /** What was typed as a line; what it corrects is struck out first, where it can be read and still stands. */
    private Line taken(EntrySheet entry, Address address, Role role, Intake.Given given, UUID corrected, Slot slot) {
        Filling filling = entry.readback().filling(sheets.open(entry, Optional.of(slot)));
        return corrected != null && filling.stands(corrected)
                ? filling.correct(corrected, UUID.randomUUID(), address, role, given)
                : filling.take(UUID.randomUUID(), address, role, given);
    }

    @PostMapping("/entries/{id}/open")
    String open(@PathVariable UUID id, @RequestParam String what, HttpServletRequest request) {
        Bench bench = who.benchOrAsk(request);
        EntrySheet entry = sheets.of(find(id));
        boolean known = what.equals(LabBook.TRIAL)
                || entry.experiment()
                        .group(what)
                        .filter(group -> group.cardinality() == Cardinality.PER_PART)
                        .isPresent();
        if (!known) {
            throw new Refused("There is nothing of that name to add.");
        }
        int number = book.open(id, what, bench.name());
        String first = entry.experiment()
                .group(what)
                .map(group -> "?at=" + group.key() + "%5B" + number + "%5D/"
                        + group.slots().get(0).key())
                .orElse("?trial=" + number);
        return "redirect:/entries/" + id + first;
    }

    private Entry find(UUID id) {
        return book.entry(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }

    private String show(
            EntrySheet entry,
            WrittenSheet screen,
            int trial,
            Optional<Address> now,
            Optional<Role> way,
            Typed typed,
            String problem,
            Model model) {
        now.ifPresent(address -> {
            if (asked(entry, trial).noneMatch(address::equals)) {
                throw new NotFound("This experiment has no such place to fill.");
            }
        });
        model.addAttribute("entry", entry.entry());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("lead", entry.experiment().words().get("lead"));
        model.addAttribute("trial", trial);
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        model.addAttribute("rows", screen.rows(now));
        model.addAttribute(
                "now",
                now.map(address -> Asking.of(entry, screen, address, way, named(entry, address)))
                        .orElse(null));
        model.addAttribute(
                "asides",
                entry.sheet().asides(trial).stream()
                        .filter(ask -> now.filter(ask.address()::equals).isEmpty())
                        .toList());
        model.addAttribute("words", entry.experiment().words());
        model.addAttribute(
                "before", now.flatMap(screen::before).map(Address::toString).orElse(null));
        model.addAttribute(
                "skipTo",
                now.flatMap(address -> screen.next(Optional.of(address)))
                        .map(Address::toString)
                        .filter(next -> !next.equals(now.get().toString()))
                        .orElse(null));
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        model.addAttribute("instruments", instruments.all());
        model.addAttribute(
                "repeated",
                entry.experiment().groups().stream()
                        .filter(group -> group.cardinality() == Cardinality.PER_PART)
                        .map(Group::key)
                        .toList());
        model.addAttribute(
                "lastKept",
                entry.observations()
                        .last()
                        .map(each -> screen.clock(each.madeAt()))
                        .orElse(null));
        model.addAttribute("leftovers", WrittenSheet.leftovers(entry));
        model.addAttribute(
                "conflicts",
                SheetFindings.of(entry.sheet()).stream()
                        .filter(finding -> finding.code().equals("reading.conflict")
                                || finding.code().startsWith("row."))
                        .toList());
        return "run";
    }

    /** What a slot may name: other entries, or vessels. */
    private List<Asking.Option> named(EntrySheet entry, Address address) {
        Optional<Slot> here = entry.experiment().slot(address.path());
        if (here.filter(Slot.Vessel.class::isInstance).isPresent()) {
            return sheets.choosable().entrySet().stream()
                    .map(each -> new Asking.Option(
                            each.getKey(),
                            each.getValue().name() + ", "
                                    + each.getValue().kind().words()))
                    .toList();
        }
        return here.filter(Slot.Reference.class::isInstance)
                .map(slot -> sheets.referable(entry.entry(), (Slot.Reference) slot).stream()
                        .map(other -> new Asking.Option(
                                other.id().toString(),
                                EntryLine.of(other, entry.entry().period().zone())
                                                .title() + ", bench "
                                        + other.bench().name() + ", "
                                        + EntryLine.of(
                                                        other,
                                                        entry.entry().period().zone())
                                                .when()))
                        .toList())
                .orElse(List.of());
    }
}
