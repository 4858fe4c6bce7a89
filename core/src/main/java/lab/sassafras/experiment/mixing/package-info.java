/** Calorimeter constant by mixing hot and cold water. Declares; computes nothing itself. */
package lab.sassafras.experiment.mixing;
