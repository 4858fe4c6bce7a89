/**
 * Calorimeter constant from the masses and materials of its parts: a sum, no heat balance. Declares; computes nothing
 * itself.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.material;
