package lab.sassafras.plan;

import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Hazard;

/**
 * A bottle on the shelf.
 *
 * @param substance that is in it, by formula or name
 * @param amount    of it (unit)
 * @param unit      g or mL
 * @param strength  of a solution (mol/L); empty where it is none
 */
public record Bottle(String substance, double amount, String unit, OptionalDouble strength) {

    /**
     * {@return whether it is a bottle of a substance, whichever way either is named}
     *
     * @param what by formula, name, or key of the shelf
     */
    public boolean holds(String what) {
        Optional<Hazard> known = known(what);
        return substance.equalsIgnoreCase(what)
                || known.isPresent() && known.equals(known(substance))
                || ChemicalFormula.of(what)
                        .flatMap(one -> ChemicalFormula.of(substance).filter(one::sameAs))
                        .isPresent();
    }

    private static Optional<Hazard> known(String what) {
        return Hazard.of(what)
                .or(() -> Hazard.all().stream()
                        .filter(each -> each.name().equalsIgnoreCase(what))
                        .findFirst());
    }
}
