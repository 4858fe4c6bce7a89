package lab.sassafras.statistics;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class GrubbsTest {

    /** Two-sided, 5 %: table of Grubbs (1969), as reprinted in ISO 5725-2 (memory). */
    @ParameterizedTest
    @CsvSource({"6, 1.887", "8, 2.126", "10, 2.290", "20, 2.709"})
    void criticalDistancesOfTheTable(int trials, double distance) {
        assertThat(Grubbs.critical(trials)).isCloseTo(distance, within(0.001));
    }

    @Test
    void oneFarTrialAmongSixIsCalledAnOutlierAndAmongFiveNothingIsSaid() {
        assertThat(Grubbs.of(List.of(10.1, 10.2, 10.1, 10.0, 10.2, 12.5))).hasValueSatisfying(test -> {
            assertThat(test.outlier()).isTrue();
            assertThat(test.index()).isEqualTo(5);
        });
        assertThat(Grubbs.of(List.of(10.1, 10.2, 10.1, 10.0, 12.5))).isEmpty();
        assertThat(Grubbs.of(List.of(10.1, 10.3, 9.9, 10.0, 10.2, 10.4))
                        .orElseThrow()
                        .outlier())
                .isFalse();
        assertThat(Grubbs.of(List.of(10.0, 10.0, 10.0, 10.0, 10.0, 10.0))).isEmpty();
    }
}
