package lab.sassafras.verdict;

import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Solution;
import lab.sassafras.draft.CycleReactions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Setting;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.yardstick.Yardstick;

/** What happened in an entry, as far as an equation tells: what another entry may build on. */
public final class WhatHappened {

    private final Reduction reduction;

    WhatHappened(Reduction reduction) {
        this.reduction = reduction;
    }

    /** {@return the equation of what happened, where one was written or follows from what was named} */
    public Optional<ChemicalEquation> equation() {
        return yardstick().equation(reduction.sheet());
    }

    private Yardstick yardstick() {
        return Experiments.declaring(reduction.sheet().experiment()).yardstick();
    }

    /** {@return how many times the result belongs to its equation as written} */
    public double timesAsWritten() {
        return Trial.counted(reduction.trials()).stream()
                .findFirst()
                .map(Solution::timesAsWritten)
                .orElse(1.0);
    }

    /** {@return what happened, as another entry may build on it; empty where no equation tells, or no heat per mole} */
    public Optional<Setting.Reaction> asReaction() {
        return reduction.unit().equals(BenchUnit.KILOJOULES_PER_MOLE) && legs().isEmpty()
                ? equation().map(each -> new Setting.Reaction(each.text(), timesAsWritten(), concentration()))
                : Optional.empty();
    }

    /** How often the equation went for each kilogram the vessel held (mol/kg). */
    private OptionalDouble concentration() {
        return Trial.counted(reduction.trials()).stream()
                .filter(trial -> trial.fill().isPresent())
                .flatMapToDouble(trial -> trial.extent().stream()
                        .map(extent -> Math.abs(extent) / (trial.fill().get() / 1000)))
                .filter(Double::isFinite)
                .findFirst();
    }

    /** {@return the legs of a cycle with what they make; empty where it is none, or something lacks} */
    public Optional<CycleReactions> legs() {
        return yardstick().cycle(reduction.sheet());
    }

    /** {@return where the heat of a burning went; empty where nothing burns, or nobody knows how much it gave} */
    public Optional<WhereHeatWent> whereHeatWent() {
        return yardstick()
                .losses()
                .filter(any -> !reduction.sheet().setting().withheld())
                .flatMap(lost -> Trial.counted(reduction.trials()).stream()
                        .findFirst()
                        .flatMap(trial -> WhereHeatWent.of(lost, trial, reduction.suspects())));
    }
}
