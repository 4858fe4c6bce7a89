/**
 * Plans as they are kept, and as files; what bottles' safety data sheets say beside what is remembered.
 *
 * <p>Rule: a plan is a document of its open format, kept as it is written; nothing is reckoned here. Kept is never
 * changed: what is changed is kept anew.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.plans;
