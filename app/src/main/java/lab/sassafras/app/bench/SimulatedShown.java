package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lab.sassafras.app.chart.LivePicture;
import lab.sassafras.app.chart.SimulatedCup;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.simulated.SimulatedBenches;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Figures;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Slip;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import org.springframework.stereotype.Component;

/** What the simulated bench of an entry shows, in words and pictures. */
@Component
class SimulatedShown {

    /** So much is shown of a curve at least (s). No source. */
    private static final double SHOWN = 300;
    /** A thermometer there shows another reading every five seconds: at real speed none is missed so (ms). */
    private static final int SLOWLY = 2000;

    private static final int QUICKLY = 1000;

    private final SimulatedBenches benches;

    SimulatedShown(SimulatedBenches benches) {
        this.benches = benches;
    }

    /** {@return the simulated bench in a trial; empty while it was not set up} */
    Optional<SimulatedScreen> screen(EntrySheet entry, int trial, boolean leads) {
        return benches.now(entry, trial).map(now -> screen(entry, trial, leads, now));
    }

    private static SimulatedScreen screen(EntrySheet entry, int trial, boolean leads, SimulatedBenches.Now now) {
        Figures figures = entry.entry().period().figures();
        Words words = entry.experiment().words();
        boolean atOnce = now.run().speed() == 0;
        Optional<Bench.Standing> standing = now.standing();
        List<SimulatedScreen.Shown> shown = standing.stream()
                .flatMap(each -> each.written().stream())
                .map(each -> new SimulatedScreen.Shown(
                        words.label(each.path()),
                        each.unit().isEmpty()
                                ? spoken(entry, each)
                                : SimulatedBenches.text(entry, each) + " " + each.unit(),
                        stands(entry, each, trial)))
                .toList();
        boolean over = standing.isPresent() && now.next().isEmpty();
        double time = standing.map(Bench.Standing::now).orElse(0.0);
        return new SimulatedScreen(
                atOnce
                        ? "at once"
                        : now.run().speed() == 1
                                ? "at real speed"
                                : figures.plain(now.run().speed()) + " times as fast",
                atOnce || standing.isEmpty() ? 0 : now.run().speed() == 1 ? SLOWLY : QUICKLY,
                ClockTime.write(Math.floor(time)),
                standing.map(each -> figures.fixed(each.shows(), decimals(now))).orElse(""),
                standing.map(each -> new SimulatedCup(
                                        each.fill() / each.holds(),
                                        each.lid(),
                                        "The vessel holds " + Math.round(each.fill()) + " g, its lid "
                                                + (each.lid() ? "on" : "off"))
                                .svg())
                        .orElse(""),
                standing.filter(each -> each.curve().size() > 1)
                        .map(each -> curve(each, words, entry, figures))
                        .orElse(""),
                now.touched(),
                now.next().map(each -> next(each, words, figures)),
                standing.isPresent(),
                shown,
                shown.stream().anyMatch(each -> !each.recorded()) || over && !drawn(entry, trial),
                leads && over ? truth(entry, now, figures) : List.of());
    }

    private static boolean drawn(EntrySheet entry, int trial) {
        return Clocks.placeOf(entry, trial).isEmpty()
                || Clocks.use(entry, trial).isPresent();
    }

    private static int decimals(SimulatedBenches.Now now) {
        return (int) Math.max(0, Math.ceil(-Math.log10(now.bench().thermometer().resolution()) - 1e-9));
    }

    private static String spoken(EntrySheet entry, Bench.Written each) {
        return entry.experiment()
                .slot(each.path())
                .flatMap(slot -> slot
                        .options(
                                entry.experiment().words(),
                                each.path(),
                                entry.sheet().setting())
                        .stream()
                        .filter(option -> option.value().equals(each.text()))
                        .findFirst())
                .map(Slot.Option::words)
                .orElse(each.text());
    }

    private static boolean stands(EntrySheet entry, Bench.Written each, int trial) {
        return entry.sheet()
                .line(
                        SimulatedBenches.at(entry, each, trial),
                        Role.valueOf(each.way().name()))
                .isPresent();
    }

    private static SimulatedScreen.Next next(Bench.Touch touch, Words words, Figures figures) {
        String label = words.label(touch.path());
        String caution = words.caution(touch.path()).map(figures::sentence).orElse("");
        return switch (touch.kind()) {
            case WEIGH ->
                new SimulatedScreen.Next(
                        words.ask(touch.path()),
                        touch.about() > 0
                                ? "Measure out about " + figures.plain(touch.about()) + " g"
                                : "Weigh it: " + label,
                        caution);
            case READ -> new SimulatedScreen.Next(words.ask(touch.path()), "Read: " + label, caution);
            case MARK -> new SimulatedScreen.Next(words.ask(touch.path()), "Now", caution);
        };
    }

    private static String curve(Bench.Standing standing, Words words, EntrySheet entry, Figures figures) {
        List<Reading> readings = standing.curve().stream()
                .map(each -> new Reading(each.seconds(), each.temperature()))
                .toList();
        List<LivePicture.Probe> probes = List.of(new LivePicture.Probe("thermometer", readings));
        String flag = entry.experiment().mixing().map(words::label).orElse("begun");
        return new LivePicture(
                        LivePicture.Look.around(0, Math.max(SHOWN, standing.now() + 30), probes),
                        probes,
                        Double.isFinite(standing.mixed())
                                ? List.of(new LivePicture.Moment(standing.mixed(), flag))
                                : List.of(),
                        standing.now(),
                        "What the thermometer showed until " + ClockTime.write(Math.floor(standing.now())))
                .svg(figures);
    }

    private static List<SimulatedScreen.Truth> truth(EntrySheet entry, SimulatedBenches.Now now, Figures figures) {
        Bench.Played played = now.truth();
        List<SimulatedScreen.Truth> truth = new ArrayList<>();
        String unit = entry.experiment().unknown().unit().symbol();
        truth.add(new SimulatedScreen.Truth(
                "what is sought",
                figures.significant(played.sought(), 4) + " " + unit,
                entry.reduction()
                        .result()
                        .map(each -> figures.byUncertainty(each.value(), each.uncertainty()) + " ± "
                                + figures.uncertainty(each.uncertainty()) + " " + unit)
                        .orElse("no result yet")));
        truth.add(new SimulatedScreen.Truth(
                "heat capacity of the calorimeter",
                figures.significant(now.bench().trueCapacity(), 3) + " J/°C",
                entry.calibration().map(each -> each.written(figures)).orElse("not drawn on")));
        played.truths()
                .forEach(each -> truth.add(new SimulatedScreen.Truth(
                        each.what(), figures.significant(each.value(), 3) + " " + each.unit(), "")));
        now.run().slips().stream()
                .map(Slip::words)
                .forEach(words -> truth.add(new SimulatedScreen.Truth("went wrong", words, "")));
        truth.add(new SimulatedScreen.Truth("seed", String.valueOf(now.run().seed()), ""));
        return truth;
    }

    /** What the simulated instruments show of what is asked at an address and was not recorded yet. */
    List<ProbesShown.Shown> at(EntrySheet entry, int trial, Address address) {
        return benches.now(entry, trial).flatMap(SimulatedBenches.Now::standing).stream()
                .flatMap(each -> each.written().stream())
                .filter(each -> !each.unit().isEmpty()
                        && each.way() == Bench.Way.READ
                        && SimulatedBenches.at(entry, each, trial).equals(address))
                .flatMap(each -> Stream.of(new ProbesShown.Shown(
                        each.on().map(on -> "simulated " + on.kind().word()).orElse("simulated meter"),
                        SimulatedBenches.text(entry, each),
                        each.unit(),
                        true,
                        "as it was shown")))
                .toList();
    }
}
