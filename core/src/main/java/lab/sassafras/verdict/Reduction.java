package lab.sassafras.verdict;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Supplier;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.LineReading;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Working;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.statistics.CorrelatedLine;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.yardstick.Judged;

/**
 * An entry worked out, as one document that page and file render: where the run stands (trials, the result of each
 * sample, what to know), and beyond it the other schools, suspects, working and random draws. Derived from the sheet,
 * never stored; each stage is worked when it is first asked for, once, and does not change after.
 */
public final class Reduction {

    /** Random draws of one trial's result. */
    public static final int DRAWS = 50_000;

    /** Figures a value without an interval is written with. */
    private static final int DIGITS = 4;

    private final Sheet sheet;
    private final Conventions conventions;
    private final Lazy<Standing> standing = new Lazy<>(() -> Standing.of(sheet(), conventions()));
    private final Lazy<List<Alternative>> alternatives = new Lazy<>(this::worked);
    private final Lazy<List<ExplainingSize>> suspects = new Lazy<>(this::suspected);
    private final Map<Integer, Lazy<Optional<Working>>> workings = new ConcurrentHashMap<>();
    private final Writing writing = new Writing(this);
    private final WhatHappened happened = new WhatHappened(this);
    private final Map<Object, Object> made = new ConcurrentHashMap<>();

    private Reduction(Sheet sheet, Conventions conventions) {
        this.sheet = sheet;
        this.conventions = conventions;
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

    private List<Alternative> worked() {
        if (sheet.setting().withheld()) {
            return List.of();
        }
        return result().map(inForce -> FirstSample.of(
                                sheet, conventions, standing.get().refusals())
                        .alternatives(trials().stream().map(Trial::account).toList(), inForce))
                .orElse(List.of());
    }

    private List<ExplainingSize> suspected() {
        List<Solution> counted = Trial.counted(trials());
        return counted.isEmpty()
                ? List.of()
                : ExplainingSize.all(sheet, conventions, counted.get(0), deviation(counted.get(0)));
    }

    /** How far the result is off, by its reference, or by what such a vessel can hold. */
    private Optional<ExplainingSize.Deviation> deviation(Solution first) {
        Sample sample = samples().get(0);
        return sample.verdict()
                .flatMap(Verdict::agreement)
                .filter(found -> !found.agrees())
                .map(found -> new ExplainingSize.Deviation(-found.difference(), found.allowed()))
                .or(() -> sample.result().flatMap(result -> {
                    Judged judged = new Judged(
                            sheet, 1, result, first, Trial.counted(trials()).size());
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
    public List<ExplainingSize> suspects() {
        return suspects.get();
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

    Optional<Solution> solution(int trial) {
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
                        trial, any -> new Lazy<>(() -> solution(trial).map(presentation()::working)))
                .get();
    }

    /** {@return how its results are written} */
    public Writing writing() {
        return writing;
    }

    /** {@return what happened, as far as an equation tells} */
    public WhatHappened happened() {
        return happened;
    }

    /** {@return the result of its first sample as it is written: half the 95 % interval behind it, its unit} */
    public String inShort() {
        return samples().stream()
                .flatMap(each -> writing.written(each).stream())
                .findFirst()
                .map(Object::toString)
                .orElse("no result");
    }

    /**
     * {@return a value of what is sought in the unit its result is written in}
     *
     * @param value (the experiment's own unit)
     */
    public String sought(double value) {
        BenchUnit shown = presentation().unit(unit());
        return sheet.setting().figures().significant(value / shown.widthToBench(1), DIGITS) + " " + shown.symbol();
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
     * {@return what the line through the trials of a sample stands for, each with its unit; none where there is no
     * line, or it says nothing beside its slope}
     *
     * @param sample one of the samples
     */
    public Map<LineReading, Estimate> byLine(Sample sample) {
        Map<LineReading, Estimate> readings = new LinkedHashMap<>();
        List<TrialPoint> points = Trial.counted(trials()).stream()
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
                .filter(sought -> sought.unit().equals(unit()))
                .map(sought -> sought.label())
                .orElse(sheet.experiment()
                        .words()
                        .find("unknown-final")
                        .filter(word -> unit().equals(BenchUnit.DEGREES_CELSIUS))
                        .orElse(sheet.experiment().unknown().label()));
    }

    /** {@return what a calibration found here, where this experiment finds a constant} */
    public Optional<FoundConstant> constant() {
        return sheet.experiment().calorimeter() == Calorimeter.Use.FINDS_CONSTANT
                ? FoundConstant.of(result(), Trial.counted(trials()))
                : Optional.empty();
    }
}
