/**
 * Calorimeter constant by a known heat: a heater, a certified standard, a known reaction. Declares; computes nothing
 * itself.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.known;
