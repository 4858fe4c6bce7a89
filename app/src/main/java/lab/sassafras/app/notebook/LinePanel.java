package lab.sassafras.app.notebook;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.SingleAccount;
import lab.sassafras.app.chart.LinePicture;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.StraightLine;
import lab.sassafras.statistics.TrialPoint;
import lab.sassafras.verdict.Reduction;
import lab.sassafras.verdict.Sample;
import lab.sassafras.verdict.Trial;

/**
 * The line through the trials of a sample, with what may make its result.
 *
 * @param title     what is drawn against what
 * @param slope     with equal weights
 * @param weighed   with each trial weighed by its uncertainty; empty where that cannot be
 * @param intercept where there is nothing across
 * @param meaning   what the intercept says
 * @param stands    what slope and intercept stand for, where that is something else
 * @param picture   the same, drawn
 * @param open      what else may be put in force as the result
 * @param inForce   what is
 */
public record LinePanel(
        String title,
        String slope,
        Optional<String> weighed,
        String intercept,
        String meaning,
        List<Stands> stands,
        LinePicture picture,
        List<Combination> open,
        Combination inForce) {

    /**
     * What a number of the line stands for.
     *
     * @param label in words
     * @param value with its ± and unit
     */
    public record Stands(String label, String value) {}

    static Optional<LinePanel> of(Reduction reduction, Sample sample) {
        List<Trial> trials = reduction.trials().stream()
                .filter(trial -> trial.counts()
                        && sample.trials().contains(trial.number())
                        && trial.solution().orElseThrow().point().isPresent())
                .toList();
        return sample.line().map(line -> of(reduction, sample, line, trials));
    }

    private static LinePanel of(Reduction reduction, Sample sample, StraightLine line, List<Trial> trials) {
        Figures figures = reduction.sheet().setting().figures();
        List<TrialPoint> points = trials.stream()
                .map(trial -> trial.solution().orElseThrow().point().orElseThrow())
                .toList();
        BenchUnit up = points.get(0).upUnit();
        BenchUnit across = points.get(0).acrossUnit();
        Optional<SingleAccount.Fitted> fitted = points.get(0).meetsZero() ? Optional.empty() : fitted(trials.get(0));
        String unit = up.symbol().isEmpty()
                ? " " + across.symbol().replaceFirst("^1/", "")
                : " " + up.symbol() + "/" + across.symbol();
        Optional<Estimate> weighed = !points.get(0).meetsZero()
                ? Optional.empty()
                : Combination.LINE.of(trials.stream()
                        .map(trial -> trial.solution().orElseThrow().inShort())
                        .toList());
        return new LinePanel(
                fitted.map(each -> each.up().symbol().text() + " against "
                                + each.across().symbol().text())
                        .orElseGet(() -> capital(up.dimension().word()) + " against "
                                + across.dimension().word()),
                written(figures, line.slope(), line.slopeHalfWidth()) + unit,
                weighed.map(each -> written(figures, each.value(), each.halfWidth(0.95)) + unit),
                written(figures, line.intercept(), line.interceptHalfWidth()) + " " + up.symbol(),
                !points.get(0).meetsZero()
                        ? "Slope and intercept ± half their 95 % interval, by the scatter of the trials about the line; what they stand for, "
                                + "with each trial weighed by its ± and the two taken together."
                        : line.missesZero()
                                ? "The intercept is away from zero: every trial carries the same amount of something else. The "
                                        + "slope is free of it."
                                : "The intercept is zero within its scatter, as it should be: no error is the same in every "
                                        + "trial.",
                reduction.byLine(sample).entrySet().stream()
                        .map(each -> new Stands(
                                each.getKey().label(),
                                written(
                                                figures,
                                                each.getValue().value(),
                                                each.getValue().halfWidth(0.95))
                                        + " " + each.getKey().unit().symbol()))
                        .toList(),
                LinePicture.of(
                        line,
                        points,
                        trials.stream().map(Trial::number).toList(),
                        figures,
                        fitted.map(each -> List.of(
                                        each.across().symbol().text(),
                                        each.up().symbol().text()))
                                .orElse(List.of())),
                reduction.sheet().experiment().combinations().stream()
                        .filter(each -> !each.key().equals(sample.combination().key())
                                && each.open(trials.stream()
                                        .map(trial ->
                                                trial.solution().orElseThrow().inShort())
                                        .toList()))
                        .toList(),
                sample.combination());
    }

    private static Optional<SingleAccount.Fitted> fitted(Trial trial) {
        return trial.solution().orElseThrow().account() instanceof SingleAccount<?> books
                ? books.beside().fitted()
                : Optional.empty();
    }

    private static String capital(String word) {
        return Character.toUpperCase(word.charAt(0)) + word.substring(1);
    }

    private static String written(Figures figures, double value, double halfWidth) {
        return figures.signed(value, Figures.decimalsFor(halfWidth)) + " ± " + figures.uncertainty(halfWidth);
    }
}
