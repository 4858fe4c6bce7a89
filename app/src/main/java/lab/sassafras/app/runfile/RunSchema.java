package lab.sassafras.app.runfile;

import com.networknt.schema.Error;
import com.networknt.schema.Schema;
import com.networknt.schema.SchemaRegistry;
import com.networknt.schema.SpecificationVersion;
import com.networknt.schema.path.NodePath;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Map;
import lab.sassafras.measure.Refused;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * The shipped schema of run files, and how it is said in plain words where a file does not fit: what must stand
 * somewhere is described beside it in the schema.
 */
final class RunSchema {

    private static final String RESOURCE = "/schema/run-file.schema.json";
    private static final String UNKNOWN = "additionalProperties";
    private static final int LONGEST_NAME = 40;
    private static final Map<String, String> TYPES = Map.of(
            "object", "must be an object { … }",
            "array", "must be a list [ … ]",
            "number", "must be a finite number",
            "integer", "must be a whole number");

    private final JsonNode document;
    private final Schema schema;

    RunSchema(JsonMapper json) {
        try (InputStream in = RunSchema.class.getResourceAsStream(RESOURCE)) {
            if (in == null) {
                throw new IllegalStateException("the schema of run files is not in the program");
            }
            this.document = json.readTree(in.readAllBytes());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.schema = SchemaRegistry.withDefaultDialect(SpecificationVersion.DRAFT_2020_12)
                .getSchema(document);
    }

    /**
     * Refuses a file that does not fit.
     *
     * @param file     as a tree, without fields that hold null
     * @param tolerant whether fields that are not known are passed over, as those of a later minor version are
     * @throws Refused with the place where it does not fit
     */
    void check(JsonNode file, boolean tolerant) {
        List<Error> errors = schema.validate(file).stream()
                .filter(each -> !tolerant || !each.getKeyword().equals(UNKNOWN))
                .toList();
        errors.stream()
                .filter(each -> each.getKeyword().equals(UNKNOWN))
                .findFirst()
                .or(() -> errors.stream().findFirst())
                .ifPresent(error -> {
                    throw new Refused(words(error) + ".");
                });
    }

    private String words(Error error) {
        String path = path(error.getInstanceLocation());
        return switch (error.getKeyword()) {
            case UNKNOWN ->
                joined(path, error.getProperty())
                        + " is not a field of a run file, version " + RunFile.VERSION + "." + RunFile.MINOR
                        + ". Unknown fields are refused, so that nothing is lost unnoticed";
            case "required" -> joined(path, error.getProperty()) + " is missing";
            case "type" -> file(path) + " " + type(error);
            default -> file(path) + " " + described(error);
        };
    }

    private String type(Error error) {
        String wanted = error.getSchemaNode().asString("");
        if (wanted.equals("string")) {
            return "must be a text in quotes" + (error.getInstanceNode().isNumber() ? ", so that 20.0 stays 20.0" : "");
        }
        String said = described(error);
        return wanted.equals("integer") && said.startsWith("must be") ? said : TYPES.getOrDefault(wanted, said);
    }

    /** What the schema says beside the rule that was not met. */
    private String described(Error error) {
        String pointer = error.getSchemaLocation().getFragment().toString();
        int rule = pointer.lastIndexOf('/');
        return rule > 0
                ? document.at(pointer.substring(0, rule)).path("description").asString(error.getMessage())
                : error.getMessage();
    }

    private static String path(NodePath location) {
        StringBuilder path = new StringBuilder();
        for (int i = 0; i < location.getNameCount(); i++) {
            if (location.getElement(i) instanceof Integer index) {
                path.append('[').append(index).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(shortened(location.getName(i)));
            }
        }
        return path.toString();
    }

    private static String joined(String path, String field) {
        return path.isEmpty() ? shortened(field) : path + "." + shortened(field);
    }

    private static String file(String path) {
        return path.isEmpty() ? "The file" : path;
    }

    static String shortened(String name) {
        return name.length() > LONGEST_NAME ? name.substring(0, LONGEST_NAME) + "…" : name;
    }
}
