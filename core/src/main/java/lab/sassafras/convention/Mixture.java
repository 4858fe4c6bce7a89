package lab.sassafras.convention;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression;
import lab.sassafras.substance.SolutionTable;

/**
 * A solution and what went into it: what changes temperature when something dissolves or reacts in it.
 *
 * @param liquids  waters or solutions poured together
 * @param solids   what dissolved, reacted or formed
 * @param end      common temperature after (°C)
 * @param water    what warming water takes
 * @param answers what was read for it; asked only where the school needs it
 * @param dissolved asks for what is dissolved in the end; empty where no table has its solutions
 */
public record Mixture(
        List<Portion> liquids,
        List<Portion> solids,
        Expression end,
        WaterHeat water,
        ConventionPlace.Answers answers,
        Supplier<Optional<Solute>> dissolved) {

    /**
     * What is dissolved in the end.
     *
     * @param table its solutions by concentration
     * @param mass  of it, without the water of a hydrate (g)
     */
    public record Solute(SolutionTable table, Expression mass) {}

    /**
     * One part of it.
     *
     * @param key          short name
     * @param label        in words
     * @param mass         (g)
     * @param start        own temperature before (°C)
     * @param specificHeat asks for its own (J/(g·°C)); empty where there is none
     */
    public record Portion(
            String key, String label, Expression mass, Expression start, Optional<Supplier<Expression>> specificHeat) {}

    /**
     * Keeps copies of what could change.
     *
     * @param liquids waters or solutions poured together
     * @param solids  what dissolved, reacted or formed
     * @param end     common temperature after (°C)
     * @param water   what warming water takes
     * @param answers what was read for it; asked only where the school needs it
     * @param dissolved asks for what is dissolved in the end; empty where no table has its solutions
     */
    public Mixture {
        liquids = List.copyOf(liquids);
        solids = List.copyOf(solids);
    }

    /** {@return what is dissolved in the end; empty where no table has its solutions} */
    public Optional<Solute> solute() {
        return dissolved.get();
    }
}
