package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.Sheet;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.hipparchus.exception.MathRuntimeException;

/**
 * What a suspected error would do to the result, and the size of it that would explain how far the result is off.
 *
 * @param suspect  the error
 * @param words    in words
 * @param unit     of the error, as it is written
 * @param error    true value less recorded value here, of a plausible size (that unit)
 * @param change   the result corrected for the error, less the result as it stands (unit of the result)
 * @param reach    the same for the largest size to believe, to the same side (unit of the result)
 * @param part     how much of the whole deviation that corrects; empty where nothing is off
 * @param explains size that would correct all of it (that unit); empty where none does, or nothing is off
 * @param believed whether that size, and its sign, can be believed
 * @param likely   how likely an error of its usual spread leaves the result so far off (per unit of the result); 0
 *                 where nothing is off
 */
public record ExplainingSize(
        PossibleCause suspect,
        String words,
        String unit,
        double error,
        double change,
        double reach,
        OptionalDouble part,
        OptionalDouble explains,
        boolean believed,
        double likely) {

    private static final int STEPS = 60;
    private static final int EVALUATIONS = 200;
    /** A slip that leaves less of the deviation than this is judged anew: the reference may hang on the reading too. */
    private static final double NEAR = 0.25;

    private static final double GROWING = 1.15;
    private static final double CLOSE = 1e-9;
    private static final double CLOSE_ENOUGH = 1e-4;

    /**
     * How far the result is off.
     *
     * @param size    reference less result (unit of the result)
     * @param allowed what the uncertainties of both allow (unit of the result)
     */
    record Deviation(double size, double allowed) {}

    /**
     * {@return what would explain the deviation first, then what goes some of the way, then the rest by how far it
     * moves}
     */
    static List<ExplainingSize> all(
            Sheet sheet, Conventions conventions, Solution solution, Optional<Deviation> deviation) {
        if (sheet.setting().withheld()) {
            return List.of();
        }
        CauseEffect suspicion = new CauseEffect(sheet, conventions, solution);
        List<ExplainingSize> sizes = new ArrayList<>();
        for (PossibleCause suspect : Experiments.declaring(sheet.experiment()).suspected()) {
            if (suspect.cause() instanceof PossibleCause.Cause.Answered answered) {
                deviation
                        .flatMap(off -> otherwise(sheet, suspect, suspicion, suspicion.otherwise(answered), off))
                        .ifPresent(sizes::add);
            } else if (suspect.cause() instanceof PossibleCause.Cause.Misread) {
                deviation
                        .flatMap(off -> slipped(sheet, suspect, suspicion, suspicion.misread(), off))
                        .ifPresent(sizes::add);
            } else if (suspect.cause() instanceof PossibleCause.Cause.WithItsVessel) {
                deviation
                        .flatMap(off -> slipped(sheet, suspect, suspicion, suspicion.withVessel(suspect), off))
                        .ifPresent(sizes::add);
            } else {
                suspicion
                        .apply(suspect)
                        .map(applied -> of(sheet, suspect, suspicion.asItStands(), applied, deviation))
                        .filter(size -> Double.isFinite(size.change()) && size.change() != 0)
                        .ifPresent(sizes::add);
            }
        }
        sizes.sort(Comparator.comparing((ExplainingSize size) -> !size.believed())
                .thenComparing(size -> !size.helps())
                .thenComparing(size -> -size.likely())
                .thenComparing(size -> -Math.abs(size.change())));
        return List.copyOf(sizes);
    }

    /**
     * The reading that fits best as it may have been; one of many is so much the less likely. A slip that does not fit
     * is no cause that goes some of the way.
     */
    private static Optional<ExplainingSize> slipped(
            Sheet sheet,
            PossibleCause suspect,
            CauseEffect suspicion,
            List<CauseEffect.Slipped> slips,
            Deviation deviation) {
        return slips.stream()
                .map(slip -> slipped(sheet, suspect, suspicion, slip, slips.size(), deviation))
                .filter(size -> Double.isFinite(size.change()) && size.believed())
                .max(Comparator.comparingDouble(ExplainingSize::likely));
    }

    private static ExplainingSize slipped(
            Sheet sheet,
            PossibleCause suspect,
            CauseEffect suspicion,
            CauseEffect.Slipped slip,
            int among,
            Deviation deviation) {
        ExplainingSize size = of(sheet, suspect, suspicion.asItStands(), slip.applied(), Optional.of(deviation));
        boolean near = slip.applied().steps() && Math.abs(1 - size.part().orElse(0)) < NEAR;
        Optional<Agreement> anew = near ? suspicion.retyped(slip) : Optional.empty();
        String label = sheet.experiment().words().label(slip.line().address().path());
        Figures figures = sheet.setting().figures();
        return new ExplainingSize(
                suspect,
                size.words() + ": " + label
                        + (slip.text().isEmpty()
                                ? ""
                                : ", " + figures.typed(slip.text()) + " and not "
                                        + figures.typed(slip.line().text())),
                size.unit(),
                size.error(),
                size.change(),
                size.reach(),
                size.part(),
                slip.applied().steps() ? OptionalDouble.of(slip.applied().size()) : size.explains(),
                anew.map(Agreement::agrees).orElse(size.believed()),
                anew.map(found -> Likelihood.at(new Deviation(found.difference(), found.allowed()), 0, 0))
                                .orElse(size.likely())
                        / among);
    }

    private static ExplainingSize of(
            Sheet sheet,
            PossibleCause suspect,
            double standing,
            CauseEffect.Applied applied,
            Optional<Deviation> deviation) {
        DoubleUnaryOperator changes = size -> applied.at().applyAsDouble(size) - standing;
        DoubleUnaryOperator moves = size -> changes.applyAsDouble(size) - applied.moved() * size;
        double size = towards(suspect, telling(suspect, applied, changes), moves, deviation);
        double nearer = moves.applyAsDouble(size);
        boolean told = deviation
                .filter(off -> suspect.cause() instanceof PossibleCause.Cause.Mark
                        && Math.abs(off.size() - nearer) <= Math.min(off.allowed(), Math.abs(off.size()) / 2))
                .isPresent();
        OptionalDouble explains = deviation.isEmpty() || applied.steps()
                ? OptionalDouble.empty()
                // where the curve itself tells when it began, that is the size
                : told
                        ? OptionalDouble.of(size)
                        : reaching(deviation.get().size(), moves, size, nearer, applied.most());
        double each = suspect.measure().each();
        return new ExplainingSize(
                suspect,
                sheet.experiment().words().get("suspect." + suspect.key()),
                suspect.measure().unit().isEmpty()
                        ? applied.unit()
                        : suspect.measure().unit(),
                size / each,
                changes.applyAsDouble(size),
                changes.applyAsDouble(Math.copySign(Math.max(applied.most(), Math.abs(size)), size)),
                deviation.isPresent()
                        ? OptionalDouble.of(nearer / deviation.get().size())
                        : OptionalDouble.empty(),
                explains.isPresent() ? OptionalDouble.of(explains.getAsDouble() / each) : explains,
                deviation
                        .filter(off -> applied.steps()
                                ? Math.abs(nearer - off.size()) <= off.allowed()
                                : believed(suspect, applied, explains))
                        .isPresent(),
                deviation
                        .map(off -> applied.steps()
                                ? Likelihood.at(off, nearer, 0)
                                : Likelihood.of(
                                        moves,
                                        applied.size(),
                                        applied.most(),
                                        suspect.way() == PossibleCause.Sign.EITHER,
                                        off))
                        .orElse(0.0));
    }

    /** Of other answers, the one nearest to its own reference, where that is nearer than the result is to its. */
    private static Optional<ExplainingSize> otherwise(
            Sheet sheet,
            PossibleCause suspect,
            CauseEffect suspicion,
            List<CauseEffect.Otherwise> answers,
            Deviation deviation) {
        return answers.stream()
                .min(Comparator.comparingDouble(each -> each.found().times()))
                .filter(best -> Math.abs(best.found().difference()) < Math.abs(deviation.size()))
                .map(best -> {
                    double change = best.value() - suspicion.asItStands();
                    return new ExplainingSize(
                            suspect,
                            sheet.experiment().words().get("suspect." + suspect.key())
                                    + (suspect.measure().unit().isEmpty()
                                            ? ": " + best.found().reference().name()
                                            : ""),
                            suspect.measure().unit(),
                            best.size(),
                            change,
                            change,
                            OptionalDouble.of(1 - Math.abs(best.found().difference() / deviation.size())),
                            OptionalDouble.of(best.size()),
                            best.found().agrees(),
                            Likelihood.at(
                                            new Deviation(
                                                    best.found().difference(),
                                                    best.found().allowed()),
                                            0,
                                            0)
                                    / answers.size());
                });
    }

    /**
     * The plausible size; where so little moves nothing yet, as before the other reagent runs out, the first that does.
     */
    private static double telling(PossibleCause suspect, CauseEffect.Applied applied, DoubleUnaryOperator moves) {
        for (double size = applied.size(); Math.abs(size) <= applied.most(); size *= GROWING) {
            if (moves.applyAsDouble(size) != 0) {
                return size;
            }
            if (suspect.way() == PossibleCause.Sign.EITHER && moves.applyAsDouble(-size) != 0) {
                return -size;
            }
        }
        return applied.size();
    }

    /** The plausible size, turned to the side on which it helps where it may as well lie there. */
    private static double towards(
            PossibleCause suspect, double size, DoubleUnaryOperator moves, Optional<Deviation> deviation) {
        boolean turned = suspect.way() == PossibleCause.Sign.EITHER
                && deviation
                        .filter(off -> off.size() * moves.applyAsDouble(size) < 0)
                        .isPresent();
        return turned ? -size : size;
    }

    private static boolean believed(PossibleCause suspect, CauseEffect.Applied applied, OptionalDouble explains) {
        if (explains.isEmpty()) {
            return false;
        }
        double size = explains.getAsDouble();
        return Math.abs(size) <= applied.most() * (1 + CLOSE)
                && (suspect.way() == PossibleCause.Sign.EITHER || size * applied.size() > 0);
    }

    /** The size at which the result has moved by a deviation, looked for on the side on which it moves that way. */
    private static OptionalDouble reaching(
            double deviation, DoubleUnaryOperator moves, double plausible, double change, double most) {
        double near = 0;
        double far = Math.copySign(plausible, plausible * change * deviation);
        for (int step = 0; step < STEPS; step++) {
            double missing = deviation - moves.applyAsDouble(far);
            if (!Double.isFinite(missing)) {
                return OptionalDouble.empty();
            }
            if (missing * deviation <= 0) {
                return between(near, far, size -> moves.applyAsDouble(size) - deviation, deviation);
            }
            near = far;
            far *= GROWING;
            // beyond the largest believed there may be no account any more, as where a mass would be negative
            if (Math.abs(near) < most * (1 - 2 * CLOSE) && Math.abs(far) > most) {
                far = Math.copySign(most * (1 - CLOSE), far);
            }
        }
        return OptionalDouble.empty();
    }

    private static OptionalDouble between(double near, double far, UnivariateFunction missing, double deviation) {
        double found;
        try {
            found = new BracketingNthOrderBrentSolver(CLOSE, 0, 5)
                    .solve(EVALUATIONS, missing, Math.min(near, far), Math.max(near, far));
        } catch (MathRuntimeException noSize) {
            return OptionalDouble.empty();
        }
        return Math.abs(missing.value(found)) <= CLOSE_ENOUGH * Math.abs(deviation)
                ? OptionalDouble.of(found)
                : OptionalDouble.empty();
    }

    /**
     * Causes no result tells apart.
     *
     * @param first the likeliest of them
     * @param tied  the others
     */
    public record Row(ExplainingSize first, List<ExplainingSize> tied) {

        private boolean takes(ExplainingSize other) {
            return tied.size() < Ties.MOST - 1
                    && first.believed() == other.believed()
                    && Stream.concat(Stream.of(first), tied.stream())
                            .allMatch(each -> Ties.tied(
                                            each.suspect().key(),
                                            other.suspect().key())
                                    && each.change() * other.change() > 0);
        }
    }

    /**
     * {@return as they are said: those that move the same number the same way together, where the likeliest of them
     * stands}
     *
     * @param ranked likeliest first
     */
    public static List<Row> rows(List<ExplainingSize> ranked) {
        List<Row> rows = new ArrayList<>();
        for (ExplainingSize each : ranked) {
            rows.stream()
                    .filter(row -> row.takes(each))
                    .findFirst()
                    .ifPresentOrElse(row -> row.tied().add(each), () -> rows.add(new Row(each, new ArrayList<>())));
        }
        return rows;
    }

    /** {@return whether correcting for it brings the result nearer to where it should be} */
    public boolean helps() {
        return part.isPresent() && part.getAsDouble() > 0;
    }

    /**
     * {@return that none of them explains the whole deviation by itself; empty where one does, or nothing is off}
     *
     * @param all of a reduction
     */
    public static Optional<Finding> noneSuffices(List<ExplainingSize> all) {
        return all.stream().noneMatch(each -> each.part().isPresent())
                        || all.stream().anyMatch(ExplainingSize::believed)
                ? Optional.empty()
                : Optional.of(Finding.note(
                        "suspects.none",
                        "No single suspected error explains the whole difference at a size that can be believed: "
                                + "several together may, or one that nobody listed."));
    }
}
