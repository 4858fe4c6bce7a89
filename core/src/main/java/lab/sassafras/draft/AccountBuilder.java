package lab.sassafras.draft;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Omission;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.ConventionPlace;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.Group;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import lab.sassafras.substance.Reference;

/**
 * The books of one trial being drawn up: an experiment asks for what it needs by path, each thing comes as the school
 * in force takes it, and whatever is not yet on the sheet is remembered as missing.
 */
public final class AccountBuilder {

    private final Sheet sheet;
    private final int trial;
    private final Conventions conventions;
    private final Map<String, Expression> drawnUp;
    private final List<Account.Missing> missing = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();
    private final List<Remark> remarks = new ArrayList<>();
    private final Stoichiometry chemistry = new Stoichiometry(this);

    private AccountBuilder(Sheet sheet, int trial, Conventions conventions) {
        this.sheet = sheet;
        this.trial = trial;
        this.conventions = conventions;
        this.drawnUp = sheet.drawnUp(trial, conventions);
    }

    /**
     * {@return a fresh draft of the books of one trial}
     *
     * @param sheet       what was read
     * @param trial       which trial, from 1
     * @param conventions the schools in force
     */
    public static AccountBuilder of(Sheet sheet, int trial, Conventions conventions) {
        return new AccountBuilder(sheet, trial, conventions);
    }

    /** {@return which trial, from 1} */
    public int trial() {
        return trial;
    }

    /** {@return what follows from its formulas and equations} */
    public Stoichiometry chemistry() {
        return chemistry;
    }

    /** {@return the temperatures between which the vessel's contents went} */
    public Temperatures temperatures() {
        return new Temperatures(this);
    }

    /** {@return how much of a liquid there is} */
    public Liquids liquids() {
        return new Liquids(this);
    }

    /** {@return what warms or cools} */
    public Heats heats() {
        return new Heats(this);
    }

    /** {@return numbers told by timed readings} */
    public CurveNumbers curves() {
        return new CurveNumbers(this);
    }

    /** {@return results of other entries} */
    public Results results() {
        return new Results(this);
    }

    /**
     * {@return what stands in one part of a repeated group}
     *
     * @param index which one, from 1
     */
    public Part part(int index) {
        return new Part(this, index);
    }

    Sheet sheet() {
        return sheet;
    }

    boolean wanting() {
        return !missing.isEmpty() || !findings.isEmpty();
    }

    List<Finding> findings() {
        return findings;
    }

    /**
     * Remembers what the school in force cannot have here.
     *
     * @param what it lacks
     */
    public void omits(Omission what) {
        says(what);
    }

    /** Remembers something to be said of these books. */
    void says(Remark what) {
        remarks.add(what);
    }

    /** {@return all of them, with this one settled so} */
    public Conventions conventions() {
        return conventions;
    }

    /** {@return how numbers are written in what is remarked} */
    public Figures figures() {
        return sheet.setting().figures();
    }

    /**
     * {@return a quantity of this trial, or of the entry where its group stands once}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression quantity(String path) {
        return once(path, this::quantity);
    }

    /** What stands at a path, drawn up once for all schools that take it the same way. */
    Expression once(String path, Function<Address, Expression> drawnUpFrom) {
        Expression known = drawnUp.get(path);
        if (known == null) {
            int lacking = missing.size();
            known = drawnUpFrom.apply(address(path));
            if (missing.size() == lacking) {
                drawnUp.put(path, known);
            }
        }
        return known;
    }

    Expression quantity(Address address) {
        String path = address.path();
        Symbol symbol = numbered(words().symbol(path), address);
        BenchUnit unit = unit(path);
        if (sheet.aim().seeks(address)) {
            return sought(sheet, address);
        }
        Role role = sheet.weighing(address)
                .roleThatCounts(conventions.in(ConventionQuestion.MASS))
                .orElseGet(() -> {
                    lacks(address);
                    return Role.READ;
                });
        return switch (role) {
            case GROSS, TARE ->
                side(address, Role.GROSS, symbol, "with it")
                        .minus(side(address, Role.TARE, symbol, "without it"))
                        .named(symbol, unit);
            case VOLUME ->
                liquids()
                        .poured(address, symbol)
                        .times(liquids().density(address))
                        .named(symbol, unit);
            default -> new Input(address + "." + role.key(), symbol, words().label(path), unit);
        };
    }

    /**
     * {@return an input of the books that is itself sought}
     *
     * @param sheet   what was read
     * @param address where it stands
     */
    public static Input sought(Sheet sheet, Address address) {
        Words words = sheet.experiment().words();
        return new Input(
                address + ".sought",
                words.symbol(address.path()),
                words.label(address.path()),
                sheet.experiment()
                        .slot(address.path())
                        .flatMap(slot -> slot.unit(Role.READ))
                        .orElseThrow(() -> new IllegalStateException("no number at " + address)));
    }

    private Input side(Address address, Role role, Symbol symbol, String words) {
        return new Input(
                address + "." + role.key(),
                new Symbol(symbol.letter(), symbol.word() + ", " + role.key()),
                words().label(address.path()) + ", " + words,
                BenchUnit.GRAMS);
    }

    /**
     * {@return a quantity that may be left out}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Expression> quantityIfGiven(String path) {
        return given(path) ? Optional.of(quantity(path)) : Optional.empty();
    }

    /**
     * {@return a share of something, in per cent, where it was given}
     *
     * @param path group and slot, as an experiment declares them
     * @param of   the whole
     */
    public Optional<Expression> share(String path, Expression of) {
        return quantityIfGiven(path).map(share -> of.times(share).over(Constants.HUNDRED_PER_CENT));
    }

    /**
     * {@return whether anything stands in a slot}
     *
     * @param path group and slot, as an experiment declares them
     */
    public boolean given(String path) {
        return sheet.filled(address(path));
    }

    /**
     * {@return the answer to a choice; missing where nothing was chosen and it is not optional}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<String> choice(String path) {
        Optional<String> answer = sheet.stated(address(path));
        if (answer.isEmpty() && !slot(path).optional()) {
            lacks(address(path));
        }
        return answer;
    }

    /**
     * {@return whether a choice was answered so}
     *
     * @param path   group and slot, as an experiment declares them
     * @param answer the answer asked about
     */
    public boolean chosen(String path, String answer) {
        return choice(path).filter(answer::equals).isPresent();
    }

    /**
     * {@return specific heat of the substance chosen from the shelf in a slot (J/(g·°C))}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression specificHeatOf(String path) {
        return once(path, address -> input(address, BenchUnit.JOULES_PER_GRAM_DEGREE));
    }

    /**
     * {@return a value of the reference shelf}
     *
     * @param key    stable name
     * @param symbol as written in the working
     */
    public Expression property(String key, Symbol symbol) {
        Reference reference = sheet.setting().shelf().property(key);
        return new Input("shelf:" + key, symbol, reference.name(), reference.unit());
    }

    Expression input(Address address, BenchUnit unit) {
        if (!sheet.filled(address)) {
            lacks(address);
        }
        return new Input(
                address + "." + Role.STATED.key(),
                numbered(words().symbol(address.path()), address),
                words().label(address.path()),
                unit);
    }

    /**
     * {@return how many parts a repeated group has}
     *
     * @param group key of the group
     */
    public int parts(String group) {
        return sheet.places().parts(group);
    }

    /**
     * {@return the number something comes to with what is on the sheet; empty while something lacks, or is sought}
     *
     * @param expression the formula
     */
    public OptionalDouble value(Expression expression) {
        boolean known = missing.isEmpty()
                && sheet.aim()
                        .sought()
                        .filter(address -> expression.contains(sought(sheet, address)))
                        .isEmpty();
        return known
                ? OptionalDouble.of(new Computation(expression, sheet.bindings()).value())
                : OptionalDouble.empty();
    }

    /**
     * {@return the finished books, or what is still missing}
     *
     * @param drawnUp the books
     */
    public Account complete(Account drawnUp) {
        if (missing.isEmpty() && findings.isEmpty() || sheet.aim().blueprint()) {
            return remarks.isEmpty() ? drawnUp : drawnUp.remarking(remarks);
        }
        return new Account.Incomplete(
                trial,
                missing.stream().distinct().toList(),
                findings.stream().distinct().toList());
    }

    /**
     * {@return plain books over some parties}
     *
     * @param parties everything that took or gave heat
     * @param unknown what is sought
     */
    public HeatBalance ledger(List<HeatTerm> parties, Input unknown) {
        return HeatBalance.of(trial, parties, unknown);
    }

    void lacks(Address address) {
        lacks(address, words().label(address.path()));
    }

    /** Remembers that something is still to come, in these words. */
    void lacks(Address address, String what) {
        missing.add(new Account.Missing(address.toString(), what));
    }

    Words words() {
        return sheet.experiment().words();
    }

    BenchUnit unit(String path) {
        return slot(path).unit(Role.READ).orElseThrow(() -> new IllegalStateException("no number at " + path));
    }

    /** What stands at a place a school asks for. */
    Expression at(ConventionPlace place) {
        return quantity(place.path());
    }

    Slot slot(String path) {
        return sheet.experiment().slot(path).orElseThrow(() -> new IllegalStateException("no slot " + path));
    }

    Symbol numbered(Symbol symbol, Address address) {
        return group(address.group()).cardinality() == Cardinality.PER_PART
                ? new Symbol(symbol.letter(), symbol.word() + " " + address.index())
                : symbol;
    }

    private Group group(String key) {
        return sheet.experiment().group(key).orElseThrow();
    }

    Address address(String path) {
        return sheet.address(path, trial);
    }
}
