package lab.sassafras.app.classpages;

import java.time.ZonedDateTime;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.app.record.Period;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Task;
import lab.sassafras.hour.BenchNow;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Job;
import lab.sassafras.hour.Timetable;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.sheet.Tasks;

/** The hour as it was laid, beside what is recorded: who is behind, and why; and from where the rest is laid anew. */
public final class HourNow {

    private final HourForm form;
    private final Timetable timetable;
    private final Evening evening;
    private final int now;
    private final Map<String, Evening.Stood> stood = new LinkedHashMap<>();
    private final Map<String, Job> inHand = new LinkedHashMap<>();

    private HourNow(HourForm form, Evening evening, Timetable timetable, int now) {
        this.form = form;
        this.evening = evening;
        this.timetable = timetable;
        this.now = now;
    }

    /**
     * On the day.
     *
     * @param behind who is, in words, the farthest first
     * @param anew   address by which the rest is laid anew from where it stands
     * @param waits  who cannot go on yet, by bench, in words: its time has not come, or what it needs is in other hands
     */
    public record Day(List<String> behind, String anew, Map<String, String> waits) {}

    /** Empty on another day, or before it begins. */
    static Optional<Day> of(
            Period period,
            HourForm form,
            Evening evening,
            Timetable timetable,
            List<ClassLines.BenchLine> lines,
            ZonedDateTime moment) {
        int minute = (moment.toLocalTime().toSecondOfDay() - form.from().toSecondOfDay()) / 60;
        if (!moment.toLocalDate().equals(period.heldOn()) || !period.open() || minute < 0) {
            return Optional.empty();
        }
        HourNow hour = new HourNow(form, evening, timetable, minute);
        lines.forEach(each -> hour.stands(each.now()));
        return Optional.of(new Day(hour.behind(), hour.anew(), hour.waits()));
    }

    /** What a bench did, has in hand and has still to do, by its sheet. */
    private void stands(BenchNow bench) {
        List<Job> jobs = evening.benches().getOrDefault(bench.bench(), List.of());
        if (bench.sheet().isEmpty()) {
            jobs.stream().findFirst().ifPresent(first -> inHand.put(bench.bench(), first));
            return;
        }
        Sheet sheet = bench.sheet().get();
        Optional<Tasks.Ask> next = bench.next();
        int trial = sheet.trials();
        int trials = Math.max(trial, jobs.stream().mapToInt(Job::trial).max().orElse(1));
        Optional<String> task = next.map(
                ask -> sheet.experiment().task(ask.step(), trial, trials).key());
        Map<String, Timetable.Laid> laid = new HashMap<>();
        timetable.of(bench.bench()).forEach(each -> laid.put(each.job().key(), each));
        int last = Math.max(
                0,
                now
                        - (int) java.time.Duration.between(bench.lastAt(), bench.now())
                                .toMinutes());
        for (Job job : jobs) {
            Timetable.Laid planned = laid.get(job.key());
            boolean later =
                    job.trial() > trial || task.isPresent() && job.trial() == trial && after(jobs, job, task.get());
            if (later || planned == null) {
                continue;
            }
            if (task.isPresent() && job.trial() == trial && job.task().equals(task.get())) {
                inHand.put(bench.bench(), job);
                if (begun(sheet, trial, trials, task.get())) {
                    int from = Math.min(planned.from(), last);
                    stood.put(job.key(), new Evening.Stood(from, Math.max(now, from + job.minutes())));
                }
            } else if (task.isPresent() || job.trial() < trial || !atTheEnd(sheet, job)) {
                stood.put(job.key(), new Evening.Stood(planned.from(), Math.min(planned.until(), now)));
            } else {
                // no step tells that it was done: it is once its time is over
                stood.put(job.key(), new Evening.Stood(Math.min(planned.from(), last), last + job.minutes()));
                if (now < last + job.minutes()) {
                    inHand.put(bench.bench(), job);
                }
            }
        }
    }

    /** Whether it is done once all is read: no step tells that it was. */
    private static boolean atTheEnd(Sheet sheet, Job job) {
        return sheet.experiment().tasks().stream()
                .anyMatch(each -> each.key().equals(job.task())
                        && each.turn() == Task.Turn.LAST
                        && each.from().isEmpty());
    }

    /** Whether a job of a trial comes after the task in hand. */
    private static boolean after(List<Job> jobs, Job job, String task) {
        int here = -1;
        for (int i = 0; i < jobs.size(); i++) {
            if (jobs.get(i).trial() == job.trial() && jobs.get(i).task().equals(task)) {
                here = i;
            }
        }
        return here >= 0 && jobs.indexOf(job) > here;
    }

    private static boolean begun(Sheet sheet, int trial, int trials, String task) {
        return sheet.tasks().asks(trial).stream()
                .anyMatch(ask -> sheet.tasks().done(ask)
                        && sheet.experiment()
                                .task(ask.step(), trial, trials)
                                .key()
                                .equals(task));
    }

    private List<String> behind() {
        Map<String, Integer> late = new LinkedHashMap<>();
        inHand.forEach((bench, job) -> timetable.of(bench).stream()
                .filter(each -> each.job().key().equals(job.key()))
                .findFirst()
                .ifPresent(planned -> {
                    int by = now - (stood.containsKey(job.key()) ? planned.until() : planned.from());
                    if (by > 0) {
                        late.put(bench, by);
                    }
                }));
        List<String> all = new ArrayList<>();
        late.entrySet().stream()
                .sorted((one, other) -> Integer.compare(other.getValue(), one.getValue()))
                .forEach(each -> all.add(each.getKey() + " " + each.getValue() + " min behind"
                        + Optional.ofNullable(inHand.get(each.getKey()))
                                .filter(job -> !stood.containsKey(job.key()))
                                .flatMap(this::taken)
                                .map(why -> ": " + why)
                                .orElse("")));
        return all;
    }

    private Map<String, String> waits() {
        Map<String, String> waits = new LinkedHashMap<>();
        inHand.forEach((bench, job) -> timetable.of(bench).stream()
                .filter(each -> each.job().key().equals(job.key()) && !stood.containsKey(job.key()))
                .findFirst()
                .flatMap(planned -> planned.from() > now
                        ? Optional.of("waits for its time, " + form.at(planned.from()))
                        : taken(job))
                .ifPresent(why -> waits.put(bench, why)));
        return waits;
    }

    /** What a bench waits for, where all of some gear it needs is in other hands. */
    private Optional<String> taken(Job job) {
        for (Gear gear : job.gear()) {
            List<Integer> until = inHand.entrySet().stream()
                    .filter(each -> !each.getKey().equals(job.bench())
                            && each.getValue().gear().contains(gear)
                            && stood.containsKey(each.getValue().key()))
                    .map(each -> stood.getOrDefault(each.getValue().key(), new Evening.Stood(0, 0))
                            .until())
                    .sorted()
                    .toList();
            int many = evening.has().getOrDefault(gear, Integer.MAX_VALUE);
            if (until.size() >= many) {
                return Optional.of((many == 1 ? "the " + gear.word() + " is" : "all " + gear.words() + " are")
                        + " taken until " + form.at(until.get(until.size() - many)));
            }
        }
        return Optional.empty();
    }

    private String anew() {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put(HourForm.NOW, form.at(now));
        evening.benches().values().stream().flatMap(List::stream).forEach(job -> {
            Evening.Stood one = stood.get(job.key());
            fields.put(form.moved(job), "");
            fields.put(form.stood(job), one == null ? "" : form.at(one.from()) + "-" + form.at(one.until()));
        });
        return form.with(fields);
    }
}
