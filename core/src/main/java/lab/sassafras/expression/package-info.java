/**
 * One formula, written once and read several ways.
 *
 * <p>Rule: a result is a tree over named inputs. Whatever needs it — a value, exact derivatives, the working in words
 * and numbers, LaTeX, the split into known part and coefficient — is an {@link lab.sassafras.expression.Interpretation}
 * of that tree, so the working shown is the computation done. No tree knows its numbers: they come in
 * {@link lab.sassafras.expression.Bindings}.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.expression;
