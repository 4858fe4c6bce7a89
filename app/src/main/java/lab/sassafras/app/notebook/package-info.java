/**
 * What the readings mean: the result page and the list of entries, with the decisions taken there.
 *
 * <p>Rule: results are worked out from the sheet at every look and never stored; a page shows what the core found and
 * decides nothing itself.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"record", "shelf", "sheet", "chart", "door"})
package lab.sassafras.app.notebook;
