package lab.sassafras.curve;

import java.util.List;

/**
 * What a way of reading lays through a curve, as it is drawn.
 *
 * @param fore  points of the line before mixing, in order of time, on the readings' clock
 * @param after points of the line after it
 * @param at    time at which the change between them is taken (s on that clock)
 */
public record Laid(List<Reading> fore, List<Reading> after, double at) {

    /** Points of a curved line. */
    static final int POINTS = 32;
}
