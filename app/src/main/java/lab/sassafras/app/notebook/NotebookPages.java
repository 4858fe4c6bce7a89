package lab.sassafras.app.notebook;

import jakarta.servlet.http.HttpServletRequest;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.door.WhoIsHere;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntryLine;
import lab.sassafras.app.sheet.StandingLine;
import lab.sassafras.app.sheet.StandingLines;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Everything a period has written down. */
@Controller
class NotebookPages {

    /** How long the page waits for lines that are not worked yet. */
    private static final Duration A_MOMENT = Duration.ofMillis(700);

    private final LabBook book;
    private final StandingLines lines;
    private final WhoIsHere who;

    NotebookPages(LabBook book, StandingLines lines, WhoIsHere who) {
        this.book = book;
        this.lines = lines;
        this.who = who;
    }

    /** An entry in the list with what it came to. */
    public record Page(EntryLine line, String bench, String result, int findings, boolean waiting) {}

    @GetMapping("/notebook")
    String notebook(@RequestParam Optional<UUID> period, HttpServletRequest request, Model model) {
        List<Period> periods = book.periods();
        Optional<Period> shown = period.map(id ->
                        book.period(id).orElseThrow(() -> new NotFound("There is no lab period at that address.")))
                .or(() -> who.bench(request).map(Bench::period))
                .or(() -> periods.stream().findFirst());
        model.addAttribute("periods", periods);
        model.addAttribute("period", shown.orElse(null));
        List<Page> pages = shown.map(this::pages).orElse(List.of());
        model.addAttribute("pages", pages);
        model.addAttribute("waiting", pages.stream().filter(Page::waiting).count());
        return "notebook";
    }

    private List<Page> pages(Period period) {
        List<Entry> entries = book.entriesOf(period);
        Map<UUID, StandingLine> standing = lines.of(entries, period, A_MOMENT).stream()
                .collect(Collectors.toMap(StandingLine::entry, Function.identity()));
        return entries.stream()
                .map(entry -> page(entry, Objects.requireNonNull(standing.get(entry.id())), period))
                .toList();
    }

    private static Page page(Entry entry, StandingLine line, Period period) {
        String result = line.result()
                .map(each -> each.value() + " ± " + each.uncertainty() + " " + each.unit())
                .orElse(line.waiting() ? "…" : "not finished");
        return new Page(
                EntryLine.of(entry, period.zone()), entry.bench().name(), result, line.questions(), line.waiting());
    }
}
