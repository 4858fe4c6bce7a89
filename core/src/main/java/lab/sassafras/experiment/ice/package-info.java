/** Heat of fusion of ice, melted in warm water. Declares; computes nothing itself. */
package lab.sassafras.experiment.ice;
