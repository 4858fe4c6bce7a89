package lab.sassafras.sheet;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import lab.sassafras.account.Finding;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.Conventions;
import lab.sassafras.convention.LiquidDensity;
import lab.sassafras.convention.MassWay;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.declaration.Declaration;
import lab.sassafras.expression.Bindings;
import lab.sassafras.expression.Expression;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Calorimeter;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Role;
import lab.sassafras.slot.Setting;
import org.jspecify.annotations.Nullable;

/**
 * Everything read so far in one entry, in the order it was given: only lines that still stand, and the setting.
 * Immutable. Later lines win over earlier ones in the same place, and the sheet says so.
 */
public final class Sheet {

    private final Declaration experiment;
    private final List<Line> lines;
    private final Setting setting;
    private final List<Finding> reservations;
    private final Places places;
    private final Aim aim;
    private volatile @Nullable Bindings bindings;
    private final Map<Ways, Map<String, Expression>> quantities = new ConcurrentHashMap<>();

    /** What decides how a quantity of a trial is drawn up. */
    private record Ways(int trial, MassWay mass, LiquidDensity density) {}

    private final TrialCurves curves;

    /**
     * A sheet never stored.
     *
     * @param experiment what kind of run it is
     * @param lines      what stands, in the order given
     * @param setting    what surrounds the readings
     */
    public Sheet(Declaration experiment, List<Line> lines, Setting setting) {
        this(experiment, lines, setting, List.of());
    }

    /** A sheet read back from what is stored, with what of its rows could not be read, and why. */
    Sheet(Declaration experiment, List<Line> lines, Setting setting, List<Finding> reservations) {
        this(experiment, lines, setting, reservations, Aim.USUAL, Optional.empty());
    }

    private Sheet(
            Declaration experiment,
            List<Line> lines,
            Setting setting,
            List<Finding> reservations,
            Aim aim,
            Optional<TrialCurves> read) {
        this.aim = aim;
        this.experiment = experiment;
        this.lines = List.copyOf(lines);
        this.setting = setting;
        this.reservations = List.copyOf(reservations);
        this.places = new Places(experiment, setting);
        lines.forEach(places::add);
        this.curves = new TrialCurves(this, read);
    }

    /** {@return what kind of run it is} */
    public Declaration experiment() {
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
                experiment, lines, other, reservations, aim, sameReadings ? Optional.of(curves) : Optional.empty());
    }

    /**
     * A sheet nobody reads numbers from, on which nothing counts as missing: for looking at the books it leads to.
     *
     * @param experiment what kind of run it is
     * @param lines      what decides which books are drawn up
     * @param setting    what surrounds the readings
     * @return the sheet
     */
    public static Sheet blueprint(Declaration experiment, List<Line> lines, Setting setting) {
        return new Sheet(experiment, lines, setting, List.of(), Aim.BLUEPRINT, Optional.empty());
    }

    /** {@return what it is to tell} */
    public Aim aim() {
        return aim;
    }

    /** The same with other lines, to tell something else. */
    Sheet with(List<Line> others, Aim other) {
        return new Sheet(experiment, others, setting, reservations, other, Optional.empty());
    }

    /** What of the stored rows could not be read, and why; empty for a sheet never stored. */
    List<Finding> reservations() {
        return reservations;
    }

    /** {@return where lines stand, and which places there are} */
    public Places places() {
        return places;
    }

    /** {@return what its trials' readings on a clock give} */
    public TrialCurves curves() {
        return curves;
    }

    /** {@return what its steps ask for} */
    public Tasks tasks() {
        return new Tasks(this);
    }

    /** {@return what the schools may ask of it} */
    public SheetEvidence evidence() {
        return new SheetEvidence(this);
    }

    /** {@return what it would be, were one thing otherwise} */
    public Supposed supposing() {
        return new Supposed(this);
    }

    /**
     * {@return how the quantity at an address was got}
     *
     * @param address where it stands
     */
    public Weighing weighing(Address address) {
        return new Weighing(at(address));
    }

    /** {@return what stands, in the order given} */
    public List<Line> lines() {
        return lines;
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
                .map(group -> Address.of(path, places.index(group, trial)))
                .orElse(any);
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
     * {@return whether the slot at an address has all it needs}
     *
     * @param address where it stands
     */
    public boolean filled(Address address) {
        boolean pair = line(address, Role.GROSS).isPresent()
                && line(address, Role.TARE).isPresent();
        return pair
                || at(address).stream().anyMatch(line -> line.role() != Role.GROSS && line.role() != Role.TARE)
                || curves.gives(address)
                || aim.seeks(address);
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
     * {@return every number on the sheet with its uncertainty, by input name, over those of the reference shelf}
     */
    public Bindings bindings() {
        Bindings known = bindings;
        if (known == null) {
            known = SheetNumbers.of(this);
            bindings = known;
        }
        return known;
    }

    /**
     * {@return quantities of a trial already drawn up the same way, by path, for whoever draws up books to add to: the
     * schools differ in little, and ask for the same readings}
     *
     * @param trial       which trial, from 1
     * @param conventions the schools in force
     */
    public Map<String, Expression> drawnUp(int trial, Conventions conventions) {
        return quantities.computeIfAbsent(
                new Ways(trial, conventions.in(ConventionQuestion.MASS), conventions.in(ConventionQuestion.DENSITY)),
                any -> new ConcurrentHashMap<>());
    }
}
