/**
 * What whoever runs the house may set: where it keeps things, by which names it goes, how much it takes and how long.
 *
 * <p>Rule: every folder and limit that is not part of a format stands here, with the value it has where nobody sets
 * one.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.settings;
