/**
 * Runs at the simulated bench: the seed of each, and when it was touched.
 *
 * <p>Rule: nothing that was simulated is kept here but what a hand did; what instruments show follows from it by the
 * core's physics, the same however often it is asked, and after a restart too.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf", "sheet"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.simulated;
