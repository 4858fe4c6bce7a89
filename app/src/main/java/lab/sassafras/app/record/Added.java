package lab.sassafras.app.record;

import java.util.UUID;

/**
 * Something was added to an entry.
 *
 * @param entry the entry
 */
public record Added(UUID entry) {}
