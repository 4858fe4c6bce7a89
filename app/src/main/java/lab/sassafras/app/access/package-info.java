/**
 * What stands at the door of every request: which bench is here, where the request comes from, what the browser may
 * load, and what is said when something fails.
 *
 * <p>Rule: saving needs no session on the server, so that a restart loses nobody's work; no stack trace leaves here;
 * every request is bounded in time, and every body in time and size, before anything else sees it.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "settings", "people"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.access;
