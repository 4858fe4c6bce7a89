package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Reference;

/** Judges a result that has one reference value. */
final class PropertyVerdict {

    /** Relative distance from the reference from which a result is questioned whatever its uncertainty. */
    static final double FAR = 0.25;

    private PropertyVerdict() {}

    static Verdict of(Yardstick.OfProperty yardstick, Sheet sheet, Estimate result) {
        return against(Optional.of(sheet.setting().shelf().property(yardstick.property())), result);
    }

    static Verdict of(Yardstick.OfLiquids yardstick, Sheet sheet, Estimate result) {
        return against(
                sheet.stated(yardstick.known(), 1)
                        .flatMap(sheet.setting().shelf()::find)
                        .map(each -> each.specificHeatOnRecord()),
                result);
    }

    private static Verdict against(Optional<Reference> reference, Estimate result) {
        List<Finding> findings = new ArrayList<>();
        if (result.value() <= 0) {
            findings.add(Finding.question(
                    "result.negative",
                    "The result cannot be zero or negative. Usually two temperatures were "
                            + "exchanged, or the sign of a difference was dropped."));
        }
        Optional<Agreement> agreement = reference.map(each -> Agreement.of(result, each));
        agreement
                .filter(each -> result.value() > 0 && Math.abs(each.percentError()) > 100 * FAR)
                .ifPresent(each -> findings.add(far(each)));
        return new Verdict(findings, List.of(), agreement);
    }

    static Finding far(Agreement agreement) {
        return Finding.question(
                "result.far-from-reference",
                "The result lies " + Figures.POINT.significant(Math.abs(agreement.percentError()), 2)
                        + " % from the reference value. Look at the masses first, then at the "
                        + "temperatures.");
    }
}
