/** Calorimeter constant by a known heat: a heater, a certified standard, a known reaction. Declares; computes nothing itself. */
package lab.sassafras.experiment.known;
