package lab.sassafras.app.classpages;

import jakarta.servlet.http.HttpServletResponse;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.Passed;
import lab.sassafras.app.people.ReaderLink;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.plan.PaperData;
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
        PaperSheets.Asked asked = PaperSheets.Asked.of(chosen, seed, many);
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
        PaperSheets.Asked asked = PaperSheets.Asked.of(experiment, seed, "1");
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

    private List<PaperSheets.Sheet> ownSheets(Period period, Visitor visitor) {
        Passed passed = book.passed(period);
        String name = visitor.seat().map(Bench::name).orElse("");
        List<Passed.Given> given = visitor.seat()
                .map(passed::given)
                .or(() -> links.cameBy(visitor).map(passed::given))
                .orElse(List.of());
        List<PaperSheets.Sheet> all = new ArrayList<>();
        for (Passed.Given each : given) {
            TimeBudget.check();
            Experiments.find(each.experiment())
                    .filter(PaperData::possible)
                    .ifPresent(of -> all.add(new PaperSheets.Sheet(
                            all.size() + 1, of.words().title(), name, PaperData.of(of, each.seed()), "", "", "")));
        }
        return all;
    }

    @GetMapping("/periods/{id}/handouts/data.csv")
    ResponseEntity<byte[]> ownTable(@PathVariable UUID id, Visitor visitor) {
        return PaperSheets.table(ownSheets(find(id), visitor));
    }

    private List<PaperSheets.Sheet> sheets(Period period, PaperSheets.Asked asked) {
        if (!asked.problems().isEmpty()) {
            return List.of();
        }
        List<String> names = periods.benches(period).stream().map(Bench::name).toList();
        List<PaperSheets.Sheet> sheets = new ArrayList<>();
        for (int i = 0; i < asked.copies(); i++) {
            TimeBudget.check();
            PaperData data = PaperData.of(asked.experiment().orElseThrow(), asked.seed() + i);
            sheets.add(new PaperSheets.Sheet(
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
        PaperSheets.Asked asked = PaperSheets.Asked.of(experiment, seed, copies);
        if (!asked.problems().isEmpty()) {
            throw new NotFound("There are no such sheets.");
        }
        return PaperSheets.table(sheets(period, asked));
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}
