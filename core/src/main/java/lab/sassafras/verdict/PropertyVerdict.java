package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/** Judges a result that has one reference value. */
final class PropertyVerdict {

    /** Relative distance from the reference from which a result is questioned whatever its uncertainty. */
    private static final double FAR = 0.25;

    private PropertyVerdict() {
    }

    static Verdict of(Yardstick.OfProperty yardstick, Estimate result) {
        return against(Optional.of(ReferenceShelf.standard().property(yardstick.property())), result);
    }

    static Verdict of(Yardstick.OfLiquids yardstick, Sheet sheet, Estimate result) {
        return against(stated(sheet, yardstick.known()).flatMap(ReferenceShelf.standard()::find).map(each -> each.specificHeatOnRecord()), result);
    }

    /** Heats of solution have either sign, and the shelf's are at infinite dilution: both are said. */
    static Verdict of(Yardstick.OfDissolving yardstick, Sheet sheet, Estimate result) {
        Optional<Agreement> agreement = stated(sheet, yardstick.formula())
                .flatMap(ReferenceShelf.standard()::heatOfSolution).map(each -> Agreement.of(result, each));
        List<Finding> findings = new ArrayList<>();
        findings.add(Finding.note("dissolving.sign", result.value() > 0
                ? "Dissolving took heat up from the water: it is endothermic, and ΔH is positive."
                : "Dissolving gave heat off to the water: it is exothermic, and ΔH is negative."));
        agreement.ifPresentOrElse(each -> {
            if (each.reference().value() * result.value() < 0) {
                findings.add(Finding.question("dissolving.wrong-sign", "The reference has the other sign. Was a hydrate weighed for the "
                        + "salt without water, or were the two temperatures exchanged?"));
            } else if (Math.abs(each.percentError()) > 100 * FAR) {
                findings.add(far(each));
            }
        }, () -> findings.add(Finding.note("dissolving.no-reference", "The shelf has no heat of solution for exactly this formula. A "
                + "hydrate is another thing than the salt without its water.")));
        return new Verdict(findings, List.of(), agreement);
    }

    private static Optional<String> stated(Sheet sheet, String path) {
        int slash = path.indexOf('/');
        return sheet.stated(new Address(path.substring(0, slash), 1, path.substring(slash + 1)));
    }

    private static Verdict against(Optional<Reference> reference, Estimate result) {
        List<Finding> findings = new ArrayList<>();
        if (result.value() <= 0) {
            findings.add(Finding.question("result.negative", "The result cannot be zero or negative. Usually two temperatures were "
                    + "exchanged, or the sign of a difference was dropped."));
        }
        Optional<Agreement> agreement = reference.map(each -> Agreement.of(result, each));
        agreement.filter(each -> result.value() > 0 && Math.abs(each.percentError()) > 100 * FAR).ifPresent(each -> findings.add(far(each)));
        return new Verdict(findings, List.of(), agreement);
    }

    private static Finding far(Agreement agreement) {
        return Finding.question("result.far-from-reference", "The result lies " + Figures.POINT.significant(
                Math.abs(agreement.percentError()), 2) + " % from the reference value. Look at the masses first, then at the "
                + "temperatures.");
    }
}
