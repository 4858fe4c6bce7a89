/**
 * Heating and cooling curves: where a sample melts or freezes, and how much heat that takes. Declares; computes nothing
 * itself.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.heating;
