package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Locale;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.substance.ReferenceShelf;
import lab.sassafras.substance.Substance;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Runs as they would go with each solid of the shelf, worked forward by plain arithmetic, and what is made of them. */
class IdentificationTest {

    static List<Substance> everydaySolids() {
        return ReferenceShelf.standard().solids().stream()
                .filter(Substance::everyday)
                .toList();
    }

    /** 120 g of the solid at 98.0 °C into 100 g of water at 21.00 °C in a cup of 9 J/°C, read to 0.01 °C. */
    private static BenchSheet runWith(Substance solid) {
        double given = 120 * solid.specificHeat();
        double taking = 100 * 4.184 + 9;
        double end = (taking * 21 + given * 98) / (taking + given);
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "120.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "98.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "21.00")
                .temperature("mixed[1]/final", String.format(Locale.ROOT, "%.2f", end))
                .constant(9, 1, 100);
    }

    @ParameterizedTest
    @MethodSource("everydaySolids")
    void theRightSolidIsAmongThoseThatFit(Substance solid) {
        Verdict verdict = runWith(solid)
                .says("seen[1]/colour", solid.colour())
                .says("seen[1]/magnetic", solid.magnetic() ? "yes" : "no")
                .says("seen[1]/known", solid.key())
                .reduced()
                .verdict()
                .orElseThrow();
        assertThat(verdict.candidates())
                .filteredOn(Candidate::fits)
                .extracting(each -> each.substance().key())
                .contains(solid.key());
        assertThat(Math.abs(verdict.agreement().orElseThrow().percentError())).isLessThan(1);
        assertThat(verdict.agreement().orElseThrow().words()).startsWith("agrees");
    }

    @Test
    void ironAndChromiumShareANumberAndTheMagnetTellsThemApart() {
        Substance iron = ReferenceShelf.standard().find("iron").orElseThrow();
        assertThat(fitting(runWith(iron))).contains("iron", "chromium", "nickel");
        assertThat(fitting(runWith(iron).says("seen[1]/magnetic", "no")))
                .contains("chromium")
                .doesNotContain("iron", "nickel");
        assertThat(fitting(runWith(iron).says("seen[1]/magnetic", "yes")))
                .contains("iron", "nickel")
                .doesNotContain("chromium");
    }

    @Test
    void nobodyIsToldTheSampleIsGoldPlatinumOrUranium() {
        Substance lead = ReferenceShelf.standard().find("lead").orElseThrow();
        List<Candidate> candidates =
                runWith(lead).reduced().verdict().orElseThrow().candidates();
        assertThat(candidates)
                .filteredOn(each -> List.of("gold", "platinum", "uranium")
                        .contains(each.substance().key()))
                .isNotEmpty()
                .allSatisfy(each -> assertThat(each.words()).contains("not handed out in a class"));
    }

    @Test
    void aDensityNarrowsTheChoice() {
        Substance zinc = ReferenceShelf.standard().find("zinc").orElseThrow();
        assertThat(fitting(runWith(zinc))).contains("zinc", "copper");
        BenchSheet weighed = runWith(zinc);
        weighed.give("seen[1]/density", lab.sassafras.slot.Role.READ, "7.1", "g/mL", java.util.Optional.empty());
        assertThat(fitting(weighed)).contains("zinc").doesNotContain("copper");
    }

    @Test
    void waterThatCameOverMakesTheNumberTooLargeAndSoItIsSaid() {
        Substance aluminium = ReferenceShelf.standard().find("aluminium").orElseThrow();
        // 5 g of bath water counted as if it were not there: 0.897 + 5 · 4.184 ÷ 120 = 1.07
        double given = 120 * aluminium.specificHeat() + 5 * 4.184;
        double end = (427.4 * 21 + given * 98) / (427.4 + given);
        BenchSheet wet = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "120.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "98.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "21.00")
                .temperature("mixed[1]/final", String.format(Locale.ROOT, "%.2f", end))
                .constant(9, 1, 100);
        assertThat(wet.reduced().findings()).extracting(each -> each.code()).contains("specific-heat.above-one");
        wet.mass("sample[1]/carried", "5.00");
        assertThat(wet.reduced().findings()).extracting(each -> each.code()).doesNotContain("specific-heat.above-one");
        assertThat(fitting(wet)).contains("aluminium");
    }

    private static List<String> fitting(BenchSheet sheet) {
        return sheet.reduced().verdict().orElseThrow().candidates().stream()
                .filter(Candidate::fits)
                .map(each -> each.substance().key())
                .toList();
    }
}
