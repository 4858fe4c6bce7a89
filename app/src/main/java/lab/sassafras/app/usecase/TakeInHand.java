package lab.sassafras.app.usecase;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import lab.sassafras.app.people.Right;
import lab.sassafras.app.probes.Place;
import lab.sassafras.app.probes.ProbePlace;
import lab.sassafras.app.probes.ProbeStretch;
import lab.sassafras.app.probes.ProbeToken;
import lab.sassafras.app.probes.Probes;
import lab.sassafras.app.record.Actor;
import lab.sassafras.app.record.Bench;
import lab.sassafras.app.record.Hands;
import lab.sassafras.app.record.InstrumentInHand;
import lab.sassafras.app.record.Persons;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.record.Traces;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.app.sheet.WrittenTime;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.curve.Compared;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Steady;
import lab.sassafras.declaration.ReadingPlace;
import lab.sassafras.experiment.Experiments;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Correction;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;
import lab.sassafras.measure.Refused;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Says what is in hand at a bench from now on: which instrument at one place of an entry or at all of them, what may
 * push, and where each probe stands.
 */
@UseCase(needs = Right.WRITE_ENTRY, serves = Bringer.DECIDING)
public class TakeInHand {

    private static final DateTimeFormatter MINUTE = DateTimeFormatter.ofPattern("HH:mm", Locale.ENGLISH);
    private static final int LATEST = 1000;
    /** No comparison is better than this (°C). No source. */
    private static final double LEAST = 1e-3;

    private final Hands hands;
    private final Instruments instruments;
    private final Probes probes;
    private final Persons persons;
    private final Traces traces;
    private final Clock clock;
    private final TransactionTemplate whole;

    TakeInHand(
            Hands hands,
            Instruments instruments,
            Probes probes,
            Persons persons,
            Traces traces,
            Clock clock,
            PlatformTransactionManager transactions) {
        this.hands = hands;
        this.instruments = instruments;
        this.probes = probes;
        this.persons = persons;
        this.traces = traces;
        this.clock = clock;
        this.whole = new TransactionTemplate(transactions);
    }

    /**
     * Takes it in hand.
     *
     * @param place key of a group or channel; empty for all places
     * @param key   the page's own, so that the same sent twice is kept once
     */
    public Answer<Boolean> take(EntrySheet entry, String place, UUID instrument, UUID key, Actor actor) {
        return Answer.of(() -> {
            Instrument taken =
                    instruments.find(instrument).orElseThrow(() -> new Refused("That instrument is not here."));
            boolean readThere = ReadingPlace.of(entry.experiment(), Experiments.instruments()).stream()
                    .anyMatch(each -> each.kind().equals(taken.kind())
                            && (place.equals(InstrumentInHand.EVERYWHERE)
                                    || each.group().key().equals(place)));
            if (!readThere) {
                throw new Refused("Nothing is read there on a " + taken.kind().word() + ".");
            }
            hands.take(key, entry.entry(), new InstrumentInHand.Given(place, taken.kind(), instrument, actor.name()));
        });
    }
    /** Lets a script push to a bench. @return its secret, told this once */
    @Needs(Right.BEGIN)
    @Noted("let a probe push to a bench")
    public Answer<String> letPush(Bench bench, String name) {
        return Answer.of(() -> probes.make(bench, name.isBlank() ? "a probe" : name.strip()));
    }

    /** Lets nothing more be pushed by a token. */
    @Needs(Right.BEGIN)
    @Noted("let a probe push no more")
    public Answer<Boolean> revoke(Bench bench, UUID token) {
        return Answer.of(() -> probes.revoke(bench, token));
    }

    /**
     * Says where a probe stands from now on, and on which instrument of the shelf it reads.
     *
     * @param probe      as its stretches call it
     * @param place      key; empty for none
     * @param instrument empty for none of the shelf
     */
    @Needs(Right.BEGIN)
    public Answer<Boolean> stand(
            Bench bench, UUID token, String probe, String place, Optional<UUID> instrument, Actor actor) {
        return Answer.of(() -> {
            ProbeToken pushing = token(bench, token);
            boolean known = probes.stretches(pushing).stream()
                    .anyMatch(each -> each.probe().equals(probe));
            if (!known) {
                throw new Refused("No such probe pushed by this token yet.");
            }
            if (!place.isEmpty() && Place.of(place).isEmpty()) {
                throw new Refused("A probe does not stand there. Choose one of the places shown.");
            }
            instrument.ifPresent(this::thermometer);
            stand(bench, pushing, probe, new ProbePlace.Standing(Place.of(place), instrument), actor);
        });
    }

    private void stand(Bench bench, ProbeToken token, String probe, ProbePlace.Standing standing, Actor actor) {
        whole.executeWithoutResult(status -> probes.stand(
                token,
                probe,
                standing,
                persons.in(bench.period().id(), actor.name()).id()));
    }

    /** Probes are compared by what they read since so long (s). No source. */
    private static final double COMPARED = 60;

    /**
     * Compares the probes of a bench that stand in one beaker: each of the others reads from now on on a thermometer of
     * its own, put right by what one of them showed.
     *
     * @param reference identity of that one's stretches
     * @return how far each of the others was off
     */
    @Needs(Right.BEGIN)
    @Noted("compared the probes of a bench")
    public Answer<Map<String, Double>> compare(Bench bench, String reference, Actor actor) {
        return Answer.of(() -> {
            if (bench.simulated()) {
                throw new Refused("At a simulated bench nothing is put right: no instrument of the shelf read it.");
            }
            Instant now = clock.instant();
            Map<String, Reader> readers = new LinkedHashMap<>();
            for (ProbeToken token : probes.of(bench)) {
                Map<String, ProbePlace.Standing> standing = probes.standing(token);
                probes.stretches(token)
                        .forEach(stretch -> reader(token, stretch, now)
                                .ifPresent(each -> readers.put(
                                        stretch.identity(),
                                        each.at(standing.getOrDefault(stretch.probe(), ProbePlace.Standing.UNSAID)))));
            }
            if (!readers.containsKey(reference)) {
                throw new Refused("Choose the one that the others are compared with.");
            }
            double display = readers.values().stream()
                    .mapToDouble(each -> Steady.step(each.readings()))
                    .max()
                    .orElseThrow();
            Map<String, List<Reading>> readings = new LinkedHashMap<>();
            readers.forEach((identity, each) -> readings.put(identity, each.readings()));
            Map<String, Compared.Shown> shown = Compared.of(readings, display).shown();
            return Objects.requireNonNull(whole.execute(status -> putRight(
                    bench,
                    readers,
                    shown,
                    reference,
                    WrittenTime.of(now, bench.period().zone(), MINUTE),
                    actor)));
        });
    }

    /** A probe that reads now. */
    private record Reader(
            ProbeToken token, ProbeStretch stretch, String name, ProbePlace.Standing standing, List<Reading> readings) {

        Reader at(ProbePlace.Standing where) {
            return new Reader(token, stretch, name, where, readings);
        }
    }

    private Optional<Reader> reader(ProbeToken token, ProbeStretch stretch, Instant now) {
        Trace trace = traces.find(stretch.traceId()).orElseThrow();
        List<Reading> readings = trace.ofTemperature()
                ? traces.latest(trace, LATEST).stream()
                        .map(each -> new Reading(
                                Duration.between(now, trace.at(each.seconds())).toMillis() / 1000.0,
                                each.temperature()))
                        .filter(each -> each.seconds() >= -COMPARED)
                        .toList()
                : List.of();
        return readings.isEmpty()
                ? Optional.empty()
                : Optional.of(new Reader(token, stretch, trace.source(), ProbePlace.Standing.UNSAID, readings));
    }

    private Map<String, Double> putRight(
            Bench bench,
            Map<String, Reader> readers,
            Map<String, Compared.Shown> shown,
            String reference,
            String at,
            Actor actor) {
        Compared.Shown right = Objects.requireNonNull(shown.get(reference));
        double actual = Objects.requireNonNull(readers.get(reference))
                .standing()
                .instrument()
                .flatMap(instruments::find)
                .map(each -> each.corrected(right.temperature()).value())
                .orElse(right.temperature());
        Map<String, Double> off = new LinkedHashMap<>();
        readers.forEach((identity, each) -> {
            if (!identity.equals(reference)) {
                double read = Objects.requireNonNull(shown.get(identity)).temperature();
                Instrument compared = instruments.add(compared(each, read, actual, right.uncertainty(), at));
                stand(
                        bench,
                        each.token(),
                        each.stretch().probe(),
                        new ProbePlace.Standing(each.standing().place(), Optional.of(UUID.fromString(compared.key()))),
                        actor);
                off.put(each.name(), read - actual);
            }
        });
        return off;
    }

    private Instrument compared(Reader each, double read, double actual, double uncertainty, String at) {
        InstrumentKind kind = InstrumentKind.THERMOMETER;
        Optional<Instrument> before = each.standing().instrument().flatMap(instruments::find);
        double display = before.map(Instrument::resolution).orElseGet(() -> Steady.step(each.readings()));
        return new Instrument(
                "",
                each.name() + ", compared " + at,
                kind,
                BenchUnit.DEGREES_CELSIUS,
                display,
                before.map(Instrument::low).orElse(kind.low()),
                before.map(Instrument::high).orElse(kind.high()),
                0,
                before.map(Instrument::readingUncertainty).orElse(0.0),
                new Correction(
                        kind.usualGain(), List.of(new Correction.Point(read, actual, Math.max(uncertainty, LEAST)))));
    }

    private ProbeToken token(Bench bench, UUID token) {
        return probes.of(bench).stream()
                .filter(each -> each.id().equals(token))
                .findFirst()
                .orElseThrow(() -> new Refused("That token was revoked already."));
    }

    private Instrument thermometer(UUID id) {
        return instruments
                .find(id)
                .filter(each -> each.kind().equals(InstrumentKind.THERMOMETER))
                .orElseThrow(() -> new Refused("That thermometer is not here."));
    }
}
