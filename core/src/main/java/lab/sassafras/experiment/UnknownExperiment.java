package lab.sassafras.experiment;

import java.util.List;
import java.util.stream.IntStream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Group;
import lab.sassafras.declaration.Step;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Words;

/**
 * An experiment that a later version, or one of another lab, knew: its entries stay readable, and nothing is worked.
 */
final class UnknownExperiment implements Experiment {

    private final String key;

    UnknownExperiment(String key) {
        this.key = key;
    }

    @Override
    public String key() {
        return key;
    }

    @Override
    public int method() {
        return 1;
    }

    @Override
    public Words words() {
        return Words.plain(
                "An experiment not known here",
                "This version has no experiment called “" + key + "”. What was read is kept "
                        + "and can be looked at, saved as a file and struck out.");
    }

    @Override
    public Calorimeter.Use calorimeter() {
        return Calorimeter.Use.NONE;
    }

    @Override
    public List<Group> groups() {
        return List.of();
    }

    @Override
    public List<Step> procedure() {
        return List.of();
    }

    @Override
    public Input unknown() {
        return new Input("unknown", Symbol.of("?"), "result", BenchUnit.JOULES);
    }

    @Override
    public List<ConventionQuestion<?>> conventions() {
        return List.of();
    }

    @Override
    public List<Account> accounts(Sheet sheet, Conventions conventions) {
        return IntStream.rangeClosed(1, sheet.trials())
                .<Account>mapToObj(trial -> new Account.Incomplete(
                        trial, List.of(), List.of(Finding.question("experiment.unknown", words().get("lead")))))
                .toList();
    }
}
