package lab.sassafras.experiment.reaction;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Reagents;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Mixture.Portion;
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
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.ReagentKind;
import lab.sassafras.slot.Slots;
import lab.sassafras.statistics.Combination;
import lab.sassafras.yardstick.TabulatedReaction;
import lab.sassafras.yardstick.Yardstick;

/**
 * A weighed solid reacts with a solution: reaction + solution (+ solid) + calorimeter, per mole of the limiting
 * reagent.
 */
public final class SolidWithSolution extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public SolidWithSolution() {
        super("solid-with-solution", 2, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once("reaction", Slots.equation("equation")),
                Group.once(
                        "solution",
                        Slots.reagentOf("reagent", "reaction/equation", ReagentKind.DISSOLVED),
                        Slots.concentration("concentration").usually(0.1, 2).orAssumed(1, 0.01)),
                Group.once(
                        "solid",
                        Slots.reagentOf("formula", "reaction/equation", ReagentKind.SOLID),
                        Slots.percent("purity").orAssumed(99, 1).ifKnown()),
                Group.perTrial(
                        "poured",
                        Slots.liquid("amount")
                                .usually(20, 100)
                                .solutionOf("solution/reagent", "solution/concentration"),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial("added", Slots.mass("mass").usually(0.5, 15), Slots.moment("in")),
                Group.perTrial(
                        "mixed",
                        Slots.temperature("final").usually(20, 80),
                        Slots.choice("reacted", List.of("all", "rest"), List.of("excess"))));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 3, 6)
                        .from("reaction/equation")
                        .at(Gear.BALANCE)
                        .then(20),
                Task.of("mix", 9, 12).from("poured/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("reaction/equation"),
                Step.of("solution/reagent"),
                Step.of("solution/concentration"),
                Step.of("solid/formula"),
                Step.of("poured/amount"),
                Step.of("added/mass").exposing("solid/formula"),
                Step.of("solid/purity"),
                Step.of("poured/start").settling(3),
                Step.of("added/in"),
                Step.of("mixed/final").taking(6),
                Step.of("mixed/reacted"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("poured/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.SOLUTION, ConventionQuestion.CALORIMETER);
    }

    @Override
    public Optional<Poured> poured() {
        return Optional.of(new Poured("poured/amount", Optional.of("solution/concentration")));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                PossibleCause.from("poured/start", "lost-while-slow", "mixed/final", 1),
                new PossibleCause("oxide", "added/mass", -0.1),
                new PossibleCause("drops-left-behind", "poured/amount", -0.5).exceptPoured(),
                new PossibleCause("solution-off", "solution/concentration", 0.02)
                        .ofItself()
                        .upTo(0.6)
                        .eitherWay(),
                new PossibleCause("unreacted", "solution/concentration", -0.05)
                        .ofItself()
                        .upTo(0.3),
                PossibleCause.otherReagent());
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(Caveat.voiding("mixed/reacted", "rest"));
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.MEAN, Combination.LINE);
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedReaction(
                "reaction/equation",
                Optional.empty(),
                List.of(new TabulatedReaction.Poured("solution/reagent", "solution/concentration", "poured/amount")));
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new ZincIntoCopperSulfate());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression poured = draft.liquids().together("poured/amount");
        Expression solid = draft.quantity("added/mass");
        Expression start = draft.temperatures().start("poured/start");
        Expression end = draft.temperatures().end(start, "poured/start", "mixed/final");
        draft.choice("mixed/reacted");
        draft.chemistry().molarMass("solution/reagent");
        Named dissolved = draft.chemistry()
                .molesIn("poured/amount", "solution/concentration")
                .named(Symbol.of("n:in solution"), BenchUnit.MOLES);
        Expression pure = draft.share("solid/purity", solid).orElse(solid);
        Named weighed =
                pure.over(draft.chemistry().molarMass("solid/formula")).named(Symbol.of("n:solid"), BenchUnit.MOLES);
        Reagents reagents = new Reagents(
                new Reagents.Reagent(
                        name(draft, "solution/reagent"),
                        dissolved,
                        draft.chemistry().count("reaction/equation", "solution/reagent")),
                new Reagents.Reagent(
                        name(draft, "solid/formula"),
                        weighed,
                        draft.chemistry().count("reaction/equation", "solid/formula")));
        Named limiting = draft.chemistry().limiting(reagents);

        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process(
                "reaction",
                "reaction",
                new Expression.Product(List.of(limiting, Constants.JOULES_IN_KILOJOULE, unknown())))));
        parties.addAll(draft.heats()
                .solutionInCalorimeter(
                        List.of(new Portion("solution", "solution", poured, start, Optional.empty())),
                        List.of(new Portion(
                                "solid",
                                "solid",
                                solid,
                                start,
                                draft.chemistry().specificHeatOfFormula("solid/formula"))),
                        end,
                        () -> draft.chemistry().formed("reaction/equation", reagents.extent())));
        return draft.complete(
                reacting(draft, parties, unknown(), limiting, reagents).holding(poured.plus(solid)));
    }

    private static String name(AccountBuilder draft, String path) {
        return draft.chemistry().formula(path).map(formula -> formula.text()).orElse(path);
    }
}
