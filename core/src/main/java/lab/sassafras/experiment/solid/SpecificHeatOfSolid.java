package lab.sassafras.experiment.solid;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import lab.sassafras.account.Account;
import lab.sassafras.account.Party;
import lab.sassafras.convention.Bath;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.experiment.Draft;
import lab.sassafras.experiment.Group;
import lab.sassafras.experiment.LedgerExperiment;
import lab.sassafras.experiment.Slot;
import lab.sassafras.experiment.Step;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.BenchUnit;

/** A hot (or ice-cold) solid into water: sample + water + calorimeter + water that clung to the sample. */
public final class SpecificHeatOfSolid extends LedgerExperiment {

    public SpecificHeatOfSolid() {
        super("specific-heat-of-solid", 1, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    @Override
    public List<Group> groups() {
        return List.of(
                Group.once("seen", Slot.choiceIfKnown("colour", "silvery", "grey", "reddish", "yellow", "dark", "clear"),
                        Slot.choiceIfKnown("magnetic", "yes", "no"),
                        Slot.density("density").orAssumed(8, 0.2).ifKnown(),
                        new Slot.FromShelf("known", true, true)),
                Group.perTrial("sample", Slot.mass("mass").usually(10, 200),
                        Slot.choice("bath", "boiling", "ice", "other"),
                        Slot.temperature("start").orAssumed(100, 0.5), Slot.moment("moved"),
                        Slot.mass("carried").usually(0, 3).ifKnown()),
                Group.perTrial("water", Slot.mass("mass").usually(50, 200), Slot.temperature("start").usually(15, 30)),
                Group.perTrial("mixed", Slot.temperature("final").usually(15, 45)));
    }

    @Override
    public List<Step> procedure() {
        return List.of(Step.of("seen/colour"), Step.of("seen/magnetic"), Step.of("seen/density"),
                Step.of("sample/mass"), Step.of("sample/bath"), Step.of("water/mass"),
                Step.of("sample/start").taking(8), Step.of("water/start").taking(2), Step.of("sample/moved"),
                Step.of("mixed/final").taking(3), Step.of("sample/carried"), Step.of("seen/known"));
    }

    @Override
    public List<Question<?>> conventions() {
        return List.of(Question.WATER, Question.CALORIMETER, Question.BATH);
    }

    @Override
    public List<Suspect> suspects() {
        return List.of(new Suspect("cooled-in-transit", "sample/start", -2), new Suspect("not-through", "sample/start", -5),
                new Suspect("final-too-early", "mixed/final", 0.2), new Suspect("water-splashed", "water/mass", -1));
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.OfSolids("seen/known", "seen/colour", "seen/magnetic", "seen/density");
    }

    @Override
    protected Account account(Draft draft, Conventions conventions) {
        WaterHeat water = conventions.in(Question.WATER);
        Expression sampleMass = draft.quantity("sample/mass");
        Bath bath = draft.choice("sample/bath").map(each -> Bath.valueOf(each.toUpperCase(Locale.ROOT))).orElse(Bath.OTHER);
        Expression sampleStart = conventions.in(Question.BATH).start(bath, () -> draft.quantity("sample/start"));
        Expression waterMass = draft.quantity("water/mass");
        Expression waterStart = draft.quantity("water/start");
        Expression end = draft.quantity("mixed/final");

        List<Party> parties = new ArrayList<>();
        parties.add(Party.body("sample", "solid", sampleMass, unknown(), sampleStart, end));
        parties.add(Party.body("water", "water", waterMass, water.specificHeat("water", waterStart, end), waterStart, end));
        draft.quantityIfGiven("sample/carried").ifPresent(carried -> parties.add(Party.body("carried", "carried water",
                carried, water.specificHeat("carried water", sampleStart, end), sampleStart, end)));
        draft.calorimeter(conventions, waterStart, end).ifPresent(parties::add);
        return draft.ledger(parties, unknown(), waterMass);
    }
}
