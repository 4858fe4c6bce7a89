/** A solid in equilibrium with its saturated solution. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.saturated;
