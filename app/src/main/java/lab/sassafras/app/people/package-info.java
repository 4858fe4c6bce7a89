/**
 * Who is here, and who may do what: instructors with their passwords, browsers that came in, the codes of periods.
 *
 * <p>Rule: of a secret only its hash is kept, but for the code of a period, which an instructor reads out. Who may do
 * what stands in one class, {@link lab.sassafras.app.people.WhoMay}; pages and use cases ask it and decide nothing.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.people;
