package lab.sassafras.yardstick;

import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.DilutionHeats;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;

/**
 * The heat of solution on the shelf for the formula in a slot, at the bench's own dilution as far as the shelf can say.
 *
 * @param formula path of the formula of the solid
 */
public record TabulatedDissolving(String formula) implements Yardstick {

    /** From so many moles of water to each on, a dilution is as good as infinite. No source. */
    private static final double INFINITE = 1e6;

    @Override
    public Optional<ChemicalEquation> equation(Sheet sheet) {
        return sheet.stated(formula, 1).map(ChemicalFormula::read).map(ChemicalEquation::dissolving);
    }

    @Override
    public Parts parts(Judged judged) {
        ProcessHeat heat = new ProcessHeat(judged).signed("Dissolving", "ΔH");
        if (heat.perNothing()) {
            return heat.beside(Optional.empty());
        }
        Optional<Reference> reference = judged.formula(formula).flatMap(solid -> reference(judged, heat, solid));
        if (reference.isEmpty()) {
            heat.note(
                    "dissolving.no-reference",
                    "The shelf has no heat of solution for exactly this formula. A hydrate is another "
                            + "thing than the salt without its water.");
        }
        return heat.beside(reference);
    }

    private static Optional<Reference> reference(Judged judged, ProcessHeat heat, ChemicalFormula solid) {
        double waters = judged.solved().derived().stream()
                .filter(each -> each.derived().unit().equals(BenchUnit.NUMBER))
                .mapToDouble(each -> each.estimate().value())
                .findFirst()
                .orElse(Double.MAX_VALUE);
        ChemicalEquation equation = ChemicalEquation.dissolving(solid);
        double size = heat.size(solid);
        return diluted(judged, heat, solid, equation, waters)
                .map(at25 -> heat.bench().carried(heat.scaled(at25, size), equation, size));
    }

    private static Optional<Reference> diluted(
            Judged judged, ProcessHeat heat, ChemicalFormula solid, ChemicalEquation equation, double waters) {
        Optional<DilutionHeats.Row> dilution =
                judged.shelf().dilutionHeats().at(equation.products().get(0).formula(), waters + solid.boundWater());
        Optional<Dissolution> infinite = judged.shelf().heatOfSolution(solid, Double.MAX_VALUE);
        if (infinite.isPresent() && dilution.isPresent() && waters < INFINITE) {
            return Optional.of(brought(judged.figures(), heat, infinite.get().reference(), dilution.get(), waters));
        }
        Optional<Dissolution> nearest = judged.shelf().heatOfSolution(solid, waters);
        nearest.ifPresent(each -> heat.note("dissolving.dilution", otherDilution(judged.figures(), each, waters)));
        return nearest.map(Dissolution::reference);
    }

    private static Reference brought(
            Figures figures, ProcessHeat heat, Reference row, DilutionHeats.Row dilution, double waters) {
        String here = "about " + figures.significant(waters, 2) + " mol of water to each mole";
        heat.note(
                "dissolving.dilution",
                "The reference is brought from infinite dilution to the bench’s own, " + here + ": "
                        + figures.signed(dilution.value(), 2) + " kJ/mol.");
        return new Reference(
                row.key(),
                row.name().replace("infinite dilution", here),
                row.value() + dilution.value(),
                Math.hypot(row.uncertainty(), dilution.uncertainty()),
                row.unit(),
                row.source(),
                row.opened());
    }

    private static String otherDilution(Figures figures, Dissolution row, double waters) {
        return "The reference holds at " + row.dilution()
                + (waters < INFINITE
                        ? "; here there were about " + figures.significant(waters, 2)
                                + " mol of water to each mole, and the shelf does not know what diluting from "
                                + "there would add: often a few tenths of a kJ/mol, more for ions of two charges."
                        : ".");
    }
}
