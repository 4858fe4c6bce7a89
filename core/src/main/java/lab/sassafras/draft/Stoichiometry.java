package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import lab.sassafras.account.Omission;
import lab.sassafras.account.Reagents;
import lab.sassafras.convention.Mixture;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.QuantitySlot;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Combustion;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Saturation;
import lab.sassafras.substance.SolutionTable;

/** What an experiment's books take from its formulas and equations: amounts, counts, what is left dissolved. */
public final class Stoichiometry {

    private final AccountBuilder draft;

    Stoichiometry(AccountBuilder draft) {
        this.draft = draft;
    }

    /**
     * {@return moles dissolved in a liquid: its volume times its concentration, and the same of what was poured to it
     * where it waits in the cup}
     *
     * @param liquid        path of the liquid
     * @param concentration path of its concentration
     */
    public Expression molesIn(String liquid, String concentration) {
        Expression alone = moles(liquid, concentration);
        List<Expression> all = new ArrayList<>(List.of(alone));
        if (pouredTogether(liquid)) {
            CommonPlaces.POURED_TO_IT.stream()
                    .filter(key -> draft.given(key + "/amount") && draft.given(key + "/concentration"))
                    .forEach(key -> all.add(moles(key + "/amount", key + "/concentration")));
        }
        if (!pouredTogether(liquid)) {
            return alone;
        }
        Expression whole = all.size() == 1 ? alone : new Expression.Sum(all);
        List<Expression> volumes = new ArrayList<>(List.of(draft.liquids().volume(liquid)));
        CommonPlaces.POURED_TO_IT.stream()
                .filter(key -> draft.given(key + "/amount"))
                .forEach(key -> volumes.add(draft.liquids().volume(key + "/amount")));
        draft.says(new PouredTogether(new Expression.Sum(volumes), whole, draft.figures()));
        return whole;
    }

    private boolean pouredTogether(String liquid) {
        return draft.sheet()
                        .experiment()
                        .poured()
                        .filter(each -> each.amount().equals(liquid))
                        .isPresent()
                && CommonPlaces.POURED_TO_IT.stream().anyMatch(key -> draft.given(key + "/amount"));
    }

    private Expression moles(String liquid, String concentration) {
        return draft.liquids()
                .volume(liquid)
                .over(Constants.MILLILITRES_IN_LITRE)
                .times(draft.quantity(concentration));
    }

    /**
     * {@return molar mass of the formula in a slot (g/mol)}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression molarMass(String path) {
        return draft.once(path, address -> draft.input(address, BenchUnit.GRAMS_PER_MOLE));
    }

    /**
     * {@return the formula in a slot; empty while it lacks}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<ChemicalFormula> formula(String path) {
        return draft.sheet().stated(draft.address(path)).map(ChemicalFormula::read);
    }

    /**
     * {@return how often a reagent stands in the equation of a slot; 1 while either lacks} An equation that has it on
     * the other side only, or not at all, is a finding.
     *
     * @param equation path of the equation
     * @param formula  path of the formula, or the formula itself
     */
    public int count(String equation, String formula) {
        Optional<WrittenEquation> written = equation(equation);
        if (written.isEmpty()) {
            draft.lacks(draft.address(equation));
        }
        return written.flatMap(each -> formula(formula).map(each::taken)).orElse(1);
    }

    /**
     * {@return how much water the equation of a slot forms beyond what was there; 1 while it lacks}
     *
     * @param equation path of the equation
     */
    public int netWater(String equation) {
        return draft.sheet()
                .stated(draft.address(equation))
                .map(text -> ChemicalEquation.read(text).netWater())
                .orElse(1);
    }

    /** {@return whether what a result should be is withheld from whoever is to read it: no table is told then} */
    public boolean withheld() {
        return draft.sheet().setting().withheld();
    }

    /**
     * {@return the tabulated heat of combustion of the fuel in a slot (kJ/mol), where the shelf has it}
     *
     * @param path   group and slot, as an experiment declares them
     * @param vapour whether the water formed stays vapour
     */
    public Optional<Expression> tabulatedCombustion(String path, boolean vapour) {
        ReferenceShelf shelf = draft.sheet().setting().shelf();
        return formula(path)
                .flatMap(fuel -> shelf.combustion(fuel).map(row -> {
                    Expression liquid = draft.property(row.key(), Symbol.of("ΔH:tabulated"));
                    double held = shelf.heldByVapour(fuel);
                    return vapour
                            ? liquid.plus(new Expression.Constant(
                                            held, Figures.POINT.fixed(held, 3), BenchUnit.KILOJOULES_PER_MOLE))
                                    .named(Symbol.of("ΔH:tabulated, to vapour"), BenchUnit.KILOJOULES_PER_MOLE)
                            : liquid;
                }));
    }

    /**
     * {@return the tabulated heat of solution of the formula in a slot, at infinite dilution (kJ/mol), where the shelf
     * has it}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Expression> tabulatedSolution(String path) {
        return formula(path)
                .flatMap(solid -> draft.sheet().setting().shelf().heatOfSolution(solid, Double.MAX_VALUE))
                .map(row -> row.reference())
                .map(row -> new Expression.Constant(
                                row.value(), Figures.POINT.plain(row.value()), BenchUnit.KILOJOULES_PER_MOLE)
                        .named(Symbol.of("ΔH:tabulated"), BenchUnit.KILOJOULES_PER_MOLE));
    }

    /**
     * {@return what a saturated solution of the formula in a slot holds, where it is known}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Saturation> saturation(String path) {
        return formula(path).flatMap(Saturation::of);
    }

    /**
     * What follows from the equation of burning.
     *
     * @param fuel            how often the fuel stands in the equation
     * @param gasPerMole      moles of gas formed, less those taken up, for each of the fuel
     * @param productsPerMole heat of formation of what one mole of it burns to, less that of water it takes up (kJ/mol)
     */
    public record Burning(int fuel, double gasPerMole, double productsPerMole) {}

    /**
     * {@return what follows from burning what a slot names to carbon dioxide and liquid water; empty while it lacks, or
     * where it does not burn to these alone, which is a finding}
     *
     * @param path  group and slot, as an experiment declares them
     * @param state of it: solid or liquid
     */
    public Optional<Burning> burning(String path, String state) {
        return formula(path).flatMap(fuel -> Combustion.inBomb(fuel, state)).flatMap(equation -> {
            int fuel = equation.reagents().get(0).count();
            return draft.sheet()
                    .setting()
                    .shelf()
                    .formation()
                    .besidesFirst(equation)
                    .map(products -> new Burning(fuel, (double) equation.gasFormed() / fuel, products / fuel));
        });
    }

    /**
     * {@return moles of the reagent that runs out first, as many as react (mol)}
     *
     * @param reagents both of them
     */
    public Named limiting(Reagents reagents) {
        boolean second =
                draft.value(reagents.first().runs().minus(reagents.second().runs()))
                                .orElse(0)
                        > 0;
        Reagents.Reagent reagent = second ? reagents.second() : reagents.first();
        Symbol symbol = Symbol.of("n:limiting");
        return reagent.count() == 1
                ? new Named(symbol, BenchUnit.MOLES, reagents.extent().body())
                : reagents.extent()
                        .times(Expression.number(reagent.count(), Integer.toString(reagent.count())))
                        .named(symbol, BenchUnit.MOLES);
    }

    private Optional<WrittenEquation> equation(String path) {
        return draft.sheet()
                .stated(draft.address(path))
                .map(text -> new WrittenEquation(ChemicalEquation.read(text), draft.address(path), draft.findings()));
    }

    /**
     * {@return what is dissolved in the end, where a table has its solutions}
     *
     * @param path    of the formula of what was weighed in
     * @param weighed mass of it (g)
     */
    public Optional<Mixture.Solute> dissolved(String path, Expression weighed) {
        return formula(path).flatMap(solid -> {
            ChemicalFormula left =
                    ChemicalEquation.dissolving(solid).products().get(0).formula();
            return SolutionTable.of(left)
                    .map(table -> new Mixture.Solute(
                            table,
                            left.sameAs(solid)
                                    ? weighed
                                    : weighed.times(molarMass(left)).over(molarMass(solid))));
        });
    }

    /**
     * {@return what the equation of a slot leaves dissolved, where a table has its solutions}
     *
     * @param equation path of the equation
     * @param extent   how often it runs (mol)
     */
    public Optional<Mixture.Solute> formed(String equation, Expression extent) {
        return draft.sheet()
                .stated(draft.address(equation))
                .map(ChemicalEquation::read)
                .flatMap(read -> read.products().stream()
                        .filter(term -> term.state().equals("aq"))
                        .flatMap(term -> SolutionTable.of(term.formula())
                                .map(table -> new Mixture.Solute(
                                        table,
                                        extent.times(Expression.number(term.count(), Integer.toString(term.count())))
                                                .times(molarMass(term.formula()))))
                                .stream())
                        .findFirst());
    }

    private static Expression molarMass(ChemicalFormula formula) {
        double mass = formula.molarMass();
        return new Expression.Constant(mass, Figures.POINT.fixed(mass, 2), BenchUnit.GRAMS_PER_MOLE)
                .named(new Symbol("M", formula.text()), BenchUnit.GRAMS_PER_MOLE);
    }

    /**
     * {@return specific heat of what a formula names (J/(g·°C)), where the shelf has it}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Supplier<Expression>> specificHeatOfFormula(String path) {
        return formula(path)
                .flatMap(formula -> draft.sheet().setting().shelf().byFormula(formula))
                .map(substance -> () -> new Input(
                        "shelf:" + substance.key(),
                        Symbol.of("c:" + substance.name()),
                        "specific heat of " + substance.name(),
                        BenchUnit.JOULES_PER_GRAM_DEGREE));
    }

    Optional<Expression> density(QuantitySlot.Dissolved solution) {
        Optional<SolutionTable> table = formula(solution.formula()).flatMap(SolutionTable::of);
        if (table.isEmpty()) {
            draft.omits(Omission.ofTable("density", "that of water"));
        }
        return table.map(known -> new Expression.Applied(known.density(), draft.quantity(solution.concentration()))
                .named(new Symbol("ρ", known.solute().text()), BenchUnit.GRAMS_PER_MILLILITRE));
    }
}
