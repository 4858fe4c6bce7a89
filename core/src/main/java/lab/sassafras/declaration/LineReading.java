package lab.sassafras.declaration;

import lab.sassafras.measure.BenchUnit;

/**
 * What slope and intercept of the line through several trials stand for.
 *
 * @param label       in words
 * @param bySlope     what the slope is multiplied by
 * @param byIntercept what the intercept is multiplied by
 * @param unit        of what it stands for
 */
public record LineReading(String label, double bySlope, double byIntercept, BenchUnit unit) {}
