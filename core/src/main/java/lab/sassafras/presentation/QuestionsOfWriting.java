package lab.sassafras.presentation;

import java.util.List;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.ConventionQuestions;

/** Questions about how a result is written; they leave the number alone and concern every experiment. */
public final class QuestionsOfWriting implements ConventionQuestions {

    /** How the books are opened. */
    public static final ConventionQuestion<BalanceSheet> SHEET =
            new ConventionQuestion<>("sheet", "sign convention", List.of(BalanceSheet.values()), BalanceSheet.SUM_ZERO);

    /** The unit of heat. */
    public static final ConventionQuestion<HeatUnit> HEAT =
            new ConventionQuestion<>("heat", "unit of heat", List.of(HeatUnit.values()), HeatUnit.STANDARD);

    /** How the other units are written. */
    public static final ConventionQuestion<UnitStyle> UNITS =
            new ConventionQuestion<>("units", "other units", List.of(UnitStyle.values()), UnitStyle.BENCH);

    /** How far a result is written out. */
    public static final ConventionQuestion<Rounding> ROUNDING =
            new ConventionQuestion<>("rounding", "rounding", List.of(Rounding.values()), Rounding.UNCERTAINTY);

    /** How a per cent error is written. */
    public static final ConventionQuestion<PercentError> PERCENT_ERROR =
            new ConventionQuestion<>("error", "per cent error", List.of(PercentError.values()), PercentError.SIGNED);

    private static final List<ConventionQuestion<?>> ALL = List.of(SHEET, HEAT, UNITS, ROUNDING, PERCENT_ERROR);

    /** {@return all of them} */
    public static List<ConventionQuestion<?>> all() {
        return ALL;
    }

    @Override
    public List<ConventionQuestion<?>> questions() {
        return ALL;
    }
}
