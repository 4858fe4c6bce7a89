package lab.sassafras.slot;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

/** Each kind of slot answers for itself what is asked of a slot. */
class SlotKindsTest {

    private static final Setting SETTING = Setting.plain(new Figures(DecimalMark.COMMA));
    private static final Words WORDS = Words.beside(lab.sassafras.experiment.mixing.ConstantByMixing.class);

    private static Line read(Slot slot, Role role, String text, String unit) {
        return slot.read(
                Address.of("any/" + slot.key(), 1),
                role,
                new GivenValue(text, unit, Optional.empty(), "0,5", "Alder"),
                SETTING);
    }

    private static String spoken(Slot slot, String text, Setting setting) {
        return slot.spoken(text, new Telling(WORDS, "cup/held", setting, Instant::toString));
    }

    @Test
    void aQuantityKnowsItsUnitsItsUsualRangeAndWhatToAssume() {
        QuantitySlot slot = Slots.liquid("mass").usually(50, 150.5).orAssumed(100, 0.5);
        assertThat(slot.unit(Role.VOLUME)).contains(BenchUnit.MILLILITRES);
        assertThat(slot.unit(Role.GROSS)).contains(BenchUnit.GRAMS);
        assertThat(slot.byDifference() && slot.byVolume()).isTrue();
        assertThat(slot.expectation(SETTING)).isEqualTo("Usually between 50 and 150,5 g.");
        assertThat(slot.assumed()).contains(new Slot.Assumption(100, 0.5));
        Line assumed = read(slot, Role.ASSUMED, "0,1", "kg");
        assertThat(slot.number(assumed, SETTING).orElseThrow().value()).isCloseTo(100, within(1e-12));
        assertThat(slot.number(assumed, SETTING).orElseThrow().uncertainty()).isCloseTo(500, within(1e-9));
        assertThat(slot.spoken("-1,5", new Telling(WORDS, "hot/mass", SETTING, Instant::toString)))
                .isEqualTo("−1,5");
    }

    @Test
    void aChoiceIsSpokenByItsWordsAndAWordNobodyKnowsAsItStands() {
        Slot slot = Slots.choice("held", "cold", "hot");
        assertThat(spoken(slot, "cold", SETTING)).isEqualTo(WORDS.option("cup/held", "cold"));
        assertThat(spoken(slot, "lukewarm", SETTING)).isEqualTo("lukewarm");
        assertThat(slot.options(WORDS, "cup/held", SETTING))
                .extracting(Slot.Option::value)
                .containsExactly("cold", "hot");
        assertThatThrownBy(() -> read(slot, Role.STATED, "lukewarm", null))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("not one of the answers: cold, hot");
    }

    /** From the shelf comes any property: a specific heat, or a heat of solution at its dilution. */
    @Test
    void whatIsTakenFromTheShelfCountsWithTheValueOfItsCatalogue() {
        Slot heats = Slots.fromShelf("heat", Catalogue.HEATS_OF_SOLUTION);
        assertThat(heats.unit(Role.STATED)).contains(BenchUnit.KILOJOULES_PER_MOLE);
        // NaOH at infinite dilution, −44.51 kJ/mol (NBS tables, memory)
        assertThat(heats.number(read(heats, Role.STATED, "NaOH", null), SETTING).map(Measured::value))
                .contains(-44.51);
        assertThat(spoken(heats, "NaOH", SETTING)).contains("sodium hydroxide");
        Slot solids = Slots.fromShelf("solid", Catalogue.SOLIDS);
        assertThat(solids.number(read(solids, Role.STATED, "copper", null), SETTING)
                        .map(Measured::value))
                .contains(0.385);
        assertThatThrownBy(() -> read(solids, Role.STATED, "NaOH", null)).hasMessageContaining("not a solid on the");
        assertThat(solids.options(WORDS, "any/solid", SETTING)).hasSizeGreaterThan(30);
    }

    @Test
    void aVesselThatIsGoneIsSaidAndAMomentIsSpokenByTheClock() {
        Slot slot = Slots.vessel("vessel");
        Setting with =
                SETTING.knowing(Map.of("v1", new Calorimeter("F-07", VesselKind.FOAM_CUP, Optional.empty())), Map.of());
        assertThat(spoken(slot, "v1", with)).isEqualTo("F-07");
        assertThat(slot.options(WORDS, "any/vessel", with)).containsExactly(new Slot.Option("v1", "F-07, foam cup"));
        assertThat(slot.questions(read(slot, Role.STATED, "v2", null), "Vessel", with))
                .singleElement()
                .satisfies(each -> assertThat(each.code()).isEqualTo("row.gone"));
        Slot moment = Slots.moment("done");
        assertThat(spoken(moment, "2026-11-26T18:00:00Z", SETTING)).isEqualTo("2026-11-26T18:00:00Z");
        assertThat(spoken(moment, "at six", SETTING)).isEqualTo("at six");
        assertThat(List.of(slot.elsewhere(), moment.elsewhere()))
                .containsExactly(Optional.of(Slot.Elsewhere.VESSEL), Optional.empty());
    }

    /** A kind of vessel that a later version knew stays, and no constant is too large for it. */
    @Test
    void aVesselOfAnUnknownKindStaysReadable() {
        assertThat(Experiments.vessel("golden-cup")).isEmpty();
        assertThat(Experiments.vesselOrUnknown("golden-cup").words()).contains("not known here");
        assertThat(Experiments.vesselOrUnknown("foam-cup")).isEqualTo(VesselKind.FOAM_CUP);
    }

    /** Of three answers two said the same: the third is offered no longer, and read where it was given. */
    @Test
    void anAnswerNoLongerOfferedIsReadWhereItWasGiven() {
        Slot slot = Slots.choice("reacted", List.of("all", "rest"), List.of("excess"));
        Words words = Words.beside(lab.sassafras.experiment.reaction.SolidWithSolution.class);
        assertThat(slot.options(words, "mixed/reacted", SETTING))
                .extracting(Slot.Option::value)
                .containsExactly("all", "rest");
        assertThat(read(slot, Role.STATED, "excess", null).text()).isEqualTo("excess");
        assertThatThrownBy(() -> read(slot, Role.STATED, "most", null))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("all, rest");
    }
}
