package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;

/**
 * Everything read in a run, a row for each place and a column for each trial, as it is printed.
 *
 * @param trials how many
 * @param rows   in the order of the run
 */
public record AllTrials(int trials, List<Row> rows) {

    /**
     * One place.
     *
     * @param label in words
     * @param cells what stands there in each trial, with what was struck out and why; empty where nothing is
     */
    public record Row(String label, List<String> cells) {}

    static AllTrials of(EntrySheet entry) {
        int trials = entry.sheet().trials();
        Map<String, Row> rows = new LinkedHashMap<>();
        for (int trial = 1; trial <= trials; trial++) {
            for (WrittenSheet.Row row : new WrittenSheet(entry, trial).rows(Optional.empty())) {
                String place = row.perTrial()
                        ? row.link().at().replaceAll("\\[\\d+]", "")
                                + row.link().way()
                        : row.link().at() + row.link().way();
                String written = written(row);
                Row before = rows.computeIfAbsent(place, any -> new Row(row.label(), new ArrayList<>()));
                while (before.cells().size() < trial - 1) {
                    before.cells().add("");
                }
                before.cells().add(written);
            }
        }
        return new AllTrials(
                trials,
                rows.values().stream()
                        .filter(row -> row.cells().stream().anyMatch(cell -> !cell.isEmpty()))
                        .map(row -> filled(row, trials))
                        .toList());
    }

    private static Row filled(Row row, int trials) {
        List<String> cells = new ArrayList<>(row.cells());
        while (cells.size() < trials) {
            cells.add("");
        }
        return new Row(row.label(), List.copyOf(cells));
    }

    private static String written(WrittenSheet.Row row) {
        return Stream.concat(
                        row.values().stream()
                                .map(each -> Stream.of(each.text(), each.unit(), each.how())
                                        .filter(part -> !part.isEmpty())
                                        .collect(Collectors.joining(" "))),
                        row.struck().stream()
                                .map(each -> "[" + each.text() + " " + each.unit() + " " + each.why() + "]"))
                .collect(Collectors.joining("; "));
    }
}
