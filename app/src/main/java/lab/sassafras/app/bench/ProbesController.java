package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.probes.ProbeBatch;
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
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.PushReadings;
import lab.sassafras.measure.Figures;
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
    private static final int TOLD = 5;
    /** Nothing came for so long: it is said, without alarm, since a logger may read every half minute (no source). */
    private static final Duration SILENT = Duration.ofMinutes(2);

    private final Probes probes;
    private final Traces traces;
    private final PushReadings pushing;
    private final Clock clock;

    ProbesController(Probes probes, Traces traces, PushReadings pushing, Clock clock) {
        this.probes = probes;
        this.traces = traces;
        this.pushing = pushing;
        this.clock = clock;
    }

    /** One probe as it stands: what it showed last, and since when its stretch runs. */
    public record Probe(String name, String last, String unit, String at, boolean silent, String since, String why) {}

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
        Answer<String> made = pushing.letPush(actor.bench(), name);
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
        pushing.revoke(actor.bench(), token).orThrow();
        return "redirect:/bench/probes";
    }

    private String page(Actor actor, @Nullable String problem, Model model) {
        Bench bench = actor.bench();
        model.addAttribute("bench", bench);
        model.addAttribute("problem", problem);
        model.addAttribute(
                "tokens",
                probes.of(bench).stream().map(each -> pushing(each, bench)).toList());
        return "probes";
    }

    private Pushing pushing(ProbeToken token, Bench bench) {
        Probes.Counted counted = probes.counted(token);
        List<String> why = new ArrayList<>();
        for (ProbeBatch batch : probes.batches(token, BATCHES)) {
            batch.said().forEach(why::add);
            batch.why().stream().map(Rows.Refused::why).distinct().forEach(why::add);
        }
        return new Pushing(
                token.id(),
                token.name(),
                WrittenTime.of(token.madeAt(), bench.period().zone(), PeriodPage.DAY),
                probes.stretches(token).stream().map(each -> probe(each, bench)).toList(),
                counted.rows(),
                counted.refused(),
                why.stream().distinct().limit(TOLD).toList());
    }

    private Probe probe(ProbeStretch stretch, Bench bench) {
        Trace trace = traces.find(stretch.traceId()).orElseThrow();
        Figures figures = bench.period().figures();
        Optional<TraceChunk.Read> last = traces.latest(trace, 1).stream().findFirst();
        Instant at = last.map(each -> trace.begunAt().plusMillis((long) (1000 * each.seconds())))
                .orElse(trace.begunAt());
        return new Probe(
                trace.source(),
                last.map(each -> figures.plain(each.temperature())).orElse("–"),
                trace.unit(),
                WrittenTime.of(at, bench.period().zone(), SECOND),
                Duration.between(at, clock.instant()).compareTo(SILENT) > 0,
                WrittenTime.of(trace.begunAt(), bench.period().zone(), SECOND),
                stretch.why());
    }
}
