/**
 * A run in progress: periods, joining a bench, and the one screen that leads through a procedure.
 *
 * <p>Rule: every page here is made from what an experiment declares. A value is kept the moment it is given; what is
 * refused stays in its field with the reason beside it.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "record",
            "people",
            "probes",
            "plans",
            "shelf",
            "sheet",
            "usecase",
            "access",
            "chart",
            "settings",
            "simulated",
            "classroom"
        })
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.bench;
