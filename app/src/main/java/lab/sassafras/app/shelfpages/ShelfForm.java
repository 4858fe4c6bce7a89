package lab.sassafras.app.shelfpages;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.CountedNames;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.OwnSubstance;
import lab.sassafras.experiment.VesselKind;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import lab.sassafras.substance.ChemicalFormula;
import org.jspecify.annotations.Nullable;

/** The forms for a new vessel or instrument: what was typed, and what is wrong with it by field. */
public final class ShelfForm {

    private static final int LONGEST_NAME = 60;

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

    boolean checksVessel() {
        if (name("vessel").isEmpty()) {
            checkName("vessel");
        } else {
            try {
                vessels().forEach(each -> Names.checked(each, "A name", LONGEST_NAME));
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
        return VesselKind.find(value("vesselKind"));
    }

    /** A range for an instrument of which none is told (bench unit). */
    private static double[] usualRange(Instrument.Kind kind) {
        return switch (kind) {
            case BALANCE -> new double[] {0, 400};
            case THERMOMETER -> new double[] {-10, 110};
            case CYLINDER -> new double[] {0, 250};
        };
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
        double number = number("value");
        double uncertainty = number("uncertainty");
        double density = value("density").isBlank() ? 0 : number("density");
        if (uncertainty <= 0) {
            wrong.put("uncertainty", "The ± of a value is larger than zero: how far may it be off?");
        }
        if (kind.filter(each -> each != OwnSubstance.Kind.SOLUTION).isPresent() && number <= 0) {
            wrong.put("value", "A specific heat is larger than zero.");
        }
        if (name("source").isEmpty()) {
            wrong.put("source", "Say where the value comes from.");
        }
        String formula = name("formula");
        if (!formula.isEmpty()
                || kind.filter(OwnSubstance.Kind.SOLUTION::equals).isPresent()) {
            try {
                ChemicalFormula.read(formula);
            } catch (Refused refused) {
                wrong.put("formula", refused.getMessage());
            }
        }
        return wrong.isEmpty()
                ? Optional.of(new OwnSubstance.Given(
                        kind.orElseThrow(),
                        name("name"),
                        formula,
                        number,
                        uncertainty,
                        density,
                        name("colour"),
                        Names.checked(name("source"), "A source", 200)))
                : Optional.empty();
    }

    /** The instrument described; empty with the problems noted where it is not one. */
    Optional<Instrument> instrument() {
        checkName("name");
        Optional<Instrument.Kind> kind = Arrays.stream(Instrument.Kind.values())
                .filter(each -> each.name().equals(value("kind")))
                .findFirst();
        if (kind.isEmpty()) {
            wrong.put("kind", "Say whether it is a balance, a thermometer, a cylinder or a pipette.");
        }
        double resolution = number("resolution");
        double[] usual = usualRange(kind.orElse(Instrument.Kind.BALANCE));
        double low = value("low").isBlank() ? usual[0] : number("low");
        double high = value("high").isBlank() ? usual[1] : number("high");
        double offset = value("offset").isBlank() ? resolution : number("offset");
        if (!wrong.containsKey("resolution") && resolution <= 0) {
            wrong.put("resolution", "The smallest step it shows is larger than zero.");
        }
        if (!wrong.containsKey("offset") && offset < 0) {
            wrong.put("offset", "An uncertainty cannot be negative.");
        }
        if (!wrong.containsKey("low") && !wrong.containsKey("high") && low >= high) {
            wrong.put("high", "The range must end above where it begins.");
        }
        Correction correction = correction(kind.orElse(Instrument.Kind.BALANCE));
        return wrong.isEmpty()
                ? Optional.of(new Instrument(
                        "",
                        name("name"),
                        kind.orElseThrow(),
                        Instruments.unit(kind.orElseThrow()),
                        resolution,
                        low,
                        high,
                        offset,
                        0,
                        correction))
                : Optional.empty();
    }

    /** What is known of the scale: the gain in per cent, and a line for each point: reading, true value, its ±. */
    private Correction correction(Instrument.Kind kind) {
        double gain = value("gain").isBlank() ? kind.usualGain() : number("gain") / 100;
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
                numbers[i] = number("points", cells[i]);
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
                Names.checked(name(field), "A name", LONGEST_NAME);
            } catch (Refused refused) {
                wrong.put(field, refused.getMessage());
            }
        }
    }

    private double number(String field) {
        return number(field, value(field));
    }

    private double number(String field, String text) {
        try {
            return TypedNumber.read(text, figures.mark()).value();
        } catch (Refused refused) {
            wrong.put(field, refused.getMessage());
            return Double.NaN;
        }
    }
}
