/**
 * The books of heat: parties, what each took up, and the one unknown that makes them balance.
 *
 * <p>Rule: every heat is signed, q &gt; 0 when the party takes heat up, and all heats of a ledger sum to zero. The
 * unknown is found through one expression, which is also the working. An account that cannot be solved, or whose
 * answer cannot be believed, says so in a {@link lab.sassafras.account.Finding}; no NaN leaves this package.
 */
@org.jspecify.annotations.NullMarked
package lab.sassafras.account;
