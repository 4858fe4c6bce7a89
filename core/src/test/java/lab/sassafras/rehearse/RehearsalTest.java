package lab.sassafras.rehearse;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import lab.sassafras.declaration.Gear;
import lab.sassafras.declaration.Task;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.hour.Evening;
import lab.sassafras.hour.Job;
import lab.sassafras.hour.Scheduling;
import lab.sassafras.hour.Timetable;
import lab.sassafras.measure.Refused;
import lab.sassafras.plan.Plan;
import lab.sassafras.simulate.Bench;
import org.junit.jupiter.api.Test;

class RehearsalTest {

    private static final int MINUTE = 60;

    private static Evening evening(Experiment of, int benches, int trials, Map<Gear, Integer> has) {
        Map<String, List<Job>> work = new LinkedHashMap<>();
        IntStream.rangeClosed(1, benches)
                .mapToObj(each -> "Bench " + each)
                .forEach(bench -> work.put(bench, Job.of(bench, of, trials, Task::usual)));
        return Evening.of(work, 2, has, Map.of(), 120);
    }

    private static Evening slugs(int benches) {
        return evening(
                Experiments.find("specific-heat-of-solid").orElseThrow(),
                benches,
                2,
                Map.of(Gear.BALANCE, 1, Gear.HOT_PLATE, 2));
    }

    private static Timetable hour(Evening evening) {
        return Scheduling.of(evening, Scheduling.Effort.QUICK);
    }

    @Test
    void sharedGearIsHeldByNoMoreThanThereIsAndWhoeverComesFirstHasItFirst() {
        Evening evening = slugs(9);
        Timetable hour = hour(evening);
        int waited = 0;
        for (int seed = 0; seed < 40; seed++) {
            Rehearsal rehearsal = Rehearsal.of(evening, hour, seed);
            assertThat(rehearsal.went()).hasSameSizeAs(hour.laid());
            for (Gear gear : evening.has().keySet()) {
                List<Rehearsal.Went> all = rehearsal.went().stream()
                        .filter(each -> each.gear().contains(gear))
                        .toList();
                for (Rehearsal.Went each : all) {
                    assertThat(rehearsal.at(gear, each.from()))
                            .hasSizeLessThanOrEqualTo(evening.has().getOrDefault(gear, 0));
                    if (each.from() > each.came()) {
                        waited++;
                        assertThat(rehearsal.at(gear, each.from() - 1))
                                .as("nobody waits beside what is free")
                                .hasSize(evening.has().getOrDefault(gear, 0));
                        assertThat(all).noneMatch(other -> other.came() > each.came() && other.from() < each.from());
                    }
                }
            }
            rehearsal
                    .went()
                    .forEach(each -> assertThat(each.came())
                            .as("by its hour")
                            .isGreaterThanOrEqualTo(MINUTE * planned(hour, each)));
        }
        assertThat(waited).isPositive();
    }

    private static int planned(Timetable hour, Rehearsal.Went went) {
        return hour.of(went.bench()).stream()
                .filter(each -> each.job().key().equals(Job.key(went.bench(), went.trial(), went.task())))
                .findFirst()
                .orElseThrow()
                .from();
    }

    /** Two benches that come at once to one balance, and nobody else: the second waits as long as the first weighs. */
    @Test
    void aQueueIsWhatTwoAtOnceMakeOfIt() {
        Map<String, List<Job>> work = new LinkedHashMap<>();
        Experiment salt = Experiments.find("heat-of-solution").orElseThrow();
        for (String bench : List.of("Alder", "Cedar")) {
            work.put(bench, Job.of(bench, salt, 1, Task::usual).subList(0, 1));
        }
        Evening evening = Evening.of(work, 2, Map.of(Gear.BALANCE, 1), Map.of(), 60);
        Timetable together = new Timetable(
                work.values().stream()
                        .map(jobs ->
                                new Timetable.Laid(jobs.get(0), 0, jobs.get(0).minutes(), Map.of()))
                        .toList(),
                0,
                0,
                java.util.Optional.empty());
        Rehearsal rehearsal = Rehearsal.of(evening, together, 1);
        int weighs = rehearsal.went().get(0).until();
        assertThat(rehearsal.went().get(1).from()).isEqualTo(weighs);
        assertThat(rehearsal.queue(Gear.BALANCE)).isEqualTo(new Rehearsal.Queue(weighs, 1, 0));
        assertThat(rehearsal.waiting(Gear.BALANCE, weighs - 1)).hasSize(1);
        assertThat(rehearsal.waiting(Gear.BALANCE, weighs)).isEmpty();
        assertThat(rehearsal.done("Cedar")).isEqualTo(rehearsal.finish());
    }

    /** Hands differ as it is declared, and what goes by itself does not; the same seed is the same evening. */
    @Test
    void handsTakeLongerOrShorterAndABathDoesNot() {
        Evening evening = slugs(4);
        Timetable hour = hour(evening);
        assertThat(Rehearsal.of(evening, hour, 7)).isEqualTo(Rehearsal.of(evening, hour, 7));
        List<Double> logs = new ArrayList<>();
        for (int seed = 0; seed < 500; seed++) {
            for (Rehearsal.Went each : Rehearsal.of(evening, hour, seed).went()) {
                double took = each.until() - each.from();
                double usual = MINUTE
                        * evening.benches().get(each.bench()).stream()
                                .filter(job -> job.task().equals(each.task()) && job.trial() == each.trial())
                                .findFirst()
                                .orElseThrow()
                                .minutes();
                if (each.task().equals("bath")) {
                    assertThat(took).isEqualTo(usual);
                } else {
                    logs.add(Math.log(took / usual));
                }
            }
        }
        double mean = logs.stream().mapToDouble(each -> each).average().orElseThrow();
        double spread = Math.sqrt(logs.stream()
                .mapToDouble(each -> (each - mean) * (each - mean))
                .average()
                .orElseThrow());
        assertThat(mean).isCloseTo(0, within(0.01));
        assertThat(spread).isCloseTo(Math.hypot(0.2, 0.12), within(0.01));
    }

    @Test
    void everyTouchIsDoneOnceInItsOrderAndWithinItsTask() {
        for (Experiment of : Experiments.all()) {
            if (!Plan.runs(of)) {
                continue;
            }
            Evening evening = evening(of, 2, 2, Map.of(Gear.BALANCE, 1));
            Rehearsal rehearsal = Rehearsal.of(evening, hour(evening), 3);
            List<Bench.Due> touches = Bench.usual(1, of.takes().get(0).typical())
                    .touches(of.scene().orElseThrow());
            List<Act> acts = Act.of(rehearsal, "Bench 2", of, any -> touches);
            assertThat(acts).as(of.key()).hasSize(2 * (touches.size() + 1));
            for (int i = 1; i < acts.size(); i++) {
                assertThat(acts.get(i).second())
                        .as("%s %s", of.key(), acts.get(i))
                        .isGreaterThanOrEqualTo(acts.get(i - 1).second());
            }
            for (Act act : acts) {
                assertThat(rehearsal.went())
                        .as("%s %s", of.key(), act)
                        .anyMatch(each -> each.bench().equals("Bench 2")
                                && each.trial() == act.trial()
                                && each.from() <= act.second()
                                && act.second() <= each.until());
            }
        }
    }

    @Test
    void whatIsWeighedOutIsMarkedInTheTaskItBelongsTo() {
        Evening evening = slugs(1);
        Rehearsal rehearsal = Rehearsal.of(evening, hour(evening), 3);
        Experiment of = Experiments.find("specific-heat-of-solid").orElseThrow();
        List<Bench.Due> touches = Bench.usual(1, 9).touches(of.scene().orElseThrow());
        Rehearsal.Went mixes = rehearsal.went().stream()
                .filter(each -> each.task().equals("mix") && each.trial() == 2)
                .findFirst()
                .orElseThrow();
        assertThat(Act.of(rehearsal, "Bench 1", of, any -> touches))
                .filteredOn(act -> act.trial() == 2 && act.touch().path().equals("sample/moved"))
                .filteredOn(act -> act.place() > 0)
                .singleElement()
                .satisfies(act -> assertThat(act.second()).isBetween(mixes.from() + 1, mixes.until() - 1));
    }

    /** Hands take 1 to 1.25 times what they need, 1.125 times in the mean: of 113 portions about a hundred come out. */
    @Test
    void aStockRunsOutOnceMoreIsTakenThanThereIs() {
        List<Act> acts = IntStream.rangeClosed(1, 200)
                .mapToObj(
                        each -> new Act(each, "Bench " + each, 1, 1, new Bench.Touch(Bench.Kind.WEIGH, "salt/mass", 8)))
                .toList();
        Stock salt = new Stock("salt", "salt/mass", 8, "g", 113 * 8);
        assertThat(salt.out(acts, 1)).hasValueSatisfying(ran -> {
            assertThat(ran.second()).isBetween(96, 106);
            assertThat(ran.bench()).isEqualTo("Bench " + ran.second());
        });
        assertThat(new Stock("salt", "salt/mass", 8, "g", 200 * 8 * 1.25).out(acts, 1))
                .isEmpty();
        assertThat(new Stock("salt", "salt/mass", 8, "g", 200 * 8).out(acts, 1)).isPresent();
        assertThat(new Stock("acid", "acid/volume", 50, "mL", 0).out(acts, 1)).isEmpty();
    }

    @Test
    void whatGoesWrongIsSpreadOverTheRoomAndNoBenchHasTwo() {
        assertThat(Rehearsal.spread(List.of("A", "B", "C", "D", "E"), List.of("splash", "digits")))
                .containsExactly(Map.entry("A", "splash"), Map.entry("C", "digits"));
        assertThatThrownBy(() -> Rehearsal.spread(List.of("A"), List.of("splash", "digits")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("at most 1");
    }
}
