package lab.sassafras.experiment.can;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Omission;
import lab.sassafras.convention.BurningHeat;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.draft.Stoichiometry;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Slots;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.statistics.Combination;
import lab.sassafras.yardstick.TabulatedCombustion;
import lab.sassafras.yardstick.Yardstick;

/**
 * A weighed burner burns under a can of water: combustion + water + can, per mole of fuel, as it came to the water;
 * what was weighed as soot or lost from the unlit wick is taken into account where it was weighed.
 */
public final class CombustionUnderACan extends HeatBalanceExperiment {

    /** Heat of burning of carbon, and its molar mass: what a gram of soot keeps back (J/g). */
    private static final double HEAT_IN_SOOT = 393_509 / 12.011;

    /** As it is offered to a class. */
    public CombustionUnderACan() {
        super("combustion-under-a-can", 1, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "fuel",
                        Slots.formula("formula"),
                        Slots.percent("water").usually(0, 10).ifKnown(),
                        Slots.choiceIfKnown("formed", "liquid", "gas")),
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 400),
                        Slots.temperature("start").usually(5, 30)),
                Group.perTrial(
                        "burner",
                        Slots.mass("burnt").usually(0.1, 5),
                        Slots.mass("evaporated").usually(0, 0.2).ifKnown()),
                Group.perTrial("flame", Slots.moment("lit")),
                Group.perTrial("heated", Slots.temperature("highest").usually(20, 90)),
                Group.perTrial("soot", Slots.mass("mass").usually(0, 0.5).ifKnown()),
                Group.once(
                        "known", Slots.reference("run", BenchUnit.KILOJOULES_PER_MOLE), Slots.formulaIfKnown("fuel")));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 4, 7).from("fuel/formula").at(Gear.BALANCE).then(20),
                Task.of("burn", 9, 13).from("water/start").at(Gear.PROBE),
                Task.of("weigh-again", 2, 4).from("burner/burnt").at(Gear.BALANCE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("fuel/formula"),
                Step.of("fuel/water"),
                Step.aside("fuel/formed"),
                Step.of("water/mass"),
                Step.full("burner/burnt"),
                Step.of("water/start").settling(2),
                Step.of("flame/lit"),
                Step.of("heated/highest").taking(6).stoppingAt(15),
                Step.empty("burner/burnt"),
                Step.of("burner/evaporated"),
                Step.of("soot/mass"),
                Step.aside("known/run"),
                Step.aside("known/fuel"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "heated/highest"));
    }

    @Override
    public List<VesselKind> takes() {
        return List.of(VesselKind.METAL_CUP, VesselKind.GLASS_BEAKER);
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                PossibleCause.from("water/start", "lost-to-air", "heated/highest", 5)
                        .upTo(60),
                PossibleCause.alongWith("stand", 20).upTo(120),
                new PossibleCause("evaporated", "burner/burnt", -0.05).upTo(0.3),
                new PossibleCause("wet-fuel", "fuel/water", 4).upTo(15),
                new PossibleCause("soot", "soot/mass", 0.02).upTo(0.1));
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.MEAN, Combination.LINE);
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedCombustion(
                "fuel/formula",
                "fuel/formed",
                new Yardstick.Losses(List.of("evaporated", "wet-fuel"), List.of("soot")));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.CALORIMETER, ConventionQuestion.BURNING);
    }

    private static boolean vapour(AccountBuilder draft) {
        return draft.chosen("fuel/formed", "gas");
    }

    /** The part of its heat that a known fuel brought to the same can; empty where none is named. */
    private static Optional<Expression> part(AccountBuilder draft) {
        return draft.results()
                .ifGiven("known/run")
                .flatMap(known -> draft.chemistry()
                        .tabulatedCombustion("known/fuel", vapour(draft))
                        .map(known::over));
    }

    private Optional<Derived> corrected(Optional<Expression> part, Named moles) {
        return part.map(reached -> new Derived(
                words().get("corrected"),
                Symbol.of("ΔH:corrected"),
                BenchUnit.KILOJOULES_PER_MOLE,
                heat -> heat.over(moles).over(Constants.JOULES_IN_KILOJOULE).over(reached)));
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new FlameUnderCan());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression water = draft.quantity("water/mass");
        Expression start = draft.temperatures().start("water/start");
        Expression end = draft.temperatures().end(start, "water/start", "heated/highest");
        Expression gone = draft.quantity("burner/burnt");
        Expression burnt = draft.quantityIfGiven("burner/evaporated")
                .<Expression>map(lost -> gone.minus(lost).named(Symbol.of("m:burnt"), BenchUnit.GRAMS))
                .orElse(gone);
        Expression fuel = draft.share("fuel/water", burnt)
                .<Expression>map(wet -> burnt.minus(wet).named(Symbol.of("m:fuel"), BenchUnit.GRAMS))
                .orElse(burnt);
        Named moles =
                fuel.over(draft.chemistry().molarMass("fuel/formula")).named(Symbol.of("n:fuel"), BenchUnit.MOLES);

        Optional<Expression> part = part(draft);
        boolean correcting = draft.conventions().in(ConventionQuestion.BURNING) == BurningHeat.CORRECTED;
        if (correcting && part.isEmpty()) {
            draft.omits(Omission.ofKnownFuel());
        }
        Optional<Expression> divided = part.filter(any -> correcting);
        Input sought = divided.isPresent() ? unknown("unknown-corrected", BenchUnit.KILOJOULES_PER_MOLE) : unknown();
        Expression gave = new Product(List.of(moles, Constants.JOULES_IN_KILOJOULE, sought));
        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process(
                "combustion", "combustion", divided.<Expression>map(gave::times).orElse(gave))));
        draft.quantityIfGiven("soot/mass")
                .ifPresent(soot -> parties.add(HeatTerm.process(
                        "soot",
                        "soot, not burnt",
                        soot.times(new Expression.Constant(
                                HEAT_IN_SOOT, "32762", BenchUnit.JOULES_PER_GRAM_OF_PROCESS)))));
        parties.addAll(draft.heats().waterInCalorimeter(water, start, end));
        List<Derived> beside = new ArrayList<>(List.of(
                new Derived(
                        words().get("per-gram"),
                        Symbol.of("Δh"),
                        BenchUnit.JOULES_PER_GRAM_OF_PROCESS,
                        heat -> heat.over(fuel)),
                joules()));
        draft.chemistry()
                .tabulatedCombustion("fuel/formula", vapour(draft))
                .filter(any -> !draft.chemistry().withheld())
                .ifPresent(tabulated -> beside.add(new Derived(
                        words().get("efficiency"),
                        Symbol.of("η"),
                        BenchUnit.PERCENT,
                        heat -> heat.over(moles)
                                .over(Constants.JOULES_IN_KILOJOULE)
                                .over(tabulated)
                                .times(Constants.HUNDRED_PER_CENT))));
        corrected(part.filter(any -> !correcting), moles).ifPresent(beside::add);
        draft.chemistry()
                .burning("fuel/formula", "liquid")
                .map(Stoichiometry.Burning::fuel)
                .filter(count -> count > 1)
                .ifPresent(count -> beside.add(new Derived(
                        words().get("as-written"),
                        Derived.AS_WRITTEN,
                        BenchUnit.KILOJOULES_PER_MOLE,
                        heat -> divided.map(heat.over(moles).over(Constants.JOULES_IN_KILOJOULE)::over)
                                .orElseGet(() -> heat.over(moles).over(Constants.JOULES_IN_KILOJOULE))
                                .times(Expression.number(count, Integer.toString(count))))));
        return draft.complete(draft.ledger(parties, sought)
                .against(moles, kilojoules())
                .holding(water)
                .giving(beside.toArray(Derived[]::new)));
    }
}
