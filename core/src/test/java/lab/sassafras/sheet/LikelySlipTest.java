package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a hand may have slipped at, where a value cannot be. */
class LikelySlipTest {

    private static BenchSheet bathed() {
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "32.00")
                .says("sample[1]/bath", "boiling");
    }

    private static Optional<String> of(BenchSheet filled) {
        Sheet sheet = filled.sheet();
        Line last = sheet.lines().get(sheet.lines().size() - 1);
        return LikelySlip.of(sheet, last);
    }

    /** A bath that boils is between 70 and 101.5 °C: the first slip that leads there is named. */
    @ParameterizedTest
    @CsvSource({
        "19.8, Two digits exchanged: 91.8 °C?",
        "9.9, A digit left out: 99 °C?",
        "9.92, A digit left out: 99.2 °C?",
        "210.2, Read in °F: 99 °C?",
        "-99, The sign forgotten: 99 °C?",
        "992, The decimal point misplaced: 99.2 °C?"
    })
    void theFirstSlipThatExplainsItIsNamed(String read, String slip) {
        assertThat(of(bathed().reads("sample[1]/start", read, "°C")).orElseThrow())
                .endsWith(slip);
    }

    @Test
    void whatCanBeIsNoSlip() {
        assertThat(of(bathed().temperature("sample[1]/start", "99.0"))).isEmpty();
        assertThat(of(bathed().temperature("sample[1]/start", "70.0"))).isEmpty();
        assertThat(of(bathed().temperature("sample[1]/start", "69.9"))).isPresent();
        assertThat(of(bathed())).as("a word").isEmpty();
    }

    @Test
    void whereNoSlipLeadsToWhatIsUsualItIsOnlySaidThatItCannotBe() {
        assertThat(of(bathed().temperature("sample[1]/start", "50.0")).orElseThrow())
                .startsWith("50.0 °C: ")
                .doesNotContain("?:")
                .doesNotContain("exchanged")
                .doesNotContain("misplaced");
    }

    @Test
    void whatAnInstrumentCannotShowCannotBe() {
        assertThat(of(BenchSheet.of("heat-of-solution").mass("water[1]/mass", "1005"))
                        .orElseThrow())
                .contains("Balance reads 0 to 400 g", "The decimal point misplaced: 100.5 g?");
        assertThat(of(BenchSheet.of("heat-of-solution")
                        .give("water[1]/mass", Role.READ, "100.5", "g", Optional.of(BenchSheet.BALANCE))))
                .isEmpty();
    }
}
