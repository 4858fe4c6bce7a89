/** Heat of neutralization of an acid with a base. Declares; computes nothing itself. */
package lab.sassafras.experiment.neutral;
