package lab.sassafras.app.runfile;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.NoteBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Shared;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceUse;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Writes an entry as a run file. The names inside are small and stable, so that the same entry gives the same file. */
@Component
public class RunFileWriter {

    private final EntryBook entryBook;
    private final EntrySheets sheets;
    private final Instruments instruments;
    private final Traces traces;
    private final NoteBook notes;
    private final Clocks clocks;
    private final JsonMapper json =
            JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();

    RunFileWriter(
            EntryBook entryBook,
            EntrySheets sheets,
            Instruments instruments,
            Traces traces,
            NoteBook notes,
            Clocks clocks) {
        this.clocks = clocks;
        this.notes = notes;
        this.entryBook = entryBook;
        this.sheets = sheets;
        this.instruments = instruments;
        this.traces = traces;
    }

    public byte[] write(Entry entry) {
        return json.writeValueAsBytes(file(sheets.of(entry)));
    }

    private RunFile file(EntrySheet entry) {
        Names names = new Names(entry);
        Setting setting = entry.sheet().setting();
        // names are given in the order met: observations, the vessel, the instruments proposed
        List<RunFile.ObservationPart> observations = entry.observations().all().stream()
                .map(each -> observation(each, names))
                .toList();
        RunFile.@Nullable CalorimeterPart calorimeter =
                setting.calorimeter().map(vessel -> calorimeter(vessel, names)).orElse(null);
        List<String> defaults = entry.entry().instruments().entrySet().stream()
                .sorted(Comparator.comparing(each -> Experiments.instruments().indexOf(each.getKey())))
                .map(each -> names.instrument(each.getValue()))
                .toList();
        List<RunFile.HandPart> inHand = entry.hand().rows().stream()
                .map(each -> new RunFile.HandPart(
                        each.place(),
                        names.instrument(each.instrumentId()),
                        each.who(),
                        each.madeAt().toString()))
                .toList();
        Map<String, RunFile.TracePart> clocked = new LinkedHashMap<>();
        entry.decisions()
                .clocks()
                .forEach(
                        (address, id) -> names.traces.computeIfAbsent(id, any -> "trace-" + (names.traces.size() + 1)));
        names.traces.forEach((id, name) -> clocked.put(name, trace(UUID.fromString(id), entry, names)));
        List<RunFile.InstrumentPart> used = new ArrayList<>();
        names.instruments.forEach(
                (id, name) -> used.add(instrument(instruments.find(id).orElseThrow(), name)));
        Map<String, RunFile.CalorimeterPart> calorimeters = new LinkedHashMap<>();
        names.calorimeters.forEach((id, name) -> calorimeters.put(
                name, calorimeter(Objects.requireNonNull(setting.calorimeters().get(id)), names)));
        Map<String, RunFile> references = new LinkedHashMap<>();
        names.references.forEach((id, name) -> references.put(
                name, file(sheets.of(entryBook.find(UUID.fromString(id)).orElseThrow()))));
        String combination = entry.decisions().combination();
        List<RunFile.NotePart> said = notes.of(entry.entry().id()).stream()
                .map(each -> new RunFile.NotePart(
                        each.text(), each.who(), each.madeAt().toString()))
                .toList();
        return new RunFile(
                RunFile.FORMAT,
                RunFile.VERSION,
                !said.isEmpty()
                        ? NOTED
                        : entry.entry().simulated()
                                ? SIMULATED
                                : !inHand.isEmpty()
                                                || clocked.values().stream()
                                                        .anyMatch(each -> each.source() != null
                                                                || each.unit() != null
                                                                || each.every() instanceof Double)
                                        ? IN_HAND
                                        : entry.decisions().copiedFromPaper().isPresent()
                                                ? OF_PAPER
                                                : minor(
                                                        clocked,
                                                        observations,
                                                        used,
                                                        calorimeter,
                                                        calorimeters.values()),
                entry.experiment().key(),
                entry.entry().method(),
                entry.entry().shelfVersion(),
                period(entry.entry().period()),
                entry.entry().bench().name(),
                entry.entry().createdAt().toString(),
                new TreeMap<>(entry.decisions().schools()),
                combination.isEmpty() ? null : combination,
                entry.decisions()
                        .copiedFromPaper()
                        .map(each -> new RunFile.PaperPart(each.reason(), each.who()))
                        .orElse(null),
                entry.entry().simulated() ? true : null,
                used,
                calorimeter,
                orAbsent(calorimeters),
                defaults,
                inHand.isEmpty() ? null : inHand,
                entry.sheet().trials(),
                orAbsent(setting.parts()),
                observations,
                decisions(entry),
                said.isEmpty() ? null : said,
                orAbsent(references),
                orAbsent(clocked));
    }

    /** The minor version that has notes. */
    private static final int NOTED = 7;

    /** The minor version that says a run is simulated. */
    private static final int SIMULATED = 6;

    /** The minor version that says what was taken in hand later, and where readings came from. */
    private static final int IN_HAND = 5;

    /** The minor version that says a run was copied from paper. */
    private static final int OF_PAPER = 4;

    /** The first minor version that has all there is in a file. */
    private static int minor(
            Map<String, RunFile.TracePart> traces,
            List<RunFile.ObservationPart> observations,
            List<RunFile.InstrumentPart> instruments,
            RunFile.@Nullable CalorimeterPart calorimeter,
            Collection<RunFile.CalorimeterPart> calorimeters) {
        boolean gain = instruments.stream().anyMatch(each -> each.gain() != null || each.points() != null)
                || Stream.concat(Stream.ofNullable(calorimeter), calorimeters.stream())
                        .flatMap(each -> Stream.ofNullable(each.constant()))
                        .flatMap(each -> Stream.ofNullable(each.shares()))
                        .flatMap(List::stream)
                        .anyMatch(each -> each.of() != null);
        boolean trend = traces.values().stream().anyMatch(each -> each.readFor() != null || each.counted() != null)
                || observations.stream().anyMatch(each -> each.role().equals(Role.TREND.key()));
        return gain ? 3 : trend ? 2 : traces.isEmpty() ? 0 : 1;
    }

    private RunFile.TracePart trace(UUID id, EntrySheet entry, Names names) {
        Trace trace = traces.find(id).orElseThrow();
        List<TraceRow> readings = new ArrayList<>();
        double last = 0;
        for (TraceChunk.Read each : traces.readings(id)) {
            readings.add(new TraceRow(each.seconds(), each.temperature(), each.text()));
            last = each.seconds();
        }
        List<RunFile.AsidePart> aside = decided(entry.decisions().readingsAside(id));
        List<RunFile.AsidePart> counted = decided(entry.decisions().readingsSure(id));
        List<Double> room = clocks.room(entry.entry().period(), trace, last);
        return new RunFile.TracePart(
                trace.instrumentId().map(names::instrument).orElse(null),
                number(trace.every()),
                trace.begunAt().toString(),
                readings,
                room.isEmpty() ? null : room,
                aside.isEmpty() ? null : aside,
                counted.isEmpty() ? null : counted,
                entry.decisions().clocks().entrySet().stream()
                        .filter(each -> each.getValue().equals(id.toString()))
                        .findFirst()
                        .map(Map.Entry::getKey)
                        .orElse(null),
                trace.source().isEmpty() ? null : trace.source(),
                trace.unit().equals(BenchUnit.DEGREES_CELSIUS.symbol()) ? null : trace.unit());
    }

    /** Whole seconds are written as they always were. */
    private static Number number(double every) {
        if (every == Math.rint(every)) {
            return (int) every;
        }
        return every;
    }

    private static List<RunFile.AsidePart> decided(Map<String, Decision> decisions) {
        return decisions.entrySet().stream()
                .map(each -> new RunFile.AsidePart(
                        Decisions.second(each.getKey()),
                        each.getValue().reason(),
                        each.getValue().who()))
                .toList();
    }

    private static <T> @Nullable Map<String, T> orAbsent(Map<String, T> map) {
        return map.isEmpty() ? null : map;
    }

    private static RunFile.PeriodPart period(Period period) {
        return new RunFile.PeriodPart(
                period.title(),
                period.heldOn().toString(),
                period.zoneName(),
                period.decimalMark().word(),
                new TreeMap<>(period.schools()));
    }

    private static RunFile.InstrumentPart instrument(Instrument instrument, String name) {
        return new RunFile.InstrumentPart(
                name,
                instrument.name(),
                instrument.kind().word(),
                instrument.resolution(),
                instrument.low(),
                instrument.high(),
                instrument.offsetUncertainty(),
                instrument.readingUncertainty() > 0 ? instrument.readingUncertainty() : null,
                instrument.correction().gain() == instrument.kind().usualGain()
                        ? null
                        : instrument.correction().gain(),
                instrument.correction().points().isEmpty()
                        ? null
                        : instrument.correction().points().stream()
                                .map(point ->
                                        new RunFile.PointPart(point.reading(), point.actual(), point.uncertainty()))
                                .toList());
    }

    private static RunFile.CalorimeterPart calorimeter(Calorimeter vessel, Names names) {
        return new RunFile.CalorimeterPart(
                vessel.name(),
                vessel.kind().key(),
                vessel.constant().map(pinned -> constant(pinned, names)).orElse(null));
    }

    private static RunFile.ConstantPart constant(Calorimeter.Pinned pinned, Names names) {
        Measured value = pinned.value();
        return new RunFile.ConstantPart(
                value.value(),
                value.ownUncertainty(),
                finite(value.degreesOfFreedom()),
                pinned.fill(),
                pinned.from(),
                value.shares().stream().map(share -> share(share, names)).toList());
    }

    private static RunFile.SharePart share(Measured.Share share, Names names) {
        Shared source = share.source();
        return Instrument.Source.of(source)
                .map(each -> new RunFile.SharePart(
                        names.instrument(UUID.fromString(each.instrument())),
                        each.which().isEmpty() ? null : each.which(),
                        null,
                        null,
                        null,
                        null,
                        share.sensitivity()))
                .orElseGet(() -> new RunFile.SharePart(
                        null,
                        null,
                        source.key(),
                        source.label(),
                        source.standardUncertainty(),
                        finite(source.degreesOfFreedom()),
                        share.sensitivity()));
    }

    private static @Nullable Double finite(double degrees) {
        return Double.isFinite(degrees) ? degrees : null;
    }

    private static RunFile.ObservationPart observation(Observation observation, Names names) {
        // Where two struck the same value out, the first did; the second stands as a second reading.
        Optional<UUID> struck = observation
                .supersedes()
                .filter(id -> names.entry
                        .observations()
                        .find(id)
                        .flatMap(names.entry.observations()::strikerOf)
                        .filter(observation::equals)
                        .isPresent());
        return new RunFile.ObservationPart(
                names.observation(observation.id()),
                observation.address(),
                observation.role(),
                names.text(observation),
                observation.unit().orElse(null),
                observation.instrumentId().map(names::instrument).orElse(null),
                observation.uncertainty().orElse(null),
                observation.who(),
                observation.madeAt().toString(),
                struck.map(names::observation).orElse(null),
                observation.reason().orElse(null));
    }

    private static List<RunFile.DecisionPart> decisions(EntrySheet entry) {
        return entry.decisions().all().stream()
                .flatMap(each -> Decisions.trialOf(each).stream()
                        .map(trial -> new RunFile.DecisionPart(trial, each.outcome(), each.reason(), each.who())))
                .toList();
    }

    /** The file's own names for what the book knows by identity, given in the order met. */
    private static final class Names {

        private final Map<UUID, String> instruments = new LinkedHashMap<>();
        private final Map<UUID, String> observations = new LinkedHashMap<>();
        private final Map<String, String> references = new LinkedHashMap<>();
        private final Map<String, String> calorimeters = new LinkedHashMap<>();
        private final Map<String, String> traces = new LinkedHashMap<>();
        private final EntrySheet entry;

        Names(EntrySheet entry) {
            this.entry = entry;
        }

        String instrument(UUID id) {
            return instruments.computeIfAbsent(id, any -> "instrument-" + (instruments.size() + 1));
        }

        String observation(UUID id) {
            return observations.computeIfAbsent(id, any -> "o" + (observations.size() + 1));
        }

        String text(Observation observation) {
            if (observation.strikeOut()) {
                return "";
            }
            return WrittenSheet.slot(entry.experiment(), observation)
                    .flatMap(Slot::elsewhere)
                    .map(elsewhere -> named(elsewhere, observation.text()))
                    .orElse(observation.text());
        }

        /** The file's own name for what an answer names; as it was kept where it cannot be found any more. */
        private String named(Slot.Elsewhere elsewhere, String text) {
            Setting setting = entry.sheet().setting();
            return switch (elsewhere) {
                case VESSEL ->
                    setting.calorimeters().containsKey(text)
                            ? calorimeters.computeIfAbsent(text, any -> "calorimeter-" + (calorimeters.size() + 1))
                            : text;
                case ENTRY ->
                    setting.references().containsKey(text)
                            ? references.computeIfAbsent(text, any -> "reference-" + (references.size() + 1))
                            : text;
                case TRACE ->
                    TraceUse.of(text)
                            .filter(use -> setting.traces().containsKey(use.trace()))
                            .map(use -> use.named(
                                            traces.computeIfAbsent(use.trace(), any -> "trace-" + (traces.size() + 1)))
                                    .text())
                            .orElse(text);
            };
        }
    }
}
