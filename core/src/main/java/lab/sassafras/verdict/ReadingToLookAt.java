package lab.sassafras.verdict;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Computation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Slot;

/**
 * Which reading to look at where a result cannot be believed: the one furthest outside its usual range first, and
 * otherwise the one whose error the result feels most.
 */
final class ReadingToLookAt {

    /** From this share of u² on, one value written with few digits is worth naming. */
    private static final double MOST = 0.5;

    private final Sheet sheet;
    private final Solution trial;

    ReadingToLookAt(Sheet sheet, Solution trial) {
        this.sheet = sheet;
        this.trial = trial;
    }

    /** How the period writes numbers. */
    Figures figures() {
        return sheet.setting().figures();
    }

    /** {@return in a sentence} */
    String words() {
        return unusual()
                .map(line -> "Look first at " + named(line) + ": it is outside its usual range. "
                        + slot(line)
                                .map(slot -> slot.expectation(sheet.setting()))
                                .orElse(""))
                .or(() -> weightiest()
                        .map(line -> "Look first at " + named(line)
                                + ": of all readings the ± of this result hangs on it most."))
                .orElse("Look at the masses first, then at the temperatures.");
    }

    /**
     * {@return the line that makes most of the uncertainty of this trial, where that is no more than the digits it was
     * written with}
     */
    Optional<Line> fewDigits() {
        Estimate estimate = trial.estimate();
        return estimate.contributions().stream()
                .limit(1)
                .filter(most -> most.shareOf(estimate) > MOST)
                .flatMap(
                        most -> sheet.lines().stream().filter(line -> line.key().equals(most.key())))
                .filter(Line::byItsDigits)
                .findFirst();
    }

    private Optional<Line> unusual() {
        return entering().stream().filter(line -> outside(line) > 0).max(Comparator.comparingDouble(this::outside));
    }

    private Optional<Line> weightiest() {
        return trial.estimate().contributions().stream()
                .flatMap(each -> entering().stream().filter(line -> line.key().equals(each.key())))
                .findFirst();
    }

    private List<Line> entering() {
        List<String> inputs = new Computation(trial.result(), trial.bindings())
                .inputs().stream().map(Input::key).toList();
        return sheet.lines().stream()
                .filter(line -> inputs.contains(line.key()))
                .toList();
    }

    private double outside(Line line) {
        return slot(line)
                .flatMap(Slot::usual)
                .map(range -> range.outside(line.value()))
                .orElse(0.0);
    }

    private Optional<Slot> slot(Line line) {
        return sheet.experiment().slot(line.address().path());
    }

    private String named(Line line) {
        return "“" + sheet.experiment().words().label(line.address().path()) + "”, "
                + sheet.setting().figures().typed(line.text()) + " "
                + line.unit().map(BenchUnit::symbol).orElse("");
    }
}
