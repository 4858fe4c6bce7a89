package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.Conventions;
import lab.sassafras.expression.Estimate;
import lab.sassafras.expression.Estimate.Contribution;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Role;
import lab.sassafras.substance.Reference;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The ± of a result is what the digits written, the instruments and the trials allow, and it is judged by. */
class HonestIntervalTest {

    /** One last digit, in the unit it was typed in, divided by √12 (JCGM 100:2008, 4.3.7). */
    @ParameterizedTest
    @CsvSource({
        "constant-by-material, part[1]/heat, 0.2143, cal/(g·°C), 4.184e-4",
        "constant-by-known-heat, heater[1]/time, 7, min, 60",
        "constant-by-known-heat, heater[1]/time, 7.0, min, 6",
        "neutralization, acid[1]/concentration, 0.5, mol/L, 0.1",
        "neutralization, acid[1]/concentration, 500, mmol/L, 0.001"
    })
    void theResolutionOfATypedValueGoesWithItsUnit(
            String experiment, String address, String text, String unit, double lastDigit) {
        BenchSheet sheet = BenchSheet.of(experiment).reads(address, text, unit);
        assertThat(sheet.sheet().lines().get(0).measured().uncertainty())
                .isCloseTo(lastDigit / Math.sqrt(12), within(lastDigit * 1e-9));
    }

    /** 10 g on a balance that shows 0.01 is 10 ± 0.29 g until it is corrected to 10.00. */
    @Test
    void digitsWrittenCountWhereTheyAreFewerThanTheInstrumentShows() {
        BenchSheet coarse = copperOf("10");
        assertThat(coarse.sheet().lines().get(0).measured().ownUncertainty())
                .isCloseTo(1 / Math.sqrt(12), within(1e-12));
        assertThat(messages(coarse.reduced(), "reading.decimals"))
                .contains("10 g", "steps of 0.01 g", "uncertain by ± 0.29 g");
        BenchSheet fine = copperOf("10.00");
        assertThat(fine.sheet().lines().get(0).measured().ownUncertainty())
                .isCloseTo(0.01 / Math.sqrt(12), within(1e-12));
        assertThat(messages(fine.reduced(), "reading.decimals")).isEmpty();
    }

    @Test
    void fewDigitsThatMakeMostOfTheUncertaintyAreNamed() {
        assertThat(messages(acidOf("0.5").reduced(), "reading.few-digits"))
                .contains("written as 0.5", "known as 0.500");
        assertThat(messages(acidOf("0.500").reduced(), "reading.few-digits")).isEmpty();
    }

    /** A bath taken as 100 ± 5 °C in every trial: its part of u is the same for one trial and for four. */
    @Test
    void anAssumedValueIsNotAveragedAway() {
        assertThat(ofBath(metals(4)))
                .isCloseTo(ofBath(metals(1)), within(1e-12))
                .isGreaterThan(0.01);
    }

    /** Four heats of 3 to 6 g of salt have no mean; of 5.00 to 5.03 g they have one, and no line. */
    @Test
    void heatsOfUnlikeAmountsAreNotAveraged() {
        Conventions alone = Conventions.of(Map.of("basis", "heat"));
        Reduction unlike = salts(3, 4, 5, 6).reduced(alone);
        assertThat(unlike.result()).isEmpty();
        assertThat(messages(unlike, "trials.unlike-amounts")).contains("unlike amounts");
        assertThat(salts(3, 4, 5, 6).reduced().result()).isPresent();
        Reduction alike = salts(5.00, 5.01, 5.02, 5.03).reduced(alone);
        assertThat(alike.result()).isPresent();
        Reduction perMole = salts(5.00, 5.01, 5.02, 5.03).reduced();
        assertThat(perMole.samples().get(0).line()).isEmpty();
        assertThat(messages(perMole, "trials.intercept")).isEmpty();
    }

    /** Three trials, s/√3 = 1 and 2 degrees of freedom: ± 4.303; a reference 4 away agrees, one 5 away does not. */
    @ParameterizedTest
    @CsvSource({"104, true", "105, false"})
    void agreementGoesByTheIntervalThatIsPrinted(double reference, boolean agrees) {
        Estimate result = Estimate.of(
                100, java.util.List.of(new Contribution("scatter", "scatter between trials", 1, 1, null)), 2);
        assertThat(Interval.of(result).high()).isCloseTo(104.303, within(0.001));
        Agreement agreement = Agreement.of(
                Interval.of(result),
                new Reference("r", "r", reference, 0.01, BenchUnit.JOULES_PER_GRAM, "a test", true));
        assertThat(agreement.agrees()).isEqualTo(agrees);
        assertThat(agreement.words()).contains("95 %").doesNotContain("2 u");
    }

    /** 83.70 g of ice written as 830.70: the reading outside its usual range is the one to look at. */
    @Test
    void aResultInQuestionNamesTheReadingOutsideItsUsualRangeFirst() {
        Reduction reduction = ice("830.70").reduced();
        assertThat(messages(reduction, "result.far-from-reference"))
                .contains("Look first at “ice", "830.70 g", "outside its usual range");
    }

    private static BenchSheet ice(String mass) {
        return BenchSheet.of("fusion-of-ice")
                .mass("water[1]/mass", "351.00")
                .temperature("water[1]/start", "24.0")
                .says("ice[1]/state", "dried")
                .temperature("ice[1]/start", "0.0")
                .mass("ice[1]/mass", mass)
                .temperature("mixed[1]/final", "4.0");
    }

    private static BenchSheet copperOf(String grams) {
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", grams)
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0")
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.7");
    }

    private static BenchSheet acidOf(String concentration) {
        return BenchSheet.of("neutralization")
                .says("reaction[1]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                .says("reaction[1]/strength", "strong")
                .says("acid[1]/formula", "HCl")
                .says("base[1]/formula", "NaOH")
                .reads("acid[1]/concentration", concentration, "mol/L")
                .assumed("base[1]/concentration", "1.10", "0.01", "mol/L")
                .give("first[1]/amount", Role.READ, "50.00", "g", java.util.Optional.of(BenchSheet.BALANCE))
                .mass("second[1]/amount", "50.00")
                .temperature("first[1]/start", "21.2")
                .temperature("second[1]/start", "21.8")
                .temperature("mixed[1]/final", "24.8");
    }

    private static BenchSheet metals(int trials) {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid", trials);
        for (int i = 1; i <= trials; i++) {
            sheet.mass("sample[" + i + "]/mass", "71.46")
                    .says("sample[" + i + "]/bath", "boiling")
                    .assumed("sample[" + i + "]/start", "100", "5", "°C")
                    .mass("water[" + i + "]/mass", "110.56")
                    .temperature("water[" + i + "]/start", "21.1")
                    .temperature("mixed[" + i + "]/final", "25.4");
        }
        return sheet;
    }

    private static double ofBath(BenchSheet sheet) {
        return sheet.reduced().result().orElseThrow().contributions().stream()
                .filter(each -> each.label().endsWith("assumed"))
                .findFirst()
                .orElseThrow()
                .uncertainty();
    }

    private static BenchSheet salts(double... grams) {
        BenchSheet sheet = BenchSheet.of("heat-of-solution", grams.length).says("solute[1]/formula", "KCl");
        for (int i = 1; i <= grams.length; i++) {
            double fall = grams[i - 1] / 74.55 * 17000 / ((100 + grams[i - 1]) * 4.184);
            sheet.mass("water[" + i + "]/mass", "100.00")
                    .mass("solid[" + i + "]/mass", String.format(java.util.Locale.ROOT, "%.2f", grams[i - 1]))
                    .temperature("water[" + i + "]/start", "22.00")
                    .temperature("solution[" + i + "]/final", String.format(java.util.Locale.ROOT, "%.2f", 22 - fall))
                    .says("solution[" + i + "]/dissolved", "all");
        }
        return sheet;
    }

    private static String messages(Reduction reduction, String code) {
        return reduction.findings().stream()
                .filter(each -> each.code().equals(code))
                .map(Finding::message)
                .reduce("", String::concat);
    }
}
