/**
 * Keeps the book itself: opens it, says in one plain sentence why it cannot be opened, backs it up while it is in use
 * and brings a back-up back.
 *
 * <p>Rule: a book that was there once is never replaced by an empty one, and whatever stops a start is said without a
 * trace, with what to do. What runs before the application starts uses nothing but the JDK and the database.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.storage;
