/**
 * The one way in: every thing that is kept, from whatever page, file or probe, is kept by one of the use cases here.
 *
 * <p>Rule: a use case says which right it needs and which bringer it serves, and answers what was kept or why not. None
 * calls another. What goes before keeping (ticks, admission, doubt, the limits of a reading) stands here once; pages
 * translate between a form and a use case and keep nothing themselves.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "record",
            "people",
            "probes",
            "shelf",
            "sheet",
            "runfile",
            "settings",
            "simulated",
            "plans",
            "classroom"
        })
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.usecase;
