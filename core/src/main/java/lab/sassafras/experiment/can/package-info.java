/** Combustion of a fuel under a can of water. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.can;
