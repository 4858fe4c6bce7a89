package lab.sassafras.yardstick;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Combustion;
import lab.sassafras.substance.Reference;

/**
 * The tabulated heat of combustion of the fuel in a slot. Under a can a part of the heat is enough to be usual: it is
 * said what part, and where the rest goes.
 *
 * @param formula path of the formula of the fuel
 * @param water   path of the answer whether the water formed is liquid or gas; liquid where it lacks
 * @param lost    suspects by which a part of the heat was lost
 */
public record TabulatedCombustion(String formula, String water, Losses lost) implements Yardstick {

    /** More than this of the tabulated heat (%) is no uncertainty any more. */
    private static final double MOST_UNDER_A_CAN = 103;

    /** Under a can a third to a half of the tabulated heat is what is usual. */
    /** Of a flame under a bare can a third to a half arrives, anything between alike (common practice, no source). */
    private static final Measured REACHES = Measured.independent(5 / 12.0, 1 / 12.0 / Math.sqrt(3));

    @Override
    public Measured usualPart() {
        return REACHES;
    }

    @Override
    public boolean expected() {
        return false;
    }

    @Override
    public Optional<Losses> losses() {
        return Optional.of(lost);
    }

    @Override
    public Optional<ChemicalEquation> equation(Sheet sheet) {
        return sheet.stated(formula, 1)
                .map(ChemicalFormula::read)
                .flatMap(fuel -> Combustion.atBench(fuel, toVapour(sheet) ? "g" : "l"));
    }

    private boolean toVapour(Sheet sheet) {
        return sheet.stated(water, 1).filter("gas"::equals).isPresent();
    }

    @Override
    public Parts parts(Judged judged) {
        ProcessHeat heat = new ProcessHeat(judged).signed("The burning", "ΔH");
        Optional<Reference> tabulated =
                judged.formula(formula).flatMap(fuel -> judged.shelf().combustion(fuel, toVapour(judged.sheet())));
        if (tabulated.isEmpty()) {
            heat.note(
                    "combustion.no-reference",
                    "The shelf has no enthalpy of combustion for this fuel to compare with.");
            return heat.beside(tabulated);
        }
        double part = judged.solved().derived().stream()
                .filter(each -> each.derived().unit().equals(BenchUnit.PERCENT))
                .mapToDouble(each -> each.estimate().value())
                .findFirst()
                .orElse(100 * judged.result().value() / tabulated.get().value());
        part(part, judged.figures().significant(part, 2)).ifPresent(heat::says);
        return heat.beside(tabulated, Parts.Compared.QUIETLY);
    }

    private static Optional<Finding> part(double part, String written) {
        String words = written + " % of the tabulated heat reached water and can. ";
        if (part > MOST_UNDER_A_CAN) {
            return Optional.of(Finding.question(
                    "combustion.too-much",
                    words + "More than all of it cannot: was the burner weighed with its cap both times, and dry?"));
        }
        return part > 0
                ? Optional.of(
                        Finding.note(
                                "combustion.part",
                                words
                                        + "A third to a half is usual for a bare can: the rest warmed air and stand, or was never "
                                        + "released because of soot, water in the fuel, or fuel that evaporated without burning."))
                : Optional.empty();
    }
}
