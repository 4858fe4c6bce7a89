package lab.sassafras.app.exchange;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.BroughtIn;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.runfile.ObservationTable;
import lab.sassafras.app.runfile.ReducedFile;
import lab.sassafras.app.runfile.RunFileWriter;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.sheet.EntryLine;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.usecase.BringInRun;
import lab.sassafras.app.usecase.ReduceRun;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Run files in and out. */
@Controller
class ExchangeController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final RunFileWriter writer;
    private static final Logger LOG = LoggerFactory.getLogger(ExchangeController.class);

    private final ReduceRun reducing;
    private final HouseSettings settings;
    private final LargeFiles large;
    private final BringInRun imports;
    /** Files that were here before, for as long as somebody may take to answer. */
    private final Cache<UUID, Upload> asked = Caffeine.newBuilder()
            .maximumWeight(LargeFiles.HELD)
            .weigher((UUID any, Upload file) -> LargeFiles.LEAST + file.bytes().length)
            .expireAfterWrite(Duration.ofMinutes(15))
            .build();

    ExchangeController(
            PeriodBook periodBook,
            EntryBook entryBook,
            EntrySheets sheets,
            RunFileWriter writer,
            ReduceRun reducing,
            HouseSettings settings,
            LargeFiles large,
            BringInRun imports) {
        this.large = large;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.writer = writer;
        this.reducing = reducing;
        this.settings = settings;
        this.imports = imports;
    }

    @GetMapping("/entries/{id}/run.json")
    ResponseEntity<byte[]> runFile(@PathVariable UUID id) {
        Entry entry = find(id);
        return download(writer.write(entry), MediaType.APPLICATION_JSON, entry, "json");
    }

    @GetMapping("/entries/{id}/observations.csv")
    ResponseEntity<byte[]> observations(@PathVariable UUID id) {
        Entry entry = find(id);
        return download(
                ObservationTable.csv(sheets.of(entry)).getBytes(StandardCharsets.UTF_8),
                new MediaType("text", "csv", StandardCharsets.UTF_8),
                entry,
                "csv");
    }

    @GetMapping("/periods/{id}/observations.csv")
    ResponseEntity<byte[]> ofPeriod(@PathVariable UUID id) {
        Period period = periodBook.find(id).orElseThrow(NotFound::period);
        String table = ObservationTable.csv(
                entryBook.of(period).stream().map(sheets::of).toList());
        return CsvAnswer.of("observations-" + period.heldOn(), table);
    }

    private static ResponseEntity<byte[]> download(byte[] body, MediaType type, Entry entry, String suffix) {
        String bench = entry.bench().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return ResponseEntity.ok()
                .contentType(type)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        "attachment; filename=\"" + (entry.simulated() ? "simulated-" : "") + entry.experiment() + "-"
                                + bench + "-" + entry.period().heldOn() + "." + suffix + "\"")
                .body(body);
    }

    @GetMapping("/import")
    String blank() {
        return "import";
    }

    @PostMapping("/import")
    String take(Optional<Actor> actor, HttpServletRequest request, Model model, HttpServletResponse response)
            throws IOException {
        return large.inTurn(request, () -> taken(actor, request, model, response));
    }

    private String taken(Optional<Actor> actor, HttpServletRequest request, Model model, HttpServletResponse response)
            throws IOException {
        Upload upload = Upload.NONE;
        try {
            upload = Upload.of(request, settings.limits().file());
            List<BroughtIn> earlier = imports.earlier(upload.bytes());
            if (!earlier.isEmpty()) {
                return ask(upload, earlier, model);
            }
            return taken(upload, actor);
        } catch (Refused refused) {
            return refused(upload, refused, model, response);
        }
    }

    /** Brings in a file that was brought in before, now that somebody said so. */
    @PostMapping("/import/again")
    String again(@RequestParam UUID pending, Optional<Actor> actor, Model model, HttpServletResponse response) {
        Upload upload = asked.getIfPresent(pending);
        if (upload == null) {
            return refused(
                    Upload.NONE,
                    new Refused("That was too long ago. Choose the file again; nothing was changed."),
                    model,
                    response);
        }
        asked.invalidate(pending);
        return taken(upload, actor);
    }

    private String taken(Upload upload, Optional<Actor> actor) {
        Actor by = actor.orElseGet(() -> Actor.bringing("somebody at no bench"));
        return "redirect:/entries/"
                + imports.take(upload.bytes(), upload.name(), by).orThrow().id() + "/result";
    }

    private String ask(Upload upload, List<BroughtIn> earlier, Model model) {
        UUID pending = UUID.randomUUID();
        asked.put(pending, upload);
        model.addAttribute("chosen", upload.name());
        model.addAttribute("pending", pending);
        model.addAttribute(
                "earlier",
                earlier.stream()
                        .flatMap(each -> entryBook.find(each.subject()).stream()
                                .map(entry -> new Earlier(
                                        entry.id(),
                                        EntryLine.of(entry, entry.period().zone())
                                                        .title() + ", bench "
                                                + entry.bench().name(),
                                        each.who() + ", "
                                                + WrittenTime.of(
                                                        each.madeAt(),
                                                        entry.period().zone(),
                                                        DAY))))
                        .toList());
        return "import";
    }

    private String refused(Upload upload, Refused refused, Model model, HttpServletResponse response) {
        response.setStatus(status(refused).value());
        LOG.info("refused a file: {}", refused.getMessage());
        model.addAttribute("problem", refused.getMessage());
        model.addAttribute("chosen", upload.name());
        return "import";
    }

    /** An entry that a file made before. */
    public record Earlier(UUID id, String title, String when) {}

    /** Works a run file out and keeps nothing. */
    @PostMapping(value = "/api/reduce", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> reduce(HttpServletRequest request) throws IOException {
        try {
            return large.inTurn(request, () -> reduced(request));
        } catch (TimeBudget.OutOfTime late) {
            return problem(HttpStatus.SERVICE_UNAVAILABLE, late.getMessage());
        }
    }

    private ResponseEntity<Object> reduced(HttpServletRequest request) throws IOException {
        try (InputStream body = request.getInputStream()) {
            byte[] bytes = Upload.bytes(body, settings.limits().file());
            return ResponseEntity.ok(ReducedFile.of(reducing.reduce(bytes).orThrow()));
        } catch (Refused refused) {
            return problem(status(refused), refused.getMessage());
        }
    }

    private static HttpStatus status(Refused refused) {
        return refused instanceof Upload.TooLarge ? HttpStatus.CONTENT_TOO_LARGE : HttpStatus.UNPROCESSABLE_CONTENT;
    }

    private static ResponseEntity<Object> problem(HttpStatus status, String message) {
        LOG.info("refused to reduce: {}", message);
        return ResponseEntity.status(status)
                .contentType(MediaType.APPLICATION_JSON)
                .body(Map.of("problem", message));
    }

    private Entry find(UUID id) {
        return entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }
}
