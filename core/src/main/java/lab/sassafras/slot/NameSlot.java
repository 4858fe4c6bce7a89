package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Names;

/** A name the bench gives its sample, such as what is scratched on it. */
final class NameSlot extends StatedSlot {

    private static final int LONGEST = 40;

    NameSlot(String key) {
        super(key, true);
    }

    @Override
    public Field field() {
        return Field.WORDS;
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
        Names.checked(line.text(), "A name", LONGEST);
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        return List.of();
    }

    @Override
    public String spoken(String text, Telling telling) {
        return text;
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return List.of();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.empty();
    }

    @Override
    public boolean namesSample() {
        return true;
    }
}
