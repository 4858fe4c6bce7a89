package lab.sassafras.slot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** A result says what it is per, and is used only where that is asked for. */
class ReferenceSlotTest {

    private static final Slot PER_MOLE = Slots.reference("heat", BenchUnit.KILOJOULES_PER_MOLE);
    private static final Setting SETTING = Setting.plain(Figures.POINT)
            .knowing(
                    Map.of(),
                    Map.of(
                            "mole", result(17.0, BenchUnit.KILOJOULES_PER_MOLE),
                            "gram", result(271.6, BenchUnit.JOULES_PER_GRAM_OF_PROCESS)));

    private static Setting.Referenced result(double value, BenchUnit unit) {
        return new Setting.Referenced("an entry", Optional.of(Measured.independent(value, 0.1)), unit);
    }

    private static Line naming(String entry) {
        return PER_MOLE.read(
                Address.of("used/heat", 1),
                Role.STATED,
                new GivenValue(entry, null, Optional.empty(), null, "Alder"),
                SETTING);
    }

    @Test
    void aResultPerGramIsNotOfferedWhereOnePerMoleIsAsked() {
        assertThat(PER_MOLE.options(Words.plain("a title", "a lead"), "used/heat", SETTING))
                .extracting(Slot.Option::value)
                .containsExactly("mole");
        assertThatCode(() -> PER_MOLE.admit(naming("mole"), SETTING)).doesNotThrowAnyException();
        assertThatThrownBy(() -> PER_MOLE.admit(naming("gram"), SETTING))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("heat of a process per gram, in J/g")
                .hasMessageContaining("heat per mole, in kJ/mol");
    }

    /** Kept by an earlier version, it stays readable, counts for nothing and is spoken of. */
    @Test
    void oneThatWasKeptAllTheSameIsNotUsedAndSaysSo() {
        assertThat(PER_MOLE.number(naming("mole"), SETTING).map(Measured::value))
                .contains(17.0);
        assertThat(PER_MOLE.number(naming("gram"), SETTING)).isEmpty();
        assertThat(PER_MOLE.questions(naming("gram"), "Heat", SETTING))
                .extracting(Finding::code)
                .containsExactly("reference.other-kind");
        assertThat(PER_MOLE.questions(naming("mole"), "Heat", SETTING)).isEqualTo(List.of());
        assertThat(PER_MOLE.questions(naming("nowhere"), "Heat", SETTING))
                .extracting(Finding::code)
                .containsExactly("row.gone");
    }
}
