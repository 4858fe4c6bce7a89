package lab.sassafras.hour;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.sheet.BenchSheet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Thirty situations at benches, and what of them needs a look. */
class BenchNowTest {

    private static final Instant NOW = Instant.parse("2026-12-03T18:40:00Z");
    /** Its range is so short that a displacement leaves it. */
    private static final Instrument R5 =
            new Instrument("r5", "R-5", InstrumentKind.THERMOMETER, BenchUnit.DEGREES_CELSIUS, 0.1, -10, 60, 0.2, 0);

    /** A situation, and what is found in it: the kinds, and a part of the words of the first. */
    record Situation(String name, BenchNow now, List<Concern.Kind> kinds, String words) {
        @Override
        public String toString() {
            return name;
        }
    }

    private static BenchNow at(BenchSheet sheet, int secondsAgo) {
        return new BenchNow(
                "Alder",
                Optional.of(Sight.of(sheet.sheet())),
                sheet.sheet().lines().stream().reduce((one, other) -> other),
                NOW.minusSeconds(secondsAgo),
                Optional.empty(),
                Map.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                NOW);
    }

    private static BenchNow raised(BenchNow one, int secondsAgo) {
        return new BenchNow(
                one.bench(),
                one.sight(),
                one.last(),
                one.lastAt(),
                Optional.of(NOW.minusSeconds(secondsAgo)),
                one.waits(),
                one.median(),
                one.expected(),
                one.now());
    }

    private static BenchNow waiting(BenchNow one, int secondsLeft) {
        return new BenchNow(
                one.bench(),
                one.sight(),
                one.last(),
                one.lastAt(),
                one.raised(),
                Map.of("solid, hot", NOW.plusSeconds(secondsLeft)),
                one.median(),
                one.expected(),
                one.now());
    }

    private static BenchNow expecting(BenchNow one, double end) {
        return new BenchNow(
                one.bench(),
                one.sight(),
                one.last(),
                one.lastAt(),
                one.raised(),
                one.waits(),
                one.median(),
                OptionalDouble.of(end),
                one.now());
    }

    private static BenchSheet solid() {
        return BenchSheet.of("specific-heat-of-solid").mass("sample[1]/mass", "32.00");
    }

    private static BenchSheet bathed() {
        return solid().says("sample[1]/bath", "boiling").mass("water[1]/mass", "90.00");
    }

    private static BenchSheet ice() {
        return BenchSheet.of("fusion-of-ice").mass("water[1]/mass", "200.00").says("ice[1]/state", "dried");
    }

    private static BenchSheet bomb(String... ticks) {
        BenchSheet sheet = BenchSheet.of("bomb-combustion")
                .says("sample[1]/formula", "C10H8")
                .says("sample[1]/state", "solid")
                .says("fuse[1]/way", "length")
                .reads("fuse[1]/heat-by-length", "9.6", "J/cm")
                .mass("pellet[1]/mass", "1.0000")
                .reads("wire[1]/before", "10.0", "cm")
                .reads("bucket[1]/water", "2000.0", "g")
                .temperature("bucket[1]/start", "23.40");
        for (String each : ticks) {
            sheet = sheet.says("check[1]/" + each, "done");
        }
        return sheet;
    }

    private static BenchNow none() {
        return new BenchNow(
                "Elder",
                Optional.empty(),
                Optional.empty(),
                NOW,
                Optional.empty(),
                Map.of(),
                Optional.empty(),
                OptionalDouble.empty(),
                NOW);
    }

    private static Situation of(String name, BenchNow now, String words, Concern.Kind... kinds) {
        return new Situation(name, now, List.of(kinds), words);
    }

    static Stream<Situation> situations() {
        return Stream.of(
                of("nothing begun", none(), ""),
                of("nothing begun, hand raised", raised(none(), 5), "hand raised", Concern.Kind.RAISED),
                of("a value a moment ago", at(solid(), 5), ""),
                of("three minutes are no silence", at(solid(), 180), ""),
                of("more are", at(solid(), 181), "nothing for 3 min", Concern.Kind.SILENT),
                of(
                        "a class that takes four minutes is silent after eight",
                        at(solid(), 480).taking(minutes(4)),
                        ""),
                of("and then", at(solid(), 481).taking(minutes(4)), "nothing for 8 min", Concern.Kind.SILENT),
                of(
                        "a class that takes a minute is silent after three",
                        at(solid(), 179).taking(minutes(1)),
                        ""),
                of("a long step is waited for", at(bathed(), 17 * 60), ""),
                of("but not for ever", at(bathed(), 19 * 60), "nothing for 19 min", Concern.Kind.SILENT),
                of("a bath that goes on", waiting(at(bathed(), 19 * 60), 1), ""),
                of("a bath that is over", waiting(at(bathed(), 400), 0), "solid, hot: over", Concern.Kind.WAIT_OVER),
                of(
                        "over, and silent",
                        waiting(at(bathed(), 19 * 60), -60),
                        "solid, hot: over",
                        Concern.Kind.WAIT_OVER,
                        Concern.Kind.SILENT),
                of("a hand", raised(at(bathed(), 5), 70), "hand raised", Concern.Kind.RAISED),
                of(
                        "a hand in a bath that is over",
                        raised(waiting(at(bathed(), 5), -5), 70),
                        "hand raised",
                        Concern.Kind.RAISED,
                        Concern.Kind.WAIT_OVER),
                of("ice that is cold", at(ice().temperature("ice[1]/start", "-2.0"), 5), ""),
                of(
                        "ice above nought",
                        at(ice().temperature("ice[1]/start", "5.0"), 5),
                        "The sign forgotten: −5 °C?",
                        Concern.Kind.CANNOT_BE),
                of(
                        "two digits exchanged",
                        at(bathed().temperature("sample[1]/start", "19.8"), 5),
                        "Two digits exchanged: 91.8 °C?",
                        Concern.Kind.CANNOT_BE),
                of(
                        "a digit left out",
                        at(bathed().temperature("sample[1]/start", "9.9"), 5),
                        "A digit left out: 99 °C?",
                        Concern.Kind.CANNOT_BE),
                of(
                        "read in Fahrenheit",
                        at(bathed().temperature("sample[1]/start", "210.2"), 5),
                        "Read in °F: 99 °C?",
                        Concern.Kind.CANNOT_BE),
                of(
                        "off its balance, the point misplaced",
                        at(BenchSheet.of("specific-heat-of-solid").mass("sample[1]/mass", "3200"), 5),
                        "The decimal point misplaced by two: 32 g?",
                        Concern.Kind.CANNOT_BE),
                of("well inside the range", at(bathed().temperature("sample[1]/start", "99.0"), 5), ""),
                of(
                        "near the end of the range",
                        at(bathed().temperature("sample[1]/start", "57.0", R5), 5),
                        "57.0 °C: range of R-5 ends at 60 °C",
                        Concern.Kind.CANNOT_BE,
                        Concern.Kind.RANGE),
                of("as near as may be", at(start("56.5"), 5), ""),
                of("nearer", at(start("56.6"), 5), "range of R-5 ends at 60 °C", Concern.Kind.RANGE),
                of("near its lower end", at(start("-7.0"), 5), "range of R-5 begins at −10 °C", Concern.Kind.RANGE),
                of(
                        "what is expected is beyond it",
                        expecting(at(start("21.0"), 5), 71),
                        "range of R-5 ends at 60 °C, and 71 °C are expected: it will not do",
                        Concern.Kind.RANGE),
                of("what is expected is within", expecting(at(start("21.0"), 5), 48), ""),
                of("a bomb that is not checked", at(bomb(), 5), "next: fired, not ticked: ", Concern.Kind.CAUTION),
                of("a bomb that is", at(bomb("vessel", "charge", "leak"), 5), ""));
    }

    private static BenchSheet start(String celsius) {
        return BenchSheet.of("heat-of-solution")
                .mass("water[1]/mass", "100")
                .temperature("water[1]/start", celsius, R5);
    }

    private static Optional<Duration> minutes(int many) {
        return Optional.of(Duration.ofMinutes(many));
    }

    @Test
    void thereAreThirty() {
        assertThat(situations()).hasSize(30);
    }

    @ParameterizedTest
    @MethodSource("situations")
    void whatNeedsALookIsSaid(Situation situation) {
        List<Concern> found = situation.now().concerns();
        assertThat(found).extracting(Concern::kind).containsExactlyElementsOf(situation.kinds());
        assertThat(found.stream().map(Concern::words).collect(Collectors.joining(" ")))
                .contains(situation.words());
    }

    @Test
    void theMostUrgentComesFirstAndOfAKindTheOldest() {
        assertThat(Concern.of(situations().map(Situation::now)))
                .isSortedAccordingTo((one, other) -> one.kind() != other.kind()
                        ? one.kind().compareTo(other.kind())
                        : one.since().compareTo(other.since()))
                .first()
                .extracting(Concern::kind)
                .isEqualTo(Concern.Kind.CAUTION);
        assertThat(List.of(Concern.Kind.values()))
                .extracting(Enum::name)
                .containsExactly("CAUTION", "CANNOT_BE", "RANGE", "RAISED", "WAIT_OVER", "SILENT");
    }

    @Test
    void leavesSayHowFarAProcedureCame() {
        assertThat(at(bathed(), 5).leaves().stream()
                        .map(each -> each.state().name().substring(0, 1)))
                .startsWith("D", "D", "D", "N", "T");
        assertThat(none().leaves()).isEmpty();
    }
}
