package lab.sassafras.experiment.howmuch;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Account;
import lab.sassafras.account.AlternativeBalances;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.Contents;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Catalogue;
import lab.sassafras.slot.Slots;

/**
 * How much ice, hot water, cold water or metal brings water to a temperature, or where it ends. Ice may melt whole or
 * in part, or freeze some of the water: the case whose answer can be is the one.
 */
public final class HowMuch extends HeatBalanceExperiment {

    private static final Expression FREEZES = new Expression.Constant(0, "0", BenchUnit.DEGREES_CELSIUS)
            .named(Symbol.of("T:freezing"), BenchUnit.DEGREES_CELSIUS);
    private static final Expression NOTHING = new Expression.Constant(0, "0", BenchUnit.GRAMS);
    private static final Expression NO_HEAT = new Expression.Constant(0, "0", BenchUnit.JOULES_PER_GRAM_DEGREE);
    private static final double WARMEST = 99;
    private static final double COLDEST = -60;
    /** Keeps the exact ends of a case inside it. */
    private static final Expression HAIR = new Expression.Constant(1e-9, "0", BenchUnit.GRAMS);

    /** As it is offered to a class. */
    public HowMuch() {
        super("how-much", 2, BenchUnit.GRAMS);
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "question",
                        Slots.choice("added", "ice", "hot-water", "cold-water", "metal"),
                        Slots.choice("sought", "mass", "final"),
                        Slots.fromShelf("metal", Catalogue.SOLIDS),
                        Slots.quantity("fusion", BenchUnit.JOULES_PER_GRAM)
                                .accepting(List.of(333.55, 334.0, 335.0))
                                .ifKnown()),
                Group.perTrial(
                        "water",
                        Slots.liquid("mass").usually(50, 500).orAssumed(200, 0.5),
                        Slots.temperature("start").usually(10, 60).orAssumed(24, 0.2)),
                Group.perTrial(
                        "added",
                        Slots.mass("mass").usually(5, 200).orAssumed(50, 0.1),
                        Slots.temperature("start").usually(-20, 100).orAssumed(0, 0.3)),
                Group.perTrial(
                        "mixed", Slots.temperature("final").usually(0, 60).orAssumed(4, 0.1)));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("question/added"),
                Step.of("question/sought"),
                Step.of("question/metal").when("question/added", "metal"),
                Step.of("question/fusion").when("question/added", "ice"),
                Step.of("water/mass"),
                Step.of("water/start"),
                Step.of("added/start"),
                Step.of("added/mass").when("question/sought", "final"),
                Step.of("mixed/final").when("question/sought", "mass"));
    }

    @Override
    protected Account account(AccountBuilder draft) {
        String added = draft.choice("question/added").orElse("hot-water");
        boolean mass = !draft.chosen("question/sought", "final");
        Endings endings = new Endings(
                draft,
                added,
                mass ? unknown() : draft.quantity("added/mass"),
                mass ? draft.quantity("mixed/final") : unknown("unknown-final", BenchUnit.DEGREES_CELSIUS));
        Input sought = mass ? unknown() : (Input) endings.end;
        if (!added.equals("ice")) {
            return draft.complete(endings.sharing(sought));
        }
        return draft.complete(
                mass
                        ? endings.allMelts(sought)
                        : new AlternativeBalances(
                                draft.trial(),
                                List.of(
                                        endings.allMelts(sought),
                                        endings.someMelts(),
                                        endings.someFreezes(),
                                        endings.allFreezes(sought))));
    }

    /** The ways the same question can end. */
    private final class Endings {

        private final AccountBuilder draft;
        private final String kind;
        private final Expression added;
        private final Expression end;
        private final Expression start;
        private final Expression water;
        private final Expression waterStart;

        Endings(AccountBuilder draft, String kind, Expression added, Expression end) {
            this.draft = draft;
            this.kind = kind;
            this.added = added;
            this.end = end;
            this.start = draft.quantity("added/start");
            this.water = draft.quantity("water/mass");
            this.waterStart = draft.quantity("water/start");
        }

        /** Nothing changes state. */
        HeatBalance sharing(Input sought) {
            String word = words().option("question/added", kind);
            Expression heat = kind.equals("metal")
                    ? draft.specificHeatOf("question/metal")
                    : draft.heats().water().specificHeat(word, start, end);
            return books(
                    List.of(possible(HeatTerm.body("added", word, added, heat, start, end), sought)),
                    waterStart,
                    end,
                    sought);
        }

        private HeatTerm possible(HeatTerm party, Input sought) {
            return !sought.equals(added)
                    ? party
                    : party.demanding(new HeatTerm.Demand(
                            "mixing.out-of-reach",
                            sought,
                            NOTHING,
                            "That temperature cannot be reached by adding " + words().option("question/added", kind)
                                    + ": it does not lie between the two starting temperatures."));
        }

        HeatBalance allMelts(Input sought) {
            HeatTerm ice = HeatTerm.melting(
                    "added",
                    "ice",
                    added,
                    added,
                    new HeatTerm.Change(FREEZES, fusion()),
                    iceHeat(),
                    draft.heats().water().specificHeat("meltwater", FREEZES, end),
                    start,
                    end);
            return books(List.of(possible(ice, sought)), waterStart, end, sought);
        }

        /** Ends at 0 °C with ice left. */
        HeatBalance someMelts() {
            Input melted = unknown("melted", BenchUnit.GRAMS);
            HeatTerm melting = HeatTerm.process("melting", "ice melting", melted.times(fusion()))
                    .demanding(new HeatTerm.Demand("mixing.some-melts", melted.plus(HAIR), NOTHING, ""))
                    .demanding(new HeatTerm.Demand("mixing.some-melts", added.plus(HAIR), melted, ""));
            return atFreezing(melting, melted, "melted");
        }

        /** Ends at 0 °C with some of the water frozen. */
        HeatBalance someFreezes() {
            Input frozen = unknown("frozen", BenchUnit.GRAMS);
            HeatTerm freezing = HeatTerm.process(
                            "freezing", "water freezing", frozen.times(fusion()).negated())
                    .demanding(new HeatTerm.Demand("mixing.some-freezes", frozen, NOTHING, ""))
                    .demanding(new HeatTerm.Demand("mixing.some-freezes", water.plus(HAIR), frozen, ""));
            return atFreezing(freezing, frozen, "frozen");
        }

        private HeatBalance atFreezing(HeatTerm change, Input sought, String word) {
            HeatTerm warming = HeatTerm.body("added", "ice", added, iceHeat(), start, FREEZES);
            Named atZero = FREEZES.named(words().symbol("unknown-final"), BenchUnit.DEGREES_CELSIUS);
            return books(List.of(warming, change), waterStart, FREEZES, sought)
                    .answering(atZero)
                    .giving(new Derived(words().get(word), words().symbol(word), BenchUnit.GRAMS, any -> sought));
        }

        HeatBalance allFreezes(Input sought) {
            Expression all = new Expression.Sum(List.of(
                    water.times(iceHeat()).times(end.minus(FREEZES)),
                    water.times(fusion()).negated()));
            HeatTerm freezing = HeatTerm.process("freezing", "water freezing and cooling on", all)
                    .demanding(new HeatTerm.Demand(
                            "mixing.all-freezes",
                            FREEZES,
                            end,
                            "With these numbers the ice can neither melt nor freeze the water. Check the "
                                    + "starting temperatures."));
            List<HeatTerm> parties =
                    new ArrayList<>(List.of(HeatTerm.body("added", "ice", added, iceHeat(), start, end), freezing));
            parties.addAll(draft.heats().waterInCalorimeter(water, waterStart, FREEZES));
            draft.heats()
                    .withCalorimeter(new Contents(List.of(), water, NO_HEAT, FREEZES, FREEZES, end))
                    .forEach(vessel -> parties.add(below(vessel)));
            return draft.ledger(parties, sought).between(COLDEST, 0);
        }

        /** The vessel's way from the freezing point on; what it held has a line of its own. */
        private HeatTerm below(HeatTerm vessel) {
            String label = vessel.label() + " below freezing";
            return new HeatTerm(
                    "below",
                    label,
                    vessel.heat().body().named(new Symbol("q", label), BenchUnit.JOULES),
                    vessel.start(),
                    vessel.end());
        }

        private HeatBalance books(List<HeatTerm> given, Expression from, Expression to, Input sought) {
            List<HeatTerm> parties = new ArrayList<>(given);
            parties.addAll(draft.heats().waterInCalorimeter(water, from, to));
            return draft.ledger(parties, sought).holding(water.plus(added)).between(0.05, WARMEST);
        }

        private Expression fusion() {
            return draft.quantityIfGiven("question/fusion")
                    .orElseGet(() -> draft.property("fusion-of-ice", Symbol.of("L")));
        }

        private Expression iceHeat() {
            return draft.property("specific-heat-of-ice", Symbol.of("c:ice"));
        }
    }
}
