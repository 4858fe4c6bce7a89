package lab.sassafras.sheet;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.GivenValue;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The one door every value comes in by. */
class AdmissionTest {

    private static final Experiment SOLID =
            Experiments.find("specific-heat-of-solid").orElseThrow();

    private static Line accept(String address, Role role, String text, String unit, String uncertainty) {
        Sheet empty = new Sheet(SOLID, java.util.List.of(), Setting.plain(Figures.POINT));
        return new Admission(empty)
                .accept(
                        Address.read(address),
                        role,
                        new GivenValue(text, unit, Optional.empty(), uncertainty, "Rowan"));
    }

    @ParameterizedTest
    @CsvSource({"64.18, g, 64.18, 2", "0.06418, kg, 64.18, 2", "64180, mg, 64.18, 3"})
    void aMassMayComeInAnyUnitAndIsKeptAsTyped(String text, String unit, double grams, int decimals) {
        Line line = accept("sample[1]/mass", Role.READ, text, unit, null);
        assertThat(line.text()).isEqualTo(text);
        assertThat(line.value()).isCloseTo(grams, within(1e-9));
        assertThat(line.decimals()).isEqualTo(decimals);
    }

    @Test
    void aTemperatureInKelvinIsTheSameTemperature() {
        assertThat(accept("water[1]/start", Role.READ, "294.25", "K", null).value())
                .isCloseTo(21.1, within(1e-9));
        assertThatThrownBy(() -> accept("water[1]/start", Role.READ, "-1", "K", null))
                .hasMessageContaining("colder");
    }

    @Test
    void aReadingOnNoKnownInstrumentIsAsGoodAsItsLastDigit() {
        // one unit in the last place, rectangular: 0.1 ÷ √12 = 0.0289
        assertThat(accept("water[1]/start", Role.READ, "21.1", "°C", null)
                        .measured()
                        .uncertainty())
                .isCloseTo(0.028868, within(1e-6));
    }

    @Test
    void anAssumedValueNeedsItsOwnUncertainty() {
        assertThat(accept("sample[1]/start", Role.ASSUMED, "100", "°C", "0.5")
                        .measured()
                        .uncertainty())
                .isEqualTo(0.5);
        assertThatThrownBy(() -> accept("sample[1]/start", Role.ASSUMED, "100", "°C", " "))
                .hasMessageContaining("needs a ±")
                .hasMessageContaining("0.50 °C is common here");
        assertThatThrownBy(() -> accept("sample[1]/start", Role.ASSUMED, "100", "°C", "-1"))
                .hasMessageContaining("negative");
        assertThatThrownBy(() -> accept("sample[1]/start", Role.ASSUMED, "100", "°C", "little"))
                .isInstanceOf(Refused.class);
    }

    @Test
    void aSlotTakesOnlyTheWaysItDeclares() {
        assertThatThrownBy(() -> accept("water[1]/start", Role.GROSS, "21.1", "°C", null))
                .hasMessageContaining("cannot be given as gross");
        assertThatThrownBy(() -> accept("water[1]/start", Role.ASSUMED, "21.1", "°C", "1"))
                .hasMessageContaining("assumed");
        assertThatThrownBy(() -> accept("sample[1]/bath", Role.READ, "boiling", null, null))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> accept("sample[1]/mass", Role.STATED, "10", "g", null))
                .isInstanceOf(Refused.class);
    }

    @Test
    void anInstrumentReadsOnlyWhatItMeasures() {
        Sheet empty = new Sheet(SOLID, java.util.List.of(), Setting.plain(Figures.POINT));
        assertThatThrownBy(() -> new Admission(empty)
                        .accept(
                                Address.read("water[1]/start"),
                                Role.READ,
                                new GivenValue("21.1", "°C", Optional.of(BenchSheet.BALANCE), null, "Rowan")))
                .hasMessageContaining("balance reads mass, not temperature");
    }

    @Test
    void aMomentIsAnInstant() {
        assertThat(accept("sample[1]/moved", Role.STATED, "2026-11-18T19:44:35Z", null, null)
                        .text())
                .endsWith("Z");
        assertThatThrownBy(() -> accept("sample[1]/moved", Role.STATED, "just now", null, null))
                .hasMessageContaining("instant");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "mass",
                "sample/mass",
                "sample[0]/mass",
                "sample[-1]/mass",
                "sample[1]/",
                "SAMPLE[1]/mass",
                "sample[1]/mass[2]",
                "sample[99999]/mass",
                "sample[1]/mass; drop",
                ""
            })
    void anAddressIsGroupIndexAndSlot(String written) {
        assertThatThrownBy(() -> Address.read(written)).isInstanceOf(Refused.class);
    }

    @Test
    void anAddressReadsBackAsItWasWritten() {
        assertThat(Address.read("sample[12]/mass").toString()).isEqualTo("sample[12]/mass");
        assertThat(Address.read("sample[12]/mass").path()).isEqualTo("sample/mass");
    }

    @Test
    void theMarkOfThePeriodCountsForValueAndUncertainty() {
        Sheet comma = new Sheet(SOLID, java.util.List.of(), Setting.plain(new Figures(DecimalMark.COMMA)));
        Admission intake = new Admission(comma);
        assertThat(intake.accept(
                                Address.read("sample[1]/start"),
                                Role.ASSUMED,
                                new GivenValue("99,5", "°C", Optional.empty(), "0,5", "Erle"))
                        .value())
                .isEqualTo(99.5);
        assertThatThrownBy(() -> intake.accept(
                        Address.read("sample[1]/start"),
                        Role.ASSUMED,
                        new GivenValue("99,5", "°C", Optional.empty(), "0.5", "Erle")))
                .hasMessageContaining("comma");
    }

    /** A direct reading given after a pair counts, and the other way round: the last word is the bench's. */
    @Test
    void theLastWayGivenCounts() {
        var balance = Optional.of(BenchSheet.BALANCE);
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid")
                .give("water[1]/mass", Role.TARE, "2.00", "g", balance)
                .give("water[1]/mass", Role.GROSS, "102.00", "g", balance);
        Address address = Address.read("water[1]/mass");
        assertThat(sheet.sheet().weighing(address).byDifference()).isTrue();
        sheet.mass("water[1]/mass", "99.50");
        assertThat(sheet.sheet().weighing(address).byDifference()).isFalse();
        assertThat(sheet.sheet().reading(address).orElseThrow().text()).isEqualTo("99.50");
    }

    @Test
    void halfAWeighingIsNotYetAMass() {
        BenchSheet sheet = BenchSheet.of("specific-heat-of-solid")
                .give("water[1]/mass", Role.TARE, "2.00", "g", Optional.of(BenchSheet.BALANCE));
        assertThat(sheet.sheet().filled(Address.read("water[1]/mass"))).isFalse();
        assertThat(sheet.reduced().mean()).isEmpty();
        assertThat(sheet.reduced().trials().get(0).account())
                .isInstanceOfSatisfying(
                        lab.sassafras.account.Account.Incomplete.class,
                        incomplete -> assertThat(incomplete.missing())
                                .extracting(each -> each.address())
                                .containsExactlyInAnyOrder(
                                        "sample[1]/mass",
                                        "sample[1]/bath",
                                        "sample[1]/start",
                                        "water[1]/mass",
                                        "water[1]/start",
                                        "mixed[1]/final"));
    }

    /** A solid has no volume to be poured; a liquid has, and it is no mass until its density makes it one. */
    @Test
    void onlyLiquidsAreGivenByVolume() {
        assertThatThrownBy(() -> BenchSheet.of("heat-of-solution").volume("solid[1]/mass", "5.0"))
                .hasMessageContaining("cannot be given as volume");
        assertThatThrownBy(() -> BenchSheet.of("heat-of-solution")
                        .give("water[1]/mass", Role.VOLUME, "100", "g", Optional.empty()))
                .hasMessageContaining("not a unit of volume");
        assertThatThrownBy(() -> BenchSheet.of("heat-of-solution")
                        .give("water[1]/mass", Role.VOLUME, "100.0", "mL", Optional.of(BenchSheet.BALANCE)))
                .hasMessageContaining("reads mass, not volume");
        BenchSheet sheet = BenchSheet.of("heat-of-solution").volume("water[1]/mass", "100.0");
        assertThat(sheet.sheet().filled(Address.read("water[1]/mass"))).isTrue();
        assertThat(sheet.sheet()
                        .weighing(Address.read("water[1]/mass"))
                        .roleThatCounts(lab.sassafras.convention.MassWay.AS_GIVEN))
                .contains(Role.VOLUME);
    }

    @Test
    void aShareIsNeverMoreThanTheWhole() {
        assertThatThrownBy(() -> BenchSheet.of("heat-of-solution").reads("solute[1]/purity", "101", "%"))
                .hasMessageContaining("cannot be more than 100 %");
        BenchSheet.of("heat-of-solution").reads("solute[1]/purity", "100", "%");
    }

    /** What only one school needs is asked under that school, and the rest of the sheet stays as it was. */
    @Test
    void aSchoolAsksForWhatItNeedsAndForNothingElse() {
        Sheet plain = BenchSheet.copper().sheet();
        Sheet drift = plain.with(plain.setting()
                .with(lab.sassafras.convention.Conventions.of(Map.of("change", "carried", "water", "typed"))));
        assertThat(plain.tasks().asks(1))
                .extracting(ask -> ask.address().group())
                .doesNotContain("drift", "constants", "room", "wall");
        assertThat(drift.tasks().asks(1))
                .extracting(ask -> ask.address().toString())
                .contains("constants[1]/water", "curve[1]/trace")
                .noneMatch(each -> each.startsWith("drift") || each.equals("room[1]/pressure"));
        assertThat(drift.tasks().asks(1).size() - plain.tasks().asks(1).size()).isEqualTo(2);
    }

    @Test
    void trialsLeftOutDoNotCount() {
        Setting out = new Setting(
                Optional.empty(),
                Map.of(),
                2,
                Map.of(),
                Set.of(2),
                Map.of(),
                Figures.POINT,
                lab.sassafras.convention.Conventions.standard());
        Sheet sheet = BenchSheet.copper().sheet();
        assertThat(lab.sassafras.verdict.Reduction.of(sheet.with(out), lab.sassafras.convention.Conventions.standard())
                        .mean()
                        .orElseThrow()
                        .values())
                .hasSize(1);
    }
}
