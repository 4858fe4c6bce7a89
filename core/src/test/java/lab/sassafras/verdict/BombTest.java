package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import lab.sassafras.account.Finding;
import lab.sassafras.account.Solution;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.experiment.WorkedRuns;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.TraceUse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Calibration and combustion in a bomb, against arithmetic by hand and tabulated values. */
class BombTest {

    private static final Conventions ROUNDED = Conventions.of(Map.of("water", "4.18"));
    /** 6.8 cm · 9.6 J/cm and 9.2 mL · 0.0709 mol/L · 59.7 kJ/mol, as in {@link WorkedRuns#fired}. */
    private static final double BESIDES = 6.8 * 9.6 + 0.0092 * 0.0709 * 59_700;

    private static Solution trial(Reduction reduction) {
        return reduction.trials().get(0).solution().orElseThrow();
    }

    private static double beside(Reduction reduction, String words) {
        return trial(reduction).derived().stream()
                .filter(each -> each.derived().label().contains(words))
                .findFirst()
                .orElseThrow()
                .estimate()
                .value();
    }

    private static String digits(double value) {
        return String.format(Locale.ROOT, "%.6f", value);
    }

    /** Certified −26 434 J/g in bomb conditions, per gram in vacuum (NIST SRM 39 series, from memory). */
    @Test
    void benzoicAcidCalibratesWithAndWithoutTheWater() {
        Reduction reduction = WorkedRuns.all().get("bomb-constant").reduced(ROUNDED);
        // 1.0012 g; 23.412 → 26.019 °C; 2000.4 g · 4.18
        double whole = (1.0012 * 26_434 + BESIDES) / 2.607;
        assertThat(trial(reduction).estimate().value()).isCloseTo(whole - 2000.4 * 4.18, within(1e-6));
        assertThat(beside(reduction, "with its water")).isCloseTo(whole, within(1e-6));
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("bomb.corrections"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("0.08 %", "in vacuum"));
        assertThat(WorkedRuns.fired(BenchSheet.of("bomb-constant"), "1.0012", "2000.4", "23.412", "27.412")
                        .reduced(ROUNDED)
                        .findings())
                .as("a constant no bomb holds")
                .extracting(Finding::code)
                .contains("constant.negative");
    }

    private static BenchSheet burnt(String formula, double perGram, double grams) {
        double rise = (grams * perGram + BESIDES) / (1800 + 2000 * 4.18);
        return WorkedRuns.fired(
                        BenchSheet.of("bomb-combustion").says("sample[1]/formula", formula),
                        digits(grams),
                        "2000.0",
                        "23.000",
                        digits(23 + rise))
                .constant(1800, 4, 2000);
    }

    /**
     * Tabulated ΔH at 25 °C (CRC Handbook, from memory) and heats of formation (naphthalene +78.5, sucrose −2226.1,
     * glucose −1273.3, benzoic acid −385.2, urea −333.1, glycine −528.5 kJ/mol, from memory); molar masses and Δn by
     * hand, RT = 8.314462618 · 298.15 J/mol.
     */
    @ParameterizedTest
    @CsvSource({
        "C10H8, 128.174, -2, -5156.3, 78.5",
        "C12H22O11, 342.297, 0, -5640.9, -2226.1",
        "C6H12O6, 180.156, 0, -2803.0, -1273.3",
        "C6H5COOH, 122.123, -0.5, -3226.9, -385.2",
        "CO(NH2)2, 60.056, 0.5, -632.1, -333.1",
        "NH2CH2COOH, 75.067, 0.25, -973.1, -528.5"
    })
    void aSampleGivesTabulatedEnergyEnthalpyAndHeatOfFormation(
            String formula, double molarMass, double gas, double enthalpy, double formation) {
        double energy = enthalpy - gas * 8.314462618 * 298.15 / 1000;
        Reduction reduction = burnt(formula, -1000 * energy / molarMass, 0.8).reduced(ROUNDED);
        assertThat(reduction.result().orElseThrow().value()).isCloseTo(energy, within(0.03));
        assertThat(beside(reduction, "enthalpy of combustion")).isCloseTo(enthalpy, within(0.03));
        assertThat(beside(reduction, "enthalpy of formation")).isCloseTo(formation, within(3.0));
        int written = Map.of("C6H5COOH", 2, "CO(NH2)2", 2, "NH2CH2COOH", 4).getOrDefault(formula, 1);
        assertThat(beside(reduction, "equation as written")).isCloseTo(written * enthalpy, within(0.12));
        assertThat(beside(reduction, "per gram")).isCloseTo(1000 * energy / molarMass, within(0.2));
        Agreement agreement = reduction.agreement(reduction.samples().get(0)).orElseThrow();
        assertThat(agreement.agrees()).isTrue();
        assertThat(agreement.reference().value()).isCloseTo(energy, within(1e-9));
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("process.sign"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("ΔU is negative"));
    }

    /**
     * Sulfur and chlorobenzene, by hand: S + 3/2 O2 + 116 H2O to H2SO4·115H2O, −887.81 + 285.83 = −601.98 kJ/mol; 6
     * CO2, 2 H2O and HCl in 600 of water, −2361.05 − 166.54 − 571.66 less chlorobenzene's 11.1 = −3110.4 (CODATA and
     * CRC, from memory).
     */
    @ParameterizedTest
    @CsvSource({
        "S, solid, 32.06, -601.98, -1.5, 0, 2 S(s) + 3 O2(g) + 232 H2O(l) -> 2 H2SO4·115H2O(l)",
        "C6H5Cl, liquid, 112.556, -3110.4, -1, 11.1, C6H5Cl(l) + 7 O2(g) + 598 H2O(l) -> 6 CO2(g) + HCl·600H2O(l)"
    })
    void sulfurAndChlorineEndInSoMuchWater(
            String formula,
            String state,
            double molarMass,
            double enthalpy,
            double gas,
            double formation,
            String text) {
        double energy = enthalpy - gas * 8.314462618 * 298.15 / 1000;
        double grams = 0.8;
        double rise = (-1000 * energy / molarMass * grams + BESIDES) / (1800 + 2000 * 4.18);
        Reduction reduction = WorkedRuns.fired(
                        BenchSheet.of("bomb-combustion")
                                .says("sample[1]/formula", formula)
                                .says("sample[1]/state", state),
                        digits(grams),
                        "2000.0",
                        "23.000",
                        digits(23 + rise))
                .constant(1800, 4, 2000)
                .reduced(ROUNDED);
        assertThat(reduction.happened().equation().orElseThrow().text()).isEqualTo(text);
        assertThat(beside(reduction, "enthalpy of combustion")).isCloseTo(enthalpy, within(0.05));
        assertThat(beside(reduction, "enthalpy of formation")).isCloseTo(formation, within(0.1));
    }

    /** A gelatine capsule of 0.1123 g at 18 900 ± 60 J/g gives 2122 J that are none of the sample's. */
    @Test
    void whatTheSampleIsBurntWithGivesItsOwnHeat() {
        double alone = burnt("C10H8", 40_000, 0.8)
                .reduced(ROUNDED)
                .result()
                .orElseThrow()
                .value();
        Reduction helped = burnt("C10H8", 40_000, 0.8)
                .reads("helper[1]/mass", "0.1123", "g")
                .assumed("aid[1]/heat", "18900", "60", "J/g")
                .reduced(ROUNDED);
        assertThat(helped.result().orElseThrow().value() - alone)
                .isCloseTo(0.1123 * 18.9 / (0.8 / 128.174), within(1e-3));
        assertThat(trial(helped).estimate().contributions())
                .anyMatch(each -> each.label().contains("per gram") && each.uncertainty() > 0.1);
        assertThat(burnt("C10H8", 40_000, 0.8)
                        .reads("helper[1]/mass", "0.1123", "g")
                        .reduced(ROUNDED)
                        .result())
                .as("without its heat there is no balance")
                .isEmpty();
    }

    /**
     * 1.32 g/mL in air of 0.0012 against weights of 8.0: 1 + 0.0012 (1/1.32 − 1/8) = 1.000759 times what was weighed.
     * At 30 atm benzoic acid's certificate, 26 434 J/g in bomb conditions, is 26 414 at standard states (memory): 2.44
     * kJ/mol; the short formula gives it to a tenth. The judged value stays the bomb's own.
     */
    @Test
    void buoyancyAndStandardStatesAreOptionsWithNamesOfTheirOwn() {
        double asWeighed = burnt("C6H5COOH", 26_434, 1)
                .reduced(ROUNDED)
                .result()
                .orElseThrow()
                .value();
        Reduction vacuum = burnt("C6H5COOH", 26_434, 1)
                .reads("vacuum[1]/pellet", "1.32", "g/mL")
                .reduced(ROUNDED);
        assertThat(asWeighed / vacuum.result().orElseThrow().value()).isCloseTo(1.000759, within(1e-6));
        assertThat(vacuum.findings())
                .filteredOn(each -> each.code().equals("bomb.corrections"))
                .singleElement()
                .satisfies(each ->
                        assertThat(each.message()).contains("standard states").doesNotContain("buoyancy"));
        Reduction standard = burnt("C6H5COOH", 26_434, 1)
                .reads("oxygen[1]/pressure", "30.4", "bar")
                .reduced(ROUNDED);
        assertThat(standard.result().orElseThrow().value()).isEqualTo(asWeighed);
        assertThat(beside(standard, "standard states") - asWeighed).isCloseTo(2.44, within(0.25));
        // 0.0030 · 7 · 4.184 · (30 · (1 − 1.1 · 2 / 28) + 2)
        assertThat(beside(standard, "standard states") - asWeighed)
                .isCloseTo(0.0030 * 7 * 4.184 * (30.4 / 1.01325 * (1 - 2.2 / 28) + 2), within(1e-6));
        assertThat(BenchSheet.of("bomb-constant").sheet().experiment().slot("oxygen/pressure"))
                .as("the certificate holds for its own conditions")
                .isEmpty();
    }

    /** What is added to a gram of benzoic acid's energy (J). */
    private static double inFull(double grams, String bar, String millilitres, String water) {
        Reduction reduction = burnt("C6H5COOH", 26_434, grams)
                .reads("oxygen[1]/pressure", bar, "bar")
                .reads("oxygen[1]/volume", millilitres, "mL")
                .reads("oxygen[1]/water", water, "g")
                .reduced(ROUNDED);
        double asWeighed = reduction.result().orElseThrow().value();
        return (beside(reduction, "volume and water") - asWeighed) * 1000 / 122.12;
    }

    /**
     * In full, at the certificate's own conditions: 3 g of sample and 3 g of water for each litre, 30 atm. 26 434 J/g
     * there is 26 413 at standard states; and a certificate tells what other conditions do to its value: 20 millionths
     * an atmosphere, 42 for a gram of sample a litre, 30 for a gram of water a litre (all from memory). A bomb closed
     * dry has its vapour to make: 23.05 mg/L in a third of a litre, 41.5 kJ/mol.
     */
    @Test
    void standardStatesInFullByPressureVolumeAndWater() {
        double full = inFull(1, "30.3975", "333.333", "1.0");
        assertThat(full).isCloseTo(21, within(2.0));
        assertThat(inFull(1, "31.41075", "333.333", "1.0") - full).isCloseTo(26_434 * 20e-6, within(0.05));
        assertThat(inFull(1.33333, "30.3975", "333.333", "1.0") - full).isCloseTo(26_434 * 42e-6, within(0.09));
        assertThat(inFull(1, "30.3975", "333.333", "1.33333") - full).isCloseTo(26_434 * 30e-6, within(0.09));
        assertThat(inFull(1, "30.3975", "333.333", "0.5") - inFull(1, "30.3975", "333.333", "0"))
                .isCloseTo(0.02305 / 3 * 41_530 / 18.015 + 26_434 * 45e-6, within(0.6));
    }

    /** A certificate of its own with its ±: 26 454 ± 10 for 26 434 makes the constant so much larger. */
    @Test
    void theCertificateMayBeAnothers() {
        double usual = trial(WorkedRuns.all().get("bomb-constant").reduced(ROUNDED))
                .estimate()
                .value();
        Solution own = trial(WorkedRuns.all()
                .get("bomb-constant")
                .assumed("certificate[1]/heat", "26454", "10", "J/g")
                .reduced(ROUNDED));
        assertThat(own.estimate().value() - usual).isCloseTo(1.0012 * 20 / 2.607, within(1e-6));
        assertThat(own.estimate().contributions())
                .anyMatch(each -> each.label().contains("certificate")
                        && Math.abs(each.uncertainty() - 1.0012 * 10 / 2.607) < 1e-6);
    }

    /** The equation of the sample, by hand: C10H8 + 12 O2 → 10 CO2 + 4 H2O loses two moles of gas. */
    @Test
    void theEquationIsMadeOfTheFormulaWithItsStates() {
        Reduction reduction = burnt("C10H8", 40_000, 0.8).reduced(ROUNDED);
        assertThat(reduction.happened().equation().orElseThrow().text())
                .isEqualTo("C10H8(s) + 12 O2(g) -> 10 CO2(g) + 4 H2O(l)");
        assertThat(reduction.happened().equation().orElseThrow().gasFormed()).isEqualTo(-2);
    }

    @Test
    void perGramAsksForNoFormulaAndTheUsualFillMayBeLumped() {
        Reduction food = WorkedRuns.fired(BenchSheet.of("bomb-combustion"), "0.9120", "2000.0", "23.000", "24.600")
                .constant(1800, 4, 2000)
                .reduced(ROUNDED.with(lab.sassafras.convention.ConventionQuestion.BASIS, perGram()));
        double heat = (1800 + 2000 * 4.18) * 1.6 - BESIDES;
        assertThat(food.result().orElseThrow().value()).isCloseTo(-heat / 0.912, within(1e-6));
        assertThat(food.unit()).isEqualTo(BenchUnit.JOULES_PER_GRAM_OF_PROCESS);
        Reduction lumped =
                burnt("C10H8", 40_000, 0.8).reduced(Conventions.of(Map.of("water", "4.18", "calorimeter", "lumped")));
        assertThat(lumped.result().orElseThrow().value())
                .isCloseTo(
                        burnt("C10H8", 40_000, 0.8)
                                .reduced(ROUNDED)
                                .result()
                                .orElseThrow()
                                .value(),
                        within(1e-9));
    }

    private static lab.sassafras.convention.ResultBasis perGram() {
        return lab.sassafras.convention.ResultBasis.PER_GRAM;
    }

    @ParameterizedTest
    @CsvSource({"soot, not all carbon", "residue, unburnt", "leak, leaked"})
    void sootResidueAndALeakVoidTheRunAndSaySo(String seen, String words) {
        Reduction reduction =
                burnt("C10H8", 40_000, 0.8).says("inside[1]/seen", seen).reduced(ROUNDED);
        assertThat(reduction.result()).isEmpty();
        assertThat(reduction.findings())
                .filteredOn(each -> each.code().equals("caveat." + seen))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains(words, "gives no result"));
    }

    /** Each of the cautions must be ticked off before the bomb is fired, and the venting before it is opened. */
    @Test
    void theBombIsNotFiredBeforeItsCautionsAreTicked() {
        Address fired = Address.of("fired/at", 1);
        BenchSheet sheet = BenchSheet.of("bomb-constant").says("check[1]/vessel", "done");
        assertThat(sheet.sheet().tasks().unticked(fired))
                .containsExactly(Address.of("check/charge", 1), Address.of("check/leak", 1));
        sheet.says("check[1]/charge", "done").says("check[1]/leak", "done");
        assertThat(sheet.sheet().tasks().unticked(fired)).isEmpty();
        assertThat(sheet.sheet().tasks().unticked(Address.of("inside/seen", 1)))
                .containsExactly(Address.of("check/vented", 1));
        assertThat(sheet.sheet().tasks().unticked(Address.of("bucket/start", 1)))
                .isEmpty();
    }

    /**
     * On the strip, with a jacket at 24 °C and a loss of 1/20 000 of the difference a second: 23.412 °C at firing and
     * 26.019 just after, which every way that carries gives (the integral and the fraction to a few readings of loss,
     * 0.002 °C). The usual fill may be assumed with its ±.
     */
    @ParameterizedTest
    @CsvSource({"fraction", "integral", "carried"})
    void theStripGivesTheRiseByTheWayInForce(String way) {
        String trace = "11111111-2222-3333-4444-555555555555";
        Logged readings = new Logged(
                "240 readings",
                IntStream.rangeClosed(0, 240)
                        .filter(i -> i != 72)
                        .mapToObj(i -> new Reading(
                                5 * i,
                                24 + (i < 72 ? -0.588 : 2.019) * Math.exp(-(5 * i - 360) / 20_000.0) + (i % 2) * 1e-6))
                        .toList(),
                Optional.of(BenchSheet.THERMOMETER));
        BenchSheet sheet = BenchSheet.of("bomb-constant")
                .says("fuse[1]/way", "none")
                .reads("pellet[1]/mass", "1.0012", "g")
                .assumed("bucket[1]/water", "2000", "5", "g")
                .says("inside[1]/seen", "clean")
                .logging(Map.of(trace, readings))
                .says("curve[1]/trace", new TraceUse(trace, 0, 1200, 360).text());
        Solution solution = trial(sheet.reduced(Conventions.of(Map.of("water", "4.18", "change", way))));
        assertThat(solution.estimate().value()).isCloseTo(1.0012 * 26_434 / 2.607 - 2000 * 4.18, within(10.0));
        assertThat(solution.estimate().uncertainty())
                .as("5 g of water not weighed")
                .isGreaterThan(5 * 4.18);
    }

    /** Fuse and acid left out: 0.8 g would seem to give 104 J too much, and so much heat is found to explain it. */
    @Test
    void aForgottenFuseIsFoundByItsHeat() {
        double energy = 5156.3 - 2 * 8.314462618 * 298.15 / 1000;
        double grams = 0.1;
        double rise = (grams * 1000 * energy / 128.174 + 120) / (1800 + 2000 * 4.18);
        Reduction reduction = BenchSheet.of("bomb-combustion")
                .says("sample[1]/formula", "C10H8")
                .says("fuse[1]/way", "none")
                .reads("pellet[1]/mass", digits(grams), "g")
                .reads("bucket[1]/water", "2000.000", "g")
                .reads("bucket[1]/start", "23.000000", "°C")
                .reads("bucket[1]/highest", digits(23 + rise), "°C")
                .says("inside[1]/seen", "clean")
                .constant(1800, 0.1, 2000)
                .reduced(ROUNDED);
        ExplainingSize fuse = reduction.suspects().stream()
                .filter(each -> each.suspect().key().equals("fuse-forgotten"))
                .findFirst()
                .orElseThrow();
        assertThat(fuse.explains().orElseThrow()).isCloseTo(120, within(0.2));
        assertThat(fuse.believed()).isTrue();
    }
}
