package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.experiment.PossibleCause.Cause;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.slot.VesselKind;

/**
 * Runs in which one thing went wrong, by a physics of the tests: what was written down stays as it was, what was true
 * differs in one thing, and the end is what a balance written here makes of what was true. No account of the core is
 * asked.
 */
final class Mishaps {

    private static final double C = 4.184;
    private static final Instrument OTHER = new Instrument(
            "t2", "other thermometer", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0);
    private static final Instrument FINE = new Instrument(
            "t3", "fine thermometer", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.001, 0, 50, 0.02, 0);
    private static final Instrument FINE_BALANCE =
            new Instrument("b3", "fine balance", InstrumentKind.BALANCE, BenchUnit.GRAMS, 0.0001, 0, 200, 0.0001, 0);

    /** What the end of a run is, for what is true and the property of the substance or vessel. */
    interface World {
        double ends(Map<String, Double> truth, double property);
    }

    /** One thing written down: a number on an instrument, in a unit, or a word. */
    private record Written(
            String path, double value, int decimals, String unit, Optional<Instrument> on, String word) {}

    /** A kind of run: what is written down in order, what the end is called, and what happens. */
    static final class Kind {
        private final String experiment;
        private final List<Written> written = new ArrayList<>();
        private final VesselKind vessel;
        private final World world;
        private final String end;
        private final Instrument thermometer;
        private final double guess;
        private String school = "";
        private boolean exactly;
        private boolean clocked;

        Kind(String experiment, VesselKind vessel, String end, Instrument thermometer, double guess, World world) {
            this.experiment = experiment;
            this.vessel = vessel;
            this.world = world;
            this.end = end;
            this.thermometer = thermometer;
            this.guess = guess;
        }

        Kind says(String path, String word) {
            written.add(new Written(path, 0, 0, "", Optional.empty(), word));
            return this;
        }

        Kind mass(String path, double grams) {
            written.add(new Written(path, grams, 2, "g", Optional.of(BenchSheet.BALANCE), ""));
            return this;
        }

        Kind finely(String path, double grams) {
            written.add(new Written(path, grams, 4, "g", Optional.of(FINE_BALANCE), ""));
            return this;
        }

        Kind warm(String path, double celsius) {
            written.add(new Written(path, celsius, thermometer == FINE ? 3 : 1, "°C", Optional.of(thermometer), ""));
            return this;
        }

        Kind reads(String path, double value, int decimals, String unit) {
            written.add(new Written(path, value, decimals, unit, Optional.empty(), ""));
            return this;
        }

        /** The same run, read every 10 s. */
        Kind clocked() {
            clocked = true;
            return this;
        }

        Kind ends() {
            written.add(new Written(end, 0, 0, "end", Optional.empty(), ""));
            return this;
        }

        String experiment() {
            return experiment;
        }

        Map<String, Double> numbers() {
            Map<String, Double> all = new LinkedHashMap<>();
            written.stream().filter(each -> each.word().isEmpty()).forEach(each -> all.put(each.path(), each.value()));
            all.remove(end);
            return all;
        }

        /** What was written down, with other numbers and words in some places. */
        Reduction record(Map<String, Double> numbers, Map<String, String> words, double ends, boolean two) {
            BenchSheet sheet = BenchSheet.of(experiment)
                    .in(new Calorimeter(
                            "V-1",
                            vessel,
                            vessel.key().equals("bomb") && !experiment.equals("bomb-constant")
                                    ? Optional.of(new Calorimeter.Pinned(
                                            "c", Measured.independent(1795, 4), 2000, "three trials"))
                                    : Optional.empty()));
            for (Written each : written) {
                String at = each.path().replace("/", "[1]/");
                if (!each.word().isEmpty()) {
                    sheet.says(at, words.getOrDefault(each.path(), each.word()));
                } else {
                    boolean last = each.unit().equals("end");
                    double value = last ? ends : numbers.get(each.path());
                    int decimals = last
                            ? exactly ? 9 : thermometer == FINE ? 3 : end.startsWith("vessel") ? 2 : 1
                            : each.decimals();
                    String unit = last ? end.startsWith("vessel") ? "g" : "°C" : each.unit();
                    Optional<Instrument> on =
                            last ? Optional.of(end.startsWith("vessel") ? BenchSheet.BALANCE : thermometer) : each.on();
                    if (two && each.path().equals(firstWarm())) {
                        on = Optional.of(OTHER);
                    }
                    sheet.give(
                            at,
                            each.unit().equals("mL") && each.path().endsWith("amount") ? Role.VOLUME : Role.READ,
                            String.format(Locale.ROOT, "%." + decimals + "f", value),
                            unit,
                            on);
                }
            }
            return school.isEmpty()
                    ? sheet.reduced()
                    : sheet.reduced(Conventions.of(Map.of(school.split(":")[0], school.split(":")[1])));
        }

        /**
         * A start that stands still, the whole change at once, and a cooling of 0.1 % a second; marked some seconds
         * late.
         */
        Reduction onTheClock(double ends, double late) {
            String trace = "11111111-2222-3333-4444-555555555555";
            double start = numbers().get("poured/start");
            List<Reading> readings = IntStream.rangeClosed(0, 60)
                    .mapToObj(i -> new Reading(
                            10 * i,
                            10 * i < 180
                                    ? start
                                    : Math.rint(10 * (start + (ends - start) * Math.exp(-0.001 * (10 * i - 180))))
                                            / 10))
                    .toList();
            BenchSheet sheet = BenchSheet.of(experiment)
                    .logging(Map.of(trace, new Logged("a trace", readings, Optional.of(thermometer))));
            for (Written each : written) {
                String at = each.path().replace("/", "[1]/");
                if (!each.word().isEmpty()) {
                    sheet.says(at, each.word());
                } else if (!each.unit().equals("end") && !each.path().equals("poured/start")) {
                    sheet.give(
                            at,
                            each.unit().equals("mL") ? Role.VOLUME : Role.READ,
                            String.format(Locale.ROOT, "%." + each.decimals() + "f", each.value()),
                            each.unit(),
                            each.on());
                }
            }
            return sheet.says("curve[1]/trace", new TraceUse(trace, 0, 600, 180 + Math.rint(late)).text())
                    .reduced(Conventions.of(Map.of("change", "carried")));
        }

        /** Which of two thermometers it is that is another's. */
        String firstWarm() {
            return experiments().stream()
                    .filter(each -> each.key().equals("two-thermometers"))
                    .map(each -> each.path().orElseThrow())
                    .findFirst()
                    .orElse("");
        }

        List<PossibleCause> experiments() {
            return Experiments.find(experiment).orElseThrow().suspected();
        }

        /** What was warmed did not come out colder, nor the other way round: nobody would write that down. */
        boolean sensible(Reduction reduction) {
            double result = reduction.result().map(each -> each.value()).orElse(Double.NaN);
            return vessel.typical() == aim(reduction) || result * aim(reduction) > 0;
        }

        /** The property at which an honest run comes to its reference, or the middling constant of its vessel. */
        double property() {
            double at = guess;
            exactly = true;
            for (int i = 0; i < 3; i++) {
                double off = off(at);
                double slope = (off(at * 1.02) - off) / (at * 0.02);
                at -= off / slope;
            }
            exactly = false;
            return at;
        }

        private double off(double property) {
            Reduction honest = record(numbers(), Map.of(), world.ends(numbers(), property), false);
            return honest.result().orElseThrow().value() - aim(honest);
        }

        private double aim(Reduction reduction) {
            return reduction
                    .agreement(reduction.samples().get(0))
                    .map(each -> each.reference().value())
                    .orElse(vessel.typical());
        }
    }

    /** A run in which one thing went wrong. */
    record Mishap(Kind kind, PossibleCause suspect, double size, Reduction reduction) {}

    private Mishaps() {}

    private static double of(Map<String, Double> truth, String path) {
        return truth.getOrDefault(path, 0.0);
    }

    private static double moles(Map<String, Double> t, String concentration, String volume) {
        return of(t, concentration) * of(t, volume) / 1000;
    }

    static List<Kind> kinds() {
        List<Kind> all = new ArrayList<>();
        all.add(new Kind(
                        "specific-heat-of-solid",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        0.385,
                        (t, c) -> {
                            double metal = of(t, "sample/mass") * c + of(t, "sample/carried") * C;
                            double water = of(t, "water/mass") * C + of(t, "along");
                            return (metal * of(t, "sample/start") + water * of(t, "water/start") + of(t, "heat"))
                                    / (metal + water);
                        })
                .says("seen/known", "copper")
                .mass("sample/mass", 84.62)
                .says("sample/bath", "other")
                .warm("sample/start", 98.4)
                .mass("water/mass", 75.31)
                .warm("water/start", 19.7)
                .ends());
        all.add(new Kind(
                        "specific-heat-of-liquid",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        2.6,
                        (t, c) -> {
                            double metal = of(t, "solid/mass") * 0.385;
                            double liquid = of(t, "liquid/mass") * c + of(t, "along");
                            return (metal * of(t, "solid/start") + liquid * of(t, "liquid/start") + of(t, "heat"))
                                    / (metal + liquid);
                        })
                .says("shelf/solid", "copper")
                .says("shelf/liquid", "propan-2-ol")
                .mass("solid/mass", 96.42)
                .says("solid/bath", "other")
                .mass("liquid/mass", 71.25)
                .warm("solid/start", 98.3)
                .warm("liquid/start", 21.6)
                .ends());
        all.add(salt("KCl", 74.551, 12.47, 17.3));
        all.add(salt("CaCl2", 110.98, 5.12, -82));
        all.add(new Kind(
                        "fusion-of-ice", VesselKind.FOAM_CUP, "mixed/final", BenchSheet.THERMOMETER, 333, (t, heat) -> {
                            double ice = of(t, "ice/mass");
                            double melts = ice * (1 - of(t, "ice/wet") / 100) * (heat - 2.09 * of(t, "ice/start"));
                            return (of(t, "water/mass") * C * of(t, "water/start")
                                            + of(t, "along") * of(t, "water/start")
                                            + of(t, "heat")
                                            - melts)
                                    / ((of(t, "water/mass") + ice) * C + of(t, "along"));
                        })
                .mass("water/mass", 152.36)
                .says("ice/state", "dried")
                .warm("ice/start", 0)
                .warm("water/start", 43.7)
                .ends()
                .mass("ice/mass", 38.41));
        all.add(new Kind(
                        "condensing-steam",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        2257,
                        (t, heat) -> {
                            double steam = of(t, "steam/mass");
                            double water = of(t, "water/mass") * C + of(t, "along");
                            return (water * of(t, "water/start")
                                            + steam * C * of(t, "steam/start")
                                            + steam * (1 - of(t, "steam/wet") / 100) * heat
                                            + of(t, "heat"))
                                    / (water + steam * C);
                        })
                .mass("water/mass", 182.43)
                .says("steam/state", "trapped")
                .warm("steam/start", 99.6)
                .warm("water/start", 14.2)
                .ends()
                .mass("steam/mass", 7.06));
        all.add(acidAndBase("HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)", "HCl", "NaOH"));
        all.add(acidAndBase("HF(aq) + OH-(aq) -> F-(aq) + H2O(l)", "HF", "OH-"));
        all.add(zinc());
        all.add(zinc().clocked());
        all.add(new Kind(
                        "combustion-under-a-can",
                        VesselKind.METAL_CUP,
                        "heated/highest",
                        BenchSheet.THERMOMETER,
                        -1360,
                        (t, heat) -> {
                            double burnt = of(t, "burner/burnt") * (1 - of(t, "fuel/water") / 100);
                            return of(t, "water/start")
                                    + (-1000 * heat * burnt / 46.069
                                                    - of(t, "soot/mass") * 393_509 / 12.011
                                                    + of(t, "heat"))
                                            / (of(t, "water/mass") * C + of(t, "along"));
                        })
                .says("fuel/formula", "C2H5OH")
                .mass("water/mass", 213.52)
                .warm("water/start", 16.2)
                .mass("burner/burnt", 0.83)
                .ends());
        World bomb = (t, heat) -> of(t, "bucket/start")
                + (of(t, "pellet/mass") * heat + of(t, "heat") + 58)
                        / (t.getOrDefault("constant", 1795.0) + of(t, "bucket/water") * C + of(t, "along"));
        all.add(new Kind(
                        "bomb-combustion",
                        Experiments.vessel("bomb").orElseThrow(),
                        "bucket/highest",
                        FINE,
                        40_200,
                        bomb)
                .says("sample/formula", "C10H8")
                .says("fuse/way", "none")
                .finely("pellet/mass", 0.8123)
                .says("check/vessel", "done")
                .says("check/charge", "done")
                .says("check/leak", "done")
                .mass("bucket/water", 2004.1)
                .warm("bucket/start", 23.104)
                .ends()
                .says("check/vented", "done")
                .says("inside/seen", "clean"));
        all.add(new Kind(
                        "constant-by-mixing",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        7,
                        (t, cup) -> (of(t, "cold/mass") * C * of(t, "cold/start")
                                        + of(t, "hot/mass") * C * of(t, "hot/start")
                                        + (cup + of(t, "along")) * of(t, "cold/start")
                                        + of(t, "heat"))
                                / ((of(t, "cold/mass") + of(t, "hot/mass")) * C + cup + of(t, "along")))
                .says("cup/held", "cold")
                .mass("cold/mass", 60.12)
                .warm("cold/start", 21.3)
                .mass("hot/mass", 58.47)
                .warm("hot/start", 58.2)
                .ends());
        all.add(new Kind(
                        "constant-by-known-heat",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        7,
                        (t, cup) -> of(t, "water/start")
                                + (of(t, "heater/voltage") * of(t, "heater/current") * of(t, "heater/time")
                                                + of(t, "heat"))
                                        / (of(t, "water/mass") * C + cup + of(t, "along")))
                .says("source/kind", "heater")
                .mass("water/mass", 200.43)
                .warm("water/start", 20.1)
                .reads("heater/voltage", 10.02, 2, "V")
                .reads("heater/current", 2.48, 2, "A")
                .reads("heater/time", 426, 0, "s")
                .ends());
        all.add(new Kind(
                        "bomb-constant",
                        Experiments.vessel("bomb").orElseThrow(),
                        "bucket/highest",
                        FINE,
                        1800,
                        (t, constant) -> of(t, "bucket/start")
                                + (of(t, "pellet/mass") * 26_434 + of(t, "heat") + 58)
                                        / (constant + of(t, "bucket/water") * C + of(t, "along")))
                .says("fuse/way", "none")
                .finely("pellet/mass", 1.0012)
                .says("check/vessel", "done")
                .says("check/charge", "done")
                .says("check/leak", "done")
                .mass("bucket/water", 2000.4)
                .warm("bucket/start", 23.412)
                .ends()
                .says("check/vented", "done")
                .says("inside/seen", "clean"));
        all.add(new Kind(
                        "dissolving-equilibrium",
                        VesselKind.FOAM_CUP,
                        "vessel/after",
                        BenchSheet.THERMOMETER,
                        10.9,
                        (t, molar) -> of(t, "vessel/solvent")
                                + of(t, "solution/volume")
                                        / 1000
                                        * 60.056
                                        * molar
                                        * Math.exp(-15_000
                                                / 8.314
                                                * (1 / (of(t, "bath/temperature") + 273.15) - 1 / 298.15)))
                .says("solute/formula", "CO(NH2)2")
                .says("solute/dissolves", "whole")
                .mass("vessel/empty", 21.46)
                .mass("vessel/solvent", 24.44)
                .warm("bath/temperature", 24.8)
                .says("bath/held", "bath")
                .says("solution/last", "dissolved")
                .reads("solution/volume", 5.60, 2, "mL")
                .ends()
                .reads("table/entropy-solid", 104.60, 2, "J/(mol·K)")
                .reads("table/entropy-dissolved", 173.85, 2, "J/(mol·K)")
                .reads("table/enthalpy-solid", -333.19, 2, "kJ/mol")
                .reads("table/enthalpy-dissolved", -319.03, 2, "kJ/mol"));
        return all;
    }

    private static Kind salt(String formula, double molarMass, double grams, double guess) {
        return new Kind(
                        "heat-of-solution",
                        VesselKind.FOAM_CUP,
                        "solution/final",
                        BenchSheet.THERMOMETER,
                        guess,
                        (t, heat) -> {
                            double solid = of(t, "solid/mass");
                            double n = solid
                                    * t.getOrDefault("solute/purity", 100.0)
                                    / 100
                                    / t.getOrDefault("molar mass", molarMass);
                            return of(t, "water/start")
                                    + (of(t, "heat") - 1000 * t.getOrDefault("its heat", heat) * n)
                                            / ((of(t, "water/mass") + solid) * C + of(t, "along"));
                        })
                .says("solute/formula", formula)
                .mass("water/mass", 98.25)
                .mass("solid/mass", grams)
                .warm("water/start", 22.8)
                .ends()
                .says("solution/dissolved", "all");
    }

    private static Kind zinc() {
        return new Kind(
                        "solid-with-solution",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        -217,
                        (t, heat) -> {
                            double n = t.containsKey("other")
                                    ? of(t, "added/mass") / 65.38
                                    : Math.min(
                                            moles(t, "solution/concentration", "poured/amount"),
                                            of(t, "added/mass") / 65.38);
                            double all0 = (of(t, "poured/amount") + of(t, "added/mass")) * C + of(t, "along");
                            return of(t, "poured/start") + (of(t, "heat") - 1000 * heat * n) / all0;
                        })
                .says("reaction/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)")
                .says("solution/reagent", "Cu^2+")
                .reads("solution/concentration", 0.512, 3, "mol/L")
                .says("solid/formula", "Zn")
                .reads("poured/amount", 63.5, 1, "mL")
                .mass("added/mass", 2.61)
                .warm("poured/start", 21.4)
                .ends()
                .says("mixed/reacted", "excess");
    }

    private static Kind acidAndBase(String equation, String acid, String base) {
        return new Kind(
                        "neutralization",
                        VesselKind.FOAM_CUP,
                        "mixed/final",
                        BenchSheet.THERMOMETER,
                        -57,
                        (t, heat) -> {
                            double n = t.containsKey("other")
                                    ? moles(t, "base/concentration", "second/amount")
                                    : Math.min(
                                            moles(t, "acid/concentration", "first/amount"),
                                            moles(t, "base/concentration", "second/amount"));
                            double one = of(t, "first/amount") * C;
                            double other = of(t, "second/amount") * C;
                            return (one * of(t, "first/start")
                                            + other * of(t, "second/start")
                                            + of(t, "along") * of(t, "second/start")
                                            - 1000 * (heat + of(t, "less")) * n
                                            + of(t, "heat"))
                                    / (one + other + of(t, "along"));
                        })
                .says("reaction/equation", equation)
                .says("reaction/strength", "strong")
                .says("acid/formula", acid)
                .reads("acid/concentration", 1.023, 3, "mol/L")
                .says("base/formula", base)
                .reads("base/concentration", 1.047, 3, "mol/L")
                .reads("first/amount", 52.3, 1, "mL")
                .reads("second/amount", 58.6, 1, "mL")
                .warm("second/start", 21.4)
                .warm("first/start", 21.7)
                .ends();
    }

    /** Sizes fall off from none to the largest believed; the sign is the one a cause has. */
    private static double drawn(PossibleCause suspect, double most, double plausible, Random random) {
        double middling = Math.max(Math.abs(plausible), most / 3);
        double size;
        do {
            size = -middling * Math.log(random.nextDouble());
        } while (size > most);
        boolean turned = suspect.way() == PossibleCause.Sign.EITHER && random.nextBoolean();
        return Math.copySign(size, turned ? -plausible : plausible);
    }

    /**
     * A run with one thing wrong, moved by at least two half-widths; empty where it never is, or this world has no such
     * thing.
     */
    static Optional<Mishap> of(Kind kind, PossibleCause suspect, double property, Random random) {
        for (int attempt = 0; attempt < 25; attempt++) {
            Optional<Mishap> mishap = once(kind, suspect, property, random);
            if (mishap.isEmpty()) {
                return Optional.empty();
            }
            Reduction reduction = mishap.get().reduction();
            boolean told = kind.sensible(reduction)
                    && reduction
                            .result()
                            .filter(result ->
                                    Math.abs(result.value() - kind.aim(reduction)) >= 2 * result.halfWidth(0.95))
                            .isPresent();
            if (told
                    && reduction.suspects().stream()
                            .anyMatch(each -> each.part().isPresent())) {
                return mishap;
            }
        }
        return Optional.empty();
    }

    private static Optional<Mishap> once(Kind kind, PossibleCause suspect, double property, Random random) {
        if (kind.clocked != suspect.cause() instanceof Cause.Mark) {
            return Optional.empty();
        }
        Map<String, Double> written = kind.numbers();
        Map<String, Double> truth = new HashMap<>(written);
        Map<String, String> words = new HashMap<>();
        double size = drawn(suspect, suspect.most(), suspect.size(), random);
        Cause cause = suspect.cause();
        double away = 0;
        if (cause instanceof Cause.Read read) {
            if (read.path().equals(kind.end)) {
                double honest = kind.world.ends(written, property);
                boolean towards = read.from().isPresent()
                        && honest < written.get(read.from().get());
                away = towards ? -size : size;
            } else if (kind.record(written, words, kind.world.ends(truth, property), false)
                    .sheet()
                    .places()
                    .stands(lab.sassafras.slot.Address.of(read.path(), 1))) {
                double recorded = written.getOrDefault(read.path(), read.countedAs());
                boolean below = read.from().isPresent()
                        && recorded
                                < (read.from().get().equals(kind.end)
                                        ? kind.world.ends(written, property)
                                        : written.get(read.from().get()));
                size *= suspect.measure().share() ? recorded : 1;
                truth.put(read.path(), recorded + (below ? -size : size));
            } else {
                return Optional.empty();
            }
        } else if (cause instanceof Cause.Heat) {
            truth.put("heat", size);
        } else if (cause instanceof Cause.AlongWith) {
            truth.put("along", size);
        } else if (cause instanceof Cause.LeftOutCalorimeter) {
            size = 50 * random.nextDouble();
            truth.put("along", size);
        } else if (cause instanceof Cause.OtherReagent) {
            truth.put("other", 1.0);
        } else if (cause instanceof Cause.WithItsVessel) {
            List<String> masses = kind.written.stream()
                    .filter(each -> each.unit().equals("g"))
                    .map(Written::path)
                    .toList();
            if (masses.isEmpty()) {
                return Optional.empty();
            }
            String which = masses.get(random.nextInt(masses.size()));
            size = -Math.exp(Math.log(120) * random.nextDouble());
            written.merge(which, -size, Double::sum);
        } else if (cause instanceof Cause.Misread) {
            List<String> numbers = written.keySet().stream()
                    .filter(each -> !each.startsWith("table"))
                    .toList();
            String which = numbers.get(random.nextInt(numbers.size()));
            boolean degrees = kind.written.stream()
                    .anyMatch(each -> each.path().equals(which) && each.unit().equals("°C"));
            double recorded = degrees && random.nextBoolean()
                    ? written.get(which) + List.of(5, -5, 10, -10).get(random.nextInt(4))
                    : exchanged(kind, which, written.get(which), random);
            size = written.get(which) - recorded;
            if (size == 0 || recorded <= 0) {
                return once(kind, suspect, property, random);
            }
            written.put(which, recorded);
        } else if (cause instanceof Cause.Answered answered) {
            if (suspect.key().equals("other-substance")) {
                double other = List.of(0.897, 0.449, 0.129, 0.227, 0.835).get(random.nextInt(5));
                return Optional.of(new Mishap(
                        kind,
                        suspect,
                        1,
                        kind.record(written, words, round(kind, kind.world.ends(truth, other)), false)));
            }
            if (suspect.key().equals("weak-for-strong")
                    && kind.written.stream().anyMatch(each -> each.word().equals("HF"))) {
                // its ionization gives off 12.55 (formation enthalpies, NBS, memory)
                truth.put("less", -12.55 + 0.2 * random.nextGaussian());
                size = 1;
            } else if (suspect.key().equals("hydrate")
                    && kind.written.stream().anyMatch(each -> each.word().equals("CaCl2"))) {
                // CaCl₂·2H₂O or ·6H₂O, with the heat its own row has (NBS, memory)
                boolean two = random.nextBoolean();
                truth.put("molar mass", two ? 147.01 : 219.08);
                truth.put("its heat", two ? -42.7 : 19.5);
                size = two ? 2 : 6;
            } else {
                return Optional.empty();
            }
        } else if (cause instanceof Cause.Mark && kind.clocked) {
            return Optional.of(
                    new Mishap(kind, suspect, size, kind.onTheClock(kind.world.ends(truth, property), -size)));
        } else {
            return Optional.empty();
        }
        double ends = kind.world.ends(truth, property) - away;
        boolean two = suspect.key().equals("two-thermometers");
        return Optional.of(new Mishap(kind, suspect, size, kind.record(written, words, round(kind, ends), two)));
    }

    private static double round(Kind kind, double ends) {
        double step = kind.thermometer == FINE ? 1000 : kind.end.startsWith("vessel") ? 100 : 10;
        return Math.rint(ends * step) / step;
    }

    private static double exchanged(Kind kind, String which, double value, Random random) {
        int decimals = kind.written.stream()
                .filter(each -> each.path().equals(which))
                .findFirst()
                .orElseThrow()
                .decimals();
        char[] digits = String.format(Locale.ROOT, "%." + decimals + "f", value).toCharArray();
        int at = random.nextInt(digits.length - 1);
        int next = digits[at + 1] == '.' ? at + 2 : at + 1;
        if (digits[at] == '.' || next >= digits.length) {
            return value;
        }
        char kept = digits[at];
        digits[at] = digits[next];
        digits[next] = kept;
        return digits[0] == '0' ? value : Double.parseDouble(new String(digits));
    }
}
