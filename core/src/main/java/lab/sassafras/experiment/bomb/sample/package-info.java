/** A sample burnt in a bomb. Declares; computes nothing itself. */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment.bomb.sample;
