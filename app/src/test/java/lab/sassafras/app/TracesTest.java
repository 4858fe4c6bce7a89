package lab.sassafras.app;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.IntStream;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Decision;
import lab.sassafras.app.record.Decisions;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.TraceChunk;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.settings.HouseSettings;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.EntrySheets;
import lab.sassafras.app.usecase.Answer;
import lab.sassafras.app.usecase.AppendReadings;
import lab.sassafras.app.usecase.TakeFromClock;
import lab.sassafras.app.usecase.TellWaits;
import lab.sassafras.curve.Reading;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.TraceUse;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

/** Readings on a clock as they are stored: only ever added, by bench, and read from by trials. */
class TracesTest extends HouseTest {

    @Autowired
    private lab.sassafras.app.record.Persons persons;

    @Autowired
    private HouseSettings settings;

    @Autowired
    private Traces traces;

    @Autowired
    private TakeFromClock taking;

    @Autowired
    private AppendReadings appending;

    @Autowired
    private TellWaits telling;

    @Autowired
    private EntrySheets sheets;

    @Autowired
    private Clocks clocks;

    @Autowired
    private JdbcTemplate database;

    private Trace begun(Bench bench, List<Reading> readings) {
        return traces.bringIn(
                bench,
                Trace.Channel.of(Trace.HAND),
                Optional.empty(),
                30,
                Instant.now().minusSeconds(900),
                TraceChunk.Given.inPieces(readings, bench.name()));
    }

    private static List<Reading> curve() {
        return IntStream.rangeClosed(0, 18)
                .filter(i -> i != 6)
                .mapToObj(i -> new Reading(30 * i, i < 6 ? 21.0 : 24.0 - 0.02 * (i - 6)))
                .toList();
    }

    @Test
    void aReadingGivenTwiceUnderOneKeyIsKeptOnceAndAnotherUnderItIsRefused() {
        Trace trace = begun(alone("4-still-at-the-bench.json").bench(), List.of());
        UUID key = UUID.randomUUID();
        traces.add(key, trace, TraceChunk.Given.typed(30, 21.4, "21.4", "Juniper"));
        traces.add(key, trace, TraceChunk.Given.typed(30, 21.4, "21.4", "Juniper"));
        assertThat(traces.readings(trace.id())).singleElement().satisfies(read -> {
            assertThat(read.text()).contains("21.4");
            assertThat(persons.calledThen().apply(read.who(), read.madeAt()))
                    .as("as an old book has it")
                    .isEqualTo("Juniper");
        });
        // its time reckoned again after a lost answer may differ by three seconds, and by no more
        traces.add(key, trace, TraceChunk.Given.typed(33, 21.4, "21.4", "Juniper"));
        assertThatThrownBy(() -> traces.add(key, trace, TraceChunk.Given.typed(33.1, 21.4, "21.4", "Juniper")))
                .isInstanceOf(Refused.class);
        assertThatThrownBy(() -> traces.add(key, trace, TraceChunk.Given.typed(30, 21.5, "21.5", "Juniper")))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("same key");
    }

    @Test
    void whatIsNoReadingIsRefused() {
        Trace trace = begun(alone("4-still-at-the-bench.json").bench(), List.of());
        for (double[] wrong :
                new double[][] {{-1, 21}, {Double.NaN, 21}, {1e9, 21}, {30, Double.NaN}, {30, Double.POSITIVE_INFINITY}
                }) {
            assertThatThrownBy(() -> traces.add(
                            UUID.randomUUID(), trace, TraceChunk.Given.typed(wrong[0], wrong[1], "x", "Juniper")))
                    .isInstanceOf(Refused.class);
        }
        assertThatThrownBy(() -> traces.add(
                        UUID.randomUUID(),
                        trace,
                        new TraceChunk.Given(
                                new double[TraceChunk.MOST + 1], new double[TraceChunk.MOST + 1], null, "Juniper")))
                .isInstanceOf(Refused.class);
        assertThat(traces.readings(trace.id())).isEmpty();
    }

    /** As many as a record may hold come back in order of time, whatever order they were given in. */
    @Test
    void veryManyReadingsLieInFewRowsAndComeBackInOrder() {
        Bench bench = alone("4-still-at-the-bench.json").bench();
        List<Reading> many = IntStream.range(0, 20_000)
                .mapToObj(i -> new Reading((i * 7919L) % 20_000, 21 + i % 10 / 10.0))
                .toList();
        assertThat(TraceChunk.Given.inPieces(many, "Juniper")).hasSize(40);
        List<TraceChunk.Read> read = traces.readings(begun(bench, many).id());
        assertThat(read).hasSize(20_000);
        assertThat(read).isSortedAccordingTo((one, other) -> Double.compare(one.seconds(), other.seconds()));
        assertThat(read.get(0).text()).as("nobody typed it").isEmpty();
    }

    @Test
    void theTrialsClockIsItsOwnOrElseTheNewestNoTrialIsReadFrom() {
        Entry entry = alone("4-still-at-the-bench.json");
        assertThat(clocks.of(sheets.of(entry), 1)).isEmpty();
        Trace older = begun(entry.bench(), curve());
        Trace newer = begun(entry.bench(), curve());
        assertThat(clocks.of(sheets.of(entry), 1)).map(ClockReadings::id).contains(newer.id());
        keep(sheets.of(entry), 1, TraceUse.whole(older.id().toString(), 180), "", entry.bench());
        assertThat(clocks.of(sheets.of(entry), 1)).map(ClockReadings::id).contains(older.id());
        entryBook.open(entry.id(), "trial", "Juniper");
        assertThat(clocks.of(sheets.of(entry), 2)).map(ClockReadings::id).contains(newer.id());
        // another bench's readings are no choice
        Entry other = imported("2-grey-slug.json");
        Trace elsewhere = begun(periodBook.join(other.period(), "Somewhere else"), curve());
        assertThat(clocks.of(sheets.of(other), 1)).isEmpty();
        assertThatThrownBy(() ->
                        keep(sheets.of(other), 1, TraceUse.whole(elsewhere.id().toString(), 180), "", other.bench()))
                .isInstanceOf(Refused.class)
                .hasMessageContaining("not at this bench");
        // nor is one begun yesterday
        Entry fresh = imported("11-three-metals.json");
        traces.bringIn(
                fresh.bench(),
                Trace.Channel.of(Trace.HAND),
                Optional.empty(),
                30,
                Instant.now().minusSeconds(90_000),
                List.of());
        assertThat(clocks.of(sheets.of(fresh), 1)).isEmpty();
    }

    @Test
    void aUseOfReadingsIsReplacedWithAReasonAndStruckOut() {
        Entry entry = alone("4-still-at-the-bench.json");
        String trace = begun(entry.bench(), curve()).id().toString();
        keep(sheets.of(entry), 1, TraceUse.whole(trace, 180), "", entry.bench());
        keep(sheets.of(entry), 1, TraceUse.whole(trace, 180), "", entry.bench());
        keep(sheets.of(entry), 1, TraceUse.whole(trace, 175), "seen on the video", entry.bench());
        assertThat(observationBook.of(entry.id()).at("curve[1]/trace")).hasSize(2);
        assertThat(Clocks.use(sheets.of(entry), 1)).map(TraceUse::mixing).contains(175.0);
        telling.brokenOff(sheets.of(entry), 1, "begun anew", Actor.at(entry.bench()))
                .orThrow();
        assertThat(Clocks.use(sheets.of(entry), 1)).isEmpty();
        telling.brokenOff(sheets.of(entry), 1, "begun anew", Actor.at(entry.bench()))
                .orThrow();
        assertThat(observationBook.of(entry.id()).at("curve[1]/trace")).hasSize(3);
    }

    /** A kept result is made anew by a reading, by setting one aside, and by a reading of the room at another bench. */
    @Test
    void aKeptResultFollowsTheReadings() {
        Entry entry = imports.take(example("solid-with-solution-on-a-clock"), "run.json", A_TEST)
                .orThrow();
        EntrySheet first = sheets.of(entry);
        assertThat(sheets.of(entry)).isSameAs(first);
        UUID trace = UUID.fromString(Clocks.use(first, 1).orElseThrow().trace());
        traces.add(
                UUID.randomUUID(),
                traces.find(trace).orElseThrow(),
                TraceChunk.Given.typed(570, 65.1, "65.1", "Hazel"));
        EntrySheet more = sheets.of(entry);
        assertThat(more).isNotSameAs(first);
        assertThat(more.sheet().setting().traces().get(trace.toString()).readings())
                .hasSize(first.sheet()
                                .setting()
                                .traces()
                                .get(trace.toString())
                                .readings()
                                .size()
                        + 1);
        decisionBook.decide(
                Optional.of(entry.id()),
                Decision.Kind.READING,
                Decisions.reading(trace, 570),
                Decision.OUT,
                "lid was off",
                "Hazel");
        assertThat(sheets.of(entry)
                        .sheet()
                        .setting()
                        .traces()
                        .get(trace.toString())
                        .readings())
                .isEqualTo(
                        first.sheet().setting().traces().get(trace.toString()).readings());
        EntrySheet before = sheets.of(entry);
        traces.readRoom(UUID.randomUUID(), periodBook.join(entry.period(), "Elder"), Optional.empty(), 20.5, "20.5");
        assertThat(sheets.of(entry)).isNotSameAs(before);
        assertThat(clocks.room(entry.period(), clocks.of(before, 1).orElseThrow()))
                .as("what is read here is not of a run that was brought in")
                .isEmpty();
    }

    /**
     * A run's room is what was read while it ran, or a quarter of an hour before or after; no other hour of the period.
     */
    @Test
    void theRoomOfARunIsWhatWasReadWhileItRan() {
        Entry entry = alone("4-still-at-the-bench.json");
        try {
            FaultInjection.clockOff(Duration.ofHours(-10));
            Trace ran = traces.begin(UUID.randomUUID(), entry.bench(), Trace.HAND, Optional.empty(), 30);
            traces.add(UUID.randomUUID(), ran, TraceChunk.Given.typed(600, 21.4, "21.4", "Hazel"));
            double shown = 17;
            for (int minute : new int[] {-16, -14, 5, 24, 26}) {
                FaultInjection.clockOff(Duration.ofHours(-10).plusMinutes(minute));
                Bench other = periodBook.join(entry.period(), "Elder");
                traces.readRoom(UUID.randomUUID(), other, Optional.empty(), ++shown, "" + shown);
            }
            assertThat(traces.room(entry.period(), ran, 600)).containsExactly(19.0, 20.0, 21.0);
        } finally {
            FaultInjection.fair();
        }
    }

    /** Numbers no thermometer shows, kept by a version that took them: left aside and said, and every page stands. */
    @Test
    void whatCanNeverHaveBeenReadIsLeftAsideAndSaid() {
        Entry entry = imports.take(example("solid-with-solution-on-a-clock"), "run.json", A_TEST)
                .orThrow();
        EntrySheet before = sheets.of(entry);
        UUID trace = UUID.fromString(Clocks.use(before, 1).orElseThrow().trace());
        for (double[] each : new double[][] {{571, 1e300}, {572, 9.9e37}, {573, -400}}) {
            database.update(
                    "insert into trace_chunk (id, trace_id, seconds, temperatures, who_id, made_at) values (?, ?, ?, ?, ?, now())",
                    UUID.randomUUID(),
                    trace,
                    new Double[] {each[0]},
                    new Double[] {each[1]},
                    entry.bench().id());
        }
        EntrySheet after = sheets.of(entry);
        assertThat(after.reduction().result()).isEqualTo(before.reduction().result());
        assertThat(after.reduction().findings())
                .filteredOn(each -> each.code().equals("curve.impossible"))
                .singleElement()
                .satisfies(each -> assertThat(each.message()).contains("3 readings are left aside"));
        for (String page : new String[] {"", "/strip?trial=1", "/clock?trial=1", "/result?trial=1", "/run.json"}) {
            assertThat(get("/entries/" + entry.id() + page).statusCode())
                    .as(page)
                    .isEqualTo(200);
        }
        assertThat(imports.take(
                                get("/entries/" + entry.id() + "/run.json")
                                        .body()
                                        .getBytes(UTF_8),
                                "again.json",
                                A_TEST)
                        .orThrow())
                .as("and its own file is read again")
                .isNotNull();
    }

    /** A long record's page is short, and any of its readings can be set aside by its time. */
    @Test
    void oneOfVeryManyIsSetAsideByItsTime() {
        Entry entry = alone("4-still-at-the-bench.json");
        Trace trace = begun(
                entry.bench(),
                IntStream.range(0, 5_000)
                        .mapToObj(i -> new Reading(i / 5.0, 21 + i % 3 / 10.0))
                        .toList());
        keep(sheets.of(entry), 1, TraceUse.whole(trace.id().toString(), 180), "", entry.bench());
        String strip = "/entries/" + entry.id() + "/strip";
        assertThat(get(strip).body()).hasSizeLessThan(150_000).contains("The first 100 of 5000");
        Hand hand = new Hand(address("")).join("/periods/" + entry.period().id(), "Juniper");
        String reading = strip + "/readings";
        assertThat(hand.post(reading, "trial=1&time=10:00.4&outcome=out&reason=touched")
                        .statusCode())
                .isEqualTo(302);
        assertThat(clocks.of(sheets.of(entry), 1).orElseThrow().at(600.4))
                .hasValueSatisfying(line -> assertThat(line.reason()).isEqualTo("touched"));
        assertThat(hand.post(reading, "trial=1&time=99:00&outcome=out&reason=x").statusCode())
                .isEqualTo(404);
        assertThat(hand.post(reading, "trial=1&time=late&outcome=out&reason=x").body())
                .contains("no time on the clock");
    }

    /** Of two at one instant the later given counts, and a reading set aside does not. */
    @Test
    void oneInstantHasOneReading() {
        Entry entry = alone("4-still-at-the-bench.json");
        Trace trace = begun(entry.bench(), curve());
        traces.add(UUID.randomUUID(), trace, TraceChunk.Given.typed(60, 21.7, "21.7", "Juniper"));
        keep(sheets.of(entry), 1, TraceUse.whole(trace.id().toString(), 180), "", entry.bench());
        ClockReadings read = clocks.of(sheets.of(entry), 1).orElseThrow();
        assertThat(read.lines()).hasSize(19);
        assertThat(read.counting()).hasSize(18).contains(new Reading(60, 21.7)).doesNotContain(new Reading(60, 21.0));
        assertThat(read.at(60)).map(ClockReadings.Line::time).contains("1:00");
        assertThat(read.at(61)).isEmpty();
        decisionBook.decide(
                Optional.of(entry.id()),
                Decision.Kind.READING,
                Decisions.reading(trace.id(), 60),
                Decision.OUT,
                "cup was touched",
                "Juniper");
        assertThat(clocks.of(sheets.of(entry), 1).orElseThrow().counting()).hasSize(17);
        decisionBook.decide(
                Optional.of(entry.id()),
                Decision.Kind.READING,
                Decisions.reading(trace.id(), 60),
                Decision.IN,
                "fine",
                "J");
        assertThat(clocks.of(sheets.of(entry), 1).orElseThrow().counting()).hasSize(18);
    }

    /**
     * A record that is full is left alone: refused in words, nothing cut off; and its file, of several MB, is read
     * again.
     */
    @Test
    void aFullRecordTakesNoMoreAndComesBackWhole() {
        Entry entry = imports.take(example("solid-with-solution-on-a-clock"), "run.json", A_TEST)
                .orThrow();
        Trace trace = begun(
                entry.bench(),
                IntStream.range(0, settings.limits().readings())
                        .mapToObj(i -> new Reading(i / 10.0, 21 + i % 7 / 100.0))
                        .toList());
        keep(sheets.of(entry), 1, TraceUse.whole(trace.id().toString(), 1000), "the long one", entry.bench());
        assertThatThrownBy(
                        () -> traces.add(UUID.randomUUID(), trace, TraceChunk.Given.typed(19_999, 21, "21", "Hazel")))
                .hasMessageContaining("holds 20000 readings, and no more go in");
        byte[] file = get("/entries/" + entry.id() + "/run.json").body().getBytes(UTF_8);
        assertThat(file.length).isGreaterThan(300_000);
        Hand hand = new Hand(address(""));
        assertThat(hand.upload("run.json", file).statusCode()).isEqualTo(302);
        // three such clocks are as many as a run holds here
        assertThat(brought(entry, 40_000).refusal().map(Throwable::getMessage))
                .hasValueSatisfying(why -> assertThat(why).contains("its file holds at most 60000"));
        assertThat(brought(entry, 39_800).refusal()).isEmpty();
        byte[] larger = get("/entries/" + entry.id() + "/run.json").body().getBytes(UTF_8);
        assertThat(hand.upload("run.json", larger).statusCode()).isEqualTo(302);
    }

    /** Readings of a file, half of them for a trial more. */
    private Answer<Boolean> brought(Entry entry, int readings) {
        List<Reading> half = IntStream.range(0, readings / 2)
                .mapToObj(i -> new Reading(i / 10.0, 21 + i % 7 / 100.0))
                .toList();
        return appending.file(
                sheets.of(entry),
                1,
                half,
                List.of(Map.entry(AppendReadings.NEW_TRIAL, half)),
                "two.csv",
                Optional.empty(),
                Actor.at(entry.bench()));
    }

    private void keep(EntrySheet entry, int trial, TraceUse use, String reason, Bench bench) {
        taking.stated(entry, trial, use, reason, Actor.at(bench)).orThrow();
    }
}
