package lab.sassafras.app.peoplepages;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.people.Audit;
import lab.sassafras.app.record.ForSpreadsheets;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The audit: a page at a time, and as a file. */
@Controller
class AuditController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy, HH:mm", Locale.ENGLISH);
    private static final CSVFormat FORMAT =
            CSVFormat.RFC4180.builder().setHeader("at", "kind", "who", "what").get();

    private final Audit audit;

    AuditController(Audit audit) {
        this.audit = audit;
    }

    /** A line as the page shows it. */
    public record Shown(String at, String kind, String who, String words) {

        private static Shown of(Audit.Line line) {
            return new Shown(
                    DAY.format(line.at().atZone(ZoneId.systemDefault())),
                    line.kind().words(),
                    line.who(),
                    line.words());
        }
    }

    @GetMapping("/audit")
    String page(
            @RequestParam Optional<Audit.Kind> kind,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "0") int from,
            Model model) {
        int first = Math.max(0, Math.min(from, Audit.MOST));
        List<Audit.Line> lines = audit.lines(new Audit.Wanted(kind, text), first, Audit.PAGE + 1);
        model.addAttribute(
                "lines", lines.stream().limit(Audit.PAGE).map(Shown::of).toList());
        model.addAttribute("kinds", Audit.Kind.values());
        model.addAttribute("kind", kind.map(Enum::name).orElse(""));
        model.addAttribute("text", text);
        model.addAttribute("newer", first == 0 ? null : Math.max(0, first - Audit.PAGE));
        model.addAttribute("older", lines.size() > Audit.PAGE ? first + Audit.PAGE : null);
        return "audit";
    }

    /** As a file: what is looked for, the newest first, and no more than its stated limit. */
    @GetMapping("/audit.csv")
    ResponseEntity<byte[]> file(@RequestParam Optional<Audit.Kind> kind, @RequestParam(defaultValue = "") String text) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (Audit.Line each : audit.lines(new Audit.Wanted(kind, text), 0, Audit.MOST)) {
                printer.printRecord(Stream.of(each.at().toString(), each.kind().words(), each.who(), each.words())
                        .map(ForSpreadsheets::guarded));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return CsvAnswer.of("audit-" + LocalDate.now(ZoneId.systemDefault()), table);
    }
}
