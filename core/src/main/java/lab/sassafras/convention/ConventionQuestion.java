package lab.sassafras.convention;

import java.util.List;
import java.util.Optional;
import java.util.ServiceLoader;

/**
 * Something practitioners settle in different ways.
 *
 * @param key      stable name, for files
 * @param words    the question in words
 * @param schools  every way of settling it
 * @param standard the one in force unless another is chosen
 * @param <S>      what its schools can do
 */
public record ConventionQuestion<S extends Convention>(String key, String words, List<S> schools, S standard) {

    /** Specific heat of water. */
    public static final ConventionQuestion<WaterHeat> WATER = new ConventionQuestion<>(
            "water",
            "specific heat of water",
            List.of(
                    FixedWaterHeat.THERMOCHEMICAL,
                    FixedWaterHeat.ROUNDED,
                    FixedWaterHeat.CALORIE,
                    new WaterHeatByTemperature(),
                    new TypedWaterHeat()),
            FixedWaterHeat.THERMOCHEMICAL);

    /** What is done about the calorimeter itself. */
    public static final ConventionQuestion<CalorimeterTreatment> CALORIMETER = new ConventionQuestion<>(
            "calorimeter",
            "the calorimeter",
            List.of(
                    new CalorimeterCounted(),
                    new CalorimeterIgnored(),
                    new CalorimeterLumped(),
                    new CalorimeterOfMaterial(),
                    new CalorimeterScaled()),
            new CalorimeterCounted());

    /** What the start of a bath-warmed or ice-cooled solid is taken to be. */
    public static final ConventionQuestion<BathStart> BATH = new ConventionQuestion<>(
            "bath",
            "start of the solid",
            List.of(new BathAsRead(), new BathAtFixedPoint(), new BathAtBoilingPoint()),
            new BathAsRead());

    /** Which mass warms or cools when something dissolves or reacts. */
    public static final ConventionQuestion<SolutionMass> SOLUTION = new ConventionQuestion<>(
            "solution", "mass used in q = m c ΔT", List.of(SolutionMass.values()), SolutionMass.WHOLE);

    /** What counts as the temperatures before and after. */
    public static final ConventionQuestion<TemperatureChange> CHANGE = new ConventionQuestion<>(
            "change", "temperature change", List.of(TemperatureChange.values()), TemperatureChange.EXTREME);

    /** How a mass was got. */
    public static final ConventionQuestion<MassWay> MASS =
            new ConventionQuestion<>("mass", "mass", List.of(MassWay.values()), MassWay.AS_GIVEN);

    /** What a millilitre weighs. */
    public static final ConventionQuestion<LiquidDensity> DENSITY = new ConventionQuestion<>(
            "density", "density of what was poured", List.of(LiquidDensity.values()), LiquidDensity.ONE);

    /** What the heat of a process is divided by. */
    public static final ConventionQuestion<ResultBasis> BASIS =
            new ConventionQuestion<>("basis", "heat of a process", List.of(ResultBasis.values()), ResultBasis.PER_MOLE);

    /** What the heat of a burning under a can is taken to be. */
    public static final ConventionQuestion<BurningHeat> BURNING = new ConventionQuestion<>(
            "burning", "enthalpy of combustion", List.of(BurningHeat.values()), BurningHeat.RAW);

    /**
     * {@return questions about how masses were got: of any mass, and of one got by its volume}
     *
     * @param weighed whether anything is weighed
     * @param poured  whether any was got by its volume
     */
    public static List<ConventionQuestion<?>> ofWeighing(boolean weighed, boolean poured) {
        return poured ? List.of(MASS, DENSITY) : weighed ? List.of(MASS) : List.of();
    }

    /** {@return every question anybody brings, in the order they are shown} */
    public static List<ConventionQuestion<?>> all() {
        return Known.ALL;
    }

    /** Found once, when first asked for. */
    private static final class Known {
        private static final List<ConventionQuestion<?>> ALL = ServiceLoader.load(ConventionQuestions.class).stream()
                .<ConventionQuestion<?>>flatMap(each -> each.get().questions().stream())
                .toList();
    }

    /**
     * {@return the school of that name; empty for an unknown one}
     *
     * @param name key of the school
     */
    public Optional<S> school(String name) {
        return schools.stream().filter(each -> each.key().equals(name)).findFirst();
    }
}
