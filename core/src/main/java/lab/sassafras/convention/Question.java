package lab.sassafras.convention;

import java.util.List;

/**
 * Something practitioners settle in different ways.
 *
 * @param key      stable name, for files
 * @param words    the question in words
 * @param schools  every way of settling it
 * @param standard the one in force unless another is chosen
 * @param <S>      what its schools can do
 */
public record Question<S extends School>(String key, String words, List<S> schools, S standard) {

    /** Specific heat of water. */
    public static final Question<WaterHeat> WATER = new Question<>("water", "specific heat of water",
            List.of(FixedWaterHeat.THERMOCHEMICAL, FixedWaterHeat.ROUNDED, FixedWaterHeat.CALORIE,
                    new WaterHeatByTemperature()), FixedWaterHeat.THERMOCHEMICAL);

    /** What is done about the calorimeter itself. */
    public static final Question<CalorimeterTreatment> CALORIMETER = new Question<>("calorimeter", "the calorimeter",
            List.of(new CalorimeterCounted(), new CalorimeterIgnored()), new CalorimeterCounted());

    /** What the start of a bath-warmed or ice-cooled solid is taken to be. */
    public static final Question<BathStart> BATH = new Question<>("bath", "start of the solid",
            List.of(new BathAsRead(), new BathAtFixedPoint()), new BathAsRead());

    /** Which mass warms or cools when something dissolves. */
    public static final Question<SolutionMass> SOLUTION = new Question<>("solution", "which mass warms",
            List.of(SolutionMass.values()), SolutionMass.WHOLE);

    private static final List<Question<?>> ALL = List.of(WATER, CALORIMETER, BATH, SOLUTION);

    public static List<Question<?>> all() {
        return ALL;
    }

    /** The school of that name; empty for an unknown one. */
    public java.util.Optional<S> school(String name) {
        return schools.stream().filter(each -> each.key().equals(name)).findFirst();
    }
}
