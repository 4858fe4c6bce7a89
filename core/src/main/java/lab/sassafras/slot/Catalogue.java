package lab.sassafras.slot;

import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Substance;

/** One property of many things, as the reference shelf has it: what a slot may be filled from. */
public interface Catalogue {

    /** Specific heats of solids (J/(g·°C)). */
    Catalogue SOLIDS = specificHeats("solid", ReferenceShelf::solids);

    /** Specific heats of liquids (J/(g·°C)). */
    Catalogue LIQUIDS = specificHeats("liquid", ReferenceShelf::liquids);

    /** Heats of fusion (J/g). */
    Catalogue HEATS_OF_FUSION = of(
            "substance that melts",
            BenchUnit.JOULES_PER_GRAM,
            shelf -> shelf.properties().stream()
                    .filter(each -> each.key().startsWith("fusion-of-"))
                    .toList());

    /** Heats of solution (kJ/mol), each at its dilution. */
    Catalogue HEATS_OF_SOLUTION = of(
            "heat of solution",
            BenchUnit.KILOJOULES_PER_MOLE,
            shelf ->
                    shelf.heatsOfSolution().stream().map(Dissolution::reference).toList());

    /** {@return what one of its rows is called, in a sentence} */
    String word();

    /** {@return unit of its values} */
    BenchUnit unit();

    /**
     * {@return its rows on a version of the shelf}
     *
     * @param shelf a version of the shelf
     */
    List<Reference> on(ReferenceShelf shelf);

    /**
     * {@return those of its rows that may be chosen; the others are read where they were chosen before}
     *
     * @param shelf a version of the shelf
     */
    default List<Reference> offered(ReferenceShelf shelf) {
        return on(shelf);
    }

    /**
     * {@return the row of that key; empty where that shelf has none}
     *
     * @param shelf a version of the shelf
     * @param key   stable name
     */
    default Optional<Reference> find(ReferenceShelf shelf, String key) {
        return on(shelf).stream().filter(each -> each.key().equals(key)).findFirst();
    }

    private static Catalogue specificHeats(String word, Function<ReferenceShelf, List<Substance>> kind) {
        return new Catalogue() {
            @Override
            public String word() {
                return word;
            }

            @Override
            public BenchUnit unit() {
                return BenchUnit.JOULES_PER_GRAM_DEGREE;
            }

            @Override
            public List<Reference> on(ReferenceShelf shelf) {
                return kind.apply(shelf).stream()
                        .map(Substance::specificHeatOnRecord)
                        .toList();
            }

            @Override
            public List<Reference> offered(ReferenceShelf shelf) {
                return kind.apply(shelf).stream()
                        .filter(Substance::offered)
                        .map(Substance::specificHeatOnRecord)
                        .toList();
            }
        };
    }

    /** Where a catalogue takes its rows from. */
    @FunctionalInterface
    interface Rows {
        /**
         * {@return the rows on a version of the shelf}
         *
         * @param shelf a version of the shelf
         */
        List<Reference> on(ReferenceShelf shelf);
    }

    /**
     * {@return a catalogue of any property}
     *
     * @param word what it is called in a sentence
     * @param unit of the number
     * @param rows where the rows come from
     */
    static Catalogue of(String word, BenchUnit unit, Rows rows) {
        return new Catalogue() {
            @Override
            public String word() {
                return word;
            }

            @Override
            public BenchUnit unit() {
                return unit;
            }

            @Override
            public List<Reference> on(ReferenceShelf shelf) {
                return rows.on(shelf);
            }
        };
    }
}
