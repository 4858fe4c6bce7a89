package lab.sassafras.app.plans;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.DiskRoom;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.Persons;
import lab.sassafras.measure.Names;
import lab.sassafras.measure.Refused;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Plans and what safety data sheets say. Adds and finds; never changes. */
@Service
@Transactional
public class PlanBook {

    /** Plans that are listed, the newest. */
    public static final int LISTED = 200;

    /** No instructor allows a class more (mol/L). Common practice, no source. */
    private static final int HIGHEST = 6;

    private static final int LONGEST_SHEET = 200;
    private static final int LONGEST_CODES = 400;
    private static final Pattern CODES = Pattern.compile("[HP]\\d{3}[A-Za-z]{0,2}(\\+[HP]\\d{3}[A-Za-z]{0,2})*");
    private static final List<String> SIGNALS = List.of("", "Warning", "Danger");

    private final EntityManager entities;
    private final Persons persons;
    private final Clock clock;
    private final DiskRoom room;

    PlanBook(EntityManager entities, Persons persons, Clock clock, DiskRoom room) {
        this.entities = entities;
        this.persons = persons;
        this.clock = clock;
        this.room = room;
    }

    private Instant now() {
        return clock.instant().truncatedTo(ChronoUnit.MILLIS);
    }

    /** {@return the newest plans, the newest first} */
    @Transactional(readOnly = true)
    public List<KeptPlan> all() {
        return entities.createQuery("from KeptPlan order by seq desc", KeptPlan.class)
                .setMaxResults(LISTED)
                .getResultList();
    }

    @Transactional(readOnly = true)
    public Optional<KeptPlan> find(UUID id) {
        return Optional.ofNullable(entities.find(KeptPlan.class, id));
    }

    /**
     * Keeps a plan. Given twice under the same identity it is kept once.
     *
     * @throws Refused where its name is none, or it is too long
     */
    public KeptPlan keep(UUID id, PlanFile file, Optional<UUID> copyOf, String who) {
        PlanFile named = file.called(Names.checked(file.name().strip(), "A name", Names.LONGEST));
        named.check();
        KeptPlan known = entities.find(KeptPlan.class, id);
        if (known != null && !known.file().same(named)) {
            throw new Refused("Another plan was kept under the same key. Load the page again and keep it once more.");
        }
        if (known != null) {
            return known;
        }
        room.check();
        if (named.written().length() > PlanFile.LONGEST) {
            throw new Refused("This plan is longer than one can be.");
        }
        KeptPlan kept = new KeptPlan(id, named, copyOf.filter(of -> find(of).isPresent()), persons.ofHouse(who), now());
        entities.persist(kept);
        return kept;
    }

    /** Leads a period by a plan, for its experiment. */
    public void layOut(Period period, KeptPlan plan, String who) {
        laid(period, Optional.empty(), plan.experiment(), Optional.of(plan.id()), who);
    }

    /** Leads one bench by a plan, for its experiment, whatever leads its period. */
    public void layOut(Bench bench, KeptPlan plan, String who) {
        laid(bench.period(), Optional.of(bench.id()), plan.experiment(), Optional.of(plan.id()), who);
    }

    /** Leads a period by none any more, nor a bench of it. */
    public void takeAway(Period period, String experiment, String who) {
        laid(period, Optional.empty(), experiment, Optional.empty(), who);
    }

    private void laid(Period period, Optional<UUID> bench, String experiment, Optional<UUID> plan, String who) {
        room.check();
        entities.persist(new LaidOutPlan(period.id(), bench, experiment, plan, persons.in(period.id(), who), now()));
    }

    /** {@return the plan a bench is led by in an experiment: what was said last of it or of its period} */
    @Transactional(readOnly = true)
    public Optional<KeptPlan> laidOut(Bench bench, String experiment) {
        return entities.createQuery(
                        "from LaidOutPlan where periodId = :period and experiment = :experiment "
                                + "and (benchId is null or benchId = :bench) order by seq desc",
                        LaidOutPlan.class)
                .setParameter("period", bench.period().id())
                .setParameter("experiment", experiment)
                .setParameter("bench", bench.id())
                .setMaxResults(1)
                .getResultStream()
                .findFirst()
                .flatMap(LaidOutPlan::planId)
                .flatMap(this::find);
    }

    /** {@return whether a plan leads a period, or a bench of it} */
    @Transactional(readOnly = true)
    public boolean leads(Period period, KeptPlan plan) {
        return led(period).stream()
                .anyMatch(each -> each.plan().id().equals(plan.id())
                        && each.plan().experiment().equals(plan.experiment()));
    }

    /** A plan with the bench it leads; with none where it leads all of a period. */
    public record Led(Optional<UUID> bench, KeptPlan plan) {}

    /** {@return the plans that lead a period and its benches, in the order they were laid out} */
    @Transactional(readOnly = true)
    public List<Led> led(Period period) {
        Map<String, Map<Optional<UUID>, LaidOutPlan>> last = new LinkedHashMap<>();
        entities.createQuery("from LaidOutPlan where periodId = :period order by seq", LaidOutPlan.class)
                .setParameter("period", period.id())
                .getResultList()
                .forEach(each -> {
                    Map<Optional<UUID>, LaidOutPlan> of =
                            last.computeIfAbsent(each.experiment(), any -> new LinkedHashMap<>());
                    if (each.benchId().isEmpty()) {
                        of.clear();
                    }
                    of.put(each.benchId(), each);
                });
        return last.values().stream()
                .flatMap(each -> each.values().stream())
                .flatMap(each -> each.planId().flatMap(this::find).map(plan -> new Led(each.benchId(), plan)).stream())
                .toList();
    }

    /** {@return up to which strength acids and bases are planned, and who said so; empty where nobody did} */
    @Transactional(readOnly = true)
    public Optional<AllowedStrength> allowed() {
        return entities.createQuery("from AllowedStrength order by seq desc", AllowedStrength.class)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /**
     * Allows acids and bases up to a strength (mol/L).
     *
     * @throws Refused where it is none a class may handle
     */
    public AllowedStrength allow(double strongest, String who) {
        if (!(strongest > 0 && strongest <= HIGHEST)) {
            throw new Refused("Say a strength above nought and up to " + HIGHEST + " mol/L.");
        }
        room.check();
        AllowedStrength allowed = new AllowedStrength(strongest, persons.ofHouse(who), now());
        entities.persist(allowed);
        return allowed;
    }

    /** {@return what the newest sheet says of a substance; empty where nobody set one beside it} */
    @Transactional(readOnly = true)
    public Optional<HazardSheet> sheet(String substance) {
        return entities.createQuery(
                        "from HazardSheet where substance = :substance order by seq desc", HazardSheet.class)
                .setParameter("substance", substance)
                .setMaxResults(1)
                .getResultStream()
                .findFirst();
    }

    /**
     * Sets beside what is remembered what a bottle's sheet says.
     *
     * @throws Refused where it says no sheet, or a statement that is no code
     */
    public HazardSheet confirm(String substance, String signal, String statements, String sheet, String who) {
        room.check();
        String codes = statements.strip().replaceAll("[\\s,;]+", " ");
        if (codes.length() > LONGEST_CODES
                || !codes.isEmpty()
                        && !List.of(codes.split(" ")).stream()
                                .allMatch(each -> CODES.matcher(each).matches())) {
            throw new Refused("Statements are codes such as H314 or P305+P351+P338, with blanks between.");
        }
        if (!SIGNALS.contains(signal)) {
            throw new Refused("The signal word is Danger, Warning, or none.");
        }
        HazardSheet kept = new HazardSheet(
                substance,
                signal,
                codes,
                Names.checked(sheet.strip(), "Which sheet", LONGEST_SHEET),
                persons.ofHouse(who),
                now());
        entities.persist(kept);
        return kept;
    }
}
