/**
 * Combustion in a bomb: what calibration and sample have in common, and one package below for each of the two.
 * Declares; computes nothing itself.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.bomb;
