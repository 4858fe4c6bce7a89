package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.app.chart.BalancePicture;
import lab.sassafras.app.chart.BudgetPicture;
import lab.sassafras.app.chart.UprightBalance;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.convention.Convention;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.curve.Recommendation;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.presentation.Presentation.Written;
import lab.sassafras.presentation.QuestionsOfWriting;
import lab.sassafras.presentation.Typeset;
import lab.sassafras.verdict.Agreement;
import lab.sassafras.verdict.Alternative;
import lab.sassafras.verdict.Candidate;
import lab.sassafras.verdict.Drawn;
import lab.sassafras.verdict.Interval;
import lab.sassafras.verdict.Lazy;
import lab.sassafras.verdict.Prediction;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Sample;
import lab.sassafras.verdict.Trial;
import lab.sassafras.verdict.Verdict;

/**
 * The right page of an entry, ready to be shown: every number already written out the way the schools in force write
 * it.
 */
public final class ResultView {

    private final EntrySheet entry;
    private final Reduction reduction;
    private final Figures figures;
    private final Presentation presentation;
    private final int shownTrial;
    private final Sample sample;
    private final Lazy<List<Finding>> findingsOnce = new Lazy<>(this::workFindings);
    private final Lazy<List<AlsoFound>> furtherOnce = new Lazy<>(this::workFurther);
    private final Lazy<List<TrialLine>> trialsOnce = new Lazy<>(this::workTrials);
    private final Lazy<Optional<BalancePicture>> balanceOnce = new Lazy<>(this::workBalance);
    private final Lazy<Optional<LinePanel>> lineOnce = new Lazy<>(this::workLine);
    private final Lazy<Optional<HeatPanel>> heatWentOnce = new Lazy<>(this::workHeatWent);
    private final Lazy<Optional<CyclePanel>> cycleOnce = new Lazy<>(this::workCycle);
    private final Lazy<Optional<PossibleCausePanel>> suspectsOnce = new Lazy<>(this::workSuspects);
    private final Lazy<List<OtherSchool>> otherSchoolsOnce = new Lazy<>(this::workOtherSchools);
    private final Lazy<Optional<String>> agreementOnce = new Lazy<>(this::workAgreement);

    ResultView(EntrySheet entry, Optional<Integer> trial) {
        this.entry = entry;
        this.reduction = entry.reduction();
        this.figures = entry.entry().period().figures();
        this.presentation = reduction.presentation();
        this.shownTrial = trial.filter(
                        number -> number >= 1 && number <= reduction.trials().size())
                .orElseGet(() -> reduction.trials().stream()
                        .filter(Trial::counts)
                        .map(Trial::number)
                        .findFirst()
                        .orElse(1));
        this.sample = reduction.sampleOf(shownTrial);
    }

    /** One trial in the list. */
    public record TrialLine(
            int number,
            String value,
            boolean solved,
            boolean leftOut,
            String reason,
            boolean shown,
            List<Account.Missing> missing) {}

    /** A question with the school in force and those that could be. */
    public record InForce(ConventionQuestion<?> question, Convention school, boolean own) {}

    /** The result under another school. */
    public record OtherSchool(String question, String school, String value, String change) {}

    /** Some schools of one question. */
    public record Schools(String question, List<String> schools) {}

    /** One of several samples, with the trial that shows it. */
    public record SampleLine(String name, String value, int trial, boolean shown) {}

    /** A further result of the trial shown. */
    public record AlsoFound(String label, Written written) {}

    public Reduction reduction() {
        return reduction;
    }

    /** What to know of the whole entry and of the sample shown; other samples say their own when they are looked at. */
    public List<Finding> findings() {
        return findingsOnce.get();
    }

    /** Where a run was copied, the ticks its safety asks for were not made here, and that is said. */
    private Stream<Finding> copied() {
        return entry.decisions().copiedFromPaper().stream()
                .filter(any -> !entry.experiment().tickedBefore().isEmpty())
                .map(each -> Finding.note(
                        "run.copied",
                        "Copied from paper (" + each.who() + ": “" + each.reason()
                                + "”). What must be ticked off before it can hurt was not ticked off here."));
    }

    private List<Finding> workFindings() {
        List<String> others = reduction.samples().stream()
                .filter(each -> !each.name().equals(sample.name()))
                .map(Sample::prefix)
                .toList();
        return Stream.concat(
                        copied(),
                        reduction.findings().stream()
                                .filter(each -> reduction.samples().size() < 2
                                        || others.stream().noneMatch(each.message()::startsWith)))
                .toList();
    }

    /** Whether the result is fixed, as by ice that is left, and carries no uncertainty of its own. */
    public boolean exact() {
        return estimate().filter(each -> each.uncertainty() == 0).isPresent();
    }

    public String unknown() {
        return reduction.unknown();
    }

    /** The unit results are shown in. */
    public String unit() {
        return presentation.unit(reduction.unit()).symbol();
    }

    /** The result of the sample shown; empty while none of its trials is solved. */
    public Optional<Written> result() {
        return reduction.writing().written(sample);
    }

    /** A trial as it is written; empty while it is not solved. */
    Optional<Written> written(int trial) {
        return reduction.trials().stream()
                .filter(each -> each.number() == trial)
                .findFirst()
                .flatMap(reduction.writing()::written);
    }

    /** Per cent error without its unit; empty where there is no reference. */
    String percentError() {
        return reduction
                .agreement(sample)
                .map(each -> presentation.percentError(each.percentError()).replace(" %", ""))
                .orElse("");
    }

    /** What else follows from the trial shown. */
    public List<AlsoFound> further() {
        return furtherOnce.get();
    }

    private List<AlsoFound> workFurther() {
        List<AlsoFound> all = new ArrayList<>();
        reduction
                .byLine(sample)
                .forEach((reading, value) ->
                        all.add(new AlsoFound(reading.label(), presentation.written(value, reading.unit()))));
        solution().map(Solution::derived).orElse(List.of()).stream()
                .filter(each -> each.estimate().finite())
                .map(each -> new AlsoFound(
                        each.derived().label(),
                        presentation.written(
                                each.estimate(),
                                reduction.writing().interval(shownTrial, each).half(),
                                each.derived().unit())))
                .forEach(all::add);
        return all;
    }

    private Optional<Estimate> estimate() {
        return sample.result();
    }

    /** On how many trials it rests, with their scatter. */
    public String basis() {
        return estimate().map(this::basis).orElse("");
    }

    private String basis(Estimate estimate) {
        if (estimate.uncertainty() == 0) {
            return "held there by what changes state, so without a ± of its own";
        }
        int n = sample.mean().orElseThrow().values().size();
        String interval = "standard uncertainty " + width(estimate.uncertainty()) + " " + unit()
                + (interval().filter(Interval::drawn).isPresent()
                        ? "; the interval is that of 50 000 random draws, because the linear ± does not describe it"
                        : "; the ± is half the 95 % interval");
        if (sample.combination().needsPoints()) {
            return sample.combination().words() + ", " + n + " trials, " + interval;
        }
        return n == 1
                ? "one trial, " + interval
                : "mean of " + n + " trials, s = "
                        + width(sample.mean().orElseThrow().scatter().orElse(0)) + " " + unit() + ", " + interval;
    }

    private String width(double width) {
        return figures.uncertainty(width
                * reduction.unit().widthToBench(1)
                / presentation.unit(reduction.unit()).widthToBench(1));
    }

    private Optional<Interval> interval() {
        return sample.interval();
    }

    /** The ends of the interval that stands in the headline, where it is not the same on both sides. */
    public Optional<String> between() {
        return interval().filter(Interval::drawn).map(drawn -> between(drawn.low(), drawn.high()));
    }

    /** The trial shown by random draws, where they bear the linear interval out. */
    public Optional<String> drawn() {
        return solution()
                .flatMap(trial -> reduction.drawn(shownTrial).filter(Drawn::bearsOutLinear))
                .map(drawn -> "50 000 random draws through the formula of trial " + shownTrial
                        + " bear out the law of propagation.");
    }

    private String between(double low, double high) {
        double size = reduction.unit().widthToBench(1)
                / presentation.unit(reduction.unit()).widthToBench(1);
        int decimals = Figures.decimalsFor((high - low) / 2 * size);
        return "between " + figures.fixed(low * size, decimals) + " and " + figures.fixed(high * size, decimals);
    }

    /** Address of this page with other chapters open, from the page itself. */
    public String query(String open) {
        return "?" + (reduction.trials().size() > 1 ? "trial=" + shownTrial + "&" : "") + "open=" + open;
    }

    public int shownTrial() {
        return shownTrial;
    }

    /** The samples, where there are several. */
    public List<SampleLine> samples() {
        return reduction.samples().size() < 2
                ? List.of()
                : reduction.samples().stream()
                        .map(each -> new SampleLine(
                                each.name().isEmpty() ? "without a name" : each.name(),
                                reduction
                                        .writing()
                                        .written(each)
                                        .map(Written::bare)
                                        .orElse("not yet"),
                                each.trials().get(0),
                                each.name().equals(sample.name())))
                        .toList();
    }

    public List<TrialLine> trials() {
        return trialsOnce.get();
    }

    private List<TrialLine> workTrials() {
        Decisions decisions = entry.decisions();
        return reduction.trials().stream()
                .map(trial -> new TrialLine(
                        trial.number(),
                        reduction.writing().written(trial).map(Written::bare).orElse("not yet"),
                        trial.solution().isPresent(),
                        trial.leftOut(),
                        decisions
                                .last(Decision.Kind.TRIAL, Decisions.trial(trial.number()))
                                .map(Decision::reason)
                                .orElse(""),
                        trial.number() == shownTrial,
                        trial.account().missing()))
                .toList();
    }

    private Optional<Solution> solution() {
        return reduction.trials().stream()
                .filter(trial -> trial.number() == shownTrial)
                .findFirst()
                .flatMap(Trial::solution);
    }

    public Optional<BalancePicture> balance() {
        return balanceOnce.get();
    }

    private Optional<BalancePicture> workBalance() {
        return solution()
                .filter(solution -> !solution.postings().isEmpty())
                .map(solution -> BalancePicture.of(solution, figures));
    }

    /** The same for a narrow screen. */
    public UprightBalance upright() {
        return UprightBalance.of(balance().orElseThrow());
    }

    public Optional<Working> working() {
        return reduction.working(shownTrial);
    }

    public Optional<BudgetPicture> budget() {
        return estimate().filter(each -> each.uncertainty() > 0).map(estimate -> BudgetPicture.of(estimate, figures));
    }

    /** The line through the trials of the sample shown. */
    public Optional<LinePanel> line() {
        return lineOnce.get();
    }

    private Optional<LinePanel> workLine() {
        return LinePanel.of(reduction, sample);
    }

    /** What was predicted beside what was read. */
    public Optional<String> prediction() {
        return Prediction.of(reduction.sheet())
                .map(each -> "Predicted " + figures.typed(each.predicted().text()) + " °C, "
                        + each.off()
                                .map(off -> "read "
                                        + figures.typed(
                                                each.read().orElseThrow().text()) + " °C: " + figures.signed(off, 1)
                                        + " °C off.")
                                .orElse("not read yet."));
    }

    public List<InForce> inForce() {
        return Stream.concat(entry.experiment().conventions().stream(), QuestionsOfWriting.all().stream())
                .<InForce>map(question -> new InForce(
                        question,
                        reduction.conventions().in(question),
                        entry.decisions().schools().containsKey(question.key())))
                .toList();
    }

    /**
     * What fits the curve of the trial shown, where another method is in use.
     *
     * @param school key of the method
     * @param words  the method
     * @param value  what the result would be by it; empty where it has none
     * @param reason why, in a sentence
     */
    public record Fitting(String school, String words, String value, String reason) {}

    /** What fits the curve of the trial shown; empty where it is in use, or nothing is read from a curve. */
    public Optional<Fitting> fitting() {
        return entry.sheet()
                .curves()
                .baselines(shownTrial)
                .map(each -> Recommendation.of(each, figures))
                .flatMap(fits -> ConventionQuestion.CHANGE.schools().stream()
                        .filter(each -> each.way().equals(Optional.of(fits.way())))
                        .filter(each -> !each.equals(reduction.conventions().in(ConventionQuestion.CHANGE)))
                        .findFirst()
                        .map(each -> new Fitting(each.key(), each.words(), valueBy(each), fits.reason())));
    }

    private String valueBy(Convention school) {
        return reduction.alternatives().stream()
                .filter(each -> each.alternative().school().equals(school))
                .flatMap(each -> each.estimate().map(value -> presentation.written(value, each.unit())).stream())
                .map(Written::value)
                .findFirst()
                .orElse("");
    }

    /** Whether it is withheld from whoever looks what the result should be. */
    public boolean withheld() {
        return entry.sheet().setting().withheld();
    }

    /** The numbers other conventions give, from the nearest to nothing to the largest; empty where none differs. */
    public String othersRange() {
        if (withheld()) {
            return "withheld";
        }
        List<Alternative> others = reduction.alternatives().stream()
                .filter(each -> each.percentFrom(reduction).isPresent() && !each.same(reduction))
                .sorted(Comparator.comparingDouble(
                        each -> Math.abs(each.estimate().orElseThrow().value())))
                .toList();
        return others.isEmpty()
                ? "none gives another number"
                : Stream.of(others.get(0), others.get(others.size() - 1))
                        .map(each -> presentation
                                .written(each.estimate().orElseThrow(), each.unit())
                                .value())
                        .distinct()
                        .collect(Collectors.joining(" to "));
    }

    /** What was decided over the trials and the entry, in a few words. */
    public String decided() {
        if (entry.decisions().setAside().isPresent()) {
            return "entry excluded";
        }
        List<String> out = trials().stream()
                .filter(TrialLine::leftOut)
                .map(each -> "trial " + each.number())
                .toList();
        return out.isEmpty() ? "all trials included" : String.join(", ", out) + " excluded";
    }

    /** What every school that changes something would have given. */
    public List<OtherSchool> otherSchools() {
        return otherSchoolsOnce.get();
    }

    private List<OtherSchool> workOtherSchools() {
        return reduction.alternatives().stream()
                .filter(each -> each.estimate().isPresent() && !each.same(reduction))
                .map(each -> {
                    Optional<Double> percent = each.percentFrom(reduction);
                    Written written = presentation.written(each.estimate().orElseThrow(), each.unit());
                    return new OtherSchool(
                            each.alternative().question().words(),
                            figures.sentence(each.alternative().school().words()),
                            percent.isPresent() ? written.value() : written.value() + " " + written.unit(),
                            percent.map(this::change).orElse(""));
                })
                .toList();
    }

    /** Schools that would have given the same number. */
    public List<Schools> sameSchools() {
        return byQuestion(reduction.alternatives().stream().filter(each -> each.same(reduction)));
    }

    /** Schools that ask for readings this run has not. */
    public List<Schools> unread() {
        return byQuestion(
                reduction.alternatives().stream().filter(each -> each.estimate().isEmpty()));
    }

    private List<Schools> byQuestion(Stream<Alternative> alternatives) {
        Map<String, List<String>> schools = new LinkedHashMap<>();
        alternatives.forEach(
                each -> schools.computeIfAbsent(each.alternative().question().words(), any -> new ArrayList<>())
                        .add(figures.sentence(each.alternative().school().words())));
        return schools.entrySet().stream()
                .map(each -> new Schools(each.getKey(), each.getValue()))
                .toList();
    }

    private String change(double percent) {
        return figures.signed(percent, Math.abs(percent) < 1 ? 2 : 1) + " %";
    }

    /** Where the heat of a burning went; empty where nothing burns. */
    public Optional<HeatPanel> heatWent() {
        return heatWentOnce.get();
    }

    private Optional<HeatPanel> workHeatWent() {
        return HeatPanel.of(reduction, figures);
    }

    /** Levels of energy, and for a cycle its sum; empty where nothing is per mole of an equation. */
    public Optional<CyclePanel> cycle() {
        return cycleOnce.get();
    }

    private Optional<CyclePanel> workCycle() {
        return CyclePanel.of(reduction, presentation);
    }

    /** What alone could have put the result so far off; empty where nothing is off, or nothing alone could. */
    public Optional<String> likeliest() {
        return suspects()
                .flatMap(panel -> panel.open().stream()
                        .filter(each -> each.mark().equals("DONE"))
                        .findFirst()
                        .map(each -> each.words()));
    }

    /** Possible causes, or what would move it where nothing is off. */
    public Optional<PossibleCausePanel> suspects() {
        return suspectsOnce.get();
    }

    private Optional<PossibleCausePanel> workSuspects() {
        return estimate().flatMap(result -> PossibleCausePanel.of(reduction, sample, result, presentation, figures));
    }

    public List<Candidate> candidates() {
        return sample.verdict().map(Verdict::candidates).orElse(List.of());
    }

    /** The candidates in a sentence. */
    public String candidatesInWords() {
        List<String> fitting = candidates().stream()
                .filter(Candidate::fits)
                .map(each -> each.substance().name() + " (" + specificHeat(each) + ")")
                .toList();
        String word = sample.verdict().flatMap(Verdict::sought).orElse("");
        if (candidates().isEmpty()) {
            return result().isEmpty() || word.isEmpty() ? "" : "No " + word + " on the shelf fits this number.";
        }
        return fitting.isEmpty()
                ? "No " + word + " on the shelf fits both the number and what was seen."
                : "It may be " + String.join(", ", fitting) + ".";
    }

    public String compatibility(Candidate candidate) {
        return candidate.compatibility() < 0.01
                ? "under 1 %"
                : figures.fixed(100 * candidate.compatibility(), 0) + " %";
    }

    public String specificHeat(Candidate candidate) {
        BenchUnit unit = BenchUnit.JOULES_PER_GRAM_DEGREE;
        return figures.significant(
                candidate.substance().specificHeat() / presentation.unit(unit).widthToBench(1), 3);
    }

    /** The equation of what happened, as it is printed. */
    public Optional<List<Typeset.Piece>> equation() {
        return reduction.happened().equation().map(Typeset::of);
    }

    /**
     * Its heat as it is written, where that is another number than the result.
     */
    public Optional<Written> asWritten() {
        if (!reduction.unit().equals(BenchUnit.KILOJOULES_PER_MOLE)) {
            return Optional.empty();
        }
        return reduction.writing().asWritten(sample).filter(written -> !result().equals(Optional.of(written)));
    }

    /** Whether the result is to be believed, in one sentence; empty where there is nothing to judge it by. */
    public Optional<String> verdict() {
        return agreement().or(() -> Optional.of(candidatesInWords()).filter(words -> !words.isEmpty()));
    }

    /** Where the reference comes from. */
    public Optional<String> source() {
        return reduction.agreement(sample).map(each -> each.reference().sourceInWords());
    }

    public Optional<String> agreement() {
        return agreementOnce.get();
    }

    private Optional<String> workAgreement() {
        return reduction.agreement(sample).map(this::inWords);
    }

    private String inWords(Agreement agreement) {
        return (agreement.agrees()
                        ? "Agrees within the uncertainty with "
                        : "Differs by more than the uncertainty from ")
                + presentation.written(agreement.reference()) + ", the reference for "
                + agreement.reference().name() + ": per cent error "
                + presentation.percentError(agreement.percentError()) + ".";
    }
}
