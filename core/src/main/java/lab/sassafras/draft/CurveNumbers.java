package lab.sassafras.draft;

import java.util.List;
import java.util.Objects;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Told;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;

/** Numbers told by timed readings, as the purpose of their curve declares them. */
public final class CurveNumbers {

    private final AccountBuilder draft;

    CurveNumbers(AccountBuilder draft) {
        this.draft = draft;
    }

    /**
     * {@return a number told by timed readings}
     *
     * @param path group and slot that names them, as an experiment declares them
     * @param key  of the number, as what is read from them tells it
     */
    public Expression told(String path, String key) {
        Sheet sheet = draft.sheet();
        Address address = draft.address(path);
        if (!sheet.filled(address)) {
            draft.lacks(address);
        } else if (sheet.curves().told(address).orElse(null) instanceof Told.None none) {
            draft.findings()
                    .add(Finding.question("curve.withheld", none.reason()).at(address.toString()));
        }
        BenchUnit unit = tells(path).stream()
                .filter(each -> each.key().equals(key))
                .map(CurvePurpose.Tells::unit)
                .findFirst()
                .orElseThrow(() -> new IllegalStateException("no number " + key + " is told at " + path));
        String word = path + "." + key;
        return new Input(
                address + "." + key, draft.words().symbol(word), draft.words().label(word), unit);
    }

    /**
     * {@return whether a number told by timed readings is there and is not nothing}
     *
     * @param path group and slot that names them, as an experiment declares them
     * @param key  of the number, as what is read from them tells it
     */
    public boolean tells(String path, String key) {
        List<CurvePurpose.Tells> tells = tells(path);
        return draft.sheet().curves().told(draft.address(path)).orElse(null) instanceof Told.Numbers numbers
                && IntStream.range(0, tells.size())
                        .anyMatch(i -> tells.get(i).key().equals(key)
                                && numbers.values().get(i) != 0);
    }

    private List<CurvePurpose.Tells> tells(String path) {
        return Objects.requireNonNull(
                        draft.sheet().experiment().curves().get(path), "nothing is read from the curve at " + path)
                .tells();
    }
}
