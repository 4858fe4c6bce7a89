package lab.sassafras.app.exchange;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lab.sassafras.account.TrialMean;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Intake;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Setting;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.verdict.Reduction;

/** Plays a run file through the same door every value comes in by, in the order it was given. */
final class RunReplay {

    private RunReplay() {
    }

    /** The sheet the file amounts to. @throws Refused naming the observation that cannot stand */
    static Sheet sheet(RunFile run) {
        Map<String, Line> standing = new LinkedHashMap<>();
        Set<String> met = new java.util.HashSet<>();
        for (RunFile.ObservationPart each : run.observations()) {
            try {
                if (!met.add(each.id())) {
                    throw new Refused("the id “" + each.id() + "” stands twice.");
                }
                each.supersedes().ifPresent(struck -> strike(standing, struck, each));
                if (!each.text().isEmpty()) {
                    standing.put(each.id(), accept(run, standing, each));
                } else if (each.supersedes().isEmpty()) {
                    throw new Refused("an empty text only strikes another out, and this one names none.");
                }
            } catch (Refused refused) {
                throw new Refused(each.path() + ": " + refused.getMessage());
            }
        }
        return sheet(run, standing);
    }

    private static void strike(Map<String, Line> standing, String struck, RunFile.ObservationPart by) {
        if (standing.remove(struck) == null) {
            throw new Refused("it strikes out “" + struck + "”, which does not stand at that point.");
        }
        if (by.reason().filter(reason -> !reason.isBlank()).isEmpty()) {
            throw new Refused("striking out needs a reason.");
        }
    }

    private static Line accept(RunFile run, Map<String, Line> standing, RunFile.ObservationPart each) {
        return new Intake(sheet(run, standing)).accept(Address.read(each.at()), each.role(), new Intake.Given(each.text(),
                each.unit().orElse(null), each.instrument().map(run.instruments()::get), each.uncertainty().orElse(null),
                each.who()));
    }

    private static Sheet sheet(RunFile run, Map<String, Line> standing) {
        return new Sheet(run.experiment(), List.copyOf(standing.values()), setting(run));
    }

    private static Setting setting(RunFile run) {
        Map<Integer, String> last = new LinkedHashMap<>();
        run.decisions().forEach(decision -> last.put(decision.trial(), decision.outcome()));
        Set<Integer> leftOut = last.entrySet().stream().filter(each -> each.getValue().equals("out"))
                .map(Map.Entry::getKey).collect(Collectors.toSet());
        Map<String, Setting.Referenced> references = new LinkedHashMap<>();
        run.references().forEach((name, other) -> references.put(name, referenced(other)));
        return new Setting(run.calorimeter(), run.calorimeters(), run.trials(), run.parts(), leftOut, references,
                new Figures(run.period().mark()), conventions(run));
    }

    private static Setting.Referenced referenced(RunFile other) {
        Optional<Estimate> result = reduction(other).mean().map(TrialMean::estimate);
        return new Setting.Referenced(other.experiment().words().title() + ", bench " + other.bench(), result.map(Estimate::asInput));
    }

    /** The file worked out. */
    static Reduction reduction(RunFile run) {
        return Reduction.of(sheet(run), conventions(run));
    }

    private static Conventions conventions(RunFile run) {
        return Conventions.of(run.conventions()).over(Conventions.of(run.period().conventions()));
    }
}
