package lab.sassafras.experiment;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.substance.ChemicalFormula;

/** A chemical formula, which counts with its molar mass. */
final class FormulaSlot extends WordSlot {

    FormulaSlot(String key, boolean optional) {
        super(key, optional);
    }

    @Override
    public Field field() {
        return Field.WORDS;
    }

    @Override
    protected Optional<BenchUnit> unit() {
        return Optional.of(BenchUnit.GRAMS_PER_MOLE);
    }

    @Override
    protected void check(String text, Setting setting) {
        ChemicalFormula.read(text);
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.of(ChemicalFormula.read(line.text()).molarMassAsInput());
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
