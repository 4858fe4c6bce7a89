/**
 * What a result is judged by: references with their ± and source, what is plausible, what it may be.
 *
 * <p>Rule: a yardstick says what a result stands beside, in plain parts, and judges nothing; it reads the sheet and the
 * solved account and changes neither. The usual ones are here; an experiment may bring one of its own.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.yardstick;
