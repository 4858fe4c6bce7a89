/**
 * What pushes to a bench over the network: tokens, batches as they arrive, and the stretches their rows are kept in.
 *
 * <p>Rule: a row is kept once, whoever sends it how often; what cannot be kept is told by its number with why, once.
 * Times are differences of the sender's own clock, anchored at an arrival here; where that clock cannot be believed
 * another stretch begins, and it is said.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "people", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.probes;
