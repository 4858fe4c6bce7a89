package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.HalvedEquation;

/** A balanced equation. */
final class EquationSlot extends WordSlot {

    private final boolean halves;

    EquationSlot(String key, boolean optional) {
        this(key, optional, false);
    }

    /** @param halves whether something may stand a half time, such as ½ O₂ */
    EquationSlot(String key, boolean optional, boolean halves) {
        super(key, optional);
        this.halves = halves;
    }

    @Override
    protected String reads(String text, Setting setting) {
        try {
            check(text, setting);
            return text.strip();
        } catch (Refused strict) {
            return setting.shelf().spelling().equation(text);
        }
    }

    @Override
    public List<Option> suggestions(Setting setting) {
        return setting.shelf().commonReactions().entrySet().stream()
                .map(each -> new Option(each.getKey(), each.getValue()))
                .toList();
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
        if (halves) {
            HalvedEquation.read(text);
        } else {
            ChemicalEquation.read(text);
        }
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.empty();
    }

    @Override
    public String spoken(String text, Telling telling) {
        return text;
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return List.of();
    }
}
