/** Specific heat of a solid brought to temperature in a bath. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.solid;
