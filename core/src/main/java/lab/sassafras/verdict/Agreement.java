package lab.sassafras.verdict;

import lab.sassafras.substance.Substance;

/**
 * The result beside a reference value.
 *
 * @param reference    what it is said to be
 * @param percentError 100 · (result − reference) ÷ reference
 * @param distance     |result − reference| in combined standard uncertainties
 */
public record Agreement(Substance reference, double percentError, double distance) {

    public String words() {
        return distance <= 2 ? "agrees within the uncertainty (2 u)"
                : "differs by more than the uncertainty explains (over 2 u)";
    }
}
