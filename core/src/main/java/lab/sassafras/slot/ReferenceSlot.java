package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.Scope;

/** Another entry, whose result is used here where it is of the kind asked for: its dimension, and what it is per. */
final class ReferenceSlot extends StatedSlot {

    private final BenchUnit unit;

    ReferenceSlot(String key, BenchUnit unit, boolean optional) {
        super(key, optional);
        this.unit = unit;
    }

    @Override
    public Field field() {
        return Field.PICK;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.of(unit);
    }

    @Override
    protected void check(String text, Setting setting) {
        // any text will do
    }

    @Override
    public void admit(Line line, Setting setting) {
        Setting.Referenced named = setting.references().get(line.text());
        if (named == null) {
            throw new Refused("“" + line.text() + "” is not an entry that can be used here.");
        }
        if (!named.of(unit)) {
            throw new Refused("That entry gives " + named.unit().dimension().word() + ", in "
                    + named.unit().symbol() + "; what is asked here is "
                    + unit.dimension().word() + ", in "
                    + unit.symbol() + ".");
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.ofNullable(setting.references().get(line.text()))
                .filter(named -> named.of(unit))
                .flatMap(Setting.Referenced::value)
                .map(value -> value.heldInCommon("entry:" + line.text(), "result of another entry", Scope.EVERYWHERE));
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        return Optional.ofNullable(setting.references().get(line.text()))
                .map(named -> named.of(unit) ? List.<Finding>of() : List.of(otherKind(line, label, named)))
                .orElseGet(() -> List.of(VesselSlot.gone(line, label, "an entry")));
    }

    @Override
    public String spoken(String text, Telling telling) {
        Setting.Referenced named = telling.setting().references().get(text);
        return named == null ? text : named.label();
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return setting.references().entrySet().stream()
                .filter(each -> each.getValue().of(unit))
                .map(each -> new Option(each.getKey(), each.getValue().label()))
                .toList();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.of(Elsewhere.ENTRY);
    }

    @Override
    public boolean namesSample() {
        return false;
    }

    private Finding otherKind(Line line, String label, Setting.Referenced named) {
        return Finding.question(
                        "reference.other-kind",
                        label + " names an entry that gives "
                                + named.unit().dimension().word() + ", in "
                                + named.unit().symbol() + "; what is asked here is "
                                + unit.dimension().word() + ", in " + unit.symbol()
                                + ". It stays recorded and is not used; strike it out or choose another.")
                .at(line.address().toString());
    }
}
