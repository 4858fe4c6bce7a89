package lab.sassafras.app.notebook;

import jakarta.servlet.http.HttpServletRequest;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.account.Finding;
import lab.sassafras.app.door.NotFound;
import lab.sassafras.app.door.WhoIsHere;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.Question;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The result of an entry and the decisions taken over it. */
@Controller
class ResultPages {

    private static final int LONGEST_REASON = 200;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final LabBook book;
    private final EntrySheets sheets;
    private final Shelves shelves;
    private final Adoption adoption;
    private final FirstShown firstShown;
    private final WhoIsHere who;

    ResultPages(
            LabBook book,
            EntrySheets sheets,
            Shelves shelves,
            Adoption adoption,
            FirstShown firstShown,
            WhoIsHere who) {
        this.book = book;
        this.sheets = sheets;
        this.shelves = shelves;
        this.adoption = adoption;
        this.firstShown = firstShown;
        this.who = who;
    }

    @GetMapping("/entries/{id}/result")
    String result(@PathVariable UUID id, @RequestParam Optional<Integer> trial, Model model) {
        EntrySheet entry = sheet(id);
        ResultView view = new ResultView(entry, trial);
        entry.reduction().whole(view.shownTrial());
        model.addAttribute("entry", entry.entry());
        model.addAttribute("words", entry.experiment().words());
        model.addAttribute("view", view);
        model.addAttribute("before", firstShown.otherwise(entry).orElse(null));
        model.addAttribute("leftovers", WrittenSheet.leftovers(entry));
        model.addAttribute(
                "broughtIn",
                book.broughtIn(id)
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

    @PostMapping("/entries/{id}/trials/{number}")
    String trial(
            @PathVariable UUID id,
            @PathVariable int number,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            HttpServletRequest request) {
        EntrySheet entry = sheet(id);
        if (number < 1 || number > entry.sheet().trials()) {
            throw new NotFound("This entry has no trial " + number + ".");
        }
        book.decide(
                Optional.of(id),
                Decision.Kind.TRIAL,
                Decisions.trial(number),
                outcome,
                checked(
                        reason,
                        outcome.equals(Decision.OUT)
                                ? "Say why the trial is left out."
                                : "Say why the trial counts again."),
                who.benchOrAsk(request).name());
        return "redirect:/entries/" + id + "/result?trial=" + number;
    }

    @PostMapping("/entries/{id}/aside")
    String aside(
            @PathVariable UUID id,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            HttpServletRequest request) {
        sheet(id);
        book.decide(
                Optional.of(id),
                Decision.Kind.ENTRY,
                Decisions.ENTRY,
                outcome,
                checked(
                        reason,
                        outcome.equals(Decision.OUT)
                                ? "Say why the entry is set aside."
                                : "Say why the entry counts again."),
                who.benchOrAsk(request).name());
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/school")
    String school(
            @PathVariable UUID id,
            @RequestParam String question,
            @RequestParam String school,
            @RequestParam Optional<Integer> strip,
            HttpServletRequest request) {
        sheet(id);
        if (Question.all().stream()
                .noneMatch(each ->
                        each.key().equals(question) && each.school(school).isPresent())) {
            throw new Refused("There is no such convention.");
        }
        book.decide(
                Optional.of(id),
                Decision.Kind.SCHOOL,
                question,
                school,
                "chosen for this entry",
                who.benchOrAsk(request).name());
        return "redirect:/entries/" + id
                + strip.map(trial -> "/strip?trial=" + trial).orElse("/result");
    }

    @PostMapping("/entries/{id}/combination")
    String combination(@PathVariable UUID id, @RequestParam String combination, HttpServletRequest request) {
        if (sheet(id).experiment().combinations().stream()
                .noneMatch(each -> each.key().equals(combination))) {
            throw new Refused("The trials of this experiment are not taken together that way.");
        }
        book.decide(
                Optional.of(id),
                Decision.Kind.COMBINATION,
                Decisions.TRIALS,
                combination,
                "chosen for this entry",
                who.benchOrAsk(request).name());
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/pin")
    String pin(@PathVariable UUID id, @RequestParam UUID calibration, HttpServletRequest request) {
        EntrySheet entry = sheet(id);
        Calibration chosen = shelves.now()
                .calibration(calibration)
                .filter(each -> entry.vessel()
                        .map(Vessel::id)
                        .filter(each.vesselId()::equals)
                        .isPresent())
                .orElseThrow(() -> new Refused("That constant does not belong to this entry's vessel."));
        book.decide(
                Optional.of(id),
                Decision.Kind.PIN,
                "calibration",
                chosen.id().toString(),
                "newer constant taken",
                who.benchOrAsk(request).name());
        return "redirect:/entries/" + id + "/result";
    }

    @PostMapping("/entries/{id}/adopt")
    String adopt(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam Optional<UUID> seen,
            HttpServletRequest request) {
        Calibration adopted = adoption.adopt(
                sheet(id).entry(),
                checked(reason, "Say why this constant is adopted."),
                who.benchOrAsk(request).name(),
                seen);
        return "redirect:/shelf/vessels/" + adopted.vesselId();
    }

    private static String checked(String reason, String otherwise) {
        String text = reason.strip();
        if (text.isEmpty()) {
            throw new Refused(otherwise + " Go back; nothing was changed.");
        }
        return Names.checked(text, "A reason", LONGEST_REASON);
    }

    private EntrySheet sheet(UUID id) {
        Entry entry = book.entry(id).orElseThrow(() -> new NotFound("There is no entry at that address."));
        return sheets.of(entry);
    }
}
