package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.calibration.FoundConstant;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.Figures;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.VesselKind;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Calorimeter constants by material, by a heater and by a certified standard, against numbers worked by hand. */
class ConstantsTest {

    /** 48.62 · 0.897 + 12.35 · 0.385 + 9.80 · 1.90 = 66.987 J/°C. */
    @Test
    void partsOfKnownMaterialAreAddedUp() {
        BenchSheet sheet = BenchSheet.parts("constant-by-material", Map.of("part", 3))
                .mass("part[1]/mass", "48.62")
                .says("part[1]/heat-from", "shelf")
                .says("part[1]/material", "aluminium")
                .mass("part[2]/mass", "12.35")
                .says("part[2]/heat-from", "shelf")
                .says("part[2]/material", "copper")
                .mass("part[3]/mass", "9.80")
                .says("part[3]/heat-from", "typed")
                .reads("part[3]/heat", "1.90", "J/(g·°C)");
        Reduction reduction = sheet.reduced();
        assertThat(value(reduction)).isCloseTo(48.62 * 0.897 + 12.35 * 0.385 + 9.80 * 1.90, within(1e-9));
        assertThat(solution(reduction).postings()).isEmpty();
        assertThat(reduction.constant().orElseThrow().fill()).isZero();
        assertThat(codes(reduction))
                .contains("constant.too-large")
                .doesNotContain("constant.unaccepted", "constant.few-trials");
    }

    /** 0.897 with two digits exchanged is 0.987: no material of the shelf has it. */
    @Test
    void aMaterialsHeatWithTwoDigitsExchangedIsAskedAbout() {
        BenchSheet sheet = BenchSheet.of("constant-by-material")
                .mass("part[1]/mass", "48.62")
                .says("part[1]/heat-from", "typed")
                .reads("part[1]/heat", "0.987", "J/(g·°C)");
        assertThat(codes(sheet.reduced())).contains("constant.unaccepted");
    }

    /** 10.02 · 2.48 · 420 = 10436.8 J; 200.40 · 4.184 · 11.8 = 9894.0 J; 542.8 ÷ 11.8 = 46.0 J/°C. */
    @Test
    void aHeaterWarmsWaterAndVessel() {
        Reduction reduction = heater("31.9");
        assertThat(value(reduction)).isCloseTo((10.02 * 2.48 * 420 - 200.40 * 4.184 * 11.8) / 11.8, within(1e-9));
        assertThat(solution(reduction).postings().get(0).heat().value()).isNegative();
        assertThat(codes(reduction)).contains("constant.few-trials");
    }

    @Test
    void aHeaterThatDidNotWarmAnythingGivesNoConstant() {
        assertThat(heater("20.1").mean()).isEmpty();
        assertThat(codes(heater("20.1"))).contains("account.no-change");
    }

    private static Reduction heater(String end) {
        return BenchSheet.of("constant-by-known-heat")
                .says("source[1]/kind", "heater")
                .mass("water[1]/mass", "200.40")
                .temperature("water[1]/start", "20.1")
                .reads("heater[1]/voltage", "10.02", "V")
                .reads("heater[1]/current", "2.48", "A")
                .reads("heater[1]/time", "7", "min")
                .temperature("mixed[1]/final", end)
                .reduced();
    }

    /**
     * Certified heats (certificates of NIST SRM 1655 and 724, memory): 1.000 g of potassium chloride takes 235.86 J
     * from 120 g of water, 5.000 g of TRIS give 1228.8 J to 995 g of acid.
     */
    @ParameterizedTest
    @CsvSource({"potassium-chloride, 1.00, 120.00, 21.00, 20.55, 235.86", "tris, 5.00, 995.00, 21.000, 21.288, -245.76"
    })
    void aCertifiedStandardIsAKnownHeat(
            String kind, double mass, double water, double start, double end, double perGram) {
        Reduction reduction = BenchSheet.of("constant-by-known-heat")
                .says("source[1]/kind", kind)
                .reads("water[1]/mass", "" + water, "g")
                .reads("standard[1]/mass", "" + mass, "g")
                .temperature("water[1]/start", "" + start)
                .temperature("mixed[1]/final", "" + end)
                .reduced();
        assertThat(value(reduction))
                .isCloseTo(-(mass * perGram + (water + mass) * 4.184 * (end - start)) / (end - start), within(1e-6));
    }

    @Test
    void aReactionOfKnownHeatIsOneToo() {
        Reduction reduction = BenchSheet.of("constant-by-known-heat")
                .says("source[1]/kind", "reaction")
                .mass("water[1]/mass", "100.00")
                .reads("reaction[1]/heat", "-55.84", "kJ/mol")
                .reads("reaction[1]/amount", "0.0500", "mol")
                .temperature("water[1]/start", "21.0")
                .temperature("mixed[1]/final", "27.4")
                .reduced();
        assertThat(value(reduction)).isCloseTo((2792 - 100 * 4.184 * 6.4) / 6.4, within(1e-9));
    }

    /** The constant per gram stands beside, of the whole fill, 99.759 g, and of the cold water alone, 50.098 g. */
    @Test
    void theConstantPerGramOfFillIsNamedApartFromASpecificHeat() {
        Solution trial = solution(BenchSheet.mixing().reduced());
        assertThat(trial.derived().get(0).estimate().value())
                .isCloseTo(trial.estimate().value() / 99.759, within(1e-9));
        assertThat(trial.derived().get(0).derived().label())
                .contains("per gram of the whole fill", "no specific heat", "does not grow with the water");
        assertThat(trial.derived().get(1).estimate().value())
                .isCloseTo(trial.estimate().value() / 50.098, within(1e-9));
        assertThat(trial.derived().get(1).derived().label()).contains("cold water alone");
    }

    /**
     * With the cup on the cold side a final value read too high makes it negative, with the cup on the hot side too
     * low.
     */
    @ParameterizedTest
    @CsvSource({"cold, 41.5, too high, too low", "hot, 39.0, too low, too high"})
    void theCausesNamedForANegativeConstantFitTheCup(String held, String end, String named, String not) {
        Reduction reduction = BenchSheet.mixing()
                .says("cup[1]/held", held)
                .temperature("mixed[1]/final", end)
                .reduced();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("constant.negative"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains(named).doesNotContain(not));
    }

    /** Negative beyond its ±, or five times what a foam cup (15 J/°C) can hold: no reason makes it a constant. */
    @ParameterizedTest
    @CsvSource({"-5, 2, negative beyond its ±", "-5, 4,", "80, 1, more than five times", "70, 1,", "8, 1,"})
    void whatCannotBeAConstantIsNotAdopted(double value, double u, String why) {
        FoundConstant found = new FoundConstant(
                Estimate.of(value, List.of(new Contribution("x", "x", 1, u, null)), Double.POSITIVE_INFINITY), 3, 100);
        assertThat(found.cannotBe(VesselKind.FOAM_CUP, Figures.POINT).orElse(""))
                .contains(why == null ? "" : why);
        assertThat(found.cannotBe(VesselKind.FOAM_CUP, Figures.POINT).isPresent())
                .isEqualTo(why != null);
    }

    /** 100 °C whatever the barometer says is ± 0.8 °C, and that is in the result. */
    @Test
    void fixedPointsAreNotExact() {
        Reduction fixed = BenchSheet.copper().reduced(Conventions.of(Map.of("bath", "fixed-point")));
        assertThat(fixed.result().orElseThrow().contributions())
                .filteredOn(each -> each.key().equals("shelf:boiling-bath") && each.source() != null)
                .singleElement()
                .satisfies(each -> assertThat(each.uncertainty()).isGreaterThan(0.003));
    }

    private static List<String> codes(Reduction reduction) {
        return reduction.findings().stream().map(Finding::code).toList();
    }

    private static Solution solution(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    private static double value(Reduction reduction) {
        return reduction
                .mean()
                .orElseThrow(() -> new AssertionError(reduction.findings()))
                .estimate()
                .value();
    }
}
