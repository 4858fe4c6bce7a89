package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.InstrumentInHand;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.TakeInHand;
import lab.sassafras.declaration.ReadingPlace;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.sheet.Tasks;
import lab.sassafras.slot.Words;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which instrument an entry is read on at which place, and taking another in hand. */
@Controller
class HandController {

    private final RunScreen screens;
    private final Instruments instruments;
    private final TakeInHand taking;

    HandController(RunScreen screens, Instruments instruments, TakeInHand taking) {
        this.screens = screens;
        this.instruments = instruments;
        this.taking = taking;
    }

    /**
     * A place with what is in hand there.
     *
     * @param key     of the place
     * @param kind    what is read on, in a word
     * @param words   what is read there
     * @param inHand  identity of the instrument; empty where none is
     * @param since   when it was taken in hand and by whom; empty where it is as the entry was begun
     * @param offered to choose from
     * @param sent    the page’s own key for taking one in hand there
     */
    public record Row(
            String key, String kind, String words, String inHand, String since, List<Instrument> offered, UUID sent) {}

    /** One that was taken in hand, as it is told. */
    public record Taken(String when, String who, String instrument, String where) {}

    @GetMapping("/entries/{id}/instruments")
    String page(@PathVariable UUID id, Model model) {
        return render(screens.entry(id), null, model);
    }

    private String render(EntrySheet entry, @Nullable String problem, Model model) {
        List<Instrument> offered =
                instruments.offered(entry.hand().all().map(UUID::toString).toList());
        List<ReadingPlace> places = ReadingPlace.of(entry.experiment(), Experiments.instruments());
        model.addAttribute("entry", entry.entry());
        model.addAttribute("title", entry.experiment().words().title());
        model.addAttribute(
                "rows",
                places.stream()
                        .filter(each -> asked(entry, each))
                        .map(each -> row(entry, each, offered))
                        .filter(each -> !each.offered().isEmpty())
                        .toList());
        model.addAttribute("taken", taken(entry, places));
        model.addAttribute("problem", problem);
        return "instruments";
    }

    /** Whether anything is asked or may be added there under the conventions of the run. */
    private static boolean asked(EntrySheet entry, ReadingPlace place) {
        Tasks tasks = entry.sheet().tasks();
        return Stream.concat(tasks.asks(1).stream(), tasks.asides(1).stream())
                .anyMatch(ask -> ask.address().group().equals(place.group().key()));
    }

    private static Row row(EntrySheet entry, ReadingPlace place, List<Instrument> offered) {
        String key = place.group().key();
        return new Row(
                key,
                place.kind().word(),
                words(entry, place),
                entry.hand().at(key, place.kind()).map(UUID::toString).orElse(""),
                entry.hand()
                        .row(key, place.kind())
                        .map(each -> new WrittenSheet(entry, 1).clock(each.madeAt()) + ", " + each.who())
                        .orElse(""),
                offered.stream()
                        .filter(each -> each.kind().equals(place.kind()))
                        .toList(),
                UUID.randomUUID());
    }

    private static String words(EntrySheet entry, ReadingPlace place) {
        Words words = entry.experiment().words();
        return place.slots().stream()
                .map(slot -> words.label(place.group().key() + "/" + slot.key()))
                .collect(Collectors.joining(", "));
    }

    private List<Taken> taken(EntrySheet entry, List<ReadingPlace> places) {
        List<Taken> all = new ArrayList<>();
        for (InstrumentInHand each : entry.hand().rows()) {
            all.add(new Taken(
                    new WrittenSheet(entry, 1).clock(each.madeAt()),
                    each.who(),
                    instruments.find(each.instrumentId()).map(Instrument::name).orElse("an instrument no longer here"),
                    places.stream()
                            .filter(place -> place.group().key().equals(each.place())
                                    && place.kind().key().equals(each.kind()))
                            .map(place -> words(entry, place))
                            .findFirst()
                            .orElse("everywhere")));
        }
        return all;
    }

    /** Takes another in hand at a place, from now on. */
    @PostMapping("/entries/{id}/instruments")
    String take(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String place,
            @RequestParam Optional<UUID> instrument,
            @RequestParam Optional<UUID> key,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        EntrySheet entry = screens.entry(id);
        Answer<Boolean> answer = taking.take(
                entry, place, instrument.orElseGet(() -> new UUID(0, 0)), key.orElseGet(UUID::randomUUID), actor);
        if (answer.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return render(entry, ErrorMessages.of(answer.refusal().get()), model);
        }
        return "redirect:/entries/" + id + "/instruments";
    }
}
