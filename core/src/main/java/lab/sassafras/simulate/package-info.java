/**
 * The bench as physics: lumps that hold enthalpy, what flows between them, what a hand does, and what instruments make
 * of it. Nothing here knows an account, a convention or an expression, so that a sign that is wrong there cannot hide
 * here. Masses are in g, enthalpies in J, temperatures in °C, times in s.
 */
@NullMarked
package lab.sassafras.simulate;

import org.jspecify.annotations.NullMarked;
