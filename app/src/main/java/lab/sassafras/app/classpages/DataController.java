package lab.sassafras.app.classpages;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.people.ReaderLink;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.plan.PaperData;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
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

/** Simulated data to hand out, to each bench its own; and a second sheet for whoever corrects them. */
@Controller
class DataController {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader("sheet", "bench", "what", "read")
            .get();
    private static final long LARGEST_SEED = 999_999;

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("d MMMM, HH:mm", Locale.ENGLISH);

    private final PeriodBook periods;
    private final ClassBook book;
    private final ReaderLinks links;
    private final LeadClass leading;

    DataController(PeriodBook periods, ClassBook book, ReaderLinks links, LeadClass leading) {
        this.periods = periods;
        this.book = book;
        this.links = links;
        this.leading = leading;
    }

    /** How its page looks, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return "/css/class.css";
    }

    /**
     * What is asked for, as it was typed.
     *
     * @param experiment key
     * @param seed       from which the sheets follow
     * @param copies     of it
     * @param problems   by field
     */
    record Asked(Optional<Experiment> experiment, long seed, int copies, Map<String, String> problems) {

        static Asked of(String experiment, String seed, String copies) {
            Map<String, String> problems = new java.util.LinkedHashMap<>();
            Optional<Experiment> found = Experiments.find(experiment).filter(PaperData::possible);
            if (found.isEmpty()) {
                problems.put("experiment", "Choose one of which a run is simulated.");
            }
            return new Asked(
                    found,
                    whole("seed", seed, LARGEST_SEED, problems),
                    (int) whole("copies", copies, PaperData.MOST, problems),
                    problems);
        }

        private static long whole(String field, String text, long most, Map<String, String> problems) {
            long number = text.strip().matches("\\d{1,6}") ? Long.parseLong(text.strip()) : -1;
            if (number < 1 || number > most) {
                problems.put(field, "A whole number from 1 to " + most + ".");
                return 1;
            }
            return number;
        }
    }

    /** A sheet: for whom, and what stands on it. */
    public record Sheet(
            int number, String title, String bench, PaperData data, String result, String truth, String working) {}

    @GetMapping("/periods/{id}/data")
    String page(
            @PathVariable UUID id,
            @RequestParam Optional<String> experiment,
            @RequestParam(defaultValue = "1") String seed,
            @RequestParam Optional<String> copies,
            @RequestParam(defaultValue = "false") boolean second,
            HttpServletResponse response,
            Model model) {
        return page(find(id), experiment, seed, copies, second, null, response, model);
    }

    private String page(
            Period period,
            Optional<String> experiment,
            String seed,
            Optional<String> copies,
            boolean second,
            @Nullable String refused,
            HttpServletResponse response,
            Model model) {
        int benches = periods.benches(period).size();
        String many = copies.orElse(String.valueOf(Math.max(1, Math.min(PaperData.MOST, benches))));
        List<Experiment> offered =
                Experiments.all().stream().filter(PaperData::possible).toList();
        String chosen = experiment.orElseGet(() -> offered.get(0).key());
        Asked asked = Asked.of(chosen, seed, many);
        if (!asked.problems().isEmpty() || refused != null) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        model.addAttribute("period", period);
        model.addAttribute("experiments", offered);
        model.addAttribute("typed", Map.of("experiment", chosen, "seed", seed, "copies", many));
        model.addAttribute("problems", asked.problems());
        model.addAttribute("second", second);
        model.addAttribute("figures", period.figures());
        model.addAttribute("sheets", sheets(period, asked));
        model.addAttribute("given", given(period));
        model.addAttribute("readers", links.of(period).size());
        model.addAttribute("refused", refused);
        model.addAttribute("own", false);
        return "data";
    }

    /**
     * Data as they were given.
     *
     * @param to    whom
     * @param query of the page that shows them with their answers
     */
    public record GivenOut(UUID id, String to, String what, String when, String query) {}

    private List<GivenOut> given(Period period) {
        Map<UUID, String> names = new HashMap<>();
        periods.benches(period).forEach(each -> names.put(each.id(), each.name()));
        List<ReaderLink> readers = links.of(period);
        for (int i = 0; i < readers.size(); i++) {
            names.put(readers.get(i).id(), "reader " + (i + 1));
        }
        return book.passed(period).given().stream()
                .filter(each -> Experiments.find(each.experiment()).isPresent())
                .map(each -> new GivenOut(
                        each.event().id(),
                        names.getOrDefault(
                                each.event()
                                        .benchId()
                                        .or(() -> each.event().ofId())
                                        .orElse(each.event().id()),
                                "nobody any more"),
                        Experiments.find(each.experiment())
                                        .orElseThrow()
                                        .words()
                                        .title() + ", seed " + each.seed(),
                        WrittenTime.of(each.event().madeAt(), period.zone(), HOUR),
                        "?experiment=" + each.experiment() + "&seed=" + each.seed() + "&copies=1&second=true"))
                .toList();
    }

    /** Gives each bench, and each reader, data of its own; or takes some back. */
    @PostMapping("/periods/{id}/data")
    String give(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String experiment,
            @RequestParam(defaultValue = "1") String seed,
            @RequestParam Optional<String> back,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        if (back.isPresent()) {
            Shelf.identity(back.get())
                    .ifPresent(given -> leading.takeBack(period, given, actor).orThrow());
            return "redirect:/periods/" + id + "/data";
        }
        Asked asked = Asked.of(experiment, seed, "1");
        Optional<Answer<Integer>> done = asked.problems().isEmpty()
                ? Optional.of(leading.give(
                        period,
                        periods.benches(period),
                        links.of(period).stream().map(ReaderLink::id).toList(),
                        experiment,
                        asked.seed(),
                        actor))
                : Optional.empty();
        if (done.filter(each -> each instanceof Answer.Kept).isPresent()) {
            return "redirect:/periods/" + id + "/data?experiment=" + experiment + "&seed=" + asked.seed();
        }
        return page(
                period,
                Optional.of(experiment),
                seed,
                Optional.empty(),
                false,
                done.flatMap(Answer::refusal).map(ErrorMessages::of).orElse(null),
                response,
                model);
    }

    /** What was given to whoever asks: a bench, or a reader. */
    @GetMapping("/periods/{id}/handouts/data")
    String own(@PathVariable UUID id, Visitor visitor, Model model) {
        Period period = find(id);
        if (visitor.seat().isEmpty() && visitor.leads(period)) {
            return "redirect:/periods/" + id + "/data";
        }
        model.addAttribute("period", period);
        model.addAttribute("figures", period.figures());
        model.addAttribute("second", false);
        model.addAttribute("own", true);
        model.addAttribute("sheets", ownSheets(period, visitor));
        return "data";
    }

    private List<Sheet> ownSheets(Period period, Visitor visitor) {
        Passed passed = book.passed(period);
        String name = visitor.seat().map(Bench::name).orElse("");
        List<Passed.Given> given = visitor.seat()
                .map(passed::given)
                .or(() -> links.cameBy(visitor).map(passed::given))
                .orElse(List.of());
        List<Sheet> all = new ArrayList<>();
        for (Passed.Given each : given) {
            TimeBudget.check();
            Experiments.find(each.experiment())
                    .filter(PaperData::possible)
                    .ifPresent(of -> all.add(new Sheet(
                            all.size() + 1, of.words().title(), name, PaperData.of(of, each.seed()), "", "", "")));
        }
        return all;
    }

    @GetMapping("/periods/{id}/handouts/data.csv")
    ResponseEntity<byte[]> ownTable(@PathVariable UUID id, Visitor visitor) {
        return table(ownSheets(find(id), visitor));
    }

    private List<Sheet> sheets(Period period, Asked asked) {
        if (!asked.problems().isEmpty()) {
            return List.of();
        }
        List<String> names = periods.benches(period).stream().map(Bench::name).toList();
        List<Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < asked.copies(); i++) {
            TimeBudget.check();
            PaperData data = PaperData.of(asked.experiment().orElseThrow(), asked.seed() + i);
            sheets.add(new Sheet(
                    i + 1,
                    asked.experiment().orElseThrow().words().title(),
                    i < names.size() ? names.get(i) : "",
                    data,
                    data.reduction().inShort(),
                    data.reduction().sought(data.sought()),
                    data.reduction().working(1).map(Working::text).orElse("")));
        }
        return sheets;
    }

    /** The same sheets as a table, without what comes of them. */
    @GetMapping("/periods/{id}/data.csv")
    ResponseEntity<byte[]> csv(
            @PathVariable UUID id,
            @RequestParam String experiment,
            @RequestParam(defaultValue = "1") String seed,
            @RequestParam(defaultValue = "1") String copies) {
        Period period = find(id);
        Asked asked = Asked.of(experiment, seed, copies);
        if (!asked.problems().isEmpty()) {
            throw new NotFound("There are no such sheets.");
        }
        return table(sheets(period, asked));
    }

    private static ResponseEntity<byte[]> table(List<Sheet> sheets) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (Sheet each : sheets) {
                for (PaperData.Read read : each.data().read()) {
                    printer.printRecord(
                            each.number(),
                            ForSpreadsheets.guarded(each.bench()),
                            ForSpreadsheets.guarded(read.label()),
                            ForSpreadsheets.guarded(read.text()));
                }
                IntStream.range(0, each.data().curve().size())
                        .mapToObj(each.data().curve()::get)
                        .forEach(point -> print(
                                printer,
                                each,
                                "temperature at " + Figures.POINT.plain(Math.rint(point.seconds())) + " s",
                                Figures.POINT.plain(Math.rint(point.temperature() * 1000) / 1000) + " °C"));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return CsvAnswer.of("data-to-hand-out", table);
    }

    private static void print(CSVPrinter printer, Sheet sheet, String what, String read) {
        try {
            printer.printRecord(sheet.number(), ForSpreadsheets.guarded(sheet.bench()), what, read);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}
