package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.ClassPace;
import lab.sassafras.app.sheet.ClassPaces;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.usecase.TellWaits;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Words;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What a class goes by at the bench: its times, the waits begun by them, and a transfer broken off. */
@Controller
class PaceController {

    /** A page leads back to a place of its own entry and nowhere else. */
    private static final Pattern PLACE = Pattern.compile("[a-z][a-z-]{0,30}\\[\\d{1,3}\\]/[a-z][a-z-]{0,30}");

    private final RunScreen screens;
    private final ClassPaces paces;
    private final TellWaits telling;

    PaceController(RunScreen screens, ClassPaces paces, TellWaits telling) {
        this.screens = screens;
        this.paces = paces;
        this.telling = telling;
    }

    /**
     * A pace on its page.
     *
     * @param key     of the pace
     * @param label   step it belongs to
     * @param words   what is gone by
     * @param unit    of the amount
     * @param usual   where the class has none of its own, written
     * @param amount  as the class has it or as it was typed
     * @param who     chose it; empty where nobody did
     * @param problem why what was typed is none; empty where it is
     */
    public record Row(
            String key,
            String label,
            String words,
            String unit,
            String usual,
            String amount,
            String who,
            String problem) {}

    @GetMapping("/entries/{id}/paces")
    String page(@PathVariable UUID id, @RequestParam(defaultValue = "1") int trial, Model model) {
        return render(screens.entry(id), trial, Map.of(), Map.of(), model);
    }

    private String render(
            EntrySheet entry, int trial, Map<String, String> typed, Map<String, String> problems, Model model) {
        Figures figures = entry.entry().period().figures();
        Words words = entry.experiment().words();
        Map<String, ClassPace> chosen = paces.chosen(entry);
        List<Row> rows = new ArrayList<>();
        paces.of(entry)
                .forEach((pace, amount) -> rows.add(new Row(
                        pace.key(),
                        words.label(pace.path()),
                        words.get("pace." + pace.kind().key()),
                        pace.kind().unit(),
                        figures.plain(pace.usual()),
                        typed.getOrDefault(pace.key(), figures.plain(amount)),
                        Optional.ofNullable(chosen.get(pace.key()))
                                .map(ClassPace::who)
                                .orElse(""),
                        problems.getOrDefault(pace.key(), ""))));
        model.addAttribute("rows", rows);
        model.addAttribute("entry", entry.entry());
        model.addAttribute("trial", trial);
        model.addAttribute("title", words.title());
        return "paces";
    }

    /** Keeps what a class goes by; with one that cannot be, nothing is kept. */
    @PostMapping("/entries/{id}/paces")
    String choose(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "1") int trial,
            @RequestParam Map<String, String> form,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.entry(id);
        Map<String, String> problems = new HashMap<>();
        Map<String, Double> changed = new HashMap<>();
        paces.of(entry).forEach((pace, amount) -> {
            String text = form.getOrDefault(pace.key(), "").strip();
            try {
                double given = pace.read(text, entry.entry().period().figures());
                if (given != amount) {
                    changed.put(pace.key(), given);
                }
            } catch (Refused refused) {
                problems.put(pace.key(), refused.getMessage());
            }
        });
        if (!problems.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(entry, trial, form, problems, model);
        }
        telling.goBy(entry, changed, actor).orThrow();
        return "redirect:/entries/" + id + "?trial=" + trial;
    }

    /** Begins a wait, begins it anew, or ends it. */
    @PostMapping("/entries/{id}/waits")
    String wait(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam String pace,
            @RequestParam String what,
            @RequestParam(defaultValue = "") String back,
            @RequestParam Optional<UUID> key,
            Actor actor) {
        EntrySheet entry = entry(id, trial);
        if (paces.of(entry).keySet().stream().noneMatch(each -> each.key().equals(pace))) {
            throw new NotFound("This experiment waits for nothing of that name.");
        }
        telling.wait(entry, trial, pace, key.orElseGet(UUID::randomUUID), what.equals("end"), actor)
                .orThrow();
        return "redirect:/entries/" + id + back(back, trial);
    }

    private static String back(String where, int trial) {
        if (where.equals("clock")) {
            return "/clock?trial=" + trial;
        }
        return PLACE.matcher(where).matches() ? "?at=" + WrittenSheet.Link.encoded(where) : "?trial=" + trial;
    }

    /** A transfer that was broken off: its moment is withdrawn, and the time in the bath begins anew. */
    @PostMapping("/entries/{id}/broken-off")
    String brokenOff(
            @PathVariable UUID id,
            @RequestParam int trial,
            @RequestParam(defaultValue = "") String reason,
            @RequestParam(defaultValue = "") String back,
            Actor actor) {
        EntrySheet entry = entry(id, trial);
        telling.brokenOff(entry, trial, reason, actor).orThrow();
        return "redirect:/entries/" + id + back(back, trial);
    }

    private EntrySheet entry(UUID id, int trial) {
        EntrySheet entry = screens.entry(id);
        if (trial < 1 || trial > entry.sheet().trials()) {
            throw new NotFound("This entry has no such trial.");
        }
        return entry;
    }
}
