/**
 * The bench book as a web application. Each package below is a module with a rule of its own; this one only starts
 * them.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.app;
