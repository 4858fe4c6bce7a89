package lab.sassafras.app.notebook;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.chart.StripPicture;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.TakeDecision;
import lab.sassafras.app.usecase.TakeFromClock;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Outcome;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Windows;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.verdict.Reduction;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The strip of a trial, and what is decided over it: which readings count, when it was mixed, what is baseline. */
@Controller
class StripController {

    private static final double COVERAGE = 0.95;
    private static final double LONGEST_LOOK = 1e7;

    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Clocks clocks;
    private final TakeFromClock taking;
    private final TakeDecision deciding;

    StripController(
            EntryBook entryBook, EntrySheets sheets, Clocks clocks, TakeFromClock taking, TakeDecision deciding) {
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.clocks = clocks;
        this.taking = taking;
        this.deciding = deciding;
    }

    /**
     * Stretches of baseline as typed, on the clock.
     *
     * @param foreFrom  first moment before mixing
     * @param foreTo    last moment before mixing
     * @param afterFrom first moment after mixing
     * @param afterTo   last moment after mixing
     */
    public record Stretches(
            @Nullable String foreFrom,
            @Nullable String foreTo,
            @Nullable String afterFrom,
            @Nullable String afterTo) {

        static final Stretches NONE = new Stretches(null, null, null, null);

        boolean given() {
            return foreFrom != null && foreTo != null && afterFrom != null && afterTo != null;
        }

        Windows windows() {
            if (foreFrom == null || foreTo == null || afterFrom == null || afterTo == null) {
                throw new Refused("Give all four times.");
            }
            return new Windows(
                    ClockTime.read(foreFrom),
                    ClockTime.read(foreTo),
                    ClockTime.read(afterFrom),
                    ClockTime.read(afterTo));
        }

        static Stretches of(Windows windows) {
            return new Stretches(
                    ClockTime.write(windows.foreFrom()),
                    ClockTime.write(windows.foreTo()),
                    ClockTime.write(windows.afterFrom()),
                    ClockTime.write(windows.afterTo()));
        }
    }

    /**
     * How the strip is looked at.
     *
     * @param over whether the other trials are laid over it
     * @param from second a close look begins at
     * @param to   second it ends at
     */
    public record Look(
            @Nullable Boolean over,
            @Nullable Double from,
            @Nullable Double to) {

        static final Look WHOLE = new Look(null, null, null);

        boolean others() {
            return Boolean.TRUE.equals(over);
        }

        /** The part of the time looked at; empty for the whole, and for what cannot be one. */
        Optional<StripPicture.Part> part() {
            return from == null
                            || to == null
                            || !(from < to)
                            || !(Math.abs(from) < LONGEST_LOOK && Math.abs(to) < LONGEST_LOOK)
                    ? Optional.empty()
                    : Optional.of(new StripPicture.Part(from, to));
        }
    }

    /** What was refused: in which form, why, and what was typed there. */
    public record Problem(String form, String why, String typed) {

        static final Problem NONE = new Problem("", "", "");
    }

    @GetMapping("/entries/{id}/strip")
    String strip(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @ModelAttribute Look look,
            @ModelAttribute Stretches stretches,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        if (!stretches.given()) {
            return render(entry, trial, look, Optional.empty(), Stretches.NONE, Problem.NONE, model);
        }
        try {
            return render(entry, trial, look, Optional.of(stretches.windows()), stretches, Problem.NONE, model);
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(
                    entry,
                    trial,
                    look,
                    Optional.empty(),
                    stretches,
                    new Problem("stretches", ErrorMessages.of(refused), ""),
                    model);
        }
    }

    /** Keeps the stretches a person chose; without any, what the readings show counts again. */
    @PostMapping("/entries/{id}/strip/stretches")
    String stretches(
            @PathVariable UUID id,
            @RequestParam int trial,
            @ModelAttribute Stretches stretches,
            @RequestParam(defaultValue = "") String reason,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        Answer<?> answer = Answer.translating(() -> taking.chosen(
                entry,
                trial,
                use(entry, trial).with(stretches.given() ? Optional.of(stretches.windows()) : Optional.empty()),
                reason,
                actor));
        return done(entry, trial, new Form("stretches", reason, stretches), answer, response, model);
    }

    @PostMapping("/entries/{id}/strip/mixing")
    String mixing(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam(defaultValue = "") String time,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        Answer<?> answer = taking.mixed(entry, trial, readings(entry, trial), time, actor);
        return done(entry, trial, new Form("mixing", time, Stretches.NONE), answer, response, model);
    }

    /** Keeps after what wait a single reading is taken, or to what part of the change lines are carried. */
    @PostMapping("/entries/{id}/strip/{what:once|part}")
    String stated(
            @PathVariable UUID id,
            @PathVariable String what,
            @RequestParam int trial,
            @RequestParam(name = "time", defaultValue = "") String time,
            @RequestParam(name = "part", defaultValue = "") String part,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        boolean once = what.equals("once");
        Answer<?> answer = Answer.translating(() -> {
            TraceUse before = use(entry, trial);
            TraceUse use = once
                    ? before.waiting(ClockTime.read(time))
                    : before.carriedTo(TypedNumber.read(
                                    part.strip(),
                                    entry.entry().period().figures().mark())
                            .value());
            String why = once ? "read after another wait" : "extrapolated to another part of the rise";
            return taking.stated(entry, trial, use, why, actor);
        });
        return done(entry, trial, new Form(what, once ? time : part, Stretches.NONE), answer, response, model);
    }

    /** Keeps two temperatures that a person picked from the curve, and puts them in force. */
    @PostMapping("/entries/{id}/strip/pick")
    String pick(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam(defaultValue = "") String start,
            @RequestParam(defaultValue = "") String end,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, trial);
        model.addAttribute("pickedStart", start);
        model.addAttribute("pickedEnd", end);
        Answer<?> answer = taking.picked(entry, trial, start.strip(), end.strip(), actor);
        return done(entry, trial, new Form("pick", "", Stretches.NONE), answer, response, model);
    }

    /** A form of this page as it was sent. */
    private record Form(String name, String typed, Stretches stretches) {}

    /** Shows the strip again; what is refused stays in its field with the reason beside it. */
    private String done(
            EntrySheet entry, int trial, Form form, Answer<?> answer, HttpServletResponse response, Model model) {
        if (answer.refusal().isPresent()) {
            RuntimeException failed = answer.refusal().get();
            if (failed instanceof Refused
                    && !form.name().equals("mixing")
                    && Clocks.use(entry, trial).isEmpty()) {
                // without a mixing the page has no such form to say it at
                throw failed;
            }
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            Problem problem = new Problem(form.name(), ErrorMessages.of(failed), form.typed());
            return render(entry, trial, Look.WHOLE, Optional.empty(), form.stretches(), problem, model);
        }
        return "redirect:/entries/" + entry.entry().id() + "/strip?trial=" + trial;
    }

    @PostMapping("/entries/{id}/strip/readings")
    String reading(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam Optional<Double> seconds,
            @RequestParam(defaultValue = "") String time,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String back,
            Actor actor) {
        EntrySheet entry = entry(id, trial);
        ClockReadings readings = readings(entry, trial);
        double at = seconds.or(() -> readings.written(ClockTime.write(ClockTime.read(time))))
                .filter(each -> readings.at(each).isPresent())
                .orElseThrow(() -> new NotFound("There is no reading at that moment."));
        deciding.reading(entry, readings.id(), at, outcome, reason, actor).orThrow();
        return "redirect:/entries/" + id + (back.equals("clock") ? "/clock?trial=" : "/strip?trial=") + trial;
    }

    private EntrySheet entry(UUID id, int trial) {
        EntrySheet entry = entryBook
                .find(id)
                .map(sheets::of)
                .orElseThrow(() -> new NotFound("There is no entry at that address."));
        if (Clocks.placeOf(entry, trial).isEmpty()
                || trial < 1
                || trial > entry.sheet().trials()) {
            throw new NotFound("This entry has no timed readings there.");
        }
        return entry;
    }

    private ClockReadings readings(EntrySheet entry, int trial) {
        return clocks.of(entry, trial).orElseThrow(() -> new NotFound("There are no timed readings there."));
    }

    private static TraceUse use(EntrySheet entry, int trial) {
        return Clocks.use(entry, trial).orElseThrow(() -> new Refused("Mark the moment of mixing first."));
    }

    /** The other trials that were read on a clock, mixing on mixing. */
    private List<StripPicture.Besides> others(EntrySheet entry, int trial, double mixing) {
        List<StripPicture.Besides> others = new ArrayList<>();
        for (int each = 1; each <= entry.sheet().trials(); each++) {
            Optional<TraceUse> use = Clocks.use(entry, each);
            if (each == trial || use.isEmpty()) {
                continue;
            }
            String name = name(entry, each);
            double shift = mixing - Clocks.mixed(use.get()).orElse(0.0);
            clocks.of(entry, each)
                    .map(ClockReadings::counting)
                    .filter(counting -> !counting.isEmpty())
                    .ifPresent(counting -> others.add(new StripPicture.Besides(
                            name,
                            counting.stream()
                                    .map(one -> new Reading(one.seconds() + shift, one.temperature()))
                                    .toList())));
        }
        return others;
    }

    /** What a trial is called: by its sample, where each has its own. */
    private static String name(EntrySheet entry, int trial) {
        return entry.experiment()
                .sampleName()
                .flatMap(path -> entry.sheet().stated(path, trial))
                .map(sample -> sample + ", trial " + trial)
                .orElse("trial " + trial);
    }

    /**
     * One trial beside the others.
     *
     * @param name   it is called
     * @param mixing as written
     * @param start  temperature before (°C), as written; empty where it cannot be read
     * @param end    temperature after
     * @param change with its ±
     * @param why    nothing is read; empty where it is
     */
    public record Beside(String name, String mixing, String start, String end, String change, String why) {}

    /** Every trial that was read on a clock, by the way in force. */
    private static List<Beside> beside(EntrySheet entry) {
        Figures figures = entry.entry().period().figures();
        List<Beside> all = new ArrayList<>();
        for (int trial = 1; trial <= entry.sheet().trials(); trial++) {
            Optional<TraceUse> use = Clocks.use(entry, trial);
            Optional<Outcome> outcome = entry.sheet()
                    .curves()
                    .baselines(trial)
                    .flatMap(curve -> entry.conventions()
                            .in(ConventionQuestion.CHANGE)
                            .way()
                            .map(way -> way.of(curve)));
            String name = name(entry, trial);
            use.flatMap(Clocks::mixed)
                    .map(ClockTime::write)
                    .ifPresent(mixing -> all.add(outcome.map(each -> beside(name, mixing, each, figures))
                            .orElse(new Beside(
                                    name, mixing, "", "", "", "The method in use does not read the curve."))));
        }
        return all;
    }

    private static Beside beside(String name, String mixing, Outcome outcome, Figures figures) {
        if (outcome instanceof Outcome.Change change) {
            double half = change.halfWidth(COVERAGE);
            int decimals = Figures.decimalsFor(half);
            return new Beside(
                    name,
                    mixing,
                    figures.fixed(change.start(), decimals),
                    figures.fixed(change.end(), decimals),
                    figures.signed(change.difference(), decimals) + " ± " + figures.uncertainty(half),
                    "");
        }
        return new Beside(name, mixing, "", "", "", ((Outcome.Withheld) outcome).reason());
    }

    private String render(
            EntrySheet entry,
            int trial,
            Look look,
            Optional<Windows> tried,
            Stretches typed,
            Problem problem,
            Model model) {
        Optional<TraceUse> kept = Clocks.use(entry, trial);
        Optional<TraceUse> use = kept.map(each -> tried.isPresent() ? each.with(tried) : each);
        boolean trying = !use.equals(kept);
        Sheet sheet = trying ? sheets.tried(entry, trial, use.orElseThrow()) : entry.sheet();
        Reduction reduction = trying ? Reduction.of(sheet, entry.conventions()) : entry.reduction();
        model.addAttribute("entry", entry.entry());
        model.addAttribute("seen", entry.seen());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("trial", trial);
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("figures", entry.entry().period().figures());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        List<StripPicture.Besides> others = use.map(
                        each -> others(entry, trial, Clocks.mixed(each).orElse(0.0)))
                .orElse(List.of());
        List<StripPicture.Besides> laid = look.others() ? others : List.of();
        model.addAttribute("others", others.size());
        model.addAttribute("over", look.others());
        model.addAttribute("beside", look.others() ? beside(entry) : List.of());
        StripView view = clocks.of(entry, trial)
                .map(readings -> new StripView(entry, trial, readings, use, sheet, reduction, laid, look.part()))
                .orElse(null);
        if (view != null) {
            // what takes long is worked before anything is sent: where time runs out it is said, and no page is cut off
            view.ways();
        }
        model.addAttribute("view", view);
        model.addAttribute(
                "room",
                clocks.of(entry, trial)
                        .flatMap(readings -> clocks.room(entry.entry().period(), readings))
                        .orElse(null));
        model.addAttribute("problem", problem);
        model.addAttribute("trying", trying);
        model.addAttribute(
                "stretches",
                typed.given()
                        ? typed
                        : Optional.ofNullable(view)
                                .flatMap(StripView::windows)
                                .map(Stretches::of)
                                .orElse(Stretches.NONE));
        model.addAttribute(
                "findings",
                reduction.findings().stream()
                        .filter(each -> each.code().startsWith("curve."))
                        .toList());
        return "strip";
    }
}
