/**
 * Every picture: where each bar, tag and line stands, and the SVG of it.
 *
 * <p>Rule: knows the core and nothing stored. Numbers come in, a finished picture goes out, and page, print and file
 * lay in the same; what is hatched is drawn as strokes, which every reader of SVG knows. Never colour alone: giving is
 * hatched and left, taking plain and right.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.chart;
