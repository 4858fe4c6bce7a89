/** Heat of neutralization of an acid with a base. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.neutral;
