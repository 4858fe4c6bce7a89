/** Calorimeter constant by mixing hot and cold water. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.mixing;
