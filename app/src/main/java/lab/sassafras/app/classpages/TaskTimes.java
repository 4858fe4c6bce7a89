package lab.sassafras.app.classpages;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import lab.sassafras.app.people.Visitor;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.EntryRows;
import lab.sassafras.app.record.Observation;
import lab.sassafras.declaration.Step;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import org.springframework.stereotype.Component;

/**
 * How long tasks took in past periods, by when their values were recorded: from the last of the task before to the last
 * of its own.
 */
@Component
class TaskTimes {

    /** So many runs, the newest, tell how long a class takes. */
    private static final int RUNS = 40;
    /** What took less was recorded all at once, and what took more was interrupted (no source). */
    private static final Duration SHORTEST = Duration.ofSeconds(20);

    private static final Duration LONGEST = Duration.ofMinutes(60);
    private static final int REMEMBERED = 100;

    private final EntryBook entries;
    private final Cache<String, Map<String, Took>> known = Caffeine.newBuilder()
            .maximumSize(REMEMBERED)
            .expireAfterWrite(Duration.ofMinutes(1))
            .build();

    TaskTimes(EntryBook entries) {
        this.entries = entries;
    }

    /**
     * How long a task took.
     *
     * @param minutes the median
     * @param runs    it rests on
     */
    public record Took(int minutes, int runs) {}

    /** {@return how long the tasks of an experiment took an instructor’s classes, by the key of the task} */
    Map<String, Took> of(Experiment experiment, Visitor visitor) {
        return known.get(experiment.key() + " " + visitor.name(), any -> asked(experiment, visitor));
    }

    private Map<String, Took> asked(Experiment experiment, Visitor visitor) {
        Map<String, List<Duration>> all = new HashMap<>();
        entries.newest(experiment.key(), RUNS).stream()
                .filter(each -> visitor.leads(each.period()))
                .forEach(entry -> took(experiment, entry, entries.rows(entry.id()), all));
        Map<String, Took> medians = new HashMap<>();
        all.forEach((task, times) -> {
            times.sort(Duration::compareTo);
            medians.put(
                    task,
                    new Took(
                            (int) Math.max(
                                    1, Math.round(times.get(times.size() / 2).toSeconds() / 60.0)),
                            times.size()));
        });
        return medians;
    }

    private static void took(Experiment experiment, Entry entry, EntryRows rows, Map<String, List<Duration>> all) {
        Map<String, Step> steps = experiment.procedure().stream()
                .collect(Collectors.toMap(Step::path, each -> each, (one, other) -> one));
        int trials = rows.opened(EntryBook.TRIAL);
        // in the order of the work, the last moment of each task
        Map<Integer, Instant> last = new TreeMap<>();
        Map<Integer, String> keys = new HashMap<>();
        for (Observation each : rows.observations().all()) {
            if (each.broughtBy().isPresent() || each.supersedes().isPresent()) {
                continue;
            }
            try {
                Address address = Address.read(each.address());
                Step step = steps.get(address.path());
                if (step != null && address.index() <= trials) {
                    String task = experiment.task(step, address.index(), trials).key();
                    int place = 100 * address.index() + index(experiment, task);
                    keys.put(place, task);
                    last.merge(place, each.madeAt(), (one, other) -> one.isAfter(other) ? one : other);
                }
            } catch (Refused unreadable) {
                // nothing is told by a row that is no place
            }
        }
        Instant before = entry.createdAt();
        for (Map.Entry<Integer, Instant> each : last.entrySet()) {
            Duration time = Duration.between(before, each.getValue());
            if (time.compareTo(SHORTEST) >= 0 && time.compareTo(LONGEST) <= 0) {
                all.computeIfAbsent(keys.getOrDefault(each.getKey(), ""), any -> new ArrayList<>())
                        .add(time);
            }
            before = each.getValue();
        }
    }

    private static int index(Experiment experiment, String task) {
        for (int i = 0; i < experiment.tasks().size(); i++) {
            if (experiment.tasks().get(i).key().equals(task)) {
                return i;
            }
        }
        return 0;
    }
}
