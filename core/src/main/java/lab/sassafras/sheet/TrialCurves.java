package lab.sassafras.sheet;

import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Predicate;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.CurvePurpose;
import lab.sassafras.curve.Mixing;
import lab.sassafras.curve.Stretch;
import lab.sassafras.curve.Told;
import lab.sassafras.declaration.Cardinality;
import lab.sassafras.declaration.CommonPlaces;
import lab.sassafras.measure.Refused;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Slot;
import lab.sassafras.slot.TraceSlot;

/** What a sheet's trials give by their readings on a clock, each curve read once for all schools. */
public final class TrialCurves {

    private final Sheet sheet;
    private final Map<Address, Optional<ToldByCurve>> told;

    TrialCurves(Sheet sheet, Optional<TrialCurves> alreadyRead) {
        this.sheet = sheet;
        this.told = alreadyRead.map(each -> each.told).orElseGet(ConcurrentHashMap::new);
    }

    /**
     * {@return what a trial's readings about a moment of mixing give; empty where it has none, or none that can be
     * read}
     *
     * @param trial which trial, from 1
     */
    public Optional<CurveReadings> readings(int trial) {
        Address address = Address.of(CommonPlaces.TRACE, trial);
        return toldAt(address)
                .map(ToldByCurve::told)
                .filter(Mixing.Read.class::isInstance)
                .map(read -> new CurveReadings(address, (Mixing.Read) read));
    }

    /**
     * What lay in the vessel before mixing, as a part of all the liquid in it after: by their masses, 1 while they
     * lack.
     */
    private double poured(int trial) {
        return sheet.experiment()
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
        return sheet.experiment().groups().stream()
                .filter(group -> group.cardinality() == Cardinality.PER_TRIAL && of.test(group.key()))
                .flatMap(group -> group.slots().stream()
                        .filter(Slot::byVolume)
                        .flatMap(slot -> sheet.reading(group.key() + "/" + slot.key(), trial).stream()))
                .mapToDouble(Line::value)
                .sum();
    }

    /**
     * {@return what the readings named at an address tell, by what the experiment reads from them; empty where none are
     * named, or they are not here}
     *
     * @param address where they are named
     */
    public Optional<Told> told(Address address) {
        return toldAt(address).map(ToldByCurve::told);
    }

    private static Told told(CurvePurpose purpose, Stretch stretch) {
        return stretch.unit().equals(purpose.reads())
                ? purpose.of(stretch)
                : new Told.None(
                        "These readings are in " + stretch.unit().symbol() + "; what is read from them here takes "
                                + purpose.reads().symbol() + ".");
    }

    /** With what it needs to become inputs of an account. */
    Optional<ToldByCurve> toldAt(Address address) {
        return told.computeIfAbsent(
                address,
                any -> Optional.ofNullable(sheet.experiment().curves().get(address.path()))
                        .flatMap(purpose -> sheet.stated(address).flatMap(text -> told(address, purpose, text))));
    }

    private Optional<ToldByCurve> told(Address address, CurvePurpose purpose, String text) {
        try {
            return (purpose.marked()
                            ? TraceSlot.mixed(text, sheet.setting(), poured(address.index()))
                            : TraceSlot.stretch(text, sheet.setting()))
                    .map(stretch -> new ToldByCurve(
                            address, purpose, told(purpose, stretch), TraceSlot.thermometer(text, sheet.setting())));
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

    /**
     * {@return whether a trial’s change is read from a curve in a way that takes off what its surroundings give or
     * take}
     *
     * @param trial which trial, from 1
     */
    public boolean corrected(int trial) {
        return sheet.setting()
                        .conventions()
                        .in(ConventionQuestion.CHANGE)
                        .way()
                        .filter(CurveMethod::corrects)
                        .isPresent()
                && baselines(trial).isPresent();
    }

    /**
     * Whether a trial's curve gives what stands at an address: the two temperatures, what tells their drift, and the
     * moment of mixing.
     */
    boolean gives(Address address) {
        if (sheet.experiment().mixing().filter(address.path()::equals).isPresent()
                && sheet.stated(Address.of(CommonPlaces.TRACE, address.index())).isPresent()) {
            return true;
        }
        boolean picked = sheet.setting().conventions().in(ConventionQuestion.CHANGE) == TemperatureChange.PICKED;
        return (ofTheChange(address) && !picked || address.group().equals(TemperatureChange.DRIFT))
                && readings(address.index()).isPresent();
    }

    /** Whether the temperature before or after mixing stands there. */
    boolean ofTheChange(Address address) {
        return sheet.experiment()
                .span()
                .filter(span ->
                        span.start().equals(address.path()) || span.end().equals(address.path()))
                .isPresent();
    }

    /**
     * {@return whether a trial tells how its temperatures drifted by rows typed before there were readings on a clock}
     *
     * @param trial which trial, from 1
     */
    public boolean driftTyped(int trial) {
        return sheet.places().addresses().stream()
                .anyMatch(each -> each.index() == trial
                        && each.group().equals(TemperatureChange.DRIFT)
                        && sheet.places().holds(each));
    }
}
