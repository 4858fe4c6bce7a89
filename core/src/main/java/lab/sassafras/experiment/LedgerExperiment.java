package lab.sassafras.experiment;

import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.account.Account;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;

/** What experiments with one ledger for each trial have in common: a name, words beside the class, one unknown. */
public abstract class LedgerExperiment implements Experiment {

    private final String key;
    private final int method;
    private final BenchUnit unit;
    private final Words words = Words.beside(getClass());

    /**
     * @param key    stable name
     * @param method goes up when the same readings would give another number
     * @param unit   of the unknown
     */
    protected LedgerExperiment(String key, int method, BenchUnit unit) {
        this.key = key;
        this.method = method;
        this.unit = unit;
    }

    /** Draws up the books of one trial. */
    protected abstract Account account(Draft draft, Conventions conventions);

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
        return new Input("unknown", words.symbol("unknown"), words.get("unknown"), unit);
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NEEDS_CONSTANT;
    }

    @Override
    public List<Question<?>> conventions() {
        return List.of(Question.WATER, Question.CALORIMETER);
    }

    @Override
    public List<Suspect> suspects() {
        return List.of();
    }

    @Override
    public Yardstick yardstick() {
        return new Yardstick.None();
    }

    @Override
    public final List<Account> accounts(Sheet sheet, Conventions conventions) {
        return IntStream.rangeClosed(1, sheet.trials()).mapToObj(trial -> account(sheet.draft(trial), conventions)).toList();
    }
}
