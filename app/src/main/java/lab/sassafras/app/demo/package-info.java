/**
 * An invented evening class, for looking around. Loaded only under the profile {@code demo}, into a data folder of its
 * own, through the same import as any run file.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "people", "shelf", "sheet", "usecase"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.demo;
