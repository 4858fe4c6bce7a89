/**
 * Temperature against time: from readings around a moment of mixing to the temperatures just before and just after it.
 *
 * <p>Rule: readings come in as they were read, in any spacing, and none is changed; what a way of reading leaves out it
 * names. Every way gives both temperatures with their covariance, or says in words why it gives none. Nothing here
 * knows an experiment, a slot or a page.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.curve;
