package lab.sassafras.hour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Task;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

class SchedulingTest {

    private static final Scheduling.Effort LITTLE = new Scheduling.Effort(20, 500, 10_000);
    private static final Experiment SOLID =
            Experiments.find("specific-heat-of-solid").orElseThrow();

    @Test
    void nothingIsDoubleBookedAndNothingWaitsTooLong() {
        int impossible = 0;
        for (int seed = 0; seed < 60; seed++) {
            try {
                Evening evening = Evenings.drawn(seed);
                assertThat(Evenings.wrong(evening, Scheduling.of(evening, LITTLE)))
                        .as("seed %d", seed)
                        .isEmpty();
            } catch (Refused said) {
                assertThat(said).hasMessageStartingWith("There is no ");
                impossible++;
            }
        }
        assertThat(impossible).isBetween(3, 20);
    }

    /** S. M. Johnson’s rule (1954, from memory) gives the best end of two machines, and of some three. */
    @Test
    void isWithinFivePerCentOfTheBestThereIs() {
        for (Evening evening : List.of(Evenings.twoMachines(), Evenings.threeMachines())) {
            assertThat(Scheduling.of(evening, Scheduling.Effort.FULL).finish())
                    .isBetween(Evenings.johnson(evening), (int) (1.05 * Evenings.johnson(evening)));
        }
        assertThat(Scheduling.of(Evenings.cut(), Scheduling.Effort.FULL).finish())
                .isBetween(Evenings.CUT, (int) (1.05 * Evenings.CUT));
    }

    @Test
    void sayTheSameEachTime() {
        assertThat(Scheduling.of(Evenings.large(3), LITTLE)).isEqualTo(Scheduling.of(Evenings.large(3), LITTLE));
    }

    private static Evening class4(Map<Gear, Integer> has) {
        Map<String, List<Job>> benches = new LinkedHashMap<>();
        for (String each : List.of("Alder", "Cedar", "Elder", "Hawthorn")) {
            benches.put(each, Job.of(each, SOLID, 2, Task::usual));
        }
        return Evening.of(benches, 2, has, Map.of(Gear.HOT_PLATE, 12), 120);
    }

    @Test
    void theBathIsHotBeforeAnythingGoesIntoIt() {
        Timetable timetable = Scheduling.of(class4(Map.of(Gear.BALANCE, 1, Gear.HOT_PLATE, 4)), LITTLE);
        assertThat(timetable.laid())
                .filteredOn(each -> each.job().task().equals("bath"))
                .hasSize(8)
                .allMatch(each -> each.from() >= 12);
    }

    @Test
    void oneMorePlateIsWorthWhatItSaves() {
        Evening evening = class4(Map.of(Gear.BALANCE, 2, Gear.HOT_PLATE, 1));
        Timetable now = Scheduling.of(evening, Scheduling.Effort.FULL);
        assertThat(now.holds()).contains(Gear.HOT_PLATE);
        // by hand: 12 min until it is hot, eight baths of 10, 8 to mix and read and 7 to clean up
        assertThat(now.bound()).isEqualTo(107);
        Evening more = class4(Map.of(Gear.BALANCE, 2, Gear.HOT_PLATE, 2));
        assertThat(Scheduling.sooner(evening, now, evening).get(0))
                .isEqualTo(new Scheduling.Sooner(
                        "one more hot plate",
                        Scheduling.of(more, Scheduling.Effort.QUICK).finish()));
    }

    @Test
    void aTaskThatIsMovedStaysThereAndTheRestFollows() {
        Evening evening = class4(Map.of(Gear.BALANCE, 1, Gear.HOT_PLATE, 2))
                .moving(Map.of(Job.key("Cedar", 1, "bath"), 40, Job.key("Alder", 1, "weigh"), 9));
        assertThat(Evenings.wrong(evening, Scheduling.of(evening, LITTLE))).isEmpty();
    }

    @Test
    void whatCannotBeIsSaidWithWhatStandsInTheWay() {
        Evening evening = class4(Map.of(Gear.BALANCE, 1, Gear.HOT_PLATE, 1));
        refused(evening.moving(Map.of(Job.key("Cedar", 1, "bath"), 11)), "before the hot plate is hot, after 12 min");
        refused(
                evening.moving(Map.of(Job.key("Cedar", 1, "bath"), 40, Job.key("Alder", 1, "bath"), 35)),
                "the hot plate is taken");
        refused(evening.moving(Map.of(Job.key("Cedar", 2, "bath"), 30)), "what comes before it takes");
        refused(evening.moving(Map.of(Job.key("Cedar", 1, "weigh"), 2000)), "more than a day later");
        assertThatThrownBy(() -> class4(Map.of(Gear.HOT_PLATE, 0)))
                .hasMessage("There is no hot plate, and “in the bath” needs one.");
        assertThatThrownBy(() -> Evening.of(Map.of(), 2, Map.of(), Map.of(), 60))
                .hasMessageContaining("no bench");
        Map<String, List<Job>> many = new HashMap<>();
        for (int i = 0; i <= Evening.MOST_BENCHES; i++) {
            many.put("Bench " + i, List.of());
        }
        assertThatThrownBy(() -> Evening.of(many, 2, Map.of(), Map.of(), 60)).hasMessageContaining("at most 64");
    }

    private static void refused(Evening evening, String words) {
        assertThatThrownBy(() -> Scheduling.of(evening, LITTLE))
                .isInstanceOf(Refused.class)
                .hasMessageContaining(words);
    }

    @Test
    void theRestIsLaidAnewFromWhereItStands() {
        Evening evening = class4(Map.of(Gear.BALANCE, 1, Gear.HOT_PLATE, 2));
        String weighed = Job.key("Alder", 1, "weigh");
        Evening later = evening.standing(Map.of(weighed, new Evening.Stood(0, 25)), 20);
        Timetable timetable = Scheduling.of(later, LITTLE);
        assertThat(timetable.of("Alder").get(0).until()).isEqualTo(25);
        assertThat(timetable.laid())
                .filteredOn(each -> !each.job().key().equals(weighed))
                .allMatch(each -> each.from() >= 20)
                // the one balance is still Alder’s
                .filteredOn(each -> each.job().gear().contains(Gear.BALANCE))
                .allMatch(each -> each.from() >= 25);
    }

    @Test
    void everyStepOfEveryExperimentBelongsToATaskInWords() {
        for (Experiment each : Experiments.all()) {
            assertThat(each.tasks()).as(each.key()).isNotEmpty();
            each.tasks().forEach(task -> {
                assertThat(each.words().get("task." + task.key())).isNotBlank();
                task.from()
                        .ifPresent(from -> assertThat(each.procedure())
                                .as("%s %s", each.key(), task.key())
                                .anyMatch(step -> step.path().equals(from)));
            });
            each.procedure().forEach(step -> assertThat(each.tasks()).contains(each.task(step, 1, 2)));
        }
        assertThat(SOLID.task(step("water/mass"), 2, 2).key()).isEqualTo("bath");
        assertThat(SOLID.task(step("sample/mass"), 1, 2).key()).isEqualTo("weigh");
        assertThat(SOLID.task(step("sample/mass"), 2, 2).key()).isEqualTo("dry");
    }

    private static lab.sassafras.declaration.Step step(String path) {
        return SOLID.procedure().stream()
                .filter(each -> each.path().equals(path))
                .findFirst()
                .orElseThrow();
    }
}
