package lab.sassafras.app.people;

import java.util.Set;
import java.util.UUID;

/**
 * Some may no longer listen: their sign-ins ended, or their period was closed.
 *
 * @param signIns whose
 */
public record SignInsEnded(Set<UUID> signIns) {}
