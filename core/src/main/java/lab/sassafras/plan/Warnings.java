package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Reagents;
import lab.sassafras.declaration.Pace;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Saturation;
import lab.sassafras.substance.Substance;
import lab.sassafras.verdict.Interval;

/** What stands in the way of a plan, reckoned from it. */
public final class Warnings {

    /** A vessel is not filled nearer to its brim than this part of it (no source). */
    private static final double FULL = 0.9;
    /** Below this a thermometer’s bulb is hardly covered in a usual cup (mL; no source). */
    private static final double COVERED = 40;
    /** So much liquid for each millilitre of a solid covers it (no source). */
    private static final double LIQUID_TO_SOLID = 1.5;
    /** Of a solid whose density is not known here (g/mL; no source). */
    private static final double DENSE = 2;
    /** What ends nearer to the boiling point of water than this loses steam (°C; no source). */
    private static final double STEAMS = 15;

    private static final double BOILS = 100;
    private static final double MINUTE = 60;
    /** Somebody waits about so long from one temperature to the other (s), in a room so warm (°C). No source. */
    private static final double LASTS = 180;

    /** A bath is a beaker that holds so much (mL), filled to this part of it. No source. */
    private static final double BATH = 400;

    private static final double FILLED = 0.75;
    /** A loss that is smaller than this part of the change is not spoken of (no source). */
    private static final double WORTH = 0.01;
    /** A balance is coarse where one without error would make the ± so much smaller (no source). */
    private static final double COARSE = 1.25;

    private static final double FINEST = 1e-6;
    /** Of what makes up the ± one thing is spoken of where it is more than this part (no source). */
    private static final double MOST = 0.5;

    private Warnings() {}

    /** Whether a plan stays in its thermometer’s range and its vessel. */
    static boolean fits(Plan plan, Quick quick) {
        if (plan.experiment().foresight().isPresent()) {
            return true;
        }
        double end = plan.amount(plan.span().start()).orElseThrow() + quick.change();
        Instrument thermometer = plan.reads().get(InstrumentKind.THERMOMETER);
        return (thermometer == null || thermometer.covers(end)) && volume(plan) <= FULL * holds(plan);
    }

    /**
     * {@return what to know of a plan, the weightiest first}
     *
     * @param expectation of it
     */
    public static List<Finding> of(Expectation expectation) {
        Plan plan = expectation.plan();
        List<Finding> all = new ArrayList<>();
        range(expectation, all);
        apart(expectation, all);
        expectation.warms().ifPresent(ends -> {
            bath(plan, all);
            volume(plan, all);
            dissolved(plan, ends.value(), all);
            limiting(expectation, all);
            boiling(plan, ends.value(), all);
        });
        balance(expectation, all);
        weightiest(expectation, all);
        expectation.warms().ifPresent(ends -> losses(expectation, ends, all));
        return all;
    }

    private static void boiling(Plan plan, Interval end, List<Finding> all) {
        if (end.high() > BOILS - STEAMS) {
            all.add(Finding.question(
                    "plan.boiling",
                    "It ends at " + fixed(plan, end.value())
                            + " °C: that near to boiling, water goes off as steam and takes heat with it."));
        }
    }

    private static String fixed(Plan plan, double temperature) {
        return plan.setting().figures().fixed(temperature, 1);
    }

    private static void range(Expectation expectation, List<Finding> all) {
        Plan plan = expectation.plan();
        Instrument on = plan.reads().get(InstrumentKind.THERMOMETER);
        if (on == null) {
            return;
        }
        Figures figures = plan.setting().figures();
        for (String path : plan.amounts()) {
            double value = plan.amount(path).orElseThrow();
            Instrument here = plan.apart().getOrDefault(path, on);
            if (plan.temperature(path) && plan.one(path).role() == Role.READ && !here.covers(value)) {
                all.add(Finding.question(
                        "plan.range",
                        ends(here, figures) + ": “" + plan.label(path) + "” at "
                                + figures.plain(value)
                                + " °C is beyond it. Another thermometer for that, and its offset is its own."));
            }
        }
        expectation
                .warms()
                .map(Expectation.Ends::value)
                .filter(end -> !on.covers(end.low()) || !on.covers(end.high()))
                .ifPresent(end -> all.add(Finding.question(
                        "plan.range",
                        ends(on, figures) + ", and it may end between " + fixed(plan, end.low()) + " and "
                                + fixed(plan, end.high()) + " °C.")));
        expectation.seen().flatMap(Foresight.Seen::timed).stream()
                .flatMap(timed -> timed.curve().stream())
                .filter(each -> !on.covers(each.temperature()))
                .findFirst()
                .ifPresent(each -> all.add(Finding.question(
                        "plan.range",
                        ends(on, figures) + ", and the curve goes beyond it after about "
                                + figures.fixed(Math.ceil(each.seconds() / MINUTE), 0) + " min.")));
    }

    private static String ends(Instrument on, Figures figures) {
        return on.name() + " reads from " + figures.plain(on.low()) + " to " + figures.plain(on.high()) + " °C";
    }

    /** Two thermometers do not share what they are off by: how much that costs. */
    private static void apart(Expectation expectation, List<Finding> all) {
        Plan plan = expectation.plan();
        if (plan.apart().isEmpty()) {
            return;
        }
        Quick.of(plan.together(), expectation.reference())
                .filter(one -> one.relative() < expectation.relative())
                .ifPresent(one -> all.add(Finding.question(
                        "plan.apart",
                        "Two thermometers stand in one account, and each is off by its own: ± "
                                + percent(plan, expectation.relative()) + " instead of "
                                + percent(plan, one.relative())
                                + " with one. Where one will not do, compare both in one beaker first.")));
    }

    private static String percent(Plan plan, double part) {
        return plan.setting().figures().significant(100 * part, 2) + " %";
    }

    /** What goes into a bath lifts its water; and the bath itself is heated by a plate. */
    private static void bath(Plan plan, List<Finding> all) {
        plan.experiment().paces().stream()
                .filter(pace -> pace.kind() == Pace.Kind.BATH)
                .findFirst()
                .ifPresent(pace -> {
                    Figures figures = plan.setting().figures();
                    double water = FILLED * BATH;
                    double lifted = water + solid(plan);
                    if (lifted > FULL * BATH) {
                        all.add(Finding.question(
                                "plan.bath-overflow",
                                "A bath of " + figures.fixed(water, 0) + " mL in a beaker of " + figures.fixed(BATH, 0)
                                        + " mL is lifted to about " + figures.fixed(lifted, 0)
                                        + " mL by the solid: begin with less water, or a larger beaker."));
                    }
                    double needs =
                            plan.lab().minutes(water, plan.amount(pace.path()).orElse(Lab.ROOM));
                    double given = plan.lab().soaks().orElse(pace.usual());
                    if (needs > given) {
                        all.add(Finding.question(
                                "plan.bath-time",
                                "A bath of " + figures.fixed(water, 0) + " mL takes about "
                                        + figures.fixed(Math.ceil(needs), 0) + " min on a plate of "
                                        + figures.plain(plan.lab().plate()) + " W, longer than the "
                                        + figures.plain(given)
                                        + " min the solid is left in it: heat the bath before, or part of its water "
                                        + "elsewhere."));
                    }
                });
    }

    private static double holds(Plan plan) {
        return plan.setting().calorimeter().map(each -> each.kind().holds()).orElse(Double.MAX_VALUE);
    }

    /** What comes together (mL). */
    private static double volume(Plan plan) {
        return liquid(plan) + solid(plan);
    }

    private static double liquid(Plan plan) {
        return sum(plan, true);
    }

    private static double solid(Plan plan) {
        double density = plan.had().values().stream()
                .filter(each -> each.role() == Role.STATED)
                .flatMap(each -> plan.setting().shelf().find(each.text()).stream())
                .filter(each -> each.kind().solid())
                .mapToDouble(Substance::density)
                .findFirst()
                .orElse(DENSE);
        return sum(plan, false) / density;
    }

    private static double sum(Plan plan, boolean liquids) {
        return plan.amounts().stream()
                .filter(path -> !plan.temperature(path)
                        && Set.of("g", "mL").contains(plan.one(path).unit())
                        && liquids
                                == plan.experiment()
                                        .slot(path)
                                        .filter(slot -> slot.roles().contains(Role.VOLUME))
                                        .isPresent())
                .mapToDouble(path -> plan.amount(path).orElseThrow())
                .sum();
    }

    private static void volume(Plan plan, List<Finding> all) {
        double volume = volume(plan);
        double holds = holds(plan);
        String vessel = plan.setting()
                .calorimeter()
                .map(each -> each.kind())
                .map(VesselKind::one)
                .orElse("the vessel");
        Figures figures = plan.setting().figures();
        if (volume > holds) {
            all.add(Finding.refuse(
                    "plan.overflow",
                    "About " + figures.fixed(volume, 0) + " mL run over: " + vessel + " holds "
                            + figures.fixed(holds, 0) + " mL."));
        } else if (volume > FULL * holds) {
            all.add(Finding.question(
                    "plan.full",
                    "With about " + figures.fixed(volume, 0) + " mL " + vessel + " of " + figures.fixed(holds, 0)
                            + " mL is full to the brim: stirring spills it."));
        }
        if (liquid(plan) < COVERED) {
            all.add(Finding.question(
                    "plan.shallow",
                    "With " + figures.fixed(liquid(plan), 0)
                            + " mL the thermometer’s bulb is hardly covered. Take more, or a narrower vessel."));
        }
        if (solid(plan) * LIQUID_TO_SOLID > liquid(plan)) {
            all.add(Finding.question(
                    "plan.uncovered",
                    "The solid takes up about " + figures.fixed(solid(plan), 0) + " mL: "
                            + figures.fixed(liquid(plan), 0) + " mL of liquid may not cover it."));
        }
    }

    private static void dissolved(Plan plan, Interval end, List<Finding> all) {
        double water = liquid(plan);
        for (String path : plan.had().keySet()) {
            plan.experiment().procedure().stream()
                    .filter(step -> step.path().equals(path))
                    .flatMap(step -> step.exposed().stream())
                    .findFirst()
                    .flatMap(formula -> Optional.ofNullable(plan.had().get(formula)))
                    .filter(solute -> !takenUp(plan, solute.text()))
                    .ifPresent(solute -> all.addAll(
                            soluble(plan, end, solute.text(), plan.amount(path).orElseThrow(), water)));
        }
    }

    /** Whether an equation of the plan takes a substance up, so that it need not dissolve. */
    private static boolean takenUp(Plan plan, String formula) {
        return plan.had().values().stream()
                .filter(each -> each.role() == Role.STATED)
                .flatMap(each -> ChemicalEquation.takenUp(each.text()).stream())
                .anyMatch(each -> each.sameAs(ChemicalFormula.read(formula)));
    }

    /** Another reagent runs out than in the usual run of the same reaction. */
    private static void limiting(Expectation expectation, List<Finding> all) {
        Plan plan = expectation.plan();
        Plan usual = Plan.usual(plan.experiment(), plan.setting(), plan.reads());
        if (!stated(plan).equals(stated(usual))) {
            return;
        }
        Optional<String> now = limiting(plan);
        Optional<String> then = limiting(usual);
        if (now.isPresent() && then.isPresent() && !now.equals(then)) {
            all.add(Finding.question(
                    "plan.limiting",
                    "With these amounts " + now.get() + " runs out first; usually it is " + then.get()
                            + ", and the other is in clear excess."));
        }
    }

    private static List<String> stated(Plan plan) {
        return plan.had().values().stream()
                .filter(each -> each.role() == Role.STATED)
                .map(Plan.Had::text)
                .toList();
    }

    private static Optional<String> limiting(Plan plan) {
        double end = plan.amount(plan.span().start()).orElse(Lab.ROOM) + 1;
        Sheet supposed = plan.sheet().supposing().with(plan.ending(end));
        return Reagents.limiting(
                Expectation.account(plan, supposed).solve(supposed.bindings()).findings());
    }

    private static List<Finding> soluble(Plan plan, Interval between, String formula, double grams, double water) {
        if (water <= 0) {
            return List.of();
        }
        Optional<Saturation> limit = Saturation.of(ChemicalFormula.read(formula));
        if (limit.isEmpty()) {
            return List.of(Finding.note(
                    "plan.solubility-unknown", "How much of " + formula + " dissolves is not known here."));
        }
        double end = Math.min(between.low(), between.high());
        double most = limit.get().gramsAt(end) * water / 100;
        return grams <= most
                ? List.of()
                : List.of(Finding.question(
                        "plan.solubility",
                        "At " + fixed(plan, end) + " °C the water holds about "
                                + plan.setting().figures().significant(most, 2) + " g of "
                                + limit.get().name() + ": of the "
                                + plan.setting().figures().plain(grams) + " g some will not dissolve."));
    }

    /** What the balance costs, beside one that shows every mass as it is. */
    private static void balance(Expectation expectation, List<Finding> all) {
        Plan plan = expectation.plan();
        Instrument on = plan.reads().get(InstrumentKind.BALANCE);
        if (on == null || !plan.reads(InstrumentKind.BALANCE)) {
            return;
        }
        Instrument fine =
                new Instrument(on.key(), on.name(), on.kind(), on.unit(), FINEST, on.low(), on.high(), FINEST, FINEST);
        Quick.of(plan.with(fine), expectation.reference())
                .filter(one -> expectation.relative() > COARSE * one.relative())
                .ifPresent(one -> all.add(Finding.question(
                        "plan.balance",
                        on.name() + " is coarse for these masses: ± " + percent(plan, expectation.relative())
                                + " instead of the " + percent(plan, one.relative())
                                + " one would have that shows every mass as it is. Take a finer balance, or more.")));
    }

    /** What makes up most of the ±. */
    private static void weightiest(Expectation expectation, List<Finding> all) {
        Estimate estimate = expectation.estimate();
        estimate.contributions().stream()
                .filter(each -> each.shareOf(estimate) > MOST)
                .findFirst()
                .ifPresent(each -> all.add(Finding.note(
                        "plan.weightiest",
                        Math.round(100 * each.shareOf(estimate)) + " % of the ± comes from “" + each.label() + "”.")));
    }

    /** At which start the losses of before and after cancel, and what that saves. */
    private static void losses(Expectation expectation, Expectation.Ends ends, List<Finding> all) {
        double capacity = expectation.heat() / Math.max(1e-9, Math.abs(ends.change()));
        double off = Bench.LEAK * LASTS * (ends.value().value() - Lab.ROOM) / capacity;
        if (Math.abs(off) > WORTH * Math.abs(ends.change())) {
            Plan plan = expectation.plan();
            double start = Lab.ROOM - ends.change();
            all.add(Finding.note(
                    "plan.losses",
                    String.format(
                            Locale.ROOT,
                            "In three minutes to a room of %s °C about %s °C are %s. Begun at %s °C it would end near the room’s "
                                    + "temperature, and hardly any would be.",
                            plan.setting().figures().plain(Lab.ROOM),
                            plan.setting().figures().significant(Math.abs(off), 1),
                            off > 0 ? "lost" : "gained",
                            fixed(plan, start))));
        }
    }
}
