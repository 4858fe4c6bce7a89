package lab.sassafras.app.bench;

import jakarta.servlet.http.HttpServletResponse;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.record.Persons;
import lab.sassafras.app.sheet.EntryLine;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.BeginEntry;
import lab.sassafras.app.usecase.ComeIn;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A bench's own page: what it has in hand, and beginning something new. */
@Controller
class BenchController {

    private final EntryBook entryBook;
    private final PeriodBook periodBook;
    private final Shelves shelves;
    private final BeginEntry beginning;
    private final ComeIn comeIn;
    private final Persons persons;
    private final ClassBook book;

    BenchController(
            EntryBook entryBook,
            PeriodBook periodBook,
            Shelves shelves,
            BeginEntry beginning,
            ComeIn comeIn,
            Persons persons,
            ClassBook book) {
        this.book = book;
        this.comeIn = comeIn;
        this.persons = persons;
        this.entryBook = entryBook;
        this.periodBook = periodBook;
        this.shelves = shelves;
        this.beginning = beginning;
    }

    /**
     * A kind of instrument to choose one of.
     *
     * @param field   name of its field
     * @param word    what it is called
     * @param offered those on the shelf
     */
    public record KindChoice(String field, String word, List<Instrument> offered) {}

    private static String field(InstrumentKind kind) {
        return kind.key().toLowerCase(Locale.ROOT);
    }

    /** What no instrument is called: what names none is refused like one that is not here. */
    private static final UUID NOBODYS = new UUID(0, 0);

    /** A vessel to choose, with its constant in words. */
    public record VesselChoice(String id, String words, String kind) {}

    @GetMapping("/bench")
    String bench(Actor actor, Model model) {
        return page(actor, "", null, model);
    }

    private String page(Actor actor, String chosen, @Nullable String problem, Model model) {
        model.addAttribute("chosen", chosen);
        model.addAttribute("problem", problem);
        Bench bench = actor.bench();
        Figures figures = bench.period().figures();
        model.addAttribute("bench", bench);
        model.addAttribute("members", String.join(", ", persons.working(bench)));
        model.addAttribute(
                "entries",
                entryBook.of(bench).stream()
                        .map(entry -> EntryLine.of(entry, bench.period().zone()))
                        .toList());
        model.addAttribute(
                "experiments",
                Experiments.all().stream()
                        .filter(each -> bench.period().offers(each.key()))
                        .toList());
        Shelf shelf = shelves.now();
        model.addAttribute(
                "vessels",
                lent(bench, shelf).stream()
                        .map(vessel -> choice(shelf, vessel, figures))
                        .toList());
        model.addAttribute("data", book.passed(bench.period()).given(bench).size());
        model.addAttribute("given", bench.vesselId().flatMap(shelf::vessel).orElse(null));
        model.addAttribute("proposed", proposed(bench, shelf));
        model.addAttribute("inHand", inHand(bench));
        model.addAttribute(
                "kinds",
                Experiments.instruments().stream()
                        .map(kind -> new KindChoice(
                                field(kind),
                                kind.word(),
                                bench.period().lends(of(shelf, kind), each -> UUID.fromString(each.key()))))
                        .filter(each -> !each.offered().isEmpty())
                        .toList());
        return "bench";
    }

    /** Vessels of each kind that the period lends. */
    private static List<Vessel> lent(Bench bench, Shelf shelf) {
        return shelf.vesselsOffered().stream()
                .collect(Collectors.groupingBy(Vessel::kind, LinkedHashMap::new, Collectors.toList()))
                .values()
                .stream()
                .flatMap(alike -> bench.period().lends(alike, Vessel::id).stream())
                .toList();
    }

    /** The vessel this bench used last, or was given; else one that no other bench of the period has in hand. */
    private String proposed(Bench bench, Shelf shelf) {
        List<UUID> mine = entryBook.of(bench).stream()
                .flatMap(entry -> entry.vesselId().stream())
                .toList();
        Set<UUID> taken = entryBook.of(bench.period()).stream()
                .filter(entry -> !entry.bench().id().equals(bench.id()))
                .flatMap(entry -> entry.vesselId().stream())
                .collect(Collectors.toSet());
        List<UUID> free = lent(bench, shelf).stream()
                .map(Vessel::id)
                .filter(id -> !taken.contains(id))
                .toList();
        List<UUID> waiting = periodBook.benches(bench.period()).stream()
                .filter(each -> entryBook.of(each).isEmpty())
                .map(Bench::id)
                .toList();
        return mine.stream()
                .findFirst()
                .or(bench::vesselId)
                .or(() -> free.isEmpty()
                        ? lent(bench, shelf).stream().map(Vessel::id).findFirst()
                        : Optional.of(free.get(Math.max(0, waiting.indexOf(bench.id())) % free.size())))
                .map(UUID::toString)
                .orElse("");
    }

    /** Keys of the instruments this bench began with last. */
    private List<String> inHand(Bench bench) {
        return entryBook.of(bench).stream()
                .map(Entry::instruments)
                .filter(each -> !each.isEmpty())
                .findFirst()
                .map(each -> each.values().stream().map(UUID::toString).toList())
                .orElse(List.of());
    }

    private static List<Instrument> of(Shelf shelf, InstrumentKind kind) {
        return shelf.instrumentsOffered().stream()
                .filter(each -> each.kind().equals(kind))
                .toList();
    }

    private static VesselChoice choice(Shelf shelf, Vessel vessel, Figures figures) {
        String constant = shelf.inUse(vessel)
                .map(value -> value.written(figures) + " J/°C")
                .orElse("no constant adopted yet");
        return new VesselChoice(
                vessel.id().toString(),
                vessel.name() + ", " + vessel.kind().words() + " (" + constant + ")",
                vessel.kind().key());
    }

    /** Says who works at the bench, as they would be named. */
    @PostMapping("/bench/members")
    String members(
            Actor actor, @RequestParam(defaultValue = "") String names, HttpServletResponse response, Model model) {
        Answer<Boolean> named = comeIn.working(actor.bench(), names);
        if (named.refusal().isEmpty()) {
            return "redirect:/bench";
        }
        response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
        model.addAttribute("membersProblem", ErrorMessages.of(named.refusal().get()));
        model.addAttribute("membersTyped", names);
        return page(actor, "", null, model);
    }

    @PostMapping("/entries")
    String begin(
            Actor actor,
            @RequestParam(defaultValue = "") String experiment,
            @RequestParam Optional<UUID> vessel,
            @RequestParam(defaultValue = "false") boolean simulated,
            @RequestParam(defaultValue = "false") boolean minded,
            @RequestParam Map<String, String> chosen,
            HttpServletResponse response,
            Model model) {
        Map<InstrumentKind, UUID> with = new LinkedHashMap<>();
        Experiments.instruments()
                .forEach(kind -> Optional.ofNullable(chosen.get(field(kind)))
                        .filter(text -> !text.isBlank())
                        .ifPresent(text -> with.put(kind, Shelf.identity(text).orElse(NOBODYS))));
        Answer<Entry> begun = beginning.begin(experiment, vessel, with, simulated, minded, actor);
        model.addAttribute("asked", begun.question().orElse(null));
        if (!(begun instanceof Answer.Kept)) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return page(
                    actor, experiment, begun.refusal().map(ErrorMessages::of).orElse(null), model);
        }
        return "redirect:/entries/" + begun.orThrow().id() + (simulated ? "/simulated" : "");
    }
}
