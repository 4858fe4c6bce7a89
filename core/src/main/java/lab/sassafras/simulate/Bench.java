package lab.sassafras.simulate;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SplittableRandom;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.InstrumentKind;

/**
 * What a scene is played with.
 *
 * @param seed        everything that is drawn follows from it
 * @param trial       which trial, from 1
 * @param slips       what goes wrong
 * @param capacity    heat capacity of the calorimeter (J/°C)
 * @param leak        what it loses to the room, its lid on (W/°C)
 * @param balance     to weigh on
 * @param thermometer to read with
 * @param every       seconds between two readings of the curve (s)
 * @param lag         time constant of the thermometer in a liquid (s)
 * @param wished      amounts and temperatures that are not the scene’s own, by the path of a slot (bench unit)
 * @param taken       substance that is taken where a scene takes one of several; empty where it draws
 */
public record Bench(
        long seed,
        int trial,
        Set<Slip> slips,
        double capacity,
        double leak,
        Instrument balance,
        Instrument thermometer,
        double every,
        double lag,
        Map<String, Double> wished,
        String taken) {

    /** From this heat capacity on it is a bomb in its bucket, read to a thousandth of a degree (J/°C). */
    private static final double BOMB = 1000;
    /** What a usual calorimeter loses to the room (W/°C). No source. */
    public static final double LEAK = 0.08;
    /** A usual thermometer follows what it stands in within about this (s). No source. */
    private static final double LAG = 2;

    /**
     * {@return a bench with usual instruments of no shelf, on which nothing goes wrong}
     *
     * @param seed     everything that is drawn follows from it
     * @param capacity heat capacity of the calorimeter (J/°C)
     */
    public static Bench usual(long seed, double capacity) {
        boolean bomb = capacity > BOMB;
        return new Bench(
                seed,
                1,
                Set.of(),
                capacity,
                LEAK,
                instrument(InstrumentKind.BALANCE, BenchUnit.GRAMS, bomb ? 1e-4 : 0.01, 4000, 0.01),
                instrument(
                        InstrumentKind.THERMOMETER,
                        BenchUnit.DEGREES_CELSIUS,
                        bomb ? 1e-3 : 0.1,
                        110,
                        bomb ? 0.02 : 0.2),
                bomb ? 15 : 5,
                LAG,
                Map.of(),
                "");
    }

    private static Instrument instrument(InstrumentKind kind, BenchUnit unit, double step, double high, double offset) {
        return new Instrument("simulated", "simulated " + kind.word(), kind, unit, step, -10, high, offset, 0);
    }

    /**
     * {@return the same with other instruments}
     *
     * @param weighing to weigh on; empty for the one there is
     * @param reading  to read with; empty for the one there is
     */
    public Bench with(Optional<Instrument> weighing, Optional<Instrument> reading) {
        return new Bench(
                seed,
                trial,
                slips,
                capacity,
                leak,
                weighing.orElse(balance),
                reading.orElse(thermometer),
                every,
                lag,
                wished,
                taken);
    }

    /**
     * {@return the same with other amounts}
     *
     * @param others    amounts and temperatures by the path of a slot (bench unit)
     * @param substance that is taken, where the scene takes one of several; empty where it draws
     */
    public Bench wishing(Map<String, Double> others, String substance) {
        return new Bench(
                seed, trial, slips, capacity, leak, balance, thermometer, every, lag, Map.copyOf(others), substance);
    }

    /** A cup taken for another takes so many times as much, as a glass beaker does in a foam cup's place. No source. */
    private static final double OTHER = 7;

    /** {@return what the calorimeter truly takes, which may be another than the one it is taken for (J/°C)} */
    public double trueCapacity() {
        return slips.contains(Slip.OTHER_CUP) ? OTHER * capacity : capacity;
    }

    /**
     * {@return the same for another trial}
     *
     * @param other which, from 1
     */
    public Bench trial(int other) {
        return new Bench(seed, other, slips, capacity, leak, balance, thermometer, every, lag, wished, taken);
    }

    /**
     * {@return the same, where things go wrong}
     *
     * @param other what does
     */
    public Bench slipping(Set<Slip> other) {
        return new Bench(seed, trial, other, capacity, leak, balance, thermometer, every, lag, wished, taken);
    }

    /**
     * Plays a trial from its beginning to its end, hands taking the time they usually take.
     *
     * @param scene what is played
     * @return what was written down, and what was true
     */
    public Played atOnce(Scene scene) {
        Stage stage = new Stage(this, Optional.empty());
        scene.play(stage);
        return stage.played();
    }

    /**
     * {@return what hands do in a trial, in order}
     *
     * @param scene what is played
     */
    public List<Due> touches(Scene scene) {
        Stage stage = new Stage(this, Optional.empty());
        scene.play(stage);
        return stage.done();
    }

    /**
     * {@return how far what is known with a ± lies off, in its own standard uncertainty}
     *
     * @param seed it follows from
     */
    public static double error(long seed) {
        return new SplittableRandom(31 * seed + 5).nextGaussian();
    }

    /**
     * {@return a trial at its end, hands having taken the time they usually take}
     *
     * @param scene what is played
     */
    public Standing over(Scene scene) {
        Stage stage = new Stage(this, Optional.empty());
        scene.play(stage);
        return stage.standing(Optional.empty());
    }

    /**
     * Plays a trial as far as it has come.
     *
     * @param scene what is played
     * @param hand  when it did what it did so far, and how late it is
     * @return how it stands
     */
    public Standing at(Scene scene, Hand hand) {
        Stage stage = new Stage(this, Optional.of(hand));
        Optional<Touch> next = Optional.empty();
        try {
            scene.play(stage);
            stage.waitsForEver();
        } catch (Stage.NotYet not) {
            next = not.next();
        }
        return stage.standing(next);
    }

    /**
     * What a hand did so far.
     *
     * @param touched when each touch was (s), in order
     * @param now     how late it is (s)
     */
    public record Hand(List<Double> touched, double now) {}

    /**
     * What a hand does next.
     *
     * @param kind of touch
     * @param path the slot it is for
     * @param about how much, where something is poured or weighed (g); 0 elsewhere
     */
    public record Touch(Kind kind, String path, double about) {}

    /**
     * A touch with the time hands usually take for it.
     *
     * @param touch   that is done
     * @param usually since the one before (s)
     */
    public record Due(Touch touch, double usually) {}

    /** What hands do. */
    public enum Kind {
        /** Something is weighed. */
        WEIGH,
        /** The thermometer is put in, and read. */
        READ,
        /** Both are brought together, or a flame is lit. */
        MARK
    }

    /**
     * How a trial stands.
     *
     * @param now     (s)
     * @param next    what the hand does next; empty where the trial is over
     * @param written what instruments showed and labels said so far
     * @param shows   what the thermometer shows (°C)
     * @param fill    what the vessel holds (g)
     * @param holds   what the vessel can hold (g)
     * @param lid     whether its lid is on
     * @param curve   what the thermometer showed
     * @param settled second from which on it had settled in what it stays in
     * @param mixed   second at which the mixing was marked; NaN while it was not
     */
    public record Standing(
            double now,
            Optional<Touch> next,
            List<Written> written,
            double shows,
            double fill,
            double holds,
            boolean lid,
            List<Sample> curve,
            double settled,
            double mixed) {}

    /**
     * One reading of the curve.
     *
     * @param seconds     (s)
     * @param temperature as the thermometer shows it (°C)
     */
    public record Sample(double seconds, double temperature) {}

    /** How something is known. */
    public enum Way {
        /** Read on an instrument. */
        READ,
        /** The full side of a weighing by difference. */
        GROSS,
        /** The empty side of a weighing by difference. */
        TARE,
        /** A volume that was measured out. */
        VOLUME,
        /** A word, a formula. */
        STATED,
        /** Said by a label or a packet, with its ±. */
        ASSUMED
    }

    /**
     * Something written down.
     *
     * @param path        of the slot, as the experiment declares it
     * @param way         how it is known
     * @param text        as it is written
     * @param unit        symbol of its unit; empty for a word
     * @param uncertainty of what a label says, as it is written; empty elsewhere
     * @param on          what showed it
     */
    public record Written(
            String path, Way way, String text, String unit, String uncertainty, Optional<Instrument> on) {}

    /**
     * Something that was true, and that nobody saw.
     *
     * @param what it is, in words
     * @param value of it
     * @param unit  symbol of its unit
     */
    public record Truth(String what, double value, String unit) {}

    /**
     * A trial that was played.
     *
     * @param written what was written down, in order
     * @param curve   what the thermometer showed
     * @param settled second from which on the thermometer had settled in what it stays in
     * @param mixed   second at which the mixing was marked; NaN where it was not
     * @param sought  the true value of what the experiment seeks, in the unit of its result
     * @param truths  what else was true
     * @param known   key of the substance it truly was, where that is what is sought; empty elsewhere
     */
    public record Played(
            List<Written> written,
            List<Sample> curve,
            double settled,
            double mixed,
            double sought,
            List<Truth> truths,
            Optional<String> known) {}
}
