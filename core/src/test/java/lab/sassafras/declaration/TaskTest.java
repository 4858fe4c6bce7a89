package lab.sassafras.declaration;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.hour.Job;
import org.junit.jupiter.api.Test;

class TaskTest {

    @Test
    void eachTurnHasItsTrials() {
        assertThat(List.of(1, 2, 3))
                .filteredOn(trial -> task(Task.Turn.EACH).in(trial, 3))
                .containsExactly(1, 2, 3);
        assertThat(List.of(1, 2, 3))
                .filteredOn(trial -> task(Task.Turn.FIRST).in(trial, 3))
                .containsExactly(1);
        assertThat(List.of(1, 2, 3))
                .filteredOn(trial -> task(Task.Turn.LATER).in(trial, 3))
                .containsExactly(2, 3);
        assertThat(List.of(1, 2, 3))
                .filteredOn(trial -> task(Task.Turn.LAST).in(trial, 3))
                .containsExactly(3);
    }

    private static Task task(Task.Turn turn) {
        return Task.of("weigh", 2, 5).in(turn);
    }

    @Test
    void aTaskTakesTimeAndHands() {
        assertThatThrownBy(() -> Task.of("weigh", 0, 5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Task.of("weigh", 6, 5)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> Task.of("weigh", 2, 5).by(-1)).isInstanceOf(IllegalArgumentException.class);
        assertThat(Task.of("bath", 5, 5).byItself().hands()).isZero();
        assertThat(Task.of("bath", 5, 5).then(0).within()).hasValue(0);
    }

    @Test
    void gearIsSpokenOfByNumber() {
        assertThat(Gear.HOT_PLATE.counted(1)).isEqualTo("1 hot plate");
        assertThat(Gear.HOT_PLATE.counted(2)).isEqualTo("2 hot plates");
        assertThat(Gear.HOT_PLATE.key()).isEqualTo("hot-plate");
    }

    /** What a hot solid does in three trials: dried and weighed again between them, cleaned up at the end. */
    @Test
    void aRunOfSeveralTrialsHasItsJobsInOrder() {
        Experiment solid = Experiments.find("specific-heat-of-solid").orElseThrow();
        assertThat(Job.of("Alder", solid, 3, Task::usual))
                .extracting(Job::task)
                .containsExactly("weigh", "bath", "mix", "dry", "bath", "mix", "dry", "bath", "mix", "clean");
        assertThat(Job.of("Alder", solid, 1, Task::least).stream()
                        .mapToInt(Job::minutes)
                        .sum())
                .isLessThan(Job.of("Alder", solid, 1, Task::usual).stream()
                        .mapToInt(Job::minutes)
                        .sum());
    }

    @Test
    void anExperimentWithoutTasksIsOneTask() {
        Experiment paper = Experiments.find("how-much").orElseThrow();
        assertThat(paper.tasks()).extracting(Task::key).containsExactly("work");
        assertThat(paper.tasks().get(0).gear()).isEmpty();
    }

    /** A bomb is in one hand from its charge until it is open: nothing may pass between. */
    @Test
    void aBombIsKeptFromItsChargeUntilItIsOpen() {
        List<Task> tasks = Experiments.find("bomb-combustion").orElseThrow().tasks();
        List<Task> held =
                tasks.stream().filter(each -> each.gear().contains(Gear.BOMB)).toList();
        assertThat(held).extracting(Task::key).containsExactly("charge", "fire", "open");
        assertThat(held.subList(0, 2)).allMatch(each -> each.within().getAsInt() == 0);
    }
}
