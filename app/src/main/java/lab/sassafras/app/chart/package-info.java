/**
 * Geometry of every picture: where each bar, tag and line stands.
 *
 * <p>Rule: knows the core and nothing stored. Numbers come in, coordinates and finished labels go out; the templates
 * only draw them, so page, print and file agree. Never colour alone: giving is hatched and left, taking plain and
 * right.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.chart;
