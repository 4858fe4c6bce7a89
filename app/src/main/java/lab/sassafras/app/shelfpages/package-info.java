/**
 * The pages of the shelf: left the list, right the one taken down, and the forms by which something is added.
 *
 * <p>Rule: shows what stands on the shelf and hands what is typed to a use case; keeps nothing itself.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"record", "people", "shelf", "usecase", "access"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.shelfpages;
