package lab.sassafras.slot;

import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.Measured;

/** The instant something was done. */
final class MomentSlot extends WordSlot {

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
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
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
}
