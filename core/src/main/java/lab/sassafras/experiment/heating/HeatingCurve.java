package lab.sassafras.experiment.heating;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.DirectFormula;
import lab.sassafras.account.Finding;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Melting;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.declaration.Task;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.draft.Weighed;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.experiment.HeatBalanceExperiment;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Catalogue;
import lab.sassafras.slot.Slots;
import lab.sassafras.yardstick.Yardstick;

/**
 * A sample is heated by a heater in it, stands on a plate, or is left to cool: where its temperature stands still it
 * melts or freezes. Between a point before and a point after, heater + loss + warming before + change of state +
 * warming after = 0; what a degree takes before and after follows from the rates there. On a plate, whose watts are not
 * the sample's, the part that came to it follows from the rate of the liquid, whose specific heat is told.
 */
public final class HeatingCurve extends HeatBalanceExperiment {

    private static final String CURVE = "run/curve";
    /** What is lost for each degree differs by so much of itself before and after (standard uncertainty; no source). */
    private static final double CHANGES = 0.05;

    /** Two temperatures differ where they are so many standard uncertainties apart (two for 95 %, common practice). */
    private static final double FAR = 2;

    /** As it is offered to a class. */
    public HeatingCurve() {
        super("heating-curve", 1, BenchUnit.JOULES_PER_GRAM);
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
                Group.perTrial(
                        "sample",
                        Slots.sampleName("name"),
                        Slots.fromShelfIfKnown("substance", Catalogue.HEATS_OF_FUSION),
                        Slots.mass("mass").usually(5, 60),
                        Slots.choice("way", "heater", "plate", "cooling")),
                Group.perTrial(
                        "heater",
                        Slots.quantity("voltage", BenchUnit.VOLTS)
                                .usually(2, 15)
                                .orTakenAsKnown(),
                        Slots.quantity("current", BenchUnit.AMPERES)
                                .usually(0.2, 4)
                                .orTakenAsKnown()),
                Group.perTrial(
                        "plate", Slots.specificHeat("liquid").usually(1, 4.2).orTakenAsKnown()),
                Group.perTrial(
                        "room",
                        Slots.temperature("temperature").usually(15, 30),
                        Slots.quantity("loss", BenchUnit.WATTS_PER_DEGREE)
                                .usually(0.02, 0.5)
                                .orTakenAsKnown()
                                .ifKnown()),
                Group.perTrial("run", Slots.trace("curve")));
    }

    @Override
    public List<Task> tasks() {
        return List.of(
                Task.of("weigh", 2, 5).from("sample/name").at(Gear.BALANCE),
                Task.of("heat", 22, 28).from("sample/way").at(Gear.PROBE),
                Task.of("clean", 4, 7).in(Task.Turn.LAST));
    }

    @Override
    protected List<Step> steps() {
        return List.of(
                Step.of("sample/name"),
                Step.of("sample/substance"),
                Step.of("sample/mass"),
                Step.of("sample/way"),
                Step.of("heater/voltage").when("sample/way", "heater"),
                Step.of("heater/current").when("sample/way", "heater"),
                Step.of("plate/liquid").when("sample/way", "plate"),
                Step.of("room/temperature"),
                Step.of("room/loss"),
                Step.of(CURVE).taking(20));
    }

    @Override
    public Map<String, CurvePurpose> curves() {
        return Map.of(CURVE, new Melting());
    }

    @Override
    public List<PossibleCause> suspects() {
        return List.of(
                new PossibleCause("voltage-at-supply", "heater/voltage", -0.03)
                        .ofItself()
                        .upTo(0.1),
                new PossibleCause("heater-beside", "heater/current", -0.02)
                        .ofItself()
                        .upTo(0.1),
                new PossibleCause("loss-misjudged", "room/loss", 0.1)
                        .ofItself()
                        .upTo(0.3)
                        .eitherWay(),
                new PossibleCause("not-all-melted", "sample/mass", -0.5).upTo(3));
    }

    @Override
    public Yardstick yardstick() {
        return new MeltsOnShelf("sample/substance");
    }

    @Override
    public Optional<Foresight> foresight() {
        return Optional.of(new MeltsAtBench());
    }

    @Override
    public Optional<Scene> scene() {
        return Optional.of(new HeaterInSample());
    }

    @Override
    protected Account account(AccountBuilder draft) {
        Expression level = draft.curves().told(CURVE, "level");
        List<Derived> read = read(draft, level);
        Optional<Expression> loss = draft.quantityIfGiven("room/loss");
        String way = draft.choice("sample/way").orElse("cooling");
        if (loss.isEmpty() && !way.equals("heater")) {
            String sought = draft.curves().tells(CURVE, "range") ? "unknown-middle" : "unknown-level";
            return draft.complete(DirectFormula.of(draft.trial(), level, unknown(sought, BenchUnit.DEGREES_CELSIUS))
                    .giving(read.subList(1, read.size()).toArray(Derived[]::new))
                    .remarking(List.of(stood(draft, level))));
        }
        List<HeatTerm> parties = parties(draft, way, loss, level);
        return draft.complete(draft.ledger(parties, unknown())
                .giving(read.toArray(Derived[]::new))
                .remarking(List.of(stood(draft, level), spent(parties, draft.figures()))));
    }

    /** The level first, or the middle of a range and where that begins and ends; then how far it was passed before. */
    private List<Derived> read(AccountBuilder draft, Expression level) {
        Expression beyond = draft.curves().told(CURVE, "beyond");
        if (!draft.curves().tells(CURVE, "range")) {
            return draft.curves().tells(CURVE, "beyond")
                    ? List.of(at("level", level), at("beyond", beyond))
                    : List.of(at("level", level));
        }
        Expression half = draft.curves().told(CURVE, "range").times(Expression.number(0.5, "0.5"));
        return List.of(at("middle", level), at("begins", level.minus(half)), at("ends", level.plus(half)));
    }

    private Derived at(String word, Expression expression) {
        return new Derived(
                words().get(word), words().symbol(CURVE + "." + word), BenchUnit.DEGREES_CELSIUS, any -> expression);
    }

    private List<HeatTerm> parties(AccountBuilder draft, String way, Optional<Expression> told, Expression level) {
        Expression mass = draft.quantity("sample/mass");
        Expression room = draft.quantity("room/temperature");
        Expression from = draft.curves().told(CURVE, "from");
        Expression to = draft.curves().told(CURVE, "to");
        Expression fromRate = draft.curves().told(CURVE, "from-rate");
        Expression toRate = draft.curves().told(CURVE, "to-rate");
        Expression lasted = draft.curves().told(CURVE, "lasted");
        Optional<Expression> power = power(draft, way, mass, toRate, to.minus(room), told);
        Expression leak = leak(draft, power, told, room);
        Expression lossBefore = leak.times(from.minus(room));
        Expression lossAfter = leak.times(to.minus(room));
        List<HeatTerm> parties = new ArrayList<>();
        power.ifPresent(watts -> parties.add(HeatTerm.process(
                "heater", words().get("heat-" + way), watts.times(lasted).negated())));
        parties.add(HeatTerm.process(
                "room",
                words().get("lost"),
                leak.times(draft.curves().told(CURVE, "between").minus(room))
                        .times(lasted)
                        .times(draft.curves().told(CURVE, "steady"))));
        parties.add(HeatTerm.vessel(
                "before",
                words().get("before"),
                capacity(power, lossBefore, fromRate).named(Symbol.of("C:before"), BenchUnit.JOULES_PER_DEGREE),
                from,
                level));
        Expression change = mass.times(unknown());
        parties.add(
                HeatTerm.process("change", words().get("change"), way.equals("cooling") ? change.negated() : change));
        parties.add(HeatTerm.vessel(
                "after",
                words().get("after"),
                capacity(power, lossAfter, toRate).named(Symbol.of("C:after"), BenchUnit.JOULES_PER_DEGREE),
                level,
                to));
        return parties;
    }

    /** Where it stood still beside what the handbook has, or over which range it melts or freezes. */
    private static Remark stood(AccountBuilder draft, Expression level) {
        Figures figures = draft.figures();
        if (draft.curves().tells(CURVE, "range")) {
            return bindings -> Optional.of(Finding.note(
                    "heating.range",
                    "It melts or freezes over a range, about "
                            + figures.fixed(new Computation(level, bindings).value(), 1)
                            + " °C: what does so is no pure substance, and has no melting point."));
        }
        Optional<Expression> handbook = draft.choice("sample/substance")
                .filter(any -> !draft.chemistry().withheld())
                .map(heat -> draft.property(MeltsOnShelf.point(heat), Symbol.of("T:handbook")));
        return bindings -> handbook.map(point -> {
            double stood = new Computation(level, bindings).value();
            double listed = new Computation(point, bindings).value();
            Estimate off = new Computation(level.minus(point), bindings).estimate();
            String words = "It stood still at " + figures.fixed(stood, 1) + " °C; the handbook has "
                    + figures.plain(listed) + " °C. ";
            return Math.abs(off.value()) <= FAR * off.uncertainty()
                    ? Finding.note("heating.stood", words + "They agree within the uncertainty.")
                    : Finding.question(
                            "heating.stood",
                            words + "That is farther apart than the uncertainty explains: "
                                    + (off.value() < 0 ? "what is not pure melts lower, " : "")
                                    + "a thermometer that shows otherwise, or another substance?");
        });
    }

    /** Where the heat went beside what melted or froze. */
    private static Remark spent(List<HeatTerm> parties, Figures figures) {
        Expression lost = parties.stream()
                .filter(each -> each.key().equals("room"))
                .findFirst()
                .orElseThrow()
                .heat();
        return bindings -> Optional.of(Finding.note(
                "heating.lost",
                "Between the two points " + figures.significant(new Computation(lost, bindings).value(), 3)
                        + " J went to the room. Before and after the plateau the rates tell what a degree takes, of the "
                        + "sample with its vessel."));
    }

    private static Optional<Expression> power(
            AccountBuilder draft,
            String way,
            Expression mass,
            Expression toRate,
            Expression aboveRoom,
            Optional<Expression> leak) {
        return switch (way) {
            case "heater" ->
                Optional.of(draft.quantity("heater/voltage")
                        .times(draft.quantity("heater/current"))
                        .named(Symbol.of("P:heater"), BenchUnit.WATTS));
            case "plate" ->
                leak.map(loss -> mass.times(draft.quantity("plate/liquid"))
                        .times(toRate)
                        .plus(loss.times(aboveRoom))
                        .named(Symbol.of("P:plate"), BenchUnit.WATTS));
            default -> Optional.empty();
        };
    }

    /**
     * What is lost for each degree: as it is told, and with a heater in the sample also as the rates fall off before
     * and after, each weighed by what is known of it.
     */
    private static Expression leak(
            AccountBuilder draft, Optional<Expression> power, Optional<Expression> told, Expression room) {
        List<Expression> ways = new ArrayList<>();
        if (power.isPresent() && draft.chosen("sample/way", "heater")) {
            ways.add(byFallingOff(draft, power.get(), room, "from"));
            ways.add(byFallingOff(draft, power.get(), room, "to"));
        }
        told.ifPresent(ways::add);
        return Weighed.mean(draft, ways, CHANGES).named(Symbol.of("k:loss"), BenchUnit.WATTS_PER_DEGREE);
    }

    /** With P = C r + k (T − T room) and k = λ C: k = λ P ÷ (r + λ (T − T room)). */
    private static Expression byFallingOff(AccountBuilder draft, Expression power, Expression room, String point) {
        Expression leak = draft.curves().told(CURVE, point + "-leak");
        return leak.times(power)
                .over(draft.curves()
                        .told(CURVE, point + "-rate")
                        .plus(leak.times(draft.curves().told(CURVE, point).minus(room))));
    }

    /** What a degree takes, of sample and vessel: what came in, less what was lost, by the rate. */
    private static Expression capacity(Optional<Expression> power, Expression lost, Expression rate) {
        return power.<Expression>map(watts -> watts.minus(lost))
                .orElseGet(lost::negated)
                .over(rate);
    }
}
