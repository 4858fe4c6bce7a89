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
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.LabBook;
import lab.sassafras.app.record.Observation;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** What the book promises to many hands at once. */
class LabBookTest extends HouseTest {

    private Entry begun(String bench) {
        Bench at = book.join(period("Book " + bench), bench);
        return book.begin(at, new Entry.Plan("specific-heat-of-solid", 1, 1, Optional.empty(), Optional.empty(), Map.of()));
    }

    private static Observation.Given reading(String text, UUID supersedes, String reason) {
        return new Observation.Given("water[1]/start", "read", text, "°C", Optional.empty(), null, "Rowan",
                Optional.ofNullable(supersedes), reason);
    }

    @Test
    void manyHandsAtOnceLoseNothingAndKeepTheOrderGiven() throws Exception {
        Entry entry = begun("many");
        ExecutorService hands = Executors.newFixedThreadPool(6);
        List<Callable<UUID>> given = IntStream.range(0, 120).<Callable<UUID>>mapToObj(i -> () ->
                book.keep(UUID.randomUUID(), entry.id(), reading("2" + i + ".0", null, null)).id()).toList();
        Set<UUID> acknowledged = hands.invokeAll(given).stream().map(each -> {
            try {
                return each.get();
            } catch (Exception e) {
                throw new AssertionError(e);
            }
        }).collect(Collectors.toSet());
        hands.shutdown();
        assertThat(book.observations(entry.id()).all()).extracting(Observation::id).containsExactlyInAnyOrderElementsOf(acknowledged);
    }

    @Test
    void aCorrectionLeavesTheOldValueAndItsReason() {
        Entry entry = begun("correction");
        Observation wrong = book.keep(UUID.randomUUID(), entry.id(), reading("25.0", null, null));
        Observation right = book.keep(UUID.randomUUID(), entry.id(), reading("24.0", wrong.id(), "read above eye level"));
        var observations = book.observations(entry.id());
        assertThat(observations.all()).hasSize(2);
        assertThat(observations.standing()).extracting(Observation::text).containsExactly("24.0");
        assertThat(observations.strikerOf(wrong)).map(Observation::id).contains(right.id());
    }

    @Test
    void whatIsStruckOutCannotBeStruckOutAgain() {
        Entry entry = begun("twice");
        Observation wrong = book.keep(UUID.randomUUID(), entry.id(), reading("25.0", null, null));
        book.keep(UUID.randomUUID(), entry.id(), reading("", wrong.id(), "slip"));
        assertThat(book.observations(entry.id()).standing()).isEmpty();
        assertThatThrownBy(() -> book.keep(UUID.randomUUID(), entry.id(), reading("24.0", wrong.id(), "again")))
                .isInstanceOf(Refused.class).hasMessageContaining("already struck out");
        Entry other = begun("other");
        assertThatThrownBy(() -> book.keep(UUID.randomUUID(), other.id(), reading("24.0", wrong.id(), "not mine")))
                .isInstanceOf(Refused.class);
    }

    @Test
    void aBenchIsJoinedNotMadeTwice() {
        var period = period("Join");
        assertThat(book.join(period, "Alder").id()).isEqualTo(book.join(period, "Alder").id());
        assertThat(book.benches(period)).hasSize(1);
        assertThat(book.join(period("Join again"), "Alder").id()).isNotEqualTo(book.benches(period).get(0).id());
    }

    @Test
    void trialsAreCountedAndTheirNumberIsBounded() {
        Entry entry = begun("trials");
        assertThat(book.opened(entry.id(), LabBook.TRIAL)).isEqualTo(1);
        for (int expected = 2; expected <= 50; expected++) {
            assertThat(book.open(entry.id(), LabBook.TRIAL, "Rowan")).isEqualTo(expected);
        }
        assertThatThrownBy(() -> book.open(entry.id(), LabBook.TRIAL, "Rowan")).hasMessageContaining("at most 50");
    }
}
