package lab.sassafras.experiment;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.Measured;

/** The instant something was done. */
final class MomentSlot extends StatedSlot {

    MomentSlot(String key) {
        super(key, true);
    }

    @Override
    public Field field() {
        return Field.MOMENT;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.empty();
    }

    @Override
    protected void check(String text, Setting setting) {
        BookTime.instant(text);
    }

    @Override
    public void admit(Line line, Setting setting) {
        // whatever can be read can be taken in
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
        try {
            return telling.clock().apply(Instant.parse(text));
        } catch (DateTimeParseException none) {
            return text;
        }
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
        return false;
    }
}
