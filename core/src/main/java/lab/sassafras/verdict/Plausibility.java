package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.experiment.PossibleCause;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.yardstick.Judged;
import lab.sassafras.yardstick.Parts;

/** Whether a result is one that such a thing can have, where it cannot be negative and is small beside its ±. */
final class Plausibility {

    private final Parts.Plausible what;
    private final Judged judged;
    private final Estimate result;
    private final Figures figures;

    Plausibility(Parts.Plausible what, Judged judged) {
        this.what = what;
        this.judged = judged;
        this.result = judged.result();
        this.figures = judged.figures();
    }

    List<Finding> findings() {
        List<Finding> findings = new ArrayList<>();
        negative().ifPresent(findings::add);
        tooLarge().ifPresent(findings::add);
        return findings;
    }

    private Optional<Finding> negative() {
        if (result.value() >= 0) {
            return Optional.empty();
        }
        return Optional.of(
                nearNought(result.value(), result.uncertainty())
                        ? Finding.note(
                                what.key() + ".negative-near-zero",
                                "The " + what.word() + " is negative, but within 2 u of zero. It stays "
                                        + "in the mean: leaving it out would bias the mean.")
                        : Finding.question(
                                what.key() + ".negative",
                                what.cannotBe()
                                                .formatted(figures.byUncertainty(result.value(), result.uncertainty())
                                                        + " " + unit())
                                        + causes()));
    }

    /**
     * How far a result is from what is middling for such a thing, where it cannot be believed; it may as well be none
     * or twice that.
     */
    Optional<ExplainingSize.Deviation> off() {
        if (what.typical().isEmpty() || !beyondLargest() && !surelyNegative()) {
            return Optional.empty();
        }
        double typical = what.typical().getAsDouble();
        return Optional.of(
                new ExplainingSize.Deviation(typical - result.value(), Math.hypot(2 * result.uncertainty(), typical)));
    }

    /** Within two standard uncertainties a negative value may as well be none, or a small one. */
    static boolean nearNought(double value, double uncertainty) {
        return value > -2 * uncertainty;
    }

    private boolean surelyNegative() {
        return result.value() < 0 && !nearNought(result.value(), result.uncertainty());
    }

    private boolean beyondLargest() {
        return what.largest().isPresent() && result.value() > what.largest().getAsDouble();
    }

    private List<ExplainingSize> suspects() {
        return ExplainingSize.all(judged.sheet(), judged.sheet().setting().conventions(), judged.solved(), off());
    }

    /** What would make it larger by these very books; with a cup that held the hot water it is the other way round. */
    private String causes() {
        List<String> causes = suspects().stream()
                .filter(size -> size.change() > 0 && size.suspect().way() == PossibleCause.Sign.ONE)
                .map(ExplainingSize::words)
                .toList();
        return "It comes out so where "
                + (causes.isEmpty() ? "" : String.join(", or where ", causes) + ", or where ")
                + "two thermometers disagree.";
    }

    private Optional<Finding> tooLarge() {
        return beyondLargest()
                ? Optional.of(Finding.question(
                        what.key() + ".too-large",
                        what.tooLarge()
                                        .formatted(
                                                figures.significant(result.value(), 2) + " " + unit(),
                                                figures.significant(
                                                                what.largest().getAsDouble(), 2)
                                                        + " " + unit())
                                + explanation()))
                : Optional.empty();
    }

    private String unit() {
        return judged.unit().symbol();
    }

    /** The first suspect that pushes the right way, and how large it would have to be. */
    private String explanation() {
        return suspects().stream()
                .filter(size -> size.explains().isPresent() && size.helps())
                .findFirst()
                .map(size -> "If " + size.words() + ", "
                        + figures.significant(Math.abs(size.explains().getAsDouble()), 2) + " " + size.unit()
                        + " would explain it: each " + size.unit() + " of it is worth "
                        + figures.significant(Math.abs(size.change() / size.error()), 2) + " " + unit() + ".")
                .orElse("Check the readings.");
    }
}
