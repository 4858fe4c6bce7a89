package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Account;
import lab.sassafras.account.Derived;
import lab.sassafras.account.Solution;
import lab.sassafras.app.chart.BalancePicture;
import lab.sassafras.app.chart.BudgetPicture;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.School;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.Figures;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.Candidate;
import lab.sassafras.verdict.Reduction;

/** The right page of an entry, ready to be shown: every number already written out. */
public final class ResultView {

    private final EntrySheet entry;
    private final Reduction reduction;
    private final Figures figures;
    private final int shownTrial;

    ResultView(EntrySheet entry, Optional<Integer> trial) {
        this.entry = entry;
        this.reduction = entry.reduction();
        this.figures = entry.entry().period().figures();
        this.shownTrial = trial.filter(number -> number >= 1 && number <= reduction.trials().size())
                .orElseGet(() -> reduction.trials().stream().filter(Reduction.Trial::counts)
                        .map(Reduction.Trial::number).findFirst().orElse(1));
    }

    /** A result in figures. */
    public record Written(String value, String uncertainty, String unit) {
    }

    /** One trial in the list. */
    public record TrialLine(int number, String value, boolean solved, boolean leftOut, String reason, boolean shown,
                            List<Account.Missing> missing) {
    }

    /** A question with the school in force and those that could be. */
    public record InForce(Question<?> question, School school, boolean own) {
    }

    /** The result under another school. */
    public record OtherSchool(String question, String school, String value, String change) {
    }

    /** What a suspected error would do. */
    public record SuspectLine(String words, String size, String change) {
    }

    public Reduction reduction() {
        return reduction;
    }

    public String unknown() {
        return entry.experiment().words().get("unknown");
    }

    public String unit() {
        return entry.experiment().unknown().unit().symbol();
    }

    /** The result of the entry; empty while no trial is solved. */
    public Optional<Written> result() {
        return estimate().map(this::written);
    }

    private Written written(Estimate estimate) {
        return written(estimate, entry.experiment().unknown().unit().dimension().directed(), unit());
    }

    private Written written(Estimate estimate, boolean signed, String unit) {
        int decimals = Figures.decimalsFor(estimate.uncertainty());
        return new Written(signed ? figures.signed(estimate.value(), decimals) : figures.fixed(estimate.value(), decimals),
                figures.uncertainty(estimate.uncertainty()), unit);
    }

    /** A further result of the trial shown. */
    public record Further(String label, Written written) {
    }

    /** What else follows from the trial shown. */
    public List<Further> further() {
        return solution().map(solution -> {
            List<Further> further = new ArrayList<>();
            for (int i = 0; i < solution.derived().size(); i++) {
                Derived derived = solution.ledger().derived().get(i);
                further.add(new Further(derived.label(), written(solution.derived().get(i), true, derived.unit().symbol())));
            }
            return further;
        }).orElse(List.of());
    }

    private Optional<Estimate> estimate() {
        return reduction.mean().map(mean -> mean.estimate());
    }

    /** On how many trials it rests, with their scatter. */
    public String basis() {
        return reduction.mean().map(mean -> {
            int n = mean.values().size();
            String interval = "95 % interval ± " + figures.uncertainty(mean.estimate().halfWidth(0.95)) + " " + unit();
            return n == 1 ? "one trial, standard uncertainty; " + interval : "mean of " + n + " trials, s = "
                    + figures.uncertainty(mean.scatter().orElse(0)) + " " + unit() + ", standard uncertainty; " + interval;
        }).orElse("");
    }

    public int shownTrial() {
        return shownTrial;
    }

    public List<TrialLine> trials() {
        Decisions decisions = entry.decisions();
        return reduction.trials().stream().map(trial -> new TrialLine(trial.number(),
                trial.solution().map(Solution::estimate).map(this::written).map(each -> each.value() + " ± " + each.uncertainty())
                        .orElse("not yet"),
                trial.solution().isPresent(), trial.leftOut(),
                decisions.last(Decision.Kind.TRIAL, Decisions.trial(trial.number())).map(Decision::reason).orElse(""),
                trial.number() == shownTrial,
                trial.account() instanceof Account.Incomplete incomplete ? incomplete.missing() : List.of())).toList();
    }

    private Optional<Solution> solution() {
        return reduction.trials().stream().filter(trial -> trial.number() == shownTrial).findFirst()
                .flatMap(Reduction.Trial::solution);
    }

    public Optional<BalancePicture> balance() {
        return solution().map(solution -> BalancePicture.of(solution, figures));
    }

    public Optional<Working> working() {
        return solution().map(solution -> solution.working(figures));
    }

    public Optional<BudgetPicture> budget() {
        return estimate().map(estimate -> BudgetPicture.of(estimate, figures));
    }

    public List<InForce> inForce() {
        return entry.experiment().conventions().stream().<InForce>map(question -> new InForce(question,
                reduction.conventions().in(question), entry.decisions().schools().containsKey(question.key()))).toList();
    }

    public List<OtherSchool> otherSchools() {
        return reduction.alternatives().stream().map(each -> {
            String words = each.alternative().school().words();
            Estimate now = estimate().orElseThrow();
            return each.estimate().map(other -> new OtherSchool(each.alternative().question().words(), words,
                    figures.byUncertainty(other.value(), now.uncertainty()), change(now.value(), other.value())))
                    .orElseGet(() -> new OtherSchool(each.alternative().question().words(), words,
                            "not with these readings", ""));
        }).toList();
    }

    private String change(double now, double other) {
        double percent = 100 * (other - now) / Math.abs(now);
        return Math.abs(percent) < 0.005 ? "the same" : figures.signed(percent, Math.abs(percent) < 1 ? 2 : 1) + " %";
    }

    public List<SuspectLine> suspects() {
        double u = estimate().map(Estimate::uncertainty).orElse(0.0);
        return reduction.suspects().stream().map(each -> new SuspectLine(each.words(),
                figures.significant(Math.abs(each.suspect().error()), 1) + " " + each.unit(),
                figures.signed(each.change(), Figures.decimalsFor(u)))).toList();
    }

    public List<Candidate> candidates() {
        return reduction.verdict().map(verdict -> verdict.candidates()).orElse(List.of());
    }

    /** The candidates in a sentence. */
    public String candidatesInWords() {
        List<String> fitting = candidates().stream().filter(Candidate::fits).map(each -> each.substance().name() + " ("
                + figures.significant(each.substance().specificHeat(), 3) + ")").toList();
        if (candidates().isEmpty()) {
            return result().isEmpty() || reduction.verdict().isEmpty()
                    || !(entry.experiment().yardstick() instanceof lab.sassafras.experiment.Yardstick.OfSolids) ? ""
                    : "No solid on the shelf fits this number.";
        }
        return fitting.isEmpty() ? "No solid on the shelf fits both the number and what was seen."
                : "It may be " + String.join(", ", fitting) + ".";
    }

    public String compatibility(Candidate candidate) {
        return candidate.compatibility() < 0.01 ? "under 1 %" : figures.fixed(100 * candidate.compatibility(), 0) + " %";
    }

    public String specificHeat(Candidate candidate) {
        return figures.significant(candidate.substance().specificHeat(), 3);
    }

    public Optional<String> agreement() {
        return reduction.verdict().flatMap(verdict -> verdict.agreement()).map(this::inWords);
    }

    private String inWords(Agreement agreement) {
        return "Reference for " + agreement.reference().name() + ": "
                + figures.plain(agreement.reference().value()) + " " + unit() + ", "
                + agreement.reference().sourceInWords() + ". Per cent error " + figures.signed(agreement.percentError(), 1)
                + " %; " + agreement.words() + ".";
    }
}
