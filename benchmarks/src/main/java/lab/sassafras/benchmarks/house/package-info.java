/**
 * The application as a process of its own, from its laid-out jar: started, killed, filled, looked at and timed from
 * outside.
 *
 * <p>Rule: nothing here is asserted by time; figures are printed, each beside what it is compared with in the same run.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.benchmarks.house;
