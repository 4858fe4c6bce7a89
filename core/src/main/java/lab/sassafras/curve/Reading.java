package lab.sassafras.curve;

/**
 * One reading on the clock.
 *
 * @param seconds     from the beginning of the record (s)
 * @param temperature as read (°C)
 */
public record Reading(double seconds, double temperature) {}
