package lab.sassafras.app;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.record.Hands;
import lab.sassafras.app.record.InHand;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Two probes in one run: each is proposed where it is in hand, one may be changed midway, and the file says so. */
class InstrumentsByPlaceTest extends HouseTest {

    private static final Pattern PROPOSED = Pattern.compile("<option value=\"([0-9a-f-]{36})\"\\s+selected");

    @Autowired
    private Hands hands;

    @AfterEach
    void timeAsItIs() {
        FaultInjection.fair();
    }

    private Instrument probe(String name) {
        return instruments.add(
                new Instrument("", name, InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0));
    }

    private static String proposed(Hand hand, String entry, String at) {
        Matcher found = PROPOSED.matcher(
                hand.get(entry + "?at=" + Hand.encoded(at)).body().split("Read on</label>", 2)[1]);
        return found.find() ? found.group(1) : "";
    }

    @Test
    void eachPlaceProposesItsOwnAndTheFileSaysWhichWasWhereFromWhenOn() {
        equip("places");
        Instrument bath = probe("bath probe " + UUID.randomUUID());
        Instrument spare = probe("spare probe " + UUID.randomUUID());
        Hand hand = new Hand(address(""));
        hand.join(hand.openPeriod("Two probes, " + UUID.randomUUID()), "Rowan");
        String entry = hand.begin("specific-heat-of-solid").replaceAll("\\?.*", "");
        String begun = proposed(hand, entry, "water[1]/start");
        assertThat(begun)
                .as("what it was begun with holds everywhere")
                .isEqualTo(proposed(hand, entry, "sample[1]/start"));
        String take = entry + "/instruments";
        assertThat(hand.post(take, "place=sample&instrument=" + bath.key()).statusCode())
                .isEqualTo(302);
        assertThat(proposed(hand, entry, "sample[1]/start")).isEqualTo(bath.key());
        assertThat(proposed(hand, entry, "water[1]/start")).isEqualTo(begun);
        // what was read on last is proposed again, until another is taken in hand
        hand.keep(entry, UUID.randomUUID(), "sample[1]/start", "read", "99.4", "°C");
        hand.post(
                entry + "/observations",
                "at=sample%5B1%5D%2Fstart&role=read&text=99.5&unit=%C2%B0C&sure=1&instrument=" + spare.key() + "&key="
                        + UUID.randomUUID());
        Instant before = Instant.now();
        FaultInjection.clockOff(Duration.ofMinutes(5));
        assertThat(hand.post(take, "place=&instrument=" + spare.key()).statusCode())
                .isEqualTo(302);
        assertThat(proposed(hand, entry, "sample[1]/start")).isEqualTo(spare.key());
        assertThat(proposed(hand, entry, "water[1]/start")).isEqualTo(spare.key());
        // a place where nothing is read on it, or an instrument that is not here, is refused in words
        assertThat(hand.get(take).body()).contains("In hand now").doesNotContain("predicted final");
        assertThat(hand.post(take, "place=seen&instrument=" + spare.key()))
                .satisfies(answer -> assertThat(answer.statusCode()).isEqualTo(422))
                .satisfies(answer -> assertThat(answer.body()).contains("Nothing is read there on a thermometer."));
        assertThat(hand.post(take, "place=sample&instrument=" + UUID.randomUUID())
                        .body())
                .contains("That instrument is not here.");
        Entry kept =
                entryBook.find(UUID.fromString(entry.replaceAll(".*/", ""))).orElseThrow();
        InHand inHand = hands.of(kept);
        assertThat(inHand.at("sample", InstrumentKind.THERMOMETER, before)).hasToString("Optional[" + bath.key() + "]");
        assertThat(inHand.at("sample", InstrumentKind.THERMOMETER)).hasToString("Optional[" + spare.key() + "]");
        String file = hand.get(entry + "/run.json").body();
        assertThat(file).contains("\"minor\" : 5", "\"inHand\"");
        Entry again = imports.take(file.getBytes(UTF_8), "places.json", A_TEST).orThrow();
        assertThat(hand.get("/entries/" + again.id() + "/run.json").body()).isEqualTo(file);
    }
}
