package lab.sassafras.yardstick;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Line;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.DilutionHeats;

/**
 * What the heat of a reaction differs by at the bench's own dilution from that at infinite dilution: the relative
 * apparent enthalpies of what is dissolved in the end, the reagent in excess too, less those of what was poured. In the
 * mixture each counts at the ionic strength of all together (T. F. Young and M. B. Smith, J. Phys. Chem. 58 (1954) 716,
 * memory).
 *
 * @param shift       (kJ per mole of the equation as written)
 * @param uncertainty standard uncertainty of it
 * @param waters      moles of water to each mole dissolved in the end
 * @param byDegree    what it differs by more for each degree above 25 °C, by the limiting law of heat capacities
 *                    (kJ/(mol·°C))
 */
record AtDilution(double shift, double uncertainty, double waters, double byDegree) {

    /**
     * An apparent heat capacity of two ions of one charge each grows with the root of the molality by so much
     * (J/(mol·°C) and (mol/kg)^½): the limiting slope at 25 °C (J. E. Desnoyers and others, 1976, from memory).
     */
    private static final double LIMITING_SLOPE = 28.95;
    /** Moles in a kilogram of water. */
    private static final double IN_A_KILOGRAM = 55.51;

    /** Of a mixture of salt and acid or base, by the rule for mixtures (kJ/mol). Common practice, no source. */
    private static final double OF_MIXTURE = 0.5;
    /** Moles of water in a litre of a solution of one mole to it, about. */
    private static final double IN_A_LITRE = 55;

    private static final double MILLILITRES_IN_LITRE = 1000;
    /** Of which the limiting slope holds. */
    private static final Set<String> ONE_CHARGE = Set.of(
            "HCl", "HNO3", "NaOH", "KOH", "NaCl", "KCl", "NaNO3", "KNO3", "NH4Cl", "NH4NO3", "LiCl", "NaBr", "KBr");

    /** So many moles of something dissolved. */
    private record Dissolved(ChemicalFormula formula, double moles) {}

    /**
     * Empty where something lacks: a concentration, or the shelf's heats of dilution of one of them.
     *
     * @param most moles of the equation as written that ran, as far as what was not poured lets them
     */
    static Optional<AtDilution> of(
            Sheet sheet,
            List<TabulatedReaction.Poured> poured,
            ChemicalEquation equation,
            DilutionHeats heats,
            int trial,
            double most) {
        double litres = 0;
        double extent = most;
        double before = 0;
        double capacity = 0;
        double variance = 0;
        List<Dissolved> all = new ArrayList<>();
        for (TabulatedReaction.Poured each : poured) {
            Optional<ChemicalFormula> formula =
                    sheet.stated(each.formula(), trial).map(ChemicalFormula::read);
            Optional<Line> molar = sheet.reading(each.concentration(), trial);
            Optional<Line> amount = sheet.reading(each.amount(), trial);
            Optional<ChemicalEquation.Term> term = formula.flatMap(known -> equation.reagents().stream()
                    .filter(reagent ->
                            reagent.state().equals("aq") && reagent.formula().sameAs(known))
                    .findFirst());
            if (term.isEmpty()
                    || molar.isEmpty()
                    || amount.isEmpty()
                    || !(molar.get().value() > 0)) {
                return Optional.empty();
            }
            double moles = molar.get().value() * amount.get().value() / MILLILITRES_IN_LITRE;
            Optional<DilutionHeats.Row> row =
                    heats.at(formula.get(), IN_A_LITRE / molar.get().value());
            if (row.isEmpty()) {
                return Optional.empty();
            }
            before += moles * row.get().value();
            capacity -= moles * excess(IN_A_LITRE / molar.get().value());
            variance += Math.pow(moles * row.get().uncertainty(), 2);
            litres += amount.get().value() / MILLILITRES_IN_LITRE;
            extent = Math.min(extent, moles / term.get().count());
            all.add(new Dissolved(formula.get(), moles));
        }
        return all.isEmpty()
                ? Optional.empty()
                : after(equation, heats, all, litres, extent, before, variance, capacity);
    }

    private static Optional<AtDilution> after(
            ChemicalEquation equation,
            DilutionHeats heats,
            List<Dissolved> poured,
            double litres,
            double extent,
            double before,
            double variance,
            double capacity) {
        List<Dissolved> left = new ArrayList<>();
        for (Dissolved each : poured) {
            double used = extent
                    * equation.reagent(each.formula())
                            .map(ChemicalEquation.Term::count)
                            .orElse(0);
            if (each.moles() - used > 1e-9) {
                left.add(new Dissolved(each.formula(), each.moles() - used));
            }
        }
        for (ChemicalEquation.Term term : equation.products()) {
            if (term.state().equals("aq")) {
                left.add(new Dissolved(term.formula(), term.count() * extent));
            }
        }
        double moles = left.stream().mapToDouble(Dissolved::moles).sum();
        double waters = (IN_A_LITRE * litres + extent * equation.netWater()) / moles;
        double strength = left.stream()
                .mapToDouble(
                        each -> each.moles() * heats.strength(each.formula()).orElse(1))
                .sum();
        double after = 0;
        for (Dissolved each : left) {
            double own = heats.strength(each.formula()).orElse(1) * waters * moles / strength;
            Optional<DilutionHeats.Row> row = heats.at(each.formula(), own);
            if (row.isEmpty()) {
                return Optional.empty();
            }
            after += each.moles() * row.get().value();
            capacity += each.moles() * excess(waters);
            variance += Math.pow(each.moles() * row.get().uncertainty(), 2);
        }
        double mixed = left.size() > 1 ? OF_MIXTURE : 0;
        boolean ofOneCharge = Stream.concat(left.stream(), poured.stream())
                .allMatch(each -> ONE_CHARGE.contains(each.formula().text()));
        return Optional.of(new AtDilution(
                (after - before) / extent,
                Math.hypot(Math.sqrt(variance) / extent, mixed),
                waters,
                ofOneCharge ? capacity / extent : 0));
    }

    private static double excess(double waters) {
        return LIMITING_SLOPE / 1000 * Math.sqrt(IN_A_KILOGRAM / waters);
    }
}
