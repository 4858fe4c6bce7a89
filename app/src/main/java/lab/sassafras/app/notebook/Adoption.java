package lab.sassafras.app.notebook;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes the constant an entry found over to the shelf. */
@Service
@Transactional
public class Adoption {

    private final EntrySheets sheets;
    private final Calorimeters calorimeters;

    Adoption(EntrySheets sheets, Calorimeters calorimeters) {
        this.sheets = sheets;
        this.calorimeters = calorimeters;
    }

    /**
     * Adopts the mean of the trials that count.
     *
     * @param seen the newest constant of the vessel that whoever adopts has seen
     * @throws Refused where the entry has no constant to give, or somebody else adopted one meanwhile
     */
    public Calibration adopt(Entry entry, String reason, String who, Optional<UUID> seen) {
        EntrySheet sheet = sheets.of(entry);
        FoundConstant found = sheet.reduction()
                .constant()
                .orElseThrow(() -> new Refused("There is no constant to adopt yet: no trial is complete."));
        Vessel vessel = sheet.vessel().orElseThrow(() -> new Refused("This entry names no vessel."));
        found.cannotBe(vessel.kind(), entry.period().figures()).ifPresent(why -> {
            throw new Refused(why);
        });
        int trials = found.trials();
        String described = (trials == 1 ? "one trial" : "mean of " + trials + " trials") + ", "
                + entry.period().heldOn() + ", " + entry.bench().inWords();
        return calorimeters.adopt(
                vessel,
                Optional.of(entry.id()),
                found.constant().asInput(),
                found.fill(),
                new Calibration.Adoption(described, who, reason),
                seen);
    }
}
