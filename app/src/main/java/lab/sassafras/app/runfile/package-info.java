/**
 * The open run file and the table of observations: how an entry is written down outside this book, and read again.
 *
 * <p>Rule: a typed value leaves and enters as the text it was typed as. A file is checked whole before anything of it
 * is used; whatever is wrong with it is said with the place where it stands. Unknown fields are refused by name.
 * Nothing is kept here.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf", "sheet", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.runfile;
