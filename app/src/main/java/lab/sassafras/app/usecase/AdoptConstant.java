package lab.sassafras.app.usecase;

import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.measure.Refused;

/** Adopts the calorimeter constant an entry found. */
@UseCase(needs = Right.DECIDE, serves = Bringer.DECIDING)
public class AdoptConstant {

    private final Calorimeters calorimeters;

    AdoptConstant(Calorimeters calorimeters) {
        this.calorimeters = calorimeters;
    }

    /**
     * Adopts the mean of the trials that count. Refused where the entry has no constant to give, or somebody else
     * adopted one meanwhile.
     *
     * @param seen the newest constant of the vessel that whoever adopts has seen
     */
    public Answer<Calibration> adopt(EntrySheet sheet, String reason, Optional<UUID> seen, Actor actor) {
        return Answer.of(() -> {
            String why = Reason.checked(reason, "Say why this constant is adopted. Go back; nothing was changed.");
            Entry entry = sheet.entry();
            if (entry.simulated()) {
                throw new Refused("A constant found at the simulated bench belongs to no real vessel.");
            }
            FoundConstant found = sheet.reduction()
                    .constant()
                    .orElseThrow(() -> new Refused("There is no constant to adopt yet: no trial is complete."));
            Vessel vessel = sheet.vessel().orElseThrow(() -> new Refused("This entry names no vessel."));
            found.cannotBe(vessel.kind(), entry.period().figures()).ifPresent(cannot -> {
                throw new Refused(cannot);
            });
            int trials = found.trials();
            String described = (trials == 1 ? "one trial" : "mean of " + trials + " trials") + ", "
                    + entry.period().heldOn() + ", " + entry.bench().inWords();
            return calorimeters.adopt(
                    vessel,
                    Optional.of(entry.id()),
                    found.constant().asInput(),
                    found.fill(),
                    new Calibration.Adoption(described, actor.name(), why),
                    seen);
        });
    }
}
