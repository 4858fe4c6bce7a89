package lab.sassafras.experiment.dissolving;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.Party;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.experiment.Caveat;
import lab.sassafras.experiment.Draft;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.LedgerExperiment;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Step;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** A weighed solid dissolves in water: dissolving + solution + calorimeter; per mole, and per gram. */
public final class HeatOfSolution extends LedgerExperiment {

    private static final Expression JOULES_IN_KILOJOULE = Expression.number(1000, "1000 J/kJ");

    public HeatOfSolution() {
        super("heat-of-solution", 1, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    public List<Group> groups() {
        return List.of(
                Group.once("solute", new Slot.Formula("formula", false), Slot.percent("purity").ifKnown()),
                Group.perTrial("water", Slot.mass("mass").usually(50, 150), Slot.temperature("start").usually(15, 30)),
                Group.perTrial("solid", Slot.mass("mass").usually(1, 15), Slot.moment("added")),
                Group.perTrial("solution", Slot.temperature("final").usually(5, 60), Slot.choice("dissolved", "all", "rest")));
    }

    @Override
    public List<Step> procedure() {
        return List.of(Step.of("solute/formula"), Step.of("solute/purity"), Step.of("water/mass"), Step.of("solid/mass"),
                Step.of("water/start").taking(3), Step.of("solid/added"), Step.of("solution/final").taking(3),
                Step.of("solution/dissolved"));
    }

    @Override
    public List<Question<?>> conventions() {
        return List.of(Question.WATER, Question.SOLUTION, Question.CALORIMETER);
    }

    @Override
    public List<Suspect> suspects() {
        return List.of(new Suspect("stuck", "solid/mass", -0.1), new Suspect("leaked", "solution/final", 0.2),
                new Suspect("drops-left-behind", "water/mass", -0.5));
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("solution/dissolved", "rest", true));
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.OfDissolving("solute/formula");
    }

    @Override
    protected Account account(Draft draft, Conventions conventions) {
        WaterHeat heat = conventions.in(Question.WATER);
        Expression water = draft.quantity("water/mass");
        Expression solid = draft.quantity("solid/mass");
        Expression start = draft.quantity("water/start");
        Expression end = draft.quantity("solution/final");
        Expression molarMass = draft.molarMass("solute/formula");
        draft.choice("solution/dissolved");
        Expression pure = draft.quantityIfGiven("solute/purity")
                .map(purity -> solid.times(purity).over(Expression.number(100, "100 %"))).orElse(solid);
        Expression moles = pure.over(molarMass).named(Symbol.of("n:solid"), BenchUnit.MOLES);
        Expression mass = conventions.in(Question.SOLUTION).mass(water, solid)
                .named(Symbol.of("m:solution"), BenchUnit.GRAMS);

        List<Party> parties = new ArrayList<>();
        parties.add(Party.process("dissolving", "dissolving",
                new Expression.Product(List.of(moles, JOULES_IN_KILOJOULE, unknown()))));
        parties.add(Party.body("solution", "solution", mass, heat.specificHeat("solution", start, end), start, end));
        draft.calorimeter(conventions, start, end).ifPresent(parties::add);
        return draft.ledger(parties, unknown(), water.plus(solid), new Derived(words().get("per-gram"),
                Symbol.of("Δh"), BenchUnit.JOULES_PER_GRAM, dissolving -> dissolving.over(solid)),
                new Derived(words().get("heat"), Symbol.of("q"), BenchUnit.JOULES, dissolving -> dissolving));
    }
}
