/**
 * How numbers, units and the working are written, by the schools in force.
 *
 * <p>Rule: nothing here changes a number; it is chosen, rounded and laid out for those who read it.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.presentation;
