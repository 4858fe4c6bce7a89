/**
 * A run before anything is read: what is had, what is to be expected of it, how well the result will be known, and what
 * would help.
 *
 * <p>Rule: everything follows from the same account that reduces what is read later. What nobody read yet stands on the
 * sheet at the value it is expected to have, with the uncertainty of what it will be read on; no experiment is known
 * here.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.plan;
