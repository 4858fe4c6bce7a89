package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.probes.Place;
import lab.sassafras.app.probes.ProbeBatch;
import lab.sassafras.app.probes.ProbePlace;
import lab.sassafras.app.probes.ProbeStretch;
import lab.sassafras.app.probes.ProbeToken;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.probes.Rows;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.TakeInHand;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Warmed;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What pushes to a bench: its tokens, and what comes by each. */
@Controller
class ProbesController {

    private static final DateTimeFormatter SECOND = DateTimeFormatter.ofPattern("HH:mm:ss", Locale.ENGLISH);
    private static final int BATCHES = 10;
    /** Readings that are looked at for one that a hand warms, and how old the last may be (no source). */
    private static final int LOOKED_AT = 400;

    private static final Duration NOW = Duration.ofSeconds(10);
    private static final int TOLD = 5;
    /** Nothing came for so long: it is said, without alarm, since a logger may read every half minute (no source). */
    private static final Duration SILENT = Duration.ofMinutes(2);

    private final Probes probes;
    private final Traces traces;
    private final TakeInHand hands;
    private final Instruments instruments;
    private final Clock clock;

    ProbesController(Probes probes, Traces traces, TakeInHand hands, Instruments instruments, Clock clock) {
        this.instruments = instruments;
        this.probes = probes;
        this.traces = traces;
        this.hands = hands;
        this.clock = clock;
    }

    /** One probe as it stands: what it showed last, and since when its stretch runs. */
    public record Probe(
            String identity,
            String key,
            String name,
            String last,
            String unit,
            String at,
            boolean silent,
            String since,
            String why,
            boolean temperature,
            String place,
            String instrument,
            String off) {}

    /**
     * A token with what comes by it.
     *
     * @param refused rows that could not be kept, in all
     * @param why     of the last of them, newest first
     */
    public record Pushing(
            UUID id, String name, String made, List<Probe> probes, long rows, long refused, List<String> why) {}

    @GetMapping("/bench/probes")
    String probes(Actor actor, Model model) {
        return page(actor, null, model);
    }

    /** Makes a token, and shows it this once with the line that uses it. */
    @PostMapping("/bench/probes")
    String make(
            @RequestParam(defaultValue = "") String name,
            Actor actor,
            Model model,
            HttpServletRequest request,
            HttpServletResponse response) {
        Answer<String> made = hands.letPush(actor.bench(), name);
        if (made instanceof Answer.Kept<String> kept) {
            model.addAttribute("secret", kept.what());
            model.addAttribute("house", request.getScheme() + "://" + request.getHeader("Host"));
            return page(actor, null, model);
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("typedName", name);
        return page(actor, made.refusal().map(ErrorMessages::of).orElse(""), model);
    }

    @PostMapping("/bench/probes/{token}")
    String revoke(@PathVariable UUID token, Actor actor) {
        hands.revoke(actor.bench(), token).orThrow();
        return "redirect:/bench/probes";
    }

    /** Says where a probe stands, and on which thermometer of the shelf it reads. */
    @PostMapping("/bench/probes/{token}/place")
    String stand(
            @PathVariable UUID token,
            @RequestParam String probe,
            @RequestParam(defaultValue = "") String place,
            @RequestParam Optional<UUID> instrument,
            Actor actor,
            Model model,
            HttpServletResponse response) {
        return shown(hands.stand(actor.bench(), token, probe, place, instrument, actor), actor, model, response);
    }

    /** Compares all that stand in one beaker with one of them. */
    @PostMapping("/bench/probes/compared")
    String compare(
            @RequestParam(defaultValue = "") String reference, Actor actor, Model model, HttpServletResponse response) {
        return shown(hands.compare(actor.bench(), reference, actor), actor, model, response);
    }

    private String shown(Answer<?> answer, Actor actor, Model model, HttpServletResponse response) {
        if (answer.refusal().isEmpty()) {
            return "redirect:/bench/probes";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("why", ErrorMessages.of(answer.refusal().get()));
        return page(actor, null, model);
    }

    private String page(Actor actor, @Nullable String problem, Model model) {
        Bench bench = actor.bench();
        model.addAttribute("bench", bench);
        model.addAttribute("problem", problem);
        model.addAttribute("places", Place.values());
        model.addAttribute(
                "thermometers",
                instruments.offered(named(bench)).stream()
                        .filter(each -> each.kind().equals(InstrumentKind.THERMOMETER))
                        .toList());
        model.addAttribute("moves", moves(bench).orElse(null));
        model.addAttribute(
                "tokens",
                probes.of(bench).stream().map(each -> pushing(each, bench)).toList());
        return "probes";
    }

    private Pushing pushing(ProbeToken token, Bench bench) {
        Probes.Counted counted = probes.counted(token);
        Map<String, ProbePlace.Standing> standing = probes.standing(token);
        List<String> why = new ArrayList<>();
        for (ProbeBatch batch : probes.batches(token, BATCHES)) {
            batch.said().forEach(why::add);
            batch.why().stream().map(Rows.Refused::why).distinct().forEach(why::add);
        }
        return new Pushing(
                token.id(),
                token.name(),
                WrittenTime.of(token.madeAt(), bench.period().zone(), PeriodPage.DAY),
                probes.stretches(token).stream()
                        .map(each ->
                                probe(each, standing.getOrDefault(each.probe(), ProbePlace.Standing.UNSAID), bench))
                        .toList(),
                counted.rows(),
                counted.refused(),
                why.stream().distinct().limit(TOLD).toList());
    }

    private Probe probe(ProbeStretch stretch, ProbePlace.Standing standing, Bench bench) {
        Trace trace = traces.find(stretch.traceId()).orElseThrow();
        Figures figures = bench.period().figures();
        Optional<TraceChunk.Read> last = traces.latest(trace, 1).stream().findFirst();
        Instant at = last.map(each -> trace.at(each.seconds())).orElse(trace.begunAt());
        return new Probe(
                stretch.identity(),
                stretch.probe(),
                trace.source(),
                last.map(each -> figures.plain(each.temperature())).orElse("–"),
                trace.unit(),
                WrittenTime.of(at, bench.period().zone(), SECOND),
                Duration.between(at, clock.instant()).compareTo(SILENT) > 0,
                WrittenTime.of(trace.begunAt(), bench.period().zone(), SECOND),
                stretch.why(),
                trace.ofTemperature(),
                standing.place().map(Place::key).orElse(""),
                standing.instrument().map(UUID::toString).orElse(""),
                standing.instrument()
                        .flatMap(instruments::find)
                        .map(each -> off(each, figures))
                        .orElse(""));
    }

    /** How far an instrument that was compared once is off. */
    private static String off(Instrument instrument, Figures figures) {
        List<Correction.Point> points = instrument.correction().points();
        if (points.size() != 1) {
            return "";
        }
        double high = points.get(0).reading() - points.get(0).actual();
        return "reads " + figures.fixed(Math.abs(high), 2) + " °C too " + (high < 0 ? "low" : "high")
                + ", which is taken off";
    }

    private Set<String> named(Bench bench) {
        return probes.of(bench).stream()
                .flatMap(each -> probes.standing(each).values().stream())
                .flatMap(each -> each.instrument().stream())
                .map(UUID::toString)
                .collect(Collectors.toSet());
    }

    /** The probe somebody warms with a hand now. */
    private Optional<String> moves(Bench bench) {
        Map<String, List<Reading>> reading = new LinkedHashMap<>();
        for (ProbeToken token : probes.of(bench)) {
            for (ProbeStretch stretch : probes.stretches(token)) {
                Trace trace = traces.find(stretch.traceId()).orElseThrow();
                List<TraceChunk.Read> last = trace.ofTemperature() ? traces.latest(trace, LOOKED_AT) : List.of();
                if (!last.isEmpty()
                        && Duration.between(trace.at(last.get(last.size() - 1).seconds()), clock.instant())
                                        .compareTo(NOW)
                                <= 0) {
                    reading.put(
                            trace.source(),
                            last.stream()
                                    .map(each -> new Reading(each.seconds(), each.temperature()))
                                    .toList());
                }
            }
        }
        return Warmed.which(reading);
    }
}
