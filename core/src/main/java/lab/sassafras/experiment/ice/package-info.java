/** Heat of fusion of ice, melted in warm water. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.ice;
