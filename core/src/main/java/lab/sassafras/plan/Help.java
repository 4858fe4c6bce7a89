package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.experiment.Foresight;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Slot;
import lab.sassafras.substance.Reference;

/** What makes a result better known: another instrument of the shelf, another amount, one of them or two. */
public final class Help {

    /** Amounts are tried at these parts of what is had. */
    private static final double[] TRIED = {0.5, 0.67, 0.75, 1.33, 1.5, 2, 3};
    /** And temperatures at so many degrees more. */
    private static final double[] WARMER = {-10, -5, 5, 10, 20};

    private static final double ROUND = 0.04;
    private static final int SHOWN = 3;

    private Help() {}

    /**
     * One thing done otherwise.
     *
     * @param path       of the amount; empty where it is an instrument
     * @param text       the other amount, as one types it
     * @param instrument the other instrument; empty where it is an amount
     */
    public record Change(String path, String text, Optional<Instrument> instrument) {

        Plan in(Plan plan) {
            return instrument.map(plan::with).orElseGet(() -> plan.with(path, text));
        }

        private String of() {
            return instrument.map(each -> each.kind().key()).orElse(path);
        }
    }

    /**
     * What one change, or two, would come to.
     *
     * @param changes  one or two
     * @param relative half the 95 % interval of the result then, a part of it
     */
    public record Gain(List<Change> changes, double relative) {}

    /**
     * {@return everything that may be done otherwise, one at a time}
     *
     * @param plan  what is had
     * @param shelf instruments that are there
     */
    public static List<Change> changes(Plan plan, List<Instrument> shelf) {
        List<Change> all = new ArrayList<>();
        shelf.stream()
                .filter(each -> plan.reads().containsKey(each.kind())
                        && !plan.reads().get(each.kind()).key().equals(each.key()))
                .forEach(each -> all.add(new Change("", "", Optional.of(each))));
        for (String path : plan.amounts().stream().filter(plan::chosen).toList()) {
            double had = plan.amount(path).orElseThrow();
            Optional<Slot.Range> usual = plan.slot(path).flatMap(Slot::usual);
            if (plan.one(path).uncertainty().isEmpty() && usual.isPresent() && plan.weighed(path)) {
                double[] tried = plan.temperature(path) ? WARMER : TRIED;
                for (double each : tried) {
                    double other = plan.temperature(path) ? had + each : had * each;
                    String text = Round.about(other, plan.temperature(path) ? 1e-3 : ROUND);
                    double value = Double.parseDouble(text);
                    if (value >= usual.get().low()
                            && value <= usual.get().high()
                            && !text.equals(plan.one(path).text())) {
                        all.add(new Change(path, text, Optional.empty()));
                    }
                }
            }
        }
        return all;
    }

    /**
     * {@return what reduces the interval most, the best first: three places changed singly and three pairs of them,
     * each as it helps most}
     *
     * @param plan      what is had
     * @param reference what its result should be
     * @param shelf     instruments that are there
     */
    public static List<Gain> most(Plan plan, Reference reference, List<Instrument> shelf) {
        Quick now = Quick.of(plan, reference).orElse(new Quick(0, Double.POSITIVE_INFINITY, Double.POSITIVE_INFINITY));
        List<Change> all = changes(plan, shelf);
        List<Gain> singles = new ArrayList<>();
        List<Double> alone = new ArrayList<>();
        for (Change each : all) {
            Optional<Quick> then = quick(plan, reference, List.of(each));
            alone.add(Math.min(now.standard(), then.map(Quick::standard).orElse(Double.POSITIVE_INFINITY)));
            gain(then, now, now.standard(), List.of(each)).ifPresent(singles::add);
        }
        List<Gain> pairs = new ArrayList<>();
        List<Integer> paired = paired(plan, all, alone);
        for (int i : paired) {
            for (int j : paired) {
                if (i < j && !all.get(i).of().equals(all.get(j).of())) {
                    List<Change> both = List.of(all.get(i), all.get(j));
                    gain(quick(plan, reference, both), now, Math.min(alone.get(i), alone.get(j)), both)
                            .ifPresent(pairs::add);
                }
            }
        }
        return Stream.of(singles, pairs)
                .flatMap(some -> best(some).stream().limit(SHOWN))
                .toList();
    }

    /** All of them; where each is a run at the simulated bench, of each place the one that helps most. */
    private static List<Integer> paired(Plan plan, List<Change> all, List<Double> alone) {
        IntStream every = IntStream.range(0, all.size());
        return plan.seen().flatMap(Foresight.Seen::timed).isEmpty()
                ? every.boxed().toList()
                : List.copyOf(every.boxed()
                        .collect(Collectors.toMap(
                                i -> all.get(i).of(),
                                Function.identity(),
                                (one, other) -> alone.get(other) < alone.get(one) ? other : one,
                                TreeMap::new))
                        .values());
    }

    /** Of those that are about the same places the best, the best of all first. */
    private static List<Gain> best(List<Gain> some) {
        Map<Set<String>, Gain> by = new LinkedHashMap<>();
        some.stream()
                .sorted(Comparator.comparingDouble(Gain::relative))
                .forEach(each ->
                        by.putIfAbsent(each.changes().stream().map(Change::of).collect(Collectors.toSet()), each));
        return List.copyOf(by.values());
    }

    /**
     * What is gained; none where it only looks so, because another share of the ± is better known how well, or where
     * one of two does not help the other.
     */
    private static Optional<Gain> gain(Optional<Quick> then, Quick now, double standard, List<Change> changes) {
        return then.filter(each -> each.relative() < now.relative() && each.standard() < standard)
                .map(each -> new Gain(changes, each.relative()));
    }

    private static Optional<Quick> quick(Plan plan, Reference reference, List<Change> changes) {
        Plan other = plan;
        for (Change each : changes) {
            other = each.in(other);
        }
        Plan changed = other;
        return Quick.of(changed, reference).filter(each -> Warnings.fits(changed, each));
    }
}
