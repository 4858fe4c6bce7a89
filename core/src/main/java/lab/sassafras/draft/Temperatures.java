package lab.sassafras.draft;

import java.util.Locale;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Bath;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Outcome;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Expression.Input;

/** The temperatures between which a vessel's contents went, as the schools in force take them. */
public final class Temperatures {

    private final AccountBuilder draft;

    Temperatures(AccountBuilder draft) {
        this.draft = draft;
    }

    /**
     * {@return the start that counts of what the calorimeter held (°C), by the school in force}
     *
     * @param path group and slot, as an experiment declares them
     */
    public Expression start(String path) {
        return byCurve(path, false)
                .orElseGet(() -> lacksCurve() ? unread(path) : change().start(draft.quantity(path), draft::at));
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
                        : change().end(start, draft.quantity(startsAt), draft.quantity(path), draft::at));
    }

    /**
     * {@return start of a solid from a bath (°C), by the school in force}
     *
     * @param bath path of the choice that says what the solid stood in
     * @param read path of the bath as read
     */
    public Expression fromBath(String bath, String read) {
        Bath stood = draft.choice(bath)
                .map(each -> Bath.valueOf(each.toUpperCase(Locale.ROOT)))
                .orElse(Bath.OTHER);
        return draft.conventions().in(ConventionQuestion.BATH).start(stood, () -> draft.quantity(read), draft::at);
    }

    private Expression unread(String path) {
        return new Input(
                draft.address(path).toString(),
                draft.words().symbol(path),
                draft.words().label(path),
                draft.unit(path));
    }

    /** Whether the change is to be read from a curve that this trial has not; it is remembered as missing. */
    private boolean lacksCurve() {
        boolean lacks = !change().places().isEmpty()
                && !draft.sheet().aim().blueprint()
                && !draft.sheet().curves().driftTyped(draft.trial());
        if (lacks) {
            draft.lacks(draft.address(CommonPlaces.TRACE));
        }
        return lacks;
    }

    /** A temperature of the change as the curve of this trial gives it, where it has one. */
    private Optional<Expression> byCurve(String path, boolean end) {
        return draft.sheet()
                .curves()
                .readings(draft.trial())
                .filter(any -> change() != TemperatureChange.PICKED)
                .map(curve -> {
                    CurveMethod way = change().way().orElse(CurveMethod.EXTREME);
                    if (curve.by(way) instanceof Outcome.Withheld withheld) {
                        draft.findings()
                                .add(Finding.question("curve.withheld", withheld.reason())
                                        .at(draft.address(path).toString()));
                    }
                    return new Input(
                            curve.key(way, end),
                            draft.words().symbol(path),
                            draft.words().label(path) + ", by the curve",
                            draft.unit(path));
                });
    }

    private TemperatureChange change() {
        return draft.conventions().in(ConventionQuestion.CHANGE);
    }
}
