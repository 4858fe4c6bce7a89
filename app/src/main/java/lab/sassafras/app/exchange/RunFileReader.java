package lab.sassafras.app.exchange;

import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Cardinality;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.Role;
import lab.sassafras.experiment.VesselKind;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.Shared;
import lab.sassafras.measure.TimeBudget;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Reads a run file strictly: every field known, every type right, every name inside resolved. */
@Component
class RunFileReader {

    private static final int DEEPEST = 4;
    private static final int NAME = 60;

    private final JsonMapper json = JsonMapper.builder()
            .enable(tools.jackson.core.StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(tools.jackson.databind.DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();

    /** @throws Refused naming the place where the file is not a run file */
    RunFile read(byte[] bytes) {
        return run(new JsonPlace(tree(bytes), ""), 0);
    }

    /** What says whether two files hold the same, however they are laid out (SHA-256, hexadecimal). */
    String digest(byte[] bytes) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(json.writeValueAsBytes(tree(bytes))));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

    private JsonNode tree(byte[] bytes) {
        try {
            return json.readTree(bytes);
        } catch (JacksonException e) {
            String where =
                    e.getLocation() == null ? "" : " (line " + e.getLocation().getLineNr() + ")";
            throw new Refused("That is not a JSON file" + where + ". Nothing was read from it.");
        }
    }

    private RunFile run(JsonPlace file, int depth) {
        file.only(
                "format",
                "version",
                "experiment",
                "method",
                "shelf",
                "period",
                "bench",
                "begun",
                "conventions",
                "instruments",
                "calorimeter",
                "calorimeters",
                "defaults",
                "trials",
                "parts",
                "observations",
                "decisions",
                "references",
                "combination");
        if (!file.required("format").text().equals(RunFile.FORMAT)) {
            throw file.required("format").wrong("must be “" + RunFile.FORMAT + "”");
        }
        file.required("version").wholeNumber(RunFile.VERSION, RunFile.VERSION);
        Experiment experiment =
                oneOf(file.required("experiment"), Experiments::find, "is not an experiment known here");
        Map<String, Instrument> instruments = instruments(file.required("instruments"));
        Map<String, RunFile> references = new LinkedHashMap<>();
        file.optional("references")
                .ifPresent(all -> all.fields().forEach((name, place) -> {
                    if (depth == DEEPEST || references.size() == 20) {
                        throw place.wrong("goes too deep or is one too many");
                    }
                    references.put(name, run(place, depth + 1));
                }));
        TimeBudget.check();
        return new RunFile(
                experiment,
                file.required("method").wholeNumber(1, 1000),
                file.required("shelf").wholeNumber(1, 1000),
                period(file.required("period")),
                name(file.required("bench")),
                instant(file.required("begun")),
                conventions(file.optional("conventions")),
                instruments,
                file.optional("calorimeter").map(place -> calorimeter(place, instruments)),
                calorimeters(file, instruments),
                defaults(file, instruments),
                file.required("trials").wholeNumber(1, 50),
                parts(file.optional("parts"), experiment),
                observations(file.required("observations"), instruments),
                decisions(file.optional("decisions")),
                references,
                file.optional("combination")
                        .map(place -> combination(place, experiment))
                        .orElse(""));
    }

    private static String combination(JsonPlace place, Experiment experiment) {
        return oneOf(
                        place,
                        text -> experiment.combinations().stream()
                                .filter(each -> each.key().equals(text))
                                .findFirst(),
                        "is no way this experiment takes its trials together")
                .key();
    }

    private static RunFile.PeriodPart period(JsonPlace place) {
        place.only("title", "date", "zone", "decimalMark", "conventions");
        return new RunFile.PeriodPart(
                named(place.required("title"), 80),
                date(place.required("date")),
                zone(place.required("zone")),
                oneOf(
                        place.required("decimalMark"),
                        text -> Arrays.stream(DecimalMark.values())
                                .filter(mark -> mark.word().equals(text))
                                .findFirst(),
                        "must be “point” or “comma”"),
                conventions(place.optional("conventions")));
    }

    private static Map<String, String> conventions(Optional<JsonPlace> place) {
        Map<String, String> chosen = place.map(JsonPlace::texts).orElse(Map.of());
        Conventions.unknown(chosen).ifPresent(name -> {
            throw place.orElseThrow().wrong("names a convention unknown here, “" + name + "”");
        });
        return chosen;
    }

    private static Map<String, Instrument> instruments(JsonPlace place) {
        Map<String, Instrument> instruments = new LinkedHashMap<>();
        for (JsonPlace each : place.list(50)) {
            each.only("key", "name", "kind", "resolution", "low", "high", "offsetUncertainty", "readingUncertainty");
            Instrument.Kind kind = oneOf(
                    each.required("kind"),
                    text -> Arrays.stream(Instrument.Kind.values())
                            .filter(known -> known.word().equals(text))
                            .findFirst(),
                    "must be “balance”, “thermometer” or “cylinder or pipette”");
            Instrument instrument = new Instrument(
                    each.required("key").text(NAME),
                    name(each.required("name")),
                    kind,
                    Instruments.unit(kind),
                    positive(each.required("resolution")),
                    each.required("low").number(),
                    each.required("high").number(),
                    notNegative(each.required("offsetUncertainty")),
                    each.optional("readingUncertainty")
                            .map(RunFileReader::notNegative)
                            .orElse(0.0));
            if (instrument.low() >= instrument.high()) {
                throw each.required("high").wrong("must be above “low”");
            }
            if (instruments.put(instrument.key(), instrument) != null) {
                throw each.required("key").wrong("stands twice");
            }
        }
        return instruments;
    }

    private static Map<String, Calorimeter> calorimeters(JsonPlace file, Map<String, Instrument> instruments) {
        Map<String, Calorimeter> calorimeters = new LinkedHashMap<>();
        file.optional("calorimeters")
                .ifPresent(all -> all.fields().forEach((name, place) -> {
                    if (calorimeters.size() == 50) {
                        throw place.wrong("is one vessel too many");
                    }
                    calorimeters.put(name, calorimeter(place, instruments));
                }));
        return calorimeters;
    }

    private static Calorimeter calorimeter(JsonPlace place, Map<String, Instrument> instruments) {
        place.only("name", "kind", "constant");
        VesselKind kind = oneOf(place.required("kind"), VesselKind::find, "is not a kind of vessel known here");
        String name = name(place.required("name"));
        return new Calorimeter(
                name, kind, place.optional("constant").map(constant -> pinned(name, constant, instruments)));
    }

    private static Calorimeter.Pinned pinned(String vessel, JsonPlace place, Map<String, Instrument> instruments) {
        place.only("value", "ownUncertainty", "degreesOfFreedom", "fill", "from", "shares");
        List<Measured.Share> shares = new ArrayList<>();
        place.optional("shares")
                .map(each -> each.list(50))
                .orElse(List.of())
                .forEach(each -> shares.add(share(each, instruments)));
        return new Calorimeter.Pinned(
                "file:" + vessel + ":" + place.required("value").number(),
                new Measured(
                        place.required("value").number(),
                        notNegative(place.required("ownUncertainty")),
                        place.optional("degreesOfFreedom")
                                .map(RunFileReader::positive)
                                .orElse(Double.POSITIVE_INFINITY),
                        List.copyOf(shares),
                        -1),
                notNegative(place.required("fill")),
                place.required("from").text(200));
    }

    private static Measured.Share share(JsonPlace place, Map<String, Instrument> instruments) {
        place.only("instrument", "source", "label", "uncertainty", "degreesOfFreedom", "sensitivity");
        double sensitivity = place.required("sensitivity").number();
        if (place.optional("instrument").isPresent()) {
            return new Measured.Share(
                    known(place.required("instrument"), instruments).offset(), sensitivity);
        }
        return new Measured.Share(
                Shared.everywhere(
                        place.required("source").text(120),
                        place.required("label").text(160),
                        notNegative(place.required("uncertainty")),
                        place.optional("degreesOfFreedom")
                                .map(RunFileReader::positive)
                                .orElse(Double.POSITIVE_INFINITY)),
                sensitivity);
    }

    private static Map<Instrument.Kind, String> defaults(JsonPlace file, Map<String, Instrument> instruments) {
        Map<Instrument.Kind, String> defaults = new LinkedHashMap<>();
        file.optional("defaults")
                .ifPresent(place -> place.list(10).forEach(each -> {
                    Instrument instrument = known(each, instruments);
                    defaults.put(instrument.kind(), instrument.key());
                }));
        return defaults;
    }

    private static Instrument known(JsonPlace place, Map<String, Instrument> instruments) {
        return oneOf(place, key -> Optional.ofNullable(instruments.get(key)), "names no instrument of this file");
    }

    private static Map<String, Integer> parts(Optional<JsonPlace> place, Experiment experiment) {
        Map<String, Integer> parts = new LinkedHashMap<>();
        place.ifPresent(all -> all.fields().forEach((name, count) -> {
            if (experiment
                    .group(name)
                    .filter(group -> group.cardinality() == Cardinality.PER_PART)
                    .isEmpty()) {
                throw count.wrong("is not a repeated group of this experiment");
            }
            parts.put(name, count.wholeNumber(1, 50));
        }));
        return parts;
    }

    private static List<RunFile.ObservationPart> observations(JsonPlace place, Map<String, Instrument> instruments) {
        List<RunFile.ObservationPart> observations = new ArrayList<>();
        for (JsonPlace each : place.list(5000)) {
            each.only(
                    "id",
                    "at",
                    "role",
                    "text",
                    "unit",
                    "instrument",
                    "uncertainty",
                    "who",
                    "when",
                    "supersedes",
                    "reason");
            each.optional("instrument").ifPresent(name -> known(name, instruments));
            observations.add(new RunFile.ObservationPart(
                    each.required("id").text(NAME),
                    each.required("at").text(100),
                    oneOf(each.required("role"), Role::of, "must be read, gross, tare, volume, assumed or stated"),
                    each.required("text").texts(200),
                    each.optional("unit").map(unit -> unit.texts(20)),
                    each.optional("instrument").map(JsonPlace::text),
                    each.optional("uncertainty").map(given -> given.texts(24)),
                    name(each.required("who")),
                    instant(each.required("when")),
                    each.optional("supersedes").map(JsonPlace::text),
                    each.optional("reason").map(reason -> reason.texts(400)),
                    each.path()));
        }
        return observations;
    }

    private static List<RunFile.DecisionPart> decisions(Optional<JsonPlace> place) {
        return place.map(all -> all.list(500)).orElse(List.of()).stream()
                .map(each -> {
                    each.only("trial", "outcome", "reason", "who");
                    return new RunFile.DecisionPart(
                            each.required("trial").wholeNumber(1, 50),
                            oneOf(
                                    each.required("outcome"),
                                    text -> Optional.of(text).filter(List.of("in", "out")::contains),
                                    "must be “in” or “out”"),
                            each.required("reason").text(400),
                            name(each.required("who")));
                })
                .toList();
    }

    private static <T> T oneOf(JsonPlace place, Function<String, Optional<T>> find, String otherwise) {
        return find.apply(place.text()).orElseThrow(() -> place.wrong(otherwise));
    }

    private static double positive(JsonPlace place) {
        if (place.number() <= 0) {
            throw place.wrong("must be larger than zero");
        }
        return place.number();
    }

    private static double notNegative(JsonPlace place) {
        if (place.number() < 0) {
            throw place.wrong("cannot be negative");
        }
        return place.number();
    }

    private static String name(JsonPlace place) {
        return named(place, NAME);
    }

    /** A name people see, as it is kept. */
    private static String named(JsonPlace place, int longest) {
        return said(place, text -> Names.checked(text, "This name", longest));
    }

    private static Instant instant(JsonPlace place) {
        return said(place, BookTime::instant);
    }

    private static LocalDate date(JsonPlace place) {
        return said(place, BookTime::day);
    }

    private static <T> T said(JsonPlace place, Function<String, T> read) {
        try {
            return read.apply(place.text());
        } catch (Refused refused) {
            throw place.wrong("cannot stand: " + refused.getMessage().replaceAll("\\.$", ""));
        }
    }

    private static ZoneId zone(JsonPlace place) {
        try {
            return ZoneId.of(place.text());
        } catch (DateTimeException e) {
            throw place.wrong("must be a time zone such as Europe/Berlin");
        }
    }
}
