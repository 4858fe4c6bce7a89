package lab.sassafras.convention;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import lab.sassafras.account.HeatTerm;
import lab.sassafras.account.Omission;
import lab.sassafras.convention.Mixture.Portion;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Expression;
import lab.sassafras.expression.Symbol;
import lab.sassafras.measure.BenchUnit;

/** A way of saying which mass warms or cools, and with which specific heat, when something happens in a solution. */
public enum SolutionMass implements Convention {
    /** The whole solution. */
    WHOLE(
            "whole",
            "the whole solution",
            "Water and what dissolved in it change temperature together, with the specific heat of "
                    + "water; right to a few per cent in dilute solutions.") {
        @Override
        public List<HeatTerm> parties(Mixture mixture) {
            return together(
                    mixture, mixture.solids(), start -> mixture.water().specificHeat("solution", start, mixture.end()));
        }
    },
    /** The water alone. */
    WATER_ALONE(
            "water",
            "the water alone",
            "What dissolved or stood in it is left out of the mass that changes temperature. Salts in "
                    + "solution do take less heat than water, so the truth lies between this and the whole solution.") {
        @Override
        public List<HeatTerm> parties(Mixture mixture) {
            return together(
                    mixture, List.of(), start -> mixture.water().specificHeat("solution", start, mixture.end()));
        }
    },
    /** The whole solution, with a measured specific heat. */
    MEASURED(
            "measured",
            "the whole solution, with a measured specific heat",
            "Water and what dissolved in it change temperature "
                    + "together, with a specific heat measured for this very solution: the best there is, where "
                    + "somebody measured it.") {
        @Override
        public List<ConventionPlace> places() {
            return List.of(VALUE);
        }

        @Override
        public List<HeatTerm> parties(Mixture mixture) {
            Expression measured = mixture.answers().at(VALUE);
            return together(mixture, mixture.solids(), start -> measured);
        }
    },
    /** The whole solution, with its specific heat from a table. */
    TABULATED(
            "table",
            "the whole solution, with its specific heat from a table",
            "Water and what is dissolved change temperature together, with the specific heat the shelf has for a "
                    + "solution of this concentration at 25 °C. Better than that of water from a few per cent on.") {
        @Override
        public List<HeatTerm> parties(Mixture mixture) {
            return mixture.solute()
                    .map(solute -> together(mixture, mixture.solids(), start -> tabulated(mixture, solute)))
                    .orElseGet(() -> WHOLE.parties(mixture));
        }

        @Override
        public List<Omission> omissions(Mixture mixture) {
            return mixture.solute().isPresent()
                    ? List.of()
                    : List.of(Omission.ofTable("specific heat", "that of water"));
        }

        private Expression tabulated(Mixture mixture, Mixture.Solute solute) {
            List<Expression> all = new ArrayList<>();
            mixture.liquids().forEach(each -> all.add(each.mass()));
            mixture.solids().forEach(each -> all.add(each.mass()));
            Expression percent = solute.mass()
                    .times(Constants.HUNDRED_PER_CENT)
                    .over(all.size() == 1 ? all.get(0) : new Expression.Sum(all))
                    .named(new Symbol("w", solute.table().solute().text()), BenchUnit.PERCENT);
            return new Expression.Applied(solute.table().specificHeat(), percent)
                    .named(new Symbol("c", SOLUTION), BenchUnit.JOULES_PER_GRAM_DEGREE);
        }
    },
    /** Water and solids as parties of their own. */
    OF_THEIR_OWN(
            "parties",
            "water and solids as separate terms",
            "Water with its specific heat, each solid with its own. A "
                    + "dissolved salt no longer behaves as the solid did, so this is best for metals and solids "
                    + "that stay.") {
        @Override
        public List<HeatTerm> parties(Mixture mixture) {
            List<HeatTerm> parties = new ArrayList<>(together(
                    mixture, List.of(), start -> mixture.water().specificHeat("solution", start, mixture.end())));
            mixture.solids()
                    .forEach(solid -> solid.specificHeat()
                            .ifPresent(heat -> parties.add(HeatTerm.body(
                                    solid.key(),
                                    solid.label(),
                                    solid.mass(),
                                    heat.get(),
                                    solid.start(),
                                    mixture.end()))));
            return parties;
        }

        @Override
        public List<Omission> omissions(Mixture mixture) {
            return mixture.solids().stream()
                    .filter(solid -> solid.specificHeat().isEmpty())
                    .map(solid -> Omission.ofParty(solid.label()))
                    .toList();
        }
    };

    /** Specific heat of this very solution (J/(g·°C)). */
    public static final ConventionPlace VALUE = ConventionPlace.first(
                    "constants", "solution", BenchUnit.JOULES_PER_GRAM_DEGREE)
            .usually(3.5, 4.2);

    private static final String SOLUTION = "solution";

    private final Said said;

    SolutionMass(String key, String words, String explanation) {
        this.said = new Said(key, words, explanation);
    }

    /**
     * {@return what changes temperature, as parties}
     *
     * @param mixture what was put together
     */
    public abstract List<HeatTerm> parties(Mixture mixture);

    /**
     * {@return whether the parts warm first and react at the end; otherwise what was formed warms, and the heat belongs
     * to the temperature before}
     */
    public boolean reactsAtEnd() {
        return this == OF_THEIR_OWN;
    }

    /**
     * {@return what should be a party and has no specific heat to be one}
     *
     * @param mixture what was put together
     */
    public List<Omission> omissions(Mixture mixture) {
        return List.of();
    }

    /** Solids counted with the first liquid, each liquid from its own start; one liquid is simply the solution. */
    private static List<HeatTerm> together(
            Mixture mixture, List<Portion> solids, Function<Expression, Expression> specificHeat) {
        List<HeatTerm> parties = new ArrayList<>();
        for (Portion liquid : mixture.liquids()) {
            boolean first = parties.isEmpty();
            List<Expression> masses = new ArrayList<>(List.of(liquid.mass()));
            if (first) {
                solids.forEach(solid -> masses.add(solid.mass()));
            }
            boolean alone = mixture.liquids().size() == 1;
            Expression mass = masses.size() == 1
                    ? liquid.mass()
                    : new Expression.Sum(masses)
                            .named(
                                    new Symbol(
                                            "m",
                                            alone && !liquid.label().equals(SOLUTION)
                                                    ? SOLUTION
                                                    : liquid.label() + " and solid"),
                                    BenchUnit.GRAMS);
            parties.add(HeatTerm.body(
                    liquid.key(),
                    alone ? SOLUTION : liquid.label(),
                    mass,
                    specificHeat.apply(liquid.start()),
                    liquid.start(),
                    mixture.end()));
        }
        return parties;
    }

    @Override
    public Said said() {
        return said;
    }
}
