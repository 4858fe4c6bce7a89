package lab.sassafras.benchmarks.house;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The real application as a process, killed while several hands save; ./bench kills it twenty times. */
class DurabilityTest {

    @Test
    void noAcknowledgedValueIsMissingAfterThreeKills() throws Exception {
        Kills.Outcome outcome = new Kills().of(3);
        assertThat(outcome.missing()).isEmpty();
        assertThat(outcome.acknowledged()).isGreaterThan(3);
    }

    /** Rows that probes push are there once, in one stretch of each: what was not answered is sent again. */
    @Test
    void noAcknowledgedRowIsMissingAfterTwoKills() throws Exception {
        PushKills.Outcome outcome = new PushKills().of(2);
        assertThat(outcome.missing()).isEmpty();
        assertThat(outcome.acknowledged()).isGreaterThan(16);
        assertThat(outcome.stretches()).isEqualTo(8);
    }
}
