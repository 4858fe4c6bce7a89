package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Line;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.Substance;
import org.hipparchus.special.Erf;

/** Judges a specific heat against the solids of the shelf and what was seen of the sample. */
final class SolidVerdict {

    private static final double WATER = 4.2;
    private static final double DULONG_PETIT = 25;
    private static final int SHOWN = 8;
    /** Further than three standard uncertainties, a candidate is not worth naming; squared. */
    private static final double WORTH_NAMING = 9;

    private final Sheet sheet;
    private final int trial;
    private final Yardstick.OfSolids seen;
    private final Estimate result;
    private final Interval interval;
    private final Solution solved;

    SolidVerdict(Sheet sheet, int trial, Yardstick.OfSolids seen, Estimate result, Interval interval, Solution solved) {
        this.interval = interval;
        this.sheet = sheet;
        this.trial = trial;
        this.seen = seen;
        this.result = result;
        this.solved = solved;
    }

    Verdict verdict() {
        List<Finding> findings = plausibility();
        Optional<Agreement> agreement = agreement();
        agreement
                .filter(each -> result.value() > 0 && each.gross())
                .ifPresent(each -> findings.add(PropertyVerdict.far(each, new ReadingToLookAt(sheet, solved))));
        return new Verdict(findings, candidates(), agreement);
    }

    private List<Finding> plausibility() {
        List<Finding> findings = new ArrayList<>();
        if (result.value() <= 0) {
            findings.add(Finding.question(
                    "specific-heat.negative",
                    "A specific heat cannot be zero or negative. Usually "
                            + "two temperatures were exchanged, or the sign of a difference was dropped."));
        } else if (result.value() > WATER) {
            findings.add(Finding.question(
                    "specific-heat.above-water",
                    "That is more than water takes, which no common "
                            + "solid does. Check the mass of the solid and the temperature of its bath."));
        } else if (result.value() > 1) {
            findings.add(Finding.question(
                    "specific-heat.above-one",
                    "Nearly all metals lie well below 1 J/(g·°C); "
                            + "lithium, beryllium and magnesium are exceptions. Water carried over with the solid "
                            + "makes the "
                            + "number too large."));
        }
        if (result.value() > 0 && result.value() < WATER) {
            findings.add(molar());
        }
        return findings;
    }

    /**
     * The molar heat of what it is; else the molar mass it would have as a metallic element (Dulong and Petit, 1819).
     */
    private Finding molar() {
        Figures figures = sheet.setting().figures();
        return stated(seen.known())
                .flatMap(sheet.setting().shelf()::find)
                .flatMap(Substance::molarMass)
                .map(mass -> Finding.note(
                        "specific-heat.molar",
                        "Molar heat c · M = " + figures.significant(result.value() * mass, 3)
                                + " J/(mol·°C); metallic elements lie near 25 (Dulong and Petit)."))
                .orElseGet(() -> Finding.note(
                        "specific-heat.molar",
                        "If it is a metallic element, its molar mass is near "
                                + figures.significant(DULONG_PETIT / result.value(), 2)
                                + " g/mol: c · M lies near 25 J/(mol·°C) for most (Dulong and Petit)."));
    }

    private List<Candidate> candidates() {
        return sheet.setting().shelf().solids().stream()
                .filter(each -> squares(each) <= WORTH_NAMING)
                .map(this::candidate)
                .sorted(Comparator.comparing(
                                (Candidate each) -> !each.objections().isEmpty())
                        .thenComparing(Candidate::compatibility, Comparator.reverseOrder()))
                .limit(SHOWN)
                .toList();
    }

    /** Specific heat, and density where it was given, together in one chi-squared. */
    private Candidate candidate(Substance substance) {
        double squares = squares(substance);
        int terms = 1;
        Optional<Line> density = line(seen.density());
        if (density.isPresent()) {
            double spread = Math.hypot(density.get().uncertainty().orElse(0.1), 0.02 * substance.density());
            squares += Math.pow((density.get().value() - substance.density()) / spread, 2);
            terms = 2;
        }
        return new Candidate(
                substance,
                result.value() - substance.specificHeat(),
                compatibility(squares, terms),
                objections(substance));
    }

    private double squares(Substance substance) {
        return Math.pow(result.value() - substance.specificHeat(), 2)
                / (Math.pow(result.uncertainty(), 2) + Math.pow(substance.uncertainty(), 2));
    }

    /** What chi-squared leaves above a sum of one or two squares, in closed form. */
    private static double compatibility(double squares, int terms) {
        return terms == 1 ? Erf.erfc(Math.sqrt(squares / 2)) : Math.exp(-squares / 2);
    }

    private List<String> objections(Substance substance) {
        List<String> objections = new ArrayList<>();
        stated(seen.colour())
                .filter(colour -> !looksLike(colour, substance.colour()))
                .ifPresent(colour -> objections.add("it is " + substance.colour()));
        stated(seen.magnetic())
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

    private Optional<Agreement> agreement() {
        return stated(seen.known())
                .flatMap(sheet.setting().shelf()::find)
                .map(known -> Agreement.of(interval, known.specificHeatOnRecord()));
    }

    private Optional<Line> line(String path) {
        return sheet.reading(path, trial);
    }

    private Optional<String> stated(String path) {
        return sheet.stated(path, trial);
    }
}
