/**
 * Runs in and out: the open run file, the CSV of observations, readings from a file, and the reduction of a file over
 * HTTP.
 *
 * <p>Rule: an import proposes: it adds, marks what it added, and changes nothing that is here. What is wrong with a
 * file is said beside its name, and what was chosen stays.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {
            "record",
            "people",
            "probes",
            "shelf",
            "sheet",
            "runfile",
            "usecase",
            "access",
            "settings"
        })
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.exchange;
