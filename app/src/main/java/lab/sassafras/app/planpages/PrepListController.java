package lab.sassafras.app.planpages;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.plans.AllowedStrength;
import lab.sassafras.app.plans.HazardSheet;
import lab.sassafras.app.plans.HazardsShown;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.plan.Prepared;
import lab.sassafras.substance.Hazard;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What to prepare of a plan, on one page and as a file; and what is known of the hazards of what is in it. */
@Controller
class PrepListController {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader("kind", "what", "amount", "unit", "how", "shelf")
            .get();
    private static final int DIGITS = 3;

    private final PlanBook plans;
    private final HazardsShown hazards;
    private final KeepShelf keeping;
    private final PlannedWork work;
    private final Labs labs;

    PrepListController(PlanBook plans, HazardsShown hazards, KeepShelf keeping, PlannedWork work, Labs labs) {
        this.labs = labs;
        this.work = work;
        this.plans = plans;
        this.hazards = hazards;
        this.keeping = keeping;
    }

    /** How its pages look, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return PlanController.PANEL;
    }

    /** One line as it is shown. */
    public record Row(String what, String amount, String how, String shelf) {}

    @GetMapping("/plans/{plan}/list")
    String list(
            @PathVariable("plan") UUID id,
            @RequestParam Optional<String> benches,
            @RequestParam Optional<String> trials,
            @RequestParam Optional<String> spare,
            HttpServletResponse response,
            Model model) {
        KeptPlan kept = kept(id);
        Counts counts = Counts.of(kept, benches, trials, spare);
        model.addAttribute("plan", kept);
        model.addAttribute(
                "title", Experiments.findOrUnknown(kept.experiment()).words().title());
        model.addAttribute(
                "typed", Map.of("benches", counts.benches(), "trials", counts.trials(), "spare", counts.spare()));
        try {
            Prepared prepared = prepared(kept, counts);
            model.addAttribute("kinds", kinds(prepared));
            model.addAttribute("hazards", hazards.of(prepared.substances()));
        } catch (Refused refused) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("problem", refused.getMessage());
            model.addAttribute("kinds", Map.of());
            model.addAttribute("hazards", List.of());
        }
        return "preplist";
    }

    private KeptPlan kept(UUID id) {
        return plans.find(id).orElseThrow(() -> new NotFound("There is no plan at that address."));
    }

    /** For how many, as it is typed; where it is not, as the plan says. */
    private record Counts(String benches, String trials, String spare) {

        static Counts of(KeptPlan kept, Optional<String> benches, Optional<String> trials, Optional<String> spare) {
            PlanFile.ForPeriod said = kept.file().forPeriod();
            return new Counts(
                    benches.orElseGet(() -> String.valueOf(said.benches())),
                    trials.orElseGet(() -> String.valueOf(said.trials())),
                    spare.orElseGet(() -> String.valueOf(said.spare())));
        }
    }

    private Prepared prepared(KeptPlan kept, Counts counts) {
        return work.prepared(kept, whole(counts.benches()), whole(counts.trials()), whole(counts.spare()));
    }

    private static int whole(String text) {
        return text.strip().matches("\\d{1,4}") ? Integer.parseInt(text.strip()) : -1;
    }

    private Map<String, List<Row>> kinds(Prepared prepared) {
        Map<String, List<Row>> kinds = new LinkedHashMap<>();
        prepared.lines()
                .forEach(each -> kinds.computeIfAbsent(each.kind().words(), any -> new java.util.ArrayList<>())
                        .add(new Row(each.what(), amount(each), each.how(), onShelf(each))));
        return kinds;
    }

    private static String amount(Prepared.Line line) {
        return line.amount() == 0
                ? ""
                : line.unit().isEmpty()
                        ? Figures.POINT.fixed(line.amount(), 0)
                        : Figures.POINT.significant(line.amount(), DIGITS) + " " + line.unit();
    }

    /** What the shelf has of what is needed, and how much of it is short. */
    private String onShelf(Prepared.Line line) {
        return line.need()
                .map(need -> {
                    double there = work.there(need);
                    String lacks = work.lacks(need).map(each -> ": " + each).orElse("");
                    return there > 0
                            ? "the shelf has " + PlannedWork.written(there, need) + lacks
                            : need.unit().isEmpty() ? "" : "the shelf has none that was counted";
                })
                .orElse("");
    }

    @GetMapping("/plans/{plan}/list.csv")
    ResponseEntity<byte[]> file(
            @PathVariable("plan") UUID id,
            @RequestParam Optional<String> benches,
            @RequestParam Optional<String> trials,
            @RequestParam Optional<String> spare) {
        KeptPlan kept = kept(id);
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            Prepared prepared = prepared(kept, Counts.of(kept, benches, trials, spare));
            for (Prepared.Line each : prepared.lines()) {
                printer.printRecord(Stream.of(
                                each.kind().words(),
                                each.what(),
                                each.amount() == 0 ? "" : Figures.POINT.significant(each.amount(), DIGITS + 1),
                                each.unit(),
                                each.how(),
                                onShelf(each))
                        .map(ForSpreadsheets::guarded));
            }
            for (HazardsShown.Shown each : hazards.of(prepared.substances())) {
                printer.printRecord(Stream.of(
                                "Hazards",
                                each.name(),
                                "",
                                "",
                                Stream.concat(
                                                Stream.of(each.standing(), each.signal()),
                                                Stream.concat(each.does().stream(), each.minds().stream())
                                                        .map(one -> one.code() + " " + one.words()))
                                        .filter(one -> !one.isEmpty())
                                        .collect(Collectors.joining(". ")),
                                "")
                        .map(ForSpreadsheets::guarded));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return CsvAnswer.of("what-to-prepare", table);
    }

    /** Left every substance that is remembered, right the one taken down, with the form of its sheet. */
    @GetMapping("/hazards")
    String hazards(@RequestParam(defaultValue = "") String substance, Model model) {
        return hazards(substance, null, Map.of(), model);
    }

    private String hazards(
            String substance,
            @org.jspecify.annotations.Nullable String problem,
            Map<String, String> typed,
            Model model) {
        model.addAttribute(
                "all",
                Hazard.all().stream()
                        .map(PrepListController::named)
                        .map(hazards::of)
                        .toList());
        Optional<AllowedStrength> allowed = plans.allowed();
        model.addAttribute("strongest", Figures.POINT.plain(labs.now().strongest()));
        model.addAttribute("allowedBy", allowed.map(AllowedStrength::who).orElse(""));
        model.addAttribute("taken", substance.isEmpty() ? null : hazards.of(substance));
        model.addAttribute("problem", problem);
        model.addAttribute("typed", typed);
        return "hazards";
    }

    private static String named(Hazard each) {
        return each.formula().isEmpty() ? each.key() : each.formula();
    }

    /** Sets what the bottle's sheet says beside what is remembered. */
    @PostMapping("/hazards")
    String confirm(
            @RequestParam String substance,
            @RequestParam Map<String, String> typed,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Answer<HazardSheet> kept = Optional.of(substance)
                .filter(each -> !each.isBlank() && each.length() <= 60)
                .map(each -> keeping.confirm(
                        each,
                        typed.getOrDefault("signal", ""),
                        typed.getOrDefault("statements", ""),
                        typed.getOrDefault("sheet", ""),
                        actor))
                .orElseGet(() -> new Answer.NotKept<>(new Refused("Say which substance it is.")));
        if (kept instanceof Answer.Kept) {
            return "redirect:"
                    + org.springframework.web.util.UriComponentsBuilder.fromPath("/hazards")
                            .queryParam("substance", "{substance}")
                            .encode()
                            .buildAndExpand(substance)
                            .toUriString();
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return hazards(substance, kept.refusal().map(ErrorMessages::of).orElse(""), typed, model);
    }

    /** Allows acids and bases of plans up to a strength. */
    @PostMapping("/hazards/strongest")
    String allow(
            @RequestParam(defaultValue = "") String strongest, Actor actor, HttpServletResponse response, Model model) {
        Answer<AllowedStrength> allowed;
        try {
            allowed = keeping.allow(
                    TypedNumber.read(strongest, Figures.POINT.mark()).value(), actor);
        } catch (Refused refused) {
            allowed = new Answer.NotKept<>(refused);
        }
        if (allowed instanceof Answer.Kept) {
            return "redirect:/hazards";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        return hazards("", allowed.refusal().map(ErrorMessages::of).orElse(""), Map.of("strongest", strongest), model);
    }
}
