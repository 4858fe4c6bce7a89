package lab.sassafras.app.notebook;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.presentation.Presentation.Written;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** Results of one experiment as a table for a spreadsheet: a line for each trial, one for each result. */
final class ResultTable {

    private ResultTable() {}

    /** @param entries of one experiment, at least one */
    static String csv(List<EntrySheet> entries) {
        ResultView first = new ResultView(entries.get(0), Optional.empty());
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(
                table,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(
                                "entry",
                                "bench",
                                "begun",
                                "trial",
                                first.unknown() + " (" + first.unit() + ")",
                                "U, 95 % (" + first.unit() + ")",
                                "included",
                                "per cent error (%)")
                        .get())) {
            for (EntrySheet entry : entries) {
                ResultView view = new ResultView(entry, Optional.empty());
                for (ResultView.TrialLine trial : view.trials()) {
                    line(
                            printer,
                            entry,
                            String.valueOf(trial.number()),
                            view.written(trial.number()),
                            trial.leftOut() ? "no" : "yes",
                            "");
                }
                line(
                        printer,
                        entry,
                        "result",
                        view.result(),
                        entry.decisions().setAside().isPresent() ? "no" : "yes",
                        view.percentError());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return table.toString();
    }

    private static void line(
            CSVPrinter printer, EntrySheet entry, String trial, Optional<Written> value, String included, String error)
            throws IOException {
        printer.printRecord(
                entry.entry().id(),
                ForSpreadsheets.guarded(
                        entry.entry().bench().name() + (entry.entry().simulated() ? ", simulated" : "")),
                entry.entry().createdAt(),
                trial,
                value.map(Written::value).map(ResultTable::number).orElse(""),
                value.map(Written::uncertainty).map(ResultTable::number).orElse(""),
                included,
                number(error));
    }

    /** As a spreadsheet reads it: a hyphen for the minus, no plus. */
    private static String number(String written) {
        return written.replace('−', '-').replaceFirst("^\\+", "");
    }
}
