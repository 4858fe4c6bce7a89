package lab.sassafras.experiment.steam;

import java.util.ArrayList;
import java.util.List;
import lab.sassafras.account.Account;
import lab.sassafras.account.Party;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.experiment.Caveat;
import lab.sassafras.experiment.Draft;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.LedgerExperiment;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Step;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;

/** Steam led into cold water: it condenses and its water cools; water and calorimeter warm. */
public final class CondensingSteam extends LedgerExperiment {

    public CondensingSteam() {
        super("condensing-steam", 1, BenchUnit.JOULES_PER_GRAM);
    }

    @Override
    public List<Group> groups() {
        return List.of(
                Group.perTrial("water", Slot.mass("mass").usually(100, 300), Slot.temperature("start").usually(5, 20)),
                Group.perTrial("steam", Slot.choice("state", "trapped", "wet"), Slot.temperature("start").orAssumed(100, 0.5),
                        Slot.moment("led"), Slot.mass("mass").usually(2, 15)),
                Group.perTrial("mixed", Slot.temperature("final").usually(25, 50)));
    }

    @Override
    public List<Step> procedure() {
        return List.of(Step.of("water/mass"), Step.of("steam/state"), Step.of("steam/start"), Step.of("water/start").taking(2),
                Step.of("steam/led").taking(5), Step.of("mixed/final").taking(2), Step.of("steam/mass"));
    }

    @Override
    public List<Suspect> suspects() {
        return List.of(new Suspect("wet", "steam/mass", -0.3), new Suspect("lost-to-room", "mixed/final", 0.3));
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("steam/state", "wet"));
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.OfProperty("vaporization-of-water");
    }

    @Override
    protected Account account(Draft draft, Conventions conventions) {
        WaterHeat heat = conventions.in(Question.WATER);
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.quantity("water/start");
        Expression steamMass = draft.quantity("steam/mass");
        Expression steamStart = draft.quantity("steam/start");
        Expression end = draft.quantity("mixed/final");
        draft.choice("steam/state");

        List<Party> parties = new ArrayList<>();
        parties.add(Party.condensing("steam", "steam", steamMass, unknown(), heat.specificHeat("condensate", steamStart, end),
                steamStart, end));
        parties.add(Party.body("water", "water", waterMass, heat.specificHeat("water", waterStart, end), waterStart, end));
        draft.calorimeter(conventions, waterStart, end).ifPresent(parties::add);
        return draft.ledger(parties, unknown(), waterMass.plus(steamMass));
    }
}
