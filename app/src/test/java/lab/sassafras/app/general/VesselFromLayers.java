package lab.sassafras.app.general;

import static tech.units.indriya.unit.Units.JOULE;
import static tech.units.indriya.unit.Units.KELVIN;
import static tech.units.indriya.unit.Units.MOLE;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Account;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.OwnUnits;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;

/**
 * Never offered to a class: proof that the slot model is general. Layers of water (a repeated part) around a metal
 * pellet counted by Dulong and Petit (a formula, an assumed temperature), stirred by a spoon that may count with the
 * constant another entry found (a choice, a reference).
 */
public final class VesselFromLayers extends HeatBalanceExperiment {

    private static final BenchUnit MOLAR_HEAT = BenchUnit.of(
            "J/(mol·°C)", Dimension.of("molar heat"), JOULE.divide(MOLE).divide(KELVIN));

    /** What it brings to the list of units. */
    public static final class Units implements OwnUnits {
        @Override
        public List<BenchUnit> units() {
            return List.of(MOLAR_HEAT);
        }
    }

    public VesselFromLayers() {
        super("vessel-from-layers", 1, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NONE;
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perPart("layer", Slots.mass("mass"), Slots.temperature("start")),
                Group.once(
                        "pellet",
                        Slots.formula("metal"),
                        Slots.mass("mass"),
                        Slots.temperature("start").orAssumed(0, 0.5)),
                Group.once(
                        "spoon",
                        Slots.choice("counted", "yes", "no"),
                        Slots.reference("constant", BenchUnit.JOULES_PER_DEGREE)),
                Group.perTrial("mixed", Slots.temperature("final")));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("layer/mass"),
                Step.of("layer/start"),
                Step.of("pellet/metal"),
                Step.of("pellet/mass"),
                Step.of("pellet/start"),
                Step.of("spoon/counted"),
                Step.of("spoon/constant").when("spoon/counted", "yes"),
                Step.of("mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER);
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression end = draft.quantity("mixed/final");
        List<HeatTerm> parties = new ArrayList<>();
        for (int i = 1; i <= draft.parts("layer"); i++) {
            Expression start = draft.part(i).quantity("layer/start");
            parties.add(HeatTerm.body(
                    "layer" + i,
                    "layer " + i,
                    draft.part(i).quantity("layer/mass"),
                    draft.heats().water().specificHeat("layer " + i, start, end),
                    start,
                    end));
        }
        Expression molarHeat = new Expression.Constant(25, "25", MOLAR_HEAT);
        parties.add(HeatTerm.body(
                "pellet",
                "pellet",
                draft.quantity("pellet/mass"),
                molarHeat.over(draft.chemistry().molarMass("pellet/metal")),
                draft.quantity("pellet/start"),
                end));
        if (draft.choice("spoon/counted").filter("yes"::equals).isPresent()) {
            parties.add(HeatTerm.vessel(
                    "spoon",
                    "spoon",
                    draft.results().of("spoon/constant"),
                    draft.part(1).quantity("layer/start"),
                    end));
        }
        parties.add(HeatTerm.vessel("vessel", "vessel", unknown(), draft.part(1).quantity("layer/start"), end));
        return draft.complete(
                draft.ledger(parties, unknown()).holding(draft.part(1).quantity("layer/mass")));
    }
}
