/**
 * A value, its unit, the instrument it was read on and how far it can be trusted.
 *
 * <p>Rule: numbers inside are doubles in the bench's own units (g, °C, J, J/(g·°C), J/°C), at full precision;
 * units and rounding are for the edge. What was typed is kept as text and parsed here, once, under a stated
 * decimal mark: nothing is guessed. This package knows no other.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.measure;
