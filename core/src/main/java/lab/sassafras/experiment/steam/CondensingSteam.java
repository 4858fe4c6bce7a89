package lab.sassafras.experiment.steam;

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

/** Steam led into cold water: it condenses as far as it gets and its water cools; water and calorimeter warm. */
public final class CondensingSteam extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public CondensingSteam() {
        super("condensing-steam", 2, BenchUnit.JOULES_PER_GRAM);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(100, 300),
                        Slots.temperature("start").usually(5, 20)),
                Group.perTrial(
                        "steam",
                        Slots.choice("state", "trapped", "wet"),
                        Slots.percent("wet").usually(2, 10).orAssumed(5, 3).ifKnown(),
                        Slots.temperature("start").orAssumed(100, 0.5),
                        Slots.moment("led"),
                        Slots.mass("mass").weighedOnto("water/mass").usually(2, 15),
                        Slots.mass("through").ifKnown()),
                Group.perTrial("mixed", Slots.temperature("final").usually(25, 50)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 2, 4).from("water/mass").at(Gear.BALANCE).then(20),
                Task.of("lead", 8, 12)
                        .from("steam/state")
                        .at(Gear.HOT_PLATE, Gear.PROBE)
                        .then(15),
                Task.of("weigh-again", 1, 3).from("steam/mass").at(Gear.BALANCE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("water/mass"),
                Step.of("steam/state"),
                Step.of("steam/wet").when("steam/state", "wet"),
                Step.of("steam/start"),
                Step.of("water/start").settling(2),
                Step.of("steam/led").taking(5).stoppingAt(20),
                Step.of("mixed/final").taking(2),
                Step.of("steam/mass"),
                Step.aside("steam/through"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "mixed/final"));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("wet", "steam/wet", 5).with("steam/state", "wet"),
                new PossibleCause("lost-to-room", "mixed/final", 0.3));
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("steam/state", "wet").unless("steam/wet"));
    }

    @Override
    public List<Bound> bounds() {
        return List.of(Bound.of("boiling", "steam/start", 70, 101.5));
    }

    @Override
    public Yardstick yardstick() {
        return TabulatedProperty.of("vaporization-of-water");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new SteamIntoWater());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        WaterHeat heat = draft.heats().water();
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.temperatures().start("water/start");
        Expression led = draft.quantity("steam/mass");
        Expression boils = draft.quantity("steam/start");
        Expression end = draft.temperatures().end(waterStart, "water/start", "mixed/final");
        Optional<Expression> drops = (draft.chosen("steam/state", "wet")
                        ? draft.share("steam/wet", led)
                        : Optional.<Expression>empty())
                .map(share -> share.named(Symbol.of("m:drops"), BenchUnit.GRAMS));
        Expression steam = drops.<Expression>map(
                        water -> led.minus(water).named(Symbol.of("m:dry steam"), BenchUnit.GRAMS))
                .orElse(led);
        Expression condensed = draft.quantityIfGiven("steam/through")
                .<Expression>map(through -> steam.minus(through).named(Symbol.of("m:condensed"), BenchUnit.GRAMS))
                .orElse(steam);

        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.condensing(
                "steam",
                "steam",
                steam,
                condensed,
                new HeatTerm.Change(boils, unknown()),
                heat.specificHeat("condensate", boils, end),
                end)));
        drops.ifPresent(water -> parties.add(HeatTerm.body(
                "drops", "drops in the steam", water, heat.specificHeat("drops", boils, end), boils, end)));
        parties.addAll(draft.heats().waterInCalorimeter(waterMass, waterStart, end));
        return draft.complete(draft.ledger(parties, unknown()).holding(waterMass.plus(led)));
    }
}
