package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Solution;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.yardstick.Yardstick;

/**
 * Where the heat of a burning went, of which the tables know how much there was: into what warmed, what was told of
 * otherwise, what plausible errors would account for, and the rest, which warmed the room.
 *
 * @param whole what the fuel gave by the tables (J)
 * @param parts of it, in that order
 */
public record WhereHeatWent(double whole, List<Part> parts) {

    /** Kinds of part. */
    public enum Kind {
        /** It warmed something on the account. */
        WARMED,
        /** It was told and is on the account. */
        TOLD,
        /** A suspected error of a plausible size would account for it. */
        SUPPOSED,
        /** Nothing accounts for it. */
        REST
    }

    /**
     * One part.
     *
     * @param words  where it went
     * @param joules how much (J)
     * @param kind   of it
     */
    public record Part(String words, double joules, Kind kind) {}

    /** Empty where the tables do not know the fuel, or more came than they know of. */
    static Optional<WhereHeatWent> of(Yardstick.Losses lost, Solution trial, List<ExplainingSize> suspects) {
        Optional<Double> reached = trial.derived().stream()
                .filter(each -> each.derived().unit().equals(BenchUnit.PERCENT))
                .map(each -> each.estimate().value())
                .findFirst()
                .filter(each -> each > 0 && each <= 100);
        Optional<Double> heat = trial.postings().stream()
                .filter(Solution.Posting::sought)
                .map(Solution.Posting::heat)
                .map(Estimate::value)
                .map(Math::abs)
                .findFirst();
        return reached.flatMap(per -> heat.map(given -> went(lost, trial, suspects, 100 * given / per)));
    }

    private static WhereHeatWent went(
            Yardstick.Losses lost, Solution trial, List<ExplainingSize> suspects, double whole) {
        List<Part> parts = new ArrayList<>();
        trial.postings().stream()
                .filter(each -> !each.sought() && each.heat().value() > 0)
                .forEach(each -> parts.add(new Part(
                        each.from().isPresent()
                                ? "into the " + each.party().label()
                                : each.party().label(),
                        each.heat().value(),
                        each.from().isPresent() ? Kind.WARMED : Kind.TOLD)));
        parts.sort(Comparator.comparing(Part::kind));
        double left = whole - parts.stream().mapToDouble(Part::joules).sum();
        double reached = parts.stream().mapToDouble(Part::joules).sum();
        for (ExplainingSize each : suspects) {
            double joules = accountedFor(lost, each, trial.estimate().value(), reached, whole);
            if (joules > 0 && joules < left) {
                parts.add(new Part(each.words(), joules, Kind.SUPPOSED));
                left -= joules;
            }
        }
        parts.add(new Part("unaccounted: past the can, into air and stand", Math.max(0, left), Kind.REST));
        return new WhereHeatWent(whole, List.copyOf(parts));
    }

    /** Fuel that never burnt would have given its part of the whole; what is left keeps back heat of its own. */
    private static double accountedFor(
            Yardstick.Losses lost, ExplainingSize suspect, double result, double reached, double whole) {
        double more = suspect.change() / result;
        if (lost.unburnt().contains(suspect.suspect().key())) {
            return whole * more / (1 + more);
        }
        return lost.kept().contains(suspect.suspect().key()) ? reached * more : 0;
    }
}
