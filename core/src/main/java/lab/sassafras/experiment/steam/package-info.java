/** Heat of vaporization of water, by steam condensed in cold water. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.steam;
