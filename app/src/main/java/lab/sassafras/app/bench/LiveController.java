package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.chart.LivePicture;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.plans.Planned;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.TakeFromClock;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.measure.Figures;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The curve of a trial while probes read it. */
@Controller
class LiveController {

    private final RunScreen screens;
    private final LiveBench benches;
    private final LiveWords words;
    private final Arrivals arrivals;
    private final Instruments instruments;
    private final TakeFromClock taking;
    private final Changes changes;
    private final Planned planned;

    LiveController(
            RunScreen screens,
            LiveBench benches,
            LiveWords words,
            Arrivals arrivals,
            Instruments instruments,
            TakeFromClock taking,
            Changes changes,
            Planned planned) {
        this.planned = planned;
        this.screens = screens;
        this.benches = benches;
        this.words = words;
        this.arrivals = arrivals;
        this.instruments = instruments;
        this.taking = taking;
        this.changes = changes;
    }

    @GetMapping("/entries/{id}/live")
    String live(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam Optional<Double> from,
            @RequestParam Optional<Double> to,
            @RequestParam(defaultValue = "false") boolean whole,
            Model model) {
        return render(
                LivePlace.of(screens.onClock(id, trial), trial), new LiveBench.Wish(from, to, whole), null, model);
    }

    /** What pushes to the bench, before an entry is begun too. */
    @GetMapping("/bench/live")
    String live(
            @RequestParam Optional<Double> from,
            @RequestParam Optional<Double> to,
            @RequestParam(defaultValue = "false") boolean whole,
            Actor actor,
            Model model) {
        return render(LivePlace.of(actor.bench()), new LiveBench.Wish(from, to, whole), null, model);
    }

    /** What comes meanwhile, in the coordinates of the picture that the page shows. */
    @GetMapping("/entries/{id}/live/changes")
    void changes(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            Shown shown,
            Visitor visitor,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        listen(LivePlace.of(screens.onClock(id, trial), trial), shown, visitor, request, response);
    }

    @GetMapping("/bench/live/changes")
    void changes(Shown shown, Actor actor, Visitor visitor, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        listen(LivePlace.of(actor.bench()), shown, visitor, request, response);
    }

    /**
     * What a page that listens shows.
     *
     * @param after     the newest row of readings it has
     * @param first     second it shows
     * @param last      second it shows
     * @param low       temperature at its foot (°C)
     * @param high      temperature at its head (°C)
     * @param following whether it moves on with the time
     * @param page      its own name for itself
     */
    record Shown(
            Optional<Long> after,
            Optional<Double> first,
            Optional<Double> last,
            Optional<Double> low,
            Optional<Double> high,
            Optional<Boolean> following,
            Optional<String> page) {

        LivePicture.Look look() {
            return new LivePicture.Look(first.orElse(0.0), last.orElse(600.0), low.orElse(0.0), high.orElse(100.0));
        }
    }

    private void listen(
            LivePlace place, Shown shown, Visitor visitor, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        LivePicture.Look look = shown.look();
        if (!look.possible()) {
            throw new NotFound("There is no such part of the time.");
        }
        Optional<LiveBench.Now> now = benches.now(place);
        UUID bench = place.bench().id();
        LiveFrames frames = new LiveFrames(
                arrivals,
                new LiveFrames.Page(
                        bench,
                        look,
                        shown.following.orElse(true),
                        arrivals.pushed(bench),
                        now.map(each -> each.series().get(0).decimals()).orElse(1),
                        now.map(LiveBench.Now::parts).orElse(Map.of())),
                lastHad(request).orElse(shown.after.orElse(0L)),
                place.period().figures());
        Set<UUID> topics =
                place.entry().map(each -> Set.of(each.entry().id(), bench)).orElse(Set.of(bench));
        changes.listen(
                visitor,
                place.period(),
                shown.page.orElse(""),
                request,
                response,
                new Streams.Heard(topics, "live", false, Optional.of(frames)));
    }

    private static Optional<Long> lastHad(HttpServletRequest request) {
        return Optional.ofNullable(request.getHeader("Last-Event-ID"))
                .filter(each -> each.matches("\\d{1,18}"))
                .map(Long::valueOf);
    }

    /** Records both temperatures as they are shown, with where they come from. */
    @PostMapping("/entries/{id}/live/take")
    String take(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam(defaultValue = "") String start,
            @RequestParam(defaultValue = "") String end,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.onClock(id, trial);
        LivePlace place = LivePlace.of(entry, trial);
        Figures figures = place.period().figures();
        Optional<LiveScreen.Take> shown = benches.now(place).flatMap(now -> words.take(now, figures));
        String from = shown.filter(
                        each -> each.start().equals(start) && each.end().equals(end))
                .map(LiveScreen.Take::from)
                .orElse("as the live curve showed them");
        Answer<?> answer = taking.picked(entry, trial, start.strip(), end.strip(), from, actor);
        if (answer.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(
                    place,
                    new LiveBench.Wish(Optional.empty(), Optional.empty(), false),
                    ErrorMessages.of(answer.refusal().get()),
                    model);
        }
        return "redirect:" + place.path() + place.query();
    }

    private String render(LivePlace place, LiveBench.Wish wish, @Nullable String problem, Model model) {
        model.addAttribute("place", place);
        model.addAttribute("entry", place.entry().map(EntrySheet::entry).orElse(null));
        model.addAttribute("problem", problem);
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute(
                "live", benches.now(place).map(now -> screen(place, now, wish)).orElse(null));
        return "live";
    }

    private LiveScreen screen(LivePlace place, LiveBench.Now now, LiveBench.Wish wish) {
        Figures figures = place.period().figures();
        LivePicture.Look look = now.look(wish);
        if (!look.possible()) {
            throw new NotFound("There is no such part of the time.");
        }
        List<LiveScreen.Stand> stands = words.stands(now, figures);
        LivePicture picture = new LivePicture(
                look,
                now.pictured(),
                now.mixing().isPresent()
                        ? List.of(new LivePicture.Moment(now.mixing().getAsDouble(), place.flag()))
                        : List.of(),
                now.now(),
                "Temperatures of " + now.series().size() + (now.series().size() == 1 ? " probe" : " probes") + " from "
                        + ClockTime.write(look.first()) + " to " + ClockTime.write(look.last()) + ". "
                        + stands.get(0).title() + ".",
                place.entry()
                        .filter(each -> !each.sheet().setting().withheld())
                        .flatMap(each ->
                                planned.ends(place.bench(), each.experiment().key()))
                        .map(each -> new LivePicture.Band(each.low(), each.high())));
        return new LiveScreen(
                head(now),
                picture,
                figures,
                listens(place, now, look, wish),
                looks(look, wish),
                shows(now, figures),
                stands,
                words.signs(now),
                probes(now, figures),
                place.taken() ? words.take(now, figures) : Optional.empty(),
                place.moment().isPresent()
                        && now.mixing().isEmpty()
                        && now.own().isPresent(),
                now.origin().id().toString());
    }

    private static String shows(LiveBench.Now now, Figures figures) {
        LiveBench.Series first = now.series().get(0);
        return first.last()
                .map(each -> first.written(each.temperature(), figures))
                .orElse("");
    }

    private static String head(LiveBench.Now now) {
        int readings =
                now.series().stream().mapToInt(each -> each.readings().size()).sum();
        return "“" + now.series().get(0).name() + "”, " + readings + " readings recorded";
    }

    private static String listens(LivePlace place, LiveBench.Now now, LivePicture.Look look, LiveBench.Wish wish) {
        return String.format(
                Locale.ROOT,
                "%s/changes%s&after=%d&first=%s&last=%s&low=%s&high=%s&following=%s",
                place.path(),
                place.query(),
                now.row(),
                look.first(),
                look.last(),
                look.low(),
                look.high(),
                wish.following());
    }

    /** The same wish for other parts of the time. */
    private static List<LiveScreen.Look> looks(LivePicture.Look look, LiveBench.Wish wish) {
        double length = look.last() - look.first();
        List<LiveScreen.Look> looks = new ArrayList<>();
        looks.add(new LiveScreen.Look("Now", "", wish.following()));
        looks.add(new LiveScreen.Look("The whole", "&whole=true", wish.whole()));
        looks.add(part("Closer", look.first() + length / 4, look.last() - length / 4));
        looks.add(part("Further", look.first() - length / 2, look.last() + length / 2));
        looks.add(part("Back", look.first() - length / 2, look.last() - length / 2));
        looks.add(part("Forward", look.first() + length / 2, look.last() + length / 2));
        return looks;
    }

    private static LiveScreen.Look part(String words, double from, double to) {
        return new LiveScreen.Look(
                words, "&from=" + Math.round(from) + "&to=" + Math.round(Math.max(to, from + 10)), false);
    }

    private List<LiveScreen.Probe> probes(LiveBench.Now now, Figures figures) {
        List<LiveScreen.Probe> probes = new ArrayList<>();
        for (int i = 0; i < now.series().size(); i++) {
            LiveBench.Series each = now.series().get(i);
            OptionalDouble last = each.last()
                    .map(reading -> OptionalDouble.of(reading.seconds()))
                    .orElse(OptionalDouble.empty());
            probes.add(new LiveScreen.Probe(
                    i,
                    each.name(),
                    each.standing().place().map(at -> at.words()).orElse(""),
                    each.last()
                            .map(reading -> each.written(reading.temperature(), figures) + " °C")
                            .orElse("nothing yet"),
                    last.isPresent() && now.now() - last.getAsDouble() > LiveWords.SILENT
                            ? "at " + ClockTime.write(Math.floor(last.getAsDouble()))
                            : each.newest()
                                    .instrumentId()
                                    .flatMap(instruments::find)
                                    .map(on -> "on " + on.name())
                                    .orElse("")));
        }
        return probes;
    }
}
