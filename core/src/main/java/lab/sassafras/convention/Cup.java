package lab.sassafras.convention;

import java.util.Optional;
import lab.sassafras.expression.Expression;

/**
 * What is known of the vessel.
 *
 * @param label        in words
 * @param constant     without its contents (J/°C)
 * @param foundAt      mass it held when the constant was found (g)
 * @param mass         of cup, stirrer and lid that changes temperature (g)
 * @param specificHeat of their material (J/(g·°C))
 */
public record Cup(
        String label,
        Optional<Expression> constant,
        Optional<Expression> foundAt,
        Optional<Expression> mass,
        Optional<Expression> specificHeat) {}
