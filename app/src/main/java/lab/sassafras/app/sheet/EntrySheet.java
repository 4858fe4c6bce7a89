package lab.sassafras.app.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.InHand;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Observations;
import lab.sassafras.app.record.Revision;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetReader;
import lab.sassafras.verdict.Reduction;

/**
 * An entry with everything that belongs to it, read back at one moment and not changed after.
 *
 * @param entry        the entry
 * @param experiment   what kind it is; a stand-in where this version does not know it
 * @param observations all that was typed
 * @param decisions    all that was decided
 * @param vessel       the calorimeter, if it has one
 * @param calibration  the constant it is pinned to, if any
 * @param newer        a newer constant of the same vessel, offered and not applied
 * @param conventions  the schools in force for it
 * @param readback     the standing readings, as the core takes them
 * @param instrumentNames what the instruments its readings name are called, by their key
 * @param hand         which instrument is in hand where
 * @param reduction    what it comes to, worked when asked for
 * @param stamps       how much was kept of it and of the entries it draws on
 */
public record EntrySheet(
        Entry entry,
        Experiment experiment,
        Observations observations,
        Decisions decisions,
        Optional<Vessel> vessel,
        Optional<Calibration> calibration,
        Optional<Calibration> newer,
        Conventions conventions,
        SheetReader readback,
        Map<String, String> instrumentNames,
        InHand hand,
        Reduction reduction,
        List<Revision> stamps) {

    public EntrySheet {
        stamps = List.copyOf(stamps);
    }

    /** How many readings on clocks count for it, of all its trials. */
    public int readings() {
        return sheet().setting().traces().values().stream()
                .mapToInt(each -> each.readings().size())
                .sum();
    }

    /** How much had been kept of it when it was read: it only grows. */
    public long seen() {
        return stamps.get(0).number();
    }

    /** The readings that could be read. */
    public Sheet sheet() {
        return readback.sheet();
    }

    /** Why a kept value cannot be read, where it cannot. */
    public Optional<String> unreadable(Observation observation) {
        return Optional.ofNullable(readback.aside().get(observation.id()));
    }
}
