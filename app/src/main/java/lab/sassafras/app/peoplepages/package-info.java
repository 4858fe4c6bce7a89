/**
 * The door of the house and the page of its people: coming in by a code, by a name and a password, for the first time;
 * instructors and their passwords.
 *
 * <p>Rule: no secret stands in an address. What comes behind the mark {@code #} a page sends in the body of a form.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"record", "people", "usecase", "access", "storage", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.peoplepages;
