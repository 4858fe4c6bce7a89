package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A bomb as a bench meets it: nothing is fired before its cautions are ticked, and the constant found serves the
 * sample.
 */
class BombPagesTest extends HouseTest {

    private Hand hand;

    @BeforeEach
    void sitDown() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Bomb, " + UUID.randomUUID()), "Rowan");
    }

    private HttpResponse<String> give(String entry, String at, String role, String text, String unit) {
        return hand.keep(entry, UUID.randomUUID(), at, role, text, unit);
    }

    private String page(String entry, String after) {
        return hand.get(entry + after).body().replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
    }

    private String begin(String experiment) {
        return hand.begin(experiment).replaceAll("\\?.*", "");
    }

    @Test
    void theBombCannotBeFiredBeforeItsCautionsAreTicked() {
        String entry = begin("bomb-combustion");
        assertThat(page(entry, "?at=fired%5B1%5D/at"))
                .contains(
                        "Stand back and to the side", "First tick off", "charged with oxygen", "no bubbles under water")
                .doesNotContain("Mark the moment");
        HttpResponse<String> tooSoon = give(entry, "fired[1]/at", "stated", "", "");
        assertThat(tooSoon.statusCode()).isEqualTo(422);
        assertThat(tooSoon.body()).contains("Not yet. First tick off: the vessel is fit; charged with oxygen");
        assertThat(page(entry, "?at=check%5B1%5D/charge")).contains("no oil or grease", "25 to 30 atm");
        hand.post(entry + "/clock", "trial=1&every=30");
        String trace =
                hand.get(entry + "/clock?trial=1").body().replaceAll("(?s).*name=\"trace\" value=\"([^\"]+)\".*", "$1");
        assertThat(hand.post(entry + "/clock/mixing", "trial=1&trace=" + trace).body())
                .contains("Not yet. First tick off");
        for (String each : new String[] {"vessel", "charge", "leak"}) {
            assertThat(give(entry, "check[1]/" + each, "stated", "done", "").statusCode())
                    .isEqualTo(302);
        }
        assertThat(page(entry, "?at=fired%5B1%5D/at"))
                .contains("Mark the moment")
                .doesNotContain("First tick off");
        assertThat(give(entry, "fired[1]/at", "stated", "", "").statusCode()).isEqualTo(302);
        assertThat(give(entry, "inside[1]/seen", "stated", "clean", "").body())
                .as("nor opened under pressure")
                .contains("Not yet. First tick off: waited and vented");
    }

    /** What a file tells was done; it is not asked to tick. The result says ΔU, ΔH and the heat of formation. */
    @Test
    void aRunBroughtInGivesEnergyEnthalpyAndFormation() {
        String entry = "/entries/"
                + imports.take(example("bomb-combustion"), "run.json", A_TEST)
                        .orThrow()
                        .id();
        assertThat(page(entry, "/result?open=all"))
                .contains("energy of combustion per mole, at constant volume")
                .contains("enthalpy of combustion, to liquid water", "enthalpy of formation of the sample")
                .contains("C10H8(s) + 12 O2(g) → 10 CO2(g) + 4 H2O(l)")
                .contains("Left out are the correction for buoyancy");
    }
}
