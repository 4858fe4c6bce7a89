package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.function.Supplier;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Ledger;
import lab.sassafras.account.Omission;
import lab.sassafras.account.Party;
import lab.sassafras.account.Remark;
import lab.sassafras.convention.Bath;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Contents;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Cup;
import lab.sassafras.convention.LiquidDensity;
import lab.sassafras.convention.Mixture;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.SchoolPlace;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.curve.Outcome;
import lab.sassafras.curve.Way;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Hess;
import lab.sassafras.substance.Reference;

/**
 * The books of one trial being drawn up: an experiment asks for what it needs by path, each thing comes as the school
 * in force takes it, and whatever is not yet on the sheet is remembered as missing.
 */
public final class Draft {

    private final Sheet sheet;
    private final int trial;
    private final Conventions conventions;
    private final Map<String, Expression> drawnUp;
    private final List<Account.Missing> missing = new ArrayList<>();
    private final List<Finding> findings = new ArrayList<>();
    private final List<Remark> remarks = new ArrayList<>();
    private final Stoichiometry chemistry = new Stoichiometry(this);

    Draft(Sheet sheet, int trial, Conventions conventions) {
        this.sheet = sheet;
        this.trial = trial;
        this.conventions = conventions;
        this.drawnUp = sheet.quantities(trial, conventions);
    }

    /** {@return which trial, from 1} */
    public int trial() {
        return trial;
    }

    /** {@return what follows from its formulas and equations} */
    public Stoichiometry chemistry() {
        return chemistry;
    }

    Sheet sheet() {
        return sheet;
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

    /**
     * {@return a quantity of one part}
     *
     * @param path  group and slot, as an experiment declares them
     * @param index which one, from 1
     */
    public Expression quantity(String path, int index) {
        return quantity(Address.of(path, index));
    }

    /**
     * {@return all of the liquid that waits in the cup (g): what stands at a path, and what was poured to it}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression together(String path) {
        List<Expression> all = new ArrayList<>(List.of(quantity(path)));
        CommonPlaces.POURED_TO_IT.forEach(
                key -> quantityIfGiven(key + "/amount").ifPresent(all::add));
        return all.size() == 1
                ? all.get(0)
                : new Expression.Sum(all).named(Symbol.of("m:poured together"), BenchUnit.GRAMS);
    }

    Expression quantity(Address address) {
        String path = address.path();
        Symbol symbol = numbered(words().symbol(path), address);
        BenchUnit unit = unit(path);
        Role role = sheet.roleThatCounts(address, conventions.in(Question.MASS)).orElseGet(() -> {
            lacks(address);
            return Role.READ;
        });
        return switch (role) {
            case GROSS, TARE ->
                side(address, Role.GROSS, symbol, "with it")
                        .minus(side(address, Role.TARE, symbol, "without it"))
                        .named(symbol, unit);
            case VOLUME -> poured(address, symbol).times(density(address)).named(symbol, unit);
            default -> new Input(address + "." + role.key(), symbol, words().label(path), unit);
        };
    }

    private Input poured(Address address, Symbol symbol) {
        return new Input(
                address + "." + Role.VOLUME.key(),
                new Symbol("V", symbol.word()),
                words().label(address.path()) + ", volume",
                BenchUnit.MILLILITRES);
    }

    private Input side(Address address, Role role, Symbol symbol, String words) {
        return new Input(
                address + "." + role.key(),
                new Symbol(symbol.letter(), symbol.word() + ", " + role.key()),
                words().label(address.path()) + ", " + words,
                BenchUnit.GRAMS);
    }

    private Expression density(Address address) {
        LiquidDensity inForce = conventions.in(Question.DENSITY);
        return inForce.density(
                this::at,
                inForce == LiquidDensity.TABULATED
                        ? slot(address.path()).dissolved().flatMap(chemistry::density)
                        : Optional.empty());
    }

    /**
     * {@return the volume of a liquid (mL): as read, or from its mass}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression volume(String path) {
        Address address = address(path);
        Symbol symbol = words().symbol(path);
        return sheet.roleThatCounts(address, conventions.in(Question.MASS))
                        .filter(Role.VOLUME::equals)
                        .isPresent()
                ? poured(address, symbol)
                : quantity(address).over(density(address)).named(new Symbol("V", symbol.word()), BenchUnit.MILLILITRES);
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
     * {@return whether a choice of one part was answered so}
     *
     * @param path   group and slot, as an experiment declares them
     * @param index  which one, from 1
     * @param answer the answer asked about
     */
    public boolean answered(String path, int index, String answer) {
        Address address = Address.of(path, index);
        if (!sheet.filled(address)) {
            lacks(address);
        }
        return sheet.stated(address).filter(answer::equals).isPresent();
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

    /** {@return what warming water takes, by the school in force} */
    public WaterHeat water() {
        return conventions.in(Question.WATER).with(this::at);
    }

    /**
     * {@return the start that counts of what the calorimeter held (°C), by the school in force}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression start(String path) {
        return byCurve(path, false)
                .orElseGet(() -> lacksCurve() ? unread(path) : change().start(quantity(path), this::at));
    }

    /**
     * {@return the end that counts (°C), by the school in force}
     *
     * @param start    the start that counts
     * @param startsAt path of the start as read
     * @param path     path of the final reading
     */
    public Expression end(Expression start, String startsAt, String path) {
        return byCurve(path, true)
                .orElseGet(() -> lacksCurve()
                        ? unread(path)
                        : change().end(start, quantity(startsAt), quantity(path), this::at));
    }

    private Expression unread(String path) {
        return new Input(address(path).toString(), words().symbol(path), words().label(path), unit(path));
    }

    /** Whether the change is to be read from a curve that this trial has not; it is remembered as missing. */
    private boolean lacksCurve() {
        boolean lacks = !change().places().isEmpty() && !sheet.blueprint() && !sheet.driftTyped(trial);
        if (lacks) {
            lacks(address(CommonPlaces.TRACE));
        }
        return lacks;
    }

    /** A temperature of the change as the curve of this trial gives it, where it has one. */
    private Optional<Expression> byCurve(String path, boolean end) {
        return sheet.readings(trial)
                .filter(any -> change() != TemperatureChange.PICKED)
                .map(curve -> {
                    Way way = change().way().orElse(Way.EXTREME);
                    if (curve.by(way) instanceof Outcome.Withheld withheld) {
                        findings.add(Finding.question("curve.withheld", withheld.reason())
                                .at(address(path).toString()));
                    }
                    return new Input(
                            curve.key(way, end),
                            words().symbol(path),
                            words().label(path) + ", by the curve",
                            unit(path));
                });
    }

    private TemperatureChange change() {
        return conventions.in(Question.CHANGE);
    }

    /**
     * {@return start of a solid from a bath (°C), by the school in force}
     *
     * @param bath path of the choice that says what the solid stood in
     * @param read path of the bath as read
     */
    public Expression fromBath(String bath, String read) {
        Bath stood = choice(bath)
                .map(each -> Bath.valueOf(each.toUpperCase(Locale.ROOT)))
                .orElse(Bath.OTHER);
        return conventions.in(Question.BATH).start(stood, () -> quantity(read), this::at);
    }

    /**
     * {@return the liquid and its calorimeter as parties, by the school in force}
     *
     * @param contents what the vessel held
     */
    public List<Party> withCalorimeter(Contents contents) {
        CalorimeterTreatment treatment = conventions.in(Question.CALORIMETER);
        Cup cup = sheet.calorimeter(trial)
                .map(Calorimeter::cup)
                .orElseGet(() -> new Cup("calorimeter", Optional.empty(), Optional.empty()));
        return treatment.parties(cup, contents, this::at);
    }

    /**
     * {@return a single body of water in the calorimeter, with the calorimeter}
     *
     * @param mass  of the liquid (g)
     * @param start own temperature before (°C)
     * @param end   common temperature after (°C)
     */
    public List<Party> waterInCalorimeter(Expression mass, Expression start, Expression end) {
        Expression heat = water().specificHeat("water", start, end);
        return withCalorimeter(
                Contents.of(List.of(Party.body("water", "water", mass, heat, start, end)), mass, heat, start, end));
    }

    /**
     * {@return what warms or cools of a solution, by the school in force}
     *
     * @param liquids waters or solutions poured together
     * @param solids  what dissolved, reacted or formed
     * @param end     common temperature after (°C)
     * @param solute  asks for what is dissolved in the end, where a table has its solutions
     */
    public List<Party> solution(
            List<Mixture.Portion> liquids,
            List<Mixture.Portion> solids,
            Expression end,
            Supplier<Optional<Mixture.Solute>> solute) {
        Mixture mixture = new Mixture(liquids, solids, end, water(), this::at, solute);
        remarks.addAll(conventions.in(Question.SOLUTION).omissions(mixture));
        return conventions.in(Question.SOLUTION).parties(mixture);
    }

    /**
     * {@return a solution in the calorimeter, with the calorimeter}
     *
     * @param liquids waters or solutions poured together
     * @param solids  what dissolved, reacted or formed
     * @param end     common temperature after (°C)
     * @param solute  asks for what is dissolved in the end, where a table has its solutions
     */
    public List<Party> solutionInCalorimeter(
            List<Mixture.Portion> liquids,
            List<Mixture.Portion> solids,
            Expression end,
            Supplier<Optional<Mixture.Solute>> solute) {
        Expression start = liquids.get(0).start();
        Expression mass = liquids.get(0).mass();
        Expression blended = start;
        if (liquids.size() > 1) {
            mass = liquids.stream()
                    .map(Mixture.Portion::mass)
                    .reduce(Expression::plus)
                    .orElseThrow();
            blended = liquids.stream()
                    .map(each -> each.mass().times(each.start()))
                    .reduce(Expression::plus)
                    .orElseThrow()
                    .over(mass)
                    .named(Symbol.of("T:start"), BenchUnit.DEGREES_CELSIUS);
        }
        return withCalorimeter(new Contents(
                solution(liquids, solids, end, solute),
                mass,
                water().specificHeat("solution", start, end),
                start,
                blended,
                end));
    }

    /**
     * {@return result of the entry a slot refers to}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression reference(String path) {
        return reference(address(path));
    }

    private Expression reference(Address address) {
        boolean known = sheet.stated(address)
                .map(sheet.setting().references()::get)
                .flatMap(Setting.Referenced::value)
                .isPresent();
        if (!known) {
            missing.add(new Account.Missing(
                    address.toString(), words().label(address.path()) + " (a result of that entry)"));
        }
        return new Input(
                address + "." + Role.STATED.key(),
                numbered(words().symbol(address.path()), address),
                words().label(address.path()),
                unit(address.path()));
    }

    /**
     * {@return result of the entry a slot of one part refers to}
     *
     * @param path  group and slot, as an experiment declares them
     * @param index which one, from 1
     */
    public Expression reference(String path, int index) {
        return reference(Address.of(path, index));
    }

    /**
     * {@return the legs of a cycle with what they make; empty while anything lacks. Legs that do not make it are a
     * finding}
     *
     * @param at where they stand
     */
    public Optional<Legs> legs(Legs.At at) {
        Optional<Legs> legs = Legs.of(sheet, at);
        if (sheet.stated(at.target(), 1).isEmpty()) {
            lacks(Address.of(at.target(), 1));
        }
        Legs.withoutEquation(sheet, at)
                .forEach(i -> findings.add(Finding.question(
                                "cycle.no-equation",
                                "Leg " + i
                                        + " names a run of which no equation tells what happened, or whose result is not per "
                                        + "mole of it. Choose another, or type the reaction.")
                        .at(Address.of(at.group() + "/run", i).toString())));
        if (sheet.parts(at.group()) > Hess.MOST) {
            findings.add(Finding.question(
                    "cycle.too-many",
                    "A cycle has at most " + Hess.MOST + " legs here. Leave out those that are not needed."));
        }
        legs.ifPresent(each -> each.unknownToShelf()
                .forEach(leg -> findings.add(Finding.question(
                                "cycle.not-on-shelf",
                                "The shelf lacks the formation enthalpy of "
                                        + String.join(
                                                ", ",
                                                sheet.setting()
                                                        .shelf()
                                                        .formation()
                                                        .lacking(leg.equation().whole()))
                                        + ". Type the heat of this reaction from a table.")
                        .at(Address.of(at.group() + "/equation", leg.index()).toString()))));
        legs.filter(each -> each.outcome() instanceof Hess.Outcome.NotMade)
                .ifPresent(each -> findings.add(Finding.question(
                                "cycle.not-made",
                                "However these legs are turned and multiplied, they do not make "
                                        + each.equation().text()
                                        + ". What does not cancel: "
                                        + String.join(", ", ((Hess.Outcome.NotMade) each.outcome()).left())
                                        + ". A reaction that forms or uses it lacks, or it is in another state there.")
                        .at(Address.of(at.target(), 1).toString())));
        return legs;
    }

    /**
     * {@return result of the entry a slot refers to, where it refers to one}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Optional<Expression> referenceIfGiven(String path) {
        return sheet.stated(address(path)).map(any -> reference(path));
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
     * {@return specific heat of the substance chosen in a slot of one part (J/(g·°C))}
     *
     * @param path  group and slot, as an experiment declares them
     * @param index which one, from 1
     */
    public Expression specificHeatOf(String path, int index) {
        return input(Address.of(path, index), BenchUnit.JOULES_PER_GRAM_DEGREE);
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
        return sheet.parts(group);
    }

    /**
     * {@return whether anything stands in a slot of one part}
     *
     * @param path  group and slot, as an experiment declares them
     * @param index which one, from 1
     */
    public boolean given(String path, int index) {
        return sheet.filled(Address.of(path, index));
    }

    /**
     * {@return the number something comes to with what is on the sheet; empty while something lacks}
     *
     * @param expression the formula
     */
    public OptionalDouble value(Expression expression) {
        return missing.isEmpty()
                ? OptionalDouble.of(new Computation(expression, sheet.bindings()).value())
                : OptionalDouble.empty();
    }

    /**
     * {@return the finished books, or what is still missing}
     *
     * @param drawnUp the books
     */
    public Account complete(Account drawnUp) {
        if (missing.isEmpty() && findings.isEmpty() || sheet.blueprint()) {
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
    public Ledger ledger(List<Party> parties, Input unknown) {
        return Ledger.of(trial, parties, unknown);
    }

    void lacks(Address address) {
        missing.add(new Account.Missing(address.toString(), words().label(address.path())));
    }

    private Words words() {
        return sheet.experiment().words();
    }

    private BenchUnit unit(String path) {
        return slot(path).unit(Role.READ).orElseThrow(() -> new IllegalStateException("no number at " + path));
    }

    /** What stands at a place a school asks for. */
    private Expression at(SchoolPlace place) {
        return quantity(place.path());
    }

    private Slot slot(String path) {
        return sheet.experiment().slot(path).orElseThrow(() -> new IllegalStateException("no slot " + path));
    }

    private Symbol numbered(Symbol symbol, Address address) {
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
