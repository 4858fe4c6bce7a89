package lab.sassafras.sheet;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import org.jspecify.annotations.Nullable;

/**
 * What is stored, read back. It was admitted once, perhaps by another version and beside other rows, so it is never
 * refused now: a row that cannot be read is left aside with a finding, and the rest is worked.
 *
 * @param sheet what could be read, with a reservation for every row that could not
 * @param lines the rows that could be read, by their key
 * @param aside why a row could not be read, by its key
 */
public record SheetReader(Sheet sheet, Map<Object, Line> lines, Map<Object, String> aside) {

    /**
     * A stored row.
     *
     * @param key     its identity
     * @param address as stored
     * @param role    as stored
     * @param given   what it holds
     */
    public record Row(Object key, String address, String role, GivenValue given) {}

    /**
     * Reads the standing rows of an entry, in the order they were given.
     *
     * @param experiment what kind of run it is
     * @param setting    what surrounds the readings
     * @param rows       in the order they were given
     * @return as read
     */
    public static SheetReader of(Declaration experiment, Setting setting, List<Row> rows) {
        return of(experiment, setting, rows, Map.of());
    }

    /**
     * {@return as above, for an entry with schools of its own}
     *
     * @param experiment what kind of run it is
     * @param setting    what surrounds the readings
     * @param rows       in the order they were given
     * @param schools    as stored, question to school; one that this version does not know is said, and the usual one
     *                   in force
     */
    public static SheetReader of(Declaration experiment, Setting setting, List<Row> rows, Map<String, String> schools) {
        Map<Object, Line> lines = new LinkedHashMap<>();
        Map<Object, String> aside = new LinkedHashMap<>();
        List<Finding> reservations = new ArrayList<>();
        Conventions.unknown(schools)
                .ifPresent(school -> reservations.add(Finding.question(
                        "school.unknown",
                        "“" + school + "” was chosen, "
                                + "and this version knows no such convention. What is usual is in "
                                + "use in its place.")));
        for (Row row : rows) {
            try {
                Role role = Role.of(row.role())
                        .orElseThrow(
                                () -> new Refused("“" + row.role() + "” is no way to get a value in this version."));
                lines.put(
                        row.key(), Admission.line(experiment, setting, Address.read(row.address()), role, row.given()));
            } catch (Refused refused) {
                aside.put(row.key(), refused.getMessage());
                reservations.add(reservation(experiment, row, refused));
            }
        }
        return new SheetReader(new Sheet(experiment, List.copyOf(lines.values()), setting, reservations), lines, aside);
    }

    /**
     * {@return what could be read, open to one more value or one less, under a setting that may know more than the
     * sheet's}
     *
     * @param setting what surrounds the readings
     */
    public SheetEditing filling(Setting setting) {
        SheetEditing filling = new SheetEditing(sheet.experiment(), setting);
        lines.forEach(filling::add);
        return filling;
    }

    private static Finding reservation(Declaration experiment, Row row, Refused refused) {
        String place = place(experiment, row.address()).orElse(row.address());
        return Finding.question(
                "row.unreadable",
                "What was recorded for " + place + ", “" + shortened(row.given().text())
                        + "”, cannot be read by this version and is not used: " + refused.getMessage()
                        + " It stays recorded, and can be struck out.");
    }

    private static Optional<String> place(Declaration experiment, String address) {
        try {
            String path = Address.read(address).path();
            return experiment.slot(path).flatMap(any -> experiment.words().find(path));
        } catch (Refused noAddress) {
            return Optional.empty();
        }
    }

    private static String shortened(@Nullable String given) {
        String text = given == null ? "" : given;
        return text.length() > 40 ? text.substring(0, 40) + "…" : text;
    }
}
