package lab.sassafras.app.classpages;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.ZonedDateTime;
import java.util.Date;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.classroom.KeptHour;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.LeadClass;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.hour.Timetable;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Hour by hour: when each bench does which task, from what is typed; nothing is kept until it is kept. */
@Controller
class HourController {

    private final PeriodBook periods;
    private final HourScreen screen;
    private final LeadClass leading;
    private final ClassLines lines;

    HourController(PeriodBook periods, HourScreen screen, LeadClass leading, ClassLines lines) {
        this.lines = lines;
        this.periods = periods;
        this.screen = screen;
        this.leading = leading;
    }

    /** How its page looks, which no other page needs. */
    @ModelAttribute("panel")
    String panel() {
        return "/css/hour.css";
    }

    @GetMapping("/periods/{id}/hour")
    String hour(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String pick,
            @RequestParam Map<String, String> typed,
            Visitor visitor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        return render(period, screen.form(period, typed), pick, visitor, response, model);
    }

    private String render(
            Period period, HourForm form, String pick, Visitor visitor, HttpServletResponse response, Model model) {
        HourScreen.Shown shown = screen.shown(period, form, pick, visitor);
        if (form.wrong() || !shown.refused().isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        }
        model.addAttribute("period", period);
        model.addAttribute("shown", shown);
        model.addAttribute(
                "day",
                shown.kept().isEmpty()
                        ? null
                        : screen.onDay(period, lines.of(period).benches()).orElse(null));
        model.addAttribute("form", form);
        model.addAttribute("fields", screen.fields(shown));
        model.addAttribute("nobody", periods.benches(period).isEmpty());
        model.addAttribute("experiments", Experiments.all());
        model.addAttribute(
                "moved",
                form.fields().entrySet().stream()
                        .filter(each -> each.getKey().startsWith(HourForm.MOVED)
                                && !each.getKey().equals(pick))
                        .collect(Collectors.toMap(
                                Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one, LinkedHashMap::new)));
        return "hour";
    }

    /** Keeps the hour as it is typed; one that cannot be is not kept. */
    @PostMapping("/periods/{id}/hour")
    String keep(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            Visitor visitor,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Period period = find(id);
        HourForm form = screen.form(period, typed);
        HourScreen.Shown shown = screen.shown(period, form, "", visitor);
        if (form.wrong() || !shown.refused().isEmpty()) {
            return render(period, form, "", visitor, response, model);
        }
        Answer<KeptHour> kept = leading.lay(period, form.fields(), actor);
        if (kept.refusal().isPresent()) {
            model.addAttribute("keepProblem", ErrorMessages.of(kept.refusal().get()));
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(period, form, "", visitor, response, model);
        }
        return "redirect:/periods/" + id + "/hour";
    }

    /** The same as a calendar: one event for each task. */
    @GetMapping("/periods/{id}/hour.ics")
    ResponseEntity<byte[]> calendar(@PathVariable UUID id, @RequestParam Map<String, String> typed, Visitor visitor) {
        Period period = find(id);
        HourForm form = screen.form(period, typed);
        HourScreen.Shown shown = screen.shown(period, form, "", visitor);
        ICalendar calendar = new ICalendar();
        ZonedDateTime begins = period.heldOn().atTime(form.from()).atZone(period.zone());
        for (Timetable.Laid each : shown.timetable().map(Timetable::laid).orElse(java.util.List.of())) {
            VEvent event = new VEvent();
            event.setUid(UUID.nameUUIDFromBytes((id + each.job().key()).getBytes(StandardCharsets.UTF_8))
                    .toString());
            event.setSummary(each.job().bench() + ", trial " + each.job().trial() + ": "
                    + each.job().words()
                    + each.on().entrySet().stream()
                            .map(on -> ", " + on.getKey().word() + " " + on.getValue())
                            .sorted()
                            .collect(Collectors.joining()));
            event.setDateStart(Date.from(begins.plusMinutes(each.from()).toInstant()));
            event.setDateEnd(Date.from(begins.plusMinutes(each.until()).toInstant()));
            calendar.addEvent(event);
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "calendar", StandardCharsets.UTF_8))
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"hour-" + period.heldOn() + ".ics\"")
                .body(Biweekly.write(calendar).go().getBytes(StandardCharsets.UTF_8));
    }

    private Period find(UUID id) {
        return periods.find(id).orElseThrow(NotFound::period);
    }
}
