package lab.sassafras.app.shelf;

import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.experiment.VesselKind;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
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

    boolean checksVessel() {
        checkName("vessel");
        if (vesselKind().isEmpty()) {
            wrong.put("vesselKind", "Say what the vessel is made of.");
        }
        return wrong.isEmpty();
    }

    Optional<VesselKind> vesselKind() {
        return VesselKind.find(value("vesselKind"));
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
        double low = number("low");
        double high = number("high");
        double offset = number("offset");
        if (!wrong.containsKey("resolution") && resolution <= 0) {
            wrong.put("resolution", "The smallest step it shows is larger than zero.");
        }
        if (!wrong.containsKey("offset") && offset < 0) {
            wrong.put("offset", "An uncertainty cannot be negative.");
        }
        if (!wrong.containsKey("low") && !wrong.containsKey("high") && low >= high) {
            wrong.put("high", "The range must end above where it begins.");
        }
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
                        0))
                : Optional.empty();
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
        try {
            return TypedNumber.read(value(field), figures.mark()).value();
        } catch (Refused refused) {
            wrong.put(field, refused.getMessage());
            return Double.NaN;
        }
    }
}
