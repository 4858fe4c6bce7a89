package lab.sassafras.app.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Setting;
import lab.sassafras.experiment.Slot;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Writes an entry as a run file. The names inside are small and stable, so that the same entry gives the same file. */
@Component
class RunFileWriter {

    private final LabBook book;
    private final EntrySheets sheets;
    private final Instruments instruments;
    private final JsonMapper json = JsonMapper.builder()
            .enable(tools.jackson.databind.SerializationFeature.INDENT_OUTPUT)
            .build();

    RunFileWriter(LabBook book, EntrySheets sheets, Instruments instruments) {
        this.book = book;
        this.sheets = sheets;
        this.instruments = instruments;
    }

    byte[] write(Entry entry) {
        return json.writeValueAsBytes(file(sheets.of(entry)));
    }

    private ObjectNode file(EntrySheet entry) {
        Names names = new Names(entry);
        ObjectNode file = json.createObjectNode();
        file.put("format", RunFile.FORMAT)
                .put("version", RunFile.VERSION)
                .put("experiment", entry.experiment().key())
                .put("method", entry.entry().method())
                .put("shelf", entry.entry().shelfVersion());
        period(file.putObject("period"), entry.entry().period());
        file.put("bench", entry.entry().bench().name())
                .put("begun", entry.entry().createdAt().toString());
        put(file.putObject("conventions"), entry.decisions().schools());
        String combination = entry.decisions().combination();
        if (!combination.isEmpty()) {
            file.put("combination", combination);
        }
        ArrayNode observations = json.createArrayNode();
        entry.observations().all().forEach(each -> observation(observations.addObject(), each, names));
        ObjectNode calorimeter = json.createObjectNode();
        entry.sheet().setting().calorimeter().ifPresent(vessel -> calorimeter(calorimeter, vessel, names));
        ArrayNode defaults = json.createArrayNode();
        new TreeMap<>(entry.entry().instruments()).values().forEach(id -> defaults.add(names.instrument(id)));

        ArrayNode list = file.putArray("instruments");
        names.instruments.forEach(
                (id, name) -> instrument(list.addObject(), instruments.find(id).orElseThrow(), name));
        if (!calorimeter.isEmpty()) {
            file.set("calorimeter", calorimeter);
        }
        if (!names.calorimeters.isEmpty()) {
            ObjectNode calorimeters = file.putObject("calorimeters");
            names.calorimeters.forEach((id, name) -> calorimeter(
                    calorimeters.putObject(name),
                    entry.sheet().setting().calorimeters().get(id),
                    names));
        }
        file.set("defaults", defaults);
        file.put("trials", entry.sheet().trials());
        if (!entry.sheet().setting().parts().isEmpty()) {
            ObjectNode parts = file.putObject("parts");
            entry.sheet().setting().parts().forEach(parts::put);
        }
        file.set("observations", observations);
        decisions(file.putArray("decisions"), entry);
        if (!names.references.isEmpty()) {
            ObjectNode references = file.putObject("references");
            names.references.forEach((id, name) -> references.set(
                    name, file(sheets.of(book.entry(UUID.fromString(id)).orElseThrow()))));
        }
        return file;
    }

    private static void period(ObjectNode node, Period period) {
        node.put("title", period.title())
                .put("date", period.heldOn().toString())
                .put("zone", period.zoneName())
                .put("decimalMark", period.decimalMark().word());
        put(node.putObject("conventions"), period.schools());
    }

    private static void put(ObjectNode node, Map<String, String> texts) {
        new TreeMap<>(texts).forEach(node::put);
    }

    private static void instrument(ObjectNode node, Instrument instrument, String name) {
        node.put("key", name)
                .put("name", instrument.name())
                .put("kind", instrument.kind().word())
                .put("resolution", instrument.resolution())
                .put("low", instrument.low())
                .put("high", instrument.high())
                .put("offsetUncertainty", instrument.offsetUncertainty());
        if (instrument.readingUncertainty() > 0) {
            node.put("readingUncertainty", instrument.readingUncertainty());
        }
    }

    private static void calorimeter(ObjectNode node, Calorimeter vessel, Names names) {
        node.put("name", vessel.name()).put("kind", vessel.kind().key());
        vessel.constant().ifPresent(pinned -> {
            ObjectNode constant = node.putObject("constant");
            constant.put("value", pinned.value().value())
                    .put("ownUncertainty", pinned.value().ownUncertainty());
            if (Double.isFinite(pinned.value().degreesOfFreedom())) {
                constant.put("degreesOfFreedom", pinned.value().degreesOfFreedom());
            }
            constant.put("fill", pinned.fill()).put("from", pinned.from());
            ArrayNode shares = constant.putArray("shares");
            pinned.value().shares().forEach(share -> share(shares.addObject(), share, names));
        });
    }

    private static void share(ObjectNode node, Measured.Share share, Names names) {
        Optional<UUID> instrument = instrument(share.source().key());
        if (instrument.isPresent()) {
            node.put("instrument", names.instrument(instrument.get()));
        } else {
            node.put("source", share.source().key())
                    .put("label", share.source().label())
                    .put("uncertainty", share.source().standardUncertainty());
            if (Double.isFinite(share.source().degreesOfFreedom())) {
                node.put("degreesOfFreedom", share.source().degreesOfFreedom());
            }
        }
        node.put("sensitivity", share.sensitivity());
    }

    private static Optional<UUID> instrument(String source) {
        return source.startsWith("instrument:") ? Optional.of(UUID.fromString(source.substring(11))) : Optional.empty();
    }

    private static void observation(ObjectNode node, Observation observation, Names names) {
        node.put("id", names.observation(observation.id()))
                .put("at", observation.address())
                .put("role", observation.role())
                .put("text", names.text(observation));
        observation.unit().ifPresent(unit -> node.put("unit", unit));
        observation.instrumentId().ifPresent(id -> node.put("instrument", names.instrument(id)));
        observation.uncertainty().ifPresent(uncertainty -> node.put("uncertainty", uncertainty));
        node.put("who", observation.who()).put("when", observation.madeAt().toString());
        // Where two struck the same value out, the first did; the second stands as a second reading.
        observation
                .supersedes()
                .filter(id -> names.entry
                        .observations()
                        .find(id)
                        .flatMap(names.entry.observations()::strikerOf)
                        .filter(observation::equals)
                        .isPresent())
                .ifPresent(id -> node.put("supersedes", names.observation(id)));
        observation.reason().ifPresent(reason -> node.put("reason", reason));
    }

    private static void decisions(ArrayNode list, EntrySheet entry) {
        entry.decisions()
                .all()
                .forEach(each -> Decisions.trialOf(each)
                        .ifPresent(trial -> list.addObject()
                                .put("trial", trial)
                                .put("outcome", each.outcome())
                                .put("reason", each.reason())
                                .put("who", each.who())));
    }

    /** The file's own names for what the book knows by identity, given in the order met. */
    private static final class Names {

        private final Map<UUID, String> instruments = new LinkedHashMap<>();
        private final Map<UUID, String> observations = new LinkedHashMap<>();
        private final Map<String, String> references = new LinkedHashMap<>();
        private final Map<String, String> calorimeters = new LinkedHashMap<>();
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
            };
        }
    }
}
