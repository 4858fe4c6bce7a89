package lab.sassafras.app.exchange;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Persons;
import lab.sassafras.app.runfile.ObservationTable;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.AppendReadings;
import lab.sassafras.curve.ClockFile;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Temperatures against time, in from any program's file and out again. What a file says is shown before it is kept. */
@Controller
class ClockFileController {

    private static final int SHOWN = 6;
    private static final int MOST_WRONG = 20;

    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Clocks clocks;
    private final AppendReadings appending;
    private final Instruments instruments;
    private final HouseSettings settings;
    private final LargeFiles large;
    private final Persons persons;
    /** Rows of times and temperatures that may be typed, and that are there to begin with. */
    private static final int MOST_TYPED = 1000;

    private static final int ROWS_TO_TYPE = 12;
    /** Files shown and not kept yet, for as long as somebody may take to look. */
    private final Cache<UUID, Waiting> waiting = Caffeine.newBuilder()
            .maximumWeight(LargeFiles.HELD)
            .weigher((UUID any, Waiting file) -> LargeFiles.LEAST + file.text().length())
            .expireAfterWrite(Duration.ofMinutes(15))
            .build();

    ClockFileController(
            EntryBook entryBook,
            EntrySheets sheets,
            Clocks clocks,
            AppendReadings appending,
            Instruments instruments,
            HouseSettings settings,
            LargeFiles large,
            Persons persons) {
        this.persons = persons;
        this.large = large;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.clocks = clocks;
        this.appending = appending;
        this.instruments = instruments;
        this.settings = settings;
    }

    private record Waiting(String name, String text) {}

    /**
     * How a file is laid out, as the form sends it.
     *
     * @param heads lines before the first reading, as typed
     */
    record Said(
            ClockFile.@Nullable Separator separator,
            @Nullable DecimalMark mark,
            @Nullable String heads,
            @Nullable Integer time,
            ClockFile.@Nullable TimeIn timeIn,
            @Nullable Integer temperature,
            ClockFile.@Nullable DegreesIn degreesIn) {

        ClockFile.Layout over(ClockFile.Layout guessed) {
            String lines = heads == null ? "" : heads.strip();
            if (!lines.isEmpty() && !lines.matches("\\d{1,5}")) {
                throw new Refused("Write how many lines stand above the first reading, as a whole number.");
            }
            if (beyond(time) || beyond(temperature)) {
                throw new Refused("There is no such column. Choose one of the first " + ClockFile.MOST_COLUMNS + ".");
            }
            ClockFile.Separator between = separator == null ? guessed.separator() : separator;
            DecimalMark decimals = mark == null ? guessed.mark() : mark;
            if (between == ClockFile.Separator.COMMA && decimals == DecimalMark.COMMA) {
                throw new Refused("A comma cannot stand both between values and within them.");
            }
            return new ClockFile.Layout(
                    between,
                    decimals,
                    lines.isEmpty() ? guessed.heads() : Integer.parseInt(lines),
                    time == null ? guessed.time() : time,
                    timeIn == null ? guessed.timeIn() : timeIn,
                    temperature == null ? guessed.temperature() : temperature,
                    degreesIn == null ? guessed.degreesIn() : degreesIn);
        }
    }

    private static boolean beyond(@Nullable Integer column) {
        return column != null && (column < 0 || column >= ClockFile.MOST_COLUMNS);
    }

    /** A reading as the page shows it. */
    public record Line(String time, String temperature) {}

    @GetMapping("/entries/{id}/clock/file")
    String blank(@PathVariable UUID id, @RequestParam(defaultValue = "1") int trial, Model model) {
        return page(entry(id, trial), trial, model);
    }

    @PostMapping("/import/clock")
    String take(
            @RequestParam("entry") UUID id,
            @RequestParam(defaultValue = "1") int trial,
            Actor actor,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model)
            throws IOException {
        return large.inTurn(request, () -> taken(entry(id, trial), trial, request, response, model));
    }

    private String taken(
            EntrySheet entry, int trial, HttpServletRequest request, HttpServletResponse response, Model model)
            throws IOException {
        Upload upload = Upload.NONE;
        try {
            upload = Upload.of(request, settings.limits().file());
            UUID pending = UUID.randomUUID();
            Waiting file = new Waiting(upload.name(), upload.text());
            ClockFile.Layout layout = ClockFile.guess(file.text());
            waiting.put(pending, file);
            return shown(entry, trial, pending, file, layout, model);
        } catch (Refused refused) {
            response.setStatus((refused instanceof Upload.TooLarge
                            ? HttpStatus.CONTENT_TOO_LARGE
                            : HttpStatus.UNPROCESSABLE_CONTENT)
                    .value());
            model.addAttribute("problem", (upload.name().isEmpty() ? "" : upload.name() + ": ") + refused.getMessage());
            return page(entry, trial, model);
        }
    }

    /** Times and temperatures typed from paper, a row for each: looked at as if they were a file. */
    @PostMapping("/entries/{id}/clock/file/typed")
    String typed(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam(defaultValue = "") List<String> time,
            @RequestParam(defaultValue = "") List<String> temperature,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        StringBuilder lines = new StringBuilder();
        for (int i = 0; i < Math.min(MOST_TYPED, Math.min(time.size(), temperature.size())); i++) {
            if (!time.get(i).isBlank() || !temperature.get(i).isBlank()) {
                lines.append(cell(time.get(i)))
                        .append('\t')
                        .append(cell(temperature.get(i)))
                        .append('\n');
            }
        }
        try {
            Waiting file = new Waiting("typed", "time\ttemperature\n" + lines);
            ClockFile.Layout layout = ClockFile.guess(file.text());
            UUID pending = UUID.randomUUID();
            waiting.put(pending, file);
            return shown(entry, trial, pending, file, layout, model);
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("typedProblem", refused.getMessage());
            model.addAttribute("typedTimes", time);
            model.addAttribute("typedTemperatures", temperature);
            return page(entry, trial, model);
        }
    }

    private static String cell(String typed) {
        return typed.strip().replaceAll("\\s+", " ");
    }

    /** Looks at a waiting file again as it is said to be laid out, or keeps it so. */
    @PostMapping("/entries/{id}/clock/file/keep")
    String keep(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam UUID pending,
            @RequestParam(defaultValue = "look") String what,
            @RequestParam Optional<UUID> instrument,
            @RequestParam Map<String, String> form,
            @ModelAttribute Said said,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        Waiting file = waiting.getIfPresent(pending);
        if (file == null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("problem", "That was too long ago. Choose the file again; nothing was recorded.");
            return page(entry, trial, model);
        }
        ClockFile.Layout guessed = ClockFile.guess(file.text());
        try {
            ClockFile.Layout layout = said.over(guessed);
            Map<Integer, String> places = places(form, layout);
            AppendReadings.checkOthers(entry, trial, places.values());
            model.addAttribute("places", places);
            if (!what.equals("keep")) {
                return shown(entry, trial, pending, file, layout, model);
            }
            ClockFile own = ClockFile.read(file.text(), layout);
            List<Map.Entry<String, List<Reading>>> others = new ArrayList<>();
            int all = own.readings().size();
            for (Map.Entry<Integer, String> each : places.entrySet()) {
                // more than a run may hold is refused below, and is not all read first
                if (all <= settings.limits().ofEntry()) {
                    List<Reading> column = ClockFile.read(file.text(), of(layout, each.getKey()))
                            .readings();
                    others.add(Map.entry(each.getValue(), column));
                    all += column.size();
                }
            }
            if (waiting.asMap().remove(pending, file)) {
                Answer<?> answer = appending.file(entry, trial, own.readings(), others, file.name(), instrument, actor);
                if (answer.refusal().isPresent()) {
                    waiting.put(pending, file);
                    response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
                    model.addAttribute(
                            "problem", ErrorMessages.of(answer.refusal().get()));
                    return shown(entry, trial, pending, file, guessed, model);
                }
            }
            // sent twice, the other one keeps it
            return "redirect:/entries/" + id + "/strip?trial=" + trial;
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("problem", refused.getMessage());
            return shown(entry, trial, pending, file, guessed, model);
        }
    }

    /** What the other columns of a file are of, by their number: a trial, a new one, or the address of a trend. */
    private static Map<Integer, String> places(Map<String, String> form, ClockFile.Layout layout) {
        Map<Integer, String> places = new LinkedHashMap<>();
        form.forEach((name, place) -> {
            if (name.matches("column-\\d{1,3}") && !place.isBlank()) {
                int column = Integer.parseInt(name.substring(7));
                if (column != layout.time() && column != layout.temperature()) {
                    places.put(column, place);
                }
            }
        });
        return places;
    }

    private static ClockFile.Layout of(ClockFile.Layout layout, int column) {
        return new ClockFile.Layout(
                layout.separator(),
                layout.mark(),
                layout.heads(),
                layout.time(),
                layout.timeIn(),
                column,
                layout.degreesIn());
    }

    @GetMapping("/entries/{id}/clock.csv")
    ResponseEntity<byte[]> csv(@PathVariable UUID id, @RequestParam(defaultValue = "1") int trial) {
        EntrySheet entry = entry(id, trial);
        return CsvAnswer.of(
                "clock-" + entry.entry().period().heldOn() + "-trial-" + trial,
                clocks.of(entry, trial)
                        .map(readings -> ObservationTable.csv(readings, persons.calledThen()))
                        .orElseThrow(() -> new NotFound("There are no timed readings there.")));
    }

    private EntrySheet entry(UUID id, int trial) {
        return entryBook
                .find(id)
                .map(sheets::of)
                .filter(each -> Clocks.placeOf(each, trial).isPresent()
                        && trial >= 1
                        && trial <= each.sheet().trials())
                .orElseThrow(() -> new NotFound("This entry has no timed readings there."));
    }

    private String shown(
            EntrySheet entry, int trial, UUID pending, Waiting waits, ClockFile.Layout layout, Model model) {
        ClockFile file = ClockFile.read(waits.text(), layout);
        Figures figures = entry.entry().period().figures();
        List<Line> lines = file.readings().stream()
                .map(each -> new Line(
                        ClockTime.write(each.seconds()), figures.plain(Math.rint(each.temperature() * 1e4) / 1e4)))
                .toList();
        model.addAttribute("pending", pending);
        model.addAttribute("name", waits.name());
        model.addAttribute("file", file);
        model.addAttribute("first", lines.stream().limit(SHOWN).toList());
        model.addAttribute(
                "last",
                lines.size() > SHOWN ? lines.subList(Math.max(SHOWN, lines.size() - 2), lines.size()) : List.of());
        model.addAttribute("wrong", file.wrong().stream().limit(MOST_WRONG).toList());
        if (!model.containsAttribute("places")) {
            model.addAttribute("places", Map.of());
        }
        model.addAttribute("whereElse", AppendReadings.others(entry, trial));
        model.addAttribute("separators", ClockFile.Separator.values());
        model.addAttribute("marks", DecimalMark.values());
        model.addAttribute("timesIn", ClockFile.TimeIn.values());
        model.addAttribute("degreesIn", ClockFile.DegreesIn.values());
        model.addAttribute(
                "thermometer",
                entry.hand()
                        .at(Clocks.place(entry, trial).group(), InstrumentKind.THERMOMETER)
                        .map(UUID::toString)
                        .orElse(""));
        model.addAttribute(
                "thermometers",
                instruments.offered(List.of()).stream()
                        .filter(each -> each.kind().equals(InstrumentKind.THERMOMETER))
                        .toList());
        return page(entry, trial, model);
    }

    private static String page(EntrySheet entry, int trial, Model model) {
        model.addAttribute("entry", entry.entry());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("trial", trial);
        model.addAttribute(
                "rowsToType",
                model.getAttribute("typedTimes") instanceof List<?> typed
                        ? Math.max(ROWS_TO_TYPE, Math.min(typed.size(), MOST_TYPED))
                        : ROWS_TO_TYPE);
        return "clockfile";
    }
}
