package lab.sassafras.app.classpages;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.app.access.CsvAnswer;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.plan.PaperData;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.springframework.http.ResponseEntity;

/** Sheets of simulated data: which are asked for, what stands on one, and all of them as a table. */
final class PaperSheets {

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader("sheet", "bench", "what", "read")
            .get();
    private static final long LARGEST_SEED = 999_999;

    private PaperSheets() {}

    /**
     * What is asked for, as it was typed.
     *
     * @param experiment key
     * @param seed       from which the sheets follow
     * @param copies     of it
     * @param problems   by field
     */
    record Asked(Optional<Experiment> experiment, long seed, int copies, Map<String, String> problems) {

        static Asked of(String experiment, String seed, String copies) {
            Map<String, String> problems = new LinkedHashMap<>();
            Optional<Experiment> found = Experiments.find(experiment).filter(PaperData::possible);
            if (found.isEmpty()) {
                problems.put("experiment", "Choose one of which a run is simulated.");
            }
            return new Asked(
                    found,
                    whole("seed", seed, LARGEST_SEED, problems),
                    (int) whole("copies", copies, PaperData.MOST, problems),
                    problems);
        }

        private static long whole(String field, String text, long most, Map<String, String> problems) {
            long number = text.strip().matches("\\d{1,6}") ? Long.parseLong(text.strip()) : -1;
            if (number < 1 || number > most) {
                problems.put(field, "A whole number from 1 to " + most + ".");
                return 1;
            }
            return number;
        }
    }

    /** A sheet: for whom, and what stands on it. */
    public record Sheet(
            int number, String title, String bench, PaperData data, String result, String truth, String working) {}

    /** {@return the same sheets as a table, without what comes of them} */
    static ResponseEntity<byte[]> table(List<Sheet> sheets) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (Sheet each : sheets) {
                for (PaperData.Read read : each.data().read()) {
                    printer.printRecord(
                            each.number(),
                            ForSpreadsheets.guarded(each.bench()),
                            ForSpreadsheets.guarded(read.label()),
                            ForSpreadsheets.guarded(read.text()));
                }
                IntStream.range(0, each.data().curve().size())
                        .mapToObj(each.data().curve()::get)
                        .forEach(point -> print(
                                printer,
                                each,
                                "temperature at " + Figures.POINT.plain(Math.rint(point.seconds())) + " s",
                                Figures.POINT.plain(Math.rint(point.temperature() * 1000) / 1000) + " °C"));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return CsvAnswer.of("data-to-hand-out", table);
    }

    private static void print(CSVPrinter printer, Sheet sheet, String what, String read) {
        try {
            printer.printRecord(sheet.number(), ForSpreadsheets.guarded(sheet.bench()), what, read);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
