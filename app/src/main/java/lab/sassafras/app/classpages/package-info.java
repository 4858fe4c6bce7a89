/**
 * The class as it goes: the hour by which it goes, and one look over all its benches.
 *
 * <p>Rule: lays nothing and judges nothing itself: what is typed goes to the core's hour, what it says is shown.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "record",
            "people",
            "shelf",
            "sheet",
            "plans",
            "planpages",
            "simulated",
            "classroom",
            "usecase",
            "access",
            "chart",
            "notebook"
        })
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.classpages;
