package lab.sassafras.app.notebook;

import jakarta.servlet.http.HttpServletResponse;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.account.Finding;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.people.ReaderLinks;
import lab.sassafras.app.plans.Planned;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.OriginBook;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.UnderOtherConventions;
import lab.sassafras.app.sheet.WrittenNotes;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.usecase.AdoptConstant;
import lab.sassafras.app.usecase.TakeDecision;
import lab.sassafras.expression.Working;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.CookieValue;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The result of an entry and the decisions taken over it. */
@Controller
class ResultController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final PeriodBook periodBook;
    private final ReaderLinks links;
    private final OriginBook originBook;
    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Shelves shelves;
    private final AdoptConstant adopting;
    private final TakeDecision deciding;
    private final FirstShown firstShown;
    private final Chapters chapters;
    private final UnderOtherConventions others;
    private final WrittenNotes notes;
    private final Planned planned;

    ResultController(
            PeriodBook periodBook,
            ReaderLinks links,
            OriginBook originBook,
            EntryBook entryBook,
            EntrySheets sheets,
            Shelves shelves,
            AdoptConstant adopting,
            TakeDecision deciding,
            FirstShown firstShown,
            Chapters chapters,
            UnderOtherConventions others,
            WrittenNotes notes,
            Planned planned) {
        this.planned = planned;
        this.notes = notes;
        this.others = others;
        this.periodBook = periodBook;
        this.links = links;
        this.originBook = originBook;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.shelves = shelves;
        this.adopting = adopting;
        this.deciding = deciding;
        this.firstShown = firstShown;
        this.chapters = chapters;
    }

    @GetMapping("/entries/{id}/result")
    String result(
            @PathVariable UUID id,
            @RequestParam Optional<Integer> trial,
            @RequestParam Optional<String> open,
            @CookieValue(name = OpenChapters.COOKIE, required = false) @Nullable String kept,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = sheet(id);
        ResultView view = chapters.view(entry, trial);
        entry.reduction().whole(view.shownTrial());
        model.addAttribute("entry", entry.entry());
        model.addAttribute("words", entry.experiment().words());
        model.addAttribute("view", view);
        model.addAttribute("planned", planned(entry, view).orElse(null));
        OpenChapters opened = OpenChapters.of(open, kept);
        if (open.isPresent()) {
            response.addHeader(HttpHeaders.SET_COOKIE, opened.cookie().toString());
        }
        model.addAttribute(
                "links",
                links.of(entry.entry()).stream()
                        .map(each -> new LinkLine(
                                each.id(),
                                WrittenTime.of(
                                        each.madeAt(), entry.entry().period().zone(), DAY)))
                        .toList());
        model.addAttribute("told", periodBook.told(entry.entry().period()).tells(entry.entry()));
        model.addAttribute("chapters", chapters.of(entry, view, opened));
        model.addAttribute("before", firstShown.otherwise(entry).orElse(null));
        model.addAttribute(
                "former", others.former(entry).map(each -> said(entry, each)).orElse(null));
        model.addAttribute("leftovers", WrittenSheet.leftovers(entry));
        model.addAttribute("notes", notes.of(entry.entry()));
        model.addAttribute(
                "broughtIn",
                originBook
                        .of(id)
                        .map(each -> each.who() + ", "
                                + WrittenTime.of(
                                        each.madeAt(), entry.entry().period().zone(), DAY) + ", from "
                                + each.fileName())
                        .orElse(null));
        model.addAttribute("rows", new WrittenSheet(entry, view.shownTrial()).rows(Optional.empty()));
        model.addAttribute(
                "onceRows",
                view.shownTrial() == 1
                        ? java.util.List.of()
                        : new WrittenSheet(entry, 1)
                                .rows(Optional.empty()).stream()
                                        .filter(row -> !row.perTrial())
                                        .toList());
        model.addAttribute("vessel", entry.vessel().orElse(null));
        model.addAttribute("calibration", entry.calibration().orElse(null));
        model.addAttribute("newer", entry.newer().orElse(null));
        model.addAttribute("figures", entry.entry().period().figures());
        model.addAttribute("found", view.reduction().constant().orElse(null));
        model.addAttribute("aside", entry.decisions().setAside().orElse(null));
        model.addAttribute(
                "cannotBe",
                entry.vessel()
                        .flatMap(vessel -> view.reduction()
                                .constant()
                                .flatMap(each -> each.cannotBe(
                                        vessel.kind(), entry.entry().period().figures())))
                        .orElse(null));
        model.addAttribute(
                "doubtful",
                view.reduction().findings().stream()
                        .filter(each -> each.code().startsWith("constant.") && each.grade() == Finding.Grade.QUESTION)
                        .map(Finding::message)
                        .findFirst()
                        .orElse(null));
        Shelf shelf = shelves.now();
        model.addAttribute(
                "inUse",
                view.reduction()
                        .constant()
                        .flatMap(any -> entry.vessel())
                        .flatMap(shelf::inUse)
                        .filter(each -> each.entryId().equals(Optional.of(id)))
                        .orElse(null));
        model.addAttribute(
                "seen",
                entry.vessel()
                        .flatMap(vessel -> shelf.calibrations(vessel).stream().findFirst())
                        .map(Calibration::id)
                        .orElse(null));
        return "result";
    }

    /** What the plan expected beside what the trial that is shown came to. */
    private Optional<String> planned(EntrySheet entry, ResultView view) {
        return view.withheld()
                ? Optional.empty()
                : planned.words(
                        entry.entry().bench(),
                        entry.experiment().key(),
                        entry.experiment()
                                .finalReading()
                                .flatMap(path -> entry.sheet().reading(path, view.shownTrial()))
                                .map(read -> read.value()),
                        view.reduction().sampleOf(view.shownTrial()).interval());
    }

    /** What the result was before the conventions of its period were set anew. */
    private static String said(EntrySheet entry, UnderOtherConventions.Former former) {
        Decision decision = former.decided().decision();
        return "The period’s conventions were set anew by " + decision.who() + " on "
                + WrittenTime.of(decision.madeAt(), entry.entry().period().zone(), DAY) + ": “" + decision.reason()
                + "”. Before, this was "
                + former.reduction()
                        .result()
                        .map(each -> former.reduction()
                                .presentation()
                                .written(each, former.reduction().unit()))
                        .map(each -> each.value() + " ± " + each.uncertainty() + " " + each.unit())
                        .orElse("not worked out")
                + ".";
    }

    /** The working of a trial as LaTeX. */
    @GetMapping(value = "/entries/{id}/working.tex", produces = "text/plain;charset=UTF-8")
    ResponseEntity<String> latex(@PathVariable UUID id, @RequestParam(defaultValue = "1") int trial) {
        return ResponseEntity.ok(sheet(id)
                .reduction()
                .working(trial)
                .map(Working::latex)
                .orElseThrow(() -> new NotFound("Nothing is worked out there yet.")));
    }

    @PostMapping("/entries/{id}/trials/{number}")
    String trial(
            @PathVariable UUID id,
            @PathVariable int number,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            Actor actor) {
        EntrySheet entry = sheet(id);
        if (number < 1 || number > entry.sheet().trials()) {
            throw new NotFound("This entry has no trial " + number + ".");
        }
        deciding.trial(entry, number, outcome, reason, actor).orThrow();
        return "redirect:/entries/" + id + "/result?trial=" + number;
    }

    /** A link by which this entry is read, with when it was made. */
    public record LinkLine(UUID id, String made) {}

    /** Tells the bench of an entry what its result should be. */
    @PostMapping("/entries/{id}/reveal")
    String reveal(@PathVariable UUID id, Actor actor) {
        deciding.reveal(sheet(id), actor).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/aside")
    String aside(
            @PathVariable UUID id,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            Actor actor) {
        deciding.aside(sheet(id), outcome, reason, actor).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/school")
    String school(
            @PathVariable UUID id,
            @RequestParam String question,
            @RequestParam String school,
            @RequestParam Optional<Integer> strip,
            Actor actor) {
        deciding.school(sheet(id), question, school, actor).orThrow();
        return "redirect:/entries/" + id
                + strip.map(trial -> "/strip?trial=" + trial).orElse("/result");
    }

    @PostMapping("/entries/{id}/combination")
    String combination(@PathVariable UUID id, @RequestParam String combination, Actor actor) {
        deciding.combination(sheet(id), combination, actor).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/pin")
    String pin(@PathVariable UUID id, @RequestParam UUID calibration, Actor actor) {
        deciding.pin(sheet(id), calibration, "newer constant taken", actor).orThrow();
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/adopt")
    String adopt(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam Optional<UUID> seen,
            Actor actor) {
        Calibration adopted = adopting.adopt(sheet(id), reason, seen, actor).orThrow();
        return "redirect:/shelf/vessels/" + adopted.vesselId() + "?adopted=true";
    }

    private EntrySheet sheet(UUID id) {
        Entry entry = entryBook.find(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
        return sheets.of(entry);
    }
}
