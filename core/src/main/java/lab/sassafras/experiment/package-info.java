/**
 * What an experiment declares: slots, procedure, conventions, suspected errors, accounts.
 *
 * <p>Rule: an experiment is one package below this one, with its block of words beside it, found by the service loader.
 * Everything else reads these declarations and none asks which experiment it serves; if something needs to know, the
 * slot model lacks a word and gets it here. Storing admits ({@link lab.sassafras.experiment.Intake}, by way of {@link
 * lab.sassafras.experiment.Filling}), reading forgives ({@link lab.sassafras.experiment.Readback}).
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment;
