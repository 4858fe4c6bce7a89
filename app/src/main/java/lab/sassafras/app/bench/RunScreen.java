package lab.sassafras.app.bench;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.plans.HazardsShown;
import lab.sassafras.app.plans.Planned;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.sheet.ClassPaces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.Ticks;
import lab.sassafras.app.sheet.WrittenNotes;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Pace;
import lab.sassafras.measure.Instrument;
import lab.sassafras.plan.Handled;
import lab.sassafras.sheet.SheetFindings;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import org.springframework.ui.Model;

/** The two pages of a run: the sheet as it stands, and the one thing asked now. */
@Component
class RunScreen {

    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Instruments instruments;
    private final WaitScreen waits;
    private final ClassPaces paces;
    private final PeriodKnows known;
    private final ProbesShown probes;
    private final SimulatedShown simulated;
    private final WrittenNotes notes;
    private final Planned planned;
    private final HazardsShown hazards;

    RunScreen(
            EntryBook entryBook,
            EntrySheets sheets,
            Instruments instruments,
            WaitScreen waits,
            ClassPaces paces,
            PeriodKnows known,
            ProbesShown probes,
            SimulatedShown simulated,
            WrittenNotes notes,
            Planned planned,
            HazardsShown hazards) {
        this.hazards = hazards;
        this.planned = planned;
        this.notes = notes;
        this.simulated = simulated;
        this.probes = probes;
        this.known = known;
        this.paces = paces;
        this.waits = waits;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.instruments = instruments;
    }

    /**
     * What is shown.
     *
     * @param trial   the trial whose sheet it is
     * @param now     what is asked; empty where all is read
     * @param way     how the value is to be got, where somebody chose
     * @param typed   what was sent and refused
     * @param problem why; null where nothing was refused
     * @param question what is asked back before it is kept; null where nothing is
     * @param note    a note that was refused, with why
     */
    record View(
            int trial,
            Optional<Tasks.Ask> now,
            Optional<Role> way,
            Typed typed,
            @Nullable String problem,
            @Nullable String question,
            Noted note) {

        static View asking(int trial, Optional<Tasks.Ask> now, Optional<Role> way) {
            return new View(trial, now, way, Typed.NOTHING, null, null, Noted.NOTHING);
        }

        View refusing(Typed sent, String why) {
            return new View(trial, now, way, sent, why, null, note);
        }

        View questioning(Typed sent, String what) {
            return new View(trial, now, way, sent, null, what, note);
        }

        View refusing(Noted sent) {
            return new View(trial, now, way, typed, problem, question, sent);
        }
    }

    /** A note as it was sent, and why it was refused. */
    record Noted(String text, String problem) {

        static final Noted NOTHING = new Noted("", "");
    }

    /** @throws NotFound where there is no such entry */
    EntrySheet entry(UUID id) {
        return sheets.of(found(id));
    }

    /** The same, of which nothing is worked. */
    Entry found(UUID id) {
        return entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }

    /** An entry whose trial can be read on a clock. @throws NotFound where it cannot, or there is no such entry */
    EntrySheet onClock(UUID id, int trial) {
        EntrySheet entry = entry(id);
        if (Clocks.placeOf(entry, trial).isEmpty()
                || trial < 1
                || trial > entry.sheet().trials()) {
            throw new NotFound("This entry has no timed readings there.");
        }
        return entry;
    }

    /** The trial an address belongs to; else the one wished for, else the last. */
    static int trialOf(EntrySheet entry, Optional<Integer> wished, Optional<Address> address) {
        int trials = entry.sheet().trials();
        return address.filter(each -> entry.experiment()
                        .group(each.group())
                        .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                        .isPresent())
                .map(Address::index)
                .or(() -> wished)
                .filter(number -> number >= 1 && number <= trials)
                .orElse(address.isPresent() ? 1 : trials);
    }

    String render(EntrySheet entry, View shown, Model model) {
        WrittenSheet screen = new WrittenSheet(entry, shown.trial());
        sheet(entry, screen, shown, model);
        asking(entry, screen, shown, model);
        return "run";
    }

    private void sheet(EntrySheet entry, WrittenSheet screen, View shown, Model model) {
        Optional<Address> onClock = Clocks.placeOf(entry, shown.trial());
        model.addAttribute("onClock", onClock.isPresent());
        model.addAttribute("entry", entry.entry());
        model.addAttribute("seen", entry.seen());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("lead", entry.experiment().words().get("lead"));
        model.addAttribute("trial", shown.trial());
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        model.addAttribute("rows", screen.rows(shown.now()));
        model.addAttribute(
                "asides",
                entry.sheet().tasks().asides(shown.trial()).stream()
                        .filter(ask -> shown.now().filter(ask::equals).isEmpty()
                                && !onClock.equals(Optional.of(ask.address())))
                        .toList());
        model.addAttribute("words", entry.experiment().words());
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
                "planned",
                entry.sheet().setting().withheld()
                        ? null
                        : planned.words(
                                        entry.entry().bench(),
                                        entry.experiment().key(),
                                        Optional.empty(),
                                        Optional.empty())
                                .orElse(null));
        model.addAttribute("notes", notes.of(entry.entry()));
        model.addAttribute("noteKey", UUID.randomUUID());
        model.addAttribute("noted", shown.note());
    }

    private void asking(EntrySheet entry, WrittenSheet screen, View shown, Model model) {
        Optional<Tasks.Ask> now = shown.now();
        model.addAttribute(
                "now",
                now.map(ask -> {
                            Setting open = sheets.open(entry, slot(entry, ask));
                            return Asking.of(
                                    entry, screen, ask, shown.way(), open, known.of(entry, ask.address(), open));
                        })
                        .orElse(null));
        model.addAttribute(
                "readOn", now.isEmpty() ? Clocks.untold(entry, shown.trial()).orElse(null) : null);
        model.addAttribute(
                "lacking",
                now.isEmpty() && repeats(entry) && entry.reduction().result().isEmpty());
        model.addAttribute(
                "before", now.flatMap(screen::before).map(WrittenSheet::link).orElse(null));
        model.addAttribute(
                "skipTo",
                now.flatMap(ask -> screen.next(Optional.of(ask)).filter(next -> !next.equals(ask)))
                        .map(WrittenSheet::link)
                        .orElse(null));
        model.addAttribute(
                "unticked", now.map(ask -> Ticks.open(entry, ask.address())).orElse(List.of()));
        model.addAttribute(
                "handled",
                now.map(ask -> hazards.of(Handled.at(entry.sheet(), ask.step())))
                        .orElse(List.of()));
        model.addAttribute("waiting", waits.waiting(entry, shown.trial(), now));
        model.addAttribute(
                "byClock",
                now.map(ask -> byClock(entry, ask)).orElse(ByClock.NOT).name());
        model.addAttribute("breakable", breakable(entry, now));
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute("typed", shown.typed());
        model.addAttribute("problem", shown.problem());
        model.addAttribute("question", shown.question());
        List<Instrument> offered = instruments.offered(named(entry));
        model.addAttribute("instruments", offered);
        model.addAttribute(
                "scales",
                now.map(ask -> new Scales(entry, ask, offered, planned(entry, ask)).pictures())
                        .orElse(List.of()));
        model.addAttribute(
                "shown", now.map(ask -> shown(entry, shown.trial(), ask)).orElse(List.of()));
        model.addAttribute(
                "conflicts",
                SheetFindings.of(entry.sheet()).stream()
                        .filter(finding -> finding.code().equals("reading.conflict")
                                || finding.code().startsWith("row."))
                        .toList());
    }

    /** What probes show of what is asked, where it is a number that is read; or what the simulated bench does. */
    private List<ProbesShown.Shown> shown(EntrySheet entry, int trial, Tasks.Ask ask) {
        if (entry.entry().simulated()) {
            List<ProbesShown.Shown> own = simulated.at(entry, trial, ask.address());
            if (!own.isEmpty() || !entry.entry().bench().simulated()) {
                return own;
            }
        }
        return slot(entry, ask).unit(ask.step().half().orElse(Role.READ)).stream()
                .flatMap(unit ->
                        probes
                                .of(
                                        entry.entry().bench(),
                                        unit.dimension(),
                                        entry.entry().period().figures())
                                .stream())
                .toList();
    }

    /** Instruments the entry was begun with or that something in it was read on, by key. */
    private static Set<String> named(EntrySheet entry) {
        return Stream.concat(
                        entry.hand().all().map(UUID::toString),
                        entry.sheet().lines().stream()
                                .flatMap(line -> line.instrument().stream())
                                .map(Instrument::key))
                .collect(Collectors.toSet());
    }

    /** Where the plan of the period expects what is asked, where that is the temperature in the end. */
    private Optional<Slot.Range> planned(EntrySheet entry, Tasks.Ask ask) {
        return entry.sheet().setting().withheld()
                        || !entry.experiment()
                                .finalReading()
                                .equals(Optional.of(ask.address().path()))
                ? Optional.empty()
                : planned.ends(entry.entry().bench(), entry.experiment().key())
                        .map(each -> new Slot.Range(each.low(), each.high()));
    }

    /** Whether there may be several of something, such as the reactions of a cycle. */
    private static boolean repeats(EntrySheet entry) {
        return entry.experiment().groups().stream().anyMatch(group -> group.cardinality() == Cardinality.PER_PART);
    }

    /** How what is asked could be read on a clock. */
    enum ByClock {
        NOT,
        /** As one end of the change, from the calorimeter's curve. */
        CURVE,
        /** From a trend of its own. */
        TREND
    }

    private static ByClock byClock(EntrySheet entry, Tasks.Ask ask) {
        String path = ask.address().path();
        boolean ofTrial = entry.experiment()
                .group(ask.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .isPresent();
        if (!ofTrial || ask.step().aside() || !slot(entry, ask).roles().contains(Role.TREND)) {
            return ByClock.NOT;
        }
        return entry.experiment()
                        .span()
                        .filter(span -> span.start().equals(path) || span.end().equals(path))
                        .isPresent()
                ? ByClock.CURVE
                : ByClock.TREND;
    }

    /** Whether what is looked at is a moment of mixing that may be withdrawn, its bath beginning anew. */
    private boolean breakable(EntrySheet entry, Optional<Tasks.Ask> now) {
        return paces.amount(entry, Pace.Kind.BATH).isPresent()
                && now.filter(ask -> entry.experiment()
                                .mixing()
                                .equals(Optional.of(ask.address().path())))
                        .filter(entry.sheet().tasks()::done)
                        .isPresent();
    }

    private static Slot slot(EntrySheet entry, Tasks.Ask ask) {
        return entry.experiment().slot(ask.address().path()).orElseThrow();
    }
}
