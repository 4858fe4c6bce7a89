package lab.sassafras.app.usecase;

import java.util.Optional;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.OwnReference;
import lab.sassafras.app.shelf.OwnReferences;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;

/** Gives what results should be: in a period, or in the key of unknowns for every period. */
@UseCase(needs = Right.RUN_HOUSE, serves = Bringer.DECIDING)
public class GiveReference {

    private final OwnReferences references;

    GiveReference(OwnReferences references) {
        this.references = references;
    }

    /** In the key: of a sample by its name. */
    public Answer<OwnReference> inKey(OwnReference.Given given, Actor actor) {
        return Answer.of(() -> {
            if (given.sample().isEmpty()) {
                throw new Refused("Say what the sample is called, such as “Unknown 3”: the key goes by that.");
            }
            return references.add(Optional.empty(), given, actor.name());
        });
    }

    /** In a period: of a sample by its name, or of whatever the experiment finds there. */
    @Needs(Right.LEAD)
    public Answer<OwnReference> in(Period period, OwnReference.Given given, Actor actor) {
        return Answer.of(() -> references.add(Optional.of(period), given, actor.name()));
    }

    /** Strikes one of the key out. */
    public Answer<Boolean> strikeInKey(OwnReference reference, String reason, Actor actor) {
        return Answer.of(() -> {
            if (reference.periodId().isPresent()) {
                throw new Refused("That reference is of a period; it is struck out there.");
            }
            references.strike(reference, why(reason), actor.name());
        });
    }

    /** Strikes one of a period out. */
    @Needs(Right.LEAD)
    public Answer<Boolean> strike(Period period, OwnReference reference, String reason, Actor actor) {
        return Answer.of(() -> {
            if (!reference.periodId().equals(Optional.of(period.id()))) {
                throw new Refused("That reference is not of this period.");
            }
            references.strike(reference, why(reason), actor.name());
        });
    }

    private static String why(String reason) {
        return Names.checked(Reason.checked(reason, "Say why it is struck out."), "A reason", Reason.LONGEST);
    }
}
