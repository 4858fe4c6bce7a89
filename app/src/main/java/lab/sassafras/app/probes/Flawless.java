package lab.sassafras.app.probes;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.TimeBudget;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.json.JsonMapper;

/**
 * A batch of objects of which none has a flaw, read in one go. Where anything at all is amiss nothing comes of it, and
 * {@link Rows} reads line by line what can be kept and why the rest cannot.
 */
final class Flawless {

    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int CHECKED = 500;

    private @Nullable String probe;
    private @Nullable String unit;
    private double t = Double.NaN;
    private double value = Double.NaN;

    private Flawless() {}

    static Optional<List<Rows.Row>> of(byte[] body, Rows.Known known) {
        int lines = lines(body);
        List<Rows.Row> rows = new ArrayList<>();
        try (JsonParser parser = JSON.createParser(body)) {
            while (rows.size() < lines && parser.nextToken() == JsonToken.START_OBJECT) {
                if (rows.size() % CHECKED == 0) {
                    TimeBudget.check();
                }
                Flawless one = new Flawless();
                if (!one.read(parser)) {
                    return Optional.empty();
                }
                rows.add(Rows.checked(
                        known.name(one.probe == null ? "" : one.probe),
                        known.unit(one.unit == null ? "" : one.unit),
                        one.t,
                        one.value,
                        ""));
            }
            return rows.size() == lines && parser.nextToken() == null
                    ? Optional.of(List.copyOf(rows))
                    : Optional.empty();
        } catch (JacksonException | Rows.Wrong flawed) {
            return Optional.empty();
        }
    }

    /** Whether an object has every field once that it must, each of its kind, and no other. */
    private boolean read(JsonParser parser) {
        for (String name = parser.nextName(); name != null; name = parser.nextName()) {
            boolean number = parser.nextToken().isNumeric();
            boolean text = parser.currentToken() == JsonToken.VALUE_STRING;
            if (name.equals("t") && number && Double.isNaN(t)) {
                t = parser.getDoubleValue();
            } else if (name.equals("value") && number && Double.isNaN(value)) {
                value = parser.getDoubleValue();
            } else if (name.equals("probe") && text && probe == null) {
                probe = parser.getString();
            } else if (name.equals("unit") && text && unit == null) {
                unit = parser.getString();
            } else {
                return false;
            }
        }
        return parser.currentToken() == JsonToken.END_OBJECT && Double.isFinite(t) && Double.isFinite(value);
    }

    /**
     * How many lines there are, where each begins and ends as an object does: as many objects as lines are then one
     * to a line, since between } and { of two lines there is no comma that would go on with one. None where there
     * are too many.
     */
    private static int lines(byte[] body) {
        int lines = 0;
        byte last = '\n';
        for (byte each : body) {
            if (each == ' ' || each == '\t') {
                continue;
            }
            boolean ends = each == '\n' || each == '\r';
            boolean begins = last == '\n';
            if (begins && !ends && each != '{' || ends && !begins && last != '}') {
                return 0;
            }
            lines += begins && !ends ? 1 : 0;
            last = ends ? (byte) '\n' : each;
        }
        return (last == '\n' || last == '}') && lines <= Rows.MOST ? lines : 0;
    }
}
