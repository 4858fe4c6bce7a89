package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.CountedNames;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.UnderOtherConventions;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.SetUpPeriod;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.Refused;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Lab periods: open one, look at one, join a bench in it. */
@Controller
class PeriodController {

    /** Kept plans that are offered to begin a period with, the newest. */
    private static final int OFFERED = 12;

    private final PeriodBook periodBook;
    private final PeriodPage page;
    private final SetUpPeriod settingUp;
    private final Clock clock;
    private final PlanBook plans;
    private final UnderOtherConventions others;

    PeriodController(
            PeriodBook periodBook,
            PeriodPage page,
            SetUpPeriod settingUp,
            Clock clock,
            UnderOtherConventions others,
            PlanBook plans) {
        this.plans = plans;
        this.page = page;
        this.others = others;
        this.settingUp = settingUp;
        this.periodBook = periodBook;
        this.clock = clock;
    }

    @GetMapping("/")
    String front(Visitor visitor) {
        if (visitor.seat().isPresent()) {
            return "redirect:/bench";
        }
        return visitor.reads()
                .map(read -> periodBook.find(read).isPresent()
                        ? "redirect:/periods/" + read + "/handouts"
                        : "redirect:/entries/" + read + "/result")
                .orElse(visitor.instructor() ? "redirect:/periods" : "redirect:/door");
    }

    @GetMapping("/periods")
    String periods(
            @RequestParam Optional<UUID> like, @RequestParam Map<String, String> typed, Visitor visitor, Model model) {
        ZoneId zone = ZoneId.systemDefault();
        model.addAttribute("fresh", true);
        LocalDate today = LocalDate.now(clock.withZone(zone));
        NewPeriod form = like.map(page::find)
                .map(period -> NewPeriod.like(period, today))
                .orElseGet(() -> NewPeriod.blank(today, zone));
        List<KeptPlan> led = new NewPeriod(typed)
                .plans().stream().flatMap(each -> plans.find(each).stream()).toList();
        return form(model, led.isEmpty() ? form : form.ledBy(led), visitor);
    }

    @PostMapping("/periods")
    String open(
            @RequestParam Map<String, String> typed,
            Visitor visitor,
            Actor actor,
            Model model,
            HttpServletResponse response) {
        NewPeriod form = new NewPeriod(typed);
        if (!form.checks()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("fresh", false);
            return form(model, form, visitor);
        }
        Answer<Period> opened = settingUp.open(form.wanted(), actor);
        if (opened.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("fresh", false);
            model.addAttribute("plansProblem", ErrorMessages.of(opened.refusal().get()));
            return form(model, form, visitor);
        }
        return "redirect:/periods/" + opened.orThrow().id();
    }

    private String form(Model model, NewPeriod form, Visitor visitor) {
        Map<Boolean, List<Period>> led = periodBook.all().stream()
                .filter(visitor::leads)
                .collect(Collectors.partitioningBy(each -> each.state() == Period.State.ARCHIVED));
        model.addAttribute("periods", led.get(false));
        model.addAttribute("archived", led.get(true));
        model.addAttribute("form", form);
        List<KeptPlan> kept = plans.all();
        model.addAttribute(
                "plans",
                kept.stream()
                        .filter(each ->
                                kept.indexOf(each) < OFFERED || form.plans().contains(each.id()))
                        .toList());
        model.addAttribute("questions", ConventionQuestion.all());
        model.addAttribute(
                "zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
        return "periods";
    }

    @GetMapping("/periods/{id}")
    String period(@PathVariable UUID id, Model model) {
        return page.shown(page.find(id), model, "", null);
    }

    @PostMapping("/periods/{id}/join")
    String join(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String name,
            Visitor visitor,
            Model model,
            HttpServletResponse response) {
        Period period = page.find(id);
        Answer<Bench> joined = settingUp.sitDown(period, name, visitor);
        if (joined.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page.shown(
                    period, model, name, ErrorMessages.of(joined.refusal().get()));
        }
        return "redirect:/bench";
    }

    /** A list of benches made at once. */
    @PostMapping("/periods/{id}/benches")
    String benches(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String names,
            Model model,
            HttpServletResponse response) {
        Period period = page.find(id);
        try {
            settingUp.benches(period, CountedNames.read(names, "benches")).orThrow();
            return "redirect:/periods/" + id;
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("typedNames", names);
            model.addAttribute("namesProblem", refused.getMessage());
            return page.shown(period, model, "", null);
        }
    }

    /** Another name for a bench, its vessel and sample, or none at all where it wrote nothing. */
    @PostMapping("/periods/{id}/benches/{bench}")
    String bench(
            @PathVariable UUID id,
            @PathVariable UUID bench,
            @RequestParam(defaultValue = "") String name,
            @RequestParam Optional<UUID> vessel,
            @RequestParam(defaultValue = "") String sample,
            @RequestParam Optional<String> give,
            @RequestParam Optional<String> away) {
        Bench meant = periodBook.benches(page.find(id)).stream()
                .filter(each -> each.id().equals(bench))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no bench at that address."));
        if (away.isPresent()) {
            settingUp.remove(meant).orThrow();
        } else if (give.isPresent()) {
            settingUp.give(meant, vessel, sample).orThrow();
        } else {
            settingUp.rename(meant, name).orThrow();
        }
        return "redirect:/periods/" + id;
    }

    /** Sets the conventions anew; where something was read already, it is said first how far its results move. */
    @PostMapping("/periods/{id}/conventions")
    String conventions(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "false") boolean sure,
            Optional<Actor> actor,
            Model model,
            HttpServletResponse response) {
        Period period = page.find(id);
        Map<String, String> schools = new NewPeriod(typed).schools();
        boolean asking = periodBook.begun(period) && !sure;
        Answer<Boolean> settled = asking ? new Answer.Asked<>("") : settingUp.settle(period, schools, reason, actor);
        if (settled instanceof Answer.Kept) {
            return "redirect:/periods/" + id;
        }
        settled.refusal().ifPresent(why -> {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("settleProblem", ErrorMessages.of(why));
        });
        if (Conventions.unknown(schools).isEmpty()) {
            model.addAttribute("wanted", Conventions.of(schools));
            model.addAttribute("moved", others.moved(period, schools));
        }
        model.addAttribute("settleReason", reason);
        return page.shown(period, model, "", null);
    }
}
