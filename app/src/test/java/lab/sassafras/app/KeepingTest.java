package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** What the book promises to many hands at once. */
class KeepingTest extends HouseTest {

    private Entry begun(String bench) {
        Bench at = periodBook.join(period("Book " + bench), bench);
        return entryBook.begin(
                at, new Entry.Plan("specific-heat-of-solid", 1, 1, Optional.empty(), Optional.empty(), Map.of()));
    }

    private static Observation.Given reading(String text, UUID supersedes, String reason) {
        return new Observation.Given(
                "water[1]/start",
                "read",
                text,
                "°C",
                Optional.empty(),
                null,
                "Rowan",
                Optional.ofNullable(supersedes),
                reason);
    }

    @Test
    void manyHandsAtOnceLoseNothingAndKeepTheOrderGiven() throws Exception {
        Entry entry = begun("many");
        ExecutorService hands = Executors.newFixedThreadPool(6);
        List<Callable<UUID>> given = IntStream.range(0, 120)
                .<Callable<UUID>>mapToObj(i -> () -> observationBook
                        .keep(UUID.randomUUID(), entry.id(), reading("2" + i + ".0", null, null))
                        .id())
                .toList();
        Set<UUID> acknowledged = hands.invokeAll(given).stream()
                .map(each -> {
                    try {
                        return each.get();
                    } catch (Exception e) {
                        throw new AssertionError(e);
                    }
                })
                .collect(Collectors.toSet());
        hands.shutdown();
        assertThat(observationBook.of(entry.id()).all())
                .extracting(Observation::id)
                .containsExactlyInAnyOrderElementsOf(acknowledged);
    }

    @Test
    void aCorrectionLeavesTheOldValueAndItsReason() {
        Entry entry = begun("correction");
        Observation wrong = observationBook.keep(UUID.randomUUID(), entry.id(), reading("25.0", null, null));
        Observation right = observationBook.keep(
                UUID.randomUUID(), entry.id(), reading("24.0", wrong.id(), "read above eye level"));
        var observations = observationBook.of(entry.id());
        assertThat(observations.all()).hasSize(2);
        assertThat(observations.standing()).extracting(Observation::text).containsExactly("24.0");
        assertThat(observations.strikerOf(wrong)).map(Observation::id).contains(right.id());
    }

    @Test
    void whatIsStruckOutCannotBeStruckOutAgain() {
        Entry entry = begun("twice");
        Observation wrong = observationBook.keep(UUID.randomUUID(), entry.id(), reading("25.0", null, null));
        observationBook.keep(UUID.randomUUID(), entry.id(), reading("", wrong.id(), "slip"));
        assertThat(observationBook.of(entry.id()).standing()).isEmpty();
        assertThatThrownBy(() -> observationBook.keep(UUID.randomUUID(), entry.id(), reading("", wrong.id(), "again")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("already struck out");
        Entry other = begun("other");
        assertThatThrownBy(() ->
                        observationBook.keep(UUID.randomUUID(), other.id(), reading("24.0", wrong.id(), "not mine")))
                .isInstanceOf(Refused.class);
    }

    /**
     * Sixteen devices correct one value at the same moment: it is struck out once, and what fifteen others read is
     * kept.
     */
    @Test
    void ofManyCorrectionsAtOnceOneStrikesAndTheOthersAreSecondReadings() throws Exception {
        Entry entry = begun("sixteen");
        Observation wrong = observationBook.keep(UUID.randomUUID(), entry.id(), reading("25.0", null, null));
        List<Observation> kept = atOnce(
                16,
                i -> observationBook.keep(UUID.randomUUID(), entry.id(), reading("24." + i, wrong.id(), "read again")));
        assertThat(kept).filteredOn(each -> each.supersedes().isPresent()).hasSize(1);
        assertThat(observationBook.of(entry.id()).standing()).hasSize(16);
    }

    @Test
    void oneKeyHoldsOneValue() throws Exception {
        Entry entry = begun("key");
        UUID key = UUID.randomUUID();
        List<Observation> kept = atOnce(16, i -> observationBook.keep(key, entry.id(), reading("21.0", null, null)));
        assertThat(kept).extracting(Observation::id).containsOnly(key);
        assertThat(observationBook.of(entry.id()).all()).hasSize(1);
        assertThatThrownBy(() -> observationBook.keep(key, entry.id(), reading("22.0", null, null)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Another value, 21.0, was recorded under the same key");
    }

    @Test
    void trialsOpenedAtOnceAreAllThereAndBenchesJoinedAtOnceAreOne() throws Exception {
        Entry entry = begun("open");
        assertThat(atOnce(12, i -> entryBook.open(entry.id(), EntryBook.TRIAL, "Rowan")))
                .doesNotHaveDuplicates()
                .contains(2, 13);
        var period = period("Join at once");
        assertThat(atOnce(12, i -> periodBook.join(period, "Alder").id()))
                .containsOnly(periodBook.benches(period).get(0).id());
    }

    @Test
    void aDecisionIsOneOfTheKnownWords() {
        Entry entry = begun("words");
        assertThatThrownBy(() -> decisionBook.decide(
                        Optional.of(entry.id()), Decision.Kind.TRIAL, "trial[1]", "perhaps", "why", "Rowan"))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("no way to decide");
    }

    private static <T> List<T> atOnce(int hands, java.util.function.IntFunction<T> work) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(hands);
        java.util.concurrent.CountDownLatch start = new java.util.concurrent.CountDownLatch(1);
        List<java.util.concurrent.Future<T>> all = IntStream.range(0, hands)
                .mapToObj(i -> pool.submit(() -> {
                    start.await();
                    return work.apply(i);
                }))
                .toList();
        start.countDown();
        List<T> done = new java.util.ArrayList<>();
        for (var each : all) {
            done.add(each.get());
        }
        pool.shutdown();
        return done;
    }

    @Test
    void aBenchIsJoinedNotMadeTwice() {
        var period = period("Join");
        assertThat(periodBook.join(period, "Alder").id())
                .isEqualTo(periodBook.join(period, "Alder").id());
        assertThat(periodBook.benches(period)).hasSize(1);
        assertThat(periodBook.join(period("Join again"), "Alder").id())
                .isNotEqualTo(periodBook.benches(period).get(0).id());
    }

    @Test
    void trialsAreCountedAndTheirNumberIsBounded() {
        Entry entry = begun("trials");
        assertThat(entryBook.opened(entry.id(), EntryBook.TRIAL)).isEqualTo(1);
        for (int expected = 2; expected <= 50; expected++) {
            assertThat(entryBook.open(entry.id(), EntryBook.TRIAL, "Rowan")).isEqualTo(expected);
        }
        assertThatThrownBy(() -> entryBook.open(entry.id(), EntryBook.TRIAL, "Rowan"))
                .hasMessageContaining("at most 50");
    }
}
