package lab.sassafras.app.classpages;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import jakarta.annotation.PreDestroy;
import java.time.Clock;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.EveningClock;
import lab.sassafras.app.classroom.KeptRehearsal;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.simulated.SimulatedBenches;
import lab.sassafras.declaration.Gear;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Figures;
import lab.sassafras.rehearse.Act;
import lab.sassafras.rehearse.Rehearsal;
import lab.sassafras.rehearse.Stock;
import lab.sassafras.simulate.Slip;
import lab.sassafras.verdict.ExplainingSize;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** What a dress rehearsal shows as it goes, and at its end. */
@Component
class RehearsalScreen {

    private static final DateTimeFormatter HOUR = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final int MINUTE = 60;
    private static final int DIGITS = 3;
    /** Runs whose end is remembered. */
    private static final int REMEMBERED = 200;
    /** What stands in the place of a result until there is one. */
    private static final String WORKED = "being worked out";

    private final Cache<UUID, CompletableFuture<Came>> came =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "rehearsed");
        thread.setDaemon(true);
        return thread;
    });

    private final ClassBook book;
    private final PlanBook plans;
    private final PeriodBook periods;
    private final EntryBook entries;
    private final EntrySheets sheets;
    private final SimulatedBenches benches;
    private final RehearsalHands hands;
    private final Clock clock;

    RehearsalScreen(
            ClassBook book,
            PlanBook plans,
            PeriodBook periods,
            EntryBook entries,
            EntrySheets sheets,
            SimulatedBenches benches,
            RehearsalHands hands,
            Clock clock) {
        this.book = book;
        this.plans = plans;
        this.periods = periods;
        this.entries = entries;
        this.sheets = sheets;
        this.benches = benches;
        this.hands = hands;
        this.clock = clock;
    }

    @PreDestroy
    void stop() {
        worker.shutdownNow();
    }

    /**
     * How some gear is shared.
     *
     * @param what    it is, with how many there are
     * @param at      who has it, until when
     * @param waiting who waits for it, since when, as they came
     * @param all     how it was waited for up to the end; empty before
     */
    public record Queue(String what, List<String> at, List<String> waiting, String all) {}

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
            List<Queue> queues,
            List<Row> rows,
            List<String> out,
            List<String> problem) {}

    /** {@return what of a rehearsal is told on the class page; empty where it is none} */
    Optional<String> band(Period period) {
        return book.rehearsal(period).map(kept -> {
            KeptRehearsal.Evening evening = kept.evening();
            EveningClock by = kept.clock(period);
            int second = by.second(clock.instant());
            Told told = new Told(evening, second, new Clocked(by, period), false);
            String waits = told.queues().stream()
                    .filter(each -> !each.waiting().isEmpty())
                    .map(each -> "waiting for the " + each.what() + ": " + String.join(", ", each.waiting()))
                    .collect(Collectors.joining(" · "));
            return new Clocked(by, period).at(second) + " by its own clock, " + speed(kept)
                    + (waits.isEmpty() ? "" : " · " + waits);
        });
    }

    private static String speed(KeptRehearsal kept) {
        return kept.speed() == 1 ? "at real speed" : Figures.POINT.plain(kept.speed()) + " times as fast";
    }

    /** Seconds of an evening as times of day. */
    private record Clocked(EveningClock by, Period period) {

        String at(int second) {
            return HOUR.format(ZonedDateTime.ofInstant(by.starts().plusSeconds(second), period.zone()));
        }
    }

    /** An evening as far as it has come. */
    private static final class Told {

        private final KeptRehearsal.Evening evening;
        private final Rehearsal rehearsal;
        private final int second;
        private final Clocked clocked;
        private final boolean done;

        Told(KeptRehearsal.Evening evening, int second, Clocked clocked, boolean done) {
            this.done = done;
            this.evening = evening;
            this.rehearsal = evening.rehearsal();
            this.second = second;
            this.clocked = clocked;
        }

        boolean over() {
            return done && second >= rehearsal.finish();
        }

        List<Queue> queues() {
            return Stream.of(Gear.values())
                    .filter(gear -> evening.gear().containsKey(gear.key()))
                    .map(this::queue)
                    .toList();
        }

        private Queue queue(Gear gear) {
            Rehearsal.Queue all = rehearsal.queue(gear);
            return new Queue(
                    gear.counted(evening.gear().getOrDefault(gear.key(), 0)),
                    rehearsal.at(gear, second).stream()
                            .map(each -> each.bench() + " until " + clocked.at(each.until()))
                            .toList(),
                    rehearsal.waiting(gear, second).stream()
                            .map(each -> each.bench() + " since " + clocked.at(each.came()))
                            .toList(),
                    !over()
                            ? ""
                            : all.longest() == 0
                                    ? "nobody waited"
                                    : all.seconds() / MINUTE + " min waited in all; at most " + all.longest()
                                            + (all.longest() == 1 ? " bench" : " benches") + " at once, at "
                                            + clocked.at(all.when()));
        }

        /** The task a bench has in hand, or waits with. */
        String does(String bench, Experiment of) {
            return rehearsal.went().stream()
                    .filter(each -> each.bench().equals(bench) && each.came() <= second && second < each.until())
                    .findFirst()
                    .map(each -> of.words().get("task." + each.task()) + ", trial " + each.trial()
                            + (second < each.from()
                                    ? ": waits since " + clocked.at(each.came())
                                    : ", until " + clocked.at(each.until())))
                    .orElse(second < rehearsal.done(bench) ? "waits for its time" : "");
        }

        List<String> out(List<Act> acts, long seed) {
            List<String> all = new ArrayList<>();
            int end = evening.minutes() * MINUTE;
            List<String> late = evening.went().stream()
                    .map(Rehearsal.Went::bench)
                    .distinct()
                    .filter(bench -> rehearsal.done(bench) > end)
                    .toList();
            if (second > end && !late.isEmpty()) {
                all.add("time, at " + clocked.at(end) + ": " + String.join(", ", late)
                        + (late.size() == 1 ? " was" : " were") + " not done");
            }
            for (Stock stock : evening.stocks()) {
                stock.out(acts, seed)
                        .filter(ran -> ran.second() <= second)
                        .ifPresent(ran -> all.add(stock.what() + ", at " + clocked.at(ran.second()) + ": of "
                                + Figures.POINT.significant(stock.there(), DIGITS) + " " + stock.unit()
                                + " nothing was left for " + ran.bench() + ", trial "
                                + trial(acts, ran)));
            }
            all.addAll(evening.lacking());
            return all;
        }

        private static int trial(List<Act> acts, Stock.Ran ran) {
            return acts.stream()
                    .filter(each ->
                            each.second() == ran.second() && each.bench().equals(ran.bench()))
                    .mapToInt(Act::trial)
                    .findFirst()
                    .orElse(1);
        }
    }

    /** {@return a rehearsal as it is now; empty where the period is none} */
    Optional<Shown> of(Period period) {
        return book.rehearsal(period).map(kept -> {
            KeptRehearsal.Evening evening = kept.evening();
            EveningClock by = kept.clock(period);
            Clocked clocked = new Clocked(by, period);
            int second = by.second(clock.instant());
            Told told = new Told(evening, second, clocked, hands.done(period));
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

    private List<Row> rows(Period period, KeptRehearsal kept, Told told, Experiment of, Clocked clocked) {
        KeptRehearsal.Evening evening = kept.evening();
        Rehearsal rehearsal = evening.rehearsal();
        int end = evening.minutes() * MINUTE;
        Map<UUID, Entry> newest = new LinkedHashMap<>();
        entries.of(period).forEach(each -> newest.putIfAbsent(each.bench().id(), each));
        List<Row> rows = new ArrayList<>();
        for (Bench bench : periods.benches(period)) {
            Optional<Entry> entry = Optional.ofNullable(newest.get(bench.id()));
            int done = rehearsal.done(bench.name());
            Optional<Came> came = told.over() ? entry.flatMap(this::came) : Optional.empty();
            rows.add(new Row(
                    bench.name(),
                    entry.map(Entry::id).orElse(null),
                    told.does(bench.name(), of),
                    done > 0 && done <= told.second ? clocked.at(done) : "",
                    done > end && done <= told.second,
                    !told.over()
                            ? ""
                            : Optional.ofNullable(evening.slips().get(bench.name()))
                                    .flatMap(Slip::of)
                                    .map(Slip::words)
                                    .orElse(""),
                    came.map(Came::found).orElse(told.over() && entry.isPresent() ? WORKED : ""),
                    came.map(Came::truth).orElse(""),
                    came.map(Came::said).orElse("")));
        }
        rows.sort(Comparator.comparingInt(each -> rehearsal.done(each.name())));
        return rows;
    }

    /** What came of a run, beside the truth. */
    private record Came(String found, String truth, String said) {}

    /** What came of a run once it was worked out, which it is beside the page. */
    private Optional<Came> came(Entry entry) {
        CompletableFuture<Came> working =
                came.get(entry.id(), any -> CompletableFuture.supplyAsync(() -> worked(entry), worker));
        if (working.isCompletedExceptionally()) {
            return Optional.of(new Came("cannot be worked out", "", ""));
        }
        return Optional.ofNullable(working.getNow(null));
    }

    private Came worked(Entry entry) {
        EntrySheet sheet = sheets.of(entry);
        return new Came(
                sheet.reduction().inShort(),
                benches.now(sheet, 1)
                        .map(now -> sheet.reduction().sought(now.truth().sought()))
                        .orElse(""),
                ExplainingSize.rows(sheet.reduction().suspects()).stream()
                        .findFirst()
                        .map(ExplainingSize.Row::first)
                        .filter(ExplainingSize::believed)
                        .map(ExplainingSize::words)
                        .orElse(""));
    }
}
