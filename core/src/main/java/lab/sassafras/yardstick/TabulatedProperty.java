package lab.sassafras.yardstick;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lab.sassafras.account.Finding;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.Substance;

/**
 * One value that cannot be negative: from the reference shelf by its key there, or of the liquid a slot names.
 *
 * @param found the value; empty while nothing says which
 */
public record TabulatedProperty(Function<Judged, Optional<Reference>> found) implements Yardstick {

    /**
     * {@return one value on the reference shelf}
     *
     * @param key stable name
     */
    public static TabulatedProperty of(String key) {
        return new TabulatedProperty(judged -> Optional.of(judged.shelf().property(key)));
    }

    /**
     * {@return the specific heat of what a slot names, where it is told}
     *
     * @param known path of the slot
     */
    public static TabulatedProperty specificHeat(String known) {
        return new TabulatedProperty(judged ->
                judged.sheet().stated(known, 1).flatMap(judged.shelf()::find).map(Substance::specificHeatOnRecord));
    }

    @Override
    public Parts parts(Judged judged) {
        List<Finding> negative = judged.result().value() > 0
                ? List.of()
                : List.of(Finding.question(
                        "result.negative",
                        "The result cannot be zero or negative. Usually two temperatures were "
                                + "exchanged, or the sign of a difference was dropped."));
        return Parts.beside(negative, found.apply(judged), Parts.Compared.BY_SIZE);
    }
}
