package lab.sassafras.verdict;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;

/**
 * The judgement of a result.
 *
 * @param findings   plausibility in words
 * @param candidates what it may be, most compatible first
 * @param agreement  with a reference value, where one is told
 */
public record Verdict(List<Finding> findings, List<Candidate> candidates, Optional<Agreement> agreement) {

    static Verdict of(Sheet sheet, int trial, Estimate result, Interval interval, List<Solution> trials) {
        Yardstick yardstick = sheet.experiment().yardstick();
        if (yardstick instanceof Yardstick.OfVessel) {
            return new Verdict(VesselPlausibility.of(sheet, result, trials), List.of(), Optional.empty());
        }
        if (yardstick instanceof Yardstick.OfSolids solids) {
            return new SolidVerdict(sheet, trial, solids, result, interval, trials.get(0)).verdict();
        }
        if (yardstick instanceof Yardstick.OfProperty property) {
            return PropertyVerdict.of(property, sheet, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfDissolving dissolving) {
            return HeatVerdict.of(dissolving, sheet, result, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfReaction reaction) {
            return HeatVerdict.of(reaction, sheet, result, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfCombustion combustion) {
            return HeatVerdict.of(combustion, sheet, result, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.InBomb bomb) {
            return HeatVerdict.of(bomb, sheet, result, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfCycle cycle) {
            return HeatVerdict.of(cycle, sheet, result, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfTold told) {
            return PropertyVerdict.of(told, interval, trials.get(0));
        }
        if (yardstick instanceof Yardstick.OfLiquids liquids) {
            return PropertyVerdict.of(liquids, sheet, interval, trials.get(0));
        }
        return new Verdict(List.of(), List.of(), Optional.empty());
    }
}
