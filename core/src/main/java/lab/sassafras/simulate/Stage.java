package lab.sassafras.simulate;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.function.Predicate;
import lab.sassafras.measure.Refused;
import lab.sassafras.substance.ChemicalEquation;
import lab.sassafras.substance.ChemicalFormula;
import lab.sassafras.substance.DilutionHeats;
import lab.sassafras.substance.Dissolution;
import lab.sassafras.substance.Reference;
import lab.sassafras.substance.ReferenceShelf;

/** What one trial is played on: a world, hands that take their time, instruments, and what is written down. */
public final class Stage {

    /** A hand takes so long for one thing, unless it is said otherwise (s). No source. */
    private static final double A_MOMENT = 20;
    /** A probe that touched something shows so much more at first (°C), and rejoins after a while (s). No source. */
    private static final double TOUCHED = 6;

    private static final double REJOINS = 12;
    /** Of readings that drop out, one in so many does (no source). */
    private static final int DROPS = 8;
    /** A mark that comes late comes so late (s). No source. */
    private static final double LATE = 25;
    /** After so many time constants, and what its vessel takes, a thermometer shows what it stands in. No source. */
    private static final double SETTLES = 20;
    /** A usual cup holds so much (g). No source. */
    private static final double CUP = 250;

    private final Bench bench;
    private final Optional<Bench.Hand> hand;
    private final World world = new World();
    private final Lump room;
    private final Lump probe;
    private final Meter balance;
    private final Meter thermometer;
    private final Meter other;
    private final List<Bench.Written> written = new ArrayList<>();
    private final List<Bench.Sample> curve = new ArrayList<>();
    private final List<Bench.Truth> truths = new ArrayList<>();
    private final List<Bench.Due> done = new ArrayList<>();
    private final double roomTemperature;
    private Optional<Flow> dipped = Optional.empty();
    private Lump filled;
    private double holds = CUP;
    private int touches;
    private int looked;
    private boolean lid = true;
    private boolean exchanged;
    private double settled;
    private double together = Double.POSITIVE_INFINITY;
    private double mixed = Double.NaN;
    private double sought = Double.NaN;
    private Optional<String> was = Optional.empty();

    Stage(Bench bench, Optional<Bench.Hand> hand) {
        this.bench = bench;
        this.hand = hand;
        this.balance = new Meter(bench.balance(), drawn(bench.balance().key()));
        this.thermometer =
                new Meter(bench.thermometer(), drawn(bench.thermometer().key()));
        this.other = new Meter(
                bench.thermometer()
                        .keyed(bench.thermometer().key() + "-2")
                        .called("other " + bench.thermometer().name()),
                drawn("other thermometer"));
        this.roomTemperature = at("room/temperature", once("room", 20, 24));
        this.room = world.still("room", roomTemperature, Matter.WATER);
        this.probe = world.solid("probe", 1, roomTemperature);
        this.filled = probe;
    }

    /** A touch that was not done yet: playing stops there. */
    static final class NotYet extends RuntimeException {
        private static final long serialVersionUID = 1L;

        private final transient Optional<Bench.Touch> next;

        NotYet(Optional<Bench.Touch> next) {
            super("not yet", null, false, false);
            this.next = next;
        }

        Optional<Bench.Touch> next() {
            return next;
        }
    }

    private SplittableRandom drawn(String what) {
        long mixedSeed = bench.seed() * 0x9E3779B97F4A7C15L ^ what.hashCode() * 0xC2B2AE3D27D4EB4FL;
        return new SplittableRandom(mixedSeed);
    }

    private SplittableRandom each(String what) {
        return drawn(what + " " + bench.trial());
    }

    /**
     * {@return a number that is the same in every trial}
     *
     * @param what it is
     * @param low  end
     * @param high end
     */
    public double once(String what, double low, double high) {
        return low + (high - low) * drawn(what).nextDouble();
    }

    /**
     * {@return a number drawn for this trial}
     *
     * @param what it is
     * @param low  end
     * @param high end
     */
    public double now(String what, double low, double high) {
        return low + (high - low) * each(what).nextDouble();
    }

    /**
     * {@return what is wished for in a place, where something is}
     *
     * @param path  of the slot
     * @param drawn what it is else (bench unit)
     */
    public double at(String path, double drawn) {
        return bench.wished().getOrDefault(path, drawn);
    }

    /**
     * {@return the error of something that is known with a ±, the same in every trial}
     *
     * @param what        it is
     * @param uncertainty standard uncertainty
     */
    public double error(String what, double uncertainty) {
        return uncertainty * drawn(what).nextGaussian();
    }

    private double off(Reference reference) {
        return reference.value() + error(reference.key(), reference.uncertainty());
    }

    /**
     * {@return a value of the handbook, as far off as that is uncertain, the same in every trial}
     *
     * @param property its name on the shelf
     */
    public double known(String property) {
        return off(ReferenceShelf.standard().property(property));
    }

    /**
     * {@return the heat of a reaction by the handbook, as far off as that is uncertain (kJ per mole as written)}
     *
     * @param equation of it
     */
    public double heatOf(String equation) {
        return off(
                ReferenceShelf.standard().heat(ChemicalEquation.read(equation)).orElseThrow());
    }

    /**
     * {@return the heat of a salt dissolving at a dilution by the handbook, as far off as that is uncertain (kJ/mol)}
     *
     * @param formula of it
     * @param waters  moles of water to each mole
     */
    public double heatOfSolution(String formula, double waters) {
        ReferenceShelf shelf = ReferenceShelf.standard();
        ChemicalFormula solid = ChemicalFormula.read(formula);
        ChemicalFormula dissolved =
                ChemicalEquation.dissolving(solid).products().get(0).formula();
        Optional<Dissolution> infinite = shelf.heatOfSolution(solid, Double.MAX_VALUE);
        Optional<DilutionHeats.Row> dilution = shelf.dilutionHeats().at(dissolved, waters + solid.boundWater());
        return infinite.isPresent() && dilution.isPresent()
                ? off(infinite.get().reference())
                        + dilution.get().value()
                        + error("dilution", dilution.get().uncertainty())
                : off(shelf.heatOfSolution(solid, waters).orElseThrow().reference());
    }

    /**
     * {@return one of several, the same in every trial: the one that is asked for, else drawn}
     *
     * @param what it is
     * @param all  of them
     * @param <T>  their kind
     */
    public <T> T one(String what, List<T> all) {
        return all.stream()
                .filter(each -> each.equals(bench.taken()))
                .findFirst()
                .orElseGet(() -> all.get(drawn(what).nextInt(all.size())));
    }

    /**
     * {@return one of several, the same in every trial: the one that is asked for where it can be had, else drawn}
     *
     * @param what it is
     * @param all  of them, of which one is drawn
     * @param can  whether another that is asked for can be had
     */
    public String taking(String what, List<String> all, Predicate<String> can) {
        return !bench.taken().isEmpty() && can.test(bench.taken()) ? bench.taken() : one(what, all);
    }

    /** {@return what there is} */
    public World world() {
        return world;
    }

    /** {@return the room} */
    public Lump room() {
        return room;
    }

    /** {@return temperature of the room (°C)} */
    public double roomTemperature() {
        return roomTemperature;
    }

    /** {@return true heat capacity of the calorimeter, the thermometer in it (J/°C)} */
    public double capacity() {
        return bench.trueCapacity();
    }

    /**
     * {@return whether something goes wrong}
     *
     * @param slip what
     */
    public boolean slips(Slip slip) {
        return bench.slips().contains(slip);
    }

    /**
     * A calorimeter that holds something, its wall and its loss to the room with it. The thermometer stands in it.
     *
     * @param contents what it holds
     * @return its wall
     */
    public Lump calorimeter(Lump contents) {
        return calorimeter(contents, capacity() - 1, bench.leak(), 2.0);
    }

    /**
     * A vessel that holds something.
     *
     * @param contents what it holds
     * @param capacity of its wall (J/°C)
     * @param leak     what it loses to the room (W/°C)
     * @param touches  what goes between its contents and its wall (W/°C)
     * @return its wall
     */
    public Lump calorimeter(Lump contents, double capacity, double leak, double touches) {
        Lump wall = world.solid("wall", capacity, world.temperature(contents));
        world.flow(Flows.exchange(contents, wall, () -> touches));
        world.flow(Flows.exchange(contents, room, () -> leak * (slips(Slip.LID_OFF) ? 3 : 1)));
        if (contents.matters().contains(Matter.WATER)) {
            world.flow(Flows.evaporation(contents, room, 0.4, () -> slips(Slip.LID_OFF) ? 4e-5 : 0));
        }
        lid = !slips(Slip.LID_OFF);
        filled = contents;
        return wall;
    }

    /**
     * The vessel that is looked at, where it is no cup.
     *
     * @param contents what it holds
     * @param most     it can hold (g)
     */
    public void filled(Lump contents, double most) {
        filled = contents;
        holds = most;
    }

    /**
     * A label, a formula, something seen: written down as it is.
     *
     * @param path of the slot
     * @param word what is written
     */
    public void says(String path, String word) {
        written.add(new Bench.Written(path, Bench.Way.STATED, word, "", "", Optional.empty()));
    }

    /**
     * What a label says, with its ±.
     *
     * @param path        of the slot
     * @param value       it says
     * @param decimals    it is written with
     * @param uncertainty standard uncertainty
     * @param unit        symbol of its unit
     */
    public void label(String path, double value, int decimals, double uncertainty, String unit) {
        written.add(new Bench.Written(
                path, Bench.Way.ASSUMED, text(value, decimals), unit, String.valueOf(uncertainty), Optional.empty()));
    }

    /**
     * What another meter shows, rounded to its last digit.
     *
     * @param path     of the slot
     * @param value    true value
     * @param decimals it shows
     * @param unit     symbol of its unit
     */
    public void meter(String path, double value, int decimals, String unit) {
        written.add(new Bench.Written(path, Bench.Way.READ, text(value, decimals), unit, "", Optional.empty()));
    }

    /**
     * A hand puts something on the balance.
     *
     * @param path  of the slot
     * @param about how much it aims at (g)
     * @return how much it is (g)
     */
    public double weighs(String path, double about) {
        double mass = at(path, about * (1 + 0.01 * (2 * each(path).nextDouble() - 1)));
        touch(Bench.Kind.WEIGH, path, at(path, about), A_MOMENT);
        balance(path, mass);
        return mass;
    }

    /**
     * What the balance shows of something.
     *
     * @param path of the slot
     * @param mass how much it is (g)
     */
    public void balance(String path, double mass) {
        String shown = text(
                balance.shows(mass, each(path + " balance")), bench.balance().decimals());
        if (slips(Slip.DIGITS) && !exchanged) {
            Optional<String> other = Digits.exchanged(shown);
            exchanged = other.isPresent();
            shown = other.orElse(shown);
        }
        written.add(new Bench.Written(path, Bench.Way.READ, shown, "g", "", Optional.of(bench.balance())));
    }

    /**
     * The thermometer is put into something, and follows it from then on.
     *
     * @param lump which
     */
    public void dip(Lump lump) {
        dipped.ifPresent(world::stop);
        Flow flow = Flows.exchange(lump, probe, () -> 1 / bench.lag());
        world.flow(flow);
        dipped = Optional.of(flow);
        settled = Math.rint(world.seconds() + SETTLES * bench.lag());
    }

    /**
     * Waits, and reads the thermometer.
     *
     * @param path    of the slot
     * @param seconds waited for
     */
    public void reads(String path, double seconds) {
        touch(Bench.Kind.READ, path, 0, seconds);
        shown(path, thermometer, probe);
    }

    private void shown(String path, Meter by, Lump lump) {
        double shown = by.shows(world.temperature(lump), each(path + " thermometer"));
        written.add(new Bench.Written(
                path, Bench.Way.READ, text(shown, by.record().decimals()), "°C", "", Optional.of(by.record())));
    }

    /**
     * Reads something else by the other thermometer, which is quick.
     *
     * @param path    of the slot
     * @param lump    it is put into
     * @param seconds waited for
     */
    public void readsAside(String path, Lump lump, double seconds) {
        touch(Bench.Kind.READ, path, 0, seconds);
        shown(path, other, lump);
    }

    /**
     * A hand measures a volume.
     *
     * @param path  of the slot
     * @param about how much it aims at (mL)
     * @return how much it is (mL)
     */
    public double measures(String path, double about) {
        double volume = at(path, about + now(path, -0.3, 0.3));
        touch(Bench.Kind.WEIGH, path, at(path, about), A_MOMENT);
        written.add(new Bench.Written(path, Bench.Way.VOLUME, text(volume, 1), "mL", "", Optional.empty()));
        return volume;
    }

    /**
     * One side of a weighing by difference.
     *
     * @param path of the slot
     * @param full whether it is the full side
     * @param mass on the balance (g)
     */
    public void side(String path, boolean full, double mass) {
        touch(Bench.Kind.WEIGH, path, 0, A_MOMENT);
        written.add(new Bench.Written(
                path,
                full ? Bench.Way.GROSS : Bench.Way.TARE,
                text(balance.shows(mass, each(path + full)), bench.balance().decimals()),
                "g",
                "",
                Optional.of(bench.balance())));
    }

    /**
     * Both are brought together, or a flame is lit; it is marked on the clock.
     *
     * @param path of the moment
     */
    public void marks(String path) {
        touch(Bench.Kind.MARK, path, 0, A_MOMENT);
        together = world.seconds();
        mixed = slips(Slip.MARK_FORGOTTEN) ? Double.NaN : together + (slips(Slip.MARK_LATE) ? LATE : 0);
    }

    /**
     * Waits.
     *
     * @param seconds how long
     */
    public void waits(double seconds) {
        run(world.seconds() + seconds);
    }

    /**
     * What the experiment seeks is truly so.
     *
     * @param value in the unit of its result
     */
    public void seeks(double value) {
        sought = value;
    }

    /**
     * What it truly was, which nobody was told.
     *
     * @param substance its key on the shelf
     */
    public void was(String substance) {
        was = Optional.of(substance);
    }

    /**
     * Something is true that nobody sees.
     *
     * @param what  it is, in words
     * @param value of it
     * @param unit  symbol of its unit
     */
    public void truth(String what, double value, String unit) {
        truths.add(new Bench.Truth(what, value, unit));
    }

    private void touch(Bench.Kind kind, String path, double about, double usually) {
        double at = world.seconds() + usually;
        if (hand.isPresent()) {
            List<Double> touched = hand.get().touched();
            if (touches >= touched.size()) {
                run(hand.get().now());
                throw new NotYet(Optional.of(new Bench.Touch(kind, path, about)));
            }
            at = touched.get(touches);
        }
        touches++;
        done.add(new Bench.Due(new Bench.Touch(kind, path, about), usually));
        run(at);
    }

    List<Bench.Due> done() {
        return List.copyOf(done);
    }

    /** The trial is over; what is in the vessel goes on. */
    void waitsForEver() {
        run(hand.orElseThrow().now());
    }

    private void run(double until) {
        if (filled != probe && world.mass(filled) > holds) {
            throw new Refused("The vessel holds " + Math.round(holds) + " g: with " + Math.round(world.mass(filled))
                    + " g it runs over. Nothing is played.");
        }
        double limit = hand.map(Bench.Hand::now).orElse(Double.POSITIVE_INFINITY);
        boolean late = until > limit;
        double to = Math.min(until, limit);
        double first = (Math.floor(world.seconds() / bench.every()) + 1) * bench.every();
        if (first <= to) {
            world.run(first);
            look();
            world.run(to, bench.every(), now -> look(now.seconds(), now.temperature(probe)));
        } else {
            world.run(to);
        }
        if (late) {
            throw new NotYet(Optional.empty());
        }
    }

    private void look() {
        look(world.seconds(), world.temperature(probe));
    }

    private void look(double seconds, double temperature) {
        SplittableRandom drawn = each("curve " + looked++);
        double since = seconds - together;
        double rejoins = Math.max(REJOINS, 2 * bench.every());
        double touched = slips(Slip.SPIKE) && since >= 0 && since < rejoins ? TOUCHED * (1 - since / rejoins) : 0;
        double shown = thermometer.shows(temperature + touched, drawn);
        if (!slips(Slip.DROP_OUTS) || drawn.nextInt(DROPS) > 0) {
            curve.add(new Bench.Sample(Math.rint(seconds * 1000) / 1000, shown));
        }
    }

    Bench.Played played() {
        if (!Double.isFinite(sought) || written.isEmpty()) {
            throw new Refused("Nothing is poured and nothing is read in this scene: there is nothing to play.");
        }
        return new Bench.Played(
                List.copyOf(written), List.copyOf(curve), settled, mixed, sought, List.copyOf(truths), was);
    }

    Bench.Standing standing(Optional<Bench.Touch> next) {
        return new Bench.Standing(
                world.seconds(),
                next,
                List.copyOf(written),
                curve.isEmpty() ? roomTemperature : curve.get(curve.size() - 1).temperature(),
                filled == probe ? 0 : world.mass(filled),
                holds,
                lid,
                List.copyOf(curve),
                settled,
                mixed);
    }

    private static String text(double value, int decimals) {
        return String.format(Locale.ROOT, "%." + decimals + "f", value);
    }
}
