package lab.sassafras.app.general.warming;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.statistics.Combination;
import lab.sassafras.substance.Reference;
import lab.sassafras.yardstick.Parts;
import lab.sassafras.yardstick.Yardstick;

/**
 * Never offered to a class: proof that accounts, units, vessels and results are general. A dish warmed by a known
 * power: its heat capacity is power by rate (a direct account), best the slope of power against rate over several
 * trials (a line as result), which is free of a steady loss. The rate comes of a trace; power is a dimension of its
 * own; the dish is weighed empty first and full at the very end.
 */
public final class CapacityFromWarming extends HeatBalanceExperiment {

    /** A kind of instrument of its own: the shelf offers it, and the power is read on it. */
    private static final InstrumentKind METER =
            new InstrumentKind("POWER_METER", "power meter", Dimension.POWER, 0.01, 0, 0, 60);

    private static final VesselKind DISH = new VesselKind("ceramic-dish", "ceramic dish", 40, 150);

    public CapacityFromWarming() {
        super("capacity-from-warming", 1, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.FINDS_CONSTANT;
    }

    @Override
    public List<VesselKind> vessels() {
        return List.of(DISH);
    }

    @Override
    public List<InstrumentKind> instruments() {
        return List.of(METER);
    }

    /** Judged by what a dish of sand of that weight was found to hold before. */
    @Override
    public Yardstick yardstick() {
        return judged -> Parts.beside(
                List.of(),
                judged.sheet()
                        .reading("heater/power", judged.trial())
                        .map(any -> new Reference(
                                "dish", "this dish, found before", 50.2, 0.3, judged.unit(), "the tests", true)),
                Parts.Compared.BY_SIZE);
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.LINE, Combination.MEAN);
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of();
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perTrial("dish", Slots.mass("sand")),
                Group.perTrial(
                        "heater", Slots.quantity("power", BenchUnit.WATTS).usually(0.5, 10)),
                Group.perTrial("run", new TraceSlot("trace")));
    }

    @Override
    protected List<Step> steps() {
        return List.of(Step.empty("dish/sand"), Step.of("heater/power"), Step.of("run/trace"), Step.full("dish/sand"));
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression power = draft.quantity("heater/power");
        Expression rate = draft.quantity("run/trace");
        Expression sand = draft.quantity("dish/sand");
        Remark slow = bindings -> Optional.of(Finding.note("warming.told", "The rate is that of the trace."));
        return draft.complete(DirectFormula.of(draft.trial(), power.over(rate), unknown())
                .holding(sand)
                .giving(new Derived(
                        "capacity per gram",
                        Symbol.of("C/m"),
                        BenchUnit.JOULES_PER_GRAM_DEGREE,
                        capacity -> capacity.over(sand)))
                .against(
                        rate.named(Symbol.of("r:warming"), BenchUnit.DEGREES_PER_SECOND),
                        new Derived("power", Symbol.of("P"), BenchUnit.WATTS, any -> power))
                .remarking(List.of(slow)));
    }
}
