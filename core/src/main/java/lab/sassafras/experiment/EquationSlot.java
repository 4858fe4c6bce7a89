package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalEquation;

/** A balanced equation. */
final class EquationSlot extends WordSlot {

    EquationSlot(String key, boolean optional) {
        super(key, optional);
    }

    @Override
    protected String reads(String text, Setting setting) {
        try {
            return ChemicalEquation.read(text).text();
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
        ChemicalEquation.read(text);
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
