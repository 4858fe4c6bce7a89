package lab.sassafras.experiment;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.CalorimeterTreatment;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.Evidence;
import lab.sassafras.convention.LiquidDensity;
import lab.sassafras.convention.MassWay;
import lab.sassafras.convention.Question;
import lab.sassafras.convention.School;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.curve.Baselines;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Expression;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.Scope;
import lab.sassafras.measure.Shared;
import lab.sassafras.statistics.Combination;
import lab.sassafras.statistics.TrialResult;
import lab.sassafras.substance.PullsWater;
import org.jspecify.annotations.Nullable;

/**
 * Everything read so far in one entry, in the order it was given: only lines that still stand, and the setting.
 * Immutable. Later lines win over earlier ones in the same place, and the sheet says so.
 */
public final class Sheet implements Evidence {

    private final Experiment experiment;
    private final List<Line> lines;
    private final Setting setting;
    private final List<Finding> reservations;
    private final Places places;
    private final boolean blueprint;
    private volatile @Nullable Bindings bindings;
    private final Map<Ways, Map<String, Expression>> quantities = new ConcurrentHashMap<>();

    /** What decides how a quantity of a trial is drawn up. */
    private record Ways(int trial, MassWay mass, LiquidDensity density) {}

    /** By trial; read once for all schools. */
    private final Map<Integer, Optional<CurveReadings>> curves;

    /**
     * A sheet never stored.
     *
     * @param experiment what kind of run it is
     * @param lines      what stands, in the order given
     * @param setting    what surrounds the readings
     */
    public Sheet(Experiment experiment, List<Line> lines, Setting setting) {
        this(experiment, lines, setting, List.of());
    }

    /**
     * A sheet read back from what is stored.
     *
     * @param experiment   what kind of run it is
     * @param lines        what stands, in the order given
     * @param setting      what surrounds the readings
     * @param reservations what of the stored rows could not be read, and why
     */
    public Sheet(Experiment experiment, List<Line> lines, Setting setting, List<Finding> reservations) {
        this(experiment, lines, setting, reservations, false, new ConcurrentHashMap<>());
    }

    private Sheet(
            Experiment experiment,
            List<Line> lines,
            Setting setting,
            List<Finding> reservations,
            boolean blueprint,
            Map<Integer, Optional<CurveReadings>> curves) {
        this.blueprint = blueprint;
        this.curves = curves;
        this.experiment = experiment;
        this.lines = List.copyOf(lines);
        this.setting = setting;
        this.reservations = List.copyOf(reservations);
        this.places = new Places(experiment, setting);
        lines.forEach(places::add);
    }

    /** {@return what kind of run it is} */
    public Experiment experiment() {
        return experiment;
    }

    /** {@return what surrounds the readings} */
    public Setting setting() {
        return setting;
    }

    /**
     * {@return the same lines under another setting}
     *
     * @param other the other one
     */
    public Sheet with(Setting other) {
        boolean sameReadings = other.traces().equals(setting.traces());
        return new Sheet(
                experiment, lines, other, reservations, false, sameReadings ? curves : new ConcurrentHashMap<>());
    }

    /**
     * {@return the same with one more line}
     *
     * @param more one more line
     */
    public Sheet with(Line more) {
        return new Sheet(
                experiment, Stream.concat(lines.stream(), Stream.of(more)).toList(), setting, reservations);
    }

    /**
     * {@return the same with another answer in words in one place}
     *
     * @param address where it stands
     * @param answer  in place of what was answered there
     */
    public Sheet answering(Address address, String answer) {
        Line other = new Line(
                address, Role.STATED, answer, 0, -1, 0, Optional.empty(), Optional.empty(), OptionalDouble.empty(), "");
        return new Sheet(
                experiment,
                Stream.concat(lines.stream().filter(each -> !each.address().equals(address)), Stream.of(other))
                        .toList(),
                setting,
                reservations);
    }

    /**
     * {@return the same with another number in place of one that was typed}
     *
     * @param typed one of its lines
     * @param text  in place of what was typed
     * @param more  how much more that is (bench unit)
     */
    public Sheet retyped(Line typed, String text, double more) {
        Line other = new Line(
                typed.address(),
                typed.role(),
                text,
                typed.value() + more,
                typed.decimals(),
                typed.lastDigit(),
                typed.unit(),
                typed.instrument(),
                typed.uncertainty(),
                typed.who());
        return new Sheet(
                experiment,
                lines.stream().map(each -> each.equals(typed) ? other : each).toList(),
                setting,
                reservations);
    }

    /**
     * A sheet nobody reads numbers from, on which nothing counts as missing: for looking at the books it leads to.
     *
     * @param lines what decides which books are drawn up
     */
    static Sheet blueprint(Experiment experiment, List<Line> lines, Setting setting) {
        return new Sheet(experiment, lines, setting, List.of(), true, new ConcurrentHashMap<>());
    }

    boolean blueprint() {
        return blueprint;
    }

    /** {@return what of the stored rows could not be read, and why; empty for a sheet never stored} */
    public List<Finding> reservations() {
        return reservations;
    }

    Places places() {
        return places;
    }

    /** {@return what stands, in the order given} */
    public List<Line> lines() {
        return lines;
    }

    /** {@return where anything stands, in the order first given} */
    public Set<Address> addresses() {
        return places.addresses();
    }

    /**
     * {@return every line that stands at an address; more than one in a role is a conflict}
     *
     * @param address where it stands
     */
    public List<Line> at(Address address) {
        return places.at(address);
    }

    /**
     * {@return the line that counts at an address in a role}
     *
     * @param address where it stands
     * @param role    what the value is to its slot
     */
    public Optional<Line> line(Address address, Role role) {
        return places.line(address, role);
    }

    /**
     * {@return the word, formula or reference stated at an address}
     *
     * @param address where it stands
     */
    public Optional<String> stated(Address address) {
        return line(address, Role.STATED).map(Line::text);
    }

    /** {@return how many trials were opened} */
    public int trials() {
        return setting.trials();
    }

    /**
     * {@return how many parts a repeated group has}
     *
     * @param group key of the group
     */
    public int parts(String group) {
        return setting.parts().getOrDefault(group, 1);
    }

    /**
     * {@return indices at which a group stands, from 1}
     *
     * @param group as declared
     */
    public IntStream indices(Group group) {
        return places.indices(group);
    }

    /**
     * {@return whether there is such a place: its group is declared and has that number now}
     *
     * @param address where it stands
     */
    public boolean stands(Address address) {
        return experiment.slot(address.path()).isPresent()
                && experiment
                        .group(address.group())
                        .filter(group -> places.stands(group, address.index()))
                        .isPresent();
    }

    /**
     * {@return what the sample of a trial is called; empty where no names were given}
     *
     * @param trial which trial, from 1
     */
    public String sample(int trial) {
        return places.sample(trial);
    }

    /**
     * {@return the first trial made with the same sample}
     *
     * @param trial which trial, from 1
     */
    public int firstOfSample(int trial) {
        return places.firstOfSample(trial);
    }

    /**
     * {@return the index a group has for a trial}
     *
     * @param group as declared
     * @param trial which trial, from 1
     */
    public int index(Group group, int trial) {
        return switch (group.cardinality()) {
            case PER_TRIAL -> trial;
            case PER_SAMPLE -> firstOfSample(trial);
            case ONCE, PER_PART -> 1;
        };
    }

    /**
     * {@return what was chosen, typed or named in a slot, as it holds for a trial}
     *
     * @param path  group and slot, as an experiment declares them
     * @param trial which trial, from 1
     */
    public Optional<String> stated(String path, int trial) {
        return stated(address(path, trial));
    }

    /**
     * {@return the number that counts in a slot, as it holds for a trial}
     *
     * @param path  group and slot, as an experiment declares them
     * @param trial which trial, from 1
     */
    public Optional<Line> reading(String path, int trial) {
        return reading(address(path, trial));
    }

    /**
     * {@return where a slot stands for a trial}
     *
     * @param path  group and slot, as an experiment declares them
     * @param trial which trial, from 1
     */
    public Address address(String path, int trial) {
        Address any = Address.of(path, 1);
        return experiment
                .group(any.group())
                .map(group -> Address.of(path, index(group, trial)))
                .orElse(any);
    }

    /**
     * What lies weighed and open to the air, pulling water from it.
     *
     * @param place where its mass stands
     * @param name  of the substance
     */
    public record Exposed(Address place, String name) {}

    /**
     * {@return what of a trial lies weighed and pulls water from the air until it is added; empty where nothing does}
     *
     * @param trial which trial, from 1
     */
    public Optional<Exposed> exposed(int trial) {
        boolean added = stated(CommonPlaces.TRACE, trial).isPresent()
                || experiment.mixing().flatMap(path -> stated(path, trial)).isPresent()
                || experiment
                        .finalReading()
                        .flatMap(path -> reading(path, trial))
                        .isPresent();
        return added
                ? Optional.empty()
                : experiment.procedure().stream()
                        .filter(step -> step.exposed().isPresent()
                                && reading(step.path(), trial).isPresent())
                        .flatMap(step -> step.exposed().flatMap(formula -> stated(formula, trial)).stream()
                                .flatMap(formula -> PullsWater.name(formula).stream())
                                .map(name -> new Exposed(address(step.path(), trial), name)))
                        .findFirst();
    }

    /**
     * {@return what must be ticked off before a step of a trial is taken, and is not; empty where it may be taken}
     *
     * @param step where it stands
     */
    public List<Address> unticked(Address step) {
        return experiment.tickedBefore().getOrDefault(step.path(), List.of()).stream()
                .map(path -> address(path, step.index()))
                .filter(address -> !filled(address))
                .toList();
    }

    /** {@return the final temperature predicted before mixing} */
    public Optional<Line> prediction() {
        return reading(Address.of(CommonPlaces.PREDICTION, 1));
    }

    /**
     * {@return what makes the result of the trials: what was put in force, where this experiment knows it and it is
     * open to them, else the first that is}
     *
     * @param trials those that count
     */
    public Combination combination(List<TrialResult> trials) {
        List<Combination> open = experiment.combinations().stream()
                .filter(each -> each.open(trials))
                .toList();
        return open.stream()
                .filter(each -> each.key().equals(setting.combination()))
                .findFirst()
                .orElseGet(() -> open.get(0));
    }

    /**
     * {@return the vessel a trial used}
     *
     * @param trial which trial, from 1
     */
    public Optional<Calorimeter> calorimeter(int trial) {
        return stated(CommonPlaces.VESSEL, trial)
                .map(setting.calorimeters()::get)
                .or(setting::calorimeter);
    }

    /**
     * {@return what a trial's readings on a clock give; empty where it has none, or none that can be read}
     *
     * @param trial which trial, from 1
     */
    Optional<CurveReadings> readings(int trial) {
        return curves.computeIfAbsent(trial, this::readCurve);
    }

    /**
     * What lay in the vessel before mixing, as a part of all the liquid in it after: by their masses, 1 while they
     * lack.
     */
    private double poured(int trial) {
        return experiment
                .span()
                .map(span -> {
                    String group = Address.of(span.start(), trial).group();
                    double before = liquid(trial, group::equals);
                    double all = liquid(trial, any -> true);
                    return before > 0 && all > 0 ? before / all : 1.0;
                })
                .orElse(1.0);
    }

    private double liquid(int trial, Predicate<String> of) {
        return experiment.groups().stream()
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL && of.test(group.key()))
                .flatMap(group -> group.slots().stream()
                        .filter(Slot::byVolume)
                        .flatMap(slot -> reading(group.key() + "/" + slot.key(), trial).stream()))
                .mapToDouble(Line::value)
                .sum();
    }

    private Optional<CurveReadings> readCurve(int trial) {
        Address address = Address.of(CommonPlaces.TRACE, trial);
        Optional<String> stated = stated(address);
        try {
            return stated.flatMap(text -> TraceSlot.curve(text, setting, poured(trial)))
                    .map(curve -> new CurveReadings(
                            address,
                            Baselines.of(curve),
                            stated.flatMap(TraceUse::of)
                                    .map(TraceUse::trace)
                                    .map(setting.traces()::get)
                                    .flatMap(Logged::thermometer)));
        } catch (Refused unread) {
            return Optional.empty();
        }
    }

    /**
     * {@return which of a trial's readings on a clock are baseline; empty where it has none that can be read}
     *
     * @param trial which trial, from 1
     */
    public Optional<Baselines> baselines(int trial) {
        return readings(trial).map(CurveReadings::baselines);
    }

    @Override
    public boolean readOnAClock() {
        return IntStream.rangeClosed(1, trials())
                .anyMatch(trial -> readings(trial).isPresent());
    }

    /**
     * Whether a trial's curve gives what stands at an address: the two temperatures, what tells their drift, and the
     * moment of mixing.
     */
    private boolean givenByCurve(Address address) {
        if (experiment.mixing().filter(address.path()::equals).isPresent()
                && stated(Address.of(CommonPlaces.TRACE, address.index())).isPresent()) {
            return true;
        }
        boolean picked = setting.conventions().in(Question.CHANGE) == TemperatureChange.PICKED;
        return (ofTheChange(address) && !picked || address.group().equals(TemperatureChange.DRIFT))
                && readings(address.index()).isPresent();
    }

    /** Whether the temperature before or after mixing stands there. */
    private boolean ofTheChange(Address address) {
        return experiment
                .span()
                .filter(span ->
                        span.start().equals(address.path()) || span.end().equals(address.path()))
                .isPresent();
    }

    /** Whether a trial tells how its temperatures drifted by rows typed before there were readings on a clock. */
    boolean driftTyped(int trial) {
        return places.addresses().stream()
                .anyMatch(each ->
                        each.index() == trial && each.group().equals(TemperatureChange.DRIFT) && places.holds(each));
    }

    /**
     * {@return whether the slot at an address has all it needs}
     *
     * @param address where it stands
     */
    public boolean filled(Address address) {
        boolean pair = line(address, Role.GROSS).isPresent()
                && line(address, Role.TARE).isPresent();
        return pair
                || at(address).stream().anyMatch(line -> line.role() != Role.GROSS && line.role() != Role.TARE)
                || givenByCurve(address);
    }

    /**
     * {@return whether a mass counts as the difference of two readings: both are there, and neither is older than a
     * direct reading of the same mass}
     *
     * @param address where it stands
     */
    public boolean byDifference(Address address) {
        List<Line> here = at(address);
        if (line(address, Role.GROSS).isEmpty() || line(address, Role.TARE).isEmpty()) {
            return false;
        }
        Role last = here.get(here.size() - 1).role();
        return last == Role.GROSS || last == Role.TARE;
    }

    /**
     * {@return how a quantity counts: in the way in force where it was got so, else in the way given last; empty while
     * it lacks}
     *
     * @param address where it stands
     * @param inForce the one in force
     */
    public Optional<Role> roleThatCounts(Address address, MassWay inForce) {
        List<Line> here = at(address);
        if (here.size() == 1 && !here.get(0).role().half()) {
            return Optional.of(here.get(0).role());
        }
        boolean pair = difference(address)
                .filter(mass ->
                        mass >= 0 || here.stream().allMatch(line -> line.role().half()))
                .isPresent();
        List<Role> got = here.stream()
                .map(Line::role)
                .filter(role -> !role.half() || pair)
                .map(role -> role.half() ? Role.GROSS : role)
                .toList();
        return got.stream()
                .filter(role -> inForce == wayOf(role))
                .findFirst()
                .or(() -> got.stream().reduce((earlier, later) -> later));
    }

    private static MassWay wayOf(Role role) {
        return switch (role) {
            case GROSS, TARE -> MassWay.DIFFERENCE;
            case VOLUME -> MassWay.VOLUME;
            case READ -> MassWay.ZEROED;
            case ASSUMED, TREND, STATED -> MassWay.AS_GIVEN;
        };
    }

    @Override
    public boolean got(MassWay way) {
        return lines.stream().anyMatch(line -> wayOf(line.role()) == way);
    }

    @Override
    public boolean sameMasses(MassWay one, MassWay other) {
        return places.addresses().stream()
                .allMatch(address -> roleThatCounts(address, one).equals(roleThatCounts(address, other)));
    }

    @Override
    public boolean vesselServes(CalorimeterTreatment.Needs needs) {
        return setting.calorimeter().filter(vessel -> vessel.serves(needs)).isPresent();
    }

    /**
     * {@return whether the readings and the vessel could tell a school from the one in force}
     *
     * @param question of convention
     * @param school   one way of settling it
     */
    public boolean canTell(Question<?> question, School school) {
        return school.applies(this)
                && (readOnAClock() && school instanceof TemperatureChange
                        || experiment.neededBy(question, school).stream()
                                .allMatch(path -> places.holds(Address.of(path, 1))));
    }

    /**
     * {@return the line a plain quantity goes by: the last one given that is not half of a pair}
     *
     * @param address where it stands
     */
    public Optional<Line> reading(Address address) {
        return at(address).stream()
                .filter(line -> !line.role().half() && line.role() != Role.STATED)
                .reduce((earlier, later) -> later);
    }

    /**
     * {@return the mass by difference (g), where both sides were read}
     *
     * @param address where it stands
     */
    public Optional<Double> difference(Address address) {
        return line(address, Role.GROSS)
                .flatMap(gross -> line(address, Role.TARE).map(tare -> gross.value() - tare.value()));
    }

    /**
     * {@return a fresh draft of the books of one trial}
     *
     * @param trial       which trial, from 1
     * @param conventions the schools in force
     */
    public Draft draft(int trial, Conventions conventions) {
        return new Draft(this, trial, conventions);
    }

    /**
     * {@return every number on the sheet with its uncertainty, by input name, over those of the reference shelf}
     */
    public Bindings bindings() {
        Bindings known = bindings;
        if (known == null) {
            known = bound();
            bindings = known;
        }
        return known;
    }

    private Bindings bound() {
        Map<String, Measured> values = new LinkedHashMap<>();
        for (Line line : lines) {
            experiment
                    .slot(line.address().path())
                    .flatMap(slot -> slot.number(line, setting))
                    .ifPresent(value -> values.put(line.key(), heldInCommon(line, value)));
        }
        for (int trial = 1; trial <= trials(); trial++) {
            readings(trial).ifPresent(curve -> curve.bind(values));
        }
        setting.calorimeter().ifPresent(vessel -> vessel.bind(values));
        setting.calorimeters().values().forEach(vessel -> vessel.bind(values));
        return Bindings.of(values).over(setting.shelf().inputs());
    }

    /**
     * Quantities of a trial already drawn up the same way, by path: the schools differ in little, and ask for the
     * same readings.
     */
    Map<String, Expression> quantities(int trial, Conventions conventions) {
        return quantities.computeIfAbsent(
                new Ways(trial, conventions.in(Question.MASS), conventions.in(Question.DENSITY)),
                any -> new ConcurrentHashMap<>());
    }

    /**
     * A number read once is one and the same in every trial; one that stands for something else keeps what it shares.
     */
    private Measured heldInCommon(Line line, Measured value) {
        if (line.role() == Role.ASSUMED && perTrial(line)) {
            return assumedOnce(line, value);
        }
        return line.role() == Role.STATED || perTrial(line)
                ? value
                : value.heldInCommon(
                        line.key(), experiment.words().label(line.address().path()), Scope.ENTRY);
    }

    /**
     * What nobody measured is off the same way in every trial: one source, of which each trial has as much as its ±
     * says.
     */
    private Measured assumedOnce(Line line, Measured value) {
        String path = line.address().path();
        Shared source = new Shared(
                path + "." + Role.ASSUMED.key(),
                experiment.words().label(path) + ", assumed",
                1,
                Double.POSITIVE_INFINITY,
                Scope.ENTRY);
        return new Measured(
                value.value(),
                0,
                Double.POSITIVE_INFINITY,
                List.of(new Measured.Share(source, value.ownUncertainty())),
                value.decimals());
    }

    private boolean perTrial(Line line) {
        return experiment
                .group(line.address().group())
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL)
                .isPresent();
    }

    /**
     * {@return the steps of one trial in order, each at its address; steps whose condition fails are left out}
     *
     * @param trial which trial, from 1
     */
    public List<Ask> asks(int trial) {
        return steps(trial).filter(ask -> !ask.step().aside() || done(ask)).toList();
    }

    /**
     * {@return what may be added to a trial and was not}
     *
     * @param trial which trial, from 1
     */
    public List<Ask> asides(int trial) {
        return steps(trial)
                .filter(ask -> ask.step().offer() == Step.Offer.ASIDE && !done(ask))
                .toList();
    }

    private Stream<Ask> steps(int trial) {
        return experiment.procedure().stream()
                .filter(step -> step.under()
                        .map(under -> under.holds(setting.conventions()))
                        .orElse(true))
                .flatMap(step -> {
                    Group group =
                            experiment.group(Address.of(step.path(), 1).group()).orElseThrow();
                    boolean each = group.cardinality() == Cardinality.PER_TRIAL
                            || group.cardinality() == Cardinality.PER_SAMPLE;
                    return indices(group)
                            .filter(index -> each ? index == trial : trial == 1)
                            .mapToObj(index -> Address.of(step.path(), index))
                            .filter(address -> asked(step, address))
                            .map(address -> new Ask(step, address));
                });
    }

    /**
     * {@return whether what a step asks for stands: its half of a weighing, or all its slot needs}
     *
     * @param ask the step at its address
     */
    public boolean done(Ask ask) {
        return ask.step()
                .half()
                .filter(half ->
                        at(ask.address()).stream().allMatch(line -> line.role().half()))
                .map(half -> line(ask.address(), half).isPresent())
                .orElseGet(() -> filled(ask.address()));
    }

    /**
     * One step at its address.
     *
     * @param step    what is done
     * @param address where its answer goes
     */
    public record Ask(Step step, Address address) {}

    private boolean asked(Step step, Address address) {
        if (step.path().equals(CommonPlaces.TRACE) && driftTyped(address.index())) {
            return stated(address).isPresent();
        }
        boolean told = step.offer() == Step.Offer.EARLIER
                || givenByCurve(address)
                || ofTheChange(address)
                        && setting.conventions().in(Question.CHANGE).takesACurve()
                        && !driftTyped(address.index());
        if (told && at(address).isEmpty()) {
            return false;
        }
        return step.condition()
                .map(condition -> {
                    Group group = experiment
                            .group(Address.of(condition.path(), 1).group())
                            .orElseThrow();
                    int index = group.cardinality() == Cardinality.ONCE ? 1 : address.index();
                    return stated(Address.of(condition.path(), index))
                            .filter(condition.answers()::contains)
                            .isPresent();
                })
                .orElse(true);
    }
}
