package lab.sassafras.app.classpages;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.notebook.SideBySideShown;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Revisions;
import lab.sassafras.app.sheet.BesideLine;
import lab.sassafras.app.sheet.EntrySummaries;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.hour.Concern;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;

/** One look over all benches of a period, and what an instructor says to them. */
@Controller
class ClassController {

    private final PeriodBook periods;
    private final ClassLines lines;
    private final EntrySummaries summaries;
    private final Revisions revisions;
    private final HourScreen hours;
    private final LeadClass leading;
    private final RehearsalScreen rehearsals;

    ClassController(
            PeriodBook periods,
            ClassLines lines,
            EntrySummaries summaries,
            Revisions revisions,
            HourScreen hours,
            LeadClass leading,
            RehearsalScreen rehearsals) {
        this.rehearsals = rehearsals;
        this.periods = periods;
        this.lines = lines;
        this.summaries = summaries;
        this.revisions = revisions;
        this.hours = hours;
        this.leading = leading;
    }

    /** How its page looks, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return "/css/class.css";
    }

    /** The class that goes on: of the bench one sits at, else the newest that is open. */
    @GetMapping("/class")
    String now(Visitor visitor) {
        return visitor.seat()
                .map(Bench::period)
                .or(() -> periods.all().stream()
                        .filter(visitor::leads)
                        .filter(Period::open)
                        .findFirst())
                .map(period -> "redirect:/periods/" + period.id() + "/class")
                .orElse("redirect:/periods");
    }

    @GetMapping("/periods/{id}/class")
    String page(
            @PathVariable UUID id, @RequestHeader(name = "X-Region", defaultValue = "") String region, Model model) {
        return render(find(id), region, "", null, model);
    }

    /** A region of it, fetched by itself, is not asked what only the others show. */
    private String render(
            Period period,
            String region,
            String typed,
            @org.jspecify.annotations.Nullable String problem,
            Model model) {
        ClassLines.ClassNow now = lines.of(period);
        model.addAttribute("period", period);
        model.addAttribute("seen", region.isEmpty() ? revisions.number(period) : 0);
        Optional<HourNow.Day> day = hours.onDay(period, now.benches());
        Map<String, String> waits = day.map(HourNow.Day::waits).orElse(Map.of());
        model.addAttribute(
                "rows",
                now.benches().stream()
                        .map(each -> ClassShown.row(each, now.passed(), waits))
                        .toList());
        Map<String, ClassLines.BenchLine> byName = now.benches().stream()
                .collect(Collectors.toMap(
                        each -> each.bench().name(), each -> each, (one, other) -> one, LinkedHashMap::new));
        model.addAttribute(
                "urgent",
                Concern.of(now.benches().stream().map(ClassLines.BenchLine::now)).stream()
                        .filter(each -> ClassShown.looked(each, waits))
                        .map(each -> ClassShown.urgent(each, Optional.ofNullable(byName.get(each.bench()))))
                        .toList());
        model.addAttribute("groups", region.isEmpty() || region.equals("results") ? groups(now, period) : List.of());
        model.addAttribute("repeats", hours.goesOn(period, ClassShown.trial(now)));
        model.addAttribute(
                "told",
                now.passed().told().stream()
                        .map(each -> ClassShown.told(each, now.passed(), now.benches(), period))
                        .toList());
        model.addAttribute("day", day.orElse(null));
        model.addAttribute("left", hours.left(period).orElse(""));
        model.addAttribute("rehearsal", rehearsals.band(period).orElse(null));
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        return "class";
    }

    /** Results of runs in which all is read, by what they are of: only those are worked out for it. */
    private List<SideBySideShown.Together> groups(ClassLines.ClassNow now, Period period) {
        Set<UUID> under = now.benches().stream()
                .filter(each -> each.now().next().isPresent())
                .flatMap(each -> each.entry().stream())
                .map(Entry::id)
                .collect(Collectors.toSet());
        List<Entry> done = now.entries().stream()
                .filter(each -> !under.contains(each.id()))
                .toList();
        return summaries.beside(done, period, Duration.ZERO).values().stream()
                .flatMap(Optional::stream)
                .collect(Collectors.groupingBy(
                        each -> each.entry().experiment() + " " + SideBySideShown.kind(each),
                        LinkedHashMap::new,
                        Collectors.toList()))
                .values()
                .stream()
                .map(each -> SideBySideShown.together(title(each), each, period.figures()))
                .toList();
    }

    private static String title(List<BesideLine> of) {
        return SideBySideShown.kind(of.get(0));
    }

    /** A note to one bench, or to all. */
    @PostMapping("/periods/{id}/class/notes")
    String tell(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String bench,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        Optional<Bench> to = bench.isEmpty() ? Optional.empty() : Optional.of(bench(period, bench));
        return answered(period, leading.tell(period, to, text, actor), text, response, model);
    }

    /** A bench is held, let go on, noted beside, or its hand is answered. */
    @PostMapping("/periods/{id}/class/{bench}")
    String bench(
            @PathVariable UUID id,
            @PathVariable String bench,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String text,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        Bench meant = bench(period, bench);
        Answer<Boolean> done = switch (what) {
            case "hold" -> leading.hold(meant, Optional.of(text), actor);
            case "lift" -> leading.hold(meant, Optional.empty(), actor);
            case "came" -> leading.came(meant, actor);
            default -> leading.beside(meant, text, actor);
        };
        return answered(period, done, "", response, model);
    }

    private String answered(
            Period period, Answer<Boolean> done, String typed, HttpServletResponse response, Model model) {
        if (done.refusal().isEmpty()) {
            return "redirect:/periods/" + period.id() + "/class";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return render(period, "", typed, ErrorMessages.of(done.refusal().get()), model);
    }

    private Bench bench(Period period, String id) {
        return periods.benches(period).stream()
                .filter(each -> each.id().toString().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no bench at that address."));
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}
