package lab.sassafras.app.runfile;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.record.ForSpreadsheets;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** The observations of an entry as CSV: one row for each thing ever typed, whether or not this version can read it. */
public final class ObservationTable {

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
    private static final CSVFormat OF_PERIOD = CSVFormat.RFC4180
            .builder()
            .setHeader(Stream.concat(Stream.of("entry", "experiment", "bench"), Stream.of(FORMAT.getHeader()))
                    .toArray(String[]::new))
            .get();

    private static final CSVFormat OF_CLOCK = CSVFormat.RFC4180
            .builder()
            .setHeader("time (s)", "temperature (°C)", "who", "kept at", "counts", "reason")
            .get();

    private ObservationTable() {}

    /** Every observation of several entries, each row with its entry. */
    public static String csv(List<EntrySheet> entries) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, OF_PERIOD)) {
            for (EntrySheet entry : entries) {
                for (Observation each : entry.observations().all()) {
                    printer.printRecord(Stream.concat(
                                    Stream.of(
                                            entry.entry().id().toString(),
                                            entry.experiment().words().title(),
                                            entry.entry().bench().name()
                                                    + (entry.entry().simulated() ? ", simulated" : "")),
                                    row(entry, each))
                            .map(ForSpreadsheets::guarded));
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return table.toString();
    }

    public static String csv(EntrySheet entry) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, FORMAT)) {
            for (Observation each : entry.observations().all()) {
                printer.printRecord(row(entry, each).map(ForSpreadsheets::guarded));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return table.toString();
    }

    /**
     * Readings on a clock, in order of time: seconds from its beginning, and the temperature as typed.
     *
     * @param called what somebody was called at a time
     */
    public static String csv(ClockReadings clock, BiFunction<UUID, Instant, String> called) {
        StringBuilder table = new StringBuilder();
        try (CSVPrinter printer = new CSVPrinter(table, OF_CLOCK)) {
            for (ClockReadings.Line each : clock.lines()) {
                printer.printRecord(Stream.of(
                                BigDecimal.valueOf(each.seconds())
                                        .stripTrailingZeros()
                                        .toPlainString(),
                                each.read()
                                        .text()
                                        .orElseGet(
                                                () -> String.valueOf(each.read().temperature())),
                                called.apply(each.read().who(), each.read().madeAt()),
                                each.read().madeAt().toString(),
                                each.counts() ? "yes" : "no",
                                each.reason())
                        .map(ForSpreadsheets::guarded));
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
                struckBecause(entry, each));
    }

    /**
     * Where a value comes from that was not read by a hand, and why it was struck out: that stands on its own row, and
     * not on that of what came in its place.
     */
    private static String struckBecause(EntrySheet entry, Observation each) {
        return each.strikeOut()
                ? each.reason().orElse("")
                : Stream.concat(
                                each.from().stream(),
                                entry.observations().strikerOf(each).stream()
                                        .flatMap(striker -> striker.reason().stream()))
                        .collect(Collectors.joining("; "));
    }
}
