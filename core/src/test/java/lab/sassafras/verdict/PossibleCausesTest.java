package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import lab.sassafras.convention.Conventions;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.TraceUse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * What could have done this: an error is planted in readings made by hand from the handbook value, and its size must be
 * found again. The final temperature comes from a balance written here, not from the account.
 */
class PossibleCausesTest {

    private static final double C = 4.184;

    /**
     * A planted error.
     *
     * @param key     the suspect
     * @param size    true value less recorded value
     * @param sheet   what was recorded, for a final temperature
     * @param ends    where the true run ends, for the handbook value
     */
    record Planted(String key, double size, DoubleFunction<BenchSheet> sheet, DoubleUnaryOperator ends) {

        @Override
        public String toString() {
            return key + " " + size;
        }
    }

    private static String digits(double value) {
        return String.format(Locale.ROOT, "%.9f", value);
    }

    /** 60 g of copper from 100 °C into 80 g of water at 20 °C. */
    static DoubleFunction<BenchSheet> copper() {
        return end -> BenchSheet.of("specific-heat-of-solid")
                .says("seen[1]/known", "copper")
                .reads("sample[1]/mass", "60.0000", "g")
                .says("sample[1]/bath", "other")
                .reads("sample[1]/start", "100.0000", "°C")
                .reads("water[1]/mass", "80.0000", "g")
                .reads("water[1]/start", "20.0000", "°C")
                .reads("mixed[1]/final", digits(end), "°C");
    }

    private static DoubleUnaryOperator copperEnds(
            double metal, double water, double cold, double carried, double along, double heat) {
        return c -> ((c * 60 + carried * C) * metal + (water * C + along) * cold + heat)
                / (c * 60 + carried * C + water * C + along);
    }

    /** 5 g of potassium chloride into 100 g of water at 22 °C; 74.551 g/mol, the whole solution cools. */
    private static DoubleFunction<BenchSheet> salt(String formula) {
        return end -> BenchSheet.of("heat-of-solution")
                .says("solute[1]/formula", formula)
                .reads("water[1]/mass", "100.0000", "g")
                .reads("solid[1]/mass", "5.0000", "g")
                .reads("water[1]/start", "22.0000", "°C")
                .reads("solution[1]/final", digits(end), "°C")
                .says("solution[1]/dissolved", "all");
    }

    private static DoubleUnaryOperator saltEnds(double grams, double molarMass, double mass) {
        return heat -> 22 - 1000 * heat * grams / molarMass / (mass * C);
    }

    /** 300 g of water at 40 °C and 50 g of ice, 333.6 J/g. */
    private static DoubleFunction<BenchSheet> ice() {
        return end -> BenchSheet.of("fusion-of-ice")
                .reads("water[1]/mass", "300.0000", "g")
                .says("ice[1]/state", "dried")
                .assumed("ice[1]/start", "0", "0.0001", "°C")
                .reads("water[1]/start", "40.0000", "°C")
                .reads("mixed[1]/final", digits(end), "°C")
                .reads("ice[1]/mass", "50.0000", "g");
    }

    /** 0.8 g of ethanol, 46.069 g/mol, under 200 g of water at 15 °C. */
    private static DoubleFunction<BenchSheet> can() {
        return end -> BenchSheet.of("combustion-under-a-can")
                .says("fuel[1]/formula", "C2H5OH")
                .reads("water[1]/mass", "200.0000", "g")
                .reads("water[1]/start", "15.0000", "°C")
                .reads("burner[1]/burnt", "0.8000", "g")
                .reads("heated[1]/highest", digits(end), "°C");
    }

    private static DoubleUnaryOperator canEnds(double grams, double soot, double along) {
        return heat -> 15 + (-1000 * heat * grams / 46.069 - soot * 393_509 / 12.011) / (200 * C + along);
    }

    /** 50 mL of hydrochloric acid and 60 mL of sodium hydroxide, written as 1.000 mol/L both. */
    private static DoubleFunction<BenchSheet> acid() {
        return end -> BenchSheet.of("neutralization")
                .says("reaction[1]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                .says("reaction[1]/strength", "strong")
                .says("acid[1]/formula", "HCl")
                .reads("acid[1]/concentration", "1.0000", "mol/L")
                .says("base[1]/formula", "NaOH")
                .reads("base[1]/concentration", "1.0000", "mol/L")
                .volume("first[1]/amount", "50.0000")
                .volume("second[1]/amount", "60.0000")
                .reads("second[1]/start", "21.0000", "°C")
                .reads("first[1]/start", "21.0000", "°C")
                .reads("mixed[1]/final", digits(end), "°C");
    }

    static List<Planted> planted() {
        return List.of(
                new Planted("cooled-in-transit", -4, copper(), copperEnds(96, 80, 20, 0, 0, 0)),
                new Planted("water-splashed", -2.5, copper(), copperEnds(100, 77.5, 20, 0, 0, 0)),
                new Planted("water-with-probe", -0.9, copper(), copperEnds(100, 79.1, 20, 0, 0, 0)),
                new Planted("start-not-settled", 0.45, copper(), copperEnds(100, 80, 20.45, 0, 0, 0)),
                new Planted("carried", 1.4, copper(), copperEnds(100, 80, 20, 1.4, 0, 0)),
                new Planted("wet-sample", -1.2, copper(), c -> {
                    double metal = 58.8 * c;
                    return (metal * 100 + 80 * C * 20) / (metal + 80 * C);
                }),
                new Planted("bar", 12, copper(), copperEnds(100, 80, 20, 0, 12, 0)),
                new Planted("cup-ignored", 11, copper(), copperEnds(100, 80, 20, 0, 11, 0)),
                new Planted("warm-plate", 150, copper(), copperEnds(100, 80, 20, 0, 0, 150)),
                new Planted("moist", -12, salt("KCl"), saltEnds(4.4, 74.551, 105)),
                new Planted("undissolved", -1, salt("KCl"), saltEnds(4, 74.551, 104)),
                new Planted("wet", 8, ice(), heat -> (300 * C * 40 - 50 * 0.92 * heat) / (350 * C)),
                new Planted("colder", -8, ice(), heat -> (300 * C * 40 - 50 * (heat + 8 * 2.09)) / (350 * C)),
                new Planted("splashed", 1.5, ice(), heat -> (300 * C * 40 - 51.5 * heat) / (351.5 * C)),
                new Planted("evaporated", -0.12, can(), canEnds(0.68, 0, 0)),
                new Planted("wet-fuel", 10, can(), canEnds(0.72, 0, 0)),
                new Planted("soot", 0.05, can(), canEnds(0.8, 0.05, 0)),
                new Planted("acid-off", -0.08, acid(), heat -> 21 - 1000 * heat * 0.046 / (110 * C)));
    }

    /** The run as it was recorded, ending where the true one of the handbook value ended. */
    private static Reduction recorded(Planted planted) {
        double end = planted.ends().applyAsDouble(1);
        Reduction reduction = planted.sheet().apply(end).reduced();
        for (int closer = 0; closer < 6; closer++) {
            double reference = reduction
                    .agreement(reduction.samples().get(0))
                    .orElseThrow()
                    .reference()
                    .value();
            reduction = planted.sheet()
                    .apply(planted.ends().applyAsDouble(reference))
                    .reduced();
        }
        return reduction;
    }

    private static ExplainingSize found(Reduction reduction, String key) {
        return reduction.suspects().stream()
                .filter(each -> each.suspect().key().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @MethodSource("planted")
    void theSizeOfAPlantedErrorIsFoundAgain(Planted planted) {
        Reduction reduction = recorded(planted);
        ExplainingSize found = found(reduction, planted.key());
        // the reference hangs on the dilution: these worlds have that of what was written, not of what was true
        double close = List.of("undissolved", "acid-off").contains(planted.key()) ? 0.02 : 1e-3;
        assertThat(found.explains().orElseThrow()).isCloseTo(planted.size(), within(close * Math.abs(planted.size())));
        assertThat(found.believed()).isTrue();
        assertThat(found.helps()).isTrue();
        assertThat(ExplainingSize.noneSuffices(reduction.suspects())).isEmpty();
    }

    /**
     * 5 g of a hydrate written as the salt without water (or the other way), dissolved with the heat its own row has at
     * some 160 mol of water to each (heats of solution and of dilution: NBS, memory): it comes out first, with its
     * waters.
     */
    @ParameterizedTest
    @CsvSource({
        "CaCl2, 147.01, -42.7, 2",
        "CaCl2, 219.08, 19.5, 6",
        "MgSO4, 246.47, 11.8, 7",
        "CuSO4, 249.68, 6, 5",
        "MgSO4·7H2O, 120.37, -91.2, -7",
        "Na2CO3, 286.14, 65.6, 10"
    })
    void aHydrateIsFoundByItsOwnRow(String written, double molarMass, double heat, double waters) {
        Reduction reduction = salt(written)
                .apply(saltEnds(5, molarMass, 105).applyAsDouble(heat))
                .reduced();
        ExplainingSize first = reduction.suspects().get(0);
        assertThat(first.suspect().key()).isEqualTo("hydrate");
        assertThat(first.explains().orElseThrow()).isEqualTo(waters);
        assertThat(first.unit()).isEqualTo("mol of water in each");
        assertThat(first.believed()).isTrue();
        assertThat(reduction.result().orElseThrow().value() + first.change())
                .as("what the result would be, per mole of what it was")
                .isCloseTo(heat, within(0.002 * Math.abs(heat) + 0.02));
    }

    /** What takes no water is no hydrate, and a fraction of a water is damp: that is another cause. */
    @ParameterizedTest
    @CsvSource({
        "NH4NO3, 80.043, 22.1",
        "KNO3, 101.10, 31.5",
        "NaOH, 39.997, -39.6",
        "KCl, 74.551, 15.5",
        "CaCl2, 110.98, -70"
    })
    void whatCrystallizesWithoutWaterIsNoHydrate(String formula, double molarMass, double heat) {
        Reduction reduction = salt(formula)
                .apply(saltEnds(5, molarMass, 105).applyAsDouble(heat))
                .reduced();
        assertThat(reduction.agreement(reduction.samples().get(0)).orElseThrow().agrees())
                .isFalse();
        assertThat(reduction.suspects())
                .noneMatch(each -> each.suspect().key().equals("hydrate") && each.believed())
                .anyMatch(each -> each.suspect().key().equals("moist") && each.believed());
    }

    /**
     * A bottle labelled 1.10 that holds 0.90 mol/L, 50 mL of it to 50 mL of 1.00: 45 mmol of water, though by the label
     * the base runs out. A little less of the acid moves nothing; the whole of it does.
     */
    @Test
    void aBottleWronglyLabelledIsFoundBeyondWhereTheOtherReagentRunsOut() {
        DoubleFunction<BenchSheet> labelled = end -> BenchSheet.of("neutralization")
                .says("reaction[1]/equation", "HCl(aq) + NaOH(aq) -> NaCl(aq) + H2O(l)")
                .says("reaction[1]/strength", "strong")
                .says("acid[1]/formula", "HCl")
                .reads("acid[1]/concentration", "1.1000", "mol/L")
                .says("base[1]/formula", "NaOH")
                .reads("base[1]/concentration", "1.0000", "mol/L")
                .volume("first[1]/amount", "50.0000")
                .volume("second[1]/amount", "50.0000")
                .reads("second[1]/start", "21.0000", "°C")
                .reads("first[1]/start", "21.0000", "°C")
                .reads("mixed[1]/final", digits(end), "°C");
        ExplainingSize found = found(
                recorded(new Planted("acid-off", -0.2, labelled, heat -> 21 - 1000 * heat * 0.045 / (100 * C))),
                "acid-off");
        assertThat(found.explains().orElseThrow()).isCloseTo(-0.2, within(0.01));
        assertThat(found.believed()).isTrue();
    }

    /** Where the other reagent ran out there is no size, only whether it would do: 110 mL by 50 mL are 1.2. */
    @Test
    void anotherReagentHavingRunOutIsSoOrNot() {
        ExplainingSize other = found(
                recorded(new Planted("other", 0, acid(), heat -> 21 - 1000 * heat * 0.060 / (110 * C))),
                "other-reagent");
        assertThat(other.explains()).isEmpty();
        assertThat(other.believed()).isTrue();
        assertThat(other.part().orElseThrow()).isCloseTo(1, within(0.01));
    }

    /** Called copper, and it was aluminium: the candidate that fits is named, by its own row of the shelf. */
    @Test
    void anotherSubstanceIsNamedWhereItFits() {
        Reduction called = copper().apply(copperEnds(100, 80, 20, 0, 0, 0).applyAsDouble(0.897))
                .reduced();
        ExplainingSize other = found(called, "other-substance");
        assertThat(other.words()).endsWith(": aluminium");
        assertThat(other.believed()).isTrue();
        // glass of no reference at all: nothing to compare with, nothing supposed
        assertThat(copper().apply(copperEnds(100, 80, 20, 0, 0, 0).applyAsDouble(0.386))
                        .reduced()
                        .suspects())
                .noneMatch(each -> each.suspect().key().equals("other-substance"));
    }

    /** Both thermometers were one: it cannot have been off against itself. */
    @Test
    void aSuspectWhoseConditionFailsIsNoneHere() {
        Instrument bath = new Instrument(
                "t9", "T-9", InstrumentKind.THERMOMETER, BenchSheet.THERMOMETER.unit(), 0.1, -10, 110, 0, 0);
        BenchSheet sheet = BenchSheet.copper();
        assertThat(sheet.reduced().suspects())
                .noneMatch(each -> each.suspect().key().equals("two-thermometers"));
        BenchSheet two = BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "100.0", bath)
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.7");
        assertThat(two.reduced().suspects())
                .anyMatch(each -> each.suspect().key().equals("two-thermometers"));
        assertThat(acid().apply(27).reduced().suspects())
                .as("what is poured to a mark is delivered")
                .noneMatch(each -> each.suspect().key().equals("drops-left-behind"));
    }

    /** Nothing of a believable size makes glass of copper; and the ranking has the most believable first. */
    @Test
    void whereNoneSufficesItIsSaidAndTheMostLikelyStandsFirst() {
        Reduction hopeless = copper().apply(55).reduced();
        assertThat(hopeless.suspects()).noneMatch(ExplainingSize::believed);
        assertThat(ExplainingSize.noneSuffices(hopeless.suspects())
                        .orElseThrow()
                        .message())
                .contains("No single");
        Reduction cooled = recorded(planted().get(0));
        List<ExplainingSize> ranked = cooled.suspects();
        assertThat(Causes.place(ranked, "cooled-in-transit")).isLessThanOrEqualTo(3);
        assertThat(ranked.stream().filter(ExplainingSize::believed).map(ExplainingSize::likely))
                .isSortedAccordingTo(Comparator.reverseOrder());
        int lastBelieved =
                (int) ranked.stream().filter(ExplainingSize::believed).count();
        assertThat(ranked.subList(0, lastBelieved)).allMatch(ExplainingSize::believed);
        assertThat(ranked.subList(lastBelieved, ranked.size()))
                .extracting(ExplainingSize::helps)
                .isSortedAccordingTo((one, other) -> Boolean.compare(other, one));
    }

    /**
     * A curve that falls 0.02 °C/s after mixing and stands still before: marked 15 s late, the end read at the mark
     * lies 0.3 °C too low; of 48 °C that is 1 part in 160.
     */
    @Test
    void mixingMarkedLateMovesTheResultByTheSlopesAtTheMark() {
        String trace = "11111111-2222-3333-4444-555555555555";
        Logged readings = new Logged(
                "18 readings",
                IntStream.rangeClosed(0, 18)
                        .filter(i -> i != 6)
                        .mapToObj(i -> new Reading(30 * i, (i < 6 ? 20 : 68 - 0.02 * (30 * i - 180)) + (i % 2) * 1e-6))
                        .toList(),
                Optional.of(BenchSheet.THERMOMETER));
        Reduction reduction = BenchSheet.of("solid-with-solution")
                .says("reaction[1]/equation", "Zn(s) + Cu^2+(aq) -> Zn^2+(aq) + Cu(s)")
                .says("solution[1]/reagent", "Cu^2+")
                .give("solution[1]/concentration", Role.READ, "1.00", "mol/L", Optional.empty())
                .says("solid[1]/formula", "Zn")
                .volume("poured[1]/amount", "25.0")
                .mass("added[1]/mass", "6.00")
                .says("mixed[1]/reacted", "excess")
                .logging(Map.of(trace, readings))
                .says("curve[1]/trace", new TraceUse(trace, 0, 540, 180).text())
                .reduced(Conventions.of(Map.of("change", "carried")));
        ExplainingSize late = found(reduction, "marked-late");
        double standing = reduction.result().orElseThrow().value();
        assertThat(late.change() / standing).isCloseTo(-late.error() * 0.02 / 48, within(1e-4));
        assertThat(Math.abs(late.error())).isEqualTo(15);
    }
}
