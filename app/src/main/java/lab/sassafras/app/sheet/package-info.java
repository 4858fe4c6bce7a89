/**
 * Joins what a bench wrote with what stands on the shelf into the sheet the core works on.
 *
 * <p>Rule: the only place where stored rows become core values. Reading never refuses: a row that this version cannot
 * read is left aside with its reason, and no entry hides another. What was worked is kept until something is added.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"record", "people", "probes", "shelf", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.sheet;
