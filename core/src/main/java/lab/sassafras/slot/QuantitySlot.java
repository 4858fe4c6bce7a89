package lab.sassafras.slot;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lab.sassafras.account.Finding;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Dimension;
import lab.sassafras.measure.Figures;
import lab.sassafras.measure.Instrument;
import lab.sassafras.measure.Measured;
import lab.sassafras.measure.Refused;
import lab.sassafras.measure.TypedNumber;
import org.jspecify.annotations.Nullable;

/** A number with a unit. */
public final class QuantitySlot extends Slot {

    /** Relative distance from every accepted value from which a typed constant is questioned. */
    private static final double FAR_FROM_ACCEPTED = 0.003;

    private final BenchUnit unit;
    private final Optional<Range> usual;
    private final Optional<Assumption> assumed;
    private final Set<Role> roles;
    private final List<Double> accepted;
    private final Optional<Dissolved> dissolved;
    private final List<String> weighedOnto;

    /**
     * What a liquid is a solution of.
     *
     * @param formula       path of the formula
     * @param concentration path of its concentration
     */
    public record Dissolved(String formula, String concentration) {}

    private QuantitySlot(
            String key,
            BenchUnit unit,
            Optional<Range> usual,
            Optional<Assumption> assumed,
            Set<Role> roles,
            List<Double> accepted,
            Optional<Dissolved> dissolved,
            List<String> weighedOnto,
            boolean optional) {
        super(key, optional);
        this.unit = unit;
        this.usual = usual;
        this.assumed = assumed;
        this.roles = Set.copyOf(roles);
        this.accepted = List.copyOf(accepted);
        this.dissolved = dissolved;
        this.weighedOnto = List.copyOf(weighedOnto);
    }

    static QuantitySlot of(String key, BenchUnit unit, Set<Role> roles) {
        return new QuantitySlot(
                key, unit, Optional.empty(), Optional.empty(), roles, List.of(), Optional.empty(), List.of(), false);
    }

    /**
     * {@return the same, usually read within a range}
     *
     * @param low  lower end (bench unit)
     * @param high upper end (bench unit)
     */
    public QuantitySlot usually(double low, double high) {
        return new QuantitySlot(
                key(),
                unit,
                Optional.of(new Range(low, high)),
                assumed,
                roles,
                accepted,
                dissolved,
                weighedOnto,
                optional());
    }

    /** {@return the same, which may be taken as known with a ±, nothing being proposed for it} */
    public QuantitySlot orTakenAsKnown() {
        return orAssumed(Assumption.OPEN.value(), Assumption.OPEN.uncertainty());
    }

    /**
     * {@return the same, which may be assumed}
     *
     * @param value       to propose (bench unit)
     * @param uncertainty standard uncertainty to propose with it (bench unit)
     */
    public QuantitySlot orAssumed(double value, double uncertainty) {
        Set<Role> more = EnumSet.copyOf(roles);
        more.add(Role.ASSUMED);
        return new QuantitySlot(
                key(),
                unit,
                usual,
                Optional.of(new Assumption(value, uncertainty)),
                more,
                accepted,
                dissolved,
                weighedOnto,
                optional());
    }

    /** {@return the same, which may be left out} */
    public QuantitySlot ifKnown() {
        return new QuantitySlot(key(), unit, usual, assumed, roles, accepted, dissolved, weighedOnto, true);
    }

    /**
     * {@return a constant typed from a handbook, where the handbooks agree on a few values; one far from all of them
     * is questioned}
     *
     * @param values in use (bench unit)
     */
    public QuantitySlot accepting(List<Double> values) {
        return new QuantitySlot(key(), unit, usual, assumed, roles, values, dissolved, weighedOnto, optional());
    }

    /**
     * {@return the same, a solution of something: where it is poured, its density may go by its concentration}
     *
     * @param formula       path of the formula of what is dissolved
     * @param concentration path of its concentration
     */
    public QuantitySlot solutionOf(String formula, String concentration) {
        return new QuantitySlot(
                key(),
                unit,
                usual,
                assumed,
                roles,
                accepted,
                Optional.of(new Dissolved(formula, concentration)),
                weighedOnto,
                optional());
    }

    /**
     * {@return the same, got by weighing a vessel again: what it held before is known, and what is more came to it}
     *
     * @param held paths of what the vessel held before, what it was tared or weighed empty for first
     */
    public QuantitySlot weighedOnto(String... held) {
        return new QuantitySlot(key(), unit, usual, assumed, roles, accepted, dissolved, List.of(held), optional());
    }

    @Override
    public List<String> weighedOnto() {
        return weighedOnto;
    }

    @Override
    public Optional<Dissolved> dissolved() {
        return dissolved;
    }

    @Override
    public Field field() {
        return Field.NUMBER;
    }

    @Override
    public Set<Role> roles() {
        return roles;
    }

    @Override
    public Optional<BenchUnit> unit(Role role) {
        return Optional.of(role == Role.VOLUME ? BenchUnit.MILLILITRES : unit);
    }

    @Override
    public Optional<Assumption> assumed() {
        return assumed;
    }

    @Override
    public Optional<Range> usual() {
        return usual;
    }

    @Override
    public String expectation(Setting setting) {
        Figures figures = setting.figures();
        return usual.map(range -> "Usually between " + figures.plain(range.low()) + " and "
                        + figures.plain(range.high()) + " " + unit.symbol() + ".")
                .orElse("");
    }

    @Override
    public Line read(Address address, Role role, GivenValue given, Setting setting) {
        TypedNumber typed = TypedNumber.read(given.text(), setting.figures().mark());
        BenchUnit usualUnit = role == Role.VOLUME ? BenchUnit.MILLILITRES : unit;
        Dimension dimension = usualUnit.dimension();
        BenchUnit in = unit(usualUnit, given.unit());
        double value = in.toBench(typed.value());
        refuseBeyond(dimension, value, usualUnit, setting.figures());
        Optional<Instrument> instrument = role == Role.ASSUMED ? Optional.empty() : given.instrument();
        instrument.filter(each -> !each.unit().dimension().equals(dimension)).ifPresent(wrong -> {
            throw new Refused(
                    wrong.name() + " reads " + wrong.unit().dimension().word() + ", not " + dimension.word() + ".");
        });
        return new Line(
                address,
                role,
                typed.text(),
                value,
                decimals(typed, in),
                in.widthToBench(typed.lastDigit()),
                Optional.of(in),
                instrument,
                role == Role.ASSUMED || role == Role.TREND
                        ? assumedUncertainty(given, in, setting)
                        : OptionalDouble.empty(),
                given.who());
    }

    private static void refuseBeyond(Dimension dimension, double value, BenchUnit unit, Figures figures) {
        dimension.floor().ifPresent(floor -> {
            if (value < floor) {
                throw new Refused(
                        floor == 0
                                ? "A " + dimension.word() + " cannot be negative."
                                : "Nothing is colder than " + figures.fixed(floor, 2) + " °C.");
            }
        });
        dimension.ceiling().ifPresent(ceiling -> {
            if (value > ceiling) {
                throw new Refused("A " + dimension.word() + " cannot be more than " + figures.plain(ceiling) + " "
                        + unit.symbol() + ".");
            }
        });
    }

    private static BenchUnit unit(BenchUnit usual, @Nullable String symbol) {
        if (symbol == null || symbol.isBlank()) {
            throw new Refused("The unit is missing. Say which unit the number is in, such as " + usual.symbol() + ".");
        }
        return usual.sameDimension().stream()
                .filter(each -> each.symbol().equals(symbol))
                .findFirst()
                .orElseThrow(() -> new Refused((symbol.length() > 20 ? "That" : "“" + symbol + "”")
                        + " is not a unit of " + usual.dimension().word() + " used here. Use " + usual.symbol() + "."));
    }

    private static int decimals(TypedNumber typed, BenchUnit unit) {
        double places = -Math.log10(unit.widthToBench(typed.lastDigit()));
        return Math.abs(places - Math.rint(places)) < 1e-9 ? (int) Math.max(0, Math.rint(places)) : -1;
    }

    private OptionalDouble assumedUncertainty(GivenValue given, BenchUnit in, Setting setting) {
        String text = given.uncertainty();
        if (text == null || text.isBlank()) {
            throw new Refused("An assumed value needs a ±: how far off may it be? "
                    + assumed.filter(Assumption::proposes)
                            .map(each -> setting.figures().significant(each.uncertainty(), 2) + " " + unit.symbol()
                                    + " is common here.")
                            .orElse(""));
        }
        double value =
                in.widthToBench(TypedNumber.read(text, setting.figures().mark()).value());
        if (value < 0) {
            throw new Refused("The ± of an assumed value cannot be negative.");
        }
        return OptionalDouble.of(value);
    }

    @Override
    public void admit(Line line, Setting setting) {
        // whatever can be read can be taken in
    }

    @Override
    public Optional<Measured> number(Line line, Setting setting) {
        return Optional.of(line.measured());
    }

    @Override
    public List<Finding> questions(Line line, String label, Setting setting) {
        List<Finding> questions = new ArrayList<>();
        outsideRange(line, label, setting.figures()).ifPresent(questions::add);
        fewDecimals(line, label, setting.figures()).ifPresent(questions::add);
        unaccepted(line, label, setting.figures()).ifPresent(questions::add);
        return questions;
    }

    private static Optional<Finding> outsideRange(Line line, String label, Figures figures) {
        return line.instrument()
                .filter(instrument -> !instrument.covers(line.value()))
                .map(instrument -> Finding.question(
                                "reading.outside-range",
                                label + ", " + line.text() + " "
                                        + line.unit().map(BenchUnit::symbol).orElse("")
                                        + ", lies outside the range of "
                                        + instrument.name() + " (" + figures.plain(instrument.low()) + " to "
                                        + figures.plain(instrument.high()) + " "
                                        + instrument.unit().symbol() + ").")
                        .at(line.address().toString()));
    }

    private static Optional<Finding> fewDecimals(Line line, String label, Figures figures) {
        return line.instrument()
                .filter(instrument -> instrument.coarser(line.lastDigit()))
                .map(instrument -> Finding.note(
                                "reading.decimals",
                                label + " was written as " + line.text() + " "
                                        + line.unit().map(BenchUnit::symbol).orElse("") + "; "
                                        + instrument.name() + " shows steps of "
                                        + figures.plain(instrument.resolution()) + " "
                                        + instrument.unit().symbol()
                                        + ". It counts as it is written, uncertain by ± "
                                        + figures.significant(line.measured().ownUncertainty(), 2) + " "
                                        + instrument.unit().symbol()
                                        + "; correct it to every decimal that was shown.")
                        .at(line.address().toString()));
    }

    /** A constant typed from a handbook that no handbook has, as after two digits were swapped. */
    private Optional<Finding> unaccepted(Line line, String label, Figures figures) {
        if (accepted.isEmpty()
                || accepted.stream().anyMatch(each -> Math.abs(line.value() - each) <= FAR_FROM_ACCEPTED * each)) {
            return Optional.empty();
        }
        double nearest = accepted.stream()
                .min(Comparator.comparingDouble(each -> Math.abs(each - line.value())))
                .orElseThrow();
        return Optional.of(Finding.question(
                        "constant.unaccepted",
                        label + " was typed as " + line.text() + " "
                                + line.unit().map(BenchUnit::symbol).orElse("")
                                + ", more than " + figures.plain(100 * FAR_FROM_ACCEPTED)
                                + " % from every value in use; the nearest is "
                                + figures.plain(nearest) + ". Were two digits exchanged?")
                .at(line.address().toString()));
    }

    @Override
    public String spoken(String text, Telling telling) {
        return telling.setting().figures().typed(text);
    }

    @Override
    public List<Option> options(Words words, String path, Setting setting) {
        return List.of();
    }

    @Override
    public Optional<Elsewhere> elsewhere() {
        return Optional.empty();
    }

    @Override
    public boolean namesSample() {
        return false;
    }
}
