package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.chart.SmallCurve;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.ClassPaces;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.AppendReadings;
import lab.sassafras.app.usecase.TakeFromClock;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.Leaping;
import lab.sassafras.curve.Stated;
import lab.sassafras.declaration.Pace;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Words;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Readings on a clock, as they are read: a clock begun, a temperature at each mark, and the moment of mixing. */
@Controller
class ClockController {

    private static final List<Integer> USUAL = List.of(5, 10, 15, 20, 30, 60, 120);

    private final Clocks clocks;
    private final RunScreen screens;
    private final Traces traces;
    private final Instruments instruments;
    private final AppendReadings appending;
    private final TakeFromClock taking;
    private final ClassPaces paces;
    private final WaitScreen waits;
    private final Trends trends;
    private final Clock clock;

    ClockController(
            Clocks clocks,
            RunScreen screens,
            Traces traces,
            Instruments instruments,
            AppendReadings appending,
            TakeFromClock taking,
            ClassPaces paces,
            WaitScreen waits,
            Trends trends,
            Clock clock) {
        this.trends = trends;
        this.clocks = clocks;
        this.screens = screens;
        this.traces = traces;
        this.instruments = instruments;
        this.appending = appending;
        this.taking = taking;
        this.paces = paces;
        this.waits = waits;
        this.clock = clock;
    }

    /**
     * What a form on the page of a clock sends.
     *
     * @param key        identity of what is kept
     * @param trial      it belongs to
     * @param trace      the clock; absent where one is begun
     * @param text       temperature as typed
     * @param time       its time as typed; empty for now
     * @param ago        how long ago it was given, where it waited in the page (ms)
     * @param every      how often is read, as typed (s)
     * @param instrument read on, if it is on the shelf
     * @param at         address of a temperature read from its trend; empty for the calorimeter's own
     * @param back       the page it was sent from, where that is not the clock's
     */
    record Told(
            @Nullable UUID key,
            int trial,
            @Nullable UUID trace,
            @Nullable String text,
            @Nullable String time,
            @Nullable Long ago,
            @Nullable String every,
            @Nullable UUID instrument,
            @Nullable String at,
            @Nullable String back) {

        Optional<Address> place() {
            return Optional.ofNullable(at).filter(each -> !each.isBlank()).map(Address::read);
        }

        UUID identity() {
            return key == null ? UUID.randomUUID() : key;
        }

        long waited() {
            return ago == null ? 0 : ago;
        }

        static String written(@Nullable String text) {
            return text == null ? "" : text.strip();
        }
    }

    /** What was refused: which form, why, and what was typed there. */
    public record Problem(String form, String why, String text, String at) {

        static final Problem NONE = new Problem("", "", "", "");
    }

    /**
     * A reading that leaps out from the others, to be asked about.
     *
     * @param time    when it was read, as written
     * @param seconds the same (s)
     * @param text    as it was typed
     */
    public record Leap(String time, double seconds, String text) {

        private static Optional<Leap> of(
                ClockReadings readings, Decisions decisions, Optional<Double> mixing, Figures figures) {
            Set<Double> sure = decisions.readingsSure(readings.id()).keySet().stream()
                    .map(Decisions::second)
                    .collect(Collectors.toSet());
            return Leaping.last(
                            readings.counting(), mixing.map(OptionalDouble::of).orElse(OptionalDouble.empty()), sure)
                    .flatMap(leaps -> readings.lines().stream()
                            .filter(line -> line.counts() && line.seconds() == leaps.seconds())
                            .findFirst())
                    .map(line -> new Leap(line.time(), line.seconds(), line.text(figures)));
        }
    }

    @GetMapping("/entries/{id}/clock")
    String clock(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam Optional<String> at,
            Model model) {
        return render(screens.onClock(id, trial), trial, at.map(Address::read), Problem.NONE, model);
    }

    @PostMapping("/entries/{id}/clock")
    String begin(
            @PathVariable UUID id, @ModelAttribute Told told, Actor actor, HttpServletResponse response, Model model) {
        EntrySheet entry = screens.onClock(id, told.trial());
        told.place().ifPresent(each -> Trends.slot(entry, each));
        Answer<?> answer = appending.begin(
                entry,
                told.trial(),
                told.place(),
                told.identity(),
                Told.written(told.every()),
                told.instrument(),
                actor);
        return done(entry, told, "begin", answer, response, model);
    }

    @PostMapping("/entries/{id}/clock/readings")
    String read(
            @PathVariable UUID id, @ModelAttribute Told told, Actor actor, HttpServletResponse response, Model model) {
        // no sheet is worked for a reading that is kept: a clock may be read every second
        Entry entry = screens.found(id);
        Answer<?> answer = appending.read(
                entry,
                trace(entry, told),
                told.identity(),
                Told.written(told.text()),
                Told.written(told.time()),
                told.waited(),
                actor);
        return answer.refusal().isPresent()
                ? done(screens.onClock(id, told.trial()), told, "reading", answer, response, model)
                : shown(id, told);
    }

    @PostMapping("/entries/{id}/clock/mixing")
    String mixing(
            @PathVariable UUID id, @ModelAttribute Told told, Actor actor, HttpServletResponse response, Model model) {
        EntrySheet entry = screens.onClock(id, told.trial());
        double waiting =
                paces.amount(entry, Pace.Kind.ONCE).map(minutes -> 60 * minutes).orElse(Stated.USUAL.once());
        Answer<?> answer = taking.mixed(
                entry,
                told.trial(),
                trace(entry, told),
                told.identity(),
                Told.written(told.time()),
                told.waited(),
                waiting,
                actor);
        return done(entry, told, "mixing", answer, response, model);
    }

    /** Keeps where the trend stood at a moment as the reading it is about. */
    @PostMapping("/entries/{id}/clock/trend")
    String trend(
            @PathVariable UUID id, @ModelAttribute Told told, Actor actor, HttpServletResponse response, Model model) {
        EntrySheet entry = screens.onClock(id, told.trial());
        Address place = told.place().orElseThrow(() -> new NotFound("There is no trend of nothing."));
        Trends.slot(entry, place);
        Answer<?> answer = taking.trend(entry, place, Told.written(told.time()), actor);
        return done(entry, told, "trend", answer, response, model);
    }

    /** A reading of the room, for the whole period. */
    @PostMapping("/entries/{id}/clock/room")
    String room(
            @PathVariable UUID id, @ModelAttribute Told told, Actor actor, HttpServletResponse response, Model model) {
        EntrySheet entry = screens.onClock(id, told.trial());
        Answer<?> answer = appending.room(entry, told.identity(), Told.written(told.text()), told.instrument());
        return done(entry, told, "room", answer, response, model);
    }

    /** Shows the page again; what is refused stays in its field with the reason beside it. */
    private String done(
            EntrySheet entry, Told told, String form, Answer<?> answer, HttpServletResponse response, Model model) {
        if (answer.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String typed = form.equals("begin") ? Told.written(told.every()) : Told.written(told.text());
            String why = ErrorMessages.of(answer.refusal().get());
            return render(
                    entry, told.trial(), told.place(), new Problem(form, why, typed, Told.written(told.time())), model);
        }
        return shown(entry.entry().id(), told);
    }

    private static String shown(UUID id, Told told) {
        String page = "live".equals(told.back()) ? "/live" : "/clock";
        String clock = "redirect:/entries/" + id + page + "?trial=" + told.trial();
        return told.place()
                .map(each -> clock + "&at=" + WrittenSheet.Link.encoded(each.toString()))
                .orElse(clock);
    }

    private Trace trace(EntrySheet entry, Told told) {
        return trace(entry.entry(), told);
    }

    private Trace trace(Entry entry, Told told) {
        return Optional.ofNullable(told.trace())
                .flatMap(traces::find)
                .filter(each -> each.benchId().equals(entry.bench().id()))
                .orElseThrow(() -> new NotFound("There is no such clock at this bench."));
    }

    private String render(EntrySheet entry, int trial, Optional<Address> place, Problem problem, Model model) {
        Optional<ClockReadings> readings =
                place.isPresent() ? clocks.trend(entry, place.get()) : clocks.of(entry, trial);
        model.addAttribute(
                "trend", place.map(each -> trends.view(entry, trial, each)).orElse(null));
        model.addAttribute("entry", entry.entry());
        model.addAttribute("seen", entry.seen());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("trial", trial);
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        Words words = entry.experiment().words();
        boolean mixes = !Clocks.toldWhole(entry, trial);
        Optional<String> moment = mixes
                ? entry.experiment().mixing()
                : Clocks.placeOf(entry, trial).map(Address::path);
        model.addAttribute("mixes", mixes);
        model.addAttribute(
                "help",
                moment.flatMap(words::help)
                        .map(entry.entry().period().figures()::sentence)
                        .orElse(""));
        model.addAttribute("mixed", moment.map(words::label).orElse(words.get("curve/mixing")));
        model.addAttribute("mix", moment.map(each -> words.ask(each)).orElse(words.get("curve/mixing.ask")));
        model.addAttribute(
                "caution",
                moment.flatMap(words::caution)
                        .map(entry.entry().period().figures()::sentence)
                        .orElse(""));
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute("problem", problem);
        model.addAttribute(
                "room",
                traces.room(entry.entry().period()).stream()
                        .map(each -> each.text().orElse(""))
                        .toList());
        boolean late = readings.isPresent() && !clocks.roomCounts(readings.get());
        model.addAttribute("roomLate", late);
        model.addAttribute(
                "roomAsked",
                !late && entry.conventions().in(ConventionQuestion.CHANGE).goesByTheRoom());
        model.addAttribute("usual", USUAL);
        model.addAttribute(
                "thermometers",
                instruments.offered(List.of()).stream()
                        .filter(each -> each.kind().equals(InstrumentKind.THERMOMETER))
                        .toList());
        model.addAttribute(
                "proposed",
                entry.hand()
                        .at(Clocks.place(entry, trial).group(), InstrumentKind.THERMOMETER)
                        .map(UUID::toString)
                        .orElse(""));
        model.addAttribute(
                "on",
                readings.flatMap(each -> each.trace().instrumentId())
                        .flatMap(instruments::find)
                        .map(Instrument::name)
                        .or(() -> readings.map(each -> each.trace().source()).filter(source -> !source.isEmpty()))
                        .orElse("a thermometer not on the shelf"));
        model.addAttribute(
                "clock",
                readings.map(each -> ClockScreen.of(
                                each,
                                place.isPresent() ? Optional.empty() : Clocks.mixed(entry, trial),
                                ClockScreen.withdrawn(entry, trial, each),
                                Duration.between(each.trace().begunAt(), clock.instant())
                                        .toMillis(),
                                traces.longest(),
                                entry.entry().period().figures()))
                        .orElse(null));
        model.addAttribute(
                "small", SmallCurve.of(readings.map(ClockReadings::counting).orElse(List.of())));
        model.addAttribute(
                "leap",
                readings.flatMap(each -> Leap.of(
                                each,
                                entry.decisions(),
                                Clocks.mixed(entry, trial),
                                entry.entry().period().figures()))
                        .orElse(null));
        model.addAttribute("waiting", waits.waiting(entry, trial, Optional.empty()));
        model.addAttribute(
                "plan",
                ClockPlan.of(
                        waits.times(entry),
                        readings.map(ClockReadings::counting).orElse(List.of()),
                        readings.flatMap(each -> each.trace().instrumentId())
                                .flatMap(instruments::find)
                                .map(Instrument::resolution)
                                .orElse(0.1),
                        entry.entry().period().figures()));
        model.addAttribute("bath", paces.amount(entry, Pace.Kind.BATH).isPresent());
        return "clock";
    }
}
