package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/** Judges the heat of a process, which has either sign and a reference that holds at one dilution and temperature. */
final class HeatVerdict {

    /**
     * Change of the heat of neutralization of strong acid and base with temperature (kJ/(mol·°C)); −57 at 20 °C
     * against −55.84
     * at 25 °C in common practice. */
    private static final double NEUTRALIZATION_BY_DEGREE = 0.22;

    private static final double REFERENCE_TEMPERATURE = 25;

    private final ReferenceShelf shelf;
    private final Sheet sheet;
    private final Estimate result;
    private final Solution trial;
    private final List<Finding> findings = new ArrayList<>();

    private HeatVerdict(Sheet sheet, Estimate result, Solution trial) {
        this.sheet = sheet;
        this.shelf = sheet.setting().shelf();
        this.result = result;
        this.trial = trial;
    }

    static Verdict of(Yardstick.OfDissolving yardstick, Sheet sheet, Estimate result, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, trial);
        verdict.sign("Dissolving");
        return verdict.dissolving(yardstick);
    }

    static Verdict of(Yardstick.OfReaction yardstick, Sheet sheet, Estimate result, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, trial);
        verdict.sign("The reaction");
        return verdict.reaction(yardstick);
    }

    private void sign(String what) {
        findings.add(Finding.note(
                "process.sign",
                result.value() > 0
                        ? what + " took heat up from the water: it is endothermic, and ΔH is positive."
                        : what + " gave heat off to the water: it is exothermic, and ΔH is negative."));
    }

    private BenchUnit unit() {
        return trial.result().unit();
    }

    private Verdict dissolving(Yardstick.OfDissolving yardstick) {
        Optional<ChemicalFormula> formula = sheet.stated(yardstick.formula(), 1).map(ChemicalFormula::read);
        if (unit().dimension() == Dimension.ENERGY) {
            return verdict(Optional.empty());
        }
        double waters = trial.derived().stream()
                .filter(each -> each.derived().unit() == BenchUnit.NUMBER)
                .mapToDouble(each -> each.estimate().value())
                .findFirst()
                .orElse(Double.MAX_VALUE);
        Optional<Dissolution> row = formula.flatMap(each -> shelf.heatOfSolution(each, waters));
        row.ifPresentOrElse(
                each -> findings.add(dilution(each, waters)),
                () -> findings.add(Finding.note(
                        "dissolving.no-reference",
                        "The shelf has no heat of solution for exactly this formula. A hydrate is another "
                                + "thing than the salt without its water.")));
        return verdict(row.map(each -> perGram(each.reference(), each.formula())));
    }

    private Finding dilution(Dissolution row, double waters) {
        return Finding.note(
                "dissolving.dilution",
                "The reference holds at " + row.dilution()
                        + (waters < 1e6
                                ? "; here there were about "
                                        + sheet.setting().figures().significant(waters, 2)
                                        + " mol of water to each mole."
                                : "."));
    }

    private Reference perGram(Reference reference, ChemicalFormula formula) {
        double size = unit().dimension() == Dimension.PROCESS_ENERGY ? 1000 / formula.molarMass() : 1;
        return scaled(reference, size);
    }

    private Reference scaled(Reference reference, double size) {
        return new Reference(
                reference.key(),
                reference.name(),
                reference.value() * size,
                reference.uncertainty() * Math.abs(size),
                unit(),
                reference.source(),
                reference.opened());
    }

    private Verdict reaction(Yardstick.OfReaction yardstick) {
        ChemicalEquation equation =
                ChemicalEquation.read(sheet.stated(yardstick.equation(), 1).orElseThrow());
        boolean strong = yardstick
                .strength()
                .flatMap(path -> sheet.stated(path, 1))
                .filter("strong"::equals)
                .isPresent();
        Optional<Reference> reference = strong
                ? Optional.of(strongNeutralization())
                : shelf.formation().heat(equation).map(heat -> scaled(heat, 1 / runs(equation, yardstick)));
        if (reference.isEmpty()) {
            findings.add(Finding.note(
                    "reaction.no-reference",
                    "The shelf has no formation enthalpy for "
                            + String.join(", ", shelf.formation().lacking(equation))
                            + ", so there is nothing to compare with."));
        }
        if (yardstick.strength().isPresent() && !strong) {
            findings.add(Finding.note(
                    "neutralization.weak",
                    "A weak acid or base differs from −55.8 kJ/mol by its own ionization, either "
                            + "way: ammonia and acetic acid give less, hydrofluoric acid more."));
        }
        return verdict(reference);
    }

    /** The value at the temperature the mixture came to. */
    private Reference strongNeutralization() {
        double temperature = trial.postings().stream()
                .flatMap(entry -> entry.to().stream())
                .findFirst()
                .orElse(REFERENCE_TEMPERATURE);
        Reference at25 = shelf.property("neutralization-strong");
        return new Reference(
                at25.key(),
                "strong acid with strong base at " + sheet.setting().figures().fixed(temperature, 0) + " °C",
                at25.value() + NEUTRALIZATION_BY_DEGREE * (temperature - REFERENCE_TEMPERATURE),
                0.3,
                at25.unit(),
                at25.source(),
                at25.opened());
    }

    /** How many moles of what the result is per belong to the equation as written. */
    private double runs(ChemicalEquation equation, Yardstick.OfReaction yardstick) {
        Optional<Double> asWritten = trial.derived().stream()
                .filter(each -> each.derived().unit() == BenchUnit.KILOJOULES_PER_MOLE)
                .map(each -> each.estimate().value() / trial.estimate().value())
                .findFirst();
        return asWritten.orElseGet(() -> yardstick
                .perMole()
                .map(ChemicalFormula::read)
                .map(formula -> (double) equation.formed(formula))
                .filter(n -> n > 0)
                .orElse(1.0));
    }

    private Verdict verdict(Optional<Reference> reference) {
        Optional<Agreement> agreement = reference.map(each -> Agreement.of(result, each));
        agreement.ifPresent(each -> {
            if (each.reference().value() * result.value() < 0) {
                findings.add(Finding.question(
                        "process.wrong-sign",
                        "The reference has the other sign. Was a hydrate weighed for the salt "
                                + "without water, were the two temperatures exchanged, or is the equation backwards?"));
            } else if (Math.abs(each.percentError()) > 100 * PropertyVerdict.FAR) {
                findings.add(PropertyVerdict.far(each));
            }
        });
        return new Verdict(findings, List.of(), agreement);
    }
}
