package lab.sassafras.app.planpages;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.plans.HazardsShown;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.app.usecase.SetUpPeriod;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Plan;
import lab.sassafras.plan.Prepared;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;

/** The prep room. */
@Controller
class PlanController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);
    private static final String NONE = "There is no plan at that address.";
    /** What a plan is reckoned for beside the number, asked for after it. */
    private static final String HELP = "help";

    static final String PANEL = "/css/plan.css";

    private final Shelves shelves;
    private final PlanBook plans;
    private final KeepShelf keeping;
    private final HazardsShown hazards;
    private final PeriodBook periodBook;
    private final SetUpPeriod periods;
    private final Labs labs;

    PlanController(
            Shelves shelves,
            PlanBook plans,
            KeepShelf keeping,
            HazardsShown hazards,
            PeriodBook periodBook,
            SetUpPeriod periods,
            Labs labs) {
        this.labs = labs;
        this.periodBook = periodBook;
        this.periods = periods;
        this.hazards = hazards;
        this.shelves = shelves;
        this.plans = plans;
        this.keeping = keeping;
    }

    /** A kept plan as it is listed. */
    public record Line(UUID id, String name, String title, String kept) {}

    /** An experiment that can be planned. */
    public record Offered(String key, String title, String lead) {}

    /** How its pages look, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return PANEL;
    }

    @GetMapping("/prep")
    String room(Model model) {
        return room(null, model);
    }

    private String room(@Nullable String problem, Model model) {
        model.addAttribute(
                "plans",
                plans.all().stream()
                        .map(each -> new Line(
                                each.id(),
                                each.name(),
                                title(each),
                                each.who() + ", " + DAY.format(each.madeAt().atZone(ZoneId.systemDefault()))))
                        .toList());
        model.addAttribute(
                "offered",
                Experiments.all().stream()
                        .filter(Plan::possible)
                        .map(each -> new Offered(
                                each.key(), each.words().title(), each.words().get("lead")))
                        .toList());
        model.addAttribute("problem", problem);
        return "prep";
    }

    private static String title(KeptPlan plan) {
        return Experiments.findOrUnknown(plan.experiment()).words().title();
    }

    /** A plan as it is typed: nothing of it is kept. */
    @GetMapping("/prep/{experiment}")
    String plan(
            @PathVariable String experiment,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestHeader(name = "X-Region", defaultValue = "") String region,
            Model model) {
        return show(form(experiment, last(typed)), Optional.empty(), region, model);
    }

    /** What is taken over stands behind what stood there. */
    private static Map<String, String> last(MultiValueMap<String, String> typed) {
        Map<String, String> all = new LinkedHashMap<>();
        typed.forEach((name, values) -> all.put(name, values.get(values.size() - 1)));
        return all;
    }

    private PlanForm form(String experiment, Map<String, String> typed) {
        Experiment of = Experiments.find(experiment)
                .filter(Plan::possible)
                .orElseThrow(() -> new NotFound("There is nothing to plan at that address."));
        return new PlanForm(of, typed, shelves.now(), labs.now());
    }

    private String show(PlanForm form, Optional<KeptPlan> kept, String region, Model model) {
        PlanScreen screen = new PlanScreen(form, Figures.POINT);
        PlanScreen.Reckoned reckoned = screen.reckoned();
        model.addAttribute("form", form);
        model.addAttribute("experiment", form.plan().experiment().key());
        model.addAttribute("title", form.plan().experiment().words().title());
        model.addAttribute("kept", kept.orElse(null));
        model.addAttribute("places", region.isEmpty() ? kept.map(this::places).orElse(List.of()) : List.of());
        model.addAttribute("found", screen.found().orElse(null));
        model.addAttribute(
                "expected", reckoned.expectation().map(screen::expected).orElse(null));
        model.addAttribute("findings", reckoned.findings());
        // what takes longer is fetched by itself; without a script the page has all of it
        model.addAttribute(
                "helps",
                region.isEmpty() || region.equals(HELP)
                        ? reckoned.expectation().map(screen::helps).orElse(null)
                        : null);
        model.addAttribute("hazards", hazards(form, region));
        model.addAttribute("query", query(form));
        model.addAttribute("key", UUID.randomUUID());
        return "plan";
    }

    private List<HazardsShown.Shown> hazards(PlanForm form, String region) {
        return region.isEmpty() || region.equals(HELP) ? hazards.of(Prepared.substances(form.plan())) : List.of();
    }

    /** The address of the same plan, to which something else is added. */
    private static String query(PlanForm form) {
        Map<String, String> typed = PlanForm.typed(form.file("", null));
        UriComponentsBuilder address = UriComponentsBuilder.fromPath(
                "/prep/" + form.plan().experiment().key());
        typed.forEach((name, value) -> address.queryParam(name, "{" + name + "}"));
        return address.encode().buildAndExpand(typed).toUriString();
    }

    /** Keeps it under a name. */
    @PostMapping("/prep/{experiment}")
    String keep(
            @PathVariable String experiment,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String key,
            @RequestParam(defaultValue = "") String copy,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        PlanForm form = form(experiment, last(typed));
        String why;
        Optional<String> not = form.cannotBe();
        if (not.isPresent()) {
            why = not.get();
        } else {
            Answer<KeptPlan> kept = keeping.plan(
                    identity(key).orElseGet(UUID::randomUUID), form.file(name, reckoned(form)), identity(copy), actor);
            if (kept instanceof Answer.Kept<KeptPlan> done) {
                return "redirect:/plans/" + done.what().id();
            }
            why = kept.refusal().map(ErrorMessages::of).orElse("");
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("name", name);
        model.addAttribute("problem", why);
        return show(form, Optional.empty(), "", model);
    }

    private Map<String, Double> reckoned(PlanForm form) {
        Map<String, Double> all = new LinkedHashMap<>();
        new PlanScreen(form, Figures.POINT).reckoned().expectation().ifPresent(each -> {
            each.warms().ifPresent(ends -> {
                all.put(PlanFile.END, ends.value().value());
                all.put(PlanFile.LOW, ends.value().low());
                all.put(PlanFile.HIGH, ends.value().high());
                all.put("change of temperature, °C", ends.change());
            });
            each.seen().stream()
                    .flatMap(seen -> seen.readings().stream())
                    .forEach(one ->
                            all.put(form.plan().label(one.path()) + ", " + one.unit(), Double.parseDouble(one.text())));
            if (each.heat() > 0) {
                all.put("heat, J", each.heat());
            }
            all.put(PlanFile.RESULT + each.unit().symbol(), each.result().value());
            all.put(PlanFile.HALF + each.unit().symbol(), each.result().half());
        });
        return all;
    }

    @GetMapping("/plans/{plan}")
    String kept(
            @PathVariable("plan") UUID id,
            @RequestHeader(name = "X-Region", defaultValue = "") String region,
            Model model) {
        KeptPlan kept = plans.find(id).orElseThrow(() -> new NotFound(NONE));
        return show(form(kept.experiment(), PlanForm.typed(kept.file())), Optional.of(kept), region, model);
    }

    @GetMapping("/plans/{plan}/plan.json")
    ResponseEntity<byte[]> file(@PathVariable("plan") UUID id) {
        KeptPlan kept = plans.find(id).orElseThrow(() -> new NotFound(NONE));
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"plan-" + kept.experiment() + ".json\"")
                .body(kept.file().written().getBytes(StandardCharsets.UTF_8));
    }

    /** Leads a period by it, or no more. */
    @PostMapping("/plans/{plan}/periods")
    String layOut(
            @PathVariable("plan") UUID id,
            @RequestParam UUID period,
            @RequestParam(defaultValue = "true") boolean here,
            Actor actor) {
        KeptPlan kept = plans.find(id).orElseThrow(() -> new NotFound(NONE));
        Period of = periodBook.find(period).orElseThrow(NotFound::period);
        periods.layOut(of, kept, here, actor).orThrow();
        return "redirect:/plans/" + id;
    }

    /** A period a plan may be laid out in. */
    public record Place(UUID id, String title, boolean here) {}

    private List<Place> places(KeptPlan kept) {
        return periodBook.all().stream()
                .filter(each -> each.state() == Period.State.OPEN || each.state() == Period.State.DRAFT)
                .map(each -> new Place(each.id(), each.title(), plans.leads(each, kept)))
                .toList();
    }

    /** Two of them, each a page of the book. */
    @GetMapping("/plans/beside")
    String beside(@RequestParam UUID one, @RequestParam UUID other, Model model) {
        model.addAttribute("two", List.of(side(one), side(other)));
        return "plansbeside";
    }

    /** A plan on one of two pages. */
    public record Side(
            KeptPlan plan,
            String title,
            List<PlanForm.Field> fields,
            List<PlanForm.Field> readings,
            String vessel,
            PlanScreen.@Nullable Expected expected,
            List<lab.sassafras.account.Finding> findings) {}

    private Side side(UUID id) {
        KeptPlan kept = plans.find(id).orElseThrow(() -> new NotFound(NONE));
        PlanForm form = form(kept.experiment(), PlanForm.typed(kept.file()));
        PlanScreen screen = new PlanScreen(form, Figures.POINT);
        PlanScreen.Reckoned reckoned = screen.reckoned();
        return new Side(
                kept,
                title(kept),
                form.fields(),
                form.readings(),
                kept.file().vessel().name(),
                reckoned.expectation().map(screen::expected).orElse(null),
                reckoned.findings());
    }

    /** Takes a plan in from a file. */
    @PostMapping("/prep")
    String bringIn(
            @RequestParam(defaultValue = "") String file, Actor actor, HttpServletResponse response, Model model) {
        Answer<KeptPlan> kept;
        try {
            PlanFile read = PlanFile.read(file);
            PlanForm form = form(read.experiment(), PlanForm.typed(read));
            form.cannotBe().ifPresent(why -> {
                throw new Refused(why);
            });
            // what a file says is expected is another program's word: it is reckoned here
            kept = keeping.plan(UUID.randomUUID(), form.file(read.name(), reckoned(form)), Optional.empty(), actor);
        } catch (Refused | NotFound not) {
            kept = new Answer.NotKept<>(not);
        }
        if (kept instanceof Answer.Kept<KeptPlan> done) {
            return "redirect:/plans/" + done.what().id();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("file", file);
        return room(kept.refusal().map(ErrorMessages::of).orElse(""), model);
    }

    private static Optional<UUID> identity(String text) {
        return lab.sassafras.app.shelf.Shelf.identity(text);
    }
}
