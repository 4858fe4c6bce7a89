/** Specific heat of a solid brought to temperature in a bath. Declares; computes nothing itself. */
package lab.sassafras.experiment.solid;
