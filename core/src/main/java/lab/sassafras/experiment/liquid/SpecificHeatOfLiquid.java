package lab.sassafras.experiment.liquid;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.account.Account;
import lab.sassafras.account.Party;
import lab.sassafras.convention.Bath;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.experiment.Draft;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.LedgerExperiment;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Step;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;

/** A hot (or ice-cold) solid of the shelf into the liquid: solid + liquid + calorimeter. */
public final class SpecificHeatOfLiquid extends LedgerExperiment {

    public SpecificHeatOfLiquid() {
        super("specific-heat-of-liquid", 1, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    @Override
    public List<Group> groups() {
        return List.of(
                Group.once("shelf", new Slot.FromShelf("solid", true, false), new Slot.FromShelf("liquid", false, true)),
                Group.perTrial("solid", Slot.mass("mass").usually(20, 200), Slot.choice("bath", "boiling", "ice", "other"),
                        Slot.temperature("start").orAssumed(100, 0.5), Slot.moment("moved")),
                Group.perTrial("liquid", Slot.mass("mass").usually(40, 200), Slot.temperature("start").usually(15, 30)),
                Group.perTrial("mixed", Slot.temperature("final").usually(15, 45)));
    }

    @Override
    public List<Step> procedure() {
        return List.of(Step.of("shelf/solid"), Step.of("solid/mass"), Step.of("solid/bath"), Step.of("liquid/mass"),
                Step.of("solid/start").taking(8), Step.of("liquid/start").taking(2), Step.of("solid/moved"),
                Step.of("mixed/final").taking(3), Step.of("shelf/liquid"));
    }

    @Override
    public List<Question<?>> conventions() {
        return List.of(Question.CALORIMETER, Question.BATH);
    }

    @Override
    public List<Suspect> suspects() {
        return List.of(new Suspect("cooled-in-transit", "solid/start", -2), new Suspect("final-too-early", "mixed/final", 0.2),
                new Suspect("evaporated", "liquid/mass", -1));
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.OfLiquids("shelf/liquid");
    }

    @Override
    protected Account account(Draft draft, Conventions conventions) {
        Expression solidMass = draft.quantity("solid/mass");
        Bath bath = draft.choice("solid/bath").map(each -> Bath.valueOf(each.toUpperCase(Locale.ROOT))).orElse(Bath.OTHER);
        Expression solidStart = conventions.in(Question.BATH).start(bath, () -> draft.quantity("solid/start"));
        Expression liquidMass = draft.quantity("liquid/mass");
        Expression liquidStart = draft.quantity("liquid/start");
        Expression end = draft.quantity("mixed/final");

        List<Party> parties = new ArrayList<>();
        parties.add(Party.body("solid", "solid", solidMass, draft.specificHeatOf("shelf/solid"), solidStart, end));
        parties.add(Party.body("liquid", "liquid", liquidMass, unknown(), liquidStart, end));
        draft.calorimeter(conventions, liquidStart, end).ifPresent(parties::add);
        return draft.ledger(parties, unknown(), liquidMass);
    }
}
