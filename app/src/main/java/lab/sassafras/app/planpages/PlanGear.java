package lab.sassafras.app.planpages;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.VesselKind;

/** What a plan is done in and read on: chosen off the shelf, or as one usually has it where nothing was. */
final class PlanGear {

    /** Before the kind of a vessel or an instrument that is on no shelf. */
    static final String ANY = "kind:";

    private final Experiment experiment;
    private final Shelf shelf;
    private final Map<String, String> typed;
    private final Map<String, String> wrong;

    /**
     * @param wrong what is wrong by field, which is added to
     */
    PlanGear(Experiment experiment, Shelf shelf, Map<String, String> typed, Map<String, String> wrong) {
        this.experiment = experiment;
        this.shelf = shelf;
        this.typed = typed;
        this.wrong = wrong;
    }

    Calorimeter vessel() {
        String chosen = typed.getOrDefault("vessel", "");
        Optional<Vessel> known = Shelf.identity(chosen).flatMap(shelf::vessel);
        if (known.isEmpty() && Shelf.identity(chosen).isPresent()) {
            wrong.put("vessel", "That vessel is not on the shelf any more; a usual one stands in for it.");
        }
        Optional<Vessel> first = chosen.isEmpty()
                ? vessels().stream()
                        .filter(each -> shelf.inUse(each).isPresent())
                        .findFirst()
                        .or(() -> vessels().stream().findFirst())
                : known;
        return first.map(this::calorimeter)
                .orElseGet(() -> usual(
                        chosen.startsWith(ANY)
                                ? Experiments.vessel(chosen.substring(ANY.length()))
                                : Optional.empty()));
    }

    private List<Vessel> vessels() {
        return shelf.vesselsOffered().stream()
                .filter(each -> experiment.takes().contains(each.kind()))
                .toList();
    }

    private Calorimeter calorimeter(Vessel vessel) {
        Optional<Calorimeter.Pinned> constant = shelf.inUse(vessel).map(Calibration::pinned);
        return constant.isPresent()
                ? new Calorimeter(vessel.name(), vessel.kind(), constant)
                : unknown(vessel.name(), vessel.kind());
    }

    private Calorimeter usual(Optional<VesselKind> kind) {
        VesselKind of = kind.filter(experiment.takes()::contains)
                .orElse(experiment.takes().get(0));
        return unknown("any " + of.words(), of);
    }

    /** One whose constant nobody found: a middling one, as far off as such may be. */
    private Calorimeter unknown(String name, VesselKind kind) {
        return experiment.calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? new Calorimeter(name, kind, Optional.empty())
                : new Calorimeter(
                        name,
                        kind,
                        Optional.of(new Calorimeter.Pinned(
                                "usual",
                                Measured.independent(kind.typical(), (kind.largest() - kind.typical()) / 2),
                                0,
                                "what " + kind.one() + " usually has")));
    }

    List<Instrument> instruments(InstrumentKind kind) {
        return shelf.instrumentsOffered().stream()
                .filter(each -> each.kind().equals(kind))
                .toList();
    }

    Instrument instrument(InstrumentKind kind) {
        List<Instrument> all = instruments(kind);
        String chosen = typed.getOrDefault(kind.key(), "");
        Optional<Instrument> found =
                all.stream().filter(each -> each.key().equals(chosen)).findFirst();
        if (found.isEmpty() && !chosen.isEmpty() && !chosen.equals(ANY)) {
            wrong.put(
                    kind.key(), "That " + kind.word() + " is not on the shelf any more; a usual one stands in for it.");
        }
        return found.or(() -> chosen.isEmpty() ? all.stream().findFirst() : Optional.empty())
                .orElseGet(() -> any(kind));
    }

    /** One that is on no shelf: as one usually has beside such a vessel. */
    Instrument any(InstrumentKind kind) {
        Bench usual = Bench.usual(1, experiment.takes().get(0).typical());
        Instrument one = kind.equals(InstrumentKind.BALANCE) ? usual.balance() : usual.thermometer();
        return one.keyed(ANY).called("any " + kind.word());
    }

    /** {@return the vessels to choose of}
     *
     * @param now name of the one that is chosen
     */
    List<PlanForm.Choice> vessels(String now) {
        List<PlanForm.Choice> all = new ArrayList<>();
        vessels()
                .forEach(each -> all.add(new PlanForm.Choice(
                        each.id().toString(),
                        each.name() + ", " + each.kind().words(),
                        each.name().equals(now))));
        experiment
                .takes()
                .forEach(kind -> all.add(new PlanForm.Choice(
                        ANY + kind.key(), "any " + kind.words(), now.equals("any " + kind.words()))));
        return all;
    }
}
