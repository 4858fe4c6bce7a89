/**
 * What several trials say together: their mean, the line through them, which of them stands apart.
 *
 * <p>Rule: a room for numbers with uncertainties, whatever they are of. What trials share is counted once and never
 * divided by √n. Textbook methods come from Hipparchus; what is common practice says so.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.statistics;
