/**
 * Owns every table of a run: period, bench, entry, what was opened, observation, strike, decision,
 * readings on a clock; what came with files and what was shown.
 *
 * <p>Rule: rows are only ever added; the database itself refuses UPDATE and DELETE on observations, strikes, decisions,
 * readings on a clock, what came with files and what was shown. This module stores what was typed and knows no
 * chemistry; it depends on no other module.
 */
@org.springframework.modulith.ApplicationModule(allowedDependencies = {"settings"})
@org.jspecify.annotations.NullMarked
package lab.sassafras.app.record;
