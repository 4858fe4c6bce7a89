package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Compounds;

/** A chemical formula, which counts with its molar mass. */
final class FormulaSlot extends WordSlot {

    private final Optional<ChosenFrom> from;

    FormulaSlot(String key, Optional<ChosenFrom> from, boolean optional) {
        super(key, optional);
        this.from = from;
    }

    @Override
    public Optional<ChosenFrom> chosenFrom() {
        return from;
    }

    @Override
    protected String reads(String text, Setting setting) {
        try {
            return ChemicalFormula.read(text).text();
        } catch (Refused strict) {
            return setting.shelf().spelling().formula(text).text();
        }
    }

    @Override
    public List<Option> suggestions(Setting setting) {
        return setting.shelf().spelling().known().entrySet().stream()
                .map(each -> new Option(each.getKey(), each.getValue()))
                .toList();
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
    public List<Finding> questions(Line line, String label, Setting setting) {
        return fitsSeveral(line)
                .map(words -> Finding.question("formula.several", words)
                        .at(line.address().toString()))
                .stream()
                .toList();
    }

    /** {@return which substances the formula of a line may stand for, where they are several; in a sentence} */
    static Optional<String> fitsSeveral(Line line) {
        List<Compounds.Compound> several = Compounds.several(ChemicalFormula.read(line.text()));
        return several.isEmpty()
                ? Optional.empty()
                : Optional.of("“" + line.text() + "” may be "
                        + several.stream().map(Compounds.Compound::name).collect(Collectors.joining(" or "))
                        + ". Which one? Type its name: for the bare formula no table value is looked up.");
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
