/**
 * What the readings mean: the result page and the list of entries, with the decisions taken there.
 *
 * <p>Rule: results are derived from the sheet and never stored as the truth; a number is noted when first shown, so
 * that a later method that gives another can be told. A page shows what the core found and decides nothing itself.
 */
@org.springframework.modulith.ApplicationModule(
        allowedDependencies = {"record", "people", "shelf", "sheet", "usecase", "chart", "access", "plans"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.notebook;
