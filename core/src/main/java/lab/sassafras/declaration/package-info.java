/**
 * What an experiment asks for: slots in groups, steps in the order of the work, and what comes with the questions of
 * convention it is sensitive to.
 *
 * <p>Rule: declared once, and read by every page, file and check; nothing here has seen a reading. If a page needs to
 * know which experiment it serves, a word lacks here and is added.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.declaration;
