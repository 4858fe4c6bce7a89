package lab.sassafras.experiment.mixing;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.WaterHeat;
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
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.VesselHolds;
import lab.sassafras.yardstick.Yardstick;

/** Hot water into cold: what the books lack is what the vessel absorbed. */
public final class ConstantByMixing extends HeatBalanceExperiment {

    /** As it is offered to a class. */
    public ConstantByMixing() {
        super("constant-by-mixing", 2, BenchUnit.JOULES_PER_DEGREE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.FINDS_CONSTANT;
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.perTrial("cup", Slots.choice("held", "cold", "hot")),
                Group.perTrial(
                        "cold",
                        Slots.liquid("mass").usually(20, 120),
                        Slots.temperature("start").usually(15, 30)),
                Group.perTrial(
                        "hot",
                        Slots.liquid("mass").usually(20, 120),
                        Slots.temperature("start").usually(40, 75),
                        Slots.moment("poured")),
                Group.perTrial("mixed", Slots.temperature("final").usually(25, 55)));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("rinse", 2, 3).in(Task.Turn.LATER),
                Task.of("weigh", 2, 4).from("cup/held").at(Gear.BALANCE),
                Task.of("settle", 3, 4).from("cold/start").at(Gear.PROBE),
                Task.of("hot", 2, 3).from("hot/mass").at(Gear.HOT_PLATE).then(1),
                Task.of("mix", 4, 6).from("hot/poured").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("cup/held"),
                Step.of("cold/mass"),
                Step.of("cold/start").settling(3),
                Step.of("hot/mass"),
                Step.of("hot/start"),
                Step.of("hot/poured"),
                Step.of("mixed/final").taking(3));
    }

    @Override
    public Optional<Span> span() {
        return Optional.of(new Span("cold/start", "mixed/final"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER);
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("cooled-in-transit", "hot/start", -1),
                new PossibleCause("still-heating", "hot/start", 1),
                new PossibleCause("final-too-high", "mixed/final", -0.2),
                new PossibleCause("final-too-low", "mixed/final", 0.2),
                new PossibleCause("drops-left-behind", "hot/mass", -0.3).upTo(3).exceptPoured(),
                PossibleCause.twoThermometers("hot/start", "cold/start"));
    }

    @Override
    public Yardstick yardstick() {
        return new VesselHolds();
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new HotIntoCold());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        WaterHeat water = draft.heats().water();
        Expression coldMass = draft.quantity("cold/mass");
        Expression cold = draft.temperatures().start("cold/start");
        Expression hotMass = draft.quantity("hot/mass");
        Expression hot = draft.quantity("hot/start");
        Expression end = draft.temperatures().end(cold, "cold/start", "mixed/final");
        Expression vesselStart = draft.chosen("cup/held", "hot") ? hot : cold;
        Expression fill = hotMass.plus(coldMass);
        return draft.complete(draft.ledger(
                        List.of(
                                HeatTerm.body(
                                        "hot",
                                        "hot water",
                                        hotMass,
                                        water.specificHeat("hot water", hot, end),
                                        hot,
                                        end),
                                HeatTerm.body(
                                        "cold",
                                        "cold water",
                                        coldMass,
                                        water.specificHeat("cold water", cold, end),
                                        cold,
                                        end),
                                HeatTerm.vessel("calorimeter", "calorimeter", unknown(), vesselStart, end)),
                        unknown())
                .holding(fill)
                .giving(
                        perGram("per-gram", vesselStart, end, fill),
                        perGram("per-gram-cold", vesselStart, end, coldMass)));
    }

    private Derived perGram(String word, Expression start, Expression end, Expression mass) {
        return new Derived(
                words().get(word),
                Symbol.of("C/m"),
                BenchUnit.JOULES_PER_GRAM_DEGREE,
                absorbed -> absorbed.over(end.minus(start)).over(mass));
    }
}
