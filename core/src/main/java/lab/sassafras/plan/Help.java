package lab.sassafras.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
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
    /** Singles that pairs are made of: the best of them, since the rest help nothing together either. */
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
        for (String path : plan.amounts()) {
            double had = plan.amount(path).orElseThrow();
            Optional<Slot.Range> usual = plan.experiment().slot(path).flatMap(Slot::usual);
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
     * {@return what reduces the interval most, the best first: three single changes and three pairs of different ones}
     *
     * @param plan      what is had
     * @param reference what its result should be
     * @param shelf     instruments that are there
     */
    public static List<Gain> most(Plan plan, Reference reference, List<Instrument> shelf) {
        double now = Quick.of(plan, reference).map(Quick::relative).orElse(Double.POSITIVE_INFINITY);
        List<Change> all = changes(plan, shelf);
        List<Gain> singles = new ArrayList<>();
        all.forEach(each -> gain(plan, reference, List.of(each)).ifPresent(singles::add));
        List<Gain> pairs = new ArrayList<>();
        for (int i = 0; i < all.size(); i++) {
            for (int j = i + 1; j < all.size(); j++) {
                if (!all.get(i).of().equals(all.get(j).of())) {
                    gain(plan, reference, List.of(all.get(i), all.get(j))).ifPresent(pairs::add);
                }
            }
        }
        return Stream.of(singles, pairs)
                .flatMap(some -> some.stream()
                        .filter(each -> each.relative() < now)
                        .sorted(Comparator.comparingDouble(Gain::relative))
                        .limit(SHOWN))
                .toList();
    }

    private static Optional<Gain> gain(Plan plan, Reference reference, List<Change> changes) {
        Plan other = plan;
        for (Change each : changes) {
            other = each.in(other);
        }
        Plan changed = other;
        return Quick.of(changed, reference)
                .filter(each -> Warnings.fits(changed, each))
                .map(each -> new Gain(changes, each.relative()));
    }
}
