package lab.sassafras.substance;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.sheet.Admission;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.InputCheck;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Fuels and foods by name, and isomers told apart. */
class CompoundsTest {

    private final ReferenceShelf shelf = ReferenceShelf.standard();

    /** Molar masses by standard atomic weights (CIAAW, abridged, memory): H 1.008, C 12.011, N 14.007, O 15.999. */
    @ParameterizedTest
    @CsvSource({
        "octane, 8, 18, 0, 0", "heptane, 7, 16, 0, 0", "nonane, 9, 20, 0, 0", "isobutane, 4, 10, 0, 0",
        "Isooctane, 8, 18, 0, 0", "caffeine, 8, 10, 4, 2", "isopropanol, 3, 8, 0, 1", "2-propanol, 3, 8, 0, 1",
        "propan-2-ol, 3, 8, 0, 1", "tert-butanol, 4, 10, 0, 1", "glycerin, 3, 8, 0, 3", "propanone, 3, 6, 0, 1",
        "ethylene glycol, 2, 6, 0, 2", "fructose, 6, 12, 0, 6", "glycine, 2, 5, 1, 2", "stearic acid, 18, 36, 0, 2",
        "paraffin wax, 25, 52, 0, 0", "toluene, 7, 8, 0, 0", "urea, 1, 4, 2, 1", "methoxymethane, 2, 6, 0, 1"
    })
    void aNameIsReadAsItsSubstance(String name, int c, int h, int n, int o) {
        double mass = 12.011 * c + 1.008 * h + 14.007 * n + 15.999 * o;
        assertThat(shelf.spelling().formula(name).molarMass()).isCloseTo(mass, within(1e-9));
        assertThat(shelf.combustion(shelf.spelling().formula(name))).isPresent();
    }

    /** What is written for a substance says its structure, and is the same substance however else it is spelled. */
    @Test
    void everySpellingIsOneSubstance() {
        for (Compounds.Compound each : Compounds.all()) {
            each.spellings().forEach(spelled -> {
                ChemicalFormula other = ChemicalFormula.read(spelled);
                assertThat(other.atoms()).as(spelled).isEqualTo(each.formula().atoms());
                assertThat(Compounds.of(other)).contains(each);
            });
            assertThat(Compounds.several(each.formula())).as(each.name()).isEmpty();
        }
        assertThat(ChemicalFormula.read("CH3CHOHCH3").sameAs(ChemicalFormula.read("CH3CH2CH2OH")))
                .isFalse();
    }

    /**
     * Second route to the table: bonds change alike in a series, so each CH2 adds the same. Alkanes from pentane and
     * alcohols from propan-1-ol on, 653.9 kJ/mol ± 1.5 (mean of the CRC series, memory).
     */
    @ParameterizedTest
    @ValueSource(
            strings = {"pentane hexane heptane octane nonane decane", "propan-1-ol butan-1-ol pentan-1-ol hexan-1-ol"})
    void eachMemberOfASeriesBurnsByOneStepMore(String series) {
        List<Double> heats = Arrays.stream(series.split(" "))
                .map(name -> shelf.combustion(shelf.spelling().formula(name))
                        .orElseThrow()
                        .value())
                .toList();
        for (int i = 1; i < heats.size(); i++) {
            assertThat(heats.get(i - 1) - heats.get(i)).isCloseTo(653.9, within(1.5));
        }
    }

    /** Branched and secondary burn with less than straight and primary, and an ether with more than the alcohol. */
    @ParameterizedTest
    @CsvSource({
        "propan-1-ol, propan-2-ol", "butan-1-ol, butan-2-ol", "butan-2-ol, 2-methylpropan-2-ol", "octane, isooctane",
        "butane, isobutane", "dimethyl ether, ethanol", "diethyl ether, butan-1-ol", "fructose, glucose"
    })
    void isomersAreJudgedEachByItsOwn(String more, String less) {
        ChemicalFormula one = shelf.spelling().formula(more);
        ChemicalFormula other = shelf.spelling().formula(less);
        assertThat(one.atoms()).isEqualTo(other.atoms());
        assertThat(shelf.combustion(one).orElseThrow().value())
                .isLessThan(shelf.combustion(other).orElseThrow().value() - 5);
    }

    /**
     * An entry on an older shelf keeps its value, by what was written then; one that names an isomer never takes
     * another's.
     */
    @Test
    void olderShelvesKnowWhatTheyKnew() {
        ReferenceShelf before = ReferenceShelf.at(4);
        Map<String, Double> was = Map.of("C3H7OH", -2021.3, "C4H10", -2877.6, "C6H12O6", -2803.0);
        was.forEach((formula, heat) -> assertThat(before.combustion(ChemicalFormula.read(formula)))
                .hasValueSatisfying(row -> assertThat(row.value()).isEqualTo(heat)));
        assertThat(before.combustion(ChemicalFormula.read("CH3CHOHCH3"))).isEmpty();
        assertThat(before.combustion(ChemicalFormula.read("CH3OCH3"))).isEmpty();
    }

    /** A bare formula that several fit is kept, asks which, and is judged by none of them. */
    @Test
    void aBareFormulaThatFitsSeveralAsksWhich() {
        Reduction bare = can("C3H8O");
        assertThat(bare.findings())
                .filteredOn(each -> each.code().equals("formula.several"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("propan-1-ol or propan-2-ol"));
        assertThat(bare.verdict().orElseThrow().agreement()).isEmpty();
        Sheet sheet = bare.sheet();
        Line line = new Admission(sheet)
                .accept(
                        Address.read("fuel[1]/formula"),
                        Role.STATED,
                        new GivenValue("C3H8O", null, Optional.empty(), null, "Hawthorn"));
        assertThat(InputCheck.readBack(sheet, line, "C3H8O"))
                .hasValueSatisfying(asked -> assertThat(asked).contains("propan-2-ol"));
        assertThat(can("CH3CHOHCH3")
                        .verdict()
                        .orElseThrow()
                        .agreement()
                        .orElseThrow()
                        .reference()
                        .value())
                .isEqualTo(-2005.8);
        assertThat(can("C7H6O2").findings()).extracting(each -> each.code()).doesNotContain("formula.several");
    }

    private static Reduction can(String fuel) {
        return BenchSheet.of("combustion-under-a-can")
                .says("fuel[1]/formula", fuel)
                .reads("water[1]/mass", "200.00", "g")
                .reads("water[1]/start", "15.0", "°C")
                .reads("burner[1]/burnt", "0.800", "g")
                .reads("heated[1]/highest", "30.0", "°C")
                .reduced();
    }

    /** No two substances answer to one name, and no name is another's formula. */
    @Test
    void aNameIsOneSubstance() {
        List<String> names = Compounds.all().stream()
                .flatMap(each -> Stream.concat(Stream.of(each.name()), each.synonyms().stream()))
                .toList();
        assertThat(names.stream().collect(Collectors.groupingBy(each -> each, Collectors.counting())))
                .allSatisfy((name, times) -> assertThat(times).as(name).isEqualTo(1));
    }
}
