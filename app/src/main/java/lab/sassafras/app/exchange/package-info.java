/**
 * Runs in and out: the open run file, the CSV of observations, and the reduction of a file over HTTP.
 *
 * <p>Rule: a typed value leaves and enters as the text it was typed as. A file is checked whole before anything of it
 * is kept; whatever is wrong with it is said with the place where it stands. Unknown fields are refused by name. An
 * import
 * proposes: it adds, marks what it added, and changes nothing that is here.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf", "sheet", "door", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.exchange;
