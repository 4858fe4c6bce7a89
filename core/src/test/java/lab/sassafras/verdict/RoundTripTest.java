package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.LongStream;
import lab.sassafras.experiment.Experiment;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a physics of its own let happen comes out of the books again: {@code ./bench simulated} has 1,000 of each. */
@Tag("long")
class RoundTripTest {

    private static final int SEEDS = 60;
    /** So many of sixty lie inside of an interval of 95 % in all but one of a thousand cases. */
    private static final int LEAST = 52;

    static List<Experiment> run() {
        return RoundTrip.all();
    }

    @ParameterizedTest
    @MethodSource("run")
    void whatWasTrueLiesInsideTheInterval(Experiment experiment) {
        assertThat(LongStream.rangeClosed(1, SEEDS)
                        .filter(seed -> RoundTrip.of(experiment, seed, Set.of(), RoundTrip.obeyed(experiment))
                                .inside())
                        .count())
                .isBetween((long) LEAST, (long) SEEDS);
    }
}
