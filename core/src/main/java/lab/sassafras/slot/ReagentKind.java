package lab.sassafras.slot;

import java.util.List;
import java.util.function.Predicate;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalEquation.Term;

/** Which of the reagents of an equation a place is for, as far as the equation itself tells. */
public enum ReagentKind {
    /** What the solution holds. */
    DISSOLVED(term -> term.state().equals("aq")),
    /** What is weighed as a solid. */
    SOLID(term -> term.state().equals("s")),
    /** What gives its proton away. */
    ACID(ReagentKind::acid),
    /** What takes it: whatever is not the acid. */
    BASE(term -> !acid(term));

    private final Predicate<Term> fits;

    ReagentKind(Predicate<Term> fits) {
        this.fits = fits;
    }

    /** An acid as it is written: its proton first, or in a carboxyl group. */
    private static boolean acid(Term term) {
        String text = term.formula().text();
        boolean protonFirst = text.matches("H\\d?(?![a-z]).*") && !text.matches("H2O|H2O2|H2|HO.*");
        return protonFirst || text.contains("COOH") || text.contains("CO2H");
    }

    /**
     * {@return the reagents that may stand in the place: all of them where the equation does not tell}
     *
     * @param equation as written
     */
    public List<Term> among(ChemicalEquation equation) {
        List<Term> fitting = equation.reagents().stream().filter(fits).toList();
        return fitting.isEmpty()
                        || this == BASE && fitting.size() == equation.reagents().size()
                ? equation.reagents()
                : fitting;
    }
}
