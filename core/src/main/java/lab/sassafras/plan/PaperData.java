package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.simulate.Bench;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.verdict.Reduction;

/**
 * Data of a simulated run to be worked out on paper: what was read, without what comes of it; and for whoever corrects
 * it, the whole. All of it follows from a seed.
 *
 * @param seed      it follows from
 * @param read      what was read, in order: label, and number with its unit
 * @param vessel    constant of the calorimeter as it is known, in words; empty where it is sought or there is none
 * @param curve     what the thermometer showed; thinned, the highest and lowest kept
 * @param decimals  of a temperature on it
 * @param mixed     second at which both came together; not a number where nothing does
 * @param reduction the whole of it, heat loss integrated over the curve, else by the conventions that are usual
 * @param sought    true value of what is sought (unit of the result)
 */
public record PaperData(
        long seed,
        List<Read> read,
        String vessel,
        List<Bench.Sample> curve,
        int decimals,
        double mixed,
        Reduction reduction,
        double sought) {

    /** Most copies made at once. */
    public static final int MOST = 64;

    /** A constant told with a run is known so well (part of it; no source). */
    private static final double CONSTANT = 0.03;
    /** Readings of a curve printed, at most. */
    private static final int POINTS = 60;

    private static final int DIGITS = 3;
    private static final String SOLUTION = "constants/solution";

    /**
     * Keeps copies of what could change.
     *
     * @param seed      it follows from
     * @param read      what was read
     * @param vessel    constant of the calorimeter as it is known
     * @param curve     what the thermometer showed
     * @param decimals  of a temperature on it
     * @param mixed     second at which both came together
     * @param reduction the whole of it
     * @param sought    true value of what is sought
     */
    public PaperData {
        read = List.copyOf(read);
        curve = List.copyOf(curve);
    }

    /** Something that was read: what, and as it was written. */
    public record Read(String label, String text) {}

    /**
     * {@return whether data of an experiment can be worked out on paper: a run of it is simulated, and two temperatures
     * are read}
     *
     * @param experiment one of them
     */
    public static boolean possible(Experiment experiment) {
        return Plan.runs(experiment);
    }

    /**
     * {@return the data of one run}
     *
     * @param experiment that is run
     * @param seed       everything that is drawn follows from it
     * @throws Refused where none of it is simulated
     */
    public static PaperData of(Experiment experiment, long seed) {
        if (!possible(experiment)) {
            throw new Refused("“" + experiment.words().title() + "” has no run that is simulated.");
        }
        double capacity = experiment.takes().get(0).typical();
        Bench bench = Bench.usual(seed, capacity);
        Bench.Played played = bench.atOnce(experiment.scene().orElseThrow());
        double known = capacity * (1 + CONSTANT * Bench.error(seed));
        boolean constant = experiment.calorimeter() != Calorimeter.Use.FINDS_CONSTANT
                && experiment.calorimeter() != Calorimeter.Use.NONE;
        Calorimeter vessel = new Calorimeter(
                "the calorimeter",
                experiment.takes().get(0),
                constant
                        ? Optional.of(new Calorimeter.Pinned(
                                "paper", Measured.independent(known, CONSTANT * capacity), 100, "told with the data"))
                        : Optional.empty());
        Conventions conventions = conventions(experiment, played);
        List<Reading> readings = played.curve().stream()
                .map(each -> new Reading(each.seconds(), each.temperature()))
                .toList();
        Setting setting = new Setting(
                        Optional.of(vessel), Map.of(), 1, Map.of(), Set.of(), Map.of(), Figures.POINT, conventions)
                .logging(Map.of(PlanSheet.CLOCK, new Logged("the clock", readings, Optional.of(bench.thermometer()))));
        Sheet sheet = new Sheet(experiment, List.of(), setting);
        Set<String> told = new HashSet<>();
        experiment.span().ifPresent(span -> told.addAll(List.of(span.start(), span.end())));
        experiment.mixing().ifPresent(told::add);
        List<Read> read = new ArrayList<>();
        for (Bench.Written each : played.written()) {
            // what the curve tells is read from it
            if (!told.contains(each.path())) {
                sheet = with(sheet, each.path(), role(each), given(each));
            }
            read.add(new Read(label(experiment, each), text(experiment, each)));
        }
        double last = readings.get(readings.size() - 1).seconds();
        sheet = with(
                sheet,
                CommonPlaces.TRACE,
                Role.STATED,
                new GivenValue(
                        new TraceUse(PlanSheet.CLOCK, played.settled(), last, Math.rint(1000 * played.mixed()) / 1000)
                                .text(),
                        null,
                        Optional.empty(),
                        null,
                        ""));
        return new PaperData(
                seed,
                read,
                constant
                        ? Figures.POINT.significant(known, DIGITS) + " ± "
                                + Figures.POINT.significant(CONSTANT * capacity, 1) + " J/°C"
                        : "",
                thinned(played.curve()),
                bench.thermometer().decimals(),
                played.mixed(),
                Reduction.of(sheet, conventions),
                played.sought());
    }

    /** The conventions the physics of the simulated bench obeys, as far as what is told with the data allows. */
    private static Conventions conventions(Experiment experiment, Bench.Played played) {
        Map<String, String> schools = new HashMap<>();
        if (experiment.conventions().contains(ConventionQuestion.CHANGE)) {
            schools.put(ConventionQuestion.CHANGE.key(), "integral");
        }
        if (experiment.conventions().contains(ConventionQuestion.WATER)) {
            schools.put(ConventionQuestion.WATER.key(), "iapws");
        }
        if (played.written().stream().anyMatch(each -> each.path().equals(SOLUTION))) {
            schools.put(ConventionQuestion.SOLUTION.key(), "measured");
        }
        return Conventions.of(schools);
    }

    private static Sheet with(Sheet sheet, String path, Role role, GivenValue given) {
        return sheet.supposing().with(new Admission(sheet).accept(Address.of(path, 1), role, given));
    }

    private static Role role(Bench.Written each) {
        return Role.valueOf(each.way().name());
    }

    private static GivenValue given(Bench.Written each) {
        return new GivenValue(
                each.text(),
                each.unit().isEmpty() ? null : each.unit(),
                each.on(),
                each.uncertainty().isEmpty() ? null : each.uncertainty(),
                "");
    }

    private static String label(Experiment experiment, Bench.Written each) {
        String label = experiment.words().label(each.path());
        return switch (each.way()) {
            case GROSS -> label + ", with its vessel";
            case TARE -> label + ", the vessel empty";
            default -> label;
        };
    }

    private static String text(Experiment experiment, Bench.Written each) {
        if (each.way() == Bench.Way.STATED
                && experiment
                        .slot(each.path())
                        .filter(slot -> slot.field() == Slot.Field.CHOICE)
                        .isPresent()) {
            return experiment.words().option(each.path(), each.text());
        }
        return each.text()
                + (each.unit().isEmpty() ? "" : " " + each.unit())
                + (each.uncertainty().isEmpty() ? "" : ", ± " + each.uncertainty());
    }

    /** Of very many readings the highest and the lowest of each stretch. */
    private static List<Bench.Sample> thinned(List<Bench.Sample> curve) {
        int stretch = (2 * curve.size() + POINTS - 1) / POINTS;
        if (curve.size() <= POINTS) {
            return curve;
        }
        List<Bench.Sample> thin = new ArrayList<>();
        for (int i = 0; i < curve.size(); i += stretch) {
            List<Bench.Sample> some = curve.subList(i, Math.min(curve.size(), i + stretch));
            Bench.Sample low = some.get(0);
            Bench.Sample high = some.get(0);
            for (Bench.Sample each : some) {
                low = each.temperature() < low.temperature() ? each : low;
                high = each.temperature() > high.temperature() ? each : high;
            }
            thin.add(low.seconds() <= high.seconds() ? low : high);
            if (low.seconds() != high.seconds()) {
                thin.add(low.seconds() <= high.seconds() ? high : low);
            }
        }
        return thin;
    }
}
