/** Heat of vaporization of water, by steam condensed in cold water. Declares; computes nothing itself. */
package lab.sassafras.experiment.steam;
