/** Constant of a bomb calorimeter by a certified standard. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.bomb.calibrated;
