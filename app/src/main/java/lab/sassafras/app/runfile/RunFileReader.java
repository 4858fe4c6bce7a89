package lab.sassafras.app.runfile;

import lab.sassafras.app.record.Hashes;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.TokenStreamLocation;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Reads a run file strictly: it must fit the schema, and every name inside must be resolved. */
@Component
public class RunFileReader {

    private static final int DEEPEST = 4;

    private final JsonMapper json = JsonMapper.builder()
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .build();
    private final RunSchema schema = new RunSchema(json);

    /** {@return the run a file tells of} @throws Refused naming the place where the file is not a run file */
    public Run read(byte[] bytes) {
        JsonNode tree = tree(bytes);
        refuseTooDeep(tree, 0, "");
        withoutNulls(tree);
        boolean newer = whole(tree.path("version")) == RunFile.VERSION && whole(tree.path("minor")) > RunFile.MINOR;
        schema.check(tree, newer);
        try {
            return RunChecks.checked(json.readValue(bytes, RunFile.class));
        } catch (JacksonException beyond) {
            if (beyond.getCause() instanceof Refused refused) {
                throw refused;
            }
            throw new Refused("A number in this file is beyond what one can be there. Nothing was read from it.");
        }
    }

    private static long whole(JsonNode node) {
        return node.isNumber() && node.canConvertToLong() ? node.longValue() : 0;
    }

    /** What says whether two files hold the same, however they are laid out (SHA-256, hexadecimal). */
    public String digest(byte[] bytes) {
        return Hashes.of(hash -> {
            try (JsonParser parser = json.createParser(bytes);
                    JsonGenerator compact = json.createGenerator(hash)) {
                parser.nextToken();
                compact.copyCurrentStructure(parser);
            } catch (JacksonException e) {
                throw notJson(e.getLocation());
            }
        });
    }

    /** A file as a tree, the readings of its traces aside. */
    private JsonNode tree(byte[] bytes) {
        try (JsonParser parser = json.createParser(bytes);
                JsonParser filtered = WithoutReadings.of(parser)) {
            @Nullable JsonNode tree = json.readTree(filtered);
            if (tree == null || parser.nextToken() != null) {
                throw notJson(parser.currentLocation());
            }
            return tree;
        } catch (JacksonException e) {
            throw notJson(e.getLocation());
        }
    }

    private static Refused notJson(@Nullable TokenStreamLocation at) {
        String where = at == null ? "" : " (line " + at.getLineNr() + ")";
        return new Refused("That is not a JSON file" + where + ". Nothing was read from it.");
    }

    private static void refuseTooDeep(JsonNode run, int depth, String path) {
        run.path("references").properties().forEach(each -> {
            String here = path + "references." + each.getKey();
            if (depth == DEEPEST) {
                throw new Refused(here + " goes too deep: references may stand " + DEEPEST + " levels deep.");
            }
            refuseTooDeep(each.getValue(), depth + 1, here + ".");
        });
    }

    /** A field that holds null counts as absent. */
    private static void withoutNulls(JsonNode node) {
        if (node instanceof ObjectNode object) {
            object.removeIf(JsonNode::isNull);
            object.forEach(RunFileReader::withoutNulls);
        } else if (node instanceof ArrayNode array) {
            array.forEach(RunFileReader::withoutNulls);
        }
    }
}
