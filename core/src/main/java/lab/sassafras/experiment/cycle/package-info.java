/** A cycle of reactions whose heats add up. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.cycle;
