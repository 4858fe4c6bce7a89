package lab.sassafras.app.planpages;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.account.Finding;
import lab.sassafras.app.chart.CoursePicture;
import lab.sassafras.app.chart.ExpectedPicture;
import lab.sassafras.app.chart.GainPicture;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Course;
import lab.sassafras.plan.Expectation;
import lab.sassafras.plan.Help;
import lab.sassafras.plan.Plan;
import lab.sassafras.plan.Purpose;
import lab.sassafras.plan.Refusals;
import lab.sassafras.plan.Sought;
import lab.sassafras.plan.Warnings;
import lab.sassafras.slot.Role;

/** A plan as the page shows it, in words and pictures. */
final class PlanScreen {

    private static final int BUDGET = 5;
    /** A result that is only expected is told to so many digits. */
    private static final int RESULT_DIGITS = 3;

    private final PlanForm form;
    private final Plan plan;
    private final Figures figures;

    PlanScreen(PlanForm form, Figures figures) {
        this.form = form;
        this.plan = form.plan();
        this.figures = figures;
    }

    /**
     * What is to be expected.
     *
     * @param end     final temperature, or what else is read last, or the result
     * @param unit    of that
     * @param change  of temperature, with the heat that goes over, in words
     * @param picture of the temperatures; empty where none is expected
     * @param summary of the picture
     * @param known   how well the result will be known, in words
     * @param serves  whether it does what it is for, in words; empty where nobody said
     * @param beside  what else would tell
     * @param by      what the result should be, and where that is from
     */
    public record Expected(
            String end,
            String unit,
            String change,
            Optional<ExpectedPicture> picture,
            String summary,
            String known,
            String serves,
            List<String> beside,
            String by) {}

    /**
     * What would help.
     *
     * @param rows    in words, each with what it comes to and where it is taken
     * @param picture of them
     * @param now     half the interval as it is, in words
     * @param mean    how well the mean of the trials of a bench will be known, in words; empty of one trial
     * @param parts   what the ± is made of
     * @param course  the curve to expect; empty where none is read
     */
    public record Helps(
            List<Row> rows,
            GainPicture picture,
            String now,
            String mean,
            List<Part> parts,
            Optional<CoursePicture> course) {}

    /** One or two things done otherwise. */
    public record Row(String words, String comes, Map<String, String> take) {

        /** What is added to the address of the plan to take it over: the later of two of a name counts. */
        public String changes() {
            return take.entrySet().stream()
                    .map(each -> "&" + encoded(each.getKey()) + "=" + encoded(each.getValue()))
                    .collect(Collectors.joining());
        }
    }

    /** A part of the ±. */
    public record Part(String words, int percent) {}

    /**
     * An amount that was sought.
     *
     * @param words what was found
     * @param path  of it
     * @param text  to take
     */
    public record Found(String words, String path, String text) {

        /** What is added to the address of the plan to take it over. */
        public String changes() {
            return "&" + encoded(PlanForm.PLACE + path) + "=" + encoded(text);
        }
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** Either what is to be expected, or why nothing is; with what to know. */
    record Reckoned(Optional<Expectation> expectation, List<Finding> findings) {}

    Reckoned reckoned() {
        List<Finding> refusals = Refusals.of(plan);
        List<Finding> otherwise = form.period().reckoning().otherwise().stream()
                .map(each -> Finding.note(
                        "plan.convention",
                        "“" + each + "” asks for what is only read at the bench: reckoned here by what is usual."))
                .toList();
        try {
            Expectation.Outcome outcome = Expectation.of(plan);
            List<Finding> all = new ArrayList<>(refusals);
            all.addAll(otherwise);
            outcome.expectation().ifPresent(each -> all.addAll(Warnings.of(each)));
            outcome.findings().stream()
                    .filter(each -> outcome.expectation().isEmpty()
                            || each.grade() != Finding.Grade.NOTE
                            || each.code().startsWith("reagents."))
                    .forEach(all::add);
            all.sort(java.util.Comparator.comparing(Finding::grade));
            return new Reckoned(refusals.isEmpty() ? outcome.expectation() : Optional.empty(), all);
        } catch (Refused refused) {
            return new Reckoned(Optional.empty(), List.of(Finding.refuse("plan.refused", refused.getMessage())));
        }
    }

    Expected expected(Expectation expectation) {
        Optional<Purpose.Served> served = served(expectation);
        Headline headline = headline(expectation);
        return new Expected(
                headline.end(),
                headline.unit(),
                headline.change(),
                headline.picture(),
                headline.summary(),
                result(expectation) + " within ± " + percent(expectation.relative()) + " (95 %)"
                        + served.filter(each -> each.asks() < 1)
                                .map(each -> ". The purpose asks for " + percent(each.asks()))
                                .orElse("")
                        + ".",
                served.map(PlanScreen::serves).orElse(""),
                served.filter(each -> !each.enough())
                        .map(Purpose.Served::beside)
                        .orElse(List.of()),
                expectation
                        .seen()
                        .map(Foresight.Seen::by)
                        .orElseGet(() -> expectation.reference().name() + " " + result(expectation) + ", "
                                + expectation.reference().sourceInWords()));
    }

    /** What stands above all else. */
    private record Headline(
            String end, String unit, String change, Optional<ExpectedPicture> picture, String summary) {}

    private Headline headline(Expectation expectation) {
        Optional<Expectation.Ends> ends = expectation.ends();
        if (expectation.warms().isPresent()) {
            return warming(expectation, expectation.warms().get());
        }
        if (ends.isEmpty()) {
            return new Headline(
                    figures.significant(expectation.result().value(), RESULT_DIGITS),
                    expectation.unit().symbol(),
                    "the result to expect",
                    Optional.empty(),
                    "");
        }
        String unit = ends.get().unit().symbol();
        double more = ends.get().change();
        // both to as many decimals as the difference has digits that are told
        int decimals = (int) Math.max(0, RESULT_DIGITS - 1 - Math.floor(Math.log10(Math.abs(more))));
        return new Headline(
                figures.fixed(ends.get().value().value(), decimals),
                unit,
                "read last: " + plan.label(ends.get().path()) + ", " + figures.fixed(more, decimals) + " " + unit
                        + " more than before",
                Optional.empty(),
                "");
    }

    private Headline warming(Expectation expectation, Expectation.Ends ends) {
        double end = ends.value().value();
        int decimals = Math.max(1, Figures.decimalsFor(ends.value().half()) - 1);
        String low = figures.fixed(ends.value().low(), decimals);
        String high = figures.fixed(ends.value().high(), decimals);
        List<ExpectedPicture.Named> starts = starts();
        Instrument thermometer = plan.reads().get(InstrumentKind.THERMOMETER);
        ExpectedPicture picture = ExpectedPicture.of(
                starts,
                new ExpectedPicture.Named(
                        "ends at " + figures.fixed(end, decimals) + ", between " + low + " and " + high, end),
                new double[] {ends.value().low(), ends.value().high()},
                thermometer == null
                        ? List.of()
                        : List.of(
                                new ExpectedPicture.Named(
                                        thermometer.name() + " ends at " + figures.plain(thermometer.high()),
                                        thermometer.high()),
                                new ExpectedPicture.Named(
                                        thermometer.name() + " begins at " + figures.plain(thermometer.low()),
                                        thermometer.low())),
                figures::plain);
        return new Headline(
                figures.fixed(end, decimals),
                "°C",
                "expected in the end, a change of " + figures.signed(ends.change(), decimals) + " °C; "
                        + figures.significant(expectation.heat() / 1000, 3) + " kJ are exchanged",
                Optional.of(picture),
                "Starts at "
                        + starts.stream()
                                .map(each -> figures.plain(each.temperature()))
                                .collect(Collectors.joining(", "))
                        + " °C, ends between " + low + " and " + high + " °C.");
    }

    private String result(Expectation expectation) {
        return figures.significant(expectation.result().value(), RESULT_DIGITS) + " "
                + expectation.unit().symbol();
    }

    private String percent(double part) {
        return figures.significant(100 * part, 2) + " %";
    }

    private List<ExpectedPicture.Named> starts() {
        return plan.amounts().stream()
                .filter(path -> plan.temperature(path) && plan.one(path).role() != Role.STATED)
                .map(path -> {
                    double at = plan.amount(path).orElseThrow();
                    return new ExpectedPicture.Named(
                            plan.experiment().words().label(path) + " " + figures.plain(at), at);
                })
                .toList();
    }

    private Optional<Purpose.Served> served(Expectation expectation) {
        try {
            return form.purpose().map(each -> each.by(expectation));
        } catch (Refused cannotBe) {
            return Optional.empty();
        }
    }

    private static String serves(Purpose.Served served) {
        String chance = served.chance() > 0.995 ? "more than 99 %" : Math.round(100 * served.chance()) + " %";
        if (served.hopeless()) {
            return "No amounts will do: the handbook’s own values lie too near to each other (a chance of " + chance
                    + ").";
        }
        return served.enough()
                ? "It will do, with a chance of " + chance + "."
                : "It will not do: the chance is " + chance + ", where 95 % is wanted.";
    }

    private String mean(Expectation expectation) {
        int trials = form.period().file().trials();
        return trials == 1
                ? ""
                : "The mean of " + trials + " trials that all go so: within ± " + percent(expectation.relative(trials))
                        + " (95 %). What they share, such as an offset, no number of them makes smaller.";
    }

    Helps helps(Expectation expectation) {
        List<Help.Gain> gains = Help.most(plan, expectation.reference(), form.helpers());
        double now = 100 * expectation.relative();
        Optional<Double> asks =
                served(expectation).map(each -> 100 * each.asks()).filter(each -> each < 100);
        return new Helps(
                gains.stream().map(this::row).toList(),
                GainPicture.of(
                        now,
                        asks,
                        gains.stream().map(each -> 100 * each.relative()).toList()),
                percent(expectation.relative()),
                mean(expectation),
                parts(expectation.estimate()),
                Course.of(expectation).map(each -> CoursePicture.of(each, figures::plain)));
    }

    /** What several numbers of one curve bring stands in one line. */
    private static List<Part> parts(Estimate estimate) {
        Map<String, Double> shares = new LinkedHashMap<>();
        estimate.contributions().forEach(each -> shares.merge(each.label(), each.shareOf(estimate), Double::sum));
        return shares.entrySet().stream()
                .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
                .limit(BUDGET)
                .map(each -> new Part(each.getKey(), (int) Math.round(100 * each.getValue())))
                .filter(each -> each.percent() > 0)
                .toList();
    }

    private Row row(Help.Gain gain) {
        Map<String, String> take = new LinkedHashMap<>();
        String words = gain.changes().stream()
                .map(each -> {
                    each.instrument()
                            .ifPresentOrElse(
                                    one -> take.put(one.kind().key(), one.key()),
                                    () -> take.put(PlanForm.PLACE + each.path(), each.text()));
                    return words(each);
                })
                .collect(Collectors.joining("; "));
        return new Row(words, "± " + percent(gain.relative()), take);
    }

    private String words(Help.Change change) {
        if (change.instrument().isPresent()) {
            Instrument other = change.instrument().get();
            Instrument now = plan.reads().getOrDefault(other.kind(), other);
            return other.name() + ", reads " + figures.plain(other.resolution()) + " "
                    + other.unit().symbol() + ", instead of " + now.name();
        }
        Plan.Had had = plan.one(change.path());
        return plan.label(change.path()) + ": " + figures.typed(change.text()) + " " + had.unit() + " instead of "
                + figures.typed(had.text());
    }

    Optional<Found> found() {
        return form.wanted().map(wanted -> {
            try {
                Sought sought = Sought.of(plan, wanted.path(), wanted.wish(), wanted.much());
                String unit = plan.one(wanted.path()).unit();
                String comes = wanted.wish() == Sought.Wish.CHANGE
                        ? "a change of " + figures.signed(sought.comes(), 1) + " °C"
                        : "± " + percent(sought.comes());
                return new Found(
                        sought.meets()
                                ? "About " + figures.typed(sought.amount()) + " " + unit + " come to " + comes + "."
                                : "No amount reaches it. The nearest is about " + figures.typed(sought.amount()) + " "
                                        + unit + ", which comes to " + comes + ". "
                                        + sought.why().words(),
                        wanted.path(),
                        sought.amount());
            } catch (Refused refused) {
                return new Found(refused.getMessage(), "", "");
            }
        });
    }
}
