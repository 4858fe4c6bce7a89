package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Ledger;
import lab.sassafras.account.Solution;
import lab.sassafras.account.TrialMean;
import lab.sassafras.calibration.FillCheck;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.experiment.Address;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Cardinality;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.SheetFindings;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;

/**
 * An entry worked out: every trial, their mean, what each other school would give, and the verdict. Derived afresh
 * from the sheet each time, never stored.
 *
 * @param sheet        what was read
 * @param conventions  the schools in force
 * @param trials       one for each account, in order
 * @param mean         of the trials that count; empty where none is solved
 * @param alternatives the mean under each other school
 * @param suspects     what each suspected error would do
 * @param verdict      judgement of the mean; empty where there is none
 * @param findings     everything the reader must know, weightiest first
 */
public record Reduction(Sheet sheet, Conventions conventions, List<Trial> trials, Optional<TrialMean> mean,
                        List<Alternative> alternatives, List<SuspectSize> suspects, Optional<Verdict> verdict,
                        List<Finding> findings) {

    /**
     * One trial.
     *
     * @param account  its books
     * @param solution where they could be solved
     * @param leftOut  whether a person decided against it
     */
    public record Trial(Account account, Optional<Solution> solution, boolean leftOut) {

        public int number() {
            return account.trial();
        }

        public boolean counts() {
            return solution.isPresent() && !leftOut;
        }
    }

    /**
     * The result under another school.
     *
     * @param alternative which question is settled how
     * @param estimate    the mean then; empty where the readings do not allow it
     */
    public record Alternative(Conventions.Alternative alternative, Optional<Estimate> estimate) {
    }

    public static Reduction of(Sheet sheet, Conventions conventions) {
        List<Finding> findings = new ArrayList<>(SheetFindings.of(sheet));
        List<Trial> trials = trials(sheet, conventions, findings);
        Optional<TrialMean> mean = mean(trials);
        List<Solution> counted = trials.stream().filter(Trial::counts).flatMap(trial -> trial.solution().stream()).toList();
        Optional<Verdict> verdict = mean.map(value -> Verdict.of(sheet, value.estimate(), counted));
        verdict.ifPresent(given -> findings.addAll(given.findings()));
        if (!counted.isEmpty()) {
            calorimeterFindings(sheet, conventions, counted.get(0), findings);
        }
        findings.sort(java.util.Comparator.comparing(Finding::grade));
        List<Alternative> alternatives = mean.isEmpty() ? List.of() : alternatives(sheet, conventions);
        List<SuspectSize> suspects = counted.isEmpty() ? List.of() : SuspectSize.all(sheet, counted.get(0));
        return new Reduction(sheet, conventions, trials, mean, alternatives, suspects, verdict, List.copyOf(findings));
    }

    /** What a calibration found here, where this experiment finds a constant. */
    public Optional<FoundConstant> constant() {
        return sheet.experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT ? FoundConstant.of(trials.stream()
                .filter(Trial::counts).flatMap(trial -> trial.solution().stream()).toList()) : Optional.empty();
    }

    private static List<Trial> trials(Sheet sheet, Conventions conventions, List<Finding> findings) {
        Bindings bindings = sheet.bindings();
        return sheet.experiment().accounts(sheet, conventions).stream()
                .map(account -> trial(sheet, account, bindings, findings)).toList();
    }

    private static Trial trial(Sheet sheet, Account account, Bindings bindings, List<Finding> findings) {
        boolean leftOut = sheet.setting().leftOut().contains(account.trial());
        if (!(account instanceof Ledger ledger) || refused(sheet, account.trial(), findings)) {
            return new Trial(account, Optional.empty(), leftOut);
        }
        Solution.Outcome outcome = Solution.of(ledger, bindings);
        outcome.findings().stream().filter(finding -> !leftOut)
                .map(finding -> sheet.trials() > 1 ? new Finding(finding.grade(), finding.code(),
                        "Trial " + account.trial() + ": " + finding.message(), finding.about()) : finding)
                .forEach(findings::add);
        return new Trial(account, outcome.solution(), leftOut);
    }

    /** A refusal about one trial's slot is that trial's; one about a slot all trials draw on is everybody's. */
    private static boolean refused(Sheet sheet, int trial, List<Finding> findings) {
        return findings.stream().filter(finding -> finding.grade() == Finding.Grade.REFUSE && !finding.about().isEmpty())
                .map(finding -> Address.read(finding.about())).anyMatch(address -> address.index() == trial
                        || sheet.experiment().group(address.group()).orElseThrow().cardinality() != Cardinality.PER_TRIAL);
    }

    private static Optional<TrialMean> mean(List<Trial> trials) {
        List<Estimate> counted = trials.stream().filter(Trial::counts)
                .flatMap(trial -> trial.solution().stream()).map(Solution::estimate).toList();
        return counted.isEmpty() ? Optional.empty() : Optional.of(TrialMean.of(counted));
    }

    private static List<Alternative> alternatives(Sheet sheet, Conventions conventions) {
        boolean constant = sheet.setting().calorimeter().flatMap(Calorimeter::constant).isPresent();
        return conventions.alternatives(sheet.experiment().conventions())
                .filter(each -> constant || !each.question().equals(Question.CALORIMETER))
                .map(each -> new Alternative(each, meanUnder(sheet, each.conventions()))).toList();
    }

    /** The mean alone, without verdict or alternatives. */
    static Optional<Estimate> meanUnder(Sheet sheet, Conventions conventions) {
        List<Finding> own = new ArrayList<>(SheetFindings.of(sheet));
        return mean(trials(sheet, conventions, own)).map(TrialMean::estimate);
    }

    private static void calorimeterFindings(Sheet sheet, Conventions conventions, Solution first,
                                            List<Finding> findings) {
        if (sheet.experiment().calorimeter() != Calorimeter.Use.NEEDS_CONSTANT) {
            return;
        }
        Optional<Calorimeter.Pinned> pinned = sheet.setting().calorimeter().flatMap(Calorimeter::constant);
        boolean counted = conventions.in(Question.CALORIMETER).counted();
        if (counted && pinned.isPresent()) {
            FillCheck.of(pinned.get(), first, sheet.setting().figures()).ifPresent(findings::add);
        } else {
            IgnoredCalorimeter.effect(sheet, conventions).ifPresent(findings::add);
        }
    }
}
