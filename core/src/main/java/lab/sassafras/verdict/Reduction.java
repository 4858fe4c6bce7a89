package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.calibration.FillCheck;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Question;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.LineReading;
import lab.sassafras.draft.Legs;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Linearity;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetFindings;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Setting;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.CorrelatedLine;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.statistics.TrialResult;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.yardstick.Judged;
import lab.sassafras.yardstick.Yardstick;

/**
 * An entry worked out, as one document that page and file render: where the run stands (trials, the result of each
 * sample, what to know), and beyond it the other schools, suspects, working and random draws. Derived from the sheet,
 * never stored; each stage is worked when it is first asked for, once, and does not change after.
 */
public final class Reduction {

    /** Random draws of one trial's result. */
    public static final int DRAWS = 50_000;

    private final Sheet sheet;
    private final Conventions conventions;
    private final Later<Standing> standing = new Later<>(this::standing);
    private final Later<List<Alternative>> alternatives = new Later<>(this::worked);
    private final Later<List<SuspectSize>> suspects = new Later<>(this::suspected);
    private final Map<Integer, Later<Optional<Working>>> workings = new ConcurrentHashMap<>();
    private final Map<FurtherOf, Later<Interval>> furthers = new ConcurrentHashMap<>();

    private final Map<Object, Object> made = new ConcurrentHashMap<>();

    /** A further result of one trial. */
    private record FurtherOf(int trial, String label) {}

    private Reduction(Sheet sheet, Conventions conventions) {
        this.sheet = sheet;
        this.conventions = conventions;
    }

    /** Where the run stands. */
    private record Standing(List<Trial> trials, List<Sample> samples, List<Finding> findings, List<Finding> refusals) {}

    /**
     * One trial.
     *
     * @param account  its books
     * @param solution where they could be solved
     * @param leftOut  whether a person decided against it
     * @param draws    of its result, made when they are first asked for
     */
    public record Trial(Account account, Optional<Solution> solution, boolean leftOut, Later<Optional<Drawn>> draws) {

        static Trial of(Account account, Optional<Solution> solution, boolean leftOut) {
            return new Trial(
                    account,
                    solution,
                    leftOut,
                    new Later<>(() -> solution.flatMap(
                            each -> Drawn.of(each.result(), each.estimate(), each.bindings(), DRAWS))));
        }

        /** Whether its linear interval may stand: where a few evaluations are sure of it, nothing is drawn. */
        private boolean linear() {
            return solution.filter(each -> Linearity.sure(each.result(), each.bindings())
                            || draws.get()
                                    .filter(drawn -> !drawn.bearsOutLinear())
                                    .isEmpty())
                    .isPresent();
        }

        private Interval interval(Estimate estimate) {
            return linear() ? Interval.of(estimate) : Drawn.interval(draws.get(), estimate);
        }

        /** {@return which trial, from 1} */
        public int number() {
            return account.trial();
        }

        /** {@return whether it enters the result} */
        public boolean counts() {
            return solution.isPresent() && !leftOut;
        }
    }

    /**
     * The result under another school.
     *
     * @param alternative which question is settled how
     * @param estimate    the result then; empty where the readings do not allow it
     * @param unit        of it, which differs where the question is what to divide by
     */
    public record Alternative(Conventions.Variant alternative, Optional<Estimate> estimate, BenchUnit unit) {}

    /**
     * {@return whether another school gives the same number, to one part in twenty thousand}
     *
     * @param other the result under another school
     */
    public boolean same(Alternative other) {
        return pair(other)
                .filter(two -> Math.abs(two.get(1) - two.get(0)) <= Math.abs(two.get(0)) / 20_000)
                .isPresent();
    }

    /**
     * {@return how far the result under another school lies from the one in force (%); empty where the two cannot be
     * compared, and for a temperature, of which no per cent can be taken}
     *
     * @param other the result under another school
     */
    public Optional<Double> percentTo(Alternative other) {
        return pair(other)
                .filter(two -> two.get(0) != 0 && unit().dimension() != Dimension.TEMPERATURE)
                .map(two -> Estimate.percent(two.get(0), two.get(1)));
    }

    /** The result in force and the other, where both are of one kind. */
    private Optional<List<Double>> pair(Alternative other) {
        return result().filter(any -> other.unit() == unit())
                .flatMap(now -> other.estimate().map(then -> List.of(now.value(), then.value())));
    }

    /**
     * {@return nothing is worked before it is asked for}
     *
     * @param sheet       what was read
     * @param conventions the schools in force
     */
    public static Reduction of(Sheet sheet, Conventions conventions) {
        return new Reduction(sheet, conventions);
    }

    private Standing standing() {
        List<Finding> findings = new ArrayList<>(SheetFindings.of(sheet));
        List<Finding> refusals = refusals(findings);
        List<Trial> trials = trials(sheet, conventions, findings);
        List<Sample> samples = samples(sheet, trials, findings);
        List<Solution> counted = counted(trials);
        if (!counted.isEmpty()) {
            fewDigits(sheet, counted.get(0)).ifPresent(findings::add);
            calorimeterFindings(sheet, conventions, counted.get(0), findings);
        }
        findings.sort(Comparator.comparing(Finding::grade));
        return new Standing(trials, samples, List.copyOf(findings), refusals);
    }

    private List<Alternative> worked() {
        return result().map(inForce -> FirstSample.of(
                                sheet, conventions, standing.get().refusals())
                        .alternatives(trials().stream().map(Trial::account).toList(), inForce))
                .orElse(List.of());
    }

    private List<SuspectSize> suspected() {
        List<Solution> counted = counted(trials());
        return counted.isEmpty()
                ? List.of()
                : SuspectSize.all(sheet, conventions, counted.get(0), deviation(counted.get(0)));
    }

    /** How far the result is off, by its reference, or by what such a vessel can hold. */
    private Optional<SuspectSize.Deviation> deviation(Solution first) {
        Sample sample = samples().get(0);
        return sample.verdict()
                .flatMap(Verdict::agreement)
                .filter(found -> !found.agrees())
                .map(found -> new SuspectSize.Deviation(-found.difference(), found.allowed()))
                .or(() -> sample.result().flatMap(result -> {
                    Judged judged = new Judged(
                            sheet, 1, result, first, counted(trials()).size());
                    return Verdict.parts(judged).plausible().flatMap(what -> new Plausibility(what, judged).off());
                }));
    }

    /** {@return what was read} */
    public Sheet sheet() {
        return sheet;
    }

    /** {@return the schools in force} */
    public Conventions conventions() {
        return conventions;
    }

    /** {@return one for each account, in order} */
    public List<Trial> trials() {
        return standing.get().trials();
    }

    /** {@return what the trials of each sample come to; one where no sample has a name} */
    public List<Sample> samples() {
        return standing.get().samples();
    }

    /** {@return everything the reader must know, weightiest first} */
    public List<Finding> findings() {
        return standing.get().findings();
    }

    /** {@return the result of the first sample under each other school} */
    public List<Alternative> alternatives() {
        return alternatives.get();
    }

    /** {@return what each suspected error would do} */
    public List<SuspectSize> suspects() {
        return suspects.get();
    }

    /** {@return where the heat of a burning went; empty where nothing burns, or nobody knows how much it gave} */
    public Optional<WhereHeatWent> whereHeatWent() {
        return yardstick()
                .losses()
                .flatMap(lost -> counted(trials()).stream()
                        .findFirst()
                        .flatMap(trial -> WhereHeatWent.of(lost, trial, suspects())));
    }

    /** {@return that none of them explains the whole deviation by itself; empty where one does, or nothing is off} */
    public Optional<Finding> noneSuffices() {
        return suspects().stream().noneMatch(each -> each.part().isPresent())
                        || suspects().stream().anyMatch(SuspectSize::believed)
                ? Optional.empty()
                : Optional.of(Finding.note(
                        "suspects.none",
                        "No single suspected error explains the whole difference at a size that can be believed: "
                                + "several together may, or one that nobody listed."));
    }

    /**
     * Works every stage out, with the draws and the working of one trial, so that whoever renders it waits for
     * nothing.
     *
     * @param trial which trial, from 1
     * @return this
     */
    public Reduction whole(int trial) {
        alternatives();
        suspects();
        drawn(trial);
        working(trial);
        return this;
    }

    private Optional<Solution> solution(int trial) {
        return trials().stream()
                .filter(each -> each.number() == trial)
                .findFirst()
                .flatMap(Trial::solution);
    }

    /**
     * {@return the result of a trial by random draws; empty where it is not solved, carries no uncertainty, or a draw
     * is no number}
     *
     * @param trial which trial, from 1
     */
    public Optional<Drawn> drawn(int trial) {
        return trials().stream()
                .filter(each -> each.number() == trial)
                .findFirst()
                .flatMap(each -> each.draws().get());
    }

    /**
     * {@return the working of a trial the way the schools in force write it; empty where it is not solved}
     *
     * @param trial which trial, from 1
     */
    public Optional<Working> working(int trial) {
        return workings.computeIfAbsent(
                        trial, any -> new Later<>(() -> solution(trial).map(presentation()::working)))
                .get();
    }

    /** {@return how the schools in force write numbers} */
    public Presentation presentation() {
        return new Presentation(conventions, sheet.setting().figures());
    }

    /**
     * {@return the result of the first sample, which is that of the entry; empty while its trials do not suffice for
     * one}
     */
    public Optional<Estimate> result() {
        return samples().get(0).result();
    }

    /**
     * {@return the mean of the first sample, whether or not it is the result; empty while none of its trials is
     * solved}
     */
    public Optional<TrialMean> mean() {
        return samples().get(0).mean();
    }

    /**
     * {@return how a sample stands to its reference, judged by the interval that is printed; empty without a reference}
     *
     * @param sample one of the samples
     */
    public Optional<Agreement> agreement(Sample sample) {
        return sample.verdict().flatMap(Verdict::agreement);
    }

    /**
     * {@return the result of a sample as it is written everywhere: rounded by the school in force, a mean by the
     * readings of its first trial}
     *
     * @param sample one of the samples
     */
    public Optional<Presentation.Written> written(Sample sample) {
        return sample.result().flatMap(result -> sample.interval().map(by -> written(sample, result, by)));
    }

    /**
     * {@return the heat of the equation as it is written, by the result of a sample}
     *
     * @param sample one of the samples
     */
    public Optional<Presentation.Written> asWritten(Sample sample) {
        double times = timesAsWritten();
        return sample.result()
                .flatMap(result -> sample.interval().map(by -> written(sample, result.times(times), by.times(times))));
    }

    /**
     * {@return what the line through the trials of a sample stands for, each with its unit; none where there is no
     * line, or it says nothing beside its slope}
     *
     * @param sample one of the samples
     */
    public Map<LineReading, Estimate> byLine(Sample sample) {
        Map<LineReading, Estimate> readings = new LinkedHashMap<>();
        List<TrialPoint> points = counted(trials()).stream()
                .filter(trial -> sample.trials().contains(trial.account().trial()))
                .flatMap(trial -> trial.point().stream())
                .toList();
        if (points.size() > 1 && !sheet.experiment().lineReadings().isEmpty()) {
            CorrelatedLine.of(points)
                    .ifPresent(line -> sheet.experiment()
                            .lineReadings()
                            .forEach(each -> readings.put(each, line.along(each.bySlope(), each.byIntercept()))));
        }
        return readings;
    }

    private Presentation.Written written(Sample sample, Estimate result, Interval by) {
        return trials().stream()
                .filter(trial -> sample.trials().contains(trial.number()))
                .flatMap(trial -> trial.solution().stream())
                .findFirst()
                .map(solution -> presentation().written(result, by.half(), solution.result(), solution.bindings()))
                .orElseGet(() -> presentation().written(result, by.half(), unit()));
    }

    /**
     * {@return the result of a trial, written as everywhere; empty where it is not solved}
     *
     * @param trial one of the trials
     */
    public Optional<Presentation.Written> written(Trial trial) {
        return trial.solution()
                .map(solution -> presentation()
                        .written(
                                solution.estimate(),
                                trial.interval(solution.estimate()).half(),
                                solution.result(),
                                solution.bindings()));
    }

    /**
     * {@return a further result of a trial with its interval: by draws of its own where the trial's linear one is not
     * borne out}
     *
     * @param trial   which trial, from 1
     * @param further one of its further results
     */
    public Interval interval(int trial, Solution.Further further) {
        return furthers.computeIfAbsent(
                        new FurtherOf(trial, further.derived().label()),
                        any -> new Later<>(() -> worked(trial, further)))
                .get();
    }

    private Interval worked(int trial, Solution.Further further) {
        boolean linear =
                trials().stream().filter(each -> each.number() == trial).allMatch(Trial::linear);
        return Drawn.interval(
                linear
                        ? Optional.empty()
                        : solution(trial)
                                .flatMap(
                                        each -> Drawn.of(further.result(), further.estimate(), each.bindings(), DRAWS)),
                further.estimate());
    }

    /**
     * {@return what somebody makes of this reduction, made once and kept for as long as the reduction itself is}
     *
     * @param <T>  what it is
     * @param key  which of several of its type
     * @param type of it
     * @param work makes it, and asks for nothing made so itself
     */
    public <T> T once(Object key, Class<T> type, Supplier<T> work) {
        return type.cast(made.computeIfAbsent(List.of(type, key), any -> work.get()));
    }

    /** {@return the verdict on that result} */
    public Optional<Verdict> verdict() {
        return samples().get(0).verdict();
    }

    /**
     * {@return the sample a trial was made with}
     *
     * @param trial which trial, from 1
     */
    public Sample sampleOf(int trial) {
        return samples().stream()
                .filter(sample -> sample.trials().contains(trial))
                .findFirst()
                .orElse(samples().get(0));
    }

    /** {@return the unit of the result; the experiment's usual one while there is none} */
    public BenchUnit unit() {
        return unit(trials(), sheet);
    }

    private static BenchUnit unit(List<Trial> trials, Sheet sheet) {
        return trials.stream()
                .flatMap(trial -> trial.solution().stream())
                .findFirst()
                .map(solution -> solution.result().unit())
                .orElse(sheet.experiment().unknown().unit());
    }

    /** {@return what is found, in words} */
    public String unknown() {
        return samples().get(0).combination().finds().orElseGet(this::soughtByTrials);
    }

    private String soughtByTrials() {
        return trials().stream()
                .flatMap(trial -> trial.account().sought().stream())
                .findFirst()
                .filter(sought -> sought.unit() == unit())
                .map(sought -> sought.label())
                .orElse(sheet.experiment()
                        .words()
                        .find("unknown-final")
                        .filter(word -> unit() == BenchUnit.DEGREES_CELSIUS)
                        .orElse(sheet.experiment().unknown().label()));
    }

    /** {@return the equation of what happened, where one was written or follows from what was named} */
    public Optional<ChemicalEquation> equation() {
        return yardstick().equation(sheet);
    }

    private Yardstick yardstick() {
        return Experiments.declaring(sheet.experiment()).yardstick();
    }

    /** {@return how many times the result belongs to its equation as written} */
    public double timesAsWritten() {
        return counted(trials()).stream()
                .findFirst()
                .map(Solution::timesAsWritten)
                .orElse(1.0);
    }

    /** {@return what happened, as another entry may build on it; empty where no equation tells, or no heat per mole} */
    public Optional<Setting.Reaction> process() {
        return unit() == BenchUnit.KILOJOULES_PER_MOLE && legs().isEmpty()
                ? equation().map(each -> new Setting.Reaction(each.text(), timesAsWritten(), concentration()))
                : Optional.empty();
    }

    /** How often the equation went for each kilogram the vessel held (mol/kg). */
    private OptionalDouble concentration() {
        return counted(trials()).stream()
                .filter(trial -> trial.fill().isPresent())
                .flatMapToDouble(trial -> trial.extent().stream()
                        .map(extent -> Math.abs(extent) / (trial.fill().get() / 1000)))
                .filter(Double::isFinite)
                .findFirst();
    }

    /** {@return the legs of a cycle with what they make; empty where it is none, or something lacks} */
    public Optional<Legs> legs() {
        return yardstick().cycle(sheet);
    }

    /** {@return what was predicted, where anything was} */
    public Optional<Prediction> prediction() {
        return Prediction.of(sheet);
    }

    /** {@return what a calibration found here, where this experiment finds a constant} */
    public Optional<FoundConstant> constant() {
        return sheet.experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? FoundConstant.of(result(), counted(trials()))
                : Optional.empty();
    }

    private static List<Solution> counted(List<Trial> trials) {
        return trials.stream()
                .filter(Trial::counts)
                .flatMap(trial -> trial.solution().stream())
                .toList();
    }

    private static List<Trial> trials(Sheet sheet, Conventions conventions, List<Finding> findings) {
        Bindings bindings = sheet.bindings();
        Map<Finding, List<Integer>> said = new LinkedHashMap<>();
        List<Trial> trials = Experiments.declaring(sheet.experiment()).accounts(sheet, conventions).stream()
                .map(account -> trial(sheet, account, bindings, findings, said))
                .toList();
        said.forEach((finding, numbers) -> findings.add(
                finding.about().isEmpty() && numbers.size() < trials.size()
                        ? new Finding(
                                finding.grade(), finding.code(), prefix(numbers) + finding.message(), finding.about())
                        : finding));
        return trials;
    }

    private static String prefix(List<Integer> trials) {
        return trials.stream()
                .map(String::valueOf)
                .collect(Collectors.joining(", ", trials.size() == 1 ? "Trial " : "Trials ", ": "));
    }

    /** @param said takes what was found, with the numbers of the trials it was found of */
    private static Trial trial(
            Sheet sheet, Account account, Bindings bindings, List<Finding> findings, Map<Finding, List<Integer>> said) {
        boolean leftOut = sheet.setting().leftOut().contains(account.trial());
        if (refused(sheet, account.trial(), findings)) {
            return Trial.of(account, Optional.empty(), leftOut);
        }
        TimeBudget.check();
        Solution.Outcome outcome = account.solve(bindings);
        if (!leftOut) {
            outcome.findings()
                    .forEach(finding -> said.computeIfAbsent(finding, any -> new ArrayList<>())
                            .add(account.trial()));
        }
        return Trial.of(account, outcome.solution(), leftOut);
    }

    static List<Finding> refusals(List<Finding> findings) {
        return findings.stream()
                .filter(finding -> finding.grade() == Finding.Grade.REFUSE)
                .toList();
    }

    /** A refusal about one trial's slot is that trial's; one about a slot all trials draw on is everybody's. */
    static boolean refused(Sheet sheet, int trial, List<Finding> findings) {
        return findings.stream()
                .filter(finding -> finding.grade() == Finding.Grade.REFUSE
                        && !finding.about().isEmpty())
                .map(finding -> Address.read(finding.about()))
                .anyMatch(address -> address.index() == trial
                        || sheet.experiment()
                                .group(address.group())
                                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                                .isEmpty());
    }

    private static List<Sample> samples(Sheet sheet, List<Trial> trials, List<Finding> findings) {
        Map<String, List<Trial>> byName = new LinkedHashMap<>();
        trials.forEach(trial -> byName.computeIfAbsent(sheet.places().sample(trial.number()), any -> new ArrayList<>())
                .add(trial));
        return byName.entrySet().stream()
                .map(each -> sample(sheet, each.getKey(), each.getValue(), byName.size() > 1, findings))
                .toList();
    }

    private static Sample sample(
            Sheet sheet, String name, List<Trial> trials, boolean oneOfSeveral, List<Finding> findings) {
        List<Solution> counted = counted(trials);
        Optional<TrialMean> mean = counted.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        TrialMean.of(counted.stream().map(Solution::estimate).toList()));
        List<TrialPoint> points =
                counted.stream().flatMap(each -> each.point().stream()).toList();
        Optional<StraightLine> line = StraightLine.through(points);
        List<TrialResult> inShort = counted.stream().map(Solution::inShort).toList();
        Combination combination = Sample.combination(sheet, inShort);
        Optional<Estimate> result = combination.of(inShort);
        Optional<Interval> interval = result.map(value -> interval(value, trials));
        Optional<Verdict> verdict = result.flatMap(
                value -> interval.map(by -> Verdict.of(sheet, trials.get(0).number(), value, by, counted)));
        List<Finding> own = new ArrayList<>();
        verdict.ifPresent(given -> own.addAll(given.findings()));
        TrialFindings said = new TrialFindings(sheet.setting().figures(), combination);
        mean.filter(any -> !TrialResult.unlike(inShort))
                .ifPresent(value -> own.addAll(said.ofMean(
                        value,
                        trials.stream().filter(Trial::counts).map(Trial::number).toList())));
        line.filter(any -> points.get(0).meetsZero())
                .ifPresent(laid -> own.addAll(said.ofLine(laid, points.get(0).upUnit())));
        own.addAll(said.ofWhatDiffers(sheet, counted, points));
        if (result.isEmpty() && mean.isPresent()) {
            own.add(TrialResult.unlike(inShort) && !combination.needsPoints() ? said.unlikeAmounts() : said.tooFew());
        }
        Sample sample = new Sample(
                name, trials.stream().map(Trial::number).toList(), mean, line, combination, result, interval, verdict);
        own.stream()
                .map(each -> oneOfSeveral
                        ? new Finding(each.grade(), each.code(), sample.prefix() + each.message(), each.about())
                        : each)
                .forEach(findings::add);
        return sample;
    }

    /** Of random draws where the result is that of one trial, which the linear one does not describe. */
    private static Interval interval(Estimate result, List<Trial> trials) {
        List<Trial> counting = trials.stream().filter(Trial::counts).toList();
        return counting.size() == 1 ? counting.get(0).interval(result) : Interval.of(result);
    }

    private static Optional<Finding> fewDigits(Sheet sheet, Solution first) {
        return new ReadingToLookAt(sheet, first).fewDigits().map(line -> {
            String typed = sheet.setting().figures().typed(line.text());
            String more = typed
                    + (line.decimals() > 0
                                    || typed.indexOf(sheet.setting()
                                                    .figures()
                                                    .mark()
                                                    .sign())
                                            >= 0
                            ? "00"
                            : sheet.setting().figures().mark().sign() + "00");
            return Finding.note(
                            "reading.few-digits",
                            "Most of the ± comes from “"
                                    + sheet.experiment()
                                            .words()
                                            .label(line.address().path())
                                    + "”, which was written as " + typed
                                    + ": it is taken to be known to its last digit and no better. Where it is "
                                    + "known as " + more + ", write it so, and the ± becomes smaller.")
                    .at(line.address().toString());
        });
    }

    private static void calorimeterFindings(
            Sheet sheet, Conventions conventions, Solution first, List<Finding> findings) {
        if (sheet.experiment().calorimeter() != Calorimeter.Use.NEEDS_CONSTANT) {
            return;
        }
        CalorimeterTreatment.Needs needs = conventions.in(Question.CALORIMETER).needs();
        Optional<Calorimeter.Pinned> pinned = sheet.calorimeter(1).flatMap(Calorimeter::constant);
        if (needs == CalorimeterTreatment.Needs.MATERIAL) {
            return;
        }
        if (needs != CalorimeterTreatment.Needs.NOTHING && pinned.isPresent()) {
            FillCheck.of(pinned.get(), first, sheet.setting().figures()).ifPresent(findings::add);
            if (Instrument.Source.lacksGain(pinned.get().value())) {
                findings.add(Finding.note(
                        "calibration.no-gain",
                        "The constant was found before the gain of instruments counted: its ± says nothing of it. "
                                + "Adopt it anew from its calibration to have it counted."));
            }
        } else {
            IgnoredCalorimeter.effect(sheet, conventions, first.result().unit()).ifPresent(findings::add);
        }
    }
}
