package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.substance.Reference;

/** Judges a result that has one reference value. */
final class PropertyVerdict {

    private PropertyVerdict() {}

    static Verdict of(Yardstick.OfProperty yardstick, Sheet sheet, Interval result, Solution trial) {
        return against(
                Optional.of(sheet.setting().shelf().property(yardstick.property())),
                result,
                new ReadingToLookAt(sheet, trial));
    }

    static Verdict of(Yardstick.OfLiquids yardstick, Sheet sheet, Interval result, Solution trial) {
        return against(
                sheet.stated(yardstick.known(), 1)
                        .flatMap(sheet.setting().shelf()::find)
                        .map(each -> each.specificHeatOnRecord()),
                result,
                new ReadingToLookAt(sheet, trial));
    }

    /** Against what was made from tabulated values typed beside the readings, which may have either sign. */
    static Verdict of(Yardstick.OfTold yardstick, Interval result, Solution trial) {
        return new Verdict(
                List.of(),
                List.of(),
                trial.derived().stream()
                        .filter(each -> each.derived().symbol().text().equals(yardstick.symbol()))
                        .findFirst()
                        .map(each -> Agreement.of(
                                result,
                                new Reference(
                                        yardstick.symbol(),
                                        each.derived().label(),
                                        each.estimate().value(),
                                        each.estimate().uncertainty(),
                                        each.derived().unit(),
                                        "tables typed beside it",
                                        true))));
    }

    private static Verdict against(Optional<Reference> reference, Interval result, ReadingToLookAt lookAt) {
        List<Finding> findings = new ArrayList<>();
        if (result.value() <= 0) {
            findings.add(Finding.question(
                    "result.negative",
                    "The result cannot be zero or negative. Usually two temperatures were "
                            + "exchanged, or the sign of a difference was dropped."));
        }
        Optional<Agreement> agreement = reference.map(each -> Agreement.of(result, each));
        agreement.filter(each -> result.value() > 0 && each.gross()).ifPresent(each -> findings.add(far(each, lookAt)));
        return new Verdict(findings, List.of(), agreement);
    }

    static Finding far(Agreement agreement, ReadingToLookAt lookAt) {
        return Finding.question(
                "result.far-from-reference",
                "The result lies " + lookAt.figures().significant(Math.abs(agreement.percentError()), 2)
                        + " % from the reference value, " + lookAt.figures().significant(agreement.times(), 2)
                        + " times what the uncertainties allow. " + lookAt.words());
    }
}
