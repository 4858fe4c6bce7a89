package lab.sassafras.app.notebook;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Function;
import java.util.stream.Stream;
import lab.sassafras.app.chart.StripPicture;
import lab.sassafras.app.sheet.ClockReadings;
import lab.sassafras.app.sheet.Clocks;
import lab.sassafras.app.sheet.EntrySheet;
import lab.sassafras.convention.ConventionQuestion;
import lab.sassafras.convention.TemperatureChange;
import lab.sassafras.curve.Baselines;
import lab.sassafras.curve.ClockTime;
import lab.sassafras.curve.CurveMethod;
import lab.sassafras.curve.Outcome;
import lab.sassafras.curve.Outcome.Change;
import lab.sassafras.curve.Reading;
import lab.sassafras.curve.Recommendation;
import lab.sassafras.curve.Stated;
import lab.sassafras.curve.Windows;
import lab.sassafras.declaration.Span;
import lab.sassafras.expression.Estimate;
import lab.sassafras.measure.BenchUnit;
import lab.sassafras.measure.Figures;
import lab.sassafras.presentation.Presentation;
import lab.sassafras.sheet.Sheet;
import lab.sassafras.slot.Address;
import lab.sassafras.slot.Line;
import lab.sassafras.slot.Logged;
import lab.sassafras.slot.TraceUse;
import lab.sassafras.verdict.Alternative;
import lab.sassafras.verdict.Reduction;
import org.jspecify.annotations.Nullable;

/** The strip of a trial, ready to be shown: the picture, every way of reading it, and which fits with the reason. */
public final class StripView {

    private static final int MOST_LISTED = 100;
    private static final double COVERAGE = 0.95;
    private static final double USUAL_DISPLAY = 0.1;
    /** Nobody looks closer than at so much of the time (s). */
    private static final double SHORTEST_LOOK = 20;

    private final EntrySheet entry;
    private final int trial;
    private final ClockReadings readings;
    private final Optional<TraceUse> use;
    private final Optional<Baselines> baselines;
    private @Nullable List<WayLine> ways;
    private final Reduction reduction;
    private final @Nullable CurveTold told;
    private final List<StripPicture.Besides> besides;
    private final Optional<StripPicture.Part> part;
    private final TemperatureChange inForce;
    private final Figures figures;
    private final String mixed;

    /**
     * Takes what is to be shown.
     *
     * @param readings of the trial
     * @param use      which stretch is read; empty while mixing is not marked
     * @param sheet    the sheet with that use, kept or only tried
     * @param reduction what the sheet comes to
     * @param besides   other trials to lay over it
     * @param part      of the time that is looked at closely
     */
    StripView(
            EntrySheet entry,
            int trial,
            ClockReadings readings,
            Optional<TraceUse> use,
            Sheet sheet,
            Reduction reduction,
            List<StripPicture.Besides> besides,
            Optional<StripPicture.Part> part) {
        this.besides = besides;
        this.part = part;
        this.entry = entry;
        this.trial = trial;
        this.readings = readings;
        this.use = use;
        this.told = Clocks.toldWhole(entry, trial) ? CurveTold.of(entry, trial, reduction) : null;
        this.baselines = sheet.curves().baselines(trial);
        this.reduction = reduction;
        this.inForce = entry.conventions().in(ConventionQuestion.CHANGE);
        this.figures = entry.entry().period().figures();
        this.mixed = entry.experiment()
                .mixing()
                .map(entry.experiment().words()::label)
                .orElse(entry.experiment().words().get("curve/mixing"));
    }

    /**
     * One way of reading the curve.
     *
     * @param school      as a question of convention
     * @param inForce     whether the result rests on it
     * @param recommended whether it fits this curve best
     * @param start       temperature before, as written; empty where it cannot be read this way
     * @param end         temperature after
     * @param change      with its ±
     * @param result      of the entry then; empty where it is not worked that way
     * @param against     the result in force, in per cent
     * @param why         it cannot be read this way; empty where it can
     */
    public record WayLine(
            TemperatureChange school,
            boolean inForce,
            boolean recommended,
            String start,
            String end,
            String change,
            String result,
            String against,
            String why) {}

    public ClockReadings readings() {
        return readings;
    }

    /** Whether the moment of mixing is marked on it; where not, it tells its numbers by itself. */
    public boolean mixes() {
        return told == null;
    }

    /** What the curve tells where nothing is mixed. */
    public @Nullable CurveTold told() {
        return told;
    }

    /** Readings as the page lists them: of very many, the first. */
    public List<ClockReadings.Line> table() {
        return readings.lines().stream().limit(MOST_LISTED).toList();
    }

    /** The moment of mixing as written; empty while it is not marked. */
    public String mixing() {
        return use.flatMap(Clocks::mixed).map(ClockTime::write).orElse("");
    }

    public String mixed() {
        return mixed;
    }

    public String unit() {
        return unit(reduction.unit()).symbol();
    }

    private BenchUnit unit(BenchUnit of) {
        return reduction.presentation().unit(of);
    }

    /** The stretches taken for baseline; empty where nothing is read from the curve. */
    public Optional<Windows> windows() {
        return baselines.map(Baselines::windows);
    }

    /** Whether a person said which they are. */
    public boolean byHand() {
        return use.flatMap(TraceUse::windows).isPresent();
    }

    public Optional<Recommendation> recommendation() {
        return baselines.map(each -> Recommendation.of(each, figures));
    }

    /**
     * When the temperature began to change, where that is not at the mark.
     *
     * @param words in a sentence
     * @param time  on the clock, as a mark is written
     */
    public record Begins(String words, String time) {}

    public Optional<Begins> begins() {
        return use.flatMap(told -> baselines
                .map(Baselines::begins)
                .filter(OptionalDouble::isPresent)
                .map(found -> new Begins(
                        "The change of temperature begins "
                                + figures.significant(Math.abs(found.getAsDouble()), 2) + " s "
                                + (found.getAsDouble() < 0 ? "before" : "after") + " the mark.",
                        ClockTime.write(Math.rint(told.mixing() + found.getAsDouble())))));
    }

    /** The way that fits, in words; empty where nothing is read from the curve. */
    public String recommended() {
        return ways().stream()
                .filter(WayLine::recommended)
                .map(each -> each.school().words())
                .findFirst()
                .map(words -> words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1))
                .orElse("");
    }

    /** Whether the start and the end stand still: rule, slope and stretch. */
    public List<String> settled() {
        return baselines
                .map(each -> List.of(
                        "Before mixing, " + each.settledBefore().said(figures),
                        "After the rise, " + each.settledAtEnd().said(figures)))
                .orElse(List.of());
    }

    /** After what wait a single reading is taken, as written. */
    public String once() {
        return ClockTime.write(use.map(TraceUse::once).orElse(Stated.USUAL.once()));
    }

    /** To what part of the change lines are carried, as written. */
    public String fraction() {
        return figures.plain(use.map(TraceUse::fraction).orElse(Stated.USUAL.fraction()));
    }

    /** Whether a reading is left out as lying off by itself. */
    public boolean spike(ClockReadings.Line line) {
        return line.counts()
                && baselines
                        .filter(each -> each.spikes()
                                .contains(
                                        new Reading(line.seconds(), line.read().temperature())))
                        .isPresent();
    }

    /** Readings that the reading of the curve leaves out as lying off by themselves. */
    public List<String> spikes() {
        return baselines.stream()
                .flatMap(each -> each.spikes().stream())
                .map(each -> ClockTime.write(each.seconds()) + " (" + figures.plain(each.temperature()) + " °C)")
                .toList();
    }

    /** Every way of reading, with the result by it. */
    public List<WayLine> ways() {
        List<WayLine> known = ways;
        if (known == null) {
            known = allWays();
            ways = known;
        }
        return known;
    }

    private List<WayLine> allWays() {
        return baselines
                .map(curve -> Stream.concat(
                                Arrays.stream(TemperatureChange.values())
                                        .flatMap(school -> school.way().map(way -> line(school, way, curve)).stream()),
                                picked().stream())
                        .toList())
                .orElse(List.of());
    }

    /** What the reader picked from the curve, where both temperatures were. */
    private Optional<WayLine> picked() {
        return pick(Span::start)
                .flatMap(start -> pick(Span::end)
                        .map(end -> new WayLine(
                                TemperatureChange.PICKED,
                                inForce == TemperatureChange.PICKED,
                                false,
                                figures.typed(start.text()),
                                figures.typed(end.text()),
                                figures.signed(
                                        end.measured().value()
                                                - start.measured().value(),
                                        2),
                                result(TemperatureChange.PICKED)
                                        .map(this::result)
                                        .orElse(""),
                                inForce == TemperatureChange.PICKED ? "" : against(TemperatureChange.PICKED),
                                "")));
    }

    private Optional<Line> pick(Function<Span, String> end) {
        return entry.experiment()
                .span()
                .flatMap(span -> entry.sheet().reading(Address.of(end.apply(span), trial)))
                .filter(line -> Double.isFinite(line.measured().value()));
    }

    /** The temperature picked before mixing, as it was typed; empty where none was. */
    public String pickedStart() {
        return pick(Span::start).map(Line::text).orElse("");
    }

    /** The temperature picked after mixing, as it was typed; empty where none was. */
    public String pickedEnd() {
        return pick(Span::end).map(Line::text).orElse("");
    }

    private WayLine line(TemperatureChange school, CurveMethod way, Baselines curve) {
        boolean recommended = recommendation().filter(each -> each.way() == way).isPresent();
        Outcome outcome = way.of(curve);
        if (outcome instanceof Change change) {
            double half = change.halfWidth(COVERAGE);
            int decimals = Figures.decimalsFor(half);
            return new WayLine(
                    school,
                    school == inForce,
                    recommended,
                    figures.fixed(change.start(), decimals),
                    figures.fixed(change.end(), decimals),
                    written(change),
                    result(school).map(this::result).orElse(""),
                    school == inForce ? "" : against(school),
                    "");
        }
        String why = outcome instanceof Outcome.Withheld withheld ? withheld.reason() : "";
        return new WayLine(school, school == inForce, recommended, "", "", "", "", "", why);
    }

    private String written(Change change) {
        double half = change.halfWidth(COVERAGE);
        return figures.signed(change.difference(), Figures.decimalsFor(half)) + " ± " + figures.uncertainty(half);
    }

    /** What the entry comes to under a school. */
    private record Under(Estimate estimate, BenchUnit unit) {}

    private Optional<Under> result(TemperatureChange school) {
        return school == inForce
                ? reduction.result().map(each -> new Under(each, reduction.unit()))
                : alternative(school).flatMap(each -> each.estimate().map(value -> new Under(value, each.unit())));
    }

    private String result(Under under) {
        Presentation presentation = reduction.presentation();
        return presentation.written(under.estimate(), under.unit()).value();
    }

    private Optional<Alternative> alternative(TemperatureChange school) {
        return reduction.alternatives().stream()
                .filter(each -> each.alternative().school() == school)
                .findFirst();
    }

    private String against(TemperatureChange school) {
        return alternative(school)
                .filter(each -> each.estimate().isPresent())
                .flatMap(each -> each.percentFrom(reduction))
                .map(percent -> figures.signed(percent, 1) + " %")
                .orElse("");
    }

    /** The way in force where it can be read from a curve. */
    private Optional<StripPicture.Read> read() {
        return baselines.flatMap(curve -> inForce.way().flatMap(way -> {
            Outcome outcome = way.of(curve);
            return way.laid(curve).map(laid -> {
                Change change = (Change) outcome;
                return new StripPicture.Read(laid, curve.windows(), change, written(change) + " °C", inForce.words());
            });
        }));
    }

    public StripPicture picture() {
        Optional<Double> mixing = use.flatMap(Clocks::mixed);
        StripPicture.Over over = new StripPicture.Over(besides, told == null ? List.of() : told.lines());
        return StripPicture.of(dots(), over, mixing, told == null ? mixed : "", read(), part, figures);
    }

    private List<StripPicture.Dot> dots() {
        Optional<Double> mixing = use.flatMap(Clocks::mixed);
        List<Reading> spikes = baselines.map(Baselines::spikes).orElse(List.of());
        return readings.lines().stream()
                .filter(each -> each.state() != ClockReadings.State.AGAIN)
                .map(each -> dot(each, mixing, spikes))
                .toList();
    }

    /**
     * A look at another part of the time.
     *
     * @param words what it is called
     * @param part  it shows; null for the whole
     */
    public record Look(String words, StripPicture.@Nullable Part part) {

        /** What follows the address of the strip. */
        public String query() {
            return part == null ? "" : "&from=" + Math.round(part.from()) + "&to=" + Math.round(part.to());
        }
    }

    /** Closer, further and along, about the mixing where that is in sight. */
    public List<Look> looks() {
        StripPicture.Part whole = StripPicture.whole(dots(), besides, use.flatMap(Clocks::mixed));
        StripPicture.Part now = part.orElse(whole);
        double length = now.to() - now.from();
        double about = use.flatMap(Clocks::mixed)
                .filter(at -> at >= now.from() && at <= now.to())
                .orElse((now.from() + now.to()) / 2);
        List<Look> looks = new ArrayList<>();
        if (length / 2 >= SHORTEST_LOOK) {
            double from = about - (about - now.from()) / 2;
            looks.add(new Look("Closer", new StripPicture.Part(from, from + length / 2)));
        }
        if (part.isPresent()) {
            looks.add(new Look("Further", kept(now.from() - length / 2, 2 * length, whole)));
            looks.add(new Look("Earlier", kept(now.from() - length / 2, length, whole)));
            looks.add(new Look("Later", kept(now.from() + length / 2, length, whole)));
            looks.add(new Look("The whole", null));
        }
        return looks;
    }

    private static StripPicture.Part kept(double from, double length, StripPicture.Part whole) {
        double most = Math.min(length, whole.to() - whole.from());
        double first = Math.min(Math.max(whole.from(), from), whole.to() - most);
        return new StripPicture.Part(first, first + most);
    }

    /** Digits after the mark that its thermometer shows. */
    public int decimals() {
        double display = use.map(TraceUse::trace)
                .map(entry.sheet().setting().traces()::get)
                .map(Logged::display)
                .orElse(USUAL_DISPLAY);
        return (int) Math.max(0, Math.ceil(-Math.log10(display) - 1e-9));
    }

    public String mark() {
        return String.valueOf(figures.mark().sign());
    }

    private static StripPicture.Dot dot(ClockReadings.Line line, Optional<Double> mixing, List<Reading> spikes) {
        double temperature = line.read().temperature();
        boolean skipped = mixing.filter(at -> at == line.seconds()).isPresent();
        boolean off = spikes.contains(new Reading(line.seconds(), temperature));
        String why = skipped ? "skipped" : off ? "lies off by itself" : line.reason();
        return new StripPicture.Dot(line.seconds(), temperature, line.counts() && !skipped && !off, why);
    }

    public String title() {
        return entry.experiment().words().title();
    }
}
