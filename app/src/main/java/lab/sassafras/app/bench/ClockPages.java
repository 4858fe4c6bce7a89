package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.door.PlainWords;
import lab.sassafras.app.door.WhoIsHere;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.TraceUses;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.convention.Question;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Stated;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Pace;
import lab.sassafras.experiment.TraceUse;
import lab.sassafras.experiment.Words;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import org.jspecify.annotations.Nullable;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.transaction.TransactionException;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Readings on a clock, as they are read: a clock begun, a temperature at each mark, and the moment of mixing. */
@Controller
class ClockPages {

    private static final double COLDEST_ROOM = -20;
    private static final double HOTTEST_ROOM = 60;
    private static final List<Integer> USUAL = List.of(5, 10, 15, 20, 30, 60, 120);

    private final Clocks clocks;
    private final RunScreen screens;
    private final Traces traces;
    private final TraceUses uses;
    private final Instruments instruments;
    private final WhoIsHere who;
    private final WaitScreen waits;
    private final Trends trends;
    private final Clock clock;

    ClockPages(
            Clocks clocks,
            RunScreen screens,
            Traces traces,
            TraceUses uses,
            Instruments instruments,
            WhoIsHere who,
            WaitScreen waits,
            Trends trends,
            Clock clock) {
        this.trends = trends;
        this.clocks = clocks;
        this.screens = screens;
        this.traces = traces;
        this.uses = uses;
        this.instruments = instruments;
        this.who = who;
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
            @Nullable String at) {

        Optional<Address> place() {
            return Optional.ofNullable(at).filter(each -> !each.isBlank()).map(Address::read);
        }

        UUID identity() {
            return key == null ? UUID.randomUUID() : key;
        }

        static String written(@Nullable String text) {
            return text == null ? "" : text.strip();
        }
    }

    /** What was refused: which form, why, and what was typed there. */
    public record Problem(String form, String why, String text, String at) {

        static final Problem NONE = new Problem("", "", "", "");
    }

    @GetMapping("/entries/{id}/clock")
    String clock(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam Optional<String> at,
            Model model) {
        return render(entry(id, trial), trial, at.map(Address::read), Problem.NONE, model);
    }

    @PostMapping("/entries/{id}/clock")
    String begin(
            @PathVariable UUID id,
            @ModelAttribute Told told,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, told.trial());
        Bench bench = who.benchOrAsk(request);
        return done(entry, told, "begin", response, model, () -> {
            int every = every(Told.written(told.every()));
            Optional<UUID> thermometer = Optional.ofNullable(told.instrument())
                    .flatMap(instruments::find)
                    .map(each -> UUID.fromString(each.key()));
            Optional<Address> place = told.place();
            place.ifPresentOrElse(
                    each -> Trends.slot(entry, each),
                    () -> uses.strike(entry, told.trial(), "clock begun anew", bench));
            Trace begun = traces.begin(
                    told.identity(),
                    entry.entry().bench(),
                    place.isPresent() ? Trace.TREND : Trace.HAND,
                    thermometer,
                    every);
            uses.name(entry, place.or(() -> Clocks.placeOf(entry, told.trial())).orElseThrow(), begun, bench);
        });
    }

    @PostMapping("/entries/{id}/clock/readings")
    String read(
            @PathVariable UUID id,
            @ModelAttribute Told told,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, told.trial());
        Bench bench = who.benchOrAsk(request);
        Trace trace = trace(entry, told);
        return done(entry, told, "reading", response, model, () -> {
            String text = Told.written(told.text());
            TypedNumber number =
                    TypedNumber.read(text, entry.entry().period().figures().mark());
            trace.instrumentId()
                    .flatMap(instruments::find)
                    .ifPresent(
                            each -> within(each, number, entry.entry().period().figures()));
            traces.add(
                    told.identity(),
                    trace,
                    TraceChunk.Given.typed(second(trace, told), number.value(), text, bench.identity()));
        });
    }

    @PostMapping("/entries/{id}/clock/mixing")
    String mixing(
            @PathVariable UUID id,
            @ModelAttribute Told told,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, told.trial());
        Bench bench = who.benchOrAsk(request);
        Trace trace = trace(entry, told);
        return done(entry, told, "mixing", response, model, () -> {
            if (entry.observations().find(told.identity()).isPresent()) {
                return;
            }
            double at = second(trace, told);
            TraceUse use = Clocks.use(entry, told.trial())
                    .map(before -> before.mixedAt(at))
                    .orElseGet(() -> TraceUse.whole(trace.id().toString(), at)
                            .waiting(waits.amount(entry, Pace.Kind.ONCE)
                                    .map(minutes -> 60 * minutes)
                                    .orElse(Stated.USUAL.once())));
            uses.keep(told.identity(), entry, told.trial(), use, "mixing marked again", bench);
        });
    }

    /** Keeps where the trend stood at a moment as the reading it is about. */
    @PostMapping("/entries/{id}/clock/trend")
    String trend(
            @PathVariable UUID id,
            @ModelAttribute Told told,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, told.trial());
        Bench bench = who.benchOrAsk(request);
        Address place = told.place().orElseThrow(() -> new NotFound("There is no trend of nothing."));
        return done(
                entry,
                told,
                "trend",
                response,
                model,
                () -> trends.keep(entry, place, ClockTime.read(Told.written(told.time())), bench));
    }

    /** A reading of the room, for the whole period. */
    @PostMapping("/entries/{id}/clock/room")
    String room(
            @PathVariable UUID id,
            @ModelAttribute Told told,
            HttpServletRequest request,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = entry(id, told.trial());
        who.benchOrAsk(request);
        return done(entry, told, "room", response, model, () -> {
            Figures figures = entry.entry().period().figures();
            TypedNumber number = TypedNumber.read(Told.written(told.text()), figures.mark());
            Optional<Instrument> thermometer =
                    Optional.ofNullable(told.instrument()).flatMap(instruments::find);
            thermometer.ifPresent(each -> within(each, number, figures));
            if (number.value() < COLDEST_ROOM || number.value() > HOTTEST_ROOM) {
                throw new Refused(
                        number.text() + " °C is no room to work in. Type what a thermometer in the air shows.");
            }
            traces.readRoom(
                    told.identity(),
                    entry.entry().bench(),
                    thermometer.map(each -> UUID.fromString(each.key())),
                    number.value(),
                    number.text());
        });
    }

    /** Keeps, and shows the page again; what is refused stays in its field with the reason beside it. */
    private String done(
            EntrySheet entry, Told told, String form, HttpServletResponse response, Model model, Runnable keeping) {
        try {
            keeping.run();
        } catch (Refused | DataAccessException | TransactionException failed) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            String typed = form.equals("begin") ? Told.written(told.every()) : Told.written(told.text());
            return render(
                    entry,
                    told.trial(),
                    told.place(),
                    new Problem(form, PlainWords.of(failed), typed, Told.written(told.time())),
                    model);
        }
        String clock = "redirect:/entries/" + entry.entry().id() + "/clock?trial=" + told.trial();
        return told.place()
                .map(each ->
                        clock + "&at=" + each.toString().replace("[", "%5B").replace("]", "%5D"))
                .orElse(clock);
    }

    private static int every(String typed) {
        if (!typed.matches("\\d{1,4}") || Integer.parseInt(typed) < 1 || Integer.parseInt(typed) > 3600) {
            throw new Refused("Write the interval in whole seconds, from 1 to 3600.");
        }
        return Integer.parseInt(typed);
    }

    private static void within(Instrument instrument, TypedNumber number, Figures figures) {
        if (number.value() < instrument.low() || number.value() > instrument.high()) {
            throw new Refused(number.text() + " °C cannot be read on " + instrument.name() + " ("
                    + figures.plain(instrument.low()) + " to " + figures.plain(instrument.high()) + " °C).");
        }
    }

    /** The second something is about: as typed, or else now, less the time it waited in the page. */
    private double second(Trace trace, Told told) {
        Instant now = clock.instant();
        double running = Duration.between(trace.begunAt(), now).toMillis() / 1000.0;
        String at = Told.written(told.time());
        if (at.isEmpty()) {
            if (running > ClockScreen.LONGEST.toSeconds() || trace.channel().equals(Trace.FILE)) {
                throw new Refused("This clock runs no longer. Give the time, in minutes and seconds.");
            }
            double last = traces.last(trace);
            // a mark may be typed a little before it has come
            if (running + trace.every() < last) {
                throw new Refused("The clock of this computer was set back: it stands before the last reading, at "
                        + ClockTime.write(last) + ". Give the time, in minutes and seconds.");
            }
            double waited = Math.max(0, told.ago() == null ? 0 : told.ago()) / 1000.0;
            return Math.max(0, Math.rint((running - waited) * 10) / 10);
        }
        double typed = ClockTime.read(at);
        if (typed > running + trace.every()) {
            throw new Refused(ClockTime.write(typed) + " has not come yet: the clock stands at "
                    + ClockTime.write(Math.floor(running)) + ".");
        }
        return typed;
    }

    private Trace trace(EntrySheet entry, Told told) {
        return Optional.ofNullable(told.trace())
                .flatMap(traces::find)
                .filter(each -> each.benchId().equals(entry.entry().bench().id()))
                .orElseThrow(() -> new NotFound("There is no such clock at this bench."));
    }

    /** An entry whose trial can be read on a clock. */
    private EntrySheet entry(UUID id, int trial) {
        EntrySheet entry = screens.entry(id);
        if (Clocks.placeOf(entry, trial).isEmpty()
                || trial < 1
                || trial > entry.sheet().trials()) {
            throw new NotFound("This entry reads nothing on a clock there.");
        }
        return entry;
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
        Optional<String> moment = entry.experiment().mixing();
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
                "roomAsked", !late && entry.conventions().in(Question.CHANGE).goesByTheRoom());
        model.addAttribute("usual", USUAL);
        model.addAttribute(
                "thermometers",
                instruments.all().stream()
                        .filter(each -> each.kind() == Instrument.Kind.THERMOMETER)
                        .toList());
        model.addAttribute(
                "proposed", Objects.toString(entry.entry().instruments().get(Instrument.Kind.THERMOMETER), ""));
        model.addAttribute(
                "on",
                readings.flatMap(each -> each.trace().instrumentId())
                        .flatMap(instruments::find)
                        .map(Instrument::name)
                        .orElse("a thermometer not on the shelf"));
        model.addAttribute(
                "clock",
                readings.map(each -> ClockScreen.of(
                                each,
                                place.isPresent()
                                        ? Optional.empty()
                                        : Clocks.use(entry, trial).map(TraceUse::mixing),
                                withdrawn(entry, trial, each),
                                Duration.between(each.trace().begunAt(), clock.instant())
                                        .toMillis(),
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
        model.addAttribute("bath", waits.amount(entry, Pace.Kind.BATH).isPresent());
        return "clock";
    }

    /** Mixings on this clock that were broken off. */
    private static List<ClockScreen.Row> withdrawn(EntrySheet entry, int trial, ClockReadings readings) {
        return Clocks.placeOf(entry, trial)
                .map(address -> entry.observations().at(address.toString()))
                .orElse(List.of())
                .stream()
                .flatMap(each -> TraceUse.of(each.text())
                        .filter(use -> use.trace().equals(readings.id().toString()))
                        .flatMap(use -> entry.observations()
                                .strikerOf(each)
                                .filter(Observation::strikeOut)
                                .map(striker -> ClockScreen.withdrawn(
                                        use.mixing(), striker.reason().orElse("struck out"))))
                        .stream())
                .toList();
    }
}
