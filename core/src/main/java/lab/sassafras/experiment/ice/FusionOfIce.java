package lab.sassafras.experiment.ice;

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
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** Ice into warm water until it is gone: ice warms, melts and its water warms; water and calorimeter cool. */
public final class FusionOfIce extends LedgerExperiment {

    public FusionOfIce() {
        super("fusion-of-ice", 1, BenchUnit.JOULES_PER_GRAM);
    }

    @Override
    public List<Group> groups() {
        return List.of(
                Group.perTrial("water", Slot.mass("mass").usually(50, 200), Slot.temperature("start").usually(25, 50)),
                Group.perTrial("ice", Slot.choice("state", "dried", "wet"), Slot.temperature("start").orAssumed(0, 0.3),
                        Slot.moment("added"), Slot.mass("mass").usually(5, 60)),
                Group.perTrial("mixed", Slot.temperature("final").usually(2, 30)));
    }

    @Override
    public List<Step> procedure() {
        return List.of(Step.of("water/mass"), Step.of("ice/state"), Step.of("ice/start"), Step.of("water/start").taking(2),
                Step.of("ice/added"), Step.of("mixed/final").taking(4), Step.of("ice/mass"));
    }

    @Override
    public List<Suspect> suspects() {
        return List.of(new Suspect("wet", "ice/mass", -1), new Suspect("warmed-meanwhile", "mixed/final", -0.3),
                new Suspect("cooled-before", "water/start", -0.5));
    }

    @Override
    public List<Caveat> caveats() {
        return List.of(new Caveat("ice/state", "wet"));
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.OfProperty("fusion-of-ice");
    }

    @Override
    protected Account account(Draft draft, Conventions conventions) {
        WaterHeat heat = conventions.in(Question.WATER);
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.quantity("water/start");
        Expression iceMass = draft.quantity("ice/mass");
        Expression iceStart = draft.quantity("ice/start");
        Expression end = draft.quantity("mixed/final");
        draft.choice("ice/state");
        Expression melts = new Expression.Constant(0, "0", BenchUnit.DEGREES_CELSIUS);

        List<Party> parties = new ArrayList<>();
        parties.add(Party.melting("ice", "ice", iceMass, draft.property("specific-heat-of-ice", Symbol.of("c:ice")), unknown(),
                heat.specificHeat("meltwater", melts, end), iceStart, melts, end));
        parties.add(Party.body("water", "water", waterMass, heat.specificHeat("water", waterStart, end), waterStart, end));
        draft.calorimeter(conventions, waterStart, end).ifPresent(parties::add);
        return draft.ledger(parties, unknown(), waterMass.plus(iceMass));
    }
}
