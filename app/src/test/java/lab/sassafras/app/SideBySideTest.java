package lab.sassafras.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.junit.jupiter.api.Test;

/** The entries of a period side by side, from the notebook. */
class SideBySideTest extends HouseTest {

    private String dissolved(Hand hand, String highest) {
        String entry = hand.begin("heat-of-solution").replaceAll("\\?.*", "");
        String[][] given = {
            {"solute[1]/formula", "stated", "NH4Cl", ""},
            {"water[1]/mass", "read", "98.45", "g"},
            {"solid[1]/mass", "read", "6.02", "g"},
            {"water[1]/start", "read", "21.8", "°C"},
            {"solution[1]/final", "read", highest, "°C"},
            {"solution[1]/dissolved", "stated", "all", ""}
        };
        for (String[] each : given) {
            assertThat(hand.keep(entry, UUID.randomUUID(), each[0], each[1], each[2], each[3])
                            .statusCode())
                    .isEqualTo(302);
        }
        return entry;
    }

    private static String words(String page) {
        return page.replaceAll("<[^>]*>", "").replaceAll("\\s+", " ");
    }

    @Test
    void aBenchThatLiesApartIsSeenBesideTheOthersAndOneThatIsNotFinishedIsCounted() {
        Hand hand = new Hand(address(""));
        String period = hand.openPeriod("Side by side, " + UUID.randomUUID());
        String path = period + "/beside/heat-of-solution";
        assertThat(words(hand.get(path).body())).contains("No entry of it has a result yet");
        String[] ends = {"18.1", "18.0", "18.2", "18.15", "18.05", "14.9"};
        String[] benches = {"Alder", "Hawthorn", "Medlar", "Sorrel", "Willow", "Rowan"};
        String last = "";
        for (int i = 0; i < ends.length; i++) {
            hand.join(period, benches[i]);
            last = dissolved(hand, ends[i]);
        }
        hand.begin("heat-of-solution");
        String notebook =
                hand.get("/notebook?period=" + period.replaceAll(".*/", "")).body();
        assertThat(notebook).contains("/beside/heat-of-solution");
        // what needs a look is named there: Rowan's number lies apart, and far from its reference
        assertThat(words(notebook)).containsPattern("Rowan[^<]*finished ?outlier ?deviation");
        assertThat(notebook.split(">outlier<")).hasSize(2);
        String page = hand.get(path).body();
        assertThat(words(page))
                .containsPattern("NH4Cl ?\\(s\\) → NH4Cl ?\\(aq\\)")
                .contains("Rowan, ", "is an outlier (generalized ESD, 5 % in all); the others agree among themselves")
                .contains("Worth repeating now? yes: it is an outlier", "1 more of this period has no result yet")
                .contains(
                        "weighted mean, scatter between entries included (Paule–Mandel; Hartung–Knapp)",
                        "plain mean, s = ");
        assertThat(page).contains("href=\"" + last.replaceAll("^https?://[^/]*", "") + "/result\"");
        assertThat(page.split("class=\"dot")).hasSize(7);
        assertThat(hand.get(period + "/beside/alchemy").statusCode()).isEqualTo(404);
    }
}
