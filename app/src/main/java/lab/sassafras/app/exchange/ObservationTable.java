package lab.sassafras.app.exchange;

import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenSheet;
import lab.sassafras.experiment.Slot;

/** The observations of an entry as CSV: one row for each thing ever typed, whether or not this version can read it. */
final class ObservationTable {

    private static final String HEAD = "address,what,role,text,unit,instrument,uncertainty,who,when,stands,reason\r\n";
    private static final Pattern PLAIN = Pattern.compile("[^\",\r\n]*");
    /** What a spreadsheet may take for a formula. A tab or a new line in front does not stop it from looking further. */
    private static final Pattern FORMULA = Pattern.compile("(?s)[\\s\\x00]*[=+\\-@\\t\\r\\n].*");

    private static final Pattern NUMBER = Pattern.compile("[+\\-−]?\\d+(?:[.,]\\d+)?");

    private ObservationTable() {}

    static String csv(EntrySheet entry) {
        return HEAD
                + entry.observations().all().stream()
                        .map(each -> row(entry, each))
                        .collect(Collectors.joining());
    }

    private static String row(EntrySheet entry, Observation each) {
        Slot slot = WrittenSheet.slot(entry.experiment(), each).orElse(null);
        String what = slot == null
                ? ""
                : entry.experiment().words().label(each.address().replaceAll("\\[\\d+]", ""));
        return String.join(
                        ",",
                        cell(each.address()),
                        cell(what),
                        cell(each.role()),
                        cell(each.text()),
                        cell(each.unit().orElse("")),
                        cell(each.instrumentId()
                                .map(UUID::toString)
                                .map(key -> instrument(entry, key))
                                .orElse("")),
                        cell(each.uncertainty().orElse("")),
                        cell(each.who()),
                        each.madeAt().toString(),
                        entry.observations().stands(each) ? "yes" : "no",
                        cell(each.reason().orElse("")))
                + "\r\n";
    }

    private static String instrument(EntrySheet entry, String key) {
        return entry.instrumentNames().getOrDefault(key, "");
    }

    /** A cell as CSV has it, and never to be taken for a formula; a plain number may have its sign. */
    static String cell(String text) {
        String guarded =
                FORMULA.matcher(text).matches() && !NUMBER.matcher(text).matches() ? "'" + text : text;
        return PLAIN.matcher(guarded).matches() ? guarded : "\"" + guarded.replace("\"", "\"\"") + "\"";
    }
}
