/** Specific heat of a liquid, with a solid of known specific heat. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.liquid;
