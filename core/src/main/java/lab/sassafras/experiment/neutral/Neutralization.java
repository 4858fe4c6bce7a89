package lab.sassafras.experiment.neutral;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Reagents;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Mixture.Portion;
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
import lab.sassafras.slot.ReagentKind;
import lab.sassafras.slot.Slots;
import lab.sassafras.statistics.Combination;
import lab.sassafras.yardstick.TabulatedReaction;
import lab.sassafras.yardstick.Yardstick;

/**
 * An acid meets a base, each from its own start: reaction + both solutions + calorimeter, per mole of water formed; per
 * mole of the limiting reagent where none is, as with ammonia.
 */
public final class Neutralization extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public Neutralization() {
        super("neutralization", 2, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once("reaction", Slots.equation("equation"), Slots.choice("strength", "strong", "weak")),
                Group.once(
                        "acid",
                        Slots.reagentOf("formula", "reaction/equation", ReagentKind.ACID),
                        Slots.concentration("concentration").usually(0.1, 2).orAssumed(1, 0.01)),
                Group.once(
                        "base",
                        Slots.reagentOf("formula", "reaction/equation", ReagentKind.BASE),
                        Slots.concentration("concentration").usually(0.1, 2).orAssumed(1, 0.01)),
                Group.perTrial(
                        "first",
                        Slots.liquid("amount").usually(20, 100).solutionOf("acid/formula", "acid/concentration"),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial(
                        "second",
                        Slots.liquid("amount").usually(20, 100).solutionOf("base/formula", "base/concentration"),
                        Slots.temperature("start").usually(15, 30).orAssumed(20, 1),
                        Slots.moment("poured")),
                Group.perTrial("mixed", Slots.temperature("final").usually(20, 45)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("measure", 3, 6).from("reaction/equation"),
                Task.of("mix", 8, 10).from("second/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("reaction/equation"),
                Step.of("reaction/strength"),
                Step.of("acid/formula"),
                Step.of("acid/concentration"),
                Step.of("base/formula"),
                Step.of("base/concentration"),
                Step.of("first/amount"),
                Step.of("second/amount"),
                Step.of("second/start").settling(2),
                Step.of("first/start").settling(3),
                Step.of("second/poured"),
                Step.of("mixed/final").taking(3));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("first/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.SOLUTION, ConventionQuestion.CALORIMETER);
    }

    @Override
    public Optional<Poured> poured() {
        return Optional.of(new Poured("first/amount", Optional.of("acid/concentration")));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("lost-to-room", "mixed/final", 0.2),
                new PossibleCause("second-warmer", "second/start", 1),
                new PossibleCause("carbonate", "base/concentration", -0.02),
                new PossibleCause("drops-left-behind", "second/amount", -0.5).exceptPoured(),
                new PossibleCause("acid-off", "acid/concentration", 0.02)
                        .ofItself()
                        .upTo(0.6)
                        .eitherWay(),
                new PossibleCause("base-off", "base/concentration", 0.02)
                        .ofItself()
                        .upTo(0.6)
                        .eitherWay(),
                PossibleCause.answered(
                        "weak-for-strong",
                        "reaction/strength",
                        "",
                        (answered, any) -> answered.equals("strong") ? Map.of("weak", 1.0) : Map.of()),
                PossibleCause.twoThermometers("second/start", "first/start"),
                PossibleCause.otherReagent());
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.MEAN, Combination.LINE);
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedReaction(
                "reaction/equation",
                Optional.of("reaction/strength"),
                List.of(
                        new TabulatedReaction.Poured("acid/formula", "acid/concentration", "first/amount"),
                        new TabulatedReaction.Poured("base/formula", "base/concentration", "second/amount")));
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new BaseIntoAcid());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression first = draft.liquids().together("first/amount");
        Expression second = draft.quantity("second/amount");
        Expression firstStart = draft.temperatures().start("first/start");
        Expression secondStart = draft.quantity("second/start");
        Expression end = draft.temperatures().end(firstStart, "first/start", "mixed/final");
        draft.choice("reaction/strength");
        Reagents reagents = new Reagents(reagent(draft, "acid", "first"), reagent(draft, "base", "second"));
        int waters = draft.chemistry().netWater("reaction/equation");
        Input sought = waters > 0 ? unknown() : unknown("unknown-per-limiting", BenchUnit.KILOJOULES_PER_MOLE);
        Named formed = waters > 0 ? water(reagents, waters) : draft.chemistry().limiting(reagents);

        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process(
                "reaction",
                "neutralization",
                new Expression.Product(List.of(formed, Constants.JOULES_IN_KILOJOULE, sought)))));
        parties.addAll(draft.heats()
                .solutionInCalorimeter(
                        List.of(
                                new Portion("acid", "acid", first, firstStart, Optional.empty()),
                                new Portion("base", "base", second, secondStart, Optional.empty())),
                        List.of(),
                        end,
                        () -> draft.chemistry().formed("reaction/equation", reagents.extent())));
        return draft.complete(reacting(draft, parties, sought, formed, reagents).holding(first.plus(second)));
    }

    private static Named water(Reagents reagents, int waters) {
        Symbol symbol = Symbol.of("n:water");
        return waters == 1
                ? new Named(symbol, BenchUnit.MOLES, reagents.extent().body())
                : reagents.extent()
                        .times(Expression.number(waters, Integer.toString(waters)))
                        .named(symbol, BenchUnit.MOLES);
    }

    private static Reagents.Reagent reagent(AccountBuilder draft, String side, String portion) {
        draft.chemistry().molarMass(side + "/formula");
        Named moles = draft.chemistry()
                .molesIn(portion + "/amount", side + "/concentration")
                .named(Symbol.of("n:" + side), BenchUnit.MOLES);
        return new Reagents.Reagent(side, moles, draft.chemistry().count("reaction/equation", side + "/formula"));
    }
}
