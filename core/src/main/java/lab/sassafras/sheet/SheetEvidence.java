package lab.sassafras.sheet;

import java.util.stream.IntStream;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Evidence;
import lab.sassafras.convention.MassWay;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.slot.Address;

/** What the schools may ask of a sheet: how it was read, and what they could be told apart by. */
public final class SheetEvidence implements Evidence {

    private final Sheet sheet;

    SheetEvidence(Sheet sheet) {
        this.sheet = sheet;
    }

    @Override
    public boolean readOnAClock() {
        return IntStream.rangeClosed(1, sheet.trials())
                .anyMatch(trial -> sheet.curves().readings(trial).isPresent());
    }

    @Override
    public boolean got(MassWay way) {
        return sheet.lines().stream().anyMatch(line -> Weighing.wayOf(line.role()) == way);
    }

    @Override
    public boolean sameMasses(MassWay one, MassWay other) {
        return sheet.places().addresses().stream()
                .allMatch(address -> sheet.weighing(address)
                        .roleThatCounts(one)
                        .equals(sheet.weighing(address).roleThatCounts(other)));
    }

    @Override
    public boolean vesselServes(CalorimeterTreatment.Needs needs) {
        return sheet.setting()
                .calorimeter()
                .filter(vessel -> vessel.serves(needs))
                .isPresent();
    }

    /**
     * {@return whether the readings and the vessel could tell a school from the one in force}
     *
     * @param question of convention
     * @param school   one way of settling it
     */
    public boolean canTell(ConventionQuestion<?> question, Convention school) {
        return school.applies(this)
                && (readOnAClock() && school instanceof TemperatureChange
                        || sheet.experiment().neededBy(question, school).stream()
                                .allMatch(path -> sheet.places().holds(Address.of(path, 1))));
    }
}
