package lab.sassafras.declaration;

/**
 * The two temperatures between which the calorimeter's contents went.
 *
 * @param start path of the settled reading before
 * @param end   path of the reading after
 */
public record Span(String start, String end) {}
