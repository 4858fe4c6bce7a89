package lab.sassafras.hour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import lab.sassafras.measure.Refused;
import org.junit.jupiter.api.Test;

class MarksTest {

    /** By hand: twice what is allowed is half of the first part; 2·0.5 + 1·0.8 + 1·0.7 of 4. */
    @Test
    void isTheWeightedMeanOfItsParts() {
        Marks marks = new Marks(2, 1, 1);
        assertThat(marks.of(OptionalDouble.of(-2), 0.8, 3).getAsDouble()).isCloseTo(62.5, within(1e-9));
        assertThat(marks.of(OptionalDouble.of(1), 1, 0)).hasValue(100);
        assertThat(marks.of(OptionalDouble.of(1.1), 1, 0).getAsDouble()).isCloseTo(97.5, within(1e-9));
        assertThat(marks.of(OptionalDouble.of(3), 0, 10)).hasValue(0);
        assertThat(marks.of(OptionalDouble.empty(), 0.5, 10)).as("no reference").hasValue(25);
        assertThat(new Marks(1, 0, 0).of(OptionalDouble.empty(), 1, 0)).isEmpty();
    }

    @Test
    void weightsAreNumbersOfWhichOneIsMore() {
        assertThatThrownBy(() -> new Marks(0, 0, 0)).isInstanceOf(Refused.class).hasMessageContaining("at least one");
        assertThatThrownBy(() -> new Marks(-1, 1, 1)).hasMessageContaining("from 0 to 100");
        assertThatThrownBy(() -> new Marks(Double.NaN, 1, 1)).hasMessageContaining("from 0 to 100");
        assertThat(new Marks(100, 0, 0).of(OptionalDouble.of(0), 0, 0)).hasValue(100);
    }
}
