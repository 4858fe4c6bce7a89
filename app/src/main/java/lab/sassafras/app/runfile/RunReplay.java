package lab.sassafras.app.runfile;

import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Room;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.SheetEditing;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Setting;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.verdict.Reduction;

/**
 * Plays a run file through the same door every value comes in by, in the order it was given: first the runs it draws
 * on, each once, then its own observations.
 */
public final class RunReplay {

    private final Run run;
    private final SheetEditing filling;
    private final Set<String> met = new HashSet<>();
    /** What was struck out later and names something that is not in the file: told as it was, and of no result. */
    private final Set<String> gone = new HashSet<>();

    private final Set<String> struckOut;

    private RunReplay(Run run) {
        this.run = run;
        this.struckOut = run.observations().stream()
                .flatMap(each -> each.supersedes().stream())
                .collect(Collectors.toSet());
        this.filling = new SheetEditing(run.experiment(), setting(run));
    }

    /**
     * The file worked out.
     *
     * @throws Refused naming the observation that cannot stand
     */
    public static Reduction reduction(Run run) {
        TimeBudget.check();
        RunReplay replay = new RunReplay(run);
        run.observations().forEach(replay::play);
        return Reduction.of(replay.filling.sheet(), conventions(run));
    }

    private void play(Run.Observed each) {
        try {
            if (!met.add(each.id())) {
                throw new Refused("the id “" + each.id() + "” stands twice.");
            }
            each.supersedes().ifPresent(struck -> refuseUnlessStanding(struck, each));
            if (!each.text().isEmpty()) {
                takeOrLetGo(each);
            } else {
                String struck = each.supersedes()
                        .orElseThrow(
                                () -> new Refused("an empty text only strikes another out, and this one names none."));
                if (!gone.remove(struck)) {
                    filling.strike(struck);
                }
            }
        } catch (Refused refused) {
            throw new Refused(each.path() + ": " + refused.getMessage());
        }
    }

    private void refuseUnlessStanding(String struck, Run.Observed by) {
        if (!filling.stands(struck) && !gone.contains(struck)) {
            throw new Refused("it strikes out “" + struck + "”, which does not stand at that point.");
        }
        if (by.reason().filter(reason -> !reason.isBlank()).isEmpty()) {
            throw new Refused("striking out needs a reason.");
        }
    }

    /** Another run, vessel or clock that was named by mistake and taken back need not be in the file. */
    private void takeOrLetGo(Run.Observed each) {
        try {
            take(each);
        } catch (Refused unknown) {
            if (!struckOut.contains(each.id()) || !run.namesElsewhere(each)) {
                throw unknown;
            }
            each.supersedes().filter(filling::stands).ifPresent(filling::strike);
            gone.add(each.id());
        }
    }

    private void take(Run.Observed each) {
        Address address = Address.read(each.at());
        GivenValue given = new GivenValue(
                each.text(),
                each.unit().orElse(null),
                each.instrument().map(run.instruments()::get),
                each.uncertainty().orElse(null),
                each.who());
        if (each.supersedes().filter(struck -> !gone.contains(struck)).isPresent()) {
            filling.correct(each.supersedes().get(), each.id(), address, each.role(), given);
        } else {
            filling.take(each.id(), address, each.role(), given);
        }
    }

    private static Setting setting(Run run) {
        Map<Integer, String> last = new LinkedHashMap<>();
        run.decisions().forEach(decision -> last.put(decision.trial(), decision.outcome()));
        last.values().removeIf(outcome -> !outcome.equals("out"));
        Map<String, Setting.Referenced> references = new LinkedHashMap<>();
        run.references().forEach((name, other) -> references.put(name, referenced(other)));
        return new Setting(
                run.calorimeter(),
                run.calorimeters(),
                run.trials(),
                run.parts(),
                Set.copyOf(last.keySet()),
                references,
                new Figures(run.period().mark()),
                conventions(run),
                ReferenceShelf.at(run.shelf()),
                run.combination(),
                traces(run));
    }

    private static Map<String, Logged> traces(Run run) {
        Map<String, Logged> all = new LinkedHashMap<>();
        run.traces()
                .forEach((name, each) -> all.put(
                        name,
                        new Logged(
                                each.counting().size() + " readings",
                                each.counting(),
                                each.instrument().map(run.instruments()::get),
                                Room.of(each.room()),
                                each.counted().stream()
                                        .map(RunFile.AsidePart::seconds)
                                        .collect(Collectors.toSet()),
                                each.impossible(),
                                0,
                                each.unit())));
        return all;
    }

    private static Setting.Referenced referenced(Run other) {
        Reduction reduction = reduction(other);
        return new Setting.Referenced(
                other.experiment().words().title() + ", bench " + other.bench(),
                reduction.result().map(Estimate::asInput),
                reduction.unit(),
                reduction.happened().asReaction());
    }

    private static Conventions conventions(Run run) {
        return Conventions.of(run.conventions())
                .over(Conventions.of(run.period().conventions()));
    }
}
