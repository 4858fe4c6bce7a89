package lab.sassafras.experiment.cycle;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.draft.CycleReactions;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Expression.Sum;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.substance.Formation;
import lab.sassafras.yardstick.TabulatedCycle;
import lab.sassafras.yardstick.Yardstick;
import org.hipparchus.fraction.BigFraction;

/**
 * Results of several entries, and legs from tables, turned, multiplied and added until they make another equation; what
 * they share, such as a constant or a thermometer, counts once. Where the target was measured as well, the cycle is
 * closed by it.
 */
public final class Cycle extends HeatBalanceExperiment {

    private static final CycleReactions.At AT = new CycleReactions.At("target/equation", "leg");

    /** As it is offered to a class. */
    public Cycle() {
        super("cycle", 1, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NONE;
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once(
                        "target",
                        Slots.equationOfHalves("equation"),
                        Slots.reference("run", BenchUnit.KILOJOULES_PER_MOLE)),
                Group.perPart(
                        "leg",
                        Slots.choice("from", "entry", "shelf", "typed"),
                        Slots.reference("run", BenchUnit.KILOJOULES_PER_MOLE),
                        Slots.equationOfHalves("equation"),
                        Slots.quantity("heat", BenchUnit.KILOJOULES_PER_MOLE).orTakenAsKnown()));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("target/equation"),
                Step.of("target/run"),
                Step.of("leg/from"),
                Step.of("leg/run").when("leg/from", "entry"),
                Step.of("leg/equation").when("leg/from", "shelf", "typed"),
                Step.of("leg/heat").when("leg/from", "typed"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of();
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedCycle(AT);
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Optional<CycleReactions> legs = CycleReactions.of(draft, AT);
        List<Expression> heats = new ArrayList<>();
        for (int i = 1; i <= draft.parts("leg"); i++) {
            heats.add(heat(draft, legs, i));
        }
        List<BigFraction> times = legs.map(CycleReactions::times).orElse(List.of());
        List<Expression> terms = new ArrayList<>();
        for (int i = 0; i < heats.size(); i++) {
            BigFraction taken = i < times.size() ? times.get(i) : BigFraction.ONE;
            if (!taken.equals(BigFraction.ZERO)) {
                terms.add(term(heats.get(i), taken, legs.map(each -> each.legs()), i));
            }
        }
        Expression sum = terms.size() == 1 ? terms.get(0) : new Sum(terms);
        DirectFormula books = DirectFormula.of(draft.trial(), sum, unknown());
        List<Remark> remarks = new ArrayList<>();
        legs.ifPresent(each -> remarks.addAll(Said.of(each, draft.figures())));
        Optional<Expression> measured = draft.results().ifGiven("target/run");
        measured.ifPresent(direct -> remarks.add(new Closure(direct.minus(sum), draft.figures())));
        books = books.remarking(remarks);
        return draft.complete(measured.map(direct -> new Derived(
                        words().get("closure"),
                        Symbol.of("ΔH:closure"),
                        BenchUnit.KILOJOULES_PER_MOLE,
                        way -> direct.minus(way)))
                .map(books::giving)
                .orElse(books));
    }

    /** The heat of a leg, where it comes from. */
    private static Expression heat(AccountBuilder draft, Optional<CycleReactions> legs, int i) {
        if (draft.part(i).answered("leg/from", "entry")) {
            return draft.part(i).reference("leg/run");
        }
        if (!draft.part(i).answered("leg/from", "shelf")) {
            return draft.part(i).quantity("leg/heat");
        }
        return legs.map(each -> each.legs().get(i - 1))
                .map(Cycle::fromRows)
                .orElseGet(() -> new Expression.Constant(0, "0", BenchUnit.KILOJOULES_PER_MOLE))
                .named(Symbol.of("ΔH:shelf " + i), BenchUnit.KILOJOULES_PER_MOLE);
    }

    /** What is formed less what is taken, row by row, so that legs which share a row share its error. */
    private static Expression fromRows(CycleReactions.Leg leg) {
        Optional<Expression> formed = sum(leg, true);
        Optional<Expression> taken = sum(leg, false);
        Expression whole = formed.isPresent() && taken.isPresent()
                ? formed.get().minus(taken.get())
                : formed.or(() -> taken.map(Expression::negated))
                        .orElseGet(() -> new Expression.Constant(0, "0", BenchUnit.KILOJOULES_PER_MOLE));
        return leg.equation().times() == 1
                ? whole
                : whole.over(Expression.number(
                        leg.equation().times(), String.valueOf(leg.equation().times())));
    }

    /** Of the rows that are not nought by agreement. */
    private static Optional<Expression> sum(CycleReactions.Leg leg, boolean formed) {
        List<Expression> terms = new ArrayList<>();
        for (Formation.Taken each : leg.rows()) {
            if (each.count() > 0 == formed && each.row().uncertainty() > 0) {
                Expression row = new Expression.Input(
                        each.row().input(),
                        Symbol.of("ΔfH:" + each.row().species()),
                        "formation of " + each.row().species(),
                        BenchUnit.KILOJOULES_PER_MOLE);
                int count = Math.abs(each.count());
                terms.add(
                        count == 1
                                ? row
                                : Expression.number(count, String.valueOf(count))
                                        .times(row));
            }
        }
        return terms.isEmpty() ? Optional.empty() : Optional.of(terms.size() == 1 ? terms.get(0) : new Sum(terms));
    }

    private static Expression term(Expression heat, BigFraction taken, Optional<List<CycleReactions.Leg>> legs, int i) {
        double times = legs.map(each -> each.get(i).times()).orElse(1.0);
        List<Expression> factors = new ArrayList<>();
        BigFraction size = taken.abs();
        if (!size.equals(BigFraction.ONE)) {
            factors.add(Expression.number(size.doubleValue(), Fractions.written(size)));
        }
        if (Math.abs(times - 1) > 1e-9) {
            factors.add(Expression.number(times, Fractions.written(times)));
        }
        factors.add(heat);
        Expression whole = factors.size() == 1 ? heat : new Product(factors);
        return taken.compareTo(BigFraction.ZERO) < 0 ? whole.negated() : whole;
    }
}
