package lab.sassafras.draft;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Contents;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Cup;
import lab.sassafras.convention.Mixture;
import lab.sassafras.convention.WaterHeat;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.slot.Calorimeter;

/** What warms or cools, as parties of the books, by the schools in force. */
public final class Heats {

    private final AccountBuilder draft;

    Heats(AccountBuilder draft) {
        this.draft = draft;
    }

    /** {@return what warming water takes, by the school in force} */
    public WaterHeat water() {
        return draft.conventions().in(ConventionQuestion.WATER).with(draft::at);
    }

    /**
     * {@return the liquid and its calorimeter as parties, by the school in force}
     *
     * @param contents what the vessel held
     */
    public List<HeatTerm> withCalorimeter(Contents contents) {
        CalorimeterTreatment treatment = draft.conventions().in(ConventionQuestion.CALORIMETER);
        Cup cup = draft.sheet()
                .calorimeter(draft.trial())
                .map(Calorimeter::cup)
                .orElseGet(() -> new Cup("calorimeter", Optional.empty(), Optional.empty()));
        return treatment.parties(cup, contents, draft::at);
    }

    /**
     * {@return a single body of water in the calorimeter, with the calorimeter}
     *
     * @param mass  of the liquid (g)
     * @param start own temperature before (°C)
     * @param end   common temperature after (°C)
     */
    public List<HeatTerm> waterInCalorimeter(Expression mass, Expression start, Expression end) {
        Expression heat = water().specificHeat("water", start, end);
        return withCalorimeter(
                Contents.of(List.of(HeatTerm.body("water", "water", mass, heat, start, end)), mass, heat, start, end));
    }

    /**
     * {@return what warms or cools of a solution, by the school in force}
     *
     * @param liquids waters or solutions poured together
     * @param solids  what dissolved, reacted or formed
     * @param end     common temperature after (°C)
     * @param solute  asks for what is dissolved in the end, where a table has its solutions
     */
    public List<HeatTerm> solution(
            List<Mixture.Portion> liquids,
            List<Mixture.Portion> solids,
            Expression end,
            Supplier<Optional<Mixture.Solute>> solute) {
        Mixture mixture = new Mixture(liquids, solids, end, water(), draft::at, solute);
        draft.conventions().in(ConventionQuestion.SOLUTION).omissions(mixture).forEach(draft::says);
        return draft.conventions().in(ConventionQuestion.SOLUTION).parties(mixture);
    }

    /**
     * {@return a solution in the calorimeter, with the calorimeter}
     *
     * @param liquids waters or solutions poured together
     * @param solids  what dissolved, reacted or formed
     * @param end     common temperature after (°C)
     * @param solute  asks for what is dissolved in the end, where a table has its solutions
     */
    public List<HeatTerm> solutionInCalorimeter(
            List<Mixture.Portion> liquids,
            List<Mixture.Portion> solids,
            Expression end,
            Supplier<Optional<Mixture.Solute>> solute) {
        Expression start = liquids.get(0).start();
        Expression mass = liquids.get(0).mass();
        Expression blended = start;
        if (liquids.size() > 1) {
            mass = liquids.stream()
                    .map(Mixture.Portion::mass)
                    .reduce(Expression::plus)
                    .orElseThrow();
            blended = liquids.stream()
                    .map(each -> each.mass().times(each.start()))
                    .reduce(Expression::plus)
                    .orElseThrow()
                    .over(mass)
                    .named(Symbol.of("T:start"), BenchUnit.DEGREES_CELSIUS);
        }
        return withCalorimeter(new Contents(
                solution(liquids, solids, end, solute),
                mass,
                water().specificHeat("solution", start, end),
                start,
                blended,
                end));
    }
}
