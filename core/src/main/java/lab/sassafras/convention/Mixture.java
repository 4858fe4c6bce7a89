package lab.sassafras.convention;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import lab.sassafras.expression.Expression;

/**
 * A solution and what went into it: what changes temperature when something dissolves or reacts in it.
 *
 * @param liquids  waters or solutions poured together
 * @param solids   what dissolved, reacted or formed
 * @param end      common temperature after (°C)
 * @param water    what warming water takes
 * @param answers what was read for it; asked only where the school needs it
 */
public record Mixture(
        List<Portion> liquids, List<Portion> solids, Expression end, WaterHeat water, SchoolPlace.Answers answers) {

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
     */
    public Mixture {
        liquids = List.copyOf(liquids);
        solids = List.copyOf(solids);
    }
}
