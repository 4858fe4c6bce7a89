package lab.sassafras.app.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import lab.sassafras.app.record.Observations;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.verdict.Reduction;

/**
 * An entry with everything that belongs to it.
 *
 * @param entry        the entry
 * @param experiment   what kind it is
 * @param observations all that was typed
 * @param decisions    all that was decided
 * @param vessel       the calorimeter, if it has one
 * @param calibration  the constant it is pinned to, if any
 * @param newer        a newer constant of the same vessel, offered and not applied
 * @param conventions  the schools in force for it
 * @param sheet        the standing readings, as the core takes them
 */
public record EntrySheet(Entry entry, Experiment experiment, Observations observations, Decisions decisions,
                         Optional<Vessel> vessel, Optional<Calibration> calibration, Optional<Calibration> newer,
                         Conventions conventions, Sheet sheet) {

    /** Worked out afresh. */
    public Reduction reduction() {
        return Reduction.of(sheet, conventions);
    }

    /** All that was ever typed at an address, in order. */
    public List<Observation> historyAt(String address) {
        return observations.at(address);
    }

    /** The same with one standing value taken away, as if it were struck out; unchanged for null. */
    public EntrySheet without(UUID struck) {
        if (struck == null) {
            return this;
        }
        List<Observation> standing = observations.standing();
        List<Line> kept = new ArrayList<>();
        for (int i = 0; i < standing.size(); i++) {
            if (!standing.get(i).id().equals(struck)) {
                kept.add(sheet.lines().get(i));
            }
        }
        return with(new Sheet(experiment, kept, sheet.setting()));
    }

    EntrySheet with(Sheet other) {
        return new EntrySheet(entry, experiment, observations, decisions, vessel, calibration, newer, conventions, other);
    }
}
