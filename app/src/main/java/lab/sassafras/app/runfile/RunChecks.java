package lab.sassafras.app.runfile;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.Shared;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.VesselKind;
import org.jspecify.annotations.Nullable;

/**
 * What a schema cannot say of a run file: that every name inside is known, and every moment one a bench can have
 * seen.
 */
final class RunChecks {

    private static final int NAME = 60;
    private static final int SOURCE = 80;
    private static final int TITLE = 80;

    private final RunFile file;
    private final String path;
    private final Map<String, Instrument> instruments = new LinkedHashMap<>();

    private RunChecks(RunFile file, String path) {
        this.file = file;
        this.path = path;
    }

    /**
     * The run a file tells.
     *
     * @param file one that fits the schema
     * @throws Refused naming the place where it cannot stand
     */
    static Run checked(RunFile file) {
        return new RunChecks(file, "").run();
    }

    private Run run() {
        TimeBudget.check();
        Experiment experiment = Experiments.find(file.experiment())
                .orElseThrow(() -> wrong("experiment", "is not an experiment known here"));
        readInstruments();
        Map<String, Run> references = new LinkedHashMap<>();
        of(file.references())
                .forEach((name, other) ->
                        references.put(name, new RunChecks(other, path + "references." + name + ".").run()));
        return new Run(
                experiment,
                file.method(),
                file.shelf(),
                period(file.period()),
                name("bench", file.bench(), NAME),
                said("begun", () -> BookTime.instant(file.begun())),
                conventions("conventions", file.conventions()),
                instruments,
                Optional.ofNullable(file.calorimeter()).map(each -> calorimeter("calorimeter", each)),
                calorimeters(),
                defaults(),
                inHand(experiment),
                file.trials(),
                parts(experiment),
                observations(),
                decisions(),
                notes(),
                references,
                combination(experiment),
                Optional.ofNullable(file.paper())
                        .map(each -> new RunFile.PaperPart(each.reason(), name("paper.who", each.who(), NAME))),
                Boolean.TRUE.equals(file.simulated()),
                traces(),
                newer());
    }

    private String newer() {
        return file.minor() != null && file.minor() > RunFile.MINOR ? file.version() + "." + file.minor() : "";
    }

    private Run.InPeriod period(RunFile.PeriodPart part) {
        return new Run.InPeriod(
                name("period.title", part.title(), TITLE),
                said("period.date", () -> BookTime.day(part.date())),
                zone(part.zone()),
                mark(part),
                conventions("period.conventions", part.conventions()));
    }

    private static DecimalMark mark(RunFile.PeriodPart part) {
        return Arrays.stream(DecimalMark.values())
                .filter(mark -> mark.word().equals(part.decimalMark()))
                .findFirst()
                .orElseThrow();
    }

    private ZoneId zone(String text) {
        try {
            return ZoneId.of(text);
        } catch (DateTimeException e) {
            throw wrong("period.zone", "must be a time zone such as Europe/Berlin");
        }
    }

    private Map<String, String> conventions(String field, @Nullable Map<String, String> given) {
        Map<String, String> chosen = of(given);
        Conventions.unknown(chosen).ifPresent(name -> {
            throw wrong(field, "names a convention unknown here, “" + name + "”");
        });
        return chosen;
    }

    private String combination(Experiment experiment) {
        if (file.combination() == null) {
            return "";
        }
        return experiment.combinations().stream()
                .filter(each -> each.key().equals(file.combination()))
                .findFirst()
                .orElseThrow(() -> wrong("combination", "is no way this experiment takes its trials together"))
                .key();
    }

    private void readInstruments() {
        for (int i = 0; i < file.instruments().size(); i++) {
            String here = "instruments[" + i + "]";
            RunFile.InstrumentPart part = file.instruments().get(i);
            InstrumentKind kind = Experiments.instruments().stream()
                    .filter(known -> known.word().equals(part.kind()))
                    .findFirst()
                    .orElseThrow(() -> wrong(
                            here + ".kind",
                            "must be one of: "
                                    + Experiments.instruments().stream()
                                            .map(InstrumentKind::word)
                                            .collect(Collectors.joining(", "))));
            if (part.low() >= part.high()) {
                throw wrong(here + ".high", "must be above “low”");
            }
            Instrument instrument = new Instrument(
                    part.key(),
                    name(here + ".name", part.name(), NAME),
                    kind,
                    kind.unit(),
                    part.resolution(),
                    part.low(),
                    part.high(),
                    part.offsetUncertainty(),
                    part.readingUncertainty() == null ? 0 : part.readingUncertainty(),
                    correction(here, kind, part));
            if (instruments.put(instrument.key(), instrument) != null) {
                throw wrong(here + ".key", "stands twice");
            }
        }
    }

    private Correction correction(String field, InstrumentKind kind, RunFile.InstrumentPart part) {
        try {
            return new Correction(
                    part.gain() == null ? kind.usualGain() : part.gain(),
                    of(part.points()).stream()
                            .map(point -> new Correction.Point(point.reading(), point.actual(), point.uncertainty()))
                            .toList());
        } catch (Refused refused) {
            throw wrong(field + ".points", "cannot be: " + refused.getMessage());
        }
    }

    private Instrument known(String field, String key) {
        return Optional.ofNullable(instruments.get(key))
                .orElseThrow(() -> wrong(field, "names no instrument of this file"));
    }

    private Map<String, Calorimeter> calorimeters() {
        Map<String, Calorimeter> vessels = new LinkedHashMap<>();
        of(file.calorimeters()).forEach((name, part) -> vessels.put(name, calorimeter("calorimeters." + name, part)));
        return vessels;
    }

    private Calorimeter calorimeter(String field, RunFile.CalorimeterPart part) {
        VesselKind kind = Experiments.vessel(part.kind())
                .orElseThrow(() -> wrong(field + ".kind", "is not a kind of vessel known here"));
        String name = name(field + ".name", part.name(), NAME);
        return new Calorimeter(
                name,
                kind,
                Optional.ofNullable(part.constant()).map(constant -> pinned(field + ".constant", name, constant)));
    }

    private Calorimeter.Pinned pinned(String field, String vessel, RunFile.ConstantPart part) {
        List<Measured.Share> shares = new ArrayList<>();
        for (RunFile.SharePart each : of(part.shares())) {
            shares.add(share(field + ".shares[" + shares.size() + "]", each));
        }
        return new Calorimeter.Pinned(
                "file:" + vessel + ":" + part.value(),
                new Measured(
                        part.value(), part.ownUncertainty(), degrees(part.degreesOfFreedom()), List.copyOf(shares), -1),
                part.fill(),
                part.from());
    }

    private Measured.Share share(String field, RunFile.SharePart part) {
        if (part.instrument() != null) {
            String which = part.of() == null ? "" : part.of();
            return known(field + ".instrument", part.instrument())
                    .source(which)
                    .map(source -> new Measured.Share(source, part.sensitivity()))
                    .orElseThrow(() -> wrong(field + ".of", "names no error of that instrument"));
        }
        if (part.source() == null || part.label() == null || part.uncertainty() == null) {
            throw wrong(field, "must name an instrument, or a source with its label and uncertainty");
        }
        return new Measured.Share(
                Shared.everywhere(part.source(), part.label(), part.uncertainty(), degrees(part.degreesOfFreedom())),
                part.sensitivity());
    }

    private static double degrees(@Nullable Double given) {
        return given == null ? Double.POSITIVE_INFINITY : given;
    }

    private List<Run.Held> inHand(Experiment experiment) {
        List<Run.Held> all = new ArrayList<>();
        List<RunFile.HandPart> parts = of(file.inHand());
        for (int i = 0; i < parts.size(); i++) {
            RunFile.HandPart part = parts.get(i);
            String here = "inHand[" + i + "]";
            Instrument instrument = known(here + ".instrument", part.instrument());
            if (!part.place().isEmpty() && experiment.group(part.place()).isEmpty()) {
                throw wrong(here + ".place", "is no place of this experiment");
            }
            all.add(new Run.Held(
                    part.place(),
                    instrument.key(),
                    name(here + ".who", part.who(), NAME),
                    said(here + ".when", () -> BookTime.instant(part.when()))));
        }
        return List.copyOf(all);
    }

    private Map<InstrumentKind, String> defaults() {
        Map<InstrumentKind, String> defaults = new LinkedHashMap<>();
        List<String> keys = of(file.defaults());
        for (int i = 0; i < keys.size(); i++) {
            Instrument instrument = known("defaults[" + i + "]", keys.get(i));
            defaults.put(instrument.kind(), instrument.key());
        }
        return defaults;
    }

    private Map<String, Integer> parts(Experiment experiment) {
        of(file.parts()).keySet().forEach(name -> {
            if (experiment
                    .group(name)
                    .filter(group -> group.cardinality() == Cardinality.PER_PART)
                    .isEmpty()) {
                throw wrong("parts." + name, "is not a repeated group of this experiment");
            }
        });
        return of(file.parts());
    }

    private List<Run.Observed> observations() {
        List<Run.Observed> observations = new ArrayList<>();
        for (RunFile.ObservationPart each : file.observations()) {
            String here = "observations[" + observations.size() + "]";
            if (each.instrument() != null) {
                known(here + ".instrument", each.instrument());
            }
            observations.add(new Run.Observed(
                    each.id(),
                    each.at(),
                    Role.of(each.role()).orElseThrow(),
                    each.text(),
                    Optional.ofNullable(each.unit()),
                    Optional.ofNullable(each.instrument()),
                    Optional.ofNullable(each.uncertainty()),
                    name(here + ".who", each.who(), NAME),
                    said(here + ".when", () -> BookTime.instant(each.when())),
                    Optional.ofNullable(each.supersedes()),
                    Optional.ofNullable(each.reason()),
                    path + here));
        }
        return observations;
    }

    private List<Run.Decided> decisions() {
        List<Run.Decided> decisions = new ArrayList<>();
        for (RunFile.DecisionPart each : of(file.decisions())) {
            decisions.add(new Run.Decided(
                    each.trial(),
                    each.outcome(),
                    each.reason(),
                    name("decisions[" + decisions.size() + "].who", each.who(), NAME)));
        }
        return decisions;
    }

    private List<Run.Noted> notes() {
        List<Run.Noted> notes = new ArrayList<>();
        for (RunFile.NotePart each : of(file.notes())) {
            String here = "notes[" + notes.size() + "]";
            notes.add(new Run.Noted(
                    each.text(),
                    name(here + ".who", each.who(), NAME),
                    said(here + ".when", () -> BookTime.instant(each.when()))));
        }
        return notes;
    }

    private Map<String, Run.Clocked> traces() {
        Map<String, Run.Clocked> traces = new LinkedHashMap<>();
        of(file.traces()).forEach((name, part) -> {
            String here = "traces." + name;
            if (part.instrument() != null) {
                known(here + ".instrument", part.instrument());
            }
            traces.put(
                    name,
                    new Run.Clocked(
                            Optional.ofNullable(part.instrument()),
                            part.every().doubleValue(),
                            said(here + ".begun", () -> BookTime.instant(part.begun())),
                            readings(here, part.readings()),
                            of(part.room()),
                            of(part.setAside()),
                            of(part.counted()),
                            Optional.ofNullable(part.readFor()),
                            part.source() == null ? "" : name(here + ".source", part.source(), SOURCE),
                            unit(here, part.unit())));
        });
        return traces;
    }

    private BenchUnit unit(String here, @Nullable String symbol) {
        return symbol == null
                ? BenchUnit.DEGREES_CELSIUS
                : BenchUnit.of(symbol).orElseThrow(() -> wrong(here + ".unit", "is not a unit known here"));
    }

    private List<Run.Timed> readings(String here, List<TraceRow> given) {
        List<Run.Timed> readings = new ArrayList<>(given.size());
        for (TraceRow each : given) {
            int row = readings.size();
            double temperature = each.text()
                    .map(typed -> said(
                            here + ".readings[" + row + "]",
                            () -> TypedNumber.read(typed, mark(file.period())).value()))
                    .orElse(each.temperature());
            readings.add(new Run.Timed(each.seconds(), temperature, each.text()));
        }
        return readings;
    }

    private static <T> List<T> of(@Nullable List<T> given) {
        return given == null ? List.of() : given;
    }

    private static <T> Map<String, T> of(@Nullable Map<String, T> given) {
        return given == null ? Map.of() : given;
    }

    /** A name people see, as it is kept. */
    private String name(String field, String text, int longest) {
        return said(field, () -> Names.checked(text, "This name", longest));
    }

    private <T> T said(String field, Supplier<T> read) {
        try {
            return read.get();
        } catch (Refused refused) {
            throw wrong(field, "cannot stand: " + refused.getMessage().replaceAll("\\.$", ""));
        }
    }

    private Refused wrong(String field, String how) {
        return new Refused(path + field + " " + how + ".");
    }
}
