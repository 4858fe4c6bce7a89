package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.account.Account;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.calibration.FillCheck;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.TimeBudget;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.SheetFindings;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialMean;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.statistics.TrialResult;

/**
 * Where a run stands.
 *
 * @param trials   one for each account, in order
 * @param samples  what the trials of each sample come to
 * @param findings everything the reader must know, weightiest first
 * @param refusals findings that leave trials out
 */
record Standing(List<Trial> trials, List<Sample> samples, List<Finding> findings, List<Finding> refusals) {

    static Standing of(Sheet sheet, Conventions conventions) {
        List<Finding> findings = new ArrayList<>(SheetFindings.of(sheet));
        List<Finding> refusals = refusals(findings);
        List<Trial> trials = trials(sheet, conventions, findings);
        List<Sample> samples = samples(sheet, trials, findings);
        List<Solution> counted = Trial.counted(trials);
        if (!counted.isEmpty()) {
            fewDigits(sheet, counted.get(0)).ifPresent(findings::add);
            calorimeterFindings(sheet, conventions, counted.get(0), findings);
        }
        findings.sort(Comparator.comparing(Finding::grade));
        return new Standing(trials, samples, List.copyOf(findings), refusals);
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
        List<Solution> counted = Trial.counted(trials);
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
        CalorimeterTreatment.Needs needs =
                conventions.in(ConventionQuestion.CALORIMETER).needs();
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
