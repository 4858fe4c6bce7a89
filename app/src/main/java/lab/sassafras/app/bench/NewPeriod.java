package lab.sassafras.app.bench;

import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanFile;
import lab.sassafras.app.record.CountedNames;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.usecase.SetUpPeriod;
import lab.sassafras.convention.Conventions;
import lab.sassafras.measure.BookTime;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.jspecify.annotations.Nullable;

/** The form for a new lab period: what was typed, and what is wrong with it by field. */
public final class NewPeriod {

    static final int LONGEST = 80;

    static final String PLAN = "plan-";
    private static final String NAMES = "names";
    private static final String SCHOOL = "school-";

    private final Map<String, String> typed;
    private final Map<String, String> wrong = new LinkedHashMap<>();

    NewPeriod(Map<String, String> typed) {
        this.typed = new LinkedHashMap<>(typed);
    }

    static NewPeriod blank(LocalDate today, ZoneId zone) {
        return new NewPeriod(Map.of("date", today.toString(), "zone", zone.getId(), "mark", DecimalMark.POINT.name()));
    }

    /** As another one was set up, on another day. */
    static NewPeriod like(Period other, LocalDate today) {
        Map<String, String> typed = new LinkedHashMap<>();
        typed.put("title", other.title());
        typed.put("date", today.toString());
        typed.put("zone", other.zoneName());
        typed.put("mark", other.decimalMark().name());
        typed.put("like", other.id().toString());
        other.schools().forEach((question, school) -> typed.put(SCHOOL + question, school));
        return new NewPeriod(typed);
    }

    /** As plans say it: so many benches, and the conventions of the first. */
    NewPeriod ledBy(List<KeptPlan> plans) {
        plans.forEach(each -> typed.put(PLAN + each.id(), "yes"));
        List<PlanFile.ForPeriod> said =
                plans.stream().map(each -> each.file().forPeriod()).toList();
        typed.put(
                NAMES,
                "Bench 1–"
                        + said.stream()
                                .mapToInt(PlanFile.ForPeriod::benches)
                                .max()
                                .orElse(1));
        said.forEach(each -> each.conventions().forEach((question, school) -> {
            String other = typed.putIfAbsent(SCHOOL + question, school);
            if (other != null && !other.equals(school)) {
                wrong.put(
                        "school",
                        "These plans are reckoned by different conventions. Say here by which this period is.");
            }
        }));
        return this;
    }

    /** The plans it is led by. */
    List<UUID> plans() {
        return typed.keySet().stream()
                .filter(each -> each.startsWith(PLAN))
                .flatMap(each -> Shelf.identity(each.substring(PLAN.length())).stream())
                .toList();
    }

    private List<String> names() {
        return value(NAMES).isBlank() ? List.of() : CountedNames.read(value(NAMES), "benches");
    }

    /** The period whose benches it is to have, too. */
    Optional<UUID> benchesOf() {
        return value("benches").isEmpty() ? Optional.empty() : likeOf();
    }

    /** The period it is to be led as. */
    Optional<UUID> likeOf() {
        try {
            return value("like").isEmpty() ? Optional.empty() : Optional.of(UUID.fromString(value("like")));
        } catch (IllegalArgumentException none) {
            return Optional.empty();
        }
    }

    public String value(String field) {
        return typed.getOrDefault(field, "");
    }

    public @Nullable String problem(String field) {
        return wrong.get(field);
    }

    boolean checks() {
        if (title().isEmpty()) {
            wrong.put("title", "Give the period a title, such as the class and the day.");
        } else {
            check("title", () -> Names.checked(title(), "A title", LONGEST));
        }
        check("date", this::date);
        check(NAMES, this::names);
        try {
            zone();
        } catch (DateTimeException e) {
            wrong.put("zone", "“" + value("zone") + "” is not a time zone. Use a name such as Europe/Berlin or UTC.");
        }
        if (!value("mark").equals(DecimalMark.POINT.name()) && !value("mark").equals(DecimalMark.COMMA.name())) {
            wrong.put("mark", "Say whether decimals are written with a point or a comma.");
        }
        Conventions.unknown(schools())
                .ifPresent(name -> wrong.put("school", "There is no such convention: " + name + "."));
        return wrong.isEmpty();
    }

    private void check(String field, Runnable read) {
        try {
            read.run();
        } catch (Refused refused) {
            wrong.put(field, refused.getMessage());
        }
    }

    /** What is to be opened, once it was checked. */
    SetUpPeriod.Wanted wanted() {
        return new SetUpPeriod.Wanted(
                title(),
                date(),
                zone(),
                mark(),
                schools(),
                likeOf(),
                benchesOf(),
                names(),
                plans(),
                !value("draft").isEmpty(),
                false);
    }

    String title() {
        return value("title").strip();
    }

    LocalDate date() {
        return BookTime.day(value("date").strip());
    }

    ZoneId zone() {
        return ZoneId.of(value("zone").strip());
    }

    DecimalMark mark() {
        return DecimalMark.valueOf(value("mark"));
    }

    Map<String, String> schools() {
        Map<String, String> schools = new LinkedHashMap<>();
        typed.forEach((field, value) -> {
            if (field.startsWith(SCHOOL)) {
                schools.put(field.substring(SCHOOL.length()), value);
            }
        });
        return schools;
    }
}
