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
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Arrivals;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.Clocks;
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

    LiveController(
            RunScreen screens,
            LiveBench benches,
            LiveWords words,
            Arrivals arrivals,
            Instruments instruments,
            TakeFromClock taking,
            Changes changes) {
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
        EntrySheet entry = screens.onClock(id, trial);
        return render(entry, trial, new LiveBench.Wish(from, to, whole), null, model);
    }

    /** What comes meanwhile, in the coordinates of the picture that the page shows. */
    @GetMapping("/entries/{id}/live/changes")
    void changes(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam(defaultValue = "0") long after,
            @RequestParam(defaultValue = "0") double first,
            @RequestParam(defaultValue = "600") double last,
            @RequestParam(defaultValue = "0") double low,
            @RequestParam(defaultValue = "100") double high,
            @RequestParam(defaultValue = "true") boolean following,
            @RequestParam(defaultValue = "") String page,
            Visitor visitor,
            HttpServletRequest request,
            HttpServletResponse response)
            throws IOException {
        EntrySheet entry = screens.onClock(id, trial);
        LivePicture.Look look = new LivePicture.Look(first, last, low, high);
        if (!look.possible()) {
            throw new NotFound("There is no such part of the time.");
        }
        Optional<LiveBench.Now> now = benches.now(entry, trial);
        long had = lastHad(request).orElse(after);
        Entry of = entry.entry();
        LiveFrames frames = new LiveFrames(
                arrivals,
                new LiveFrames.Page(
                        of.bench().id(),
                        look,
                        following,
                        arrivals.pushed(of.bench().id()),
                        now.map(each -> each.series().get(0).decimals()).orElse(1),
                        now.map(LiveBench.Now::parts).orElse(Map.of())),
                had,
                of.period().figures());
        changes.listen(
                visitor,
                of.period(),
                page,
                request,
                response,
                new Streams.Heard(Set.of(of.id(), of.bench().id()), "live", false, Optional.of(frames)));
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
        Figures figures = entry.entry().period().figures();
        Optional<LiveScreen.Take> shown = benches.now(entry, trial).flatMap(now -> words.take(now, figures));
        String from = shown.filter(
                        each -> each.start().equals(start) && each.end().equals(end))
                .map(LiveScreen.Take::from)
                .orElse("as the live curve showed them");
        Answer<?> answer = taking.picked(entry, trial, start.strip(), end.strip(), from, actor);
        if (answer.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(
                    entry,
                    trial,
                    new LiveBench.Wish(Optional.empty(), Optional.empty(), false),
                    ErrorMessages.of(answer.refusal().get()),
                    model);
        }
        return "redirect:/entries/" + id + "/live?trial=" + trial;
    }

    private String render(EntrySheet entry, int trial, LiveBench.Wish wish, @Nullable String problem, Model model) {
        model.addAttribute("entry", entry.entry());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("vessel", entry.vessel().map(each -> each.name()).orElse(""));
        model.addAttribute("trial", trial);
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("problem", problem);
        Optional<String> moment = Clocks.toldWhole(entry, trial)
                ? Optional.empty()
                : entry.experiment().mixing();
        String flag = moment.map(entry.experiment().words()::label).orElse("mixed");
        model.addAttribute(
                "mix", moment.map(each -> entry.experiment().words().ask(each)).orElse(""));
        model.addAttribute(
                "caution",
                moment.flatMap(entry.experiment().words()::caution)
                        .map(entry.entry().period().figures()::sentence)
                        .orElse(""));
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute(
                "live",
                benches.now(entry, trial)
                        .map(now -> screen(entry, trial, now, wish, flag, moment.isPresent()))
                        .orElse(null));
        return "live";
    }

    private LiveScreen screen(
            EntrySheet entry, int trial, LiveBench.Now now, LiveBench.Wish wish, String flag, boolean mixes) {
        Figures figures = entry.entry().period().figures();
        LivePicture.Look look = now.look(wish);
        if (!look.possible()) {
            throw new NotFound("There is no such part of the time.");
        }
        List<LiveScreen.Stand> stands = words.stands(now, figures);
        LivePicture picture = new LivePicture(
                look,
                now.pictured(),
                now.mixing().isPresent()
                        ? List.of(new LivePicture.Moment(now.mixing().getAsDouble(), flag))
                        : List.of(),
                now.now(),
                "Temperatures of " + now.series().size() + (now.series().size() == 1 ? " probe" : " probes") + " from "
                        + ClockTime.write(look.first()) + " to " + ClockTime.write(look.last()) + ". "
                        + stands.get(0).title() + ".");
        boolean taken = entry.experiment()
                .span()
                .filter(span -> entry.experiment().slot(span.end()).isPresent())
                .isPresent();
        return new LiveScreen(
                head(now),
                picture,
                figures,
                listens(entry, trial, now, look, wish),
                looks(look, wish),
                shows(now, figures),
                stands,
                words.signs(now),
                probes(now, figures),
                taken ? words.take(now, figures) : Optional.empty(),
                mixes && now.mixing().isEmpty() && now.own().isPresent(),
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

    private static String listens(
            EntrySheet entry, int trial, LiveBench.Now now, LivePicture.Look look, LiveBench.Wish wish) {
        return String.format(
                Locale.ROOT,
                "/entries/%s/live/changes?trial=%d&after=%d&first=%s&last=%s&low=%s&high=%s&following=%s",
                entry.entry().id(),
                trial,
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
