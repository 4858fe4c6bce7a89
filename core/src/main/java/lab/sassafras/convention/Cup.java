package lab.sassafras.convention;

import java.util.Optional;
import lab.sassafras.expression.Expression;

/**
 * What is known of the vessel.
 *
 * @param label        in words
 * @param constant     without its contents (J/°C)
 * @param foundAt      mass it held when the constant was found (g)
 */
public record Cup(String label, Optional<Expression> constant, Optional<Expression> foundAt) {}
