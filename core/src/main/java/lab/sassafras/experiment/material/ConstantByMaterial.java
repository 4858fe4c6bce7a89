package lab.sassafras.experiment.material;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Catalogue;
import lab.sassafras.slot.Slots;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.yardstick.VesselHolds;
import lab.sassafras.yardstick.Yardstick;

/** Cup, stirrer and lid weighed, each with its specific heat: the constant is their sum, and no heat is exchanged. */
public final class ConstantByMaterial extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public ConstantByMaterial() {
        super("constant-by-material", 2, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.FINDS_CONSTANT;
    }

    @Override
    protected List<Group> slots() {
        return List.of(Group.perPart(
                "part",
                Slots.mass("mass").usually(2, 200),
                Slots.choice("heat-from", "shelf", "typed"),
                Slots.fromShelf("material", Catalogue.SOLIDS),
                Slots.specificHeat("heat").accepting(ReferenceShelf.standard().solidHeats())));
    }

    @Override
    public List<Task> tasks() {
        return List.of(Task.of("weigh", 1, 3).from("part/mass").at(Gear.BALANCE));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("part/mass"),
                Step.of("part/heat-from"),
                Step.of("part/material").when("part/heat-from", "shelf"),
                Step.of("part/heat").when("part/heat-from", "typed"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of();
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(new PossibleCause("only-lower-part", "part/mass", -2));
    }

    @Override
    public Optional<Foresight> foresight() {
        return Optional.of(new WeighedParts());
    }

    @Override
    public Yardstick yardstick() {
        return new VesselHolds();
    }

    @Override
    protected Account account(AccountBuilder draft) {
        List<Expression> parts = new ArrayList<>();
        for (int i = 1; i <= draft.parts("part"); i++) {
            Expression mass = draft.part(i).quantity("part/mass");
            Expression heat = draft.part(i).answered("part/heat-from", "typed")
                    ? draft.part(i).quantity("part/heat")
                    : draft.part(i).specificHeatOf("part/material");
            parts.add(mass.times(heat).named(Symbol.of("C:part " + i), BenchUnit.JOULES_PER_DEGREE));
        }
        return draft.complete(DirectFormula.of(draft.trial(), new Expression.Sum(parts), unknown()));
    }
}
