package lab.sassafras.yardstick;

import java.util.Optional;
import lab.sassafras.expression.Constants;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Combustion;
import lab.sassafras.substance.Reference;

/**
 * The tabulated heat of combustion of the sample in a slot, carried to constant volume: in a bomb all of the heat is
 * caught, ΔU = ΔH less Δn(gas) R T.
 *
 * @param formula path of the formula of the sample
 * @param state   path of the answer whether it is solid or liquid
 */
public record TabulatedInBomb(String formula, String state) implements Yardstick {

    @Override
    public Optional<ChemicalEquation> equation(Sheet sheet) {
        return sheet.stated(formula, 1)
                .map(ChemicalFormula::read)
                .flatMap(sample ->
                        Combustion.inBomb(sample, sheet.stated(state, 1).orElse("solid")));
    }

    @Override
    public Parts parts(Judged judged) {
        ProcessHeat heat = new ProcessHeat(judged).signed("The burning", "ΔU");
        if (heat.perNothing()) {
            return heat.beside(Optional.empty());
        }
        Optional<Reference> reference = judged.formula(formula)
                .flatMap(sample -> equation(judged.sheet())
                        .flatMap(equation -> judged.shelf()
                                .combustion(sample)
                                .map(row -> heat.scaled(atConstantVolume(row, equation), heat.size(sample)))));
        if (reference.isEmpty()) {
            heat.note(
                    "combustion.no-reference",
                    "The shelf has no enthalpy of combustion for this sample to compare with.");
        }
        return heat.beside(reference);
    }

    private static Reference atConstantVolume(Reference row, ChemicalEquation equation) {
        double gas = (double) equation.gasFormed() / equation.reagents().get(0).count();
        double work = gas * Constants.GAS.value() * Constants.AT_25.value() / 1000;
        return new Reference(
                row.key(),
                row.name().replaceFirst("^(heat|enthalpy) of combustion", "energy of combustion, at constant volume,"),
                row.value() - work,
                row.uncertainty(),
                row.unit(),
                row.source(),
                row.opened());
    }
}
