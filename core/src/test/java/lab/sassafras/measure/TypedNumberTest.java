package lab.sassafras.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static tech.units.indriya.unit.Units.GRAM;
import static tech.units.indriya.unit.Units.JOULE;
import static tech.units.indriya.unit.Units.MINUTE;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TypedNumberTest {

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "   ",
                "abc",
                "1.2.3",
                "1e400",
                "NaN",
                "Infinity",
                "0x1p3",
                "1 000",
                "12f",
                ".5",
                "5.",
                "--4",
                "99999999999999999999999999999"
            })
    void refusesWhatIsNotAPlainNumber(String typed) {
        assertThatThrownBy(() -> TypedNumber.read(typed, DecimalMark.POINT))
                .isInstanceOf(Refused.class)
                .hasMessageMatching(".{20,}");
    }

    @Test
    void theOtherDecimalMarkIsRefusedWithAWordAndNeverGuessed() {
        assertThat(TypedNumber.read("20,00", DecimalMark.COMMA)).isEqualTo(new TypedNumber("20,00", 20, 2));
        assertThatThrownBy(() -> TypedNumber.read("20.00", DecimalMark.COMMA))
                .hasMessageContaining("comma")
                .hasMessageContaining("point");
        assertThatThrownBy(() -> TypedNumber.read("1,5", DecimalMark.POINT)).isInstanceOf(Refused.class);
    }

    @ParameterizedTest
    @CsvSource({"-3.50, -3.5, 2", "−3.5, -3.5, 1", "+7, 7, 0", "0.00012, 0.00012, 5"})
    void keepsTheTextAndItsDecimals(String typed, double value, int decimals) {
        assertThat(TypedNumber.read(typed, DecimalMark.POINT)).isEqualTo(new TypedNumber(typed, value, decimals));
    }

    @ParameterizedTest
    @CsvSource({
        "0.36934, 0.02165, 0.369, 0.022",
        "1871.4, 33.2, 1871, 33",
        "12345, 678, 12345, 678",
        "9.04, 2.61, 9.0, 2.6",
        "-0.0001, 0.013, 0.000, 0.013",
        "1.2, 0.0996, 1.20, 0.10"
    })
    void roundsByTwoDigitsOfTheUncertainty(double value, double u, String shown, String shownU) {
        assertThat(Figures.POINT.byUncertainty(value, u)).isEqualTo(shown);
        assertThat(Figures.POINT.uncertainty(u)).isEqualTo(shownU);
    }

    /** NIST SP 811, table of conversion factors: 1 cal(th) = 4.184 J; 1 J/(g·K) = 1000 J/(kg·K). */
    @ParameterizedTest
    @CsvSource({
        "kg, 0.12106, 121.06",
        "mg, 2500, 2.5",
        "K, 293.15, 20",
        "kcal, 1, 4184",
        "cal/(g·°C), 1, 4.184",
        "J/(kg·K), 4184, 4.184",
        "L, 0.025, 25",
        "cm³, 25, 25"
    })
    void convertsIntoBenchUnits(String symbol, double value, double bench) {
        assertThat(BenchUnit.of(symbol).orElseThrow().toBench(value))
                .isEqualTo(bench, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void aDifferenceInKelvinIsTheSameSizeAsInDegrees() {
        assertThat(BenchUnit.KELVINS.widthToBench(3)).isEqualTo(3);
    }

    @ParameterizedTest
    @CsvSource({"0.10, 0.1", "-10, −10", "420, 420", "0.000012, 0.000012"})
    void aNumberFromARecordIsWrittenAsShortAsItCanBe(double value, String shown) {
        assertThat(Figures.POINT.plain(value)).isEqualTo(shown);
    }

    @ParameterizedTest
    @CsvSource({"325.4, 0, +325", "-325.4, 0, −325", "0.2, 0, 0", "-0.2, 0, 0", "0, 1, 0.0"})
    void aSignIsPrintedWhereSomethingIsLeftToSign(double value, int decimals, String shown) {
        assertThat(Figures.POINT.signed(value, decimals)).isEqualTo(shown);
    }

    @ParameterizedTest
    @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
    void noNumberIsNeverShownAsOne(double value) {
        assertThat(Figures.POINT.fixed(value, 2)).isEqualTo("not known");
        assertThat(Figures.POINT.significant(value, 2)).isEqualTo("not known");
        assertThat(Figures.POINT.byUncertainty(value, 0.1)).isEqualTo("not known");
    }

    /** Two experiments that bring one unit bring one unit; under another name, or of another size, it is refused. */
    @Test
    void unitsWrittenAlikeAreOneAndTheSame() {
        Dimension dose = Dimension.notNegative("dose rate");
        BenchUnit rate = BenchUnit.of("g/min", dose, GRAM.divide(MINUTE));
        assertThat(BenchUnit.all(List.of(rate, BenchUnit.of("g/min", dose, GRAM.divide(MINUTE)))))
                .containsOnlyOnce(rate)
                .contains(BenchUnit.GRAMS);
        List<BenchUnit> otherName =
                List.of(rate, BenchUnit.of("g/min", Dimension.notNegative("feed"), GRAM.divide(MINUTE)));
        assertThatThrownBy(() -> BenchUnit.all(otherName)).hasMessageContaining("dose rate here and feed there");
        List<BenchUnit> otherSize = List.of(BenchUnit.of("W", Dimension.POWER, JOULE));
        assertThatThrownBy(() -> BenchUnit.all(otherSize)).hasMessageContaining("“W”");
    }
}
