package lab.sassafras.app.plans;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.substance.Hazard;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Substance;
import org.springframework.stereotype.Component;

/** What is known of a substance's hazards: by its sheet where somebody set that beside, else from memory. */
@Component
public class HazardsShown {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMMM yyyy", Locale.ENGLISH);

    /** Words with hyphens between are a key. */
    private static final String KEY = "[a-z]+(-[a-z]+)+";

    private final PlanBook plans;
    private final Shelves shelves;

    HazardsShown(PlanBook plans, Shelves shelves) {
        this.plans = plans;
        this.shelves = shelves;
    }

    /**
     * Of one substance.
     *
     * @param substance as it is named
     * @param name      in words
     * @param signal    word; empty where there is none
     * @param does      what it does, each with its code
     * @param minds     what to do, each with its code
     * @param standing  how far that may be believed
     * @param confirmed whether a sheet says so
     * @param known     whether anything is known at all
     */
    public record Shown(
            String substance,
            String name,
            String signal,
            List<Hazard.Statement> does,
            List<Hazard.Statement> minds,
            String standing,
            boolean confirmed,
            boolean known) {

        /** {@return whether a tick is asked for before anything of it is handled} */
        boolean strong() {
            return Hazard.strong(does.stream().map(Hazard.Statement::code).toList()) || Hazard.fluoride(substance);
        }

        /** In one sentence, with how far it may be believed. */
        String inWords() {
            return name + ": " + does.stream().map(Hazard.Statement::words).collect(Collectors.joining(", "))
                    + (confirmed ? " (by its sheet)" : " (unconfirmed, from memory)");
        }
    }

    /** {@return what is known of each} */
    public List<Shown> of(List<String> substances) {
        return substances.stream().map(this::of).toList();
    }

    /** {@return what is known of one, by its formula or its key on the shelf} */
    public Shown of(String substance) {
        Optional<HazardSheet> sheet = plans.sheet(substance);
        Optional<Hazard> remembered = Hazard.of(substance);
        String name = remembered
                .map(Hazard::name)
                .or(() -> shelves.now()
                        .handbook(ReferenceShelf.VERSION)
                        .find(substance)
                        .map(Substance::name))
                .orElseGet(() -> substance.matches(KEY) ? substance.replace('-', ' ') : substance);
        if (sheet.isPresent()) {
            HazardSheet by = sheet.get();
            return new Shown(
                    substance,
                    name,
                    by.signal(),
                    statements(by.codes(), "H"),
                    statements(by.codes(), "P"),
                    "by its sheet: " + by.sheet() + " (" + by.who() + ", "
                            + DAY.format(by.madeAt().atZone(ZoneId.systemDefault())) + ")",
                    true,
                    true);
        }
        return remembered
                .map(each -> new Shown(
                        substance,
                        name,
                        each.signal(),
                        statements(each.hazard(), "H"),
                        statements(each.precaution(), "P"),
                        "unconfirmed: from memory. Read its sheet",
                        false,
                        true))
                .orElseGet(() -> new Shown(
                        substance, name, "", List.of(), List.of(), "not known here: read its sheet", false, false));
    }

    private static List<Hazard.Statement> statements(List<String> codes, String kind) {
        return codes.stream()
                .filter(each -> each.startsWith(kind))
                .map(each -> new Hazard.Statement(each, Hazard.words(each)))
                .toList();
    }
}
