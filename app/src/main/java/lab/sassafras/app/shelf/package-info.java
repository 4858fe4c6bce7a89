/**
 * What stands on the shelf: instruments, vessels with their calibrations, and the handbook values.
 *
 * <p>Rule: nothing on the shelf is edited in place, because entries point at it. An instrument or constant that no
 * longer holds is set aside by a decision and a new one is added.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.shelf;
