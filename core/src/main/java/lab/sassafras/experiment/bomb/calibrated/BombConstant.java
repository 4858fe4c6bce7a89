package lab.sassafras.experiment.bomb.calibrated;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.bomb.InBomb;
import lab.sassafras.experiment.bomb.PelletInBomb;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.VesselHolds;
import lab.sassafras.yardstick.Yardstick;

/** Certified benzoic acid burns in the bomb: what its heat did not do to the water, bomb and bucket absorbed. */
public final class BombConstant extends InBomb {

    /** As it is offered to a class. */
    public BombConstant() {
        super("bomb-constant", 1, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.FINDS_CONSTANT;
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER);
    }

    @Override
    protected List<Group> slots() {
        return Stream.concat(
                        super.slots().stream(),
                        Stream.of(Group.once(
                                "certificate",
                                Slots.quantity("heat", BenchUnit.JOULES_PER_GRAM)
                                        .usually(26_000, 27_000)
                                        .orTakenAsKnown()
                                        .ifKnown())))
                .toList();
    }

    @Override
    protected List<Step> steps() {
        return Stream.concat(Stream.of(Step.aside("certificate/heat")), super.steps().stream())
                .toList();
    }

    @Override
    public Yardstick yardstick() {
        return new VesselHolds();
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new PelletInBomb(
                "", stage -> 26_434 + stage.error("certificate", 3), (stage, heat) -> stage.capacity()));
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression pellet = pellet(draft);
        Expression water = draft.quantity(WATER);
        Expression start = draft.temperatures().start(START);
        Expression end = draft.temperatures().end(start, START, END);
        Expression heat = draft.heats().water().specificHeat("water", start, end);
        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process(
                "combustion",
                "benzoic acid burning",
                pellet.times(draft.quantityIfGiven("certificate/heat")
                        .map(Expression::negated)
                        .orElseGet(() -> draft.property("standard-benzoic-acid", Symbol.of("Δu:benzoic acid")))))));
        parties.addAll(besides(draft));
        parties.add(HeatTerm.body("water", "water", water, heat, start, end));
        parties.add(HeatTerm.vessel("calorimeter", "bomb and bucket", unknown(), start, end));
        return draft.complete(draft.ledger(parties, unknown())
                .holding(water)
                .remarking(leftOut(draft, true))
                .giving(new Derived(
                        words().get("with-water"),
                        Symbol.of("C:with its water"),
                        BenchUnit.JOULES_PER_DEGREE,
                        absorbed -> absorbed.over(end.minus(start)).plus(water.times(heat)))));
    }
}
