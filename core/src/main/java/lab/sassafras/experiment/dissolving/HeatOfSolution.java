package lab.sassafras.experiment.dissolving;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Mixture.Portion;
import lab.sassafras.convention.ResultBasis;
import lab.sassafras.declaration.Caveat;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Slots;
import lab.sassafras.statistics.Combination;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hydrates;
import lab.sassafras.yardstick.TabulatedDissolving;
import lab.sassafras.yardstick.Yardstick;

/** A weighed solid dissolves in water: dissolving + solution + calorimeter; per mole, per gram, or the heat alone. */
public final class HeatOfSolution extends HeatBalanceExperiment {

    /** Molar mass of water (g/mol). */
    private static final double WATER = 18.015;

    /** As it is offered to a class. */
    public HeatOfSolution() {
        super("heat-of-solution", 2, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "solute",
                        Slots.formula("formula"),
                        Slots.percent("purity").orAssumed(99, 1).ifKnown()),
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 150),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial("solid", Slots.mass("mass").usually(1, 15), Slots.moment("added")),
                Group.perTrial(
                        "solution",
                        Slots.temperature("final").usually(5, 60),
                        Slots.choice("dissolved", "all", "rest")));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 3, 6).from("water/mass").at(Gear.BALANCE).then(20),
                Task.of("mix", 6, 9).from("water/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("solute/formula").under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                Step.of("water/mass"),
                Step.of("solid/mass").exposing("solute/formula"),
                Step.of("solute/purity").under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                Step.of("water/start").settling(3),
                Step.of("solid/added"),
                Step.of("solution/final").taking(3),
                Step.of("solution/dissolved"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "solution/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(
                ConventionQuestion.WATER,
                ConventionQuestion.SOLUTION,
                ConventionQuestion.CALORIMETER,
                ConventionQuestion.BASIS);
    }

    @Override
    public Optional<Poured> poured() {
        return Optional.of(new Poured("water/mass", Optional.empty()));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("stuck", "solid/mass", -0.1),
                PossibleCause.from("water/start", "leaked", "solution/final", 0.2),
                new PossibleCause("drops-left-behind", "water/mass", -0.5).exceptPoured(),
                new PossibleCause("water-splashed", "water/mass", -2).upTo(12),
                new PossibleCause("moist", "solute/purity", -2).insteadOf(100).upTo(15),
                new PossibleCause("undissolved", "solid/mass", -0.05).ofItself().upTo(0.3),
                new PossibleCause("impure", "solute/purity", -3).insteadOf(100).upTo(20),
                PossibleCause.answered(
                        "hydrate", "solute/formula", "mol of water in each", (formula, any) -> forms(formula)));
    }

    /** Other forms of a salt by how many waters more they have than was written. */
    private static Map<String, Double> forms(String formula) {
        ChemicalFormula written = ChemicalFormula.read(formula);
        Map<String, Double> forms = new LinkedHashMap<>();
        Hydrates.others(written)
                .forEach(each -> forms.put(each.text(), (double) each.boundWater() - written.boundWater()));
        return forms;
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(Caveat.voiding("solution/dissolved", "rest"));
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.MEAN, Combination.LINE);
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedDissolving("solute/formula");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new SaltIntoWater());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression water = draft.liquids().together("water/mass");
        Expression start = draft.temperatures().start("water/start");
        Expression end = draft.temperatures().end(start, "water/start", "solution/final");
        draft.choice("solution/dissolved");
        ResultBasis basis = draft.conventions().in(ConventionQuestion.BASIS);
        Optional<Expression> solid = basis == ResultBasis.HEAT
                ? draft.quantityIfGiven("solid/mass")
                : Optional.of(draft.quantity("solid/mass"));
        List<Portion> solids = solid.map(mass -> List.of(new Portion(
                        "solid", "solid", mass, start, draft.chemistry().specificHeatOfFormula("solute/formula"))))
                .orElse(List.of());
        List<HeatTerm> rest = draft.heats()
                .solutionInCalorimeter(
                        List.of(new Portion("water", "water", water, start, Optional.empty())),
                        solids,
                        end,
                        () -> solid.flatMap(mass -> draft.chemistry().dissolved("solute/formula", mass)));
        Expression fill = solid.map(water::plus).orElse(water);
        return draft.complete(
                switch (basis) {
                    case PER_MOLE ->
                        perMole(draft, water, solid.orElseThrow(), rest).holding(fill);
                    case PER_GRAM -> {
                        Input sought = unknown("unknown-per-gram", BenchUnit.JOULES_PER_GRAM_OF_PROCESS);
                        yield draft.ledger(dissolving(solid.orElseThrow().times(sought), rest), sought)
                                .holding(fill)
                                .giving(joules());
                    }
                    case HEAT -> {
                        Input sought = unknown("unknown-heat", BenchUnit.JOULES);
                        HeatBalance alone =
                                draft.ledger(dissolving(sought, rest), sought).holding(fill);
                        yield solid.map(alone::growingWith).orElse(alone);
                    }
                });
    }

    private HeatBalance perMole(AccountBuilder draft, Expression water, Expression solid, List<HeatTerm> rest) {
        Expression pure = draft.share("solute/purity", solid).orElse(solid);
        Named moles =
                pure.over(draft.chemistry().molarMass("solute/formula")).named(Symbol.of("n:solid"), BenchUnit.MOLES);
        Expression dilution = water.over(new Expression.Constant(WATER, "18.015", BenchUnit.GRAMS_PER_MOLE))
                .over(moles);
        return draft.ledger(
                        dissolving(
                                new Expression.Product(List.of(moles, Constants.JOULES_IN_KILOJOULE, unknown())), rest),
                        unknown())
                .against(moles, kilojoules())
                .giving(
                        new Derived(
                                words().get("per-gram"),
                                Symbol.of("Δh"),
                                BenchUnit.JOULES_PER_GRAM_OF_PROCESS,
                                dissolving -> dissolving.over(solid)),
                        joules(),
                        new Derived(words().get("dilution"), Symbol.of("N"), BenchUnit.NUMBER, any -> dilution));
    }

    private static List<HeatTerm> dissolving(Expression heat, List<HeatTerm> rest) {
        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process("dissolving", "dissolving", heat)));
        parties.addAll(rest);
        return parties;
    }
}
