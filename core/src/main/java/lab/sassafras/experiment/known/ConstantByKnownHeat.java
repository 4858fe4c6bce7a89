package lab.sassafras.experiment.known;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Mixture.Portion;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Span;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.VesselHolds;
import lab.sassafras.yardstick.Yardstick;

/** A known heat into water: of an electric heater, of a certified standard, or of a reaction whose heat is typed. */
public final class ConstantByKnownHeat extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public ConstantByKnownHeat() {
        super("constant-by-known-heat", 2, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.FINDS_CONSTANT;
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once("source", Slots.choice("kind", "heater", "potassium-chloride", "tris", "reaction")),
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 500),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial(
                        "heater",
                        Slots.quantity("voltage", BenchUnit.VOLTS).usually(3, 15),
                        Slots.quantity("current", BenchUnit.AMPERES).usually(0.5, 5),
                        Slots.seconds("time").usually(60, 900)),
                Group.perTrial("standard", Slots.mass("mass").usually(0.5, 10), Slots.moment("added")),
                Group.perTrial(
                        "reaction",
                        Slots.quantity("heat", BenchUnit.KILOJOULES_PER_MOLE).ifKnown(),
                        Slots.quantity("amount", BenchUnit.MOLES).ifKnown()),
                Group.perTrial("mixed", Slots.temperature("final").usually(10, 45)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 3, 5).from("source/kind").at(Gear.BALANCE),
                Task.of("mix", 8, 11).from("water/start").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("source/kind"),
                Step.of("water/mass"),
                Step.of("standard/mass").when("source/kind", "potassium-chloride", "tris"),
                Step.of("reaction/heat").when("source/kind", "reaction"),
                Step.of("reaction/amount").when("source/kind", "reaction"),
                Step.of("water/start").settling(3),
                Step.of("heater/voltage").when("source/kind", "heater"),
                Step.of("heater/current").when("source/kind", "heater"),
                Step.of("heater/time").when("source/kind", "heater").taking(5).stoppingAt(8),
                Step.of("standard/added"),
                Step.of("mixed/final").taking(3));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("water/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.SOLUTION);
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("current-drifted", "heater/current", -0.05),
                new PossibleCause("switched-late", "heater/time", -3),
                new PossibleCause("stuck", "standard/mass", -0.05),
                PossibleCause.from("water/start", "lost-to-room", "mixed/final", 0.2));
    }

    @Override
    public Yardstick yardstick() {
        return new VesselHolds();
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new HeaterInWater());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression mass = draft.quantity("water/mass");
        Expression start = draft.temperatures().start("water/start");
        Expression end = draft.temperatures().end(start, "water/start", "mixed/final");
        String source = draft.choice("source/kind").orElse("heater");
        List<Portion> solids = new ArrayList<>();
        HeatTerm known = switch (source) {
            case "potassium-chloride" ->
                dissolved(draft, "standard-potassium-chloride", "potassium chloride dissolving", start, solids);
            case "tris" -> dissolved(draft, "standard-tris", "TRIS dissolving in acid", start, solids);
            case "reaction" ->
                HeatTerm.process(
                        "known",
                        "known reaction",
                        new Expression.Product(List.of(
                                draft.quantity("reaction/amount"),
                                Constants.JOULES_IN_KILOJOULE,
                                draft.quantity("reaction/heat"))));
            default ->
                HeatTerm.process(
                        "known",
                        "electric heater",
                        new Expression.Product(List.of(
                                        draft.quantity("heater/voltage"),
                                        draft.quantity("heater/current"),
                                        draft.quantity("heater/time")))
                                .negated());
        };
        List<HeatTerm> parties = new ArrayList<>(List.of(known));
        parties.addAll(draft.heats()
                .solution(
                        List.of(new Portion("water", "water", mass, start, Optional.empty())),
                        solids,
                        end,
                        Optional::empty));
        parties.add(HeatTerm.vessel("calorimeter", "calorimeter", unknown(), start, end));
        return draft.complete(draft.ledger(parties, unknown())
                .holding(mass)
                .giving(new Derived(
                        words().get("per-gram"),
                        Symbol.of("C/m"),
                        BenchUnit.JOULES_PER_GRAM_DEGREE,
                        absorbed -> absorbed.over(end.minus(start)).over(mass))));
    }

    private static HeatTerm dissolved(
            AccountBuilder draft, String standard, String label, Expression start, List<Portion> solids) {
        Expression mass = draft.quantity("standard/mass");
        solids.add(new Portion("standard", "standard", mass, start, Optional.empty()));
        return HeatTerm.process("known", label, mass.times(draft.property(standard, Symbol.of("Δh:standard"))));
    }
}
