package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Expression.Input;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetFindings;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.TrialResult;

/**
 * The first sample worked out for its result alone, without verdict, under one school after another.
 *
 * @param conventions the schools in force
 * @param refusals    findings that leave trials out
 */
record FirstSample(Sheet sheet, Conventions conventions, Bindings bindings, List<Finding> refusals) {

    static FirstSample of(Sheet sheet, Conventions conventions, List<Finding> refusals) {
        return new FirstSample(sheet, conventions, sheet.bindings(), refusals);
    }

    /** The result under some schools; empty where no trial is solved. */
    static Optional<Estimate> resultUnder(Sheet sheet, Conventions conventions) {
        FirstSample sample = of(sheet, conventions, Standing.refusals(SheetFindings.of(sheet)));
        return sample.result(sample.accounts(conventions));
    }

    /**
     * The result under each other school; one that comes to the same as the one in force is not solved again.
     *
     * @param inForce books under the schools in force
     * @param known   the result under them
     */
    List<Alternative> alternatives(List<Account> inForce, Estimate known) {
        return conventions
                .variants(sheet.experiment().conventions())
                .map(each -> sheet.evidence().canTell(each.question(), each.school())
                        ? under(each, inForce, known)
                        : new Alternative(
                                each,
                                Optional.empty(),
                                sheet.experiment().unknown().unit()))
                .toList();
    }

    private Alternative under(Conventions.Variant alternative, List<Account> inForce, Estimate known) {
        if (alternative.school().comesToSame(conventions.in(alternative.question()), sheet.evidence())) {
            return new Alternative(alternative, Optional.of(known), unit(inForce));
        }
        TimeBudget.check();
        List<Account> accounts = accounts(alternative.conventions());
        boolean told = omits(inForce) || !omits(accounts);
        return new Alternative(alternative, told ? result(accounts) : Optional.empty(), unit(accounts));
    }

    private static boolean omits(List<Account> accounts) {
        return accounts.stream().anyMatch(Account::omits);
    }

    private BenchUnit unit(List<Account> accounts) {
        for (Account each : accounts) {
            Optional<Input> sought = each.sought();
            if (sought.isPresent()) {
                return sought.get().unit();
            }
        }
        return sheet.experiment().unknown().unit();
    }

    private List<Account> accounts(Conventions schools) {
        List<Account> all =
                new ArrayList<>(Experiments.declaring(sheet.experiment()).accounts(sheet, schools));
        all.removeIf(each -> sheet.places().firstOfSample(each.trial()) != 1
                || sheet.setting().leftOut().contains(each.trial())
                || Standing.refused(sheet, each.trial(), refusals));
        return all;
    }

    private Optional<Estimate> result(List<Account> accounts) {
        boolean points = accounts.size() > 1
                && sheet.experiment().combinations().stream().anyMatch(Combination::needsPoints);
        List<TrialResult> found = new ArrayList<>();
        accounts.forEach(each -> inShort(each, points).ifPresent(found::add));
        return Sample.combination(sheet, found).of(found);
    }

    private Optional<TrialResult> inShort(Account account, boolean points) {
        return points
                ? account.solve(bindings).solution().map(Solution::inShort)
                : account.estimate(bindings)
                        .map(estimate -> new TrialResult(estimate, Optional.empty(), account.amount(bindings)));
    }
}
