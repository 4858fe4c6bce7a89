package lab.sassafras.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;

/** What a plan hands on to the simulated bench, and what of it is weighed out in an evening. */
class WishedTest {

    @Test
    void amountsAndTemperaturesAreWishedForInTheirOwnUnits() {
        Plan brass = Plans.brass().with("water/mass", "85").with("water/start", "21.5");
        assertThat(brass.wished()).containsEntry("water/mass", 85.0).containsEntry("water/start", 21.5);
        assertThat(brass.wished().keySet()).containsExactlyElementsOf(brass.amounts());
        assertThat(brass.taken()).isEqualTo("brass");
        assertThat(Plans.of("heat-of-solution").taken()).isNotEmpty();
    }

    @Test
    void whatIsPreparedSaysForWhichPlaceItIsWeighedOut() {
        Prepared prepared = Prepared.of(Plans.brass(), 8, 3, 20, List.of());
        assertThat(prepared.lines())
                .filteredOn(line -> !line.path().isEmpty())
                .extracting(Prepared.Line::path)
                .contains("water/mass", "sample/mass");
        assertThat(prepared.lines())
                .filteredOn(line -> line.kind() == Prepared.Kind.GEAR)
                .extracting(Prepared.Line::path)
                .containsOnly("");
    }
}
