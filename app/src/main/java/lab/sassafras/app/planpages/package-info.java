/**
 * The prep room: a plan as it is typed, plans that were kept, one beside the other, the list of what to prepare.
 *
 * <p>Rule: reads what is typed into a plan of the core and shows what that says; reckons nothing and keeps nothing
 * itself.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"record", "people", "shelf", "plans", "usecase", "access", "chart"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.planpages;
