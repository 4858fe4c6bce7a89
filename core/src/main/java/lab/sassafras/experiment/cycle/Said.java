package lab.sassafras.experiment.cycle;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Remark;
import lab.sassafras.draft.CycleReactions;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Hess;
import org.hipparchus.fraction.BigFraction;

/** What is to be said of legs that make the target. */
final class Said {

    /** Final concentrations this many times apart are not the same state. Common practice, no source. */
    private static final double APART = 1.25;

    private Said() {}

    private static String made(CycleReactions legs) {
        List<BigFraction> times = legs.times();
        return "The overall reaction is made of "
                + IntStream.range(0, times.size())
                        .filter(i -> !times.get(i).equals(BigFraction.ZERO))
                        .mapToObj(i -> "reaction " + legs.legs().get(i).index() + written(times.get(i)))
                        .collect(Collectors.joining(", "))
                + ".";
    }

    private static String written(BigFraction times) {
        BigFraction size = times.abs();
        boolean reversed = times.compareTo(BigFraction.ZERO) < 0;
        return size.equals(BigFraction.ONE)
                ? reversed ? " reversed" : " as it stands"
                : (reversed ? " reversed," : "") + " times " + Fractions.written(size);
    }

    static List<Remark> of(CycleReactions legs, Figures figures) {
        List<Remark> remarks = new ArrayList<>();
        if (!legs.times().isEmpty()) {
            remarks.add(bindings -> Optional.of(Finding.note("cycle.made", made(legs))));
        }
        if (legs.outcome() instanceof Hess.Outcome.Made made && made.ways().size() > 1) {
            remarks.add(bindings -> Optional.of(Finding.note(
                    "cycle.several",
                    "These reactions make the overall reaction in "
                            + made.ways().size() + " ways; the one of fewest reactions is taken. "
                            + "The others are worth a look: all should come to the same.")));
        }
        List<BigFraction> times = legs.times();
        List<CycleReactions.Leg> used = IntStream.range(0, times.size())
                .filter(i -> !times.get(i).equals(BigFraction.ZERO))
                .mapToObj(legs.legs()::get)
                .filter(each -> each.concentration().isPresent())
                .toList();
        DoubleSummaryStatistics range = used.stream()
                .mapToDouble(each -> each.concentration().orElseThrow())
                .summaryStatistics();
        if (used.size() > 1 && range.getMax() > APART * range.getMin()) {
            String each = String.join(
                    "; ",
                    used.stream()
                            .map(leg -> leg.label() + ": "
                                    + figures.significant(leg.concentration().orElseThrow(), 2) + " mol/kg")
                            .toList());
            remarks.add(bindings -> Optional.of(Finding.question(
                    "cycle.dilution",
                    "The runs do not end at the same dilution (" + each
                            + "). Heats of dissolving and of reaction depend on it, so the legs do not meet in quite the "
                            + "same state.")));
        }
        return remarks;
    }
}
