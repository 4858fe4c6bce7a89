package lab.sassafras.measure;

import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import lab.sassafras.convention.Conventions;
import lab.sassafras.sheet.BenchSheet;
import lab.sassafras.verdict.Reduction;
import org.junit.jupiter.api.Test;

/** Long work ends in words when its time is over, and only the thread it was set for knows of it. */
class TimeBudgetTest {

    @Test
    void workBeyondItsTimeIsGivenUpInWords() {
        try (TimeBudget spent = TimeBudget.of(Duration.ZERO)) {
            assertThatThrownBy(() -> Reduction.of(BenchSheet.copper().sheet(), Conventions.standard())
                            .findings())
                    .isInstanceOf(TimeBudget.OutOfTime.class)
                    .hasMessageContaining("longer than one request may");
        }
        assertThatCode(TimeBudget::check).as("afterwards there is no budget").doesNotThrowAnyException();
    }

    /** What was given up is worked when somebody with more time asks. */
    @Test
    void whatWasGivenUpIsWorkedNextTime() {
        Reduction reduction = BenchSheet.copper().reduced();
        try (TimeBudget spent = TimeBudget.of(Duration.ZERO)) {
            assertThatThrownBy(() -> reduction.drawn(1)).isInstanceOf(TimeBudget.OutOfTime.class);
        }
        assertThatCode(() -> reduction.whole(1)).doesNotThrowAnyException();
    }

    @Test
    void theOuterBudgetHoldsAgainAfterTheInner() {
        try (TimeBudget spent = TimeBudget.of(Duration.ZERO)) {
            try (TimeBudget ample = TimeBudget.of(Duration.ofMinutes(1))) {
                assertThatCode(TimeBudget::check).doesNotThrowAnyException();
            }
            assertThatThrownBy(TimeBudget::check).isInstanceOf(TimeBudget.OutOfTime.class);
        }
    }
}
