package lab.sassafras.app.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lab.sassafras.app.probes.Place;
import lab.sassafras.app.record.Trace;
import lab.sassafras.app.shelf.Instruments;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Sign;
import lab.sassafras.curve.Steady;
import lab.sassafras.curve.Unfolding;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import org.springframework.stereotype.Component;

/** Says how a bench stands that probes read: settled, turned, enough, and what somebody should look at. */
@Component
class LiveWords {

    /** Nothing came for so long, or for so many times the usual while: it is silent (s). No source. */
    static final double SILENT = 10;

    static final double SILENT_TIMES = 5;
    /** Signs are looked for in the last of it (s). */
    private static final double LOOKED_AT = 300;
    /** Where no instrument of the shelf is named, no end of its range is known. */
    private static final double NO_END = Reading.HOTTEST;

    private final Instruments instruments;

    LiveWords(Instruments instruments) {
        this.instruments = instruments;
    }

    /** {@return how the readings of the trial unfold; empty while the mixing is not marked} */
    Optional<Unfolding> unfolding(LiveBench.Now bench) {
        return bench.mixing().isPresent()
                ? bench.own()
                        .map(own -> Unfolding.of(
                                own.counting(),
                                bench.mixing().getAsDouble(),
                                bench.series().get(0).display(instruments)))
                : Optional.empty();
    }

    List<LiveScreen.Stand> stands(LiveBench.Now bench, Figures figures) {
        Optional<Unfolding> unfolding = unfolding(bench);
        return unfolding.isEmpty()
                ? List.of(before(bench, figures))
                : List.of(
                        turned(unfolding.get(), bench.series().get(0), figures),
                        enough(unfolding.get(), bench.now(), figures));
    }

    private LiveScreen.Stand before(LiveBench.Now bench, Figures figures) {
        Steady steady = Steady.of(bench.series().get(0).readings());
        String rate = figures.signed(steady.aMinute(), 2) + " °C a minute over the last " + Math.round(steady.length())
                + " s.";
        if (steady.readings() < 2) {
            return new LiveScreen.Stand("Just begun", "A few readings more, and it is told whether it is settled.");
        }
        return steady.holds()
                ? new LiveScreen.Stand("Settled", rate)
                : new LiveScreen.Stand(
                        "Still moving", rate + " Wait until it is settled before both are brought together.");
    }

    private static LiveScreen.Stand turned(Unfolding unfolding, LiveBench.Series series, Figures figures) {
        String end = unfolding.rises() ? "highest" : "lowest";
        if (unfolding.extreme().isEmpty()) {
            return new LiveScreen.Stand("Mixed", "What comes now is read.");
        }
        Reading extreme = unfolding.extreme().get();
        if (!unfolding.turned()) {
            return new LiveScreen.Stand(
                    unfolding.rises() ? "Still rising" : "Still falling",
                    "The " + end + " so far is " + series.written(extreme.temperature(), figures) + " °C, at "
                            + ClockTime.write(extreme.seconds()) + ".");
        }
        String since = unfolding.aMinute().isEmpty()
                ? "Read on, and it is told how fast it runs back."
                : figures.signed(unfolding.aMinute().getAsDouble(), 2) + " °C a minute since.";
        return new LiveScreen.Stand(
                "Turned at " + ClockTime.write(extreme.seconds()),
                "The " + end + " was " + series.written(extreme.temperature(), figures) + " °C. " + since);
    }

    private static LiveScreen.Stand enough(Unfolding unfolding, double now, Figures figures) {
        String within = "the line after mixing is extrapolated to the time of mixing within ± "
                + figures.plain(Unfolding.WITHIN) + " °C";
        OptionalDouble more = unfolding.more();
        if (!unfolding.turned()) {
            return new LiveScreen.Stand("How long", "That is told once it has turned: stir on and let it read.");
        }
        if (more.isEmpty()) {
            return new LiveScreen.Stand("How long", "Read on for some minutes: it is not told yet.");
        }
        double left = Math.ceil(more.getAsDouble());
        return left <= 0
                ? new LiveScreen.Stand("Enough", "As it was read, " + within + ".")
                : new LiveScreen.Stand(
                        "Enough after " + ClockTime.write(Math.ceil(now + left)),
                        duration(left) + " more, and " + within + ".");
    }

    static String duration(double seconds) {
        long whole = Math.round(seconds);
        String minutes = whole >= 60 ? whole / 60 + " min" : "";
        String rest = whole % 60 > 0 || whole < 60 ? whole % 60 + " s" : "";
        return (minutes + " " + rest).strip();
    }

    /** What somebody should look at, of every probe. */
    List<String> signs(LiveBench.Now bench) {
        List<String> words = new ArrayList<>();
        for (LiveBench.Series each : bench.series()) {
            silent(each, bench.now()).ifPresent(words::add);
            Optional<Instrument> instrument = each.newest().instrumentId().flatMap(instruments::find);
            Sign.of(
                            each.latest(LOOKED_AT),
                            new Sign.Around(
                                    each.standing()
                                                    .place()
                                                    .filter(at -> at != Place.CUP)
                                                    .isPresent()
                                            ? OptionalDouble.empty()
                                            : bench.mixing(),
                                    each.standing().place().equals(Optional.of(Place.ROOM))
                                            ? OptionalDouble.empty()
                                            : bench.room(),
                                    instrument.map(Instrument::low).orElse(-NO_END),
                                    instrument.map(Instrument::high).orElse(NO_END),
                                    each.display(instruments)))
                    .forEach(sign -> words.add(each.name() + ": " + words(sign)));
        }
        return words;
    }

    private static Optional<String> silent(LiveBench.Series series, double now) {
        double limit = Math.max(SILENT, SILENT_TIMES * series.newest().every());
        return series.last()
                .filter(last -> series.newest().channel().equals(Trace.PROBE) && now - last.seconds() > limit)
                .map(last -> series.name() + ": silent since " + ClockTime.write(Math.floor(last.seconds()))
                        + ". Look whether it is plugged in and its computer awake.");
    }

    private static String words(Sign sign) {
        String since = ClockTime.write(Math.floor(sign.since()));
        return switch (sign.kind()) {
            case SPIKE -> "leapt and came back at " + since + ". It is taken for no peak.";
            case JUMP -> "jumped at " + since + ". Look whether it was touched or moved.";
            case OUT -> "at the room’s temperature since " + since + ": out of its liquid?";
            case RANGE -> "at the end of its range since " + since + ". What it reads there does not count.";
        };
    }

    /** The last before the mixing and the highest or lowest since, to be recorded by one touch. */
    Optional<LiveScreen.Take> take(LiveBench.Now bench, Figures figures) {
        Optional<Reading> end = unfolding(bench).flatMap(Unfolding::extreme);
        Optional<Reading> start = bench.own().stream()
                .flatMap(own -> own.counting().stream())
                .filter(each -> each.seconds() <= bench.mixing().orElse(-1))
                .reduce((earlier, later) -> later);
        return start.flatMap(from -> end.map(to -> {
            LiveBench.Series first = bench.series().get(0);
            String before = first.written(from.temperature(), figures);
            String after = first.written(to.temperature(), figures);
            return new LiveScreen.Take(
                    before,
                    after,
                    before + " and " + after + " °C",
                    "“" + first.name() + "”: the last before mixing, at " + ClockTime.write(from.seconds())
                            + ", and the "
                            + (to.temperature() >= from.temperature() ? "highest" : "lowest") + ", at "
                            + ClockTime.write(to.seconds()));
        }));
    }
}
