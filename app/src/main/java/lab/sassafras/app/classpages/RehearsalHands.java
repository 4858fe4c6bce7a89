package lab.sassafras.app.classpages;

import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.EveningClock;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.usecase.BeginEntry;
import lab.sassafras.app.usecase.KeepObservation;
import lab.sassafras.app.usecase.RunSimulated;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.rehearse.Act;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * The hands of dress rehearsals: each thing is done when its evening has come to it, by the same ways in as a bench's
 * own hands. After a restart they go on from where they were: what was done stays done, what was missed is done with
 * its own time.
 */
@Component
class RehearsalHands {

    private static final Logger LOG = LoggerFactory.getLogger(RehearsalHands.class);

    /** So often is looked what is to be done. */
    private static final Duration EVERY = Duration.ofMillis(500);
    /** Hands weigh out what is wished for within such a part of it. No source. */
    private static final double ABOUT = 0.02;

    private final PeriodBook periods;
    private final EntryBook entries;
    private final EntrySheets sheets;
    private final ClassBook book;
    private final PlanBook plans;
    private final Shelves shelves;
    private final BeginEntry beginning;
    private final RunSimulated running;
    private final KeepObservation keeping;
    private final Clock clock;
    private final Map<UUID, Going> all = new ConcurrentHashMap<>();
    private @Nullable Future<?> started;
    private final ScheduledExecutorService looking = Executors.newSingleThreadScheduledExecutor(work -> {
        Thread thread = new Thread(work, "rehearsals");
        thread.setDaemon(true);
        return thread;
    });

    RehearsalHands(
            PeriodBook periods,
            EntryBook entries,
            EntrySheets sheets,
            ClassBook book,
            PlanBook plans,
            Shelves shelves,
            BeginEntry beginning,
            RunSimulated running,
            KeepObservation keeping,
            Clock clock) {
        this.periods = periods;
        this.entries = entries;
        this.sheets = sheets;
        this.book = book;
        this.plans = plans;
        this.shelves = shelves;
        this.beginning = beginning;
        this.running = running;
        this.keeping = keeping;
        this.clock = clock;
    }

    /** A rehearsal that goes on. */
    private static final class Going {

        private final KeptRehearsal kept;
        private final KeptRehearsal.Evening evening;
        private final EveningClock by;
        private final Map<String, Bench> benches = new LinkedHashMap<>();
        private final KeptPlan plan;
        private final List<Act> acts;
        private final Map<String, String> problems = new ConcurrentHashMap<>();
        private volatile int next;

        Going(KeptRehearsal kept, Period period, List<Bench> benches, KeptPlan plan) {
            this.kept = kept;
            this.evening = kept.evening();
            this.by = kept.clock(period);
            benches.forEach(each -> this.benches.put(each.name(), each));
            this.plan = plan;
            this.acts = acts(plan.experiment(), evening);
        }
    }

    /** {@return all that is done in an evening, in order} */
    static List<Act> acts(String experiment, KeptRehearsal.Evening evening) {
        Experiment of = Experiments.find(experiment).orElseThrow();
        Scene scene = of.scene().orElseThrow();
        Rehearsal rehearsal = evening.rehearsal();
        Set<String> names = new LinkedHashSet<>();
        evening.went().forEach(each -> names.add(each.bench()));
        List<Act> acts = new ArrayList<>();
        // what hands do is the same in all trials, and at all benches: only when they do it is not
        List<lab.sassafras.simulate.Bench.Due> touches = lab.sassafras.simulate.Bench.usual(
                        1, of.takes().get(0).typical())
                .wishing(evening.wished(), evening.taken())
                .touches(scene);
        names.forEach(bench -> acts.addAll(Act.of(rehearsal, bench, of, trial -> touches)));
        acts.sort(Comparator.comparingInt(Act::second));
        return acts;
    }

    @EventListener
    void ready(ApplicationReadyEvent event) {
        book.rehearsals().forEach(this::goOn);
        started = looking.scheduleWithFixedDelay(this::look, EVERY.toMillis(), EVERY.toMillis(), TimeUnit.MILLISECONDS);
    }

    @PreDestroy
    void stop() {
        if (started != null) {
            started.cancel(true);
        }
        looking.shutdownNow();
    }

    /** It goes on from where it is; nothing happens where its period is over. */
    void goOn(KeptRehearsal kept) {
        Optional<Period> period = periods.find(kept.periodId()).filter(Period::open);
        Optional<KeptPlan> plan = plans.find(kept.planId());
        if (period.isPresent() && plan.isPresent()) {
            all.put(kept.periodId(), new Going(kept, period.get(), periods.benches(period.get()), plan.get()));
        }
    }

    /** {@return what could not be done, by bench} */
    Map<String, String> problems(Period period) {
        Going going = all.get(period.id());
        return going == null ? Map.of() : Map.copyOf(going.problems);
    }

    /** {@return whether nothing is to be done in it any more} */
    boolean done(Period period) {
        Going going = all.get(period.id());
        return going == null || going.next >= going.acts.size();
    }

    private void look() {
        for (Going going : List.copyOf(all.values())) {
            try {
                play(going);
            } catch (RuntimeException failed) {
                LOG.warn("A dress rehearsal was left alone: {}", going.kept.id(), failed);
                all.remove(going.kept.periodId());
            }
        }
    }

    /** Does whatever is due by now. */
    private synchronized void play(Going going) {
        int now = going.by.second(clock.instant());
        while (going.next < going.acts.size()
                && going.acts.get(going.next).second() <= now
                && !Thread.currentThread().isInterrupted()) {
            if (!periods.find(going.kept.periodId()).filter(Period::open).isPresent()) {
                all.remove(going.kept.periodId());
                return;
            }
            Act act = going.acts.get(going.next);
            try {
                done(going, act);
            } catch (Refused refused) {
                going.problems.put(act.bench(), String.valueOf(refused.getMessage()));
            }
            going.next = going.next + 1;
        }
    }

    private void done(Going going, Act act) {
        Bench bench = going.benches.get(act.bench());
        if (bench == null || going.problems.containsKey(act.bench())) {
            return;
        }
        Actor actor = Actor.at(bench);
        Entry entry = act.place() == 0
                ? begun(going, act, bench, actor)
                : entry(bench).orElseThrow();
        int began = going.acts.stream()
                .filter(each -> each.bench().equals(act.bench()) && each.trial() == act.trial())
                .mapToInt(Act::second)
                .min()
                .orElse(0);
        running.touched(
                        sheets.of(entry),
                        act.trial(),
                        act.place(),
                        act.second() - began,
                        going.by.when(act.second()),
                        actor)
                .orThrow();
        if (act.place() > 0) {
            tick(sheets.of(entry), act, actor);
            running.record(sheets.of(entry), act.trial(), actor).orThrow();
        }
    }

    private Optional<Entry> entry(Bench bench) {
        return entries.of(bench).stream().findFirst();
    }

    private Entry begun(Going going, Act act, Bench bench, Actor actor) {
        KeptRehearsal.Evening evening = going.evening;
        Entry entry = entry(bench).orElseGet(() -> {
            Map<InstrumentKind, UUID> with = new LinkedHashMap<>();
            going.plan.file().reads().values().stream()
                    .flatMap(each -> Shelf.identity(each.key()).stream())
                    .forEach(id -> shelves.now().instrument(id).ifPresent(each -> with.put(each.kind(), id)));
            Entry fresh = beginning
                    .begin(going.plan.experiment(), bench.vesselId(), with, true, true, actor)
                    .orThrow();
            long seed = going.kept.seed() + new ArrayList<>(going.benches.keySet()).indexOf(bench.name());
            running.begin(
                            sheets.of(fresh),
                            going.kept.speed(),
                            seed,
                            Optional.ofNullable(evening.slips().get(bench.name()))
                                    .map(Set::of)
                                    .orElse(Set.of()),
                            weighed(going, seed),
                            evening.taken(),
                            actor)
                    .orThrow();
            return fresh;
        });
        while (sheets.of(entry).sheet().trials() < act.trial()) {
            beginning.more(sheets.of(entry), EntryBook.TRIAL, actor).orThrow();
        }
        return entry;
    }

    /** What a bench weighs and measures out of what is wished for. */
    private static Map<String, Double> weighed(Going going, long seed) {
        SplittableRandom drawn = new SplittableRandom(seed);
        Map<String, Double> all = new LinkedHashMap<>(going.evening.wished());
        going.acts.stream()
                .filter(each -> each.touch().kind() == lab.sassafras.simulate.Bench.Kind.WEIGH)
                .map(each -> each.touch().path())
                .distinct()
                .forEach(path ->
                        all.computeIfPresent(path, (any, much) -> much * (1 + ABOUT * (2 * drawn.nextDouble() - 1))));
        return all;
    }

    /** What must be ticked off before what was done is, as careful hands do. */
    private void tick(EntrySheet entry, Act act, Actor actor) {
        Address step = entry.sheet().address(act.touch().path(), act.trial());
        for (Address each : entry.sheet().tasks().unticked(step)) {
            keeping.keep(entry, ticked(entry, each), actor).orThrow();
        }
    }

    private static KeepObservation.Given ticked(EntrySheet entry, Address at) {
        String done = entry.experiment().slot(at.path()).stream()
                .flatMap(slot -> slot
                        .options(
                                entry.experiment().words(),
                                at.path(),
                                entry.sheet().setting())
                        .stream())
                .findFirst()
                .map(lab.sassafras.slot.Slot.Option::value)
                .orElse("done");
        @Nullable String none = null;
        return new KeepObservation.Given(
                UUID.randomUUID(), at.toString(), Role.STATED.key(), done, none, null, none, null, none, true, 0);
    }
}
