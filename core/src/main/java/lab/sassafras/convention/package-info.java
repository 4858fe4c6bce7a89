/**
 * Where practitioners differ: one question each, one class for each school.
 *
 * <p>Rule: a school rewrites a party or an input and nothing else; it never sees which experiment asks. Which schools
 * are in force is data ({@link lab.sassafras.convention.Conventions}), so any result can be had under every other.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.convention;
