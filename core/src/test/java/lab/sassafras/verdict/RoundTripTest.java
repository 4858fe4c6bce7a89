package lab.sassafras.verdict;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.stream.LongStream;
import lab.sassafras.experiment.Experiment;
import lab.sassafras.simulate.Slip;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;

/** What a physics of its own let happen comes out of the books again: {@code ./bench simulated} has 1,000 of each. */
@Tag("long")
class RoundTripTest {

    private static final int SEEDS = 60;
    /** So many of sixty lie inside of an interval of 95 % in all but one of a thousand cases. */
    private static final int LEAST = 52;

    private static final long SEED = 1;
    private static final double NAMED = 0.8;

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

    /** One run of each experiment that knows it: {@code ./bench simulated slips 40} has forty. */
    @ParameterizedTest
    @EnumSource(value = Slip.class, mode = EnumSource.Mode.EXCLUDE, names = "MARK_FORGOTTEN")
    void whatWentWrongIsAmongTheFirstThreeThatAreSuspected(Slip slip) {
        List<RoundTrip.Told> told = RoundTrip.all().stream()
                .filter(each -> each.scene().orElseThrow().slips().contains(slip))
                .map(each -> RoundTrip.told(each, slip, 1, SEED))
                .toList();
        int moved = told.stream().mapToInt(RoundTrip.Told::moved).sum();
        int named = told.stream().mapToInt(RoundTrip.Told::named).sum();
        assertThat((double) named).as("%s of %s", named, moved).isGreaterThanOrEqualTo(NAMED * moved);
    }
}
