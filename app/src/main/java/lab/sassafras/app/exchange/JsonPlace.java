package lab.sassafras.app.exchange;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.measure.Refused;
import tools.jackson.databind.JsonNode;

/** A place in a file being read: knows its path, so that whatever is wrong can be said with where it stands. */
record JsonPlace(JsonNode node, String path) {

    private static final int LONGEST = 400;

    JsonPlace object() {
        if (!node.isObject()) {
            throw wrong("must be an object { … }");
        }
        return this;
    }

    /** Refuses the first field that is not among these. */
    JsonPlace only(String... known) {
        Set<String> names = Set.of(known);
        object().node.propertyNames().stream()
                .filter(name -> !names.contains(name))
                .findFirst()
                .ifPresent(name -> {
                    throw new Refused(at(name).path
                            + " is not a field of a run file, version 1. Unknown fields are refused, so that "
                            + "nothing is lost unnoticed.");
                });
        return this;
    }

    private JsonPlace at(String field) {
        String name = field.length() > 40 ? field.substring(0, 40) + "…" : field;
        return new JsonPlace(node.path(field), path.isEmpty() ? name : path + "." + name);
    }

    JsonPlace required(String field) {
        JsonPlace place = at(field);
        if (place.node.isMissingNode() || place.node.isNull()) {
            throw place.wrong("is missing");
        }
        return place;
    }

    Optional<JsonPlace> optional(String field) {
        JsonPlace place = at(field);
        return place.node.isMissingNode() || place.node.isNull() ? Optional.empty() : Optional.of(place);
    }

    String text() {
        if (!node.isString()) {
            throw wrong("must be a text in quotes" + (node.isNumber() ? ", so that 20.0 stays 20.0" : ""));
        }
        if (node.asString().length() > LONGEST) {
            throw wrong("is longer than " + LONGEST + " characters");
        }
        return node.asString();
    }

    /** A text of at most so many characters. */
    String text(int longest) {
        if (text().isBlank() || text().length() > longest) {
            throw wrong("must have 1 to " + longest + " characters");
        }
        return text();
    }

    /** A text of at most so many characters, or none. */
    String texts(int longest) {
        if (text().length() > longest) {
            throw wrong("must have at most " + longest + " characters");
        }
        return text();
    }

    double number() {
        if (!node.isNumber() || !Double.isFinite(node.asDouble())) {
            throw wrong("must be a finite number");
        }
        return node.asDouble();
    }

    int wholeNumber(int least, int most) {
        if (!node.isIntegralNumber() || !node.canConvertToInt() || node.asInt() < least || node.asInt() > most) {
            throw wrong("must be a whole number from " + least + " to " + most);
        }
        return node.asInt();
    }

    List<JsonPlace> list(int most) {
        if (!node.isArray()) {
            throw wrong("must be a list [ … ]");
        }
        if (node.size() > most) {
            throw wrong("holds more than " + most + " items");
        }
        List<JsonPlace> places = new ArrayList<>();
        for (int i = 0; i < node.size(); i++) {
            places.add(new JsonPlace(node.get(i), path + "[" + i + "]"));
        }
        return places;
    }

    /** The fields of an object whose names are free. */
    Map<String, JsonPlace> fields() {
        Map<String, JsonPlace> fields = new LinkedHashMap<>();
        object().node.propertyNames().forEach(name -> fields.put(name, at(name)));
        return fields;
    }

    Map<String, String> texts() {
        Map<String, String> texts = new LinkedHashMap<>();
        fields().forEach((name, place) -> texts.put(name, place.text()));
        return texts;
    }

    Refused wrong(String how) {
        return new Refused((path.isEmpty() ? "The file" : path) + " " + how + ".");
    }
}
