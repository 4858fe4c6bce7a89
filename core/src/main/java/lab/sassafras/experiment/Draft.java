package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.Ledger;
import lab.sassafras.account.Party;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/**
 * The books of one trial being drawn up: an experiment asks for what it needs by path, and whatever is not yet on
 * the sheet is remembered as missing.
 */
public final class Draft {

    private final Sheet sheet;
    private final int trial;
    private final List<Account.Missing> missing = new ArrayList<>();

    Draft(Sheet sheet, int trial) {
        this.sheet = sheet;
        this.trial = trial;
    }

    /** A quantity of this trial, or of the entry where its group stands once. */
    public Expression quantity(String path) {
        return quantity(path, index(path));
    }

    /** A quantity of one part. */
    public Expression quantity(String path, int index) {
        Address address = address(path, index);
        if (!sheet.filled(address)) {
            missing.add(new Account.Missing(address.toString(), words().label(path)));
        }
        Symbol symbol = numbered(words().symbol(path), path, index);
        BenchUnit unit = sheet.experiment().slot(path).filter(Slot.Quantity.class::isInstance)
                .map(slot -> ((Slot.Quantity) slot).unit()).orElseThrow();
        if (sheet.byDifference(address)) {
            return side(address, Role.GROSS, symbol, "with it").minus(side(address, Role.TARE, symbol, "without it"))
                    .named(symbol, unit);
        }
        Role role = sheet.plain(address).map(Line::role).orElse(Role.READ);
        return new Input(address + "." + role.key(), symbol, words().label(path), unit);
    }

    private Input side(Address address, Role role, Symbol symbol, String words) {
        return new Input(address + "." + role.key(), new Symbol(symbol.letter(), symbol.word() + ", " + role.key()),
                words().label(address.path()) + ", " + words, BenchUnit.GRAMS);
    }

    /** A quantity that may be left out. */
    public Optional<Expression> quantityIfGiven(String path) {
        return sheet.filled(address(path, index(path))) ? Optional.of(quantity(path)) : Optional.empty();
    }

    /** The answer to a choice; missing where nothing was chosen and it is not optional. */
    public Optional<String> choice(String path) {
        Address address = address(path, index(path));
        Optional<String> answer = sheet.stated(address);
        if (answer.isEmpty() && !sheet.experiment().slot(path).map(Slot::optional).orElse(true)) {
            missing.add(new Account.Missing(address.toString(), words().label(path)));
        }
        return answer;
    }

    /** Molar mass of the formula in a slot (g/mol). */
    public Expression molarMass(String path) {
        return stated(path, BenchUnit.GRAMS_PER_MOLE);
    }

    /** Result of the entry a slot refers to. */
    public Expression reference(String path) {
        Address address = address(path, index(path));
        Slot.Reference slot = (Slot.Reference) sheet.experiment().slot(path).orElseThrow();
        boolean known = sheet.stated(address).map(sheet.setting().references()::get)
                .flatMap(Setting.Referenced::value).isPresent();
        if (!known) {
            missing.add(new Account.Missing(address.toString(), words().label(path) + " (a result of that entry)"));
        }
        return new Input(address + "." + Role.STATED.key(), words().symbol(path), words().label(path), slot.unit());
    }

    /** Specific heat of the substance chosen from the shelf in a slot (J/(g·°C)). */
    public Expression specificHeatOf(String path) {
        return stated(path, BenchUnit.JOULES_PER_GRAM_DEGREE);
    }

    /** A value of the reference shelf. */
    public Expression property(String key, Symbol symbol) {
        Reference reference = ReferenceShelf.standard().property(key);
        return new Input("shelf:" + key, symbol, reference.name(), reference.unit());
    }

    private Expression stated(String path, BenchUnit unit) {
        Address address = address(path, index(path));
        if (!sheet.filled(address)) {
            missing.add(new Account.Missing(address.toString(), words().label(path)));
        }
        return new Input(address + "." + Role.STATED.key(), words().symbol(path), words().label(path), unit);
    }

    /** How many parts a repeated group has. */
    public int parts(String group) {
        return sheet.parts(group);
    }

    /** The calorimeter as a party, where the convention counts it and a constant is pinned. */
    public Optional<Party> calorimeter(Conventions conventions, Expression start, Expression end) {
        boolean counted = conventions.in(Question.CALORIMETER).counted();
        return sheet.setting().calorimeter().filter(vessel -> counted && vessel.constant().isPresent())
                .map(vessel -> Party.vessel("calorimeter", vessel.kind().words(), new Input(Sheet.CONSTANT,
                        new Symbol("C", vessel.kind().words()), "calorimeter constant", BenchUnit.JOULES_PER_DEGREE),
                        start, end));
    }

    /** The finished books, or what is still missing. */
    public Account ledger(List<Party> parties, Input unknown, Expression fill, Derived... derived) {
        return missing.isEmpty() ? new Ledger(trial, parties, unknown, Optional.of(fill), List.of(derived))
                : new Account.Incomplete(trial, missing.stream().distinct().toList());
    }

    private Words words() {
        return sheet.experiment().words();
    }

    private Symbol numbered(Symbol symbol, String path, int index) {
        return group(path).cardinality() == Cardinality.PER_PART
                ? new Symbol(symbol.letter(), symbol.word() + " " + index) : symbol;
    }

    private int index(String path) {
        return group(path).cardinality() == Cardinality.PER_TRIAL ? trial : 1;
    }

    private Group group(String path) {
        return sheet.experiment().group(path.substring(0, path.indexOf('/'))).orElseThrow();
    }

    private static Address address(String path, int index) {
        int slash = path.indexOf('/');
        return new Address(path.substring(0, slash), index, path.substring(slash + 1));
    }
}
