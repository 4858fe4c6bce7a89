/** Heat of solution of a solid in water. Declares; computes nothing itself. */
package lab.sassafras.experiment.dissolving;
