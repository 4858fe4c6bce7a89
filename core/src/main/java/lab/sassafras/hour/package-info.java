/**
 * The hour: when each bench does which task, with the gear there is.
 *
 * <p>Rule: knows tasks and minutes, and nothing of what is measured. Minutes are whole and count from the beginning of
 * the evening. Nothing is ever double-booked; what cannot be is refused with the name of what stands in the way.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.hour;
