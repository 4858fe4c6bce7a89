package lab.sassafras.experiment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.sheet.SheetFindings;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.Words;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class DeclarationsTest {

    static List<Experiment> experiments() {
        return Experiments.all();
    }

    @ParameterizedTest
    @MethodSource("experiments")
    void everySlotStepSuspectAndOptionHasItsWords(Experiment experiment) {
        Words words = experiment.words();
        assertThat(words.title() + words.get("lead")).isNotBlank();
        experiment
                .groups()
                .forEach(group -> group.slots().forEach(slot -> {
                    String path = group.key() + "/" + slot.key();
                    assertThat(words.label(path) + words.ask(path)).isNotBlank();
                    if (slot.field() == Slot.Field.NUMBER) {
                        assertThat(words.symbol(path).text()).isNotBlank();
                    }
                    assertThat(slot.options(words, path, Setting.plain(Figures.POINT)))
                            .allSatisfy(option -> assertThat(option.words()).isNotBlank());
                }));
        experiment.suspected().forEach(suspect -> {
            assertThat(words.get("suspect." + suspect.key())).isNotBlank();
            suspect.path().ifPresent(path -> assertThat(experiment.slot(path)).isPresent());
        });
        assertThat(experiment.procedure())
                .allSatisfy(step -> assertThat(experiment.slot(step.path())).isPresent());
    }

    @Test
    void massByDifferenceKeepsBothReadingsAndRefusesFullBelowEmpty() {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid")
                .give("water[1]/mass", Role.GROSS, "121.06", "g", Optional.of(BenchSheet.BALANCE));
        assertThatThrownBy(() -> sheet.give("water[1]/mass", Role.TARE, "122.00", "g", Optional.of(BenchSheet.BALANCE)))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("Full (121.06) is less than empty (122.00)");
        sheet.give("water[1]/mass", Role.TARE, "2.34", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(sheet.sheet()
                        .weighing(Address.read("water[1]/mass"))
                        .difference()
                        .orElseThrow())
                .isEqualTo(118.72, org.assertj.core.api.Assertions.within(1e-9));
    }

    @Test
    void whatCannotBeIsRefusedAtTheDoor() {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid");
        assertThatThrownBy(() -> sheet.mass("sample[1]/mass", "-3.00")).hasMessageContaining("negative");
        assertThatThrownBy(() -> sheet.temperature("water[1]/start", "-273.16")).hasMessageContaining("−273.15");
        assertThatThrownBy(() -> sheet.give("water[1]/start", Role.READ, "20.0", "", Optional.empty()))
                .hasMessageContaining("unit is missing");
        assertThatThrownBy(() -> sheet.give("water[1]/start", Role.READ, "20.0", "g", Optional.empty()))
                .hasMessageContaining("not a unit of temperature");
        assertThatThrownBy(() -> sheet.mass("nowhere[1]/mass", "1")).hasMessageContaining("no place");
        assertThatThrownBy(() -> sheet.mass("sample[2]/mass", "1")).hasMessageContaining("no number 2");
        assertThatThrownBy(() -> sheet.says("sample[1]/bath", "lukewarm")).hasMessageContaining("boiling, ice, other");
        assertThatThrownBy(() -> sheet.says("seen[1]/known", "unobtainium")).hasMessageContaining("reference shelf");
    }

    @Test
    void implausibleReadingsAreKeptAndQuestioned() {
        Instrument other = new Instrument(
                "t2",
                "second thermometer",
                InstrumentKind.THERMOMETER,
                BenchUnit.DEGREES_CELSIUS,
                0.1,
                -10,
                60,
                0.2,
                0);
        assertThat(SheetFindings.of(BenchSheet.copper()
                        .temperature("sample[1]/start", "99", other)
                        .sheet()))
                .extracting(Finding::code)
                .contains("reading.outside-range", "reading.decimals", "reading.conflict", "reading.two-thermometers");
    }

    /** What warms begins first; what can wait, as colour, magnet and density, comes while the bath heats. */
    @Test
    void stepsWaitForWhatTheyDependOn() {
        assertThat(BenchSheet.copper().sheet().tasks().asks(1))
                .extracting(ask -> ask.address().toString())
                .startsWith("sample[1]/mass", "sample[1]/bath")
                .containsSubsequence("sample[1]/bath", "seen[1]/colour", "seen[1]/density", "sample[1]/start")
                .endsWith("seen[1]/known");
    }
}
