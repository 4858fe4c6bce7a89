package lab.sassafras.verdict;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.experiment.Legs;
import lab.sassafras.experiment.Sheet;
import lab.sassafras.experiment.Yardstick;
import lab.sassafras.expression.Constants;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.Combustion;
import lab.sassafras.substance.DilutionHeats;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/** Judges the heat of a process, which has either sign and a reference that holds at one dilution and temperature. */
final class HeatVerdict {

    private static final ChemicalEquation NEUTRALIZING = ChemicalEquation.read("H+(aq) + OH-(aq) -> H2O(l)");
    private static final ChemicalEquation SECOND_PROTON = ChemicalEquation.read("HSO4-(aq) -> H+(aq) + SO4^2-(aq)");
    private static final List<ChemicalFormula> HALF_IONIZED = List.of(
            ChemicalFormula.read("H2SO4"),
            ChemicalFormula.read("HSO4-"),
            ChemicalFormula.read("NaHSO4"),
            ChemicalFormula.read("KHSO4"));

    /** More than this of the tabulated heat (%) is no uncertainty any more. */
    private static final double MOST_UNDER_A_CAN = 103;

    /**
     * What dilution may make of a strong neutralization, where it is not known (kJ/mol). Common practice, no source.
     */
    private static final double DILUTION_UNKNOWN = 0.3;

    private final ReferenceShelf shelf;
    private final Sheet sheet;
    private final Figures figures;
    private final Estimate result;
    private final Interval interval;
    private final Solution trial;
    private final AtBench bench;
    private final List<Finding> findings = new ArrayList<>();

    private HeatVerdict(Sheet sheet, Estimate result, Interval interval, Solution trial) {
        this.interval = interval;
        this.sheet = sheet;
        this.figures = sheet.setting().figures();
        this.shelf = sheet.setting().shelf();
        this.result = result;
        this.trial = trial;
        this.bench = new AtBench(sheet, trial, findings);
    }

    static Verdict of(
            Yardstick.OfDissolving yardstick, Sheet sheet, Estimate result, Interval interval, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, interval, trial);
        verdict.sign("Dissolving", "ΔH");
        return verdict.dissolving(yardstick);
    }

    static Verdict of(Yardstick.OfReaction yardstick, Sheet sheet, Estimate result, Interval interval, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, interval, trial);
        verdict.sign("The reaction", "ΔH");
        return verdict.reaction(yardstick);
    }

    static Verdict of(
            Yardstick.OfCombustion yardstick, Sheet sheet, Estimate result, Interval interval, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, interval, trial);
        verdict.sign("The burning", "ΔH");
        return verdict.combustion(yardstick);
    }

    static Verdict of(Yardstick.InBomb yardstick, Sheet sheet, Estimate result, Interval interval, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, interval, trial);
        verdict.sign("The burning", "ΔU");
        return verdict.inBomb(yardstick);
    }

    static Verdict of(Yardstick.OfCycle yardstick, Sheet sheet, Estimate result, Interval interval, Solution trial) {
        HeatVerdict verdict = new HeatVerdict(sheet, result, interval, trial);
        return verdict.cycle(yardstick);
    }

    /** Judged only where every reaction of it has a ± and not all come from the table the reference is made of. */
    private Verdict cycle(Yardstick.OfCycle yardstick) {
        Optional<Legs> legs = Legs.of(sheet, yardstick.at());
        Optional<Reference> reference = legs.flatMap(known -> shelf.formation()
                .heat(known.equation())
                .map(heat -> scaled(heat, 1.0 / known.target().times())));
        String unjudged = legs.filter(Legs::circular)
                .map(any ->
                        "Every reaction of it comes from the same table as the reference would, so that comparing them "
                                + "would be going round in a circle.")
                .or(() -> legs.filter(Legs::knownWithoutUncertainty)
                        .map(any -> "A reaction typed from a table has no ± of its own, so nothing is judged."))
                .orElse("");
        if (reference.isPresent() && !unjudged.isEmpty()) {
            findings.add(Finding.note(
                    "cycle.unjudged",
                    unjudged + " The overall reaction and "
                            + figures.signed(reference.get().value(), 1)
                            + " kJ/mol from formation enthalpies differ by "
                            + figures.signed(result.value() - reference.get().value(), 2) + " kJ/mol."));
            return verdict(Optional.empty());
        }
        return verdict(reference);
    }

    /** In a bomb all of the heat is caught, at constant volume: the tabulated ΔH less Δn(gas) R T. */
    private Verdict inBomb(Yardstick.InBomb yardstick) {
        if (unit().dimension() == Dimension.ENERGY) {
            return verdict(Optional.empty());
        }
        Optional<ChemicalFormula> sample = sheet.stated(yardstick.formula(), 1).map(ChemicalFormula::read);
        Optional<Reference> reference = sample.flatMap(formula -> Combustion.inBomb(
                        formula, sheet.stated(yardstick.state(), 1).orElse("solid"))
                .flatMap(equation -> shelf.combustion(formula).map(row -> atConstantVolume(row, equation, formula))));
        if (reference.isEmpty()) {
            findings.add(Finding.note(
                    "combustion.no-reference",
                    "The shelf has no enthalpy of combustion for this sample to compare with."));
        }
        return verdict(reference);
    }

    private Reference atConstantVolume(Reference row, ChemicalEquation equation, ChemicalFormula formula) {
        double gas = (double) equation.gasFormed() / equation.reagents().get(0).count();
        double work = gas * Constants.GAS.value() * Constants.AT_25.value() / 1000;
        double size = unit().dimension() == Dimension.PROCESS_ENERGY ? 1000 / formula.molarMass() : 1;
        return scaled(
                new Reference(
                        row.key(),
                        row.name()
                                .replaceFirst(
                                        "^(heat|enthalpy) of combustion", "energy of combustion, at constant volume,"),
                        row.value() - work,
                        row.uncertainty(),
                        row.unit(),
                        row.source(),
                        row.opened()),
                size);
    }

    /** Under a can a part of the heat is enough to be usual: it is said what part, and where the rest goes. */
    private Verdict combustion(Yardstick.OfCombustion yardstick) {
        boolean vapour =
                sheet.stated(yardstick.water(), 1).filter("gas"::equals).isPresent();
        Optional<Reference> tabulated = sheet.stated(yardstick.formula(), 1)
                .map(ChemicalFormula::read)
                .flatMap(fuel -> shelf.combustion(fuel, vapour));
        if (tabulated.isEmpty()) {
            findings.add(Finding.note(
                    "combustion.no-reference",
                    "The shelf has no enthalpy of combustion for this fuel to compare with."));
            return verdict(tabulated);
        }
        double part = trial.derived().stream()
                .filter(each -> each.derived().unit() == BenchUnit.PERCENT)
                .mapToDouble(each -> each.estimate().value())
                .findFirst()
                .orElse(100 * result.value() / tabulated.get().value());
        String words = figures.significant(part, 2) + " % of the tabulated heat reached water and can. ";
        if (part > MOST_UNDER_A_CAN) {
            findings.add(Finding.question(
                    "combustion.too-much",
                    words + "More than all of it cannot: was the burner weighed with its cap both times, and dry?"));
        } else if (part > 0) {
            findings.add(Finding.note(
                    "combustion.part",
                    words
                            + "A third to a half is usual for a bare can: the rest warmed air and stand, or was never "
                            + "released because of soot, water in the fuel, or fuel that evaporated without burning."));
        }
        return new Verdict(findings, List.of(), tabulated.map(each -> Agreement.of(interval, each)));
    }

    private void sign(String what, String change) {
        findings.add(Finding.note(
                "process.sign",
                result.value() > 0
                        ? what + " absorbed heat from the water: it is endothermic, and " + change + " is positive."
                        : what + " released heat to the water: it is exothermic, and " + change + " is negative."));
    }

    private BenchUnit unit() {
        return trial.result().unit();
    }

    private Verdict dissolving(Yardstick.OfDissolving yardstick) {
        Optional<ChemicalFormula> formula = sheet.stated(yardstick.formula(), 1).map(ChemicalFormula::read);
        if (unit().dimension() == Dimension.ENERGY) {
            return verdict(Optional.empty());
        }
        double waters = trial.derived().stream()
                .filter(each -> each.derived().unit() == BenchUnit.NUMBER)
                .mapToDouble(each -> each.estimate().value())
                .findFirst()
                .orElse(Double.MAX_VALUE);
        Optional<Reference> reference = formula.flatMap(each -> ofDissolving(each, waters));
        if (reference.isEmpty()) {
            findings.add(Finding.note(
                    "dissolving.no-reference",
                    "The shelf has no heat of solution for exactly this formula. A hydrate is another "
                            + "thing than the salt without its water."));
        }
        return verdict(reference);
    }

    private Optional<Reference> ofDissolving(ChemicalFormula solid, double waters) {
        ChemicalEquation equation = ChemicalEquation.dissolving(solid);
        double size = unit().dimension() == Dimension.PROCESS_ENERGY ? 1000 / solid.molarMass() : 1;
        return diluted(solid, equation, waters).map(at25 -> bench.carried(scaled(at25, size), equation, size));
    }

    /**
     * The value at the bench's own dilution where the shelf can say it, and otherwise the nearest with a word on it.
     */
    private Optional<Reference> diluted(ChemicalFormula solid, ChemicalEquation equation, double waters) {
        Optional<DilutionHeats.Row> dilution =
                shelf.dilutionHeats().at(equation.products().get(0).formula(), waters + solid.boundWater());
        Optional<Dissolution> infinite = shelf.heatOfSolution(solid, Double.MAX_VALUE);
        if (infinite.isPresent() && dilution.isPresent() && waters < 1e6) {
            Reference row = infinite.get().reference();
            double more = dilution.get().value();
            String here = "about " + figures.significant(waters, 2) + " mol of water to each mole";
            findings.add(Finding.note(
                    "dissolving.dilution",
                    "The reference is brought from infinite dilution to the bench’s own, " + here + ": "
                            + figures.signed(more, 2) + " kJ/mol."));
            return Optional.of(new Reference(
                    row.key(),
                    row.name().replace("infinite dilution", here),
                    row.value() + more,
                    Math.hypot(row.uncertainty(), dilution.get().uncertainty()),
                    row.unit(),
                    row.source(),
                    row.opened()));
        }
        Optional<Dissolution> nearest = shelf.heatOfSolution(solid, waters);
        nearest.ifPresent(each -> findings.add(otherDilution(each, waters)));
        return nearest.map(Dissolution::reference);
    }

    private Finding otherDilution(Dissolution row, double waters) {
        return Finding.note(
                "dissolving.dilution",
                "The reference holds at " + row.dilution()
                        + (waters < 1e6
                                ? "; here there were about " + figures.significant(waters, 2)
                                        + " mol of water to each mole, and the shelf does not know what diluting from "
                                        + "there would add: often a few tenths of a kJ/mol, more for ions of two charges."
                                : "."));
    }

    private Reference scaled(Reference reference, double size) {
        return new Reference(
                reference.key(),
                reference.name(),
                reference.value() * size,
                reference.uncertainty() * Math.abs(size),
                unit(),
                reference.source(),
                reference.opened());
    }

    private Verdict reaction(Yardstick.OfReaction yardstick) {
        ChemicalEquation equation =
                ChemicalEquation.read(sheet.stated(yardstick.equation(), 1).orElseThrow());
        Optional<String> strength = yardstick.strength().flatMap(path -> sheet.stated(path, 1));
        boolean strong = strength.filter("strong"::equals).isPresent() && equation.netWater() > 0;
        double size = 1 / runs();
        Optional<AtDilution> dilution = AtDilution.of(
                sheet,
                yardstick.poured(),
                equation,
                shelf.dilutionHeats(),
                trial.account().trial(),
                extent());
        Optional<Reference> infinite =
                strong ? Optional.of(strongNeutralization(dilution)) : ofEquation(equation, size);
        double portion = strong ? 1.0 / equation.netWater() : size;
        Optional<Reference> reference = infinite.map(
                at -> dilution.map(here -> diluted(at, here, portion)).orElse(at));
        if (reference.isEmpty()) {
            findings.add(Finding.note(
                    "reaction.no-reference",
                    "The shelf has no formation enthalpy for "
                            + String.join(", ", shelf.formation().lacking(equation))
                            + ", so there is nothing to compare with."));
        }
        if (strength.isPresent() && !strong) {
            findings.add(weak(equation, reference));
        }
        int second = halfIonized(equation.reagents()) - halfIonized(equation.products());
        Optional<Double> ofSecond = shelf.formation().heat(SECOND_PROTON).map(Reference::value);
        if (second > 0 && reference.isPresent()) {
            findings.add(ofSecond.map(each -> betweenProtons(reference.get(), each, second * size))
                    .orElseGet(() -> Finding.note(
                            "reaction.hydrogensulfate",
                            "Sulfuric acid is strong only for its first proton, and the shelf this entry was begun with does "
                                    + "not know what the second gives off: there is no one reference.")));
            return verdict(Optional.empty());
        }
        return verdict(reference);
    }

    private Optional<Reference> ofEquation(ChemicalEquation equation, double size) {
        return shelf.heat(equation).map(heat -> bench.carried(scaled(heat, size), equation, size));
    }

    /** A heat at infinite dilution brought to the bench's own, with a word on it. */
    private Reference diluted(Reference infinite, AtDilution here, double each) {
        double warmer = here.byDegree() * (bench.temperature() - AtBench.REFERENCE_TEMPERATURE);
        double shift = (here.shift() + warmer) * each;
        String waters = "about " + figures.significant(here.waters(), 2) + " mol of water to each mole dissolved";
        findings.add(Finding.note(
                "reaction.dilution",
                "The reference is brought from infinite dilution to the bench’s own, before and after, " + waters
                        + " in the end: " + figures.signed(shift, 2) + " kJ/mol."));
        return new Reference(
                infinite.key(),
                infinite.name().replace("infinite dilution", "the bench’s dilution"),
                infinite.value() + shift,
                Math.hypot(infinite.uncertainty(), here.uncertainty() * Math.abs(each)),
                infinite.unit(),
                infinite.source(),
                infinite.opened());
    }

    /** The value where the mixing began; what dilution makes of it is part of its ± where it is not known. */
    private Reference strongNeutralization(Optional<AtDilution> dilution) {
        Reference at25 = shelf.property("neutralization-strong");
        return bench.carried(
                new Reference(
                        at25.key(),
                        "strong acid with strong base at infinite dilution",
                        at25.value(),
                        dilution.isPresent() ? at25.uncertainty() : DILUTION_UNKNOWN,
                        at25.unit(),
                        at25.source(),
                        at25.opened()),
                NEUTRALIZING,
                1);
    }

    /** What its own ionization makes of a weak partner, in the direction the shelf has it. */
    private Finding weak(ChemicalEquation equation, Optional<Reference> reference) {
        if (reference.isEmpty() || equation.netWater() <= 0) {
            return Finding.note(
                    "neutralization.weak",
                    equation.netWater() <= 0
                            ? "No water is formed here, so the heat is given for each mole of the reagent that ran out."
                            : figures.sentence("A weak acid or base differs from −55.8 kJ/mol by its own ionization "
                                    + "enthalpy, which may have either sign; the shelf does not know this one’s."));
        }
        double own =
                reference.get().value() - strongNeutralization(Optional.empty()).value();
        String size = figures.significant(Math.abs(own), 2) + " kJ/mol";
        return Finding.note(
                "neutralization.weak",
                own > 0
                        ? "The weak partner has to be ionized first, which takes up " + size
                                + ": its neutralization gives off that much less than that of a strong one."
                        : "The ionization of the weak partner itself gives off " + size
                                + ": its neutralization gives off that much more than that of a strong one.");
    }

    private static int halfIonized(List<ChemicalEquation.Term> terms) {
        return terms.stream()
                .filter(term ->
                        term.state().equals("aq") && HALF_IONIZED.stream().anyMatch(term.formula()::sameAs))
                .mapToInt(ChemicalEquation.Term::count)
                .sum();
    }

    /** At the bench a part of the second protons is off before: the value lies between none and all of them. */
    private Finding betweenProtons(Reference allOff, double ofSecond, double each) {
        double more = ofSecond * each;
        double half = interval.towards(allOff.value());
        double low = allOff.value() + more;
        boolean between = result.value() <= allOff.value() + half && result.value() >= low - half;
        String words = "Sulfuric acid is strong only for its first proton. The second gives off about "
                + figures.significant(Math.abs(ofSecond), 2)
                + " kJ/mol as it comes off, and at the bench’s concentrations an unknown part of it is off beforehand. So "
                + "there is no one reference: between " + figures.signed(allOff.value(), 1) + " (all off) and "
                + figures.signed(low, 1) + " kJ/mol (none off). The result ";
        return between
                ? Finding.note("reaction.hydrogensulfate", words + "lies between them.")
                : Finding.question("reaction.hydrogensulfate", words + "lies outside, further than its ± allows.");
    }

    /** How many moles of what the result is per belong to the equation as written. */
    private double runs() {
        return trial.derived().stream()
                .filter(each -> each.derived().asWritten())
                .map(each -> each.estimate().value() / trial.estimate().value())
                .findFirst()
                .orElse(1.0);
    }

    /** How often the equation as written ran (mol): its heat over the heat of one. */
    private double extent() {
        return trial.derived().stream()
                .filter(each -> each.derived().unit() == BenchUnit.JOULES)
                .mapToDouble(each ->
                        each.estimate().value() / 1000 / (trial.estimate().value() * runs()))
                .filter(Double::isFinite)
                .findFirst()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private Verdict verdict(Optional<Reference> reference) {
        Optional<Agreement> agreement = reference.map(each -> Agreement.of(interval, each));
        agreement.ifPresent(each -> {
            if (each.reference().value() * result.value() < 0) {
                findings.add(Finding.question(
                        "process.wrong-sign",
                        "The reference has the other sign. Was a hydrate weighed for the salt "
                                + "without water, were the two temperatures exchanged, or is the equation backwards?"));
            } else if (each.gross()) {
                findings.add(PropertyVerdict.far(each, new ReadingToLookAt(sheet, trial)));
            }
        });
        return new Verdict(findings, List.of(), agreement);
    }
}
