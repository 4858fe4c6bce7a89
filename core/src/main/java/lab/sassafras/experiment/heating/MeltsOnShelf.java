package lab.sassafras.experiment.heating;

import java.util.List;
import lab.sassafras.measure.Dimension;
import lab.sassafras.yardstick.Judged;
import lab.sassafras.yardstick.Parts;
import lab.sassafras.yardstick.Yardstick;

/**
 * The heat of fusion on the shelf of what a sample is said to be, or its melting point where no heat was found.
 *
 * @param substance path of the slot that says what it is
 */
record MeltsOnShelf(String substance) implements Yardstick {

    static final String HEAT = "fusion-of-";
    private static final String POINT = "melting-of-";

    @Override
    public Parts parts(Judged judged) {
        boolean point = judged.unit().dimension().equals(Dimension.TEMPERATURE);
        return Parts.beside(
                List.of(),
                judged.sheet()
                        .stated(substance, judged.trial())
                        .flatMap(key -> Fusion.row(judged.shelf(), point ? point(key) : key)),
                point ? Parts.Compared.QUIETLY : Parts.Compared.BY_SIZE);
    }

    /** The key of the melting point of what has a heat of fusion by that key. */
    static String point(String heat) {
        return heat.replace(HEAT, POINT);
    }
}
