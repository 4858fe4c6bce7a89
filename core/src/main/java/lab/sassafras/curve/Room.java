package lab.sassafras.curve;

/**
 * What surrounds the calorimeter.
 *
 * @param temperature as read (°C)
 * @param uncertainty standard uncertainty of taking it for what the calorimeter cools towards (°C)
 */
public record Room(double temperature, double uncertainty) {}
