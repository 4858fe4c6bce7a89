package lab.sassafras.slot;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.Reference;

/**
 * What a result is judged by beside the shelf.
 *
 * @param withheld whether whoever is to read it may not be told what it should be: then it is judged by nothing
 * @param given    values an instructor gave, which stand before the shelf's: the first that fits
 */
public record Judging(boolean withheld, List<Given> given) {

    /** By the shelf, and told. */
    public static final Judging USUAL = new Judging(false, List.of());

    /** Not told. */
    public static final Judging WITHHELD = new Judging(true, List.of());

    /**
     * What a result should be, as an instructor gave it: the certified value of an unknown, or a class's own.
     *
     * @param sample    what the sample is called whose result it is, whatever the case; empty for any
     * @param reference the value, with its unit and where it comes from
     */
    public record Given(String sample, Reference reference) {

        private boolean fits(Optional<String> name, BenchUnit unit) {
            return reference.unit().equals(unit)
                    && (sample.isEmpty()
                            || name.filter(each -> key(each).equals(key(sample)))
                                    .isPresent());
        }

        private static String key(String name) {
            return name.strip().replaceAll("\\s+", " ").toLowerCase(Locale.ROOT);
        }
    }

    /**
     * Keeps a copy.
     *
     * @param withheld whether it may not be told
     * @param given    values, the first that fits counts
     */
    public Judging {
        given = List.copyOf(given);
    }

    /**
     * {@return the value that was given for a sample; empty where the shelf is to be asked}
     *
     * @param name what the sample is called; empty where it has no name
     * @param unit of the result
     */
    public Optional<Reference> given(Optional<String> name, BenchUnit unit) {
        return given.stream()
                .filter(each -> each.fits(name, unit))
                .map(Given::reference)
                .findFirst();
    }
}
