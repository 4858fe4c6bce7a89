package lab.sassafras.app.simulated;

import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.app.shelf.Shelf;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.simulate.Bench;
import lab.sassafras.simulate.Scene;
import lab.sassafras.slot.Address;
import org.springframework.stereotype.Component;

/** The simulated bench of an entry as it is now: its instruments are those in hand, or usual ones of no shelf. */
@Component
public class SimulatedBenches {

    /** No trial goes on longer on its own clock (s). */
    static final double LONGEST = 2 * 3600;

    private final SimulatedBook book;
    private final Instruments instruments;
    private final Clock clock;

    SimulatedBenches(SimulatedBook book, Instruments instruments, Clock clock) {
        this.book = book;
        this.instruments = instruments;
        this.clock = clock;
    }

    /**
     * A trial at the simulated bench as it is now.
     *
     * @param scene    it is a trial of
     * @param bench    it is played at
     * @param touched  how often it was touched, its beginning counted
     * @param standing how it stands; empty where it was not begun
     */
    public record Now(
            SimulatedRun run,
            Scene scene,
            Bench bench,
            int touched,
            double seconds,
            Optional<Bench.Standing> standing) {

        /** The trial as it is once it is over; what is told of it then. */
        public Bench.Played truth() {
            return bench.atOnce(scene);
        }

        /** What a hand does next; empty where all is done, or the trial was not begun. */
        public Optional<Bench.Touch> next() {
            return standing.flatMap(Bench.Standing::next);
        }
    }

    /** {@return where something that was shown stands in a trial} */
    public static Address at(EntrySheet entry, Bench.Written written, int trial) {
        boolean ofTrial = entry.experiment()
                .group(written.path().substring(0, written.path().indexOf('/')))
                .filter(group -> group.cardinality() != Cardinality.ONCE)
                .isPresent();
        return Address.of(written.path(), ofTrial ? trial : 1);
    }

    /** {@return a number as its period writes it, a word as it is} */
    public static String text(EntrySheet entry, Bench.Written written) {
        return written.unit().isEmpty()
                ? written.text()
                : entry.entry().period().figures().sentence(written.text());
    }

    /** {@return the run of an entry as it is now in a trial; empty where none was begun} */
    public Optional<Now> now(EntrySheet entry, int trial) {
        Optional<Scene> scene = entry.experiment().scene();
        return scene.flatMap(plays -> book.of(entry.entry()).map(run -> now(entry, run, plays, trial)));
    }

    private Now now(EntrySheet entry, SimulatedRun run, Scene scene, int trial) {
        Bench bench = bench(entry, run).trial(trial);
        List<SimulatedTouch> touches = book.touches(run, trial);
        double seconds = touches.stream()
                .findFirst()
                .map(begun -> seconds(run, begun, touches.get(touches.size() - 1)))
                .orElse(0.0);
        List<Double> touched =
                touches.stream().skip(1).map(SimulatedTouch::seconds).toList();
        Optional<Bench.Standing> standing = run.speed() == 0
                ? Optional.of(bench.over(scene))
                : touches.isEmpty() ? Optional.empty() : Optional.of(bench.at(scene, new Bench.Hand(touched, seconds)));
        return new Now(run, scene, bench, touches.size(), seconds, standing);
    }

    /** What was done was done: a clock that was set back stands where it was touched last. */
    private double seconds(SimulatedRun run, SimulatedTouch begun, SimulatedTouch last) {
        double since = Duration.between(begun.madeAt(), clock.instant()).toMillis() / 1000.0;
        return Math.max(last.seconds(), Math.min(LONGEST, since * run.speed()));
    }

    private Bench bench(EntrySheet entry, SimulatedRun run) {
        return Bench.usual(run.seed(), run.capacity())
                .slipping(run.slips())
                .wishing(run.wished(), run.taken())
                .with(inHand(entry, InstrumentKind.BALANCE), inHand(entry, InstrumentKind.THERMOMETER));
    }

    private Optional<Instrument> inHand(EntrySheet entry, InstrumentKind kind) {
        return Optional.ofNullable(entry.hand().begun().get(kind)).flatMap(instruments::find);
    }

    /** {@return an instrument where it is one of the shelf} */
    public Optional<Instrument> ofShelf(Optional<Instrument> instrument) {
        return instrument.flatMap(each -> Shelf.identity(each.key())).flatMap(instruments::find);
    }

    /** {@return identity of the thermometer of the shelf that is in hand; empty where none is} */
    public Optional<UUID> thermometer(EntrySheet entry) {
        return Optional.ofNullable(entry.hand().begun().get(InstrumentKind.THERMOMETER));
    }
}
