package lab.sassafras.experiment;

import lab.sassafras.measure.BenchUnit;

/**
 * What a number of the line through several trials stands for.
 *
 * @param label  in words
 * @param slope  whether it is read from the slope; else from the intercept
 * @param factor that number is multiplied by
 * @param unit   of what it stands for
 */
public record LineReading(String label, boolean slope, double factor, BenchUnit unit) {}
