package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/**
 * A burner under a can, as a bench meets it: the flame's cautions before the hand moves, the equation, and where the
 * heat went.
 */
class UnderACanTest extends HouseTest {

    private Hand hand;
    private String entry;

    @BeforeEach
    void sitDown() {
        hand = new Hand(address(""));
        hand.join(hand.openPeriod("Under a can, " + UUID.randomUUID()), "Rowan");
        entry = hand.begin("combustion-under-a-can").replaceAll("\\?.*", "");
    }

    private HttpResponse<String> give(String entry, String at, String role, String text, String unit) {
        return hand.keep(entry, UUID.randomUUID(), at, role, text, unit);
    }

    /** A name is read back as a formula, and kept once that is said to be right. */
    private void named(String entry, String at, String name, String formula) {
        String form = "key=" + UUID.randomUUID() + "&at=" + Hand.encoded(at) + "&role=stated&text=" + name;
        assertThat(hand.post(entry + "/observations", form).body()).contains(formula);
        assertThat(hand.post(entry + "/observations", form + "&sure=" + name).statusCode())
                .isEqualTo(302);
    }

    private void burn(String entry, String fuel, String highest, String after) {
        if (!fuel.isEmpty()) {
            give(entry, "fuel[1]/formula", "stated", fuel, "");
        }
        give(entry, "water[1]/mass", "read", "120.00", "g");
        give(entry, "burner[1]/burnt", "gross", "81.46", "g");
        give(entry, "water[1]/start", "read", "26.0", "°C");
        give(entry, "heated[1]/highest", "read", highest, "°C");
        give(entry, "burner[1]/burnt", "tare", after, "g");
    }

    private String page(String entry, String after) {
        return hand.get(entry + after).body().replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
    }

    @Test
    void theFlamesCautionsStandBeforeTheHandMovesAndTheClockSaysWhereToStop() {
        assertThat(page(entry, "?at=fuel%5B1%5D/formula"))
                .contains("no refilling while it is hot or lit", "Methanol is poisonous");
        assertThat(page(entry, "?at=water%5B1%5D/start"))
                .contains("a fire blanket in reach")
                .contains("Next:", "never by blowing");
        assertThat(page(entry, "?at=flame%5B1%5D/lit"))
                .contains("hair tied back", "qualified supervision", "safety data sheets");
        assertThat(page(entry, "/clock")).contains("What warms it is stopped at a rise of 15 °C");
        assertThat(page(entry, "/paces")).contains("stop at a rise of, °C");
    }

    @Test
    void aFuelIsTypedByItsNameAndTheResultSaysWhatPartReachedTheWater() {
        named(entry, "fuel[1]/formula", "ethanol", "C2H5OH");
        burn(entry, "", "34.0", "81.04");
        // 120.00 · 4.184 · 8.0 ÷ (0.42 ÷ 46.069) = 440.6 kJ/mol, 32.2 % of 1366.8
        String result = page(entry, "/result?open=all");
        assertThat(result)
                .contains("C2H5OH(l) + 3 O2(g) → 2 CO2(g) + 3 H2O(l)", "32 % of the tabulated heat")
                .containsPattern("part of the tabulated heat ?32")
                .contains("heat of combustion per gram", "fuel evaporated from the wick without burning")
                .contains("Where the heat went", "into the water", "unaccounted: past the can, into air and stand")
                .contains("Possible causes")
                .containsPattern(
                        "heat went past the can, into air and stand, or fuel evaporated from the wick without burning, "
                                + "by 5.0 °C: −[\\d.]+ kJ/mol ?\\d+ °C would explain it all, which can be believed");
        assertThat(hand.get("/shelf/values").body()).contains("enthalpy of combustion of hexan-1-ol");
    }

    @Test
    void aKnownFuelOfTheSameBenchCorrectsIt() {
        burn(entry, "CH3OH", "34.0", "80.99");
        String known = entry.replaceAll(".*/", "");
        String other = hand.begin("combustion-under-a-can").replaceAll("\\?.*", "");
        burn(other, "C2H5OH", "34.0", "81.04");
        assertThat(page(other, "/result?open=all")).doesNotContain("corrected by the known fuel");
        assertThat(page(other, "?at=known%5B1%5D/run")).contains("Same can, stand and height of the flame");
        assertThat(give(other, "known[1]/run", "stated", known, "").statusCode())
                .isEqualTo(302);
        named(other, "known[1]/fuel", "methanol", "CH3OH");
        // 0.47 g of methanol gave the same 4016.6 J: 273.8 of 726.1; 440.6 ÷ 0.3771 = 1168
        assertThat(page(other, "/result?open=all")).containsPattern("corrected by the known fuel ?−11[67]\\d");
    }
}
