package lab.sassafras.app.classpages;

import java.time.Clock;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.EveningClock;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.simulate.Slip;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a dress rehearsal shows as it goes, and at its end. */
@Component
class RehearsalScreen {

    private static final int MINUTE = 60;
    /** What stands in the place of a result until there is one. */
    private static final String WORKED = "being worked out";

    private final ClassBook book;
    private final PlanBook plans;
    private final PeriodBook periods;
    private final EntryBook entries;
    private final RehearsedResults results;
    private final RehearsalHands hands;
    private final Clock clock;

    RehearsalScreen(
            ClassBook book,
            PlanBook plans,
            PeriodBook periods,
            EntryBook entries,
            RehearsedResults results,
            RehearsalHands hands,
            Clock clock) {
        this.book = book;
        this.plans = plans;
        this.periods = periods;
        this.entries = entries;
        this.results = results;
        this.hands = hands;
        this.clock = clock;
    }

    /**
     * A bench.
     *
     * @param name  of it
     * @param entry its run; null before it began one
     * @param does  the task in hand
     * @param done  when it is done; empty before
     * @param late  whether that is after the end of the evening
     * @param slip  what goes wrong there, told at the end; empty where nothing does
     * @param found what came out; empty before
     * @param truth what should have
     * @param said  what is suspected first; empty where nothing is
     */
    public record Row(
            String name,
            @Nullable UUID entry,
            String does,
            String done,
            boolean late,
            String slip,
            String found,
            String truth,
            String said) {}

    /**
     * A dress rehearsal.
     *
     * @param plan    it is of
     * @param now     what its clock shows
     * @param speed   how fast it goes
     * @param percent of it that is over
     * @param over    whether all is done
     * @param going   whether more of it will be to be seen by and by
     * @param queues  at what is shared
     * @param rows    by bench
     * @param out     what ran out, in words
     * @param problem what could not be done, in words
     */
    public record Shown(
            String plan,
            UUID planId,
            String now,
            String speed,
            int percent,
            boolean over,
            boolean going,
            List<RehearsalTold.Queue> queues,
            List<Row> rows,
            List<String> out,
            List<String> problem) {}

    /** {@return what of a rehearsal is told on the class page; empty where it is none} */
    Optional<String> band(Period period) {
        return book.rehearsal(period).map(kept -> {
            KeptRehearsal.Evening evening = kept.evening();
            EveningClock by = kept.clock(period);
            int second = by.second(clock.instant());
            RehearsalTold told = new RehearsalTold(evening, second, new RehearsalTold.Clocked(by, period), false);
            String waits = told.queues().stream()
                    .filter(each -> !each.waiting().isEmpty())
                    .map(each -> "waiting for the " + each.what() + ": " + String.join(", ", each.waiting()))
                    .collect(Collectors.joining(" · "));
            return new RehearsalTold.Clocked(by, period).at(second) + " by its own clock, " + speed(kept)
                    + (waits.isEmpty() ? "" : " · " + waits);
        });
    }

    private static String speed(KeptRehearsal kept) {
        return kept.speed() == 1 ? "at real speed" : Figures.POINT.plain(kept.speed()) + " times as fast";
    }

    /** {@return a rehearsal as it is now; empty where the period is none} */
    Optional<Shown> of(Period period) {
        return book.rehearsal(period).map(kept -> {
            KeptRehearsal.Evening evening = kept.evening();
            EveningClock by = kept.clock(period);
            RehearsalTold.Clocked clocked = new RehearsalTold.Clocked(by, period);
            int second = by.second(clock.instant());
            RehearsalTold told = new RehearsalTold(evening, second, clocked, hands.done(period));
            String experiment = plans.find(kept.planId()).orElseThrow().experiment();
            Experiment of = Experiments.find(experiment).orElseThrow();
            Map<String, String> problems = hands.problems(period);
            List<Row> rows = rows(period, kept, told, of, clocked);
            return new Shown(
                    plans.find(kept.planId()).orElseThrow().name(),
                    kept.planId(),
                    clocked.at(second),
                    speed(kept),
                    (int) Math.min(
                            100L,
                            100L * second / Math.max(1, evening.rehearsal().finish())),
                    told.over(),
                    !told.over() || rows.stream().anyMatch(row -> row.found().equals(WORKED)),
                    told.queues(),
                    rows,
                    told.out(RehearsalHands.acts(experiment, evening), kept.seed()),
                    problems.entrySet().stream()
                            .map(each -> each.getKey() + ": " + each.getValue())
                            .sorted()
                            .toList());
        });
    }

    private List<Row> rows(
            Period period, KeptRehearsal kept, RehearsalTold told, Experiment of, RehearsalTold.Clocked clocked) {
        KeptRehearsal.Evening evening = kept.evening();
        Rehearsal rehearsal = evening.rehearsal();
        int end = evening.minutes() * MINUTE;
        Map<UUID, Entry> newest = new LinkedHashMap<>();
        entries.of(period).forEach(each -> newest.putIfAbsent(each.bench().id(), each));
        List<Row> rows = new ArrayList<>();
        for (Bench bench : periods.benches(period)) {
            Optional<Entry> entry = Optional.ofNullable(newest.get(bench.id()));
            int done = rehearsal.done(bench.name());
            Optional<RehearsedResults.Came> came = told.over() ? entry.flatMap(results::of) : Optional.empty();
            rows.add(new Row(
                    bench.name(),
                    entry.map(Entry::id).orElse(null),
                    told.does(bench.name(), of),
                    done > 0 && done <= told.second() ? clocked.at(done) : "",
                    done > end && done <= told.second(),
                    !told.over()
                            ? ""
                            : Optional.ofNullable(evening.slips().get(bench.name()))
                                    .flatMap(Slip::of)
                                    .map(Slip::words)
                                    .orElse(""),
                    came.map(RehearsedResults.Came::found).orElse(told.over() && entry.isPresent() ? WORKED : ""),
                    came.map(RehearsedResults.Came::truth).orElse(""),
                    came.map(RehearsedResults.Came::said).orElse("")));
        }
        rows.sort(Comparator.comparingInt(each -> rehearsal.done(each.name())));
        return rows;
    }
}
