package lab.sassafras.app.usecase;

import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Hands;
import lab.sassafras.app.record.InstrumentInHand;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.declaration.ReadingPlace;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Refused;

/** Takes an instrument in hand at one place of an entry, or at all of them, from now on. */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.DECIDING)
public class TakeInHand {

    private final Hands hands;
    private final Instruments instruments;

    TakeInHand(Hands hands, Instruments instruments) {
        this.hands = hands;
        this.instruments = instruments;
    }

    /**
     * Takes it in hand.
     *
     * @param place key of a group or channel; empty for all places
     * @param key   the page's own, so that the same sent twice is kept once
     */
    public Answer<Boolean> take(EntrySheet entry, String place, UUID instrument, UUID key, Actor actor) {
        return Answer.of(() -> {
            Instrument taken =
                    instruments.find(instrument).orElseThrow(() -> new Refused("That instrument is not here."));
            boolean readThere = ReadingPlace.of(entry.experiment(), Experiments.instruments()).stream()
                    .anyMatch(each -> each.kind().equals(taken.kind())
                            && (place.equals(InstrumentInHand.EVERYWHERE)
                                    || each.group().key().equals(place)));
            if (!readThere) {
                throw new Refused("Nothing is read there on a " + taken.kind().word() + ".");
            }
            hands.take(key, entry.entry(), new InstrumentInHand.Given(place, taken.kind(), instrument, actor.name()));
        });
    }
}
