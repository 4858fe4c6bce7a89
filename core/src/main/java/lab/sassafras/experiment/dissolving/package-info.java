/** Heat of solution of a solid in water. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.dissolving;
