package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Calorimeter;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Suspect;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;

/** Whether a calorimeter constant is one such a vessel can have. */
final class VesselPlausibility {

    private static final int FEWEST = 3;

    private final Sheet sheet;
    private final Estimate constant;
    private final Solution trial;
    private final Figures figures;

    private VesselPlausibility(Sheet sheet, Estimate constant, Solution trial) {
        this.sheet = sheet;
        this.constant = constant;
        this.trial = trial;
        this.figures = sheet.setting().figures();
    }

    static List<Finding> of(Sheet sheet, Estimate constant, List<Solution> trials) {
        VesselPlausibility plausibility = new VesselPlausibility(sheet, constant, trials.get(0));
        List<Finding> findings = new ArrayList<>();
        plausibility.negative().ifPresent(findings::add);
        sheet.setting().calorimeter().flatMap(plausibility::tooLarge).ifPresent(findings::add);
        if (trials.size() < FEWEST && trials.get(0).postings().size() > 1) {
            findings.add(Finding.note(
                    "constant.few-trials",
                    "A constant rests on three trials or more: it is a small difference of large "
                            + "heats, and one trial cannot show its scatter."));
        }
        return findings;
    }

    private Optional<Finding> negative() {
        if (constant.value() >= 0) {
            return Optional.empty();
        }
        boolean nearZero = nearNought(constant.value(), constant.uncertainty());
        return Optional.of(
                nearZero
                        ? Finding.note(
                                "constant.negative-near-zero",
                                "The constant is negative, but within 2 u of zero. It stays "
                                        + "in the mean: leaving it out would bias the mean.")
                        : Finding.question(
                                "constant.negative",
                                "A vessel cannot give heat while it warms, so a constant of "
                                        + figures.byUncertainty(constant.value(), constant.uncertainty())
                                        + " J/°C cannot be. " + causes()));
    }

    /**
     * How far a constant is from what is middling for such a vessel, where it cannot be believed; it may as well be
     * none or twice that.
     */
    static Optional<SuspectSize.Deviation> off(Sheet sheet, Estimate constant, Solution trial) {
        VesselPlausibility plausibility = new VesselPlausibility(sheet, constant, trial);
        return sheet.experiment().yardstick() instanceof Yardstick.OfVessel
                ? sheet.setting()
                        .calorimeter()
                        .map(Calorimeter::kind)
                        .filter(kind -> constant.value() > kind.largest() || plausibility.surelyNegative())
                        .map(kind -> new SuspectSize.Deviation(
                                kind.typical() - constant.value(),
                                Math.hypot(2 * constant.uncertainty(), kind.typical())))
                : Optional.empty();
    }

    /** Within two standard uncertainties a negative constant may as well be none, or a small one. */
    static boolean nearNought(double constant, double uncertainty) {
        return constant > -2 * uncertainty;
    }

    private boolean surelyNegative() {
        return constant.value() < 0 && !nearNought(constant.value(), constant.uncertainty());
    }

    private List<SuspectSize> suspects() {
        return SuspectSize.all(sheet, sheet.setting().conventions(), trial, off(sheet, constant, trial));
    }

    /** What would make it larger by these very books; with a cup that held the hot water it is the other way round. */
    private String causes() {
        List<String> causes = suspects().stream()
                .filter(size -> size.change() > 0 && size.suspect().way() == Suspect.Sign.ONE)
                .map(SuspectSize::words)
                .toList();
        return "It comes out so where "
                + (causes.isEmpty() ? "" : String.join(", or where ", causes) + ", or where ")
                + "two thermometers disagree.";
    }

    private Optional<Finding> tooLarge(Calorimeter vessel) {
        if (constant.value() <= vessel.kind().largest()) {
            return Optional.empty();
        }
        String words = "A constant of " + figures.significant(constant.value(), 2) + " J/°C is more than "
                + vessel.kind().one() + " and its thermometer can be believed to hold (up to about "
                + figures.significant(vessel.kind().largest(), 2) + " J/°C). ";
        return Optional.of(Finding.question("constant.too-large", words + explanation()));
    }

    /** The first suspect that pushes the right way, and how large it would have to be. */
    private String explanation() {
        return suspects().stream()
                .filter(size -> size.explains().isPresent() && size.helps())
                .findFirst()
                .map(size -> "If " + size.words() + ", "
                        + figures.significant(Math.abs(size.explains().getAsDouble()), 2) + " " + size.unit()
                        + " would explain it: each " + size.unit() + " of it is worth "
                        + figures.significant(Math.abs(size.change() / size.error()), 2) + " J/°C.")
                .orElse("Check the readings.");
    }
}
