package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.nio.charset.StandardCharsets;
import java.time.LocalTime;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.bench.TableScreen.Outcome;
import lab.sassafras.app.bench.TableScreen.Place;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepObservation;
import lab.sassafras.app.usecase.TakeDecision;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A run typed into a table, cell by cell, all at once, or pasted from a spreadsheet. */
@Controller
class TableController {

    private static final Pattern WAY = Pattern.compile("([a-z-]+/[a-z-]+):([a-z]+)");
    private static final Pattern WITH_WIDTH = Pattern.compile("(.+?)\\s*(?:±|\\+-|\\+/-)\\s*(.+)");
    private static final Pattern HOUR = Pattern.compile("(\\d{1,2}):(\\d{2})(?::(\\d{2}))?");

    /** Cells a table may send at once. */
    private static final int MOST_CELLS = 2000;

    private final RunScreen screens;
    private final EntrySheets sheets;
    private final KeepObservation keeping;
    private final PeriodKnows known;
    private final TakeDecision deciding;

    TableController(
            RunScreen screens, EntrySheets sheets, KeepObservation keeping, PeriodKnows known, TakeDecision deciding) {
        this.deciding = deciding;
        this.known = known;
        this.screens = screens;
        this.sheets = sheets;
        this.keeping = keeping;
    }

    @GetMapping("/entries/{id}/table")
    String table(@PathVariable UUID id, @RequestParam(defaultValue = "") List<String> way, Model model) {
        return page(screens.entry(id), ways(way), Map.of(), model);
    }

    /** Keeps what was typed into cells: those that can be in one commit, the others stay as they are with why. */
    @PostMapping("/entries/{id}/table")
    String keep(
            @PathVariable UUID id,
            @RequestParam MultiValueMap<String, String> form,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.entry(id);
        Map<String, Role> ways = ways(form.getOrDefault("way", List.of()));
        List<Place> places = new ArrayList<>();
        List<KeepObservation.Given> given = new ArrayList<>();
        Map<Place, Outcome> outcomes = new LinkedHashMap<>();
        Map<Place, String> cells = cells(form);
        cells.forEach((place, typed) -> {
            try {
                given.add(given(entry, place, typed, form));
                places.add(place);
            } catch (Refused refused) {
                outcomes.put(place, new Outcome(typed, refused.getMessage(), ""));
            }
        });
        List<Answer<UUID>> answers = keeping.all(entry.entry(), given, actor);
        for (int i = 0; i < answers.size(); i++) {
            String typed = cells.getOrDefault(places.get(i), "");
            Answer<UUID> answer = answers.get(i);
            if (!(answer instanceof Answer.Kept)) {
                outcomes.put(
                        places.get(i),
                        new Outcome(
                                typed,
                                answer.refusal().map(ErrorMessages::of).orElse(""),
                                answer.question().orElse("")));
            }
        }
        if (!outcomes.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(screens.entry(id), ways, outcomes, model);
        }
        return "redirect:/entries/" + id + "/table" + TableScreen.query(ways);
    }

    /** What is meant by cells pasted from elsewhere, said before anything of it is recorded. */
    @PostMapping("/entries/{id}/table/paste")
    String paste(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "") String from,
            @RequestParam(defaultValue = "") List<String> way,
            Actor actor,
            Model model) {
        EntrySheet entry = screens.entry(id);
        TableScreen screen = screen(entry, ways(way), Map.of());
        model.addAttribute("pasted", PastedTable.read(text, from, screen.rows()));
        return page(entry, ways(way), Map.of(), model);
    }

    /** The run is copied from paper: what its safety asks to be ticked off was ticked off there. */
    @PostMapping("/entries/{id}/table/paper")
    String paper(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String reason,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Answer<Boolean> decided = deciding.copiedFromPaper(screens.entry(id), reason, actor);
        if (decided.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute(
                    "paperProblem", ErrorMessages.of(decided.refusal().get()));
            return page(screens.entry(id), Map.of(), Map.of(), model);
        }
        return "redirect:/entries/" + id + "/table";
    }

    private static Map<Place, String> cells(MultiValueMap<String, String> form) {
        List<String> at = form.getOrDefault("cell", List.of());
        List<String> text = form.getOrDefault("text", List.of());
        if (at.size() > MOST_CELLS || at.size() != text.size()) {
            throw new Refused("The table was sent in pieces that do not fit together. Nothing was recorded.");
        }
        Map<Place, String> cells = new LinkedHashMap<>();
        for (int i = 0; i < at.size(); i++) {
            if (!text.get(i).isBlank()) {
                cells.put(Place.read(at.get(i)), text.get(i).strip());
            }
        }
        form.getOrDefault("tick", List.of()).forEach(tick -> {
            int equals = tick.indexOf('=');
            if (equals > 0) {
                cells.put(Place.read(tick.substring(0, equals)), tick.substring(equals + 1));
            }
        });
        return cells;
    }

    /** A cell as the use case takes it. The same cell sent again with the same table has the same key. */
    private KeepObservation.Given given(
            EntrySheet entry, Place place, String typed, MultiValueMap<String, String> form) {
        Address address = Address.read(place.at());
        Slot slot = entry.experiment()
                .slot(address.path())
                .orElseThrow(() -> new Refused("This experiment has no place of that name."));
        Role role = Role.of(place.role()).orElseThrow(() -> new Refused("Say how the value was got."));
        Matcher width = WITH_WIDTH.matcher(typed);
        boolean assumed = role == Role.ASSUMED && width.matches();
        String text = slot.field() == Slot.Field.MOMENT
                ? moment(typed, entry.entry().period())
                : assumed ? width.group(1) : typed;
        Optional<String> proposed = slot.assumed()
                .filter(Slot.Assumption::proposes)
                .map(each -> entry.entry().period().figures().plain(each.uncertainty()));
        String key =
                entry.entry().id() + Optional.ofNullable(form.getFirst("key")).orElse("") + place.sent() + typed;
        return new KeepObservation.Given(
                UUID.nameUUIDFromBytes(key.getBytes(StandardCharsets.UTF_8)),
                place.at(),
                role.key(),
                text,
                slot.field() == Slot.Field.NUMBER
                        ? slot.unit(role).map(BenchUnit::symbol).orElse(null)
                        : null,
                Asking.instrument(entry, address, slot, role).orElse(null),
                role == Role.ASSUMED ? (assumed ? width.group(2) : proposed.orElse(null)) : null,
                null,
                null,
                form.getOrDefault("sure", List.of()).contains(place.sent() + "=" + typed),
                0);
    }

    /** A time of the period's day as an instant. */
    private static String moment(String typed, Period period) {
        Matcher hour = HOUR.matcher(typed);
        try {
            if (hour.matches()) {
                LocalTime time = LocalTime.parse("%02d:%s:%s"
                        .formatted(
                                Integer.parseInt(hour.group(1)),
                                hour.group(2),
                                hour.group(3) == null ? "00" : hour.group(3)));
                return period.heldOn()
                        .atTime(time)
                        .atZone(period.zone())
                        .toInstant()
                        .toString();
            }
        } catch (DateTimeParseException none) {
            // said below
        }
        throw new Refused("“" + typed + "” is not a time of day. Write it as 19:12 or 19:12:30, or leave it empty.");
    }

    private static Map<String, Role> ways(List<String> told) {
        Map<String, Role> ways = new LinkedHashMap<>();
        told.stream()
                .map(WAY::matcher)
                .filter(Matcher::matches)
                .forEach(way -> Role.of(way.group(2)).ifPresent(role -> ways.put(way.group(1), role)));
        return ways;
    }

    private TableScreen screen(EntrySheet entry, Map<String, Role> ways, Map<Place, Outcome> outcomes) {
        Setting open = entry.experiment().groups().stream()
                .flatMap(group -> group.slots().stream())
                .filter(slot -> slot.elsewhere()
                        .filter(each -> each != Slot.Elsewhere.TRACE)
                        .isPresent())
                .map(slot -> sheets.open(entry, slot))
                .reduce(entry.sheet().setting(), (one, other) -> one.knowing(other.calorimeters(), other.references()));
        return new TableScreen(entry, open, ways, outcomes, at -> known.of(entry, at, open));
    }

    private String page(EntrySheet entry, Map<String, Role> ways, Map<Place, Outcome> outcomes, Model model) {
        TableScreen screen = screen(entry, ways, outcomes);
        model.addAttribute("entry", entry.entry());
        model.addAttribute("seen", entry.seen());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute("trials", entry.sheet().trials());
        model.addAttribute("rows", screen.rows());
        model.addAttribute(
                "ways",
                ways.entrySet().stream()
                        .map(each -> each.getKey() + ":" + each.getValue().key())
                        .toList());
        model.addAttribute(
                "repeated",
                Stream.concat(
                                Stream.of(EntryBook.TRIAL),
                                entry.experiment().groups().stream()
                                        .filter(group -> group.cardinality() == Cardinality.PER_PART)
                                        .map(Group::key))
                        .toList());
        model.addAttribute("paper", entry.decisions().copiedFromPaper().orElse(null));
        model.addAttribute("ticks", !entry.experiment().tickedBefore().isEmpty());
        model.addAttribute("key", UUID.randomUUID());
        model.addAttribute("leftOver", outcomes.size());
        return "table";
    }
}
