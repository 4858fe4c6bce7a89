package lab.sassafras.experiment.solid;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
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
import lab.sassafras.substance.Substance;
import lab.sassafras.yardstick.SolidsOnShelf;
import lab.sassafras.yardstick.Yardstick;

/** A hot (or ice-cold) solid into water: sample + water + calorimeter + water that clung to the sample. */
public final class SpecificHeatOfSolid extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public SpecificHeatOfSolid() {
        super("specific-heat-of-solid", 2, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perSample(
                        "seen",
                        Slots.choiceIfKnown("colour", "silvery", "grey", "reddish", "yellow", "white", "dark", "clear"),
                        Slots.choiceIfKnown("magnetic", "yes", "no"),
                        Slots.density("density").orAssumed(8, 0.2).ifKnown(),
                        Slots.fromShelfIfKnown("known", Catalogue.SOLIDS)),
                Group.perTrial(
                        "sample",
                        Slots.sampleName("name"),
                        Slots.mass("mass").usually(10, 200),
                        Slots.choice("bath", "boiling", "ice", "other"),
                        Slots.temperature("start").orAssumed(100, 0.5),
                        Slots.moment("moved"),
                        Slots.mass("carried")
                                .usually(0, 3)
                                .weighedOnto("water/mass", "sample/mass")
                                .ifKnown()),
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 200),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial("mixed", Slots.temperature("final").usually(15, 45)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("weigh", 2, 5).from("sample/mass").in(Task.Turn.FIRST).at(Gear.BALANCE),
                Task.of("dry", 3, 7).from("sample/mass").in(Task.Turn.LATER).at(Gear.BALANCE),
                Task.of("bath", 8, 10)
                        .from("sample/bath")
                        .at(Gear.HOT_PLATE)
                        .byItself()
                        .then(1),
                Task.of("mix", 6, 8).from("sample/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.aside("sample/name"),
                Step.of("sample/mass"),
                Step.of("sample/bath"),
                Step.of("water/mass"),
                Step.of("seen/colour"),
                Step.of("seen/magnetic"),
                Step.of("seen/density"),
                Step.of("sample/start").soaking(8).since("sample/bath"),
                Step.of("water/start").settling(2),
                Step.of("sample/moved"),
                Step.of("mixed/final").taking(3),
                Step.of("sample/carried"),
                Step.of("seen/known"));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.CALORIMETER, ConventionQuestion.BATH);
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                PossibleCause.from("mixed/final", "cooled-in-transit", "sample/start", -2),
                PossibleCause.from("water/start", "not-through", "sample/start", -5),
                PossibleCause.from("water/start", "final-too-early", "mixed/final", 0.2),
                new PossibleCause("water-splashed", "water/mass", -2),
                new PossibleCause("carried", "sample/carried", 1),
                new PossibleCause("wet-sample", "sample/mass", -0.5),
                PossibleCause.answered(
                        "other-substance",
                        "seen/known",
                        "",
                        (answered, sheet) -> sheet.setting().shelf().solids().stream()
                                .filter(each -> each.everyday() && !each.key().equals(answered))
                                .collect(Collectors.toMap(Substance::key, each -> 1.0))),
                PossibleCause.twoThermometers("sample/start", "water/start"));
    }

    @Override
    public List<Bound> bounds() {
        return List.of(
                Bound.of("boiling", "sample/start", 70, 101.5).when("sample/bath", "boiling"),
                Bound.of("ice-water", "sample/start", -1, 3).when("sample/bath", "ice"));
    }

    @Override
    public Yardstick yardstick() {
        return new SolidsOnShelf("seen/known", "seen/colour", "seen/magnetic", "seen/density");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new HotSolidIntoWater());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression sampleMass = draft.quantity("sample/mass");
        Expression sampleStart = draft.temperatures().fromBath("sample/bath", "sample/start");
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.temperatures().start("water/start");
        Expression end = draft.temperatures().end(waterStart, "water/start", "mixed/final");

        List<HeatTerm> parties =
                new ArrayList<>(List.of(HeatTerm.body("sample", "solid", sampleMass, unknown(), sampleStart, end)));
        List<HeatTerm> inTheCup = draft.heats().waterInCalorimeter(waterMass, waterStart, end);
        parties.add(inTheCup.get(0));
        draft.quantityIfGiven("sample/carried")
                .ifPresent(carried -> parties.add(HeatTerm.body(
                        "carried",
                        "carried water",
                        carried,
                        draft.heats().water().specificHeat("carried water", sampleStart, end),
                        sampleStart,
                        end)));
        parties.addAll(inTheCup.subList(1, inTheCup.size()));
        return draft.complete(draft.ledger(parties, unknown()).holding(waterMass));
    }
}
