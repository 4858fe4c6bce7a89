package lab.sassafras.substance;

import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.measure.Refused;

/** Solids that take up water from the air of a room while they lie weighed. */
public final class Hygroscopic {

    private static final Map<String, String> NAMES =
            Table.rows("pulls-water.csv").collect(Collectors.toMap(cell -> cell[0], cell -> cell[1]));

    private Hygroscopic() {}

    /** Every one of them by its name. */
    static Map<String, ChemicalFormula> names() {
        return NAMES.entrySet().stream()
                .collect(Collectors.toMap(Map.Entry::getValue, each -> ChemicalFormula.read(each.getKey())));
    }

    /**
     * {@return name of a solid that pulls water from the air; empty where it is not known to}
     *
     * @param formula as typed
     */
    public static Optional<String> name(String formula) {
        try {
            ChemicalFormula typed = ChemicalFormula.read(formula);
            return NAMES.entrySet().stream()
                    .filter(each -> ChemicalFormula.read(each.getKey()).sameAs(typed))
                    .map(Map.Entry::getValue)
                    .findFirst();
        } catch (Refused noFormula) {
            return Optional.empty();
        }
    }
}
