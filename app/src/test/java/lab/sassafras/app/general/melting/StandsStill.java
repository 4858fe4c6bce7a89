package lab.sassafras.app.general.melting;

import java.util.List;
import java.util.Map;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Plateau;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.substance.Reference;
import lab.sassafras.yardstick.Parts;
import lab.sassafras.yardstick.Yardstick;

/**
 * Never offered to a class: proof that a curve may be read for something else than mixing. A melt cools and stands
 * still where it freezes; how far it fell below that first is told beside it.
 */
public final class StandsStill extends HeatBalanceExperiment {

    public StandsStill() {
        super("plateau-from-cooling", 1, BenchUnit.DEGREES_CELSIUS);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NONE;
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of();
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once("melt", Slots.temperature("known").ifKnown()),
                Group.perTrial("cooled", Slots.trace("curve")));
    }

    @Override
    protected List<Step> steps() {
        return List.of(Step.of("melt/known"), Step.of("cooled/curve"));
    }

    @Override
    public Map<String, CurvePurpose> curves() {
        return Map.of("cooled/curve", new Plateau());
    }

    @Override
    public Yardstick yardstick() {
        return judged -> Parts.beside(
                List.of(),
                judged.sheet()
                        .reading("melt/known", 1)
                        .map(line -> new Reference(
                                "known", "freezing point as told", line.value(), 0.1, judged.unit(), "a label", true)),
                Parts.Compared.BY_SIZE);
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression beyond = draft.curves().told("cooled/curve", "beyond");
        return draft.complete(DirectFormula.of(draft.trial(), draft.curves().told("cooled/curve", "level"), unknown())
                .giving(new Derived(
                        words().get("beyond"), Symbol.of("ΔT:below"), BenchUnit.DEGREES_CELSIUS, any -> beyond)));
    }
}
