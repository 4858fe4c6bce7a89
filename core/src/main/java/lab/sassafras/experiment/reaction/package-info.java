/** Heat of the reaction of a solid with a solution, such as a displacement. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.reaction;
