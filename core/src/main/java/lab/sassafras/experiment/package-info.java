/**
 * The experiments: what each declares, the accounts it draws up, what it suspects and what it is judged by.
 *
 * <p>Rule: an experiment is one package below this one, with its block of words beside it, found by the service loader.
 * Everything else reads its declarations and none asks which experiment it serves.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.experiment;
