package lab.sassafras.app.shelfpages;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.CountedNames;
import lab.sassafras.app.shelf.OwnReference;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.app.usecase.KeepShelf;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.slot.VesselKind;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import org.jspecify.annotations.Nullable;

/** The forms for a new vessel or instrument: what was typed, and what is wrong with it by field. */
public final class ShelfForm {

    /** Fields whose figures are kept, which therefore are typed in their own unit. */
    private static final List<String> KEEPS_FIGURES = List.of("value", "constant");

    private static final Pattern WITH_UNIT = Pattern.compile("([+\\-−]?[\\d.,]+)\\s*(\\p{L}\\S*|[°%]\\S*)");

    private final Map<String, String> typed;
    private final Figures figures;
    private final Map<String, String> wrong = new LinkedHashMap<>();

    ShelfForm(Map<String, String> typed, Figures figures) {
        this.typed = Map.copyOf(typed);
        this.figures = figures;
    }

    public String value(String field) {
        return typed.getOrDefault(field, "");
    }

    public @Nullable String problem(String field) {
        return wrong.get(field);
    }

    String name(String field) {
        return value(field).strip();
    }

    /** Names of the vessels, one or many. */
    List<String> vessels() {
        return CountedNames.read(value("vessel"), "vessels");
    }

    /** Says at a field why what was typed there was not kept. */
    void refused(String field, String why) {
        wrong.put(field, why);
    }

    /** Whether anything was refused. */
    boolean refused() {
        return !wrong.isEmpty();
    }

    boolean checksVessel() {
        if (name("vessel").isEmpty()) {
            checkName("vessel");
        } else {
            try {
                vessels().forEach(each -> Names.checked(each, "A name", Names.LONGEST));
            } catch (Refused refused) {
                wrong.put("vessel", refused.getMessage());
            }
        }
        if (vesselKind().isEmpty()) {
            wrong.put("vesselKind", "Say what the vessel is made of.");
        }
        return wrong.isEmpty();
    }

    Optional<VesselKind> vesselKind() {
        return Experiments.vessel(value("vesselKind"));
    }

    /** What was added of one's own; empty with the problems noted where it is none. */
    Optional<OwnSubstance.Given> substance() {
        checkName("name");
        Optional<OwnSubstance.Kind> kind = Arrays.stream(OwnSubstance.Kind.values())
                .filter(each -> each.name().equals(value("kind")))
                .findFirst();
        if (kind.isEmpty()) {
            wrong.put("kind", "Say what it is.");
        }
        String unit = kind.map(OwnSubstance.Kind::unit).orElse("");
        double number = number("value", unit);
        double uncertainty = width("value", "uncertainty", unit);
        double density = value("density").isBlank() ? 0 : number("density", "g/mL");
        if (kind.filter(OwnSubstance.Kind::specificHeat).isPresent() && number <= 0) {
            wrong.put("value", "A specific heat is larger than zero.");
        }
        if (name("source").isEmpty()) {
            wrong.put("source", "Say where the value comes from.");
        }
        kind.ifPresent(each -> checkFormula(each, name("formula")));
        return wrong.isEmpty()
                ? Optional.of(new OwnSubstance.Given(
                        kind.orElseThrow(),
                        name("name"),
                        name("formula"),
                        number,
                        uncertainty,
                        density,
                        name("colour"),
                        Names.checked(name("source"), "A source", 200),
                        bare(value("value")).replace(figures.mark().sign(), '.').replace('−', '-'),
                        !value("uncertainty").isBlank()))
                : Optional.empty();
    }

    /** What results should be; empty with the problems noted where it is none. */
    Optional<OwnReference.Given> reference() {
        Optional<Experiment> experiment = Experiments.find(value("experiment"));
        if (experiment.isEmpty()) {
            wrong.put("experiment", "Say which experiment finds it.");
        }
        BenchUnit unit = experiment.map(each -> each.unknown().unit()).orElse(BenchUnit.NUMBER);
        double number = number("value", unit.symbol());
        double uncertainty = width("value", "uncertainty", unit.symbol());
        for (String field : List.of("sample", "substance")) {
            if (!name(field).isEmpty()) {
                checkName(field);
            }
        }
        if (name("source").isEmpty()) {
            wrong.put("source", "Say where the value comes from.");
        }
        return wrong.isEmpty()
                ? Optional.of(new OwnReference.Given(
                        value("experiment"),
                        name("sample"),
                        name("substance"),
                        number,
                        uncertainty,
                        unit,
                        Names.checked(name("source"), "A source", 200)))
                : Optional.empty();
    }

    private void checkFormula(OwnSubstance.Kind kind, String formula) {
        try {
            switch (kind) {
                case SOLID, LIQUID -> {
                    if (!formula.isEmpty()) {
                        ChemicalFormula.read(formula);
                    }
                }
                case SOLUTION, COMBUSTION -> ChemicalFormula.read(formula);
                case FORMATION -> ChemicalEquation.Term.read(formula);
                case REACTION -> ChemicalEquation.read(formula);
            }
        } catch (Refused refused) {
            wrong.put("formula", refused.getMessage());
        }
    }

    /** A constant known from elsewhere; empty with the problems noted where it is none. */
    Optional<KeepShelf.KnownConstant> constant() {
        double value = number("constant", "J/°C");
        double width = width("constant", "constant-width", "J/°C");
        double fill = number("fill", "g");
        if (value <= 0) {
            wrong.put("constant", "A constant is larger than zero.");
        }
        if (fill <= 0) {
            wrong.put("fill", "Say for how much water it holds.");
        }
        if (name("constant-source").isEmpty()) {
            wrong.put("constant-source", "Say where the constant comes from.");
        }
        return wrong.isEmpty()
                ? Optional.of(new KeepShelf.KnownConstant(
                        value, width, !value("constant-width").isBlank(), fill, name("constant-source")))
                : Optional.empty();
    }

    /** The ± that was given, or half a unit of the last figure of the value as a rectangle where none was. */
    private double width(String value, String width, String unit) {
        if (!value(width).isBlank()) {
            double given = number(width, unit);
            if (given <= 0) {
                wrong.put(
                        width,
                        "A ± is larger than zero: how far may it be off? Left blank, half a unit of the last figure is taken.");
            }
            return given;
        }
        return wrong.containsKey(value)
                ? Double.NaN
                : TypedNumber.read(bare(value(value)), figures.mark()).lastDigit() / Math.sqrt(12);
    }

    /** The instrument described; empty with the problems noted where it is not one. */
    Optional<Instrument> instrument() {
        checkName("name");
        Optional<InstrumentKind> kind = Experiments.instruments().stream()
                .filter(each -> each.key().equals(value("kind")))
                .findFirst();
        if (kind.isEmpty()) {
            wrong.put("kind", "Say what kind of instrument it is.");
        }
        InstrumentKind described = kind.orElse(InstrumentKind.BALANCE);
        String unit = described.unit().symbol();
        double resolution = number("resolution", unit);
        double low = value("low").isBlank() ? described.low() : number("low", unit);
        double high = value("high").isBlank() ? described.high() : number("high", unit);
        double offset = value("offset").isBlank() ? resolution : number("offset", unit);
        if (!wrong.containsKey("resolution") && resolution <= 0) {
            wrong.put("resolution", "The smallest step it shows is larger than zero.");
        }
        if (!wrong.containsKey("offset") && offset < 0) {
            wrong.put("offset", "An uncertainty cannot be negative.");
        }
        if (!wrong.containsKey("low") && !wrong.containsKey("high") && low >= high) {
            wrong.put("high", "The range must end above where it begins.");
        }
        Correction correction = correction(described);
        return wrong.isEmpty()
                ? Optional.of(new Instrument(
                        "", name("name"), described, described.unit(), resolution, low, high, offset, 0, correction))
                : Optional.empty();
    }

    /** What is known of the scale: the gain in per cent, and a line for each point: reading, true value, its ±. */
    private Correction correction(InstrumentKind kind) {
        double gain = value("gain").isBlank() ? kind.usualGain() : number("gain", "%") / 100;
        List<Correction.Point> points = new ArrayList<>();
        for (String line : value("points")
                .strip()
                .lines()
                .limit(2L * Correction.MOST_POINTS)
                .toList()) {
            String[] cells = line.strip().split("[\\s;]+", -1);
            if (cells.length != 3) {
                wrong.put("points", "Three numbers a line: what it showed, what it was, and ±, such as “0.3 0.0 0.1”.");
                return Correction.unknown(0);
            }
            double[] numbers = new double[3];
            for (int i = 0; i < 3; i++) {
                numbers[i] = read("points", cells[i], "");
            }
            points.add(new Correction.Point(numbers[0], numbers[1], numbers[2]));
        }
        if (wrong.containsKey("gain") || wrong.containsKey("points")) {
            return Correction.unknown(0);
        }
        try {
            Correction.unknown(gain);
        } catch (Refused refused) {
            wrong.put("gain", refused.getMessage());
            return Correction.unknown(0);
        }
        try {
            return new Correction(gain, points);
        } catch (Refused refused) {
            wrong.put("points", refused.getMessage());
            return Correction.unknown(0);
        }
    }

    private void checkName(String field) {
        if (name(field).isEmpty()) {
            wrong.put(field, "Give it a name, as written on it.");
        } else {
            try {
                Names.checked(name(field), "A name", Names.LONGEST);
            } catch (Refused refused) {
                wrong.put(field, refused.getMessage());
            }
        }
    }

    private double number(String field, String unit) {
        return read(field, value(field), unit);
    }

    /** A number without the unit that may stand behind it. */
    private static String bare(String text) {
        return WITH_UNIT.matcher(text.strip()).replaceFirst("$1");
    }

    /** A number, or a number with its unit, in which it may be another of the same kind: 0.01 g, 10 mg. */
    private double read(String field, String text, String unit) {
        try {
            Matcher with = WITH_UNIT.matcher(text.strip());
            String written = with.matches() ? with.group(2) : "";
            double number = TypedNumber.read(bare(text), figures.mark()).value();
            if (written.isEmpty() || written.equals(unit)) {
                return number;
            }
            Optional<BenchUnit> typedIn = BenchUnit.of(written);
            Optional<BenchUnit> asked = BenchUnit.of(unit);
            boolean same = typedIn.isPresent()
                    && asked.isPresent()
                    && typedIn.get().dimension().equals(asked.get().dimension());
            if (!same || KEEPS_FIGURES.contains(field)) {
                throw new Refused(
                        "“" + text.strip() + "” is in " + written + ". What is asked here is in " + unit + ".");
            }
            return field.equals("low") || field.equals("high")
                    ? typedIn.get().toBench(number)
                    : typedIn.get().widthToBench(number);
        } catch (Refused refused) {
            wrong.put(field, refused.getMessage());
            return Double.NaN;
        }
    }
}
