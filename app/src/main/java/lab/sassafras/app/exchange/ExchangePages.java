package lab.sassafras.app.exchange;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
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
import org.springframework.web.multipart.MultipartFile;

/** Run files in and out. */
@Controller
class ExchangePages {

    private static final int LARGEST = 5 * 1024 * 1024;

    private final LabBook book;
    private final EntrySheets sheets;
    private final RunFileWriter writer;
    private final RunFileReader reader;
    private final RunImport imports;

    ExchangePages(LabBook book, EntrySheets sheets, RunFileWriter writer, RunFileReader reader, RunImport imports) {
        this.book = book;
        this.sheets = sheets;
        this.writer = writer;
        this.reader = reader;
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
        return download(csv(sheets.of(entry)).getBytes(StandardCharsets.UTF_8),
                new MediaType("text", "csv", StandardCharsets.UTF_8), entry, "csv");
    }

    private static ResponseEntity<byte[]> download(byte[] body, MediaType type, Entry entry, String suffix) {
        String bench = entry.bench().name().toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        return ResponseEntity.ok().contentType(type).header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\""
                + entry.experiment() + "-" + bench + "-" + entry.period().heldOn() + "." + suffix + "\"").body(body);
    }

    private static String csv(EntrySheet entry) {
        String head = "address,what,role,text,unit,instrument,uncertainty,who,when,stands,reason\r\n";
        return head + entry.observations().all().stream().map(each -> row(entry, each)).collect(Collectors.joining());
    }

    private static String row(EntrySheet entry, Observation each) {
        boolean stands = entry.observations().standing().contains(each);
        String what = entry.experiment().words().label(lab.sassafras.experiment.Address.read(each.address()).path());
        String instrument = entry.sheet().lines().stream().flatMap(line -> line.instrument().stream())
                .filter(known -> each.instrumentId().map(UUID::toString).filter(known.key()::equals).isPresent())
                .map(known -> known.name()).findFirst().orElse("");
        return String.join(",", each.address(), cell(what), each.role(), cell(each.text()), cell(each.unit().orElse("")),
                words(instrument), cell(each.uncertainty().orElse("")), words(each.who()), each.madeAt().toString(),
                stands ? "yes" : "no", words(each.reason().orElse(""))) + "\r\n";
    }

    private static String cell(String text) {
        return text.matches("[^\",\r\n]*") ? text : "\"" + text.replace("\"", "\"\"") + "\"";
    }

    /** Free words: never to be taken for a formula by a spreadsheet. */
    private static String words(String text) {
        return cell(text.matches("[=+\\-@].*") ? "'" + text : text);
    }

    @GetMapping("/import")
    String blank() {
        return "import";
    }

    @PostMapping("/import")
    String take(@RequestParam(required = false) MultipartFile file, Model model, HttpServletResponse response)
            throws IOException {
        try {
            if (file == null || file.isEmpty()) {
                throw new Refused("No file was chosen. Choose a run file, which ends in .json.");
            }
            return "redirect:/entries/" + imports.take(file.getBytes()).id() + "/result";
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_ENTITY.value());
            model.addAttribute("problem", refused.getMessage());
            model.addAttribute("chosen", file == null ? "" : file.getOriginalFilename());
            return "import";
        }
    }

    /** Works a run file out and keeps nothing. */
    @PostMapping(value = "/api/reduce", produces = MediaType.APPLICATION_JSON_VALUE)
    ResponseEntity<Object> reduce(HttpServletRequest request) throws IOException {
        try (InputStream body = request.getInputStream()) {
            byte[] bytes = body.readNBytes(LARGEST + 1);
            if (bytes.length > LARGEST) {
                return problem(HttpStatus.CONTENT_TOO_LARGE, "The file is larger than 5 MB, far more than any run needs.");
            }
            RunFile run = reader.read(bytes);
            return ResponseEntity.ok(ReducedFile.of(RunReplay.reduction(run), new Figures(run.period().mark())));
        } catch (Refused refused) {
            return problem(HttpStatus.UNPROCESSABLE_ENTITY, refused.getMessage());
        }
    }

    private static ResponseEntity<Object> problem(HttpStatus status, String message) {
        return ResponseEntity.status(status).contentType(MediaType.APPLICATION_JSON).body(Map.of("problem", message));
    }

    private Entry find(UUID id) {
        return book.entry(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
    }
}
