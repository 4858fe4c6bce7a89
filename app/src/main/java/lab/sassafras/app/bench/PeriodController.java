package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.Codes;
import lab.sassafras.app.people.SignIn;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.CountedNames;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.UnderOtherConventions;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.SetUpPeriod;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;
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

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final PeriodBook periodBook;
    private final EntryBook entryBook;
    private final SetUpPeriod settingUp;
    private final Codes codes;
    private final SignIns signIns;
    private final Invitations invitations;
    private final Clock clock;
    private final UnderOtherConventions others;

    PeriodController(
            PeriodBook periodBook,
            EntryBook entryBook,
            SetUpPeriod settingUp,
            Codes codes,
            SignIns signIns,
            Invitations invitations,
            Clock clock,
            UnderOtherConventions others) {
        this.codes = codes;
        this.signIns = signIns;
        this.invitations = invitations;
        this.others = others;
        this.settingUp = settingUp;
        this.periodBook = periodBook;
        this.entryBook = entryBook;
        this.clock = clock;
    }

    /** A convention set anew, in words. */
    public record Resettled(String question, String was, String is, String when, String who, String reason) {

        private static Resettled of(PeriodBook.Resettled decided, ZoneId zone) {
            Optional<ConventionQuestion<?>> question = ConventionQuestion.all().stream()
                    .filter(each -> each.key().equals(decided.question()))
                    .findFirst();
            return new Resettled(
                    question.map(ConventionQuestion::words).orElse(decided.question()),
                    school(question, decided.was()),
                    school(question, decided.is()),
                    WrittenTime.of(decided.decision().madeAt(), zone, DAY),
                    decided.decision().who(),
                    decided.decision().reason());
        }

        private static String school(Optional<ConventionQuestion<?>> question, String key) {
            return question.stream()
                    .flatMap(each -> each.schools().stream())
                    .filter(each -> each.key().equals(key))
                    .map(Convention::words)
                    .findFirst()
                    .orElse(key);
        }
    }

    /** A tablet at a bench, and when it was last seen. */
    public record Joined(UUID id, String bench, String device, String seen) {

        private static Joined of(SignIn signIn, ZoneId zone) {
            return new Joined(
                    signIn.id(),
                    signIn.bench().map(Bench::name).orElse(""),
                    signIn.device(),
                    WrittenTime.of(signIn.seenAt(), zone, DAY));
        }
    }

    @GetMapping("/")
    String front(Visitor visitor) {
        if (visitor.seat().isPresent()) {
            return "redirect:/bench";
        }
        return visitor.reads()
                .map(entry -> "redirect:/entries/" + entry + "/result")
                .orElse(visitor.instructor() ? "redirect:/periods" : "redirect:/door");
    }

    @GetMapping("/periods")
    String periods(@RequestParam Optional<UUID> like, Visitor visitor, Model model) {
        ZoneId zone = ZoneId.systemDefault();
        model.addAttribute("fresh", true);
        LocalDate today = LocalDate.now(clock.withZone(zone));
        return form(
                model,
                like.map(this::find)
                        .map(period -> NewPeriod.like(period, today))
                        .orElseGet(() -> NewPeriod.blank(today, zone)),
                visitor);
    }

    @PostMapping("/periods")
    String open(@RequestParam Map<String, String> typed, Visitor visitor, Model model, HttpServletResponse response) {
        NewPeriod form = new NewPeriod(typed);
        if (!form.checks()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("fresh", false);
            return form(model, form, visitor);
        }
        Answer<Period> opened = settingUp.open(
                form.title(), form.date(), form.zone(), form.mark(), form.schools(), form.likeOf(), form.benchesOf());
        return "redirect:/periods/" + opened.orThrow().id();
    }

    private String form(Model model, NewPeriod form, Visitor visitor) {
        model.addAttribute(
                "periods", periodBook.all().stream().filter(visitor::leads).toList());
        model.addAttribute("form", form);
        model.addAttribute("questions", ConventionQuestion.all());
        model.addAttribute(
                "zones", ZoneId.getAvailableZoneIds().stream().sorted().toList());
        return "periods";
    }

    @GetMapping("/periods/{id}")
    String period(@PathVariable UUID id, Model model) {
        return period(find(id), model, "", null);
    }

    @PostMapping("/periods/{id}/join")
    String join(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String name,
            Visitor visitor,
            Model model,
            HttpServletResponse response) {
        Period period = find(id);
        Answer<Bench> joined = settingUp.sitDown(period, name, visitor);
        if (joined.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return period(period, model, name, ErrorMessages.of(joined.refusal().get()));
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
        Period period = find(id);
        try {
            settingUp.benches(period, CountedNames.read(names, "benches")).orThrow();
            return "redirect:/periods/" + id;
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("typedNames", names);
            model.addAttribute("namesProblem", refused.getMessage());
            return period(period, model, "", null);
        }
    }

    /** Another name for a bench, or none at all where it wrote nothing. */
    @PostMapping("/periods/{id}/benches/{bench}")
    String bench(
            @PathVariable UUID id,
            @PathVariable UUID bench,
            @RequestParam(defaultValue = "") String name,
            @RequestParam Optional<String> away) {
        Bench meant = periodBook.benches(find(id)).stream()
                .filter(each -> each.id().equals(bench))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no bench at that address."));
        if (away.isPresent()) {
            settingUp.remove(meant).orThrow();
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
        Period period = find(id);
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
        return period(period, model, "", null);
    }

    /** Another code, by which alone one joins from now on. */
    @PostMapping("/periods/{id}/code")
    String code(@PathVariable UUID id) {
        settingUp.renewCode(find(id)).orThrow();
        return "redirect:/periods/" + id;
    }

    /** Sends one tablet away. */
    @PostMapping("/periods/{id}/away/{signIn}")
    String away(@PathVariable UUID id, @PathVariable UUID signIn) {
        settingUp.sendAway(find(id), signIn).orThrow();
        return "redirect:/periods/" + id;
    }

    /** Closes the period or opens it again, and says whether its benches see each other's entries. */
    @PostMapping("/periods/{id}/life")
    String life(
            @PathVariable UUID id,
            @RequestParam Optional<Period.State> state,
            @RequestParam Optional<Boolean> shared,
            @RequestParam Optional<Boolean> withholds,
            @RequestParam Optional<String> tell,
            @RequestParam Optional<Boolean> offering,
            @RequestParam(defaultValue = "") Set<String> offers,
            @RequestParam(defaultValue = "") String reason,
            Actor actor,
            Model model,
            HttpServletResponse response) {
        Period period = find(id);
        Optional<Answer<Boolean>> done = state.map(each -> settingUp.become(period, each, reason, actor))
                .or(() -> shared.map(each -> settingUp.share(period, each)))
                .or(() -> offering.map(any -> settingUp.offer(period, offers)))
                .or(() -> withholds.map(each -> settingUp.withhold(period, each)))
                .or(() -> tell.map(
                        key -> settingUp.reveal(period, Optional.of(key).filter(each -> !each.equals("all")), actor)));
        Optional<RuntimeException> refusal = done.flatMap(Answer::refusal);
        if (refusal.isEmpty()) {
            return "redirect:/periods/" + id;
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("lifeProblem", ErrorMessages.of(refusal.get()));
        return period(period, model, "", null);
    }

    private Period find(UUID id) {
        return periodBook.find(id).orElseThrow(() -> new NotFound("There is no lab period at that address."));
    }

    private String period(Period period, Model model, String typed, @Nullable String problem) {
        Conventions conventions = Conventions.of(period.schools());
        model.addAttribute("period", period);
        model.addAttribute("periods", periodBook.all());
        List<Bench> benches = periodBook.benches(period);
        model.addAttribute("benches", benches);
        model.addAttribute(
                "empty",
                benches.stream()
                        .filter(bench -> entryBook.of(bench).isEmpty())
                        .map(Bench::id)
                        .toList());
        PeriodBook.Told told = periodBook.told(period);
        model.addAttribute("allTold", told.revealed().contains(PeriodBook.Told.all(period)));
        model.addAttribute(
                "untold",
                entryBook.of(period).stream()
                        .map(Entry::experiment)
                        .distinct()
                        .filter(key -> !told.revealed().contains(PeriodBook.Told.experiment(period, key)))
                        .flatMap(key -> Experiments.find(key).stream())
                        .toList());
        model.addAttribute("experiments", Experiments.all());
        model.addAttribute("begun", periodBook.begun(period));
        model.addAttribute("figures", period.figures());
        model.addAttribute(
                "resettled",
                periodBook.resettled(period).stream()
                        .map(each -> Resettled.of(each, period.zone()))
                        .toList());
        model.addAttribute("questions", ConventionQuestion.all());
        model.addAttribute("conventions", conventions);
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        Optional<String> code = codes.of(period);
        model.addAttribute("code", code.map(Codes::inGroups).orElse(null));
        model.addAttribute("invitation", code.flatMap(invitations::of).orElse(null));
        model.addAttribute(
                "joined",
                signIns.joined(period).stream()
                        .map(each -> Joined.of(each, period.zone()))
                        .toList());
        return "period";
    }
}
