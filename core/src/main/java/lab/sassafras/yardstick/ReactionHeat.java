package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/** The heat of a reaction being given its reference: from formation enthalpies, or that of strong acid and base. */
final class ReactionHeat {

    private static final ChemicalEquation NEUTRALIZING = ChemicalEquation.read("H+(aq) + OH-(aq) -> H2O(l)");
    private static final ChemicalEquation SECOND_PROTON = ChemicalEquation.read("HSO4-(aq) -> H+(aq) + SO4^2-(aq)");
    private static final List<ChemicalFormula> HALF_IONIZED = List.of(
            ChemicalFormula.read("H2SO4"),
            ChemicalFormula.read("HSO4-"),
            ChemicalFormula.read("NaHSO4"),
            ChemicalFormula.read("KHSO4"));

    /**
     * What dilution may make of a strong neutralization, where it is not known (kJ/mol). Common practice, no source.
     */
    private static final double DILUTION_UNKNOWN = 0.3;

    private final ProcessHeat heat;
    private final ReferenceShelf shelf;
    private final Figures figures;
    private final ChemicalEquation equation;
    private final Optional<String> strength;
    private final boolean strong;
    private final Optional<AtDilution> dilution;

    /** What a kJ of the equation as written is for each mole the result is per. */
    private final double size;

    ReactionHeat(Judged judged, TabulatedReaction of, ChemicalEquation equation) {
        this.heat = new ProcessHeat(judged).signed("The reaction", "ΔH");
        this.shelf = judged.shelf();
        this.figures = judged.figures();
        this.equation = equation;
        this.strength = of.strength().flatMap(path -> judged.sheet().stated(path, 1));
        this.strong = strength.filter("strong"::equals).isPresent() && equation.netWater() > 0;
        this.size = 1 / judged.solved().timesAsWritten();
        this.dilution = AtDilution.of(
                judged.sheet(),
                of.poured(),
                equation,
                shelf.dilutionHeats(),
                judged.solved().account().trial(),
                judged.solved().extent().orElse(Double.POSITIVE_INFINITY));
    }

    Parts parts() {
        Optional<Reference> infinite = strong
                ? Optional.of(strongNeutralization(dilution))
                : shelf.heat(equation).map(row -> heat.bench().carried(heat.scaled(row, size), equation, size));
        double portion = strong ? 1.0 / equation.netWater() : size;
        Optional<Reference> reference = infinite.map(
                at -> dilution.map(here -> diluted(at, here, portion)).orElse(at));
        if (reference.isEmpty()) {
            heat.note(
                    "reaction.no-reference",
                    "The shelf has no formation enthalpy for "
                            + String.join(", ", shelf.formation().lacking(equation))
                            + ", so there is nothing to compare with.");
        }
        if (strength.isPresent() && !strong) {
            heat.note("neutralization.weak", weak(reference));
        }
        int second = halfIonized(equation.reagents()) - halfIonized(equation.products());
        return second > 0 && reference.isPresent() ? halfWay(reference.get(), second * size) : heat.beside(reference);
    }

    /** A heat at infinite dilution brought to the bench's own, with a word on it. */
    private Reference diluted(Reference infinite, AtDilution here, double each) {
        double warmer = here.byDegree() * (heat.bench().temperature() - AtBench.REFERENCE_TEMPERATURE);
        double shift = (here.shift() + warmer) * each;
        heat.note(
                "reaction.dilution",
                "The reference is brought from infinite dilution to the bench’s own, before and after, about "
                        + figures.significant(here.waters(), 2) + " mol of water to each mole dissolved in the end: "
                        + figures.signed(shift, 2) + " kJ/mol.");
        return new Reference(
                infinite.key(),
                infinite.name().replace("infinite dilution", "the bench’s dilution"),
                infinite.value() + shift,
                Math.hypot(infinite.uncertainty(), here.uncertainty() * Math.abs(each)),
                infinite.unit(),
                infinite.source(),
                infinite.opened());
    }

    /** The value where the mixing began; what dilution makes of it is part of its ± where it is not known. */
    private Reference strongNeutralization(Optional<AtDilution> known) {
        Reference at25 = shelf.property("neutralization-strong");
        return heat.bench()
                .carried(
                        new Reference(
                                at25.key(),
                                "strong acid with strong base at infinite dilution",
                                at25.value(),
                                known.isPresent() ? at25.uncertainty() : DILUTION_UNKNOWN,
                                at25.unit(),
                                at25.source(),
                                at25.opened()),
                        NEUTRALIZING,
                        1);
    }

    /** What its own ionization makes of a weak partner, in the direction the shelf has it. */
    private String weak(Optional<Reference> reference) {
        if (equation.netWater() <= 0) {
            return "No water is formed here, so the heat is given for each mole of the reagent that ran out.";
        }
        if (reference.isEmpty()) {
            return figures.sentence("A weak acid or base differs from −55.8 kJ/mol by its own ionization "
                    + "enthalpy, which may have either sign; the shelf does not know this one’s.");
        }
        double own =
                reference.get().value() - strongNeutralization(Optional.empty()).value();
        String much = figures.significant(Math.abs(own), 2) + " kJ/mol";
        return own > 0
                ? "The weak partner has to be ionized first, which takes up " + much
                        + ": its neutralization gives off that much less than that of a strong one."
                : "The ionization of the weak partner itself gives off " + much
                        + ": its neutralization gives off that much more than that of a strong one.";
    }

    private static int halfIonized(List<ChemicalEquation.Term> terms) {
        return terms.stream()
                .filter(term ->
                        term.state().equals("aq") && HALF_IONIZED.stream().anyMatch(term.formula()::sameAs))
                .mapToInt(ChemicalEquation.Term::count)
                .sum();
    }

    /** At the bench a part of the second protons is off before: the value lies between none and all of them. */
    private Parts halfWay(Reference allOff, double each) {
        Optional<Double> ofSecond = shelf.formation().heat(SECOND_PROTON).map(Reference::value);
        if (ofSecond.isEmpty()) {
            heat.note(
                    "reaction.hydrogensulfate",
                    "Sulfuric acid is strong only for its first proton, and the shelf this entry was begun with does "
                            + "not know what the second gives off: there is no one reference.");
            return heat.beside(Optional.empty());
        }
        double low = allOff.value() + ofSecond.get() * each;
        return heat.beside(Optional.empty())
                .between(new Parts.Between(
                        "reaction.hydrogensulfate",
                        "Sulfuric acid is strong only for its first proton. The second gives off about "
                                + figures.significant(Math.abs(ofSecond.get()), 2)
                                + " kJ/mol as it comes off, and at the bench’s concentrations an unknown part of it is off "
                                + "beforehand. So there is no one reference: between "
                                + figures.signed(allOff.value(), 1) + " (all off) and " + figures.signed(low, 1)
                                + " kJ/mol (none off).",
                        allOff.value(),
                        low));
    }
}
