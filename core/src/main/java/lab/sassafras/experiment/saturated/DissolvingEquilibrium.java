package lab.sassafras.experiment.saturated;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.declaration.Caveat;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.LineReading;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Applied;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Expression.Product;
import lab.sassafras.expression.NaturalLogarithm;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Slots;
import lab.sassafras.statistics.Combination;
import lab.sassafras.yardstick.ToldBeside;
import lab.sassafras.yardstick.Yardstick;

/**
 * A saturated solution at a held temperature: K from what dissolved in the final volume of the solution, ΔG = −RT ln K,
 * and with ΔH from another entry or a table ΔS. Activities are ignored, which is said.
 */
public final class DissolvingEquilibrium extends HeatBalanceExperiment {

    /**
     * What the slope of ln K against 1/T is multiplied by to be ΔH in kJ/mol, and with the intercept times T to be ΔG.
     */
    private static final double BY_SLOPE_AND_INTERCEPT = -Constants.GAS.value() / 1000;

    /** As it is offered to a class. */
    public DissolvingEquilibrium() {
        super("dissolving-equilibrium", 2, BenchUnit.KILOJOULES_PER_MOLE);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NONE;
    }

    @Override
    protected List<Group> slots() {
        return List.of(
                Group.once("solute", Slots.formula("formula"), Slots.choice("dissolves", "whole", "two-ions")),
                Group.perTrial(
                        "vessel",
                        Slots.quantity("empty", BenchUnit.GRAMS).usually(5, 150),
                        Slots.quantity("solvent", BenchUnit.GRAMS).usually(6, 250),
                        Slots.quantity("after", BenchUnit.GRAMS).usually(6, 300)),
                Group.perTrial(
                        "bath",
                        Slots.quantity("temperature", BenchUnit.DEGREES_CELSIUS).usually(5, 60),
                        Slots.choice("held", "bath", "hand", "not")),
                Group.perTrial(
                        "solution",
                        Slots.choice("last", "dissolved", "rest"),
                        Slots.quantity("volume", BenchUnit.MILLILITRES).usually(2, 100)),
                Group.once(
                        "heat",
                        Slots.reference("run", BenchUnit.KILOJOULES_PER_MOLE),
                        Slots.quantity("typed", BenchUnit.KILOJOULES_PER_MOLE).ifKnown()),
                Group.once(
                        "table",
                        Slots.quantity("enthalpy-solid", BenchUnit.KILOJOULES_PER_MOLE)
                                .ifKnown(),
                        Slots.quantity("enthalpy-dissolved", BenchUnit.KILOJOULES_PER_MOLE)
                                .ifKnown(),
                        Slots.quantity("entropy-solid", BenchUnit.JOULES_PER_MOLE_KELVIN)
                                .ifKnown(),
                        Slots.quantity("entropy-dissolved", BenchUnit.JOULES_PER_MOLE_KELVIN)
                                .ifKnown()));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("weigh", 2, 5).from("solute/formula").at(Gear.BALANCE),
                Task.of("bath", 10, 15)
                        .from("bath/temperature")
                        .at(Gear.HOT_PLATE)
                        .byItself(),
                Task.of("draw", 6, 10).from("solution/last").at(Gear.BALANCE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("solute/formula"),
                Step.of("solute/dissolves"),
                Step.of("vessel/empty"),
                Step.of("vessel/solvent"),
                Step.of("bath/temperature").settling(5),
                Step.of("bath/held"),
                Step.of("solution/last").taking(10),
                Step.of("solution/volume"),
                Step.of("vessel/after"),
                Step.aside("heat/run"),
                Step.aside("heat/typed"),
                Step.aside("table/enthalpy-solid"),
                Step.aside("table/enthalpy-dissolved"),
                Step.aside("table/entropy-solid"),
                Step.aside("table/entropy-dissolved"));
    }

    @Override
    protected List<ConventionQuestion<?>> questions() {
        return List.of();
    }

    @Override
    public Optional<Foresight> foresight() {
        return Optional.of(new FilledToTheLimit());
    }

    @Override
    public Yardstick yardstick() {
        return new ToldBeside("ΔG(accepted)");
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("solution/last", "rest"), new Caveat("bath/held", "not"));
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("rest-counted", "vessel/after", -0.3).upTo(1.5),
                new PossibleCause("volume-off", "solution/volume", 0.1)
                        .eitherWay()
                        .upTo(0.5),
                new PossibleCause("cooled-itself", "bath/temperature", -1).upTo(8));
    }

    @Override
    public List<Combination> combinations() {
        return List.of(
                Combination.meanUnlessAlongLine(),
                Combination.ofLine(
                        "at-25",
                        "ΔG at 25 °C by the line of ln K against 1/T",
                        words().get("by-line"),
                        BY_SLOPE_AND_INTERCEPT,
                        BY_SLOPE_AND_INTERCEPT * Constants.AT_25.value()),
                Combination.ofLine(
                        "temperatures",
                        "ΔH by the line of ln K against 1/T",
                        "enthalpy of dissolving, by the line of ln K against 1/T",
                        BY_SLOPE_AND_INTERCEPT,
                        0));
    }

    @Override
    public List<LineReading> lineReadings() {
        return List.of(
                new LineReading(
                        words().get("by-line"),
                        BY_SLOPE_AND_INTERCEPT,
                        BY_SLOPE_AND_INTERCEPT * Constants.AT_25.value(),
                        BenchUnit.KILOJOULES_PER_MOLE),
                new LineReading(words().get("by-slope"), BY_SLOPE_AND_INTERCEPT, 0, BenchUnit.KILOJOULES_PER_MOLE),
                new LineReading(
                        words().get("by-intercept"), 0, Constants.GAS.value(), BenchUnit.JOULES_PER_MOLE_KELVIN));
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression solvent = draft.quantity("vessel/solvent");
        Named solute = draft.quantity("vessel/after").minus(solvent).named(Symbol.of("m:dissolved"), BenchUnit.GRAMS);
        Expression volume = draft.quantity("solution/volume");
        Expression celsius = draft.quantity("bath/temperature");
        Named kelvin = celsius.plus(Constants.ICE_POINT).named(Symbol.of("T"), BenchUnit.KELVINS);
        Named moles = solute.over(draft.chemistry().molarMass("solute/formula"))
                .named(Symbol.of("n:dissolved"), BenchUnit.MOLES);
        Named concentration = moles.over(volume.over(Constants.MILLILITRES_IN_LITRE))
                .named(Symbol.of("c:dissolved"), BenchUnit.MOLES_PER_LITRE);
        draft.choice("bath/held");
        draft.choice("solution/last");
        Expression relative = concentration.over(Constants.ONE_MOLAR);
        Named constant = (draft.chosen("solute/dissolves", "two-ions")
                        ? new Product(List.of(relative, relative))
                        : relative)
                .named(Symbol.of("K"), BenchUnit.NUMBER);
        Named log = new Applied(new NaturalLogarithm(), constant).named(Symbol.of("ln K"), BenchUnit.NUMBER);
        Expression energy = new Product(List.of(Constants.GAS, kelvin, log))
                .over(Constants.JOULES_IN_KILOJOULE)
                .negated();
        Named inverse = Expression.number(1, "1").over(kelvin).named(Symbol.of("1/T"), BenchUnit.PER_KELVIN);
        List<Derived> beside = new ArrayList<>(List.of(
                new Derived(words().get("constant"), Symbol.of("K"), BenchUnit.NUMBER, any -> constant),
                new Derived(
                        words().get("concentration"),
                        Symbol.of("c:dissolved"),
                        BenchUnit.MOLES_PER_LITRE,
                        any -> concentration)));
        enthalpy(draft).ifPresent(heat -> beside.add(entropy("entropy", heat, kelvin)));
        accepted(draft, kelvin, beside);
        return draft.complete(DirectFormula.of(draft.trial(), energy, unknown())
                .along(inverse, new Derived(words().get("log"), Symbol.of("ln K"), BenchUnit.NUMBER, any -> log))
                .remarking(remarks(draft, solute, solvent.minus(draft.quantity("vessel/empty")), volume, celsius))
                .giving(beside.toArray(Derived[]::new)));
    }

    /** ΔH of another entry, else as typed, else of the shelf. */
    private static Optional<Expression> enthalpy(AccountBuilder draft) {
        return draft.results()
                .ifGiven("heat/run")
                .or(() -> draft.quantityIfGiven("heat/typed"))
                .or(() -> draft.chemistry()
                        .tabulatedSolution("solute/formula")
                        .filter(any -> !draft.chemistry().withheld()));
    }

    private Derived entropy(String word, Expression heat, Named kelvin) {
        return new Derived(
                words().get(word),
                Symbol.of("ΔS"),
                BenchUnit.JOULES_PER_MOLE_KELVIN,
                free -> heat.minus(free).times(Constants.JOULES_IN_KILOJOULE).over(kelvin));
    }

    /** What the tables give, where heats of formation and entropies were typed. */
    private void accepted(AccountBuilder draft, Named kelvin, List<Derived> beside) {
        Optional<Expression> heat = change(draft, "table/enthalpy-solid", "table/enthalpy-dissolved");
        Optional<Expression> entropy = change(draft, "table/entropy-solid", "table/entropy-dissolved");
        heat.ifPresent(each -> beside.add(new Derived(
                words().get("accepted-enthalpy"),
                Symbol.of("ΔH:accepted"),
                BenchUnit.KILOJOULES_PER_MOLE,
                any -> each)));
        entropy.ifPresent(each -> beside.add(new Derived(
                words().get("accepted-entropy"),
                Symbol.of("ΔS:accepted"),
                BenchUnit.JOULES_PER_MOLE_KELVIN,
                any -> each)));
        heat.flatMap(one -> entropy.map(other -> new Derived(
                        words().get("accepted-energy"),
                        Symbol.of("ΔG:accepted"),
                        BenchUnit.KILOJOULES_PER_MOLE,
                        any -> one.minus(kelvin.times(other).over(Constants.JOULES_IN_KILOJOULE)))))
                .ifPresent(beside::add);
    }

    private static Optional<Expression> change(AccountBuilder draft, String solid, String dissolved) {
        return draft.quantityIfGiven(solid)
                .flatMap(before -> draft.quantityIfGiven(dissolved).map(after -> after.minus(before)));
    }

    private static List<Remark> remarks(
            AccountBuilder draft, Expression solute, Expression solvent, Expression volume, Expression celsius) {
        List<Remark> remarks = new ArrayList<>(List.of(new Ideal(draft.chosen("solute/dissolves", "two-ions"))));
        draft.chemistry()
                .saturation("solute/formula")
                .ifPresent(limit -> remarks.add(new TooRich(limit, solute, solvent, volume, celsius, draft.figures())));
        return remarks;
    }
}
