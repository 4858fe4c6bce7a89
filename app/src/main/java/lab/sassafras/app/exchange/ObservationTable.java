package lab.sassafras.app.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The observations of an entry as CSV: one row for each thing ever typed, whether or not this version can read it. */
final class ObservationTable {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader(
                    "address",
                    "what",
                    "role",
                    "text",
                    "unit",
                    "instrument",
                    "uncertainty",
                    "who",
                    "when",
                    "stands",
                    "reason")
            .get();
    /**
     * What a spreadsheet may take for a formula. A tab or a new line in front does not stop it from looking further.
     */
    private static final Pattern FORMULA = Pattern.compile("(?s)[\\s\\x00]*[=+\\-@\\t\\r\\n].*");

    private static final Pattern NUMBER = Pattern.compile("[+\\-−]?\\d+(?:[.,]\\d+)?");

    private ObservationTable() {}

    static String csv(EntrySheet entry) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (Observation each : entry.observations().all()) {
                printer.printRecord(row(entry, each).map(ObservationTable::guarded));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return table.toString();
    }

    private static Stream<String> row(EntrySheet entry, Observation each) {
        return Stream.of(
                each.address(),
                WrittenSheet.slot(entry.experiment(), each)
                        .map(any ->
                                entry.experiment().words().label(each.address().replaceAll("\\[\\d+]", "")))
                        .orElse(""),
                each.role(),
                each.text(),
                each.unit().orElse(""),
                each.instrumentId()
                        .map(id -> entry.instrumentNames().getOrDefault(id.toString(), ""))
                        .orElse(""),
                each.uncertainty().orElse(""),
                each.who(),
                each.madeAt().toString(),
                entry.observations().stands(each) ? "yes" : "no",
                each.reason().orElse(""));
    }

    /** A text no spreadsheet takes for a formula; a plain number may have its sign. */
    static String guarded(String text) {
        return FORMULA.matcher(text).matches() && !NUMBER.matcher(text).matches() ? "'" + text : text;
    }
}
