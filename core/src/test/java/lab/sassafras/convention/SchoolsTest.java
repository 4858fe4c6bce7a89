package lab.sassafras.convention;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class SchoolsTest {

    static List<ConventionQuestion<?>> questions() {
        return ConventionQuestion.all();
    }

    /** Worked by hand: c = (100 · c_w + C) · 0.7 ÷ (10 · (T_b − 20.7)), bath read 99.0 °C, C = 9 J/°C. */
    @ParameterizedTest
    @CsvSource({
        "water, 4.18, 4.18, 9, 99.0",
        "water, 1-cal, 4.184, 9, 99.0",
        "calorimeter, ignored, 4.184, 0, 99.0",
        "bath, fixed-point, 4.184, 9, 100.0",
        "bath, as-read, 4.184, 9, 99.0"
    })
    void eachSchoolGivesItsOwnResult(String question, String school, double water, double constant, double bath) {
        double expected = (100 * water + constant) * 0.7 / (10 * (bath - 20.7));
        assertThat(run("boiling", "99.0")
                        .constant(9, 1, 100)
                        .reduced(Conventions.of(Map.of(question, school)))
                        .result()
                        .orElseThrow()
                        .value())
                .isCloseTo(expected, within(1e-12));
    }

    @Test
    void theFixedPointIsThatOfTheBath() {
        Conventions fixed = Conventions.of(Map.of("bath", "fixed-point"));
        // ice at 0 °C into water: c = 418.4 · (19.3 − 20.0) ÷ (10 · (0 − 19.3))
        assertThat(BenchSheet.of("specific-heat-of-solid")
                        .mass("sample[1]/mass", "10.00")
                        .says("sample[1]/bath", "ice")
                        .mass("water[1]/mass", "100.00")
                        .temperature("water[1]/start", "20.0")
                        .temperature("mixed[1]/final", "19.3")
                        .reduced(fixed)
                        .result()
                        .orElseThrow()
                        .value())
                .isCloseTo(418.4 * 0.7 / 193, within(1e-12));
        // a warm bath has no fixed point and still goes by its reading
        assertThat(run("other", "80.0").reduced(fixed).result().orElseThrow().value())
                .isCloseTo(418.4 * 0.7 / (10 * 59.3), within(1e-12));
    }

    @ParameterizedTest
    @MethodSource("questions")
    void everySchoolIsFoundByItsNameAndSaysWhatItDoes(ConventionQuestion<?> question) {
        assertThat(question.schools()).extracting(Convention::key).doesNotHaveDuplicates();
        assertThat(question.schools()).allSatisfy(school -> {
            assertThat(question.school(school.key()).map(Object.class::cast)).contains(school);
            assertThat(school.explanation()).endsWith(".");
            assertThat(school.words()).isNotBlank();
        });
        assertThat(question.schools().stream().map(Object.class::cast)).contains(question.standard());
    }

    @Test
    void anEntrysOwnChoiceLiesOverThePeriods() {
        Conventions both = Conventions.of(Map.of("water", "4.18"))
                .over(Conventions.of(Map.of("water", "iapws", "bath", "fixed-point")));
        assertThat(both.in(ConventionQuestion.WATER).key()).isEqualTo("4.18");
        assertThat(both.in(ConventionQuestion.BATH).key()).isEqualTo("fixed-point");
        assertThat(both.in(ConventionQuestion.CALORIMETER).key()).isEqualTo("constant");
        assertThat(both.named())
                .containsOnlyKeys(
                        "water",
                        "solution",
                        "calorimeter",
                        "change",
                        "mass",
                        "density",
                        "bath",
                        "basis",
                        "burning",
                        "sheet",
                        "error",
                        "heat",
                        "units",
                        "rounding");
    }

    @Test
    void aNameNoSchoolGoesByIsFoundOut() {
        assertThat(Conventions.unknown(Map.of("water", "4.19"))).contains("water: 4.19");
        assertThat(Conventions.unknown(Map.of("tea", "4.18"))).contains("tea: 4.18");
        assertThat(Conventions.unknown(Map.of("water", "iapws"))).isEmpty();
    }

    @Test
    void alternativesNameEveryOtherSchoolOnce() {
        List<String> named = Conventions.standard()
                .variants(ConventionQuestion.all())
                .map(each -> each.question().key() + " " + each.school().key())
                .toList();
        assertThat(named)
                .doesNotHaveDuplicates()
                .contains("water 4.18", "water typed", "calorimeter material", "bath barometer", "mass volume")
                .hasSize(ConventionQuestion.all().stream()
                        .mapToInt(question -> question.schools().size() - 1)
                        .sum());
    }

    private static BenchSheet run(String bath, String read) {
        return BenchSheet.of("specific-heat-of-solid")
                .mass("sample[1]/mass", "10.00")
                .says("sample[1]/bath", bath)
                .temperature("sample[1]/start", read)
                .mass("water[1]/mass", "100.00")
                .temperature("water[1]/start", "20.0")
                .temperature("mixed[1]/final", "20.7");
    }
}
