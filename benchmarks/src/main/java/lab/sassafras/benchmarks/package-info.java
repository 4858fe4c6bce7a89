/**
 * Timings of the core with JMH.
 *
 * <p>Rule: measures and asserts nothing; figures are compared within one run of {@code ./bench} and written down in
 * {@code docs/performance.md} with the machine they were measured on.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.benchmarks;
