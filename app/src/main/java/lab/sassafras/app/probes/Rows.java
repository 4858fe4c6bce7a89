package lab.sassafras.app.probes;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.TimeBudget;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.core.JsonParser;
import tools.jackson.core.JsonToken;
import tools.jackson.databind.json.JsonMapper;

/**
 * The rows of a batch, as {@code docs/probe-format.md} says: a JSON object a line, or lines between commas under a line
 * of heads. Each is read by itself; one that cannot be is refused by its number, and the others are kept.
 *
 * @param rows    that can be kept, in the order they were sent
 * @param refused those that cannot
 */
public record Rows(List<Row> rows, Left refused) {

    /** Most rows to a batch. */
    public static final int MOST = 5_000;

    /** So many of those refused are told one by one. */
    public static final int TOLD = 20;

    private static final Set<String> HEADS = Set.of("probe", "t", "value", "unit");
    private static final Set<Dimension> MEASURED =
            Set.of(Dimension.TEMPERATURE, Dimension.MASS, Dimension.VOLTAGE, Dimension.CURRENT);
    /** No balance, probe or meter at a bench shows more, in g, V or A; what does is a code for “over”. */
    private static final double BEYOND = 1e6;

    private static final double LONGEST = 1e12;
    private static final int LONGEST_NAME = 40;
    private static final String HALF = "is no JSON object; half a line perhaps";
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * One row.
     *
     * @param probe what the sender calls it
     * @param t     time by the sender's own clock (s)
     * @param value in the bench's own unit of what it measures
     * @param unit  that unit
     */
    public record Row(String probe, double t, double value, BenchUnit unit) {

        /** Whether another is of the same probe, and measures the same. */
        public boolean sameProbe(Row other) {
            return probe.equals(other.probe) && unit.equals(other.unit);
        }
    }

    /** A row that was refused, by its number from 1, with why. */
    public record Refused(int row, String why) {

        String text() {
            return row + " " + why;
        }

        static Refused of(String text) {
            int space = text.indexOf(' ');
            return new Refused(Integer.parseInt(text.substring(0, space)), text.substring(space + 1));
        }
    }

    /** Those that were refused: how many, and the first of them. */
    public record Left(int many, List<Refused> first) {}

    /** More rows than a batch holds. */
    public static final class TooMany extends RuntimeException {
        private static final long serialVersionUID = 1L;
    }

    /** A row that cannot be kept, with why. */
    static final class Wrong extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final String why;

        Wrong(String why) {
            super(why);
            this.why = why;
        }
    }

    /** Reads a batch. @throws TooMany where it holds more than a batch may */
    public static Rows of(byte[] body, boolean csv) {
        Known known = new Known(new HashMap<>(), new HashMap<>());
        return csv
                ? oneByOne(body, true, known)
                : Flawless.of(body, known)
                        .filter(rows -> !rows.isEmpty())
                        .map(rows -> new Rows(rows, new Left(0, List.of())))
                        .orElseGet(() -> oneByOne(body, false, known));
    }

    private static Rows oneByOne(byte[] body, boolean csv, Known known) {
        List<String> lines = new String(body, StandardCharsets.UTF_8)
                .lines()
                .filter(line -> !line.isBlank())
                .limit(MOST + 2L)
                .toList();
        List<String> heads = csv && !lines.isEmpty() ? heads(lines.get(0)) : List.of();
        List<String> data = csv && !lines.isEmpty() ? lines.subList(1, lines.size()) : lines;
        if (data.size() > MOST) {
            throw new TooMany();
        }
        List<Row> rows = new ArrayList<>();
        List<Refused> refused = new ArrayList<>();
        int many = 0;
        for (int i = 0; i < data.size(); i++) {
            if (i % 500 == 0) {
                TimeBudget.check();
            }
            try {
                rows.add(row(csv ? between(heads, data.get(i)) : object(data.get(i)), known));
            } catch (Wrong wrong) {
                many++;
                if (refused.size() < TOLD) {
                    refused.add(new Refused(i + 1, wrong.why));
                }
            }
        }
        return new Rows(List.copyOf(rows), new Left(many, List.copyOf(refused)));
    }

    private static List<String> heads(String line) {
        return Arrays.stream(line.split(",", -1))
                .map(each -> each.strip().toLowerCase(Locale.ROOT))
                .toList();
    }

    private static Map<String, String> between(List<String> heads, String line) {
        if (!HEADS.containsAll(heads) || !heads.contains("t") || !heads.contains("value")) {
            throw new Wrong("the first line must name the columns: probe, t, value, unit");
        }
        String[] cells = line.split(",", -1);
        if (cells.length != heads.size()) {
            throw new Wrong("has " + cells.length + " columns, not " + heads.size());
        }
        Map<String, String> row = new HashMap<>();
        for (int i = 0; i < cells.length; i++) {
            row.put(heads.get(i), cells[i].strip());
        }
        return row;
    }

    private static Map<String, String> object(String line) {
        try (JsonParser parser = JSON.createParser(line)) {
            if (parser.nextToken() != JsonToken.START_OBJECT) {
                throw new Wrong(HALF);
            }
            Map<String, String> row = new HashMap<>();
            for (String name = parser.nextName(); name != null; name = parser.nextName()) {
                if (!HEADS.contains(name)) {
                    throw new Wrong("has a field that is not known: " + shortened(name));
                }
                boolean value = parser.nextToken().isScalarValue();
                if (row.put(name, value ? parser.getString() : "") != null) {
                    throw new Wrong(HALF);
                }
                parser.skipChildren();
            }
            if (parser.currentToken() != JsonToken.END_OBJECT || parser.nextToken() != null) {
                throw new Wrong(HALF);
            }
            return row;
        } catch (JacksonException half) {
            throw new Wrong(HALF);
        }
    }

    /** Names and units of a batch that were looked at: its rows say the same again and again. */
    record Known(Map<String, String> names, Map<String, BenchUnit> units) {

        String name(String typed) {
            return names.computeIfAbsent(typed, Rows::probe);
        }

        BenchUnit unit(String typed) {
            return units.computeIfAbsent(typed, Rows::unit);
        }
    }

    private static Row row(Map<String, String> fields, Known known) {
        return checked(
                known.name(fields.getOrDefault("probe", "")),
                known.unit(fields.getOrDefault("unit", "")),
                number("t", fields.get("t")),
                number("value", fields.get("value")),
                String.valueOf(fields.get("value")));
    }

    /**
     * A row as it is kept.
     *
     * @param text of the value as it was sent
     */
    static Row checked(String name, BenchUnit unit, double t, double read, String text) {
        double value = unit.toBench(read);
        if (!(Math.abs(t) < LONGEST)) {
            throw new Wrong("t is no time in seconds");
        }
        if (unit.dimension().equals(Dimension.TEMPERATURE) ? !Reading.canBe(value) : !(Math.abs(value) < BEYOND)) {
            throw new Wrong(
                    "nothing at a bench shows " + shortened(text) + " " + unit.symbol() + "; an overload perhaps");
        }
        return new Row(name, t, value, unit.benchUnit());
    }

    private static String probe(String typed) {
        return typed.isBlank() ? "probe" : named(typed.strip());
    }

    private static BenchUnit unit(String typed) {
        return BenchUnit.of(typed.isBlank() ? BenchUnit.DEGREES_CELSIUS.symbol() : typed.strip())
                .filter(each -> MEASURED.contains(each.dimension()))
                .orElseThrow(() -> new Wrong(
                        "“" + shortened(typed) + "” is no unit of a temperature, a mass, a voltage or a current"));
    }

    private static String named(String probe) {
        try {
            return Names.checked(probe, "A probe’s name", LONGEST_NAME);
        } catch (lab.sassafras.measure.Refused why) {
            throw new Wrong(String.valueOf(why.getMessage()));
        }
    }

    private static double number(String field, @Nullable String text) {
        if (text == null || text.isEmpty()) {
            throw new Wrong(field + " is missing");
        }
        try {
            double number = Double.parseDouble(text);
            if (Double.isFinite(number)) {
                return number;
            }
        } catch (NumberFormatException no) {
            // said below
        }
        throw new Wrong(field + " is no number: “" + shortened(text) + "”");
    }

    private static String shortened(String text) {
        String seen = text.replaceAll("\\p{C}", "");
        return seen.length() > LONGEST_NAME ? seen.substring(0, LONGEST_NAME) + "…" : seen;
    }
}
