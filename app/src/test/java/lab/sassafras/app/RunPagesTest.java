package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.List;
import java.util.UUID;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.Observation;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Forms sent without our page, as an old tab or a script would: the answer is always a page with a plain word. */
class RunPagesTest extends HouseTest {

    private Hand hand;
    private Entry entry;

    @BeforeEach
    void sitDown() {
        entry = imported("4-still-at-the-bench.json");
        hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Rowan");
    }

    private HttpResponse<String> post(String path, String form) {
        return hand.post(path, form);
    }

    private HttpResponse<String> keep(String at, String role, String text, String unit, String more) {
        return post(
                "/entries/" + entry.id() + "/observations",
                "at=" + Hand.encoded(at) + "&role=" + role + "&text=" + Hand.encoded(text) + "&unit="
                        + Hand.encoded(unit) + more);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "water[1]/start | read | 21.3 | '' | The unit is missing",
                "water[1]/start | read | 21.3 | g | is not a unit of temperature",
                "water[1]/start | gross | 21.3 | °C | cannot be given as gross",
                "water[1]/start | guess | 21.3 | °C | Say how the value was got",
                "water[1]/start | read | -274 | °C | Nothing is colder than",
                "sample[1]/carried | read | -1.0 | g | cannot be negative",
                "seen[1]/magnetic | stated | perhaps | '' | is not one of the answers: yes, no",
                "seen[1]/known | stated | cheese | '' | is not a solid on the reference shelf",
                "seen[1]/density | assumed | 2.7 | g/mL | needs a ±"
            })
    void whatCannotBeIsRefusedAtItsPlace(String at, String role, String text, String unit, String said) {
        int before = observationBook.of(entry.id()).all().size();
        HttpResponse<String> answer = keep(at, role, text, unit, "");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains(said).doesNotContain("Exception");
        assertThat(observationBook.of(entry.id()).all()).hasSize(before);
    }

    @Test
    void fullBelowEmptyIsRefusedAndTheTypedValueKept() {
        assertThat(keep("sample[1]/carried", "tare", "5.00", "g", "").statusCode())
                .isEqualTo(302);
        HttpResponse<String> answer = keep("sample[1]/carried", "gross", "4.00", "g", "");
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("Full (4.00) is less than empty (5.00)", "value=\"4.00\"");
        assertThat(keep("sample[1]/carried", "gross", "5.50", "g", "").statusCode())
                .isEqualTo(302);
    }

    @Test
    void aCorrectionMayTurnTheDifferenceRound() {
        keep("sample[1]/carried", "tare", "5.00", "g", "");
        keep("sample[1]/carried", "gross", "6.00", "g", "");
        Observation empty =
                observationBook.of(entry.id()).at("sample[1]/carried").get(0);
        assertThat(keep("sample[1]/carried", "tare", "7.00", "g", "&supersedes=" + empty.id() + "&reason=misread")
                        .statusCode())
                .as("full would then be below empty")
                .isEqualTo(422);
        assertThat(keep("sample[1]/carried", "tare", "5.20", "g", "&supersedes=" + empty.id() + "&reason=misread")
                        .statusCode())
                .isEqualTo(302);
        assertThat(observationBook.of(entry.id()).standing())
                .filteredOn(each -> each.address().equals("sample[1]/carried"))
                .extracting(Observation::text)
                .containsExactly("6.00", "5.20");
        // what was called full was the empty one
        List<Observation> both = observationBook.of(entry.id()).standingAt("sample[1]/carried");
        keep("sample[1]/carried", "tare", "", "", "&supersedes=" + both.get(1).id() + "&reason=misread");
        assertThat(keep(
                                "sample[1]/carried",
                                "tare",
                                "9.00",
                                "g",
                                "&supersedes=" + both.get(0).id() + "&reason=misread")
                        .statusCode())
                .as("the full one is struck out before")
                .isEqualTo(302);
    }

    @ParameterizedTest
    @CsvSource({"water[9]/start, 422", "nowhere[1]/start, 422", "water, 422", "water[1]/start[, 422"})
    void anAddressThatIsNoneIsAnsweredWithAPage(String at, int status) {
        HttpResponse<String> answer = keep(at, "read", "21.3", "°C", "");
        assertThat(answer.statusCode()).isIn(status, 404);
        assertThat(answer.body()).contains("Sassafras").doesNotContain("Exception");
    }

    @Test
    void aReasonHasAnEnd() {
        Observation any = observationBook.of(entry.id()).standing().get(1);
        HttpResponse<String> answer = keep(
                any.address(), any.role(), "48.90", "g", "&supersedes=" + any.id() + "&reason=" + "x".repeat(5000));
        assertThat(answer.statusCode()).isEqualTo(422);
        assertThat(answer.body()).contains("at most 200 characters");
    }

    @Test
    void withoutTheSealNothingIsKept() {
        hand.withoutSeal();
        HttpResponse<String> answer = keep("water[1]/start", "read", "21.3", "°C", "");
        assertThat(answer.statusCode()).isEqualTo(403);
        assertThat(answer.body()).contains("That was not done", "what was recorded before is there");
    }

    @Test
    void onlyWhatTheExperimentRepeatsCanBeOpened() {
        assertThat(post("/entries/" + entry.id() + "/open", "what=trial").statusCode())
                .isEqualTo(302);
        assertThat(entryBook.opened(entry.id(), "trial")).isEqualTo(2);
        assertThat(post("/entries/" + entry.id() + "/open", "what=water").body())
                .contains("There is nothing of that name to add");
        assertThat(post("/entries", "experiment=alchemy").body()).contains("Choose an experiment to begin");
        assertThat(post("/entries", "experiment=constant-by-mixing").body()).contains("Choose the vessel");
        assertThat(post("/entries/" + entry.id() + "/school", "question=water&school=4.2")
                        .body())
                .contains("There is no such convention");
        assertThat(post("/entries/" + entry.id() + "/trials/7", "outcome=out&reason=x")
                        .statusCode())
                .isEqualTo(404);
        assertThat(post("/entries/" + entry.id() + "/adopt", "reason=x").body())
                .contains("There is no constant to adopt yet");
    }

    /** A run begun when colour and magnet came first goes on with what it lacks, and asks nothing twice. */
    @Test
    void aRunBegunInAnotherOrderGoesOn() {
        Hand hand = new Hand(address(""));
        hand.join(hand.openPeriod("begun in another order"), "Rowan");
        String entry = hand.begin("specific-heat-of-solid");
        hand.keep(entry, UUID.randomUUID(), "seen[1]/colour", "stated", "grey", "");
        hand.keep(entry, UUID.randomUUID(), "seen[1]/magnetic", "stated", "no", "");
        assertThat(hand.get(entry).body()).contains("Weigh the solid, dry</h1>");
        hand.keep(entry, UUID.randomUUID(), "sample[1]/mass", "read", "71.46", "g");
        hand.keep(entry, UUID.randomUUID(), "sample[1]/bath", "stated", "boiling", "");
        hand.keep(entry, UUID.randomUUID(), "water[1]/mass", "read", "110.12", "g");
        assertThat(hand.get(entry + "?after=water%5B1%5D/mass").body())
                .as("past colour and magnet, which stand")
                .contains("Density of the solid, if you know it</h1>");
    }
}
