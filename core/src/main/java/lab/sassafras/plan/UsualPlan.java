package lab.sassafras.plan;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;

/** What an experiment is usually done with: as it is foreseen, or as it is played at the simulated bench. */
final class UsualPlan {

    /** A slot’s number in a plan is no further from what one weighs out than this (a part of it; no source). */
    private static final double ROUND = 0.05;
    /** The usual run of each experiment, which is always the same. */
    private static final Map<Experiment, Bench.Played> USUAL = new ConcurrentHashMap<>();

    private UsualPlan() {}

    static Plan of(Experiment experiment, Setting setting, Map<InstrumentKind, Instrument> reads) {
        if (!Plan.possible(experiment)) {
            throw new Refused("“" + experiment.words().title() + "” has nothing that could be expected.");
        }
        if (experiment.foresight().isPresent()) {
            return new Plan(experiment, setting, foreseen(experiment, setting), reads, Map.of(), Lab.USUAL);
        }
        Bench.Played played = USUAL.computeIfAbsent(experiment, UsualPlan::played);
        Map<String, Plan.Had> had = new LinkedHashMap<>();
        Map<String, Double> gross = new LinkedHashMap<>();
        for (Bench.Written each : played.written()) {
            switch (each.way()) {
                case GROSS -> gross.put(each.path(), Double.parseDouble(each.text()));
                case TARE ->
                    had.put(
                            each.path(),
                            new Plan.Had(
                                    Role.READ,
                                    Round.about(
                                            gross.getOrDefault(each.path(), 0.0) - Double.parseDouble(each.text()),
                                            ROUND),
                                    each.unit(),
                                    ""));
                case STATED -> had.put(each.path(), new Plan.Had(Role.STATED, each.text(), "", ""));
                case ASSUMED ->
                    had.put(each.path(), new Plan.Had(Role.ASSUMED, each.text(), each.unit(), each.uncertainty()));
                case VOLUME -> had.put(each.path(), new Plan.Had(Role.VOLUME, rounded(each), each.unit(), ""));
                case READ -> had.put(each.path(), new Plan.Had(Role.READ, rounded(each), each.unit(), ""));
            }
        }
        experiment.span().ifPresent(span -> had.remove(span.end()));
        experiment.sampleName().ifPresent(had::remove);
        played.known()
                .ifPresent(what -> named(experiment, setting, had)
                        .forEach(path -> had.put(path, new Plan.Had(Role.STATED, what, "", ""))));
        return new Plan(experiment, setting, had, reads, Map.of(), Lab.USUAL);
    }

    private static Map<String, Plan.Had> foreseen(Experiment experiment, Setting setting) {
        Map<String, Plan.Had> had = new LinkedHashMap<>();
        experiment
                .foresight()
                .orElseThrow()
                .usual(Plan.repeats(experiment)
                        .map(group -> setting.parts().getOrDefault(group, 1))
                        .orElse(1))
                .forEach(each -> had.put(each.path(), new Plan.Had(each.role(), each.text(), each.unit(), "")));
        return had;
    }

    private static Bench.Played played(Experiment experiment) {
        return Bench.usual(1, experiment.takes().get(0).typical())
                .atOnce(experiment.scene().orElseThrow());
    }

    /** Where it is said which substance of the shelf it is, and the usual run does not. */
    private static List<String> named(Experiment experiment, Setting setting, Map<String, Plan.Had> had) {
        return experiment.procedure().stream()
                .filter(step -> step.offer() == Step.Offer.ASKED && !had.containsKey(step.path()))
                .map(Step::path)
                .filter(path -> experiment
                        .slot(path)
                        .filter(slot -> slot.field() == Slot.Field.PICK
                                && slot.elsewhere().isEmpty()
                                && !slot.options(experiment.words(), path, setting)
                                        .isEmpty())
                        .isPresent())
                .toList();
    }

    /** As one weighs it out, pours it, or sets it. */
    private static String rounded(Bench.Written each) {
        boolean amount = BenchUnit.of(each.unit())
                .filter(unit -> unit.dimension().equals(Dimension.MASS)
                        || unit.dimension().equals(Dimension.VOLUME)
                        || unit.dimension().equals(Dimension.TEMPERATURE))
                .isPresent();
        return !amount ? each.text() : Round.about(Double.parseDouble(each.text()), ROUND);
    }
}
