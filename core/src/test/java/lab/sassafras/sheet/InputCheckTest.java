package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Optional;
import lab.sassafras.measure.Instrument;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A value is questioned as it is typed. */
class InputCheckTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "water[1]/mass | 110.12 | g |",
                "water[1]/mass | 1100.12 | g | 1100.12 g? Balance reads 0 to 400 g.",
                "water[1]/mass | 8.12 | g | 8.12 g? Usual here is 50 to 200 g.",
                "water[1]/mass | 0.11012 | kg |",
                "sample[1]/start | 105 | °C | 105 °C? Water in an open vessel boils between",
                "sample[2]/mass | 70.05 | g |",
                "sample[2]/mass | 190.05 | g | 190.05 g? Trial 1 had 71.46 g here.",
                "mixed[2]/final | 25.9 | °C |",
                "sample[2]/start | 60.0 | °C | 60.0 °C? Trial 1 had 98.4 °C here."
            })
    void aValueUnlikeWhatIsUsualIsAskedAbout(String address, String text, String unit, @Nullable String asked) {
        Sheet sheet = BenchSheet.of("specific-heat-of-solid", 2)
                .mass("sample[1]/mass", "71.46")
                .says("sample[1]/bath", "boiling")
                .temperature("sample[1]/start", "98.4")
                .temperature("mixed[1]/final", "25.4")
                .sheet();
        Instrument on = unit.equals("°C") ? BenchSheet.THERMOMETER : BenchSheet.BALANCE;
        Line line = new Admission(sheet)
                .accept(
                        Address.read(address),
                        Role.READ,
                        new GivenValue(text, unit, Optional.of(on), null, "Hawthorn"));
        Optional<String> question = InputCheck.about(sheet, line);
        assertThat(question.orElse("")).startsWith(asked == null ? "" : asked);
        assertThat(question.isPresent()).isEqualTo(asked != null);
    }

    /** 99.87 where the purity goes, while the water is not weighed yet, is rather the water. */
    @ParameterizedTest
    @CsvSource({"99.87, false, true", "99.87, true, false", "40, false, false"})
    void aShareThatIsRatherAMassIsAskedAbout(String typed, boolean weighed, boolean asked) {
        BenchSheet bench = BenchSheet.of("heat-of-solution").says("solute[1]/formula", "NH4Cl");
        Sheet sheet = (weighed ? bench.mass("water[1]/mass", "98.45") : bench).sheet();
        Line line = new Admission(sheet)
                .accept(
                        Address.read("solute[1]/purity"),
                        Role.READ,
                        new GivenValue(typed, "%", Optional.empty(), null, "Hawthorn"));
        assertThat(InputCheck.about(sheet, line)
                        .filter(each -> each.contains("is not weighed yet"))
                        .isPresent())
                .isEqualTo(asked);
    }
}
