package lab.sassafras.substance;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.measure.Shared;

/**
 * The standard atomic weight of an element, abridged (IUPAC/CIAAW 2021: T. Prohaska et al., Pure Appl. Chem. 94 (2022)
 * 573; memory).
 *
 * @param symbol of the element
 * @param name   in words
 * @param weight of a normal material (g/mol); 0 where the element has none
 * @param bound  how far that may lie off, either way (g/mol)
 */
record AtomicWeight(String symbol, String name, double weight, double bound) {

    private static final Map<String, AtomicWeight> ALL = Table.rows("atomic-weights.csv")
            .map(AtomicWeight::read)
            .collect(Collectors.toUnmodifiableMap(AtomicWeight::symbol, each -> each));

    private static AtomicWeight read(String[] cell) {
        return new AtomicWeight(
                cell[0],
                cell[1],
                cell[2].isEmpty() ? 0 : Double.parseDouble(cell[2]),
                cell[3].isEmpty() ? 0 : Double.parseDouble(cell[3]));
    }

    /** Whether an element is written so. */
    static boolean names(String symbol) {
        return ALL.containsKey(symbol);
    }

    /** The weight of an element; empty for one that has none, and for what is no element. */
    static Optional<AtomicWeight> of(String symbol) {
        return Optional.ofNullable(ALL.get(symbol)).filter(each -> each.weight > 0);
    }

    /** How far off it may be, uniformly between its bounds. */
    Shared source() {
        return Shared.everywhere(
                "atomic-weight:" + symbol, "atomic weight of " + name, bound / Math.sqrt(3), Double.POSITIVE_INFINITY);
    }
}
