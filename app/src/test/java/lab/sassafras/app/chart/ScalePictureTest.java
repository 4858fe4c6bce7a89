package lab.sassafras.app.chart;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.Slot;
import org.junit.jupiter.api.Test;

class ScalePictureTest {

    private static final Instrument THERMOMETER =
            new Instrument("t", "R-2", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 110, 0.2, 0);

    /** 620 units of picture for 120 °C: 15 to 30 °C lie from 149.2 to 226.7, and 98.4 °C at 580.1. */
    @Test
    void bandAndReadingsLieWhereTheirNumbersAre() {
        ScalePicture scale = ScalePicture.of(
                THERMOMETER,
                new ScalePicture.Bands(Optional.of(new Slot.Range(15, 30)), Optional.of(new Slot.Range(24, 27))),
                List.of(new ScalePicture.Mark("bath 98.4", 98.4), new ScalePicture.Mark("oven 180", 180)),
                Figures.POINT);
        assertThat(scale.usual().orElseThrow().x()).isEqualTo("149.2");
        assertThat(scale.usual().orElseThrow().width()).isEqualTo("77.5");
        assertThat(scale.readings()).singleElement().satisfies(reading -> {
            assertThat(reading.x()).isEqualTo("580.1");
            assertThat(reading.words()).isEqualTo("bath 98.4");
            assertThat(reading.end()).as("its words stay on the picture").isEqualTo("end");
        });
        assertThat(scale.ticks())
                .filteredOn(tick -> !tick.label().isEmpty())
                .extracting(ScalePicture.Tick::label)
                .containsExactly("0", "20", "40", "60", "80", "100");
        assertThat(scale.summary()).contains("−10 to 110 °C", "usually 15 to 30", "by the plan 24 to 27");
        assertThat(scale.planned().orElseThrow().x()).isEqualTo("195.7");
    }

    @Test
    void neighboursAreWrittenInTwoRows() {
        assertThat(ScalePicture.of(
                                THERMOMETER,
                                new ScalePicture.Bands(Optional.empty(), Optional.empty()),
                                List.of(new ScalePicture.Mark("a", 20), new ScalePicture.Mark("b", 21)),
                                Figures.POINT)
                        .readings())
                .extracting(ScalePicture.Reading::textY)
                .doesNotHaveDuplicates();
    }

    /** Nothing on the shelf: a scale about what is usual, in the period's decimals. */
    @Test
    void withoutAnInstrumentTheScaleLiesAboutWhatIsUsual() {
        ScalePicture scale = ScalePicture.about(
                new Slot.Range(0.1, 2), Optional.empty(), "mol/L", List.of(), new Figures(DecimalMark.COMMA));
        assertThat(scale.low()).isZero();
        assertThat(scale.high()).isEqualTo(3.9);
        assertThat(scale.ticks()).extracting(ScalePicture.Tick::label).contains("0,5", "3,5");
    }
}
