/**
 * A dress rehearsal: an evening gone through before anybody comes.
 *
 * <p>Rule: how long a hand takes is drawn by seed, the same however often it is asked; what is measured meanwhile is
 * the simulated bench's own, and nothing is judged here. Seconds count from the beginning of the evening.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.rehearse;
