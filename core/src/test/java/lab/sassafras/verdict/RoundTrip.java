package lab.sassafras.verdict;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Stated;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Benches;
import lab.sassafras.simulate.Slip;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.slot.VesselKind;

/**
 * Runs of the simulated bench, whose truth is known, worked out by the core: honest hands, every instrument as far off
 * as its record says, the conventions those the physics of the scene obeys.
 */
public final class RoundTrip {

    private static final String TRACE = "11111111-2222-3333-4444-55555555555";
    /** Trials by which the constant was found. */
    private static final int CALIBRATED = 3;

    private RoundTrip() {}

    /**
     * What came of a run.
     *
     * @param sought    true value
     * @param reduction of what was written down
     */
    record Outcome(double sought, Reduction reduction) {

        Optional<Interval> interval() {
            return reduction.result().map(Interval::of);
        }

        boolean inside() {
            return interval()
                    .filter(each -> each.low() <= sought && sought <= each.high())
                    .isPresent();
        }
    }

    /** Every experiment that is run at the simulated bench. */
    static List<Experiment> all() {
        return Experiments.all().stream()
                .filter(each -> each.scene().isPresent())
                .toList();
    }

    static Outcome of(Experiment experiment, long seed, Set<Slip> slips, Conventions conventions) {
        Bench bench = Benches.of(experiment, seed).slipping(slips);
        Bench.Played played = bench.atOnce(experiment.scene().orElseThrow());
        return new Outcome(played.sought(), reduced(experiment, bench, played, conventions));
    }

    static Conventions obeyed(Experiment experiment) {
        Map<String, String> schools = new HashMap<>();
        experiment.conventions().forEach(question -> {
            switch (question.key()) {
                case "water" -> schools.put("water", "iapws");
                case "solution" ->
                    schools.put("solution", experiment.key().equals("constant-by-known-heat") ? "whole" : "measured");
                case "change" -> schools.put("change", "integral");
                default -> {}
            }
        });
        return Conventions.of(schools);
    }

    private static Reduction reduced(Experiment experiment, Bench bench, Bench.Played played, Conventions conventions) {
        Optional<Calorimeter.Pinned> constant = experiment.calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? Optional.empty()
                : Optional.of(calibrated(experiment, bench));
        return written(experiment, bench, List.of(played), constant, OptionalDouble.of(played.sought()), conventions);
    }

    /** The constant a class would have found before of the same calorimeter, on the same instruments. */
    private static Calorimeter.Pinned calibrated(Experiment experiment, Bench bench) {
        Experiment finds = Experiments.find(Benches.bomb(experiment) ? "bomb-constant" : "constant-by-mixing")
                .orElseThrow();
        Bench honest = bench.slipping(Set.of());
        List<Bench.Played> trials = IntStream.rangeClosed(1, CALIBRATED)
                .mapToObj(trial -> honest.trial(trial).atOnce(finds.scene().orElseThrow()))
                .toList();
        FoundConstant found = written(finds, honest, trials, Optional.empty(), OptionalDouble.empty(), obeyed(finds))
                .constant()
                .orElseThrow();
        return new Calorimeter.Pinned("c", found.constant().asInput(), found.fill(), "a simulated calibration");
    }

    private static Reduction written(
            Experiment experiment,
            Bench bench,
            List<Bench.Played> trials,
            Optional<Calorimeter.Pinned> constant,
            OptionalDouble given,
            Conventions conventions) {
        Map<String, Logged> logged = new HashMap<>();
        for (int trial = 1; trial <= trials.size(); trial++) {
            logged.put(
                    TRACE + trial,
                    new Logged("a trace", readings(trials.get(trial - 1)), Optional.of(bench.thermometer())));
        }
        BenchSheet sheet = BenchSheet.of(experiment.key(), trials.size())
                .in(new Calorimeter(
                        "V-1",
                        Benches.bomb(experiment)
                                ? new VesselKind("bomb", "bomb calorimeter", 2000, 6000)
                                : VesselKind.FOAM_CUP,
                        constant))
                .logging(logged);
        for (int trial = 1; trial <= trials.size(); trial++) {
            write(sheet, experiment, trials.get(trial - 1), trial, conventions);
        }
        Optional.ofNullable(TOLD.get(experiment.key()))
                .ifPresent(unit -> given.ifPresent(value -> sheet.given(value, unit)));
        return sheet.reduced(conventions);
    }

    private static List<Reading> readings(Bench.Played played) {
        return played.curve().stream()
                .map(each -> new Reading(each.seconds(), each.temperature()))
                .toList();
    }

    private static void write(
            BenchSheet sheet, Experiment experiment, Bench.Played played, int trial, Conventions conventions) {
        Set<String> told = new java.util.HashSet<>();
        experiment.span().ifPresent(span -> told.addAll(List.of(span.start(), span.end())));
        experiment.mixing().ifPresent(told::add);
        Optional.ofNullable(KNOWN.get(experiment.key()))
                .ifPresent(path -> played.known().ifPresent(what -> sheet.says(at(path, 1), what)));
        for (Bench.Written each : played.written()) {
            boolean once = experiment
                    .group(each.path().split("/")[0])
                    .filter(group -> group.cardinality() == Cardinality.ONCE)
                    .isPresent();
            boolean read = !told.contains(each.path())
                    || conventions.named().getOrDefault("change", "").equals("extreme");
            if (!read || once && trial > 1) {
                continue;
            }
            String at = at(each.path(), once ? 1 : trial);
            if (each.way() == Bench.Way.ASSUMED) {
                sheet.assumed(at, each.text(), each.uncertainty(), each.unit());
            } else {
                sheet.give(
                        at,
                        Role.valueOf(each.way().name()),
                        each.text(),
                        each.unit().isEmpty() ? null : each.unit(),
                        each.on());
            }
        }
        String clock = experiment.curves().keySet().stream().findFirst().orElse("curve/trace");
        List<Reading> readings = readings(played);
        double last = readings.get(readings.size() - 1).seconds();
        sheet.says(
                at(clock, trial),
                (clock.equals("curve/trace")
                                ? new TraceUse(
                                        TRACE + trial, played.settled(), last, Math.rint(1000 * played.mixed()) / 1000)
                                : new TraceUse(
                                        TRACE + trial,
                                        Math.rint(played.mixed()),
                                        last,
                                        OptionalDouble.empty(),
                                        Optional.empty(),
                                        Stated.USUAL.once(),
                                        Stated.USUAL.fraction()))
                        .text());
    }

    private static String at(String path, int trial) {
        return path.replace("/", "[" + trial + "]/");
    }

    /** Of what is known where causes are asked: which solid it is, say. */
    private static final Map<String, String> KNOWN =
            Map.of("specific-heat-of-solid", "seen/known", "specific-heat-of-liquid", "shelf/liquid");

    /**
     * What no handbook has as it is drawn, and a class knows from before or a maker’s plate or a label says: the
     * unit of what it tells.
     */
    private static final Map<String, BenchUnit> TOLD = Map.of(
            "constant-by-mixing", BenchUnit.JOULES_PER_DEGREE,
            "bomb-constant", BenchUnit.JOULES_PER_DEGREE,
            "bomb-combustion", BenchUnit.KILOJOULES_PER_MOLE,
            "heating-curve", BenchUnit.JOULES_PER_GRAM);

    /**
     * How a slip was told of.
     *
     * @param moved seeds in which it moved the result by two honest half-widths
     * @param named those in which it stands among the first three of what could have done it
     * @param first what stands first instead, by how often
     */
    record Told(Experiment experiment, Slip slip, int seeds, int moved, int named, Map<String, Integer> first) {

        double part() {
            return moved == 0 ? 1 : (double) named / moved;
        }
    }

    /** The causes that stand for a slip: the same, in an experiment's own words. */
    private static final Map<Slip, Set<String>> CAUSES = Map.ofEntries(
            Map.entry(Slip.CARRIED, Set.of("carried")),
            Map.entry(Slip.SPLASH, Set.of("water-splashed", "splashed", "drops-left-behind")),
            Map.entry(Slip.LID_OFF, Set.of("leaked", "lost-to-room")),
            Map.entry(Slip.UNDISSOLVED, Set.of("undissolved", "unreacted")),
            Map.entry(Slip.LATE_TRANSFER, Set.of("cooled-in-transit")),
            Map.entry(Slip.DAMP, Set.of("wet")),
            Map.entry(Slip.WICK_OPEN, Set.of("evaporated")),
            Map.entry(Slip.SOOT, Set.of("soot", "unburnt")),
            Map.entry(Slip.WRONG_BOTTLE, Set.of("solution-off", "acid-off", "base-off", "other-reagent")),
            Map.entry(Slip.MARK_LATE, Set.of("marked-late")),
            Map.entry(Slip.OTHER_CUP, Set.of("other-cup")),
            Map.entry(Slip.DIGITS, Set.of("misread")),
            Map.entry(Slip.HYDRATE, Set.of("hydrate")));

    /** Whether a cause is the one of a slip, or one no result tells from it. */
    private static boolean names(Slip slip, String key) {
        return CAUSES.getOrDefault(slip, Set.of()).stream().anyMatch(each -> each.equals(key) || Ties.tied(each, key));
    }

    static Told told(Experiment experiment, Slip slip, int seeds, long from) {
        int moved = 0;
        int named = 0;
        Map<String, Integer> first = new java.util.TreeMap<>();
        for (long seed = from; seed < from + seeds; seed++) {
            Outcome honest = of(experiment, seed, Set.of(), obeyed(experiment));
            Outcome slipped = of(experiment, seed, Set.of(slip), obeyed(experiment));
            if (honest.interval().isEmpty() || slipped.interval().isEmpty()) {
                continue;
            }
            Interval was = honest.interval().get();
            if (Math.abs(slipped.interval().get().value() - was.value()) < was.high() - was.low()) {
                continue;
            }
            moved++;
            List<ExplainingSize.Row> rows = ExplainingSize.rows(slipped.reduction().suspects().stream()
                    .filter(ExplainingSize::believed)
                    .toList());
            List<String> three = rows.stream()
                    .limit(3)
                    .flatMap(row -> java.util.stream.Stream.concat(
                            java.util.stream.Stream.of(row.first()), row.tied().stream()))
                    .map(each -> each.suspect().key())
                    .toList();
            if (three.stream().anyMatch(each -> names(slip, each))) {
                named++;
            } else {
                first.merge(three.toString(), 1, Integer::sum);
            }
        }
        return new Told(experiment, slip, seeds, moved, named, first);
    }

    private static void slips(int seeds, String only) {
        for (Experiment experiment : all()) {
            if (!only.isEmpty() && !experiment.key().equals(only)) {
                continue;
            }
            System.out.println(experiment.key() + " is suspected of "
                    + experiment.suspected().stream().map(each -> each.key()).toList());
            // without a mark there is no curve to work out: the entry says so, and asks for it
            experiment.scene().orElseThrow().slips().stream()
                    .filter(slip -> slip != Slip.MARK_FORGOTTEN)
                    .sorted()
                    .forEach(slip -> {
                        Told told = told(experiment, slip, seeds, 1);
                        System.out.printf(
                                Locale.ROOT,
                                "  %-14s moved %d of %d, named %.0f %%  %s%n",
                                slip.key(),
                                told.moved(),
                                seeds,
                                100 * told.part(),
                                told.first());
                    });
        }
    }

    /** How far the usual conventions carry one off, in the mean: as they are, and with the calorimeter ignored. */
    private static void usual(int many) {
        for (Experiment experiment : all()) {
            StringBuilder line = new StringBuilder(String.format(Locale.ROOT, "%-26s", experiment.key()));
            for (Map<String, String> schools : List.of(Map.<String, String>of(), Map.of("calorimeter", "ignored"))) {
                double sum = 0;
                int with = 0;
                for (long seed = 1; seed <= many; seed++) {
                    Outcome outcome = of(experiment, seed, Set.of(), Conventions.of(schools));
                    Optional<Interval> interval = outcome.interval();
                    sum += interval.isPresent() ? interval.get().value() / outcome.sought() - 1 : 0;
                    with += interval.isPresent() ? 1 : 0;
                }
                line.append(String.format(Locale.ROOT, "  %+.2f %%", 100 * sum / with));
            }
            System.out.println(line);
        }
    }

    /** The whole table: {@code RoundTrip 1000 1} for a thousand seeds from 1 on. */
    public static void main(String[] arguments) {
        if (arguments.length > 0 && arguments[0].equals("slips")) {
            slips(Integer.parseInt(arguments[1]), arguments.length > 2 ? arguments[2] : "");
            return;
        }
        if (arguments.length > 0 && arguments[0].equals("usual")) {
            usual(Integer.parseInt(arguments[1]));
            return;
        }
        int many = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 1000;
        long first = arguments.length > 1 ? Long.parseLong(arguments[1]) : 1;
        for (Experiment experiment : all()) {
            if (arguments.length > 2 && !experiment.key().equals(arguments[2])) {
                continue;
            }
            int inside = 0;
            int none = 0;
            double off = 0;
            double squared = 0;
            double half = 0;
            long began = System.nanoTime();
            List<Outcome> all = LongStream.range(first, first + many)
                    .parallel()
                    .mapToObj(seed -> of(experiment, seed, Set.of(), obeyed(experiment)))
                    .toList();
            for (Outcome outcome : all) {
                Optional<Interval> interval = outcome.interval();
                if (interval.isEmpty()) {
                    none++;
                    if (none == 1) {
                        System.out.println(outcome.reduction().findings());
                        System.out.println(outcome.reduction().trials().get(0).account());
                    }
                    continue;
                }
                inside += outcome.inside() ? 1 : 0;
                double width = (interval.get().high() - interval.get().low()) / 2;
                double middle = (interval.get().high() + interval.get().low()) / 2;
                double apart = (middle - outcome.sought()) / width;
                off += apart;
                squared += apart * apart;
                half += width / Math.abs(outcome.sought());
            }
            int with = many - none;
            System.out.printf(
                    Locale.ROOT,
                    "%-26s inside %5.1f %%  mean off %+.2f half-widths, rms %.2f (0.51 honest); half-width %.1f %%; none %d; %.1f ms%n",
                    experiment.key(),
                    100.0 * inside / with,
                    off / with,
                    Math.sqrt(squared / with),
                    100 * half / with,
                    none,
                    (System.nanoTime() - began) / 1e6 / many);
        }
    }
}
