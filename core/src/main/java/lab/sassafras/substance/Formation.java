package lab.sassafras.substance;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Scope;

/**
 * Standard enthalpies of formation at 25 °C, all of one set as far as that goes, and the heats of reactions that follow
 * from them. Dissolved substances are taken at infinite dilution.
 */
public final class Formation {

    /** The set every row comes from that names no other. */
    public static final String SOURCE = "NBS Tables of Chemical Thermodynamic Properties (1982)";
    /** Standard uncertainty taken for a heat of reaction from this set (kJ/mol). Common practice, no source. */
    private static final double UNCERTAINTY = 0.5;

    private final List<Row> rows;
    private final List<Capacity> capacities;
    private final Map<Species, Capacity> bySpecies = new HashMap<>();

    Formation(List<Row> rows, List<Capacity> capacities) {
        this.rows = List.copyOf(rows);
        this.capacities = List.copyOf(capacities);
        capacities.forEach(each -> bySpecies.put(Species.of(each.formula(), each.state()), each));
    }

    /** A substance in a state, however it is spelled. */
    private record Species(Map<String, Integer> atoms, int charge, String state) {

        static Species of(ChemicalFormula formula, String state) {
            return new Species(formula.atoms(), formula.charge(), state);
        }
    }

    /**
     * The heat capacity of one substance in one state.
     *
     * @param formula what it is
     * @param state   s, l, g or aq
     * @param value   standard molar heat capacity at 25 °C (J/(mol·°C))
     */
    public record Capacity(ChemicalFormula formula, String state, double value) {}

    /** {@return every heat capacity} */
    public List<Capacity> capacities() {
        return capacities;
    }

    /**
     * {@return how the heat of a reaction changes with temperature (kJ/(mol·°C)): the heat capacities of what is formed
     * less those of what is taken (Kirchhoff, 1858); empty where one is not known}
     *
     * @param equation balanced
     */
    public Optional<Double> changeByDegree(ChemicalEquation equation) {
        OptionalDouble formed = capacity(equation.products());
        OptionalDouble taken = capacity(equation.reagents());
        return formed.isPresent() && taken.isPresent()
                ? Optional.of((formed.getAsDouble() - taken.getAsDouble()) / 1000)
                : Optional.empty();
    }

    private OptionalDouble capacity(List<ChemicalEquation.Term> terms) {
        double sum = 0;
        for (ChemicalEquation.Term term : terms) {
            Capacity row = bySpecies.get(Species.of(term.formula(), term.state()));
            if (row == null) {
                return OptionalDouble.empty();
            }
            sum += term.count() * row.value();
        }
        return OptionalDouble.of(sum);
    }

    /**
     * One substance in one state.
     *
     * @param formula  what it is
     * @param state    s, l, g or aq
     * @param name     in words
     * @param enthalpy standard enthalpy of formation at 25 °C (kJ/mol)
     * @param decimals digits after the mark it has in the table
     * @param known    its standard uncertainty where the table has one (kJ/mol); half a unit of its last figure else
     * @param source   the table
     */
    public record Row(
            ChemicalFormula formula,
            String state,
            String name,
            double enthalpy,
            int decimals,
            OptionalDouble known,
            String source) {

        /** {@return name among the inputs of an account: one row is one error, wherever it enters} */
        public String input() {
            return "shelf:formation:" + species();
        }

        /** Whether it is nought by agreement: an element in its own state, the proton in water. */
        private boolean agreed() {
            return enthalpy == 0 && decimals == 0;
        }

        /** {@return its standard uncertainty (kJ/mol)} */
        public double uncertainty() {
            return agreed() ? 0 : known.orElseGet(() -> Math.pow(10, -decimals) / Math.sqrt(12));
        }

        /** {@return it as an input of an account (kJ/mol)} */
        public Measured asInput() {
            Measured value = agreed()
                    ? Measured.exact(enthalpy)
                    : known.isPresent()
                            ? Measured.independent(enthalpy, known.getAsDouble())
                            : Measured.written(enthalpy, Math.pow(10, -decimals), decimals);
            Measured shared = value.heldInCommon(input(), "formation of " + species(), Scope.EVERYWHERE);
            return new Measured(
                    shared.value(), shared.ownUncertainty(), shared.degreesOfFreedom(), shared.shares(), decimals);
        }

        /** {@return formula and state, as written} */
        public String species() {
            return formula.text() + "(" + state + ")";
        }
    }

    /** {@return every substance in one state} */
    public List<Row> rows() {
        return rows;
    }

    private Optional<Row> of(ChemicalEquation.Term term) {
        return rows.stream()
                .filter(row -> row.state().equals(term.state()) && row.formula().sameAs(term.formula()))
                .findFirst();
    }

    /**
     * {@return substances of an equation that have no row, as written}
     *
     * @param equation balanced
     */
    public List<String> lacking(ChemicalEquation equation) {
        List<String> lacking = new ArrayList<>();
        equation.reagents().stream().filter(term -> of(term).isEmpty()).forEach(term -> lacking.add(term.species()));
        equation.products().stream().filter(term -> of(term).isEmpty()).forEach(term -> lacking.add(term.species()));
        return lacking;
    }

    /**
     * {@return heat of a reaction (kJ per mole of the equation as written); empty where a substance has no row}
     *
     * @param equation balanced
     */
    public Optional<Reference> heat(ChemicalEquation equation) {
        if (!lacking(equation).isEmpty()) {
            return Optional.empty();
        }
        double heat = sum(equation.products()) - sum(equation.reagents());
        return Optional.of(new Reference(
                equation.text(),
                "the reaction, from formation enthalpies at 25 °C and infinite dilution",
                heat,
                UNCERTAINTY,
                BenchUnit.KILOJOULES_PER_MOLE,
                SOURCE,
                false));
    }

    /**
     * {@return heat of formation of everything an equation forms, less that of everything it takes but its first (kJ
     * per mole of it as written); empty where one of them has no row}
     *
     * @param equation balanced
     */
    public Optional<Double> besidesFirst(ChemicalEquation equation) {
        List<ChemicalEquation.Term> others =
                equation.reagents().subList(1, equation.reagents().size());
        return Stream.concat(equation.products().stream(), others.stream()).allMatch(term -> of(term).isPresent())
                ? Optional.of(sum(equation.products()) - sum(others))
                : Optional.empty();
    }

    /**
     * One row in a reaction.
     *
     * @param count how often it is formed, taken where negative
     * @param row   of the table
     */
    public record Taken(int count, Row row) {}

    /**
     * {@return every row a heat of reaction is made of, what is formed first; empty where a substance has none}
     *
     * @param equation balanced
     */
    public List<Taken> rows(ChemicalEquation equation) {
        if (!lacking(equation).isEmpty()) {
            return List.of();
        }
        List<Taken> taken = new ArrayList<>();
        equation.products().forEach(term -> taken.add(new Taken(term.count(), of(term).orElseThrow())));
        equation.reagents().forEach(term -> taken.add(new Taken(-term.count(), of(term).orElseThrow())));
        return taken;
    }

    private double sum(List<ChemicalEquation.Term> terms) {
        return terms.stream()
                .mapToDouble(term -> term.count() * of(term).orElseThrow().enthalpy())
                .sum();
    }
}
