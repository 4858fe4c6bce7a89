package lab.sassafras.app.classpages;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.ZonedDateTime;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lab.sassafras.app.chart.HourPicture;
import lab.sassafras.app.classroom.ClassBook;
import lab.sassafras.app.classroom.KeptHour;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.plans.KeptPlan;
import lab.sassafras.app.plans.PlanBook;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Supplies;
import lab.sassafras.declaration.Gear;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Job;
import lab.sassafras.hour.Scheduling;
import lab.sassafras.hour.Timetable;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Lab;
import org.springframework.stereotype.Component;

/** What the hour’s page shows of what was typed. */
@Component
class HourScreen {

    /** Evenings whose timetable is remembered: one takes up to two seconds. */
    private static final int REMEMBERED = 100;

    private final PeriodBook periods;
    private final ClassBook book;
    private final PlanBook plans;
    private final Shelves shelves;
    private final Supplies supplies;
    private final TaskTimes times;
    private final Clock clock;
    private final Cache<Evening, Timetable> laid =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();
    private final Cache<Evening, List<Scheduling.Sooner>> sooner =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    HourScreen(
            PeriodBook periods,
            ClassBook book,
            PlanBook plans,
            Shelves shelves,
            Supplies supplies,
            TaskTimes times,
            Clock clock) {
        this.clock = clock;
        this.periods = periods;
        this.book = book;
        this.plans = plans;
        this.shelves = shelves;
        this.supplies = supplies;
        this.times = times;
    }

    /** Fields as they are typed, else as they were kept. */
    HourForm form(Period period, Map<String, String> typed) {
        List<Bench> benches = periods.benches(period);
        List<String> names = benches.stream().map(Bench::name).toList();
        Map<String, String> usual = usual(period, benches);
        HourForm form = new HourForm(typed, usual, names);
        return form.fields().isEmpty()
                ? book.hour(period)
                        .map(kept -> new HourForm(kept.fields(), usual, names))
                        .orElse(form)
                : form;
    }

    /** {@return fields of an evening nobody sits down to yet, led by a plan} */
    HourForm form(KeptPlan plan, Map<String, String> typed) {
        Map<String, String> usual = there();
        usual.put(HourForm.BENCHES, String.valueOf(plan.file().forPeriod().benches()));
        usual.put(HourForm.TRIALS, String.valueOf(plan.file().forPeriod().trials()));
        usual.put("experiment", plan.experiment());
        usual.put("speed", Figures.POINT.plain(RehearsalController.SPEED));
        return new HourForm(typed, usual, List.of());
    }

    /** What is usual, with the gear of the shelf. */
    private Map<String, String> there() {
        Map<String, String> usual = new HashMap<>(Map.of(
                HourForm.FROM, "18:00",
                HourForm.UNTIL, "20:00",
                HourForm.PEOPLE, "2",
                HourForm.BENCHES, "8",
                HourForm.BATH, "400",
                HourForm.HOT, "95",
                HourForm.WATTS, Figures.POINT.plain(supplies.rated("plate").orElse(Lab.USUAL.plate()))));
        Shelf shelf = shelves.now();
        long balances = shelf.instrumentsOffered().stream()
                .filter(each -> each.kind().key().equals(InstrumentKind.BALANCE.key()))
                .count();
        long bombs = shelf.vesselsOffered().stream()
                .filter(each -> each.kind().key().equals(Gear.BOMB.key()))
                .count();
        usual.put(Gear.BALANCE.key(), String.valueOf(Math.max(1, balances)));
        usual.put(Gear.BOMB.key(), String.valueOf(Math.max(1, bombs)));
        usual.put(
                Gear.HOT_PLATE.key(),
                Figures.POINT.fixed(supplies.pieces("plate").orElse(2), 0));
        return usual;
    }

    private Map<String, String> usual(Period period, List<Bench> benches) {
        List<PlanBook.Led> led = plans.led(period);
        Map<String, String> usual = there();
        usual.put(
                HourForm.TRIALS,
                String.valueOf(led.stream()
                        .mapToInt(each -> each.plan().file().forPeriod().trials())
                        .max()
                        .orElse(2)));
        usual.put(
                "experiment",
                led.stream()
                        .findFirst()
                        .map(each -> each.plan().experiment())
                        .or(() -> period.offers().stream().sorted().findFirst())
                        .orElseGet(() -> Experiments.all().get(0).key()));
        for (int i = 0; i < benches.size(); i++) {
            Bench bench = benches.get(i);
            String field = HourForm.DOES + (i + 1);
            led.stream()
                    .filter(each -> each.bench().filter(bench.id()::equals).isPresent())
                    .findFirst()
                    .ifPresent(each -> usual.put(field, each.plan().experiment()));
        }
        return usual;
    }

    /** {@return how the hour that was kept stands beside what is recorded, on its day; empty else} */
    Optional<HourNow.Day> onDay(Period period, List<ClassLines.BenchLine> lines) {
        return book.hour(period).flatMap(kept -> {
            HourForm form = form(period, Map.of());
            try {
                return form.evening()
                        .flatMap(evening -> HourNow.of(period, form, evening, timetable(evening), lines, now(period)));
            } catch (Refused changed) {
                // benches came or went since: it is laid anew by hand
                return Optional.empty();
            }
        });
    }

    private ZonedDateTime now(Period period) {
        return book.clock(period).at(clock.instant()).atZone(period.zone());
    }

    /** {@return how long a period goes on by the hour that was kept, on its day; empty else} */
    Optional<String> left(Period period) {
        return minutesLeft(period).map(minutes -> minutes > 0 ? minutes + " minutes left" : "its time is over");
    }

    /** {@return whether there is time for another trial; so there is where nobody laid an hour} */
    boolean goesOn(Period period, Optional<Duration> trial) {
        return minutesLeft(period)
                .map(minutes -> minutes > 0
                        && trial.filter(each -> each.toMinutes() > minutes).isEmpty())
                .orElse(period.open());
    }

    private Optional<Integer> minutesLeft(Period period) {
        return book.hour(period).flatMap(kept -> {
            ZonedDateTime now = now(period);
            HourForm form = new HourForm(kept.fields(), usual(period, List.of()), List.of("all"));
            return now.toLocalDate().equals(period.heldOn())
                    ? Optional.of(form.until().toSecondOfDay() / 60
                            - now.toLocalTime().toSecondOfDay() / 60)
                    : Optional.empty();
        });
    }

    /**
     * How long a task takes.
     *
     * @param field   its minutes are typed into
     * @param words   what it is called
     * @param usual   common practice
     * @param own     as past periods took it, with how many runs that rests on; empty where none tell
     * @param minutes proposed by those; empty where none tell
     */
    public record TaskRow(String field, String words, String usual, String own, String minutes) {}

    /**
     * The hour.
     *
     * @param form      as typed
     * @param has       gear that is counted, by the name of its field and what it is called
     * @param tasks     of each experiment, by its title
     * @param timetable empty where none can be made
     * @param picture   of it
     * @param standing  in words: what decides when the class is done, and what does not fit
     * @param late      whether it is not done in time
     * @param sooner    what would bring it to an earlier end
     * @param refused   why a task cannot be where somebody wants it, or nothing can be made at all; empty else
     * @param picked    the task in hand; empty where none is
     * @param kept      as it was kept last; empty where it never was
     */
    public record Shown(
            HourForm form,
            Map<String, String> has,
            Map<String, List<TaskRow>> tasks,
            Optional<Timetable> timetable,
            Optional<HourPicture> picture,
            List<String> standing,
            boolean late,
            List<String> sooner,
            String refused,
            Optional<Picked> picked,
            Optional<KeptHour> kept) {}

    /** A task in hand: the field its beginning is typed into, what it is, when it begins, whether it was moved. */
    public record Picked(String field, String key, String words, String at, boolean moved) {}

    Shown shown(Period period, HourForm form, String pick, Visitor visitor) {
        Map<String, String> has = new LinkedHashMap<>();
        form.gear().forEach(gear -> has.put(gear.key(), gear.words()));
        Optional<KeptHour> kept = book.hour(period);
        Optional<Evening> typed = Optional.empty();
        String refused = "";
        try {
            typed = form.evening();
        } catch (Refused why) {
            refused = String.valueOf(why.getMessage());
        }
        Optional<Evening> possible = typed;
        if (typed.isPresent()) {
            try {
                timetable(typed.get());
            } catch (Refused why) {
                refused = String.valueOf(why.getMessage());
                possible = without(typed.get(), form, pick);
            }
        }
        Map<String, List<TaskRow>> tasks = tasks(form, visitor);
        if (possible.isEmpty()) {
            return new Shown(
                    form,
                    has,
                    tasks,
                    Optional.empty(),
                    Optional.empty(),
                    List.of(),
                    false,
                    List.of(),
                    refused,
                    Optional.empty(),
                    kept);
        }
        Evening evening = possible.get();
        Timetable laidOut = timetable(evening);
        String finished =
                "all benches done " + form.at(laidOut.finish()) + " · cannot be before " + form.at(laidOut.bound());
        return new Shown(
                form,
                has,
                tasks,
                Optional.of(laidOut),
                Optional.of(
                        HourPicture.of(laidOut, form.benches(), evening.has(), evening.length(), form::at, finished)),
                HourInWords.standing(evening, laidOut, form),
                laidOut.finish() > evening.length(),
                sooner(evening, laidOut, form),
                refused,
                picked(laidOut, form, pick),
                kept);
    }

    Timetable timetable(Evening evening) {
        return laid.get(evening, any -> Scheduling.of(any, Scheduling.Effort.FULL));
    }

    /** Where what was moved last cannot be, everything else stays where it was. */
    private Optional<Evening> without(Evening evening, HourForm form, String pick) {
        Map<String, Integer> others = new HashMap<>(evening.moved());
        evening.benches().values().stream()
                .flatMap(List::stream)
                .filter(job -> form.moved(job).equals(pick))
                .forEach(job -> others.remove(job.key()));
        for (Map<String, Integer> moved : List.of(others, Map.<String, Integer>of())) {
            try {
                Evening other = evening.moving(moved);
                timetable(other);
                return Optional.of(other);
            } catch (Refused still) {
                // then without any that was moved
            }
        }
        return Optional.empty();
    }

    private Map<String, List<TaskRow>> tasks(HourForm form, Visitor visitor) {
        Map<String, List<TaskRow>> all = new LinkedHashMap<>();
        for (Experiment each : form.experiments()) {
            Map<String, TaskTimes.Took> took = times.of(each, visitor);
            all.put(
                    each.words().title(),
                    each.tasks().stream()
                            .map(task -> {
                                Optional<TaskTimes.Took> own = Optional.ofNullable(took.get(task.key()));
                                return new TaskRow(
                                        HourForm.minutes(each, task),
                                        each.words().get("task." + task.key()),
                                        String.valueOf(task.usual()),
                                        own.map(median -> "yours " + median.minutes() + " min, from " + median.runs()
                                                        + (median.runs() == 1 ? " run" : " runs"))
                                                .orElse(""),
                                        own.map(median -> String.valueOf(median.minutes()))
                                                .orElse(""));
                            })
                            .toList());
        }
        return all;
    }

    private List<String> sooner(Evening evening, Timetable timetable, HourForm form) {
        return sooner
                .get(
                        evening,
                        any -> Scheduling.sooner(
                                evening,
                                timetable,
                                form.trials() > 1
                                        ? form.evening(form.trials() - 1)
                                                .map(fewer -> evening.of(fewer.benches()))
                                                .orElse(evening)
                                        : evening))
                .stream()
                .map(each -> HourInWords.capitalisedFirst(each.words()) + ": done " + form.at(each.finish()))
                .toList();
    }

    private static Optional<Picked> picked(Timetable timetable, HourForm form, String pick) {
        return timetable.laid().stream()
                .filter(each -> form.moved(each.job()).equals(pick))
                .findFirst()
                .map(each -> new Picked(
                        pick,
                        each.job().key(),
                        each.job().bench() + ", trial " + each.job().trial() + ": "
                                + each.job().words(),
                        form.value(pick).isEmpty() ? form.at(each.from()) : form.value(pick),
                        !form.value(pick).isEmpty()));
    }

    /** {@return the name of the field of each job, by the key of the job} */
    Map<String, String> fields(Shown shown) {
        return shown.timetable().map(Timetable::laid).orElse(List.of()).stream()
                .map(Timetable.Laid::job)
                .collect(Collectors.toMap(Job::key, shown.form()::moved));
    }
}
