package lab.sassafras.presentation;

import java.util.List;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.Questions;

/** Questions about how a result is written; they leave the number alone and concern every experiment. */
public final class QuestionsOfWriting implements Questions {

    /** How the books are opened. */
    public static final Question<BalanceSheet> SHEET =
            new Question<>("sheet", "sign convention", List.of(BalanceSheet.values()), BalanceSheet.SUM_ZERO);

    /** The unit of heat. */
    public static final Question<HeatUnit> HEAT =
            new Question<>("heat", "unit of heat", List.of(HeatUnit.values()), HeatUnit.STANDARD);

    /** How the other units are written. */
    public static final Question<UnitStyle> UNITS =
            new Question<>("units", "other units", List.of(UnitStyle.values()), UnitStyle.BENCH);

    /** How far a result is written out. */
    public static final Question<Rounding> ROUNDING =
            new Question<>("rounding", "rounding", List.of(Rounding.values()), Rounding.UNCERTAINTY);

    /** How a per cent error is written. */
    public static final Question<PercentError> PERCENT_ERROR =
            new Question<>("error", "per cent error", List.of(PercentError.values()), PercentError.SIGNED);

    private static final List<Question<?>> ALL = List.of(SHEET, HEAT, UNITS, ROUNDING, PERCENT_ERROR);

    /** {@return all of them} */
    public static List<Question<?>> all() {
        return ALL;
    }

    @Override
    public List<Question<?>> questions() {
        return ALL;
    }
}
