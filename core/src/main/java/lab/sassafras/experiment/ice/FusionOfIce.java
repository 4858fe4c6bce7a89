package lab.sassafras.experiment.ice;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.declaration.Bound;
import lab.sassafras.declaration.Caveat;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.TabulatedProperty;
import lab.sassafras.yardstick.Yardstick;

/** Ice into warm water: ice warms, melts as far as it gets, and its water warms; water and calorimeter cool. */
public final class FusionOfIce extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public FusionOfIce() {
        super("fusion-of-ice", 2, BenchUnit.JOULES_PER_GRAM);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 200),
                        Slots.temperature("start").usually(25, 50)),
                Group.perTrial(
                        "ice",
                        Slots.choice("state", "dried", "wet"),
                        Slots.percent("wet").usually(2, 10).orAssumed(5, 3).ifKnown(),
                        Slots.temperature("start").orAssumed(0, 0.3),
                        Slots.moment("added"),
                        Slots.mass("mass").usually(5, 60).weighedOnto("water/mass"),
                        Slots.mass("left").ifKnown()),
                Group.perTrial("mixed", Slots.temperature("final").usually(2, 30)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 2, 4).from("water/mass").at(Gear.BALANCE).then(20),
                Task.of("mix", 7, 10).from("ice/state").at(Gear.PROBE).then(15),
                Task.of("weigh-again", 1, 3).from("ice/mass").at(Gear.BALANCE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("water/mass"),
                Step.of("ice/state"),
                Step.of("ice/wet").when("ice/state", "wet"),
                Step.of("ice/start"),
                Step.of("water/start").settling(2),
                Step.of("ice/added"),
                Step.of("mixed/final").taking(4),
                Step.of("ice/mass"),
                Step.aside("ice/left"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "mixed/final"));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("wet", "ice/wet", 5).with("ice/state", "wet"),
                new PossibleCause("colder", "ice/start", -5).upTo(20),
                new PossibleCause("splashed", "ice/mass", 0.5).upTo(6),
                new PossibleCause("warmed-meanwhile", "mixed/final", -0.3),
                new PossibleCause("cooled-before", "water/start", -0.5));
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("ice/state", "wet").unless("ice/wet"));
    }

    @Override
    public List<Bound> bounds() {
        return List.of(Bound.of("ice", "ice/start", -80, 0.5));
    }

    @Override
    public Yardstick yardstick() {
        return TabulatedProperty.of("fusion-of-ice");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new IceIntoWater());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        WaterHeat heat = draft.heats().water();
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.temperatures().start("water/start");
        Expression added = draft.quantity("ice/mass");
        Expression iceStart = draft.quantity("ice/start");
        Expression end = draft.temperatures().end(waterStart, "water/start", "mixed/final");
        Optional<Expression> clung = (draft.chosen("ice/state", "wet")
                        ? draft.share("ice/wet", added)
                        : Optional.<Expression>empty())
                .map(share -> share.named(Symbol.of("m:water on it"), BenchUnit.GRAMS));
        Expression ice = clung.<Expression>map(
                        water -> added.minus(water).named(Symbol.of("m:dry part"), BenchUnit.GRAMS))
                .orElse(added);
        Expression melted = draft.quantityIfGiven("ice/left")
                .<Expression>map(left -> ice.minus(left).named(Symbol.of("m:melted"), BenchUnit.GRAMS))
                .orElse(ice);
        Expression melts = new Expression.Constant(0, "0", BenchUnit.DEGREES_CELSIUS);

        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.melting(
                "ice",
                "ice",
                ice,
                melted,
                new HeatTerm.Change(melts, unknown()),
                draft.property("specific-heat-of-ice", Symbol.of("c:ice")),
                heat.specificHeat("meltwater", melts, end),
                iceStart,
                end)));
        clung.ifPresent(water -> parties.add(HeatTerm.body(
                "clung", "water on the ice", water, heat.specificHeat("water on the ice", melts, end), melts, end)));
        parties.addAll(draft.heats().waterInCalorimeter(waterMass, waterStart, end));
        return draft.complete(draft.ledger(parties, unknown()).holding(waterMass.plus(added)));
    }
}
