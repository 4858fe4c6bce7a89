package lab.sassafras.app.classroom;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lab.sassafras.app.record.Bench;

/**
 * What passed in a period between its instructor and its benches.
 *
 * @param events in the order they came
 */
public record Passed(List<ClassEvent> events) {

    /** Keeps copies of what could change. */
    public Passed {
        events = List.copyOf(events);
    }

    private Optional<ClassEvent> last(Bench bench, ClassEvent.Kind begins, ClassEvent.Kind ends) {
        ClassEvent last = null;
        for (ClassEvent each : events) {
            if ((each.kind() == begins || each.kind() == ends)
                    && each.benchId().filter(bench.id()::equals).isPresent()) {
                last = each;
            }
        }
        return Optional.ofNullable(last).filter(each -> each.kind() == begins);
    }

    /** {@return since when a bench’s hand is raised; empty where it is not} */
    public Optional<Instant> raised(Bench bench) {
        return last(bench, ClassEvent.Kind.RAISED, ClassEvent.Kind.LOWERED).map(ClassEvent::madeAt);
    }

    /** {@return what holds a bench; empty where nothing does} */
    public Optional<ClassEvent> held(Bench bench) {
        return last(bench, ClassEvent.Kind.HELD, ClassEvent.Kind.LIFTED);
    }

    /** {@return notes to a bench or to all, the newest first} */
    public List<ClassEvent> told(Bench bench) {
        List<ClassEvent> all = new ArrayList<>();
        for (ClassEvent each : events) {
            if (each.kind() == ClassEvent.Kind.TOLD
                    && each.benchId().map(bench.id()::equals).orElse(true)
                    && !each.madeAt().isBefore(bench.createdAt())) {
                all.add(0, each);
            }
        }
        return all;
    }

    /** {@return the notes a bench did not see yet, the newest first} */
    public List<ClassEvent> unseen(Bench bench) {
        Set<UUID> seen = events.stream()
                .filter(each -> each.kind() == ClassEvent.Kind.SEEN
                        && each.benchId().filter(bench.id()::equals).isPresent())
                .flatMap(each -> each.ofId().stream())
                .collect(Collectors.toSet());
        return told(bench).stream().filter(each -> !seen.contains(each.id())).toList();
    }

    /** {@return the benches that saw a note} */
    public Set<UUID> seenBy(ClassEvent note) {
        return events.stream()
                .filter(each -> each.kind() == ClassEvent.Kind.SEEN
                        && each.ofId().filter(note.id()::equals).isPresent())
                .flatMap(each -> each.benchId().stream())
                .collect(Collectors.toSet());
    }

    /** {@return an instructor’s own notes beside a bench, in order} */
    public List<ClassEvent> beside(Bench bench) {
        return events.stream()
                .filter(each -> each.kind() == ClassEvent.Kind.BESIDE
                        && each.benchId().filter(bench.id()::equals).isPresent())
                .toList();
    }

    /**
     * Data to work out.
     *
     * @param event      by which they were given
     * @param experiment key of it
     * @param seed       they follow from
     */
    public record Given(ClassEvent event, String experiment, long seed) {}

    /** {@return data that were given and not taken back, the newest first} */
    public List<Given> given() {
        Set<UUID> back = events.stream()
                .filter(each -> each.kind() == ClassEvent.Kind.TAKEN_BACK)
                .flatMap(each -> each.ofId().stream())
                .collect(Collectors.toSet());
        List<Given> all = new ArrayList<>();
        events.stream()
                .filter(each -> each.kind() == ClassEvent.Kind.GIVEN && !back.contains(each.id()))
                .forEach(each -> {
                    int blank = each.text().indexOf(' ');
                    all.add(
                            0,
                            new Given(
                                    each,
                                    each.text().substring(0, blank),
                                    Long.parseLong(each.text().substring(blank + 1))));
                });
        return all;
    }

    /** {@return those of a bench} */
    public List<Given> given(Bench bench) {
        return given().stream()
                .filter(each ->
                        each.event().benchId().filter(bench.id()::equals).isPresent())
                .toList();
    }

    /** {@return those of whoever reads by a link} */
    public List<Given> given(UUID link) {
        return given().stream()
                .filter(each -> each.event().ofId().filter(link::equals).isPresent())
                .toList();
    }

    /** {@return all notes that were told, the newest first} */
    public List<ClassEvent> told() {
        List<ClassEvent> all = new ArrayList<>();
        events.stream().filter(each -> each.kind() == ClassEvent.Kind.TOLD).forEach(each -> all.add(0, each));
        return all;
    }
}
