/** Specific heat of a liquid, with a solid of known specific heat. Declares; computes nothing itself. */
package lab.sassafras.experiment.liquid;
