/**
 * What a result is worth: plausibility, candidates, agreement with a reference, sizes of suspected errors.
 *
 * <p>Rule: a verdict speaks in plain words and names what it rests on. It reads what an experiment declared and never
 * asks which experiment it is. {@link lab.sassafras.verdict.Reduction} gathers all that a result page or a file says.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.verdict;
