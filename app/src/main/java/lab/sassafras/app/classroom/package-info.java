/**
 * What an instructor keeps of a class as it goes: the hour that was laid, what passed, and what a dress rehearsal is
 * begun with.
 *
 * <p>Rule: rows are only ever added, and no result hangs on any of them.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.classroom;
