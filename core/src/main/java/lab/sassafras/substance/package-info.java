/**
 * What things are made of and what the handbooks say of them.
 *
 * <p>Rule: every number on the reference shelf carries its source, and says whether anybody opened that source for
 * it or it was set down from memory. A formula counts only if our grammar writes it back exactly as it was read.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.substance;
