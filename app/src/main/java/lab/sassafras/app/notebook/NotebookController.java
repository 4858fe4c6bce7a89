package lab.sassafras.app.notebook;

import java.time.Clock;
import java.time.Duration;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntryLine;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.app.sheet.EntrySummary;
import lab.sassafras.app.sheet.WrittenNotes;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Logged;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Everything a period has written down. */
@Controller
class NotebookController {

    /** How long the page waits for lines that are not worked yet. */
    private static final Duration A_MOMENT = Duration.ofMillis(700);

    /** Readings of a clock that are printed, about; the CSV has all. */
    private static final int MOST_POINTS = 200;

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM, HH:mm", Locale.ENGLISH);

    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final EntrySummaries lines;
    private final EntrySheets sheets;

    private final WrittenNotes notes;
    private final Revisions stamps;
    private final Clock clock;

    NotebookController(
            PeriodBook periodBook,
            EntryBook entryBook,
            EntrySummaries lines,
            EntrySheets sheets,
            WrittenNotes notes,
            Revisions stamps,
            Clock clock) {
        this.clock = clock;
        this.notes = notes;
        this.stamps = stamps;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.lines = lines;
        this.sheets = sheets;
    }

    /** An entry in the list with what it came to. */
    public record Page(
            EntryLine line,
            String experiment,
            String begun,
            String bench,
            String result,
            List<String> look,
            boolean waiting,
            String off,
            boolean farOff,
            String state,
            String aside) {}

    @GetMapping("/notebook")
    String notebook(
            @RequestParam Optional<UUID> period,
            @RequestParam(defaultValue = "") String bench,
            Visitor visitor,
            Model model) {
        List<Period> periods = visitor.instructor()
                ? periodBook.all().stream().filter(visitor::leads).toList()
                : visitor.seat().map(Bench::period).stream().toList();
        Optional<Period> shown = period.map(id -> periodBook.find(id).orElseThrow(NotFound::period))
                .or(() -> visitor.seat().map(Bench::period))
                .or(() -> periods.stream().findFirst());
        model.addAttribute("periods", periods);
        model.addAttribute("period", shown.orElse(null));
        model.addAttribute("seen", shown.map(stamps::number).orElse(0L));
        List<Page> pages = shown.map(this::pages).orElse(List.of()).stream()
                .filter(each -> bench.isEmpty() || each.bench().equals(bench))
                .toList();
        model.addAttribute("bench", bench);
        model.addAttribute("pages", pages);
        model.addAttribute("several", several(pages));
        model.addAttribute(
                "done",
                pages.stream()
                        .collect(Collectors.toMap(
                                Page::experiment,
                                each -> each.line().title(),
                                (one, other) -> one,
                                LinkedHashMap::new)));
        model.addAttribute("waiting", pages.stream().filter(Page::waiting).count());
        return "notebook";
    }

    /** Experiments of which there are several entries, by their key. */
    private static Map<String, String> several(List<Page> pages) {
        Map<String, String> titles = new LinkedHashMap<>();
        pages.stream()
                .collect(Collectors.groupingBy(Page::experiment, LinkedHashMap::new, Collectors.toList()))
                .forEach((key, each) -> {
                    if (each.size() > 1) {
                        titles.put(key, each.get(0).line().title());
                    }
                });
        return titles;
    }

    /** Results of one experiment in a period, for a spreadsheet. */
    @GetMapping("/periods/{id}/results/{experiment}.csv")
    ResponseEntity<byte[]> results(@PathVariable UUID id, @PathVariable String experiment) {
        Period period = periodBook.find(id).orElseThrow(NotFound::period);
        List<EntrySheet> entries = entryBook.of(period).stream()
                .filter(each -> each.experiment().equals(experiment))
                .map(sheets::of)
                .collect(Collectors.toCollection(ArrayList::new));
        Collections.reverse(entries);
        if (entries.isEmpty()) {
            throw new NotFound("Nothing of that experiment was done in this period.");
        }
        return CsvAnswer.of(
                "results-" + entries.get(0).experiment().key() + "-" + period.heldOn(), ResultTable.csv(entries));
    }

    /** One entry to print: everything on its pages, of all trials. */
    @GetMapping("/entries/{id}/print")
    String print(@PathVariable UUID id, Model model) {
        Entry entry = entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
        EntrySheet sheet = sheets.of(entry);
        ResultView view = new ResultView(sheet, Optional.empty());
        model.addAttribute("entry", entry);
        model.addAttribute("title", sheet.experiment().words().title());
        model.addAttribute("view", view);
        model.addAttribute("figures", entry.period().figures());
        model.addAttribute("table", AllTrials.of(sheet));
        model.addAttribute("vessel", sheet.vessel().orElse(null));
        model.addAttribute("calibration", sheet.calibration().orElse(null));
        model.addAttribute("notes", notes.of(entry));
        return "print";
    }

    /** Readings of a clock as they are handed out. */
    public record Clocked(String label, List<String> points) {}

    /** What was read in a run, to hand out: nothing of what comes of it. */
    @GetMapping("/entries/{id}/data")
    String data(@PathVariable UUID id, Model model) {
        Entry entry = entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
        EntrySheet sheet = sheets.of(entry);
        Figures figures = entry.period().figures();
        model.addAttribute("entry", entry);
        model.addAttribute("title", sheet.experiment().words().title());
        model.addAttribute("table", AllTrials.of(sheet));
        model.addAttribute(
                "vessel",
                sheet.vessel()
                        .map(each -> each.name() + ", " + each.kind().words()
                                + sheet.calibration()
                                        .map(known -> ", " + known.written(figures) + " J/°C")
                                        .orElse(""))
                        .orElse(""));
        model.addAttribute(
                "curves",
                sheet.sheet().setting().traces().values().stream()
                        .map(each -> new Clocked(each.label(), points(each, figures)))
                        .toList());
        Map<String, String> inForce = new LinkedHashMap<>();
        sheet.experiment()
                .conventions()
                .forEach(each -> inForce.put(
                        each.words(),
                        figures.sentence(sheet.conventions().in(each).words())));
        model.addAttribute("inForce", inForce);
        return "rundata";
    }

    private static List<String> points(Logged trace, Figures figures) {
        int every = Math.max(1, trace.readings().size() / MOST_POINTS);
        List<String> points = new ArrayList<>();
        for (int i = 0; i < trace.readings().size(); i += every) {
            Reading each = trace.readings().get(i);
            points.add(figures.plain(each.seconds()) + " s " + figures.plain(each.temperature()) + " "
                    + trace.unit().symbol());
        }
        return points;
    }

    /** Every entry of a period one after another, as pages to print. */
    @GetMapping("/periods/{id}/pages")
    String printed(@PathVariable UUID id, Model model) {
        Period period = periodBook.find(id).orElseThrow(NotFound::period);
        List<Entry> entries = new ArrayList<>(entryBook.of(period));
        Collections.reverse(entries);
        model.addAttribute("period", period);
        model.addAttribute("none", entries.isEmpty());
        model.addAttribute("printed", new PrintedPages(entries, this::printed));
        return "pages";
    }

    /** An entry as a page: its sheet, what it came to, and one trial worked out. */
    public record Printed(Entry entry, String title, ResultView view, List<WrittenSheet.Row> rows) {

        /** With all that its page shows worked out: time may run out before a page, never within one. */
        static Printed of(EntrySheet sheet) {
            ResultView view = new ResultView(sheet, Optional.empty());
            view.result();
            view.equation();
            view.agreement();
            view.trials();
            view.working();
            return new Printed(
                    sheet.entry(),
                    sheet.experiment().words().title(),
                    view,
                    new WrittenSheet(sheet, view.shownTrial()).rows(Optional.empty()));
        }
    }

    private Printed printed(Entry entry) {
        return Printed.of(sheets.of(entry));
    }

    private List<Page> pages(Period period) {
        List<Entry> entries = entryBook.of(period);
        Map<UUID, EntrySummary> standing = lines.of(entries, period, A_MOMENT).stream()
                .collect(Collectors.toMap(EntrySummary::entry, Function.identity()));
        List<BesideLine> beside = lines.beside(entries, period, Duration.ZERO).values().stream()
                .flatMap(Optional::stream)
                .toList();
        ToLookAt look = new ToLookAt(beside, clock.instant(), period.zone(), period.figures());
        return entries.stream()
                .map(entry -> page(entry, Objects.requireNonNull(standing.get(entry.id())), period, look))
                .toList();
    }

    private static Page page(Entry entry, EntrySummary line, Period period, ToLookAt look) {
        String result = line.result().map(Object::toString).orElse(line.waiting() ? "…" : "not finished");
        return new Page(
                EntryLine.of(entry, period.zone()),
                entry.experiment(),
                WrittenTime.of(
                        entry.createdAt(),
                        period.zone(),
                        entry.createdAt().atZone(period.zone()).toLocalDate().equals(period.heldOn()) ? HOUR : DAY),
                entry.bench().name(),
                result,
                look.of(line),
                line.waiting(),
                line.off().map(off -> period.figures().signed(off, 1)).orElse(""),
                line.off().filter(off -> Math.abs(off) > 1).isPresent(),
                line.state().words(),
                line.aside());
    }
}
