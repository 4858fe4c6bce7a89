/**
 * Calorimeter constants: the mean of the trials a person adopted, and where it may be used.
 *
 * <p>Rule: a constant is adopted, never computed anew behind a later entry's back; a negative one close to zero stays
 * in the mean, because leaving it out would bias the mean.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.calibration;
