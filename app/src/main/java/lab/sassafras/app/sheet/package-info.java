/**
 * Joins what a bench wrote with what stands on the shelf into the sheet the core works on.
 *
 * <p>Rule: the only place where stored rows become core values. A row that could not be read back would be a fault of
 * ours, never silently dropped.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf"})
package lab.sassafras.app.sheet;
