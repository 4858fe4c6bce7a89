package lab.sassafras.experiment;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.HeatBalance;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Reagents;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.draft.AccountBuilder;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Expression.Named;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import org.jspecify.annotations.Nullable;

/**
 * What experiments with one account for each trial have in common: a name, words beside the class, one unknown, and
 * the places that come with the questions of convention they are sensitive to.
 */
public abstract class HeatBalanceExperiment implements Experiment {

    /** Where water is liquid, and its table is known (°C). */
    private static final double COLDEST = 0.01;

    private static final double WARMEST = 99.9;
    /** A quantity that is sought is looked for from so small a part of the upper end of its usual range on. */
    private static final double NEAR_NOTHING = 1e-4;
    /** And up to so many times that end. */
    private static final double FAR = 20;

    private final String key;
    private final int method;
    private final BenchUnit unit;
    private final Words words = Words.beside(getClass());
    private final Map<Convention, List<String>> needed = new ConcurrentHashMap<>();
    private volatile @Nullable Declared declared;

    /**
     * @param key    stable name
     * @param method goes up when the same readings would give another number
     * @param unit   of the unknown
     */
    protected HeatBalanceExperiment(String key, int method, BenchUnit unit) {
        this.key = key;
        this.method = method;
        this.unit = unit;
    }

    /** {@return its own slots} */
    protected abstract List<Group> slots();

    /** {@return its own steps, in the order of the work} */
    protected abstract List<Step> steps();

    /**
     * Draws up the books of one trial.
     *
     * @param draft what the books are drawn up from
     * @return the books
     */
    protected abstract Account account(AccountBuilder draft);

    /** {@return questions of convention it is sensitive to, beside those that follow from its slots} */
    protected List<ConventionQuestion<?>> questions() {
        return List.of(ConventionQuestion.WATER, ConventionQuestion.CALORIMETER);
    }

    /** Everything declared, put together once. */
    private record Declared(
            List<Group> groups,
            List<Step> procedure,
            List<ConventionQuestion<?>> questions,
            Map<String, Group> byKey,
            Map<String, Slot> byPath,
            Optional<String> sampleName) {}

    private Declared declared() {
        Declared known = declared;
        if (known == null) {
            List<ConventionQuestion<?>> questions = new ArrayList<>(questions());
            span().ifPresent(any -> questions.add(ConventionQuestion.CHANGE));
            List<Slot> slots =
                    slots().stream().flatMap(group -> group.slots().stream()).toList();
            questions.addAll(ConventionQuestion.ofWeighing(
                    slots.stream().anyMatch(Slot::byDifference), slots.stream().anyMatch(Slot::byVolume)));
            CommonPlaces common = new CommonPlaces(questions, span(), calorimeter(), poured());
            known = declare(common.with(slots()), common.around(steps()), List.copyOf(questions));
            declared = known;
        }
        return known;
    }

    private static Declared declare(List<Group> groups, List<Step> procedure, List<ConventionQuestion<?>> questions) {
        Map<String, Group> byKey = new HashMap<>();
        Map<String, Slot> byPath = new HashMap<>();
        groups.forEach(group -> byKey.put(group.key(), group));
        groups.forEach(group -> group.slots().forEach(slot -> byPath.put(group.key() + "/" + slot.key(), slot)));
        return new Declared(
                groups,
                procedure,
                questions,
                byKey,
                byPath,
                groups.stream()
                        .flatMap(group -> group.slots().stream()
                                .filter(Slot::namesSample)
                                .map(slot -> group.key() + "/" + slot.key()))
                        .findFirst());
    }

    @Override
    public final String key() {
        return key;
    }

    @Override
    public final int method() {
        return method;
    }

    @Override
    public final Words words() {
        return words;
    }

    @Override
    public final Input unknown() {
        return unknown("unknown", unit);
    }

    /**
     * {@return what is sought where a convention asks for something else than usual; its words stand under the given
     * key}
     *
     * @param word key of its words in the block of words
     * @param in   unit of what is sought
     */
    protected final Input unknown(String word, BenchUnit in) {
        return new Input("unknown", words.symbol(word), words.get(word), in);
    }

    /**
     * {@return books of a reaction: per mole of an amount and as the equation is written, with the heat itself and the
     * place on a line of heat against amount}
     *
     * @param draft    the books as far as they go
     * @param parties  everything that took or gave heat
     * @param sought   heat for each mole of the amount
     * @param amount   what the result is per (mol)
     * @param reagents both of them
     */
    protected final HeatBalance reacting(
            AccountBuilder draft, List<HeatTerm> parties, Input sought, Named amount, Reagents reagents) {
        return draft.ledger(parties, sought)
                .against(amount, kilojoules())
                .supposing(reagents.hadTheOtherRunOut())
                .remarking(reagents.remarks(draft.figures()))
                .giving(
                        new Derived(
                                words.get("as-written"),
                                Derived.AS_WRITTEN,
                                BenchUnit.KILOJOULES_PER_MOLE,
                                heat -> heat.over(reagents.extent()).over(Constants.JOULES_IN_KILOJOULE)),
                        joules());
    }

    /** {@return the heat itself (J)} */
    protected final Derived joules() {
        return new Derived(words.get("heat"), Symbol.of("q"), BenchUnit.JOULES, heat -> heat);
    }

    /** {@return the heat itself as a line draws it (kJ)} */
    protected final Derived kilojoules() {
        return new Derived(
                words.get("heat"),
                Symbol.of("q"),
                BenchUnit.KILOJOULES,
                heat -> heat.over(Constants.JOULES_IN_KILOJOULE));
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NEEDS_CONSTANT;
    }

    @Override
    public final List<Group> groups() {
        return declared().groups();
    }

    @Override
    public final List<Step> procedure() {
        return declared().procedure();
    }

    @Override
    public final List<ConventionQuestion<?>> conventions() {
        return declared().questions();
    }

    @Override
    public final Optional<Group> group(String name) {
        return Optional.ofNullable(declared().byKey().get(name));
    }

    @Override
    public final Optional<Slot> slot(String path) {
        return Optional.ofNullable(declared().byPath().get(path));
    }

    @Override
    public final List<String> neededBy(ConventionQuestion<?> question, Convention school) {
        List<String> known = needed.get(school);
        return known != null ? known : needed.computeIfAbsent(school, any -> Experiment.super.neededBy(question, any));
    }

    @Override
    public final Optional<String> sampleName() {
        return declared().sampleName();
    }

    /** Solved for the input that is sought, where it is another than the experiment's own. */
    private Account turned(Sheet sheet, int trial, Account books) {
        return sheet.aim()
                .sought()
                .filter(address ->
                        partOf(address) || sheet.address(address.path(), trial).equals(address))
                .map(address -> books.seeking(AccountBuilder.sought(sheet, address), between(address)))
                .orElse(books);
    }

    /** Whether something stands there of which there may be several in each trial. */
    private boolean partOf(Address address) {
        return group(address.group())
                .filter(group -> group.cardinality() == Cardinality.PER_PART)
                .isPresent();
    }

    /** Far beyond the usual range of a quantity, and for a temperature where water is liquid. */
    private HeatBalance.Bounds between(Address address) {
        Slot slot = slot(address.path()).orElseThrow();
        boolean temperature = slot.unit(Role.READ)
                .filter(unit -> unit.dimension().equals(Dimension.TEMPERATURE))
                .isPresent();
        return temperature
                ? new HeatBalance.Bounds(COLDEST, WARMEST)
                : slot.usual()
                        .map(range -> new HeatBalance.Bounds(range.high() * NEAR_NOTHING, range.high() * FAR))
                        .orElse(new HeatBalance.Bounds(NEAR_NOTHING, 1 / NEAR_NOTHING));
    }

    @Override
    public final List<Account> accounts(Sheet sheet, Conventions conventions) {
        List<Account> accounts = new ArrayList<>(sheet.trials());
        for (int trial = 1; trial <= sheet.trials(); trial++) {
            accounts.add(turned(sheet, trial, account(AccountBuilder.of(sheet, trial, conventions))));
        }
        return accounts;
    }
}
