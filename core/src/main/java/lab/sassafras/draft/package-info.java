/**
 * Books being drawn up of what was read: an experiment asks by path, and each thing comes as the schools in force take
 * it.
 *
 * <p>Rule: what lacks is remembered and never guessed; nothing is solved here, and nothing here knows which experiment
 * asks.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.draft;
