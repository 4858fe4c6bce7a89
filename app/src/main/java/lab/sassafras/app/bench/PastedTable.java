package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.bench.TableScreen.Cell;
import lab.sassafras.app.bench.TableScreen.Row;
import lab.sassafras.app.bench.TableScreen.State;

/**
 * Cells pasted from a spreadsheet, matched with rows of the table: by the names in their first column, or, where no
 * name matches, in the order of the rows from a given one on.
 *
 * @param lines  what was pasted, line by line, and what it is taken for
 * @param values what is to be recorded
 */
public record PastedTable(List<Line> lines, List<Value> values) {

    /** Lines that are read. */
    private static final int MOST_LINES = 300;

    /**
     * One line.
     *
     * @param name  as it was pasted; empty where the line has none
     * @param row   the row it is taken for; empty where there is none
     * @param cells what becomes of each cell
     */
    public record Line(String name, String row, List<Fate> cells) {}

    /**
     * What becomes of a pasted cell.
     *
     * @param text  as it was pasted
     * @param words what becomes of it
     * @param kept  whether it is to be recorded
     */
    public record Fate(String text, String words, boolean kept) {}

    /** A value for a place. */
    public record Value(String place, String text) {}

    /**
     * {@return what was pasted, matched with rows}
     *
     * @param text as pasted, with tabs or semicolons between cells
     * @param from identity of the row to begin at where no name matches; empty for the first
     * @param rows of the table
     */
    static PastedTable read(String text, String from, List<Row> rows) {
        String separator = text.contains("\t") ? "\t" : ";";
        List<String[]> pasted = text.lines()
                .filter(line -> !line.isBlank())
                .limit(MOST_LINES)
                .map(line -> line.split(separator, -1))
                .toList();
        boolean named = pasted.stream().anyMatch(line -> row(line[0], rows).isPresent());
        List<Line> lines = new ArrayList<>();
        List<Value> values = new ArrayList<>();
        int next = Math.max(0, rows.stream().map(Row::id).toList().indexOf(from));
        for (String[] line : pasted) {
            Optional<Row> row =
                    named ? row(line[0], rows) : next < rows.size() ? Optional.of(rows.get(next++)) : Optional.empty();
            List<Fate> fates = new ArrayList<>();
            for (int i = named ? 1 : 0; i < line.length; i++) {
                int column = i - (named ? 1 : 0);
                String cell = line[i].strip();
                if (!cell.isEmpty()) {
                    fates.add(fate(cell, row, column, values));
                }
            }
            if (named || !fates.isEmpty()) {
                lines.add(new Line(
                        named ? line[0].strip() : "", row.map(Row::label).orElse(""), fates));
            }
        }
        return new PastedTable(List.copyOf(lines), List.copyOf(values));
    }

    private static Optional<Row> row(String name, List<Row> rows) {
        return rows.stream().filter(each -> each.called(name)).findFirst();
    }

    private static Fate fate(String text, Optional<Row> row, int column, List<Value> values) {
        if (row.isEmpty()) {
            return new Fate(text, "no row of that name", false);
        }
        if (column >= row.get().cells().size()) {
            return new Fate(
                    text,
                    row.get().once() ? "read once, in the first column" : "there is no trial " + (column + 1),
                    false);
        }
        Cell cell = row.get().cells().get(column);
        if (cell.state() != State.OPEN) {
            return new Fate(text, words(cell), false);
        }
        String value = row.get().options().stream()
                .filter(each -> each.words().equalsIgnoreCase(text))
                .map(each -> each.value())
                .findFirst()
                .orElse(text);
        values.add(new Value(cell.place(), value));
        return new Fate(text, "to be recorded", true);
    }

    private static String words(Cell cell) {
        return switch (cell.state()) {
            case FILLED -> cell.text().isEmpty() ? "filled already" : "filled already, with " + cell.text();
            case OUT -> "not asked in this trial";
            case LOCKED, TICK -> "ticked by hand, trial by trial";
            case CURVE -> "read against time";
            case OPEN -> "";
        };
    }
}
