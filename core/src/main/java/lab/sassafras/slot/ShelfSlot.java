package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.Reference;

/** One row of a catalogue of the reference shelf, by its key; it counts with its value. */
final class ShelfSlot extends WordSlot {

    private final Catalogue catalogue;

    ShelfSlot(String key, Catalogue catalogue, boolean optional) {
        super(key, optional);
        this.catalogue = catalogue;
    }

    @Override
    public Field field() {
        return Field.PICK;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.of(catalogue.unit());
    }

    @Override
    protected void check(String text, Setting setting) {
        if (catalogue.find(setting.shelf(), text).isEmpty()) {
            throw new Refused("“" + text + "” is not a " + catalogue.word() + " on the reference shelf.");
        }
    }

    @Override
    public void admit(Line line, Setting setting) {
        Reference row = catalogue.find(setting.shelf(), line.text()).orElseThrow();
        if (!catalogue.offered(setting.shelf()).contains(row)) {
            throw new Refused(
                    row.name() + " stands on the shelf to be compared with, and is never for a bath or a cup.");
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return catalogue.find(setting.shelf(), line.text()).map(Reference::asInput);
    }

    @Override
    public String spoken(String text, Telling telling) {
        return catalogue
                .find(telling.setting().shelf(), text)
                .map(Reference::name)
                .orElse(text);
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return catalogue.offered(setting.shelf()).stream()
                .map(each -> new Option(each.key(), each.name()))
                .toList();
    }
}
