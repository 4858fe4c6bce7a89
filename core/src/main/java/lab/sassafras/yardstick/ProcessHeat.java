package lab.sassafras.yardstick;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.Dimension;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Reference;

/** The heat of a process being given its reference, which holds at one dilution and temperature, and either sign. */
final class ProcessHeat {

    private final Judged judged;
    private final AtBench bench;
    private final List<Finding> findings = new ArrayList<>();

    ProcessHeat(Judged judged) {
        this.judged = judged;
        this.bench = new AtBench(judged.sheet(), judged.solved(), findings);
    }

    /** Says which way the heat went. */
    ProcessHeat signed(String what, String change) {
        note(
                "process.sign",
                judged.result().value() > 0
                        ? what + " absorbed heat from the water: it is endothermic, and " + change + " is positive."
                        : what + " released heat to the water: it is exothermic, and " + change + " is negative.");
        return this;
    }

    void note(String code, String words) {
        findings.add(Finding.note(code, words));
    }

    void says(Finding finding) {
        findings.add(finding);
    }

    AtBench bench() {
        return bench;
    }

    /** Whether the result is the heat itself, of which no reference speaks. */
    boolean perNothing() {
        return judged.unit().dimension().equals(Dimension.ENERGY);
    }

    /** What a kJ/mol is in the unit of the result. */
    double size(ChemicalFormula of) {
        return judged.unit().dimension().equals(Dimension.PROCESS_ENERGY) ? 1000 / of.molarMass() : 1;
    }

    Reference scaled(Reference reference, double size) {
        return new Reference(
                reference.key(),
                reference.name(),
                reference.value() * size,
                reference.uncertainty() * Math.abs(size),
                judged.unit(),
                reference.source(),
                reference.opened());
    }

    Parts beside(Optional<Reference> reference) {
        return beside(reference, Parts.Compared.BY_SIGN_AND_SIZE);
    }

    Parts beside(Optional<Reference> reference, Parts.Compared compared) {
        return Parts.beside(findings, reference, compared);
    }
}
