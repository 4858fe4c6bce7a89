package lab.sassafras.experiment.liquid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.Contents;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Bound;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Catalogue;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.TabulatedProperty;
import lab.sassafras.yardstick.Yardstick;

/** A hot (or ice-cold) solid of the shelf into the liquid: solid + liquid + calorimeter. */
public final class SpecificHeatOfLiquid extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public SpecificHeatOfLiquid() {
        super("specific-heat-of-liquid", 2, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "shelf",
                        Slots.fromShelf("solid", Catalogue.SOLIDS),
                        Slots.fromShelfIfKnown("liquid", Catalogue.LIQUIDS)),
                Group.perTrial(
                        "solid",
                        Slots.mass("mass").usually(20, 200),
                        Slots.choice("bath", "boiling", "ice", "other"),
                        Slots.temperature("start").orAssumed(100, 0.5),
                        Slots.moment("moved")),
                Group.perTrial(
                        "liquid",
                        Slots.mass("mass").usually(40, 200),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial("mixed", Slots.temperature("final").usually(15, 45)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("weigh", 2, 5).from("solid/mass").in(Task.Turn.FIRST).at(Gear.BALANCE),
                Task.of("dry", 3, 7).from("solid/mass").in(Task.Turn.LATER).at(Gear.BALANCE),
                Task.of("bath", 8, 10)
                        .from("solid/bath")
                        .at(Gear.HOT_PLATE)
                        .byItself()
                        .then(1),
                Task.of("mix", 6, 8).from("solid/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("solid/mass"),
                Step.of("solid/bath"),
                Step.of("shelf/solid"),
                Step.of("liquid/mass"),
                Step.of("solid/start").soaking(8).since("solid/bath"),
                Step.of("liquid/start").settling(2),
                Step.of("solid/moved"),
                Step.of("mixed/final").taking(3),
                Step.of("shelf/liquid"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("liquid/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.CALORIMETER, ConventionQuestion.BATH);
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                PossibleCause.from("mixed/final", "cooled-in-transit", "solid/start", -2),
                PossibleCause.from("liquid/start", "final-too-early", "mixed/final", 0.2),
                new PossibleCause("evaporated", "liquid/mass", -1),
                PossibleCause.twoThermometers("solid/start", "liquid/start"));
    }

    @Override
    public List<Bound> bounds() {
        return List.of(
                Bound.of("boiling", "solid/start", 70, 101.5).when("solid/bath", "boiling"),
                Bound.of("ice-water", "solid/start", -1, 3).when("solid/bath", "ice"));
    }

    @Override
    public Yardstick yardstick() {
        return TabulatedProperty.specificHeat("shelf/liquid");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new HotSolidIntoLiquid());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression solidMass = draft.quantity("solid/mass");
        Expression solidStart = draft.temperatures().fromBath("solid/bath", "solid/start");
        Expression liquidMass = draft.quantity("liquid/mass");
        Expression liquidStart = draft.temperatures().start("liquid/start");
        Expression end = draft.temperatures().end(liquidStart, "liquid/start", "mixed/final");

        List<HeatTerm> parties = new ArrayList<>(List.of(
                HeatTerm.body("solid", "solid", solidMass, draft.specificHeatOf("shelf/solid"), solidStart, end)));
        parties.addAll(draft.heats()
                .withCalorimeter(Contents.of(
                        List.of(HeatTerm.body("liquid", "liquid", liquidMass, unknown(), liquidStart, end)),
                        liquidMass,
                        unknown(),
                        liquidStart,
                        end)));
        return draft.complete(draft.ledger(parties, unknown()).holding(liquidMass));
    }
}
