package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;

/** A vessel with its constant, where a trial used another than the entry says. */
final class VesselSlot extends StatedSlot {

    VesselSlot(String key) {
        super(key, true);
    }

    @Override
    public Field field() {
        return Field.PICK;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.empty();
    }

    @Override
    protected void check(String text, Setting setting) {
        // any text will do
    }

    @Override
    public void admit(Line line, Setting setting) {
        if (!setting.calorimeters().containsKey(line.text())) {
            throw new Refused("“" + line.text() + "” is not a vessel that can be used here.");
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        return setting.calorimeters().containsKey(line.text()) ? List.of() : List.of(gone(line, label, "a vessel"));
    }

    @Override
    public String spoken(String text, Telling telling) {
        Calorimeter vessel = telling.setting().calorimeters().get(text);
        return vessel == null ? text : vessel.name();
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return setting.calorimeters().entrySet().stream()
                .map(each -> new Option(
                        each.getKey(),
                        each.getValue().name() + ", " + each.getValue().kind().words()))
                .toList();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.of(Elsewhere.VESSEL);
    }

    @Override
    public boolean namesSample() {
        return false;
    }

    /** Something that was named and is not to be found. */
    static Finding gone(Line line, String label, String what) {
        return Finding.question(
                        "row.gone",
                        label + " names " + what
                                + " that cannot be found here, or leads back to this entry. It stays recorded and is not used; "
                                + "strike it out or choose another.")
                .at(line.address().toString());
    }
}
