package lab.sassafras.calibration;

import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Calorimeter;

/** Whether a constant is used at about the fill it was found at. */
public final class FillCheck {

    /** Relative difference of the fill from which to warn. Common practice ("a similar fill"), no source. */
    static final double TOLERANCE = 0.2;

    private FillCheck() {}

    /**
     * {@return a warning where the two fills differ by more than a fifth}
     *
     * @param pinned   the constant the entry is pinned to
     * @param solution the books solved
     * @param figures  how numbers are written
     */
    public static Optional<Finding> of(Calorimeter.Pinned pinned, Solution solution, Figures figures) {
        return solution.fill()
                .filter(fill -> pinned.fill() > 0 && Math.abs(fill - pinned.fill()) > TOLERANCE * pinned.fill())
                .map(fill -> Finding.question(
                        "calibration.fill",
                        "The constant was found with " + figures.fixed(pinned.fill(), 0)
                                + " g in the vessel; this run held " + figures.fixed(fill, 0)
                                + " g. More or less of the wall was "
                                + "wetted, so the constant may not fit."));
    }
}
