package lab.sassafras.yardstick;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.Figures;
import lab.sassafras.slot.Line;
import lab.sassafras.substance.Substance;

/**
 * The solids on the reference shelf, with what was seen of the sample.
 *
 * @param known    path of the slot that says what it is, where that is told
 * @param colour   path of the colour seen
 * @param magnetic path of the magnet's answer
 * @param density  path of its density
 */
public record SolidsOnShelf(String known, String colour, String magnetic, String density) implements Yardstick {

    private static final double WATER = 4.2;
    private static final double DULONG_PETIT = 25;
    /** What a density on the shelf may be off by, as a part of it. No source. */
    private static final double ITS_DENSITY = 0.02;
    /** What a density without a ± is good to (g/mL). No source. */
    private static final double A_DENSITY = 0.1;

    @Override
    public Parts parts(Judged judged) {
        return Parts.beside(remarks(judged), named(judged).map(Substance::specificHeatOnRecord), Parts.Compared.BY_SIZE)
                .contending(new Parts.Contenders(
                        "solid",
                        judged.shelf().solids().stream()
                                .map(each -> contender(judged, each))
                                .toList()));
    }

    private Optional<Substance> named(Judged judged) {
        return stated(judged, known).flatMap(judged.shelf()::find);
    }

    private static Optional<String> stated(Judged judged, String path) {
        return judged.sheet().stated(path, judged.trial());
    }

    private List<Finding> remarks(Judged judged) {
        double value = judged.result().value();
        List<Finding> findings = new ArrayList<>();
        if (value <= 0) {
            findings.add(Finding.question(
                    "specific-heat.negative",
                    "A specific heat cannot be zero or negative. Usually "
                            + "two temperatures were exchanged, or the sign of a difference was dropped."));
        } else if (value > WATER) {
            findings.add(Finding.question(
                    "specific-heat.above-water",
                    "That is more than water takes, which no common "
                            + "solid does. Check the mass of the solid and the temperature of its bath."));
        } else if (value > 1) {
            findings.add(Finding.question(
                    "specific-heat.above-one",
                    "Nearly all metals lie well below 1 J/(g·°C); "
                            + "lithium, beryllium and magnesium are exceptions. Water carried over with the solid "
                            + "makes the "
                            + "number too large."));
        }
        if (value > 0 && value < WATER) {
            findings.add(molar(judged));
        }
        return findings;
    }

    /**
     * The molar heat of what it is; else the molar mass it would have as a metallic element (Dulong and Petit, 1819).
     */
    private Finding molar(Judged judged) {
        Figures figures = judged.figures();
        double value = judged.result().value();
        return named(judged)
                .flatMap(Substance::molarMass)
                .map(mass -> Finding.note(
                        "specific-heat.molar",
                        "Molar heat c · M = " + figures.significant(value * mass, 3)
                                + " J/(mol·°C); metallic elements lie near 25 (Dulong and Petit)."))
                .orElseGet(() -> Finding.note(
                        "specific-heat.molar",
                        "If it is a metallic element, its molar mass is near "
                                + figures.significant(DULONG_PETIT / value, 2)
                                + " g/mol: c · M lies near 25 J/(mol·°C) for most (Dulong and Petit)."));
    }

    private Parts.Contender contender(Judged judged, Substance substance) {
        return new Parts.Contender(
                substance,
                substance.specificHeat(),
                substance.uncertainty(),
                byDensity(judged, substance),
                objections(judged, substance));
    }

    private OptionalDouble byDensity(Judged judged, Substance substance) {
        Optional<Line> measured = judged.sheet().reading(density, judged.trial());
        return measured.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of((measured.get().value() - substance.density())
                        / Math.hypot(
                                measured.get().uncertainty().orElse(A_DENSITY), ITS_DENSITY * substance.density()));
    }

    private List<String> objections(Judged judged, Substance substance) {
        List<String> objections = new ArrayList<>();
        stated(judged, colour)
                .filter(seen -> !looksLike(seen, substance.colour()))
                .ifPresent(seen -> objections.add("it is " + substance.colour()));
        stated(judged, magnetic)
                .filter(answer -> answer.equals("yes") != substance.magnetic())
                .ifPresent(answer ->
                        objections.add(substance.magnetic() ? "a magnet would hold it" : "no magnet would hold it"));
        if (!substance.everyday()) {
            objections.add("not handed out in a class");
        }
        return objections;
    }

    /** Silvery and grey shade into each other. */
    private static boolean looksLike(String seen, String known) {
        return seen.equals(known) || isPale(seen) && isPale(known);
    }

    private static boolean isPale(String colour) {
        return colour.equals("silvery") || colour.equals("grey");
    }
}
