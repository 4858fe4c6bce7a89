package lab.sassafras.app;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublisher;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lab.sassafras.app.access.WhoIsHere;
import lab.sassafras.app.people.Instructors;
import lab.sassafras.app.people.SignIns;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.DecisionBook;
import lab.sassafras.app.record.Entry;
import lab.sassafras.app.record.EntryBook;
import lab.sassafras.app.record.FaultInjection;
import lab.sassafras.app.record.ObservationBook;
import lab.sassafras.app.record.OriginBook;
import lab.sassafras.app.record.Period;
import lab.sassafras.app.record.PeriodBook;
import lab.sassafras.app.shelf.Calibration;
import lab.sassafras.app.shelf.Calorimeters;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.Shelves;
import lab.sassafras.app.shelf.Vessel;
import lab.sassafras.app.usecase.BringInRun;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.DecimalMark;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.slot.VesselKind;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.boot.test.web.server.LocalServerPort;
import org.springframework.context.annotation.Import;
import org.springframework.util.FileSystemUtils;

/** The whole application, started once for all tests, on a book of its own. */
@SpringBootTest(
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {
            "sassafras.home=${user.dir}/target/test-book",
            "sassafras.hosts=bench.lab.example",
            "sassafras.arrival-time=2s",
            "sassafras.limits.readings=20000",
            "sassafras.limits.of-entry=60000"
        })
@Import(FaultInjection.class)
@ExtendWith(KeptTraces.class)
public abstract class HouseTest {

    /** An example of each experiment, worked by hand. */
    protected static final List<String> ONE_OF_EACH = List.of(
            "bomb-combustion",
            "bomb-constant",
            "combustion-under-a-can",
            "condensing-steam",
            "constant-by-known-heat",
            "constant-by-material",
            "constant-by-mixing",
            "cycle",
            "dissolving-equilibrium",
            "fusion-of-ice",
            "heating-curve",
            "heat-of-solution",
            "how-much",
            "neutralization",
            "solid-with-solution",
            "specific-heat-of-liquid",
            "specific-heat-of-solid");

    @LocalServerPort
    private int port;

    private String instructorsToken = "";

    /** Who brings in a file where it does not matter who. */
    protected static final Actor A_TEST = Actor.bringing("a test");

    @Autowired
    protected PeriodBook periodBook;

    @Autowired
    protected EntryBook entryBook;

    @Autowired
    protected ObservationBook observationBook;

    @Autowired
    protected DecisionBook decisionBook;

    @Autowired
    protected OriginBook originBook;

    @Autowired
    protected Instruments instruments;

    @Autowired
    protected Calorimeters calorimeters;

    @Autowired
    protected Shelves shelves;

    @Autowired
    protected BringInRun imports;

    @Autowired
    protected Instructors people;

    @Autowired
    protected SignIns signIns;

    private final HttpClient http = HttpClient.newHttpClient();

    static {
        try {
            FileSystemUtils.deleteRecursively(Path.of("target/test-book"));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** All tests come in here: every hand and every browser that is not said to be another is an instructor's. */
    @BeforeEach
    void openTheDoor() {
        Hand.door(address(""), () -> signIns.instructor(instructor(), "a test"));
        instructorsToken = signIns.instructor(instructor(), "a test");
    }

    private UUID instructor() {
        return people.all().stream()
                .filter(each -> each.name().equals("Instructor of the tests"))
                .map(Instructors.Known::person)
                .findFirst()
                .orElseGet(() -> people.add("Instructor of the tests", "a long password", Set.of()));
    }

    protected String address(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    protected BenchBrowser browser() {
        return new BenchBrowser(address(""), "en-GB", "Europe/Lisbon");
    }

    protected Period period(String title) {
        return periodBook.open(
                title, LocalDate.of(2026, 11, 18), ZoneId.of("Europe/Lisbon"), DecimalMark.POINT, Map.of());
    }

    /** A cup, a balance and a thermometer, named after the test that uses them. */
    protected Vessel equip(String name) {
        return calorimeters.find("cup " + name, VesselKind.FOAM_CUP).orElseGet(() -> {
            instruments.add(new Instrument(
                    "", "balance " + name, InstrumentKind.BALANCE, BenchUnit.GRAMS, 0.01, 0, 420, 0.01, 0));
            instruments.add(new Instrument(
                    "",
                    "thermometer " + name,
                    InstrumentKind.THERMOMETER,
                    BenchUnit.DEGREES_CELSIUS,
                    0.1,
                    -10,
                    110,
                    0.2,
                    0));
            return calorimeters.add("cup " + name, VesselKind.FOAM_CUP);
        });
    }

    /** The newest constant of the vessel an entry used, as whoever adopts has seen it. */
    protected Optional<UUID> newest(Entry entry) {
        return calorimeters
                .calibrations(
                        calorimeters.vessel(entry.vesselId().orElseThrow()).orElseThrow())
                .stream()
                .map(Calibration::id)
                .findFirst();
    }

    protected static byte[] demo(String name) {
        return read(Path.of("src/main/resources/demo", name));
    }

    /** One of the runs worked by hand. */
    protected static byte[] example(String name) {
        return read(Path.of("../docs/examples", name + ".json"));
    }

    private static byte[] read(Path file) {
        try {
            return Files.readAllBytes(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    protected Entry imported(String name) {
        return imports.take(demo(name), name, A_TEST).orThrow();
    }

    /** A file of the demo in a period of its own, at whose benches nobody else reads. */
    protected Entry alone(String name) {
        return alone(demo(name), name);
    }

    protected Entry alone(byte[] run, String name) {
        String file = new String(run, java.nio.charset.StandardCharsets.UTF_8)
                .replaceFirst("\"title\"\\s*:\\s*\"[^\"]*\"", "\"title\" : \"Alone " + UUID.randomUUID() + "\"");
        return imports.take(file.getBytes(java.nio.charset.StandardCharsets.UTF_8), name, A_TEST)
                .orThrow();
    }

    static List<String> oneOfEach() {
        return ONE_OF_EACH;
    }

    protected HttpResponse<String> get(String path) {
        return send(request(path).header("Accept", "text/html,*/*").GET());
    }

    protected HttpResponse<String> reduce(String file) {
        return reduce(BodyPublishers.ofString(file));
    }

    protected HttpResponse<String> reduce(BodyPublisher file) {
        return send(request("/api/reduce")
                .header("Content-Type", "application/json")
                .POST(file));
    }

    /** What an instructor's browser sends. */
    protected String cookie() {
        return WhoIsHere.COOKIE + "=" + instructorsToken;
    }

    /** A request of an instructor. */
    protected HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create(address(path))).header("Cookie", cookie());
    }

    protected HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            return http.send(request.build(), BodyHandlers.ofString());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }
}
