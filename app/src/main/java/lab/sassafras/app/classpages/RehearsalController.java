package lab.sassafras.app.classpages;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.planpages.PlannedWork;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.app.usecase.SetUpPeriod;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Timetable;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Plan;
import lab.sassafras.plan.Prepared;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.rehearse.Stock;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Scene;
import lab.sassafras.simulate.Slip;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A dress rehearsal: begun from a plan, looked at as it goes. */
@Controller
class RehearsalController {

    /** Benches of a rehearsal at most, and trials of each. */
    static final int MOST_BENCHES = 32;

    static final int MOST_TRIALS = 6;
    /** As fast as a rehearsal goes unless it is said otherwise, and at most. */
    static final double SPEED = 20;

    private static final double FASTEST = 1000;
    private static final String GENERAL = "slips";
    private static final int LONGEST_NAME = 60;
    /** Of any calorimeter, where only words are looked at (J/°C). */
    private static final double USUAL = 10;

    /** How a page looks, which no other page needs. */
    private static final String PANEL = "panel";

    private final PlanBook plans;
    private final PeriodBook periods;
    private final PlannedWork work;
    private final HourScreen hours;
    private final RehearsalScreen screen;
    private final RehearsalHands hands;
    private final SetUpPeriod settingUp;
    private final LeadClass leading;
    private final Clock clock;

    RehearsalController(
            PlanBook plans,
            PeriodBook periods,
            PlannedWork work,
            HourScreen hours,
            RehearsalScreen screen,
            RehearsalHands hands,
            SetUpPeriod settingUp,
            LeadClass leading,
            Clock clock) {
        this.plans = plans;
        this.periods = periods;
        this.work = work;
        this.hours = hours;
        this.screen = screen;
        this.hands = hands;
        this.settingUp = settingUp;
        this.leading = leading;
        this.clock = clock;
    }

    /** What may go wrong at a bench. */
    public record Wrong(String key, String words, boolean chosen) {}

    @GetMapping("/plans/{plan}/rehearsal")
    String form(@PathVariable("plan") UUID id, Model model) {
        KeptPlan plan = kept(id);
        return form(plan, hours.form(plan, Map.of()), Set.of(), "", model);
    }

    private KeptPlan kept(UUID id) {
        return plans.find(id).orElseThrow(() -> new NotFound("There is no plan at that address."));
    }

    private String form(KeptPlan plan, HourForm form, Set<String> slips, String seed, Model model) {
        Experiment of = form.experiments().get(0);
        model.addAttribute(PANEL, "/css/hour.css");
        model.addAttribute("plan", plan);
        model.addAttribute("title", of.words().title());
        model.addAttribute("form", form);
        Map<String, String> has = new LinkedHashMap<>();
        form.gear().forEach(gear -> has.put(gear.key(), gear.words()));
        model.addAttribute("has", has);
        model.addAttribute("seed", seed);
        model.addAttribute("otherwise", otherwise(work.plan(plan)));
        model.addAttribute(
                "slips",
                of.scene().stream()
                        .flatMap(scene -> Slip.in(scene).stream())
                        .sorted()
                        .map(each -> new Wrong(each.key(), each.words(), slips.contains(each.key())))
                        .toList());
        return "rehearse";
    }

    /** What the simulated bench takes in the place of what the plan says, in words. */
    private static List<String> otherwise(Plan plan) {
        try {
            return taken(plan);
        } catch (Refused cannot) {
            // said where it is begun
            return List.of();
        }
    }

    private static List<String> taken(Plan plan) {
        return plan.experiment().scene().stream()
                .flatMap(scene ->
                        Bench.usual(1, USUAL).wishing(plan.wished(), plan.taken()).over(scene).written().stream())
                .filter(each -> each.way() == Bench.Way.STATED)
                .filter(each -> Optional.ofNullable(plan.had().get(each.path()))
                        .filter(had ->
                                had.role() == Role.STATED && !had.text().strip().equals(each.text()))
                        .isPresent())
                .filter(each -> plan.experiment()
                        .slot(each.path())
                        .filter(slot -> slot.field() == Slot.Field.WORDS || slot.field() == Slot.Field.PICK)
                        .isPresent())
                .map(each -> plan.experiment().words().label(each.path()) + ": " + each.text() + " in the place of "
                        + plan.one(each.path()).text())
                .toList();
    }

    /** Begins one: a period of its own, its benches simulated, its hour laid. */
    @PostMapping("/plans/{plan}/rehearsal")
    String begin(
            @PathVariable("plan") UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam(defaultValue = "") Set<String> slip,
            @RequestParam(defaultValue = "") String seed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        KeptPlan plan = kept(id);
        HourForm form = hours.form(plan, typed);
        try {
            Optional<Begun> begun = begun(plan, form, typed, slip, seed);
            if (begun.isPresent()) {
                return "redirect:/periods/" + begin(plan, form, begun.get(), actor) + "/rehearsal";
            }
        } catch (Refused refused) {
            form.problem(GENERAL, String.valueOf(refused.getMessage()));
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return form(plan, form, slip, seed, model);
    }

    /** What a rehearsal is begun with, checked. */
    private record Begun(long seed, double speed, KeptRehearsal.Evening evening) {}

    private Optional<Begun> begun(
            KeptPlan plan, HourForm form, Map<String, String> typed, Set<String> slips, String seed) {
        if (form.benches().size() > MOST_BENCHES) {
            form.problem(HourForm.BENCHES, "A rehearsal has 1 to " + MOST_BENCHES + " benches.");
        }
        if (form.trials() > MOST_TRIALS) {
            form.problem(HourForm.TRIALS, "A rehearsal has 1 to " + MOST_TRIALS + " trials at each bench.");
        }
        if (!seed.strip().matches("\\d{0,9}")) {
            form.problem("seed", "A seed is a whole number of at most nine digits, or nothing.");
        }
        double speed = speed(form, typed.getOrDefault("speed", "").strip());
        Experiment of = form.experiments().get(0);
        Scene scene = of.scene()
                .filter(any -> Plan.runs(of))
                .orElseThrow(
                        () -> new Refused("“" + of.words().title() + "” has nothing to run at the simulated bench."));
        List<String> wrong = new ArrayList<>();
        for (String each : slips) {
            wrong.add(Slip.of(each)
                    .filter(Slip.in(scene)::contains)
                    .map(Slip::key)
                    .orElseThrow(
                            () -> new Refused("That cannot go wrong in this experiment. Choose among those shown.")));
        }
        Optional<Evening> evening = form.evening();
        if (evening.isEmpty()) {
            return Optional.empty();
        }
        long drawn = seed.isBlank() ? clock.millis() % 1_000_000 : Long.parseLong(seed.strip());
        Timetable hour = hours.timetable(evening.get());
        Plan had = work.plan(plan);
        Map<String, String> slipping = Rehearsal.spread(form.benches(), wrong);
        Prepared prepared = work.prepared(
                plan,
                form.benches().size(),
                form.trials(),
                plan.file().forPeriod().spare());
        Map<String, Integer> gear = new LinkedHashMap<>();
        evening.get().has().forEach((each, many) -> gear.put(each.key(), many));
        KeptRehearsal.Evening laid = new KeptRehearsal.Evening(
                form.from().toString(),
                evening.get().length(),
                form.trials(),
                had.wished(),
                had.taken(),
                slipping,
                stocks(prepared, had),
                lacking(prepared),
                gear,
                Rehearsal.of(evening.get(), hour, drawn).went());
        // what cannot be played is refused before anything is opened for it
        RehearsalHands.acts(plan.experiment(), laid);
        return Optional.of(new Begun(drawn, speed, laid));
    }

    private static double speed(HourForm form, String typed) {
        if (typed.isEmpty()) {
            return SPEED;
        }
        double speed = typed.matches("\\d{1,4}") ? Double.parseDouble(typed) : 0;
        if (!(speed >= 1 && speed <= FASTEST)) {
            form.problem("speed", "A whole number from 1 to " + (int) FASTEST + ".");
        }
        return speed;
    }

    private List<Stock> stocks(Prepared prepared, Plan had) {
        return prepared.lines().stream()
                .filter(line -> !line.path().isEmpty())
                .map(line -> {
                    double there = line.need().map(work::there).orElse(0.0);
                    return new Stock(
                            line.what(),
                            line.path(),
                            had.amount(line.path()).orElse(0),
                            line.unit(),
                            there > 0 ? Math.min(there, line.amount()) : line.amount());
                })
                .toList();
    }

    private List<String> lacking(Prepared prepared) {
        return prepared.lines().stream()
                .filter(line -> line.kind() == Prepared.Kind.GEAR)
                .flatMap(line -> line.need().flatMap(work::lacks).map(lacks -> line.what() + ": " + lacks).stream())
                .toList();
    }

    private UUID begin(KeptPlan plan, HourForm form, Begun begun, Actor actor) {
        String name = plan.name().length() > LONGEST_NAME ? plan.name().substring(0, LONGEST_NAME) : plan.name();
        Period period = settingUp
                .open(
                        new SetUpPeriod.Wanted(
                                "Dress rehearsal: " + name,
                                LocalDate.now(clock.withZone(ZoneId.systemDefault())),
                                ZoneId.systemDefault(),
                                DecimalMark.POINT,
                                plan.file().forPeriod().conventions(),
                                Optional.empty(),
                                Optional.empty(),
                                form.benches(),
                                List.of(plan.id()),
                                false,
                                true),
                        actor)
                .orThrow();
        leading.lay(period, form.whole(), actor).orThrow();
        KeptRehearsal kept = leading.rehearse(
                        period, new KeptRehearsal.Given(plan.id(), begun.seed(), begun.speed(), begun.evening()), actor)
                .orThrow();
        hands.goOn(kept);
        return period.id();
    }

    /** It goes on, or what came of it. */
    @GetMapping("/periods/{id}/rehearsal")
    String page(@PathVariable UUID id, Model model) {
        Period period = periods.find(id).orElseThrow(NotFound::period);
        model.addAttribute(PANEL, "/css/class.css");
        model.addAttribute("period", period);
        model.addAttribute(
                "shown",
                screen.of(period)
                        .orElseThrow(
                                () -> new NotFound("This period is no dress rehearsal: hands are at its benches.")));
        return "rehearsal";
    }
}
