package lab.sassafras.experiment.bomb.sample;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.ResultBasis;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.draft.Stoichiometry.Burning;
import lab.sassafras.experiment.bomb.InBomb;
import lab.sassafras.experiment.bomb.PelletInBomb;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Slots;
import lab.sassafras.statistics.Combination;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.yardstick.TabulatedInBomb;
import lab.sassafras.yardstick.Yardstick;

/** A sample burns in the bomb, at constant volume: ΔU, and from it ΔH and the heat of formation. */
public final class BombCombustion extends InBomb {

    private static final String PRESSURE = "oxygen/pressure";
    private static final String VOLUME = "oxygen/volume";
    private static final String INSIDE = "oxygen/water";

    /** As it is offered to a class. */
    public BombCombustion() {
        super("bomb-combustion", 1, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    protected List<Group> slots() {
        return Stream.concat(
                        Stream.of(
                                Group.once(
                                        "sample",
                                        Slots.formula("formula"),
                                        Slots.choiceIfKnown("state", "solid", "liquid")),
                                Group.once(
                                        "oxygen",
                                        Slots.quantity("pressure", BenchUnit.HECTOPASCALS)
                                                .usually(15_000, 45_000)
                                                .ifKnown(),
                                        Slots.quantity("volume", BenchUnit.MILLILITRES)
                                                .usually(100, 600)
                                                .ifKnown(),
                                        Slots.quantity("water", BenchUnit.GRAMS)
                                                .usually(0, 10)
                                                .ifKnown())),
                        super.slots().stream())
                .toList();
    }

    @Override
    protected List<Step> steps() {
        return Stream.concat(
                        Stream.of(
                                Step.of("sample/formula").under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                                Step.of("sample/state").under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                                Step.aside(PRESSURE).under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                                Step.aside(VOLUME).under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE),
                                Step.aside(INSIDE).under(ConventionQuestion.BASIS, ResultBasis.PER_MOLE)),
                        super.steps().stream())
                .toList();
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.CALORIMETER, ConventionQuestion.BASIS);
    }

    @Override
    public List<Combination> combinations() {
        return List.of(Combination.MEAN, Combination.LINE);
    }

    @Override
    public Yardstick yardstick() {
        return new TabulatedInBomb("sample/formula", "sample/state");
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new PelletInBomb(
                "C12H22O11",
                stage -> stage.once("heat", 16_300, 16_700),
                (stage, heat) -> -heat * ChemicalFormula.read("C12H22O11").molarMass() / 1000));
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression pellet = pellet(draft);
        Expression water = draft.quantity(WATER);
        Expression start = draft.temperatures().start(START);
        Expression end = draft.temperatures().end(start, START, END);
        List<HeatTerm> others = new ArrayList<>(besides(draft));
        others.addAll(draft.heats().waterInCalorimeter(water, start, end));
        return draft.complete(
                switch (draft.conventions().in(ConventionQuestion.BASIS)) {
                    case PER_MOLE -> perMole(draft, pellet, others);
                    case PER_GRAM -> {
                        Input sought = unknown("unknown-per-gram", BenchUnit.JOULES_PER_GRAM_OF_PROCESS);
                        yield ledger(draft, pellet.times(sought), others, sought)
                                .giving(joules());
                    }
                    case HEAT -> {
                        Input sought = unknown("unknown-heat", BenchUnit.JOULES);
                        yield ledger(draft, sought, others, sought).growingWith(pellet);
                    }
                });
    }

    private static HeatBalance ledger(AccountBuilder draft, Expression heat, List<HeatTerm> others, Input sought) {
        List<HeatTerm> parties = new ArrayList<>(List.of(HeatTerm.process("combustion", "sample burning", heat)));
        parties.addAll(others);
        return draft.ledger(parties, sought)
                .holding(draft.quantity(WATER))
                .remarking(leftOut(draft, draft.quantityIfGiven(PRESSURE).isPresent()));
    }

    private HeatBalance perMole(AccountBuilder draft, Expression pellet, List<HeatTerm> others) {
        Named moles = pellet.over(draft.chemistry().molarMass("sample/formula"))
                .named(Symbol.of("n:sample"), BenchUnit.MOLES);
        List<Derived> beside = new ArrayList<>(List.of(
                new Derived(
                        words().get("per-gram"),
                        Symbol.of("Δu"),
                        BenchUnit.JOULES_PER_GRAM_OF_PROCESS,
                        heat -> heat.over(pellet)),
                joules()));
        draft.chemistry()
                .burning("sample/formula", draft.choice("sample/state").orElse("solid"))
                .ifPresent(burning -> beside.addAll(0, atConstantPressure(burning, moles)));
        atStandardStates(draft, moles).ifPresent(beside::add);
        return ledger(draft, new Product(List.of(moles, Constants.JOULES_IN_KILOJOULE, unknown())), others, unknown())
                .against(moles, kilojoules())
                .giving(beside.toArray(Derived[]::new));
    }

    /** The energy of combustion with everything at one bar and by itself. The bomb's own value stays what is judged. */
    private Optional<Derived> atStandardStates(AccountBuilder draft, Named moles) {
        Optional<Expression> pressure = draft.quantityIfGiven(PRESSURE);
        Optional<Expression> volume = draft.quantityIfGiven(VOLUME);
        Optional<Expression> water = draft.quantityIfGiven(INSIDE);
        Optional<StandardStates> sample =
                draft.chemistry().formula("sample/formula").flatMap(formula -> StandardStates.of(formula.atoms()));
        if (pressure.isEmpty() || sample.isEmpty()) {
            return Optional.empty();
        }
        boolean full = volume.isPresent() && water.isPresent();
        Expression correction = full
                ? sample.get().inFull(moles, pressure.get(), volume.get(), water.get())
                : sample.get().inShort(pressure.get());
        return Optional.of(new Derived(
                words().get(full ? "standard-in-full" : "standard"),
                Symbol.of("ΔU:standard"),
                BenchUnit.KILOJOULES_PER_MOLE,
                heat -> heat.over(moles)
                        .over(Constants.JOULES_IN_KILOJOULE)
                        .named(Symbol.of("ΔU:per mole"), BenchUnit.KILOJOULES_PER_MOLE)
                        .plus(correction)));
    }

    /** ΔH = ΔU + Δn(gas) R T, and the heat of formation from it, both at 25 °C. */
    private List<Derived> atConstantPressure(Burning burning, Named moles) {
        Optional<Expression> gas = Optional.of(burning.gasPerMole())
                .filter(each -> each != 0)
                .map(each -> new Product(List.of(Expression.number(each, plain(each)), Constants.GAS, Constants.AT_25))
                        .over(Constants.JOULES_IN_KILOJOULE));
        Derived enthalpy = new Derived(
                words().get("enthalpy"),
                Symbol.of("ΔH"),
                BenchUnit.KILOJOULES_PER_MOLE,
                heat -> enthalpy(heat, moles, gas));
        Derived formation = new Derived(
                words().get("formation"),
                Symbol.of("ΔH:formation"),
                BenchUnit.KILOJOULES_PER_MOLE,
                heat -> new Expression.Constant(
                                burning.productsPerMole(),
                                String.format(Locale.ROOT, "%.3f", burning.productsPerMole()),
                                BenchUnit.KILOJOULES_PER_MOLE)
                        .named(Symbol.of("ΔH:products"), BenchUnit.KILOJOULES_PER_MOLE)
                        .minus(enthalpy(heat, moles, gas)));
        Derived written = new Derived(
                words().get("as-written"),
                Derived.AS_WRITTEN,
                BenchUnit.KILOJOULES_PER_MOLE,
                heat -> enthalpy(heat, moles, gas)
                        .times(Expression.number(burning.fuel(), Integer.toString(burning.fuel()))));
        return List.of(enthalpy, formation, written);
    }

    private static Expression enthalpy(Expression heat, Named moles, Optional<Expression> gas) {
        Expression energy = heat.over(moles)
                .over(Constants.JOULES_IN_KILOJOULE)
                .named(Symbol.of("ΔU:per mole"), BenchUnit.KILOJOULES_PER_MOLE);
        return gas.<Expression>map(energy::plus).orElse(energy);
    }

    private static String plain(double number) {
        return number == Math.rint(number) ? Long.toString(Math.round(number)) : Double.toString(number);
    }
}
