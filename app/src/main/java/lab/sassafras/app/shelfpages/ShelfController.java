package lab.sassafras.app.shelfpages;

import jakarta.servlet.http.HttpServletResponse;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.access.ErrorMessages;
import lab.sassafras.app.access.NotFound;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.OriginBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.shelf.OwnSubstances;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.Formation;
import lab.sassafras.substance.ReferenceShelf;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The shelf: left the list, right the one taken down. */
@Controller
class ShelfController {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy, HH:mm", Locale.ENGLISH);

    private final Calorimeters calorimeters;
    private final Shelves shelves;
    private final OwnSubstances own;
    private final OriginBook originBook;
    private final KeepShelf keeping;

    ShelfController(
            Calorimeters calorimeters, Shelves shelves, OwnSubstances own, OriginBook originBook, KeepShelf keeping) {
        this.calorimeters = calorimeters;
        this.shelves = shelves;
        this.own = own;
        this.originBook = originBook;
        this.keeping = keeping;
    }

    /** A calibration as the page shows it: how it came, and whether it may be used. */
    public record CalibrationLine(
            Calibration calibration,
            String value,
            String adopted,
            Optional<Decision> aside,
            Optional<Decision> takenUp,
            boolean inUse,
            boolean proposed) {

        /** Whether what can be decided of it now is to use it. */
        public boolean toAdopt() {
            return aside.isPresent() || proposed;
        }
    }

    @GetMapping("/shelf")
    String shelf(Optional<Actor> actor, Model model) {
        return page("overview", actor, model);
    }

    @GetMapping("/shelf/vessels/{id}")
    String vessel(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "false") boolean adopted,
            Optional<Actor> actor,
            Model model) {
        Shelf shelf = shelves.now();
        Vessel vessel = shelf.vessel(id).orElseThrow(() -> new NotFound("There is no vessel at that address."));
        Optional<UUID> inUse = shelf.inUse(vessel).map(Calibration::id);
        Figures figures = figures(actor);
        ZoneId zone = zone(actor);
        model.addAttribute("vessel", vessel);
        model.addAttribute(
                "calibrations",
                shelf.calibrations(vessel).stream()
                        .map(each -> new CalibrationLine(
                                each,
                                each.written(figures),
                                DAY.format(each.adoptedAt().atZone(zone)),
                                shelf.setAside(each),
                                shelf.takenUp(each),
                                inUse.equals(Optional.of(each.id())),
                                shelf.broughtIn(each) && shelf.takenUp(each).isEmpty()))
                        .toList());
        model.addAttribute("broughtIn", broughtIn(id, zone));
        model.addAttribute("thing", id);
        model.addAttribute("retired", shelf.retired(id).orElse(null));
        if (!model.containsAttribute("form")) {
            model.addAttribute("form", new ShelfForm(Map.of("fill", "100"), figures));
        }
        model.addAttribute("adopted", adopted);
        return page("vessel", actor, model);
    }

    /** Puts a constant that is known from elsewhere on the shelf, for use. */
    @PostMapping("/shelf/vessels/{id}/constant")
    String knownConstant(
            @PathVariable UUID id,
            @RequestParam Map<String, String> typed,
            @RequestParam Optional<UUID> seen,
            Actor actor,
            HttpServletResponse response,
            Model model) {
        Vessel vessel = shelves.now().vessel(id).orElseThrow(() -> new NotFound("There is no vessel at that address."));
        ShelfForm form = new ShelfForm(typed, figures(Optional.of(actor)));
        Optional<Answer<Calibration>> kept = form.constant().map(known -> keeping.constant(vessel, known, seen, actor));
        kept.flatMap(Answer::refusal).ifPresent(why -> form.refused("constant", ErrorMessages.of(why)));
        if (kept.filter(each -> each instanceof Answer.Kept).isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            model.addAttribute("form", form);
            return vessel(id, false, Optional.of(actor), model);
        }
        return "redirect:/shelf/vessels/" + id + "?adopted=true";
    }

    /** Retires a vessel or an instrument, or brings it back. */
    @PostMapping("/shelf/{things:vessels|instruments}/{id}/retired")
    String retire(
            @PathVariable String things,
            @PathVariable UUID id,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            Actor actor) {
        refuseUnknown(id);
        keeping.retire(id, outcome, reason, actor).orThrow();
        return "redirect:/shelf/" + things + "/" + id;
    }

    private void refuseUnknown(UUID id) {
        Shelf shelf = shelves.now();
        if (shelf.vessel(id).isEmpty() && shelf.instrument(id).isEmpty()) {
            throw new NotFound("There is nothing at that address.");
        }
    }

    /** By whom and when a thing came in with a file; null where it did not. */
    private @Nullable String broughtIn(UUID id, ZoneId zone) {
        return originBook
                .of(id)
                .map(each -> each.who() + ", " + DAY.format(each.madeAt().atZone(zone)) + ", from " + each.fileName())
                .orElse(null);
    }

    private ZoneId zone(Optional<Actor> actor) {
        return actor.flatMap(Actor::seat).map(Bench::period).map(Period::zone).orElse(ZoneId.systemDefault());
    }

    @GetMapping("/shelf/instruments/{id}")
    String instrument(@PathVariable UUID id, Optional<Actor> actor, Model model) {
        model.addAttribute("broughtIn", broughtIn(id, zone(actor)));
        model.addAttribute("thing", id);
        model.addAttribute("retired", shelves.now().retired(id).orElse(null));
        model.addAttribute(
                "instrument",
                shelves.now()
                        .instrument(id)
                        .orElseThrow(() -> new NotFound("There is no instrument at that address.")));
        return page("instrument", actor, model);
    }

    @GetMapping("/shelf/substances/{key}")
    String substance(@PathVariable String key, Optional<Actor> actor, Model model) {
        model.addAttribute(
                "substance",
                handbook().find(key).orElseThrow(() -> new NotFound("The reference shelf has nothing of that name.")));
        return page("substance", actor, model);
    }

    @GetMapping("/shelf/water")
    String water(Optional<Actor> actor, Model model) {
        model.addAttribute("water", ConventionQuestion.WATER);
        model.addAttribute("temperatures", List.of(10, 20, 25, 30, 40, 60, 80));
        model.addAttribute("liquidWater", lab.sassafras.substance.LiquidWater.specificHeat());
        return page("water", actor, model);
    }

    /** Heats of solution, formation enthalpies, or single values with the certified standards. */
    @GetMapping("/shelf/{list:solutions|formation|values}")
    String list(@PathVariable String list, Optional<Actor> actor, Model model) {
        model.addAttribute("solutions", handbook().heatsOfSolution());
        model.addAttribute("formation", handbook().formation().rows());
        model.addAttribute("formationSource", Formation.SOURCE);
        model.addAttribute("reactions", handbook().reactions());
        model.addAttribute("values", ReferenceShelf.standard().properties());
        return page(list, actor, model);
    }

    private ReferenceShelf handbook() {
        return shelves.now().handbook(ReferenceShelf.VERSION);
    }

    /** Another name for a vessel or an instrument. */
    @PostMapping("/shelf/{things:vessels|instruments}/{id}/name")
    String rename(
            @PathVariable String things,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") String name,
            Actor actor) {
        refuseUnknown(id);
        keeping.rename(id, name, actor).orThrow();
        return "redirect:/shelf/" + things + "/" + id;
    }

    @GetMapping("/shelf/own")
    String own(Optional<Actor> actor, Model model) {
        return ownForm(new ShelfForm(Map.of("kind", OwnSubstance.Kind.SOLID.name()), figures(actor)), actor, model);
    }

    @PostMapping("/shelf/own")
    String addOwn(@RequestParam Map<String, String> typed, Actor actor, HttpServletResponse response, Model model) {
        ShelfForm form = new ShelfForm(typed, figures(Optional.of(actor)));
        Optional<OwnSubstance.Given> given = form.substance();
        if (given.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return ownForm(form, Optional.of(actor), model);
        }
        keeping.own(given.get(), actor).orThrow();
        return "redirect:/shelf/own";
    }

    /** Strikes a value of one's own out, or takes it up again. */
    @PostMapping("/shelf/own/{id}")
    String decideOwn(
            @PathVariable UUID id,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            Actor actor) {
        OwnSubstance meant = own.find(id).orElseThrow(() -> new NotFound("There is no such value."));
        keeping.decide(meant, outcome, reason, actor).orThrow();
        return "redirect:/shelf/own";
    }

    /** A value of one's own as the page shows it. */
    public record OwnLine(OwnSubstance substance, String value, Optional<Decision> struck) {}

    private String ownForm(ShelfForm form, Optional<Actor> actor, Model model) {
        Shelf shelf = shelves.now();
        Figures figures = figures(actor);
        model.addAttribute("form", form);
        model.addAttribute("ownKinds", Arrays.asList(OwnSubstance.Kind.values()));
        model.addAttribute(
                "own",
                shelf.own().stream()
                        .map(each -> new OwnLine(
                                each,
                                each.written(figures) + " "
                                        + (each.widthGiven() ? "± " + figures.plain(each.uncertainty()) + " " : "")
                                        + each.kind().unit(),
                                shelf.struck(each)))
                        .toList());
        return page("own", actor, model);
    }

    @GetMapping("/shelf/new/instrument")
    String blankInstrument(Optional<Actor> actor, Model model) {
        return form(
                "new-instrument",
                new ShelfForm(Map.of("resolution", "", "kind", InstrumentKind.THERMOMETER.key()), figures(actor)),
                actor,
                model);
    }

    @GetMapping("/shelf/new")
    String blank(Optional<Actor> actor, Model model) {
        return form("new", new ShelfForm(Map.of(), figures(actor)), actor, model);
    }

    @PostMapping("/shelf/vessels")
    String addVessel(
            @RequestParam Map<String, String> typed, Optional<Actor> actor, HttpServletResponse response, Model model) {
        ShelfForm form = new ShelfForm(typed, figures(actor));
        Optional<VesselKind> kind = form.vesselKind();
        if (!form.checksVessel() || kind.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form("new", form, actor, model);
        }
        Answer<List<Vessel>> added = keeping.vessels(form.vessels(), kind.get());
        if (added.refusal().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            form.refused("vessel", ErrorMessages.of(added.refusal().get()));
            return form("new", form, actor, model);
        }
        List<Vessel> vessels = added.orThrow();
        return vessels.size() == 1 ? "redirect:/shelf/vessels/" + vessels.get(0).id() : "redirect:/shelf";
    }

    @PostMapping("/shelf/instruments")
    String addInstrument(
            @RequestParam Map<String, String> typed, Optional<Actor> actor, HttpServletResponse response, Model model) {
        ShelfForm form = new ShelfForm(typed, figures(actor));
        Optional<Instrument> instrument = form.instrument();
        if (instrument.isEmpty()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            return form("new-instrument", form, actor, model);
        }
        Answer<Instrument> added = keeping.instrument(instrument.get(), typed.containsKey("sure"));
        if (added.question().isPresent()) {
            response.setStatus(HttpStatus.UNPROCESSABLE_CONTENT.value());
            form.refused("name", added.question().get());
            model.addAttribute("doubled", true);
            return form("new-instrument", form, actor, model);
        }
        return "redirect:/shelf/instruments/" + added.orThrow().key();
    }

    @PostMapping("/shelf/calibrations/{id}")
    String decide(
            @PathVariable UUID id,
            @RequestParam String outcome,
            @RequestParam(defaultValue = "") String reason,
            Actor actor) {
        Calibration calibration = calorimeters
                .calibration(id)
                .orElseThrow(() -> new NotFound("There is no calibration at that address."));
        keeping.decide(calibration, outcome, reason, actor).orThrow();
        return "redirect:/shelf/vessels/" + calibration.vesselId();
    }

    private Figures figures(Optional<Actor> actor) {
        return actor.flatMap(Actor::seat)
                .map(Bench::period)
                .map(Period::figures)
                .orElse(Figures.POINT);
    }

    private String form(String which, ShelfForm form, Optional<Actor> actor, Model model) {
        model.addAttribute("form", form);
        model.addAttribute("vesselKinds", Experiments.vessels());
        model.addAttribute("instrumentKinds", Experiments.instruments());
        return page(which, actor, model);
    }

    private String page(String taken, Optional<Actor> actor, Model model) {
        model.addAttribute("taken", taken);
        model.addAttribute("figures", figures(actor));
        Shelf shelf = shelves.now();
        model.addAttribute("vessels", shelf.vesselsOffered());
        model.addAttribute("instruments", shelf.instrumentsOffered());
        model.addAttribute(
                "retiredVessels",
                shelf.vessels().stream()
                        .filter(each -> shelf.retired(each.id()).isPresent())
                        .toList());
        model.addAttribute(
                "retiredInstruments",
                shelf.instruments().stream()
                        .filter(each ->
                                shelf.retired(UUID.fromString(each.key())).isPresent())
                        .toList());
        model.addAttribute("substances", handbook().all());
        return "shelf";
    }
}
